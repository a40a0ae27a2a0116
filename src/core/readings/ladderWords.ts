import { capitalised, listed } from '../base/words';
import { aPlainColour, plainColour } from '../materials/colour/plainWords';
import { isBare } from '../materials/ink/ink';
import { groundName, type JointReading, type Readings, type RungReading } from './readings';

/**
 * The whole ladder in one sentence, plain words only: its colours in order, how they step, and what becomes of the joins;
 * what a maker would mind first.
 */
export function describeLadder(readings: Readings): string {
  const { rungs, spacing } = readings;
  const [first, ...rest] = rungs.map(wordsFor);
  const last = rest.pop();
  const colours = [first, ...rest.map((colour) => `through ${colour}`), last && `to ${last}`]
    .filter(Boolean)
    .join(' ');
  const step = stepWords(spacing.gaps, spacing.description);
  return `${capitalised(colours)}, ${step}; ${joinWords(readings)}.`;
}

/** A rung's colour; "through between violet and purple" is said by nobody. */
const wordsFor = ({ ink, lab }: RungReading): string =>
  isBare(ink) ? 'bare card' : plainColour(lab).replace(/^between /, 'something between ');

/** "Evenly stepped" and the like; figures stay out of it. */
function stepWords(gaps: readonly number[], told: string): string {
  if (gaps.length === 1) return 'in one step';
  if (told.startsWith('Evenly spaced')) return told.replace('Evenly spaced', 'evenly stepped');
  return told.charAt(0).toLowerCase() + told.slice(1);
}

/** What is to be minded first: what is lost, what turns to mud, what is too alike; else what is new on the way. */
function joinWords(readings: Readings): string {
  const { rungs, joints } = readings;
  const lost = rungs.filter(({ presence }) => presence === 'vanishes').length;
  if (lost > 0)
    return `${lost === rungs.length ? 'all of it' : numberWord(lost)} lost on ${groundName(readings)}`;
  const of = (kind: JointReading['verdict']['kind']) =>
    joints.filter(({ verdict }) => verdict.kind === kind).map(({ verdict }) => verdict.decidedBy.lab);
  const [mud] = of('mud');
  if (mud) return `mud on the way, ${aPlainColour(mud)}`;
  if (of('too alike').length > 0) return 'two of them too alike to be told apart';
  const [dull] = of('dulls');
  if (dull) return `it dulls on the way to ${aPlainColour(dull)}`;
  const fresh = [...new Set(of('new colour').map(aPlainColour))];
  if (fresh.length > 0) return `new on the way, ${listed(fresh)}`;
  return joints.length > 1 ? 'clean joins all the way' : 'a clean join';
}

const numberWord = (count: number): string => ['none', 'one', 'two', 'three', 'four'][count] ?? String(count);

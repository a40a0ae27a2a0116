import { formatBare, formatLength } from '../base/length';
import { named } from '../base/words';
import { curlOf } from '../materials/card/weight';
import { type Ink, isBare } from '../materials/ink/ink';
import { setsInBrush } from '../materials/ink/kinds';
import { otherCard } from '../recipe/resolved';
import type { Brush, BrushUse } from './brushes';
import { addStep, clearDesk, type Desk, type LaidOut, type Piece, type Step } from './desk';
import type { Setting } from './setting';

/** How much larger a panel is cut whose edges will be fingered, mm all round; common practice. */
const OVERSIZE = 3;

/** What ink is laid from; an evening's plan says how many. */
export const MAT = 'mat, clean and dry';
/** What lies on every desk. */
const ALWAYS = [MAT, 'white kitchen paper', 'scrap paper and a sticky note to hold the panel by'];

/**
 * The step before all others, once it is known what all of them take: everything that is to lie ready, the panel cut and
 * marked.
 */
export function prepared(desk: Desk, setting: Setting, uses: readonly BrushUse[]): Step {
  const { resolved, unit, words, tool } = setting;
  const { width, height } = resolved.recipe.panel;
  const size = (by: number) => `${formatBare(width + by, unit)} × ${formatLength(height + by, unit)}`;
  const other = otherCard(resolved);
  const isTwin = resolved.alsoOn !== undefined && !other;
  const beside = 'side by side, to be swapped under the tool';
  const cards = isTwin
    ? `Two panels, each ${size(0)} of ${resolved.card.name}, ${beside}`
    : `Panel ${size(0)} of ${resolved.card.name}${other ? `, and one of ${other.name}, ${beside}` : ''}`;
  const brushes = [...new Map(uses.map(({ brush }) => [brush.letter, brush])).values()];
  const things = [
    ...ALWAYS,
    ...(words.given.length > 0 ? ['ruler and pencil'] : []),
    ...desk.things,
    ...(uses.some(({ cleaned, set }) => cleaned?.how === 'washed' || setsInBrush(set))
      ? ['water and soap for brushes']
      : []),
  ];
  const layOut: LaidOut[] = [
    ...[resolved.card, ...(other ? [other] : [])].map(
      ({ name }): LaidOut => ({
        group: 'Card',
        thing: `${isTwin ? 'two of ' : ''}${name}, ${size(0)}; or ${size(2 * OVERSIZE)} to be trimmed after`,
      }),
    ),
    ...inksOf(resolved).map((ink): LaidOut => ({ group: 'Inks', thing: describeInk(ink, resolved.inks) })),
    ...brushes.map(
      ({ letter, label }): LaidOut => ({ group: 'Brushes', thing: `${tool.noun} ${letter}, ${label}` }),
    ),
    ...[...new Set(things)].map((thing): LaidOut => ({ group: 'Tools', thing })),
  ];
  const step: Parameters<typeof addStep>[2] = {
    key: 'prepare',
    kind: 'prepare',
    title: 'Prepare',
    work: `${cards}. ${words.marks}`,
    care: [
      'Hold the panel under a sticky note or scrap paper, so that no finger marks it.',
      ...curlOf(resolved.card),
      ...(other ? curlOf(other) : []),
    ],
    layOut,
    marks: words.given,
    deeds: [
      { does: 'lay out', things: [...things, ...brushes.map(brushThing), ...inksOf(resolved).map(inkThing)] },
      { does: 'mark', on: 'panel', marks: words.given },
    ],
  };
  const [made] = addStep(clearDesk(resolved.recipe), resolved, step).steps;
  if (!made) throw new Error('a step was added and is not there');
  return made;
}

/** How brushes and inks are called among the things laid out. */
export const brushThing = ({ letter }: Pick<Brush, 'letter'>): string => `brush ${letter}`;
export const inkThing = ({ id }: Pick<Ink, 'id'>): string => `ink ${id}`;

/** Every ink that is laid, each once. */
const inksOf = ({ inks, passInks }: Setting['resolved']): Ink[] => [
  ...new Map([...inks, ...passInks].filter((ink) => !isBare(ink)).map((ink) => [ink.id, ink])).values(),
];

/** Blending drinks more ink than stamping: the pads of the ladder are looked at first. */
const describeInk = (ink: Ink, ladder: readonly Ink[]): string =>
  ladder.some(({ id }) => id === ink.id) ? `${ink.name}, its pad juicy` : ink.name;

/** The dried panel against its picture, and the brushes washed. */
export const check = (setting: Setting, uses: readonly BrushUse[]): Piece => ({
  job: (desk) => {
    const names = setting.resolved.inks.filter((ink) => !isBare(ink)).map(({ name }) => name);
    const { noun } = setting.tool;
    const { steps, left } = washedMeanwhile(desk.steps, uses, noun);
    const washing = describeWashing(left, noun);
    return addStep({ ...desk, steps }, setting.resolved, {
      key: 'check',
      kind: 'check',
      title: 'Check, dry',
      work: 'Against the dry picture: no line, no bare speck.',
      care: [`Each ink still itself somewhere: ${names.join(', ')}.`, ...washing],
      ownBrushes: washing,
    });
  },
});

/** A brush is washed well within such a wait, minutes. */
const WASHED_WITHIN = 2;

/** Whether a step is a wait in which a brush can be washed. */
export const isTimeToWash = ({ waits, minutes = 0 }: Step): boolean =>
  waits === 'air' && minutes >= WASHED_WITHIN;

/**
 * The steps, with brushes washed in long waits: one that another ink is to have next, and one that would set, after the
 * last of its work; not before, since a join may be open. And the uses of the brushes that are left for the end.
 */
function washedMeanwhile(
  steps: readonly Step[],
  uses: readonly BrushUse[],
  noun: string,
): { readonly steps: readonly Step[]; readonly left: readonly BrushUse[] } {
  const told = new Map<Step, Map<string | undefined, string[]>>();
  /** @param why  for what; where that is left out, what is on it would set */
  const washIn = (wait: Step, letter: string, why?: string) => {
    const whys = told.get(wait) ?? new Map<string | undefined, string[]>();
    told.set(wait, whys.set(why, [...(whys.get(why) ?? []), letter]));
  };
  const worked = steps.filter(({ brush }) => brush);
  uses.forEach(({ brush: { letter }, cleaned }, i) => {
    if (cleaned?.how !== 'washed') return;
    const [last, next] = [worked.findLast((step, at) => at < i && step.brush?.letter === letter), worked[i]];
    const wait = next && steps.slice(last ? steps.indexOf(last) : 0, steps.indexOf(next)).find(isTimeToWash);
    const comesAgain = cleaned.of.some(({ id }) => id === next?.ink?.id);
    const why = comesAgain ? undefined : `${next?.ink?.name ?? next?.brush?.label} comes next on it`;
    if (wait) washIn(wait, letter, why);
  });
  const washed = new Set<string>();
  for (const { brush, set } of new Map(uses.map((use) => [use.brush.letter, use])).values()) {
    const last = steps.findLastIndex((step) => step.brush?.letter === brush.letter);
    const wait = steps.slice(last + 1).find(isTimeToWash);
    if (!setsInBrush(set) || !wait) continue;
    washed.add(brush.letter);
    washIn(wait, brush.letter);
  }
  return {
    steps: steps.map((step) => {
      const washing = [...(told.get(step) ?? [])].map(
        ([why, letters]) =>
          `Meanwhile wash ${named(noun, letters)}, since ${why ?? `what is on ${letters.length === 1 ? 'it' : 'them'} would set`}; dry your hands after.`,
      );
      return washing.length > 0
        ? { ...step, care: [...step.care, ...washing], ownBrushes: [...step.ownBrushes, ...washing] }
        : step;
    }),
    left: uses.filter(({ brush }) => !washed.has(brush.letter)),
  };
}

/** Which brushes to wash at once, before what is on them sets, and which may wait. */
function describeWashing(uses: readonly BrushUse[], noun: string): string[] {
  const sets = new Map(uses.map(({ brush, set }) => [brush.letter, setsInBrush(set)]));
  if (sets.size === 0) return [];
  const letters = (atOnce: boolean) =>
    [...sets].filter(([, soon]) => soon === atOnce).map(([letter]) => letter);
  const [now, later] = [letters(true), letters(false)];
  const when = [
    ...(now.length > 0 ? [`${named(noun, now)} at once, before the ink sets`] : []),
    ...(later.length > 0 ? [`${named(noun, later)} at the end of the sitting`] : []),
  ];
  return [`Wash ${when.join('; ')}.`];
}

import { deltaE00, deltaE94, hueApart } from '../../../materials/colour/difference';
import { chroma, hueDegrees, type Lab } from '../../../materials/colour/lab';
import { nameColour } from '../../../materials/colour/names';
import { MUDDY, STATIONS } from '../../../readings/joints/joint';
import { INNER } from './jointMixer';
import { NOUNS, type NounLattice } from './nounLattice';

/** By a noun's number: 1 where it names a brown, an olive or a grey. */
export const muddyNoun = Uint8Array.from(NOUNS, (noun) => (MUDDY.has(noun) ? 1 : 0));

/** A colour on the way is a new one if it is livelier than this, C*, and so far from both inks: ΔE00, degrees. By eye. */
const LIVELY = 20;
const APART = 10;
const HUE_APART = 22;

/** In a list of nouns, a station that nobody has had to name yet: naming is dear, and most joints do without. */
export const UNNAMED = 255;

const nounByName = (lab: Lab): number => NOUNS.indexOf(nameColour(lab).noun);

/** What relations ask of one joint, and what its verdict is found from; written over from joint to joint. */
export interface JointFigures {
  /**
   * CIEDE2000 from each station to the next, where it takes them to tell whether a colour is new, else 1; and of each
   * to the nearer rung, only where a new colour is looked for.
   */
  readonly steps: Float64Array;
  readonly fromRungs: Float64Array;
  dullest: number;
  flow: number;
  live: number;
  wide: number;
  newHue: number;
  newChroma: number;
  mixA: number;
  mixB: number;
  bow: number;
}

export const emptyJointFigures = (): JointFigures => ({
  steps: new Float64Array(STATIONS - 1),
  fromRungs: new Float64Array(STATIONS),
  dullest: 0,
  flow: 0,
  live: 0,
  wide: 0,
  newHue: 0,
  newChroma: 0,
  mixA: 0,
  mixB: 0,
  bow: 0,
});

/**
 * Measures a walked joint; `PairTable` says what the figures are.
 *
 * @param labs     all stations, both rungs included, as they dry
 * @param nouns    of each station, as its place in `NOUNS`, or `UNNAMED`; none may be unnamed where a new colour is
 *                 looked for
 * @param forNew   whether `steps` and `fromRungs` are wanted: a new colour is to be looked for
 * @param nounOf   names a station that has to be, as its place in `NOUNS`
 */
export function readJoint(
  labs: readonly Lab[],
  nouns: Uint8Array,
  forNew: boolean,
  into: JointFigures,
  nounOf: NounLattice['nounOf'] = nounByName,
): void {
  const [first, last] = [labs[0] as Lab, labs[STATIONS - 1] as Lab];
  const wantsSteps = forNew && hasLoneNoun(nouns);
  if (!wantsSteps) into.steps.fill(1);
  let whole = 0;
  let greatest = 0;
  for (let i = 1; i < STATIONS; i++) {
    const [before, here] = [labs[i - 1] as Lab, labs[i] as Lab];
    if (wantsSteps) into.steps[i - 1] = deltaE00(before, here);
    const step = deltaE94(before, here);
    whole += step;
    if (step > greatest) greatest = step;
  }
  into.flow = greatest > 0 ? whole / (STATIONS - 1) / greatest : 1;
  const middle = labs[(STATIONS - 1) >> 1] as Lab;
  into.mixA = middle.a;
  into.mixB = middle.b;
  into.bow = bowOf(labs);
  readNewColours(labs, nouns, nounOf, forNew, first, last, into);
}

/**
 * Whether a noun that neither rung has is met at one station only: then it takes the joint's steps to tell if it is wide
 * enough. Met twice it is (`findFresh`).
 */
function hasLoneNoun(nouns: Uint8Array): boolean {
  for (let i = 1; i < STATIONS - 1; i++) {
    const noun = nouns[i];
    if (noun === nouns[0] || noun === nouns[STATIONS - 1]) continue;
    let met = 0;
    for (let k = 1; k < STATIONS - 1; k++) if (nouns[k] === noun) met++;
    if (met === 1) return true;
  }
  return false;
}

function readNewColours(
  labs: readonly Lab[],
  nouns: Uint8Array,
  nounOf: NounLattice['nounOf'],
  forNew: boolean,
  first: Lab,
  last: Lab,
  into: JointFigures,
): void {
  const [firstHue, lastHue] = [hueDegrees(first), hueDegrees(last)];
  let dullest = Number.POSITIVE_INFINITY;
  let live = 0;
  let count = 0;
  let a = 0;
  let b = 0;
  for (let i = 1; i < STATIONS - 1; i++) {
    const lab = labs[i] as Lab;
    const c = chroma(lab);
    if (c < dullest) dullest = c;
    const noun = nouns[i];
    const isNamedAnew = forNew && noun !== nouns[0] && noun !== nouns[STATIONS - 1];
    const couldBeLive =
      c > LIVELY &&
      isOffBoth(hueDegrees(lab), firstHue, lastHue) &&
      muddyNoun[noun === UNNAMED ? nounOf(lab) : noun] === 0;
    // Differences are dear, and most stations are like a rung in name and in hue.
    const off = isNamedAnew || couldBeLive ? Math.min(deltaE00(lab, first), deltaE00(lab, last)) : 0;
    into.fromRungs[i] = off;
    if (!couldBeLive || off <= APART) continue;
    live += (c - LIVELY) / INNER;
    count++;
    a += lab.a;
    b += lab.b;
  }
  const mean = { l: 0, a: a / Math.max(count, 1), b: b / Math.max(count, 1) };
  into.dullest = dullest;
  into.live = live;
  into.wide = count / INNER;
  into.newHue = count > 0 ? hueDegrees(mean) : 0;
  into.newChroma = chroma(mean);
}

const isOffBoth = (hue: number, one: number, other: number): boolean =>
  hueApart(hue, one) > HUE_APART && hueApart(hue, other) > HUE_APART;

/** Mean distance of the way off the straight line between its ends, in lengths of that line, toward rising hue. */
function bowOf(labs: readonly Lab[]): number {
  const [first, last] = [labs[0] as Lab, labs[STATIONS - 1] as Lab];
  const a = last.a - first.a;
  const b = last.b - first.b;
  const square = a * a + b * b;
  if (square < 1) return 0;
  let area = 0;
  for (let i = 1; i < STATIONS - 1; i++) {
    const lab = labs[i] as Lab;
    area += b * (lab.a - first.a) - a * (lab.b - first.b);
  }
  return area / INNER / square;
}

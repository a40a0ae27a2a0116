import { type Card, groundOfCard } from '../card/card';
import { deltaE00 } from '../colour/difference';
import { chroma, type Lab, labOfSpectrum } from '../colour/lab';
import { type ColourName, nameColour } from '../colour/names';
import type { Spectrum } from '../colour/spectrum';
import type { Ink } from '../ink/ink';
import { driedColour, laidReflectance } from '../ink/laid';
import { judgeJoint, type Station, type Verdict, walkJoint } from '../ladder/joint';

/** A middle ink between two ends, and what becomes of both joints. */
export interface Middle {
  readonly ink: Ink;
  readonly joints: readonly [JointWalk, JointWalk];
  /** Chroma of the dullest place between the ends. */
  readonly dullest: number;
}

export interface JointWalk {
  readonly stations: readonly Station[];
  readonly verdict: Verdict;
}

/** What lies between two ends: with no middle, with each middle of the shelf, and with one brewed from the ends. */
export interface Bridging {
  readonly direct: JointWalk;
  /** Whether the ends go over well without a middle. */
  readonly needsNone: boolean;
  /** Best first: no mud, then the most colourful at its dullest place. */
  readonly middles: readonly Middle[];
  readonly brewed: Brew;
}

const walked = (first: Ink, second: Ink, ground: Spectrum): JointWalk => {
  const stations = walkJoint(first, second, ground);
  return { stations, verdict: judgeJoint(stations) };
};

const dullestOf = (stations: readonly Station[]): number =>
  Math.min(...stations.map(({ lab }) => chroma(lab)));

/** Ranks every ink of the shelf as the middle between two ends on a card. */
export function bridgeBetween(first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Bridging {
  const ground = groundOfCard(card);
  const direct = walked(first, last, ground);
  const middles = shelf
    .filter(({ id }) => id !== first.id && id !== last.id)
    .map((ink): Middle => {
      const joints = [walked(first, ink, ground), walked(ink, last, ground)] as const;
      return { ink, joints, dullest: Math.min(...joints.map(({ stations }) => dullestOf(stations))) };
    });
  const spoilt = ({ joints }: Middle): number =>
    joints.filter(({ verdict }) => verdict.kind === 'mud' || verdict.kind === 'too alike').length;
  const { kind, quieter } = direct.verdict;
  return {
    direct,
    needsNone: kind !== 'mud' && !quieter,
    middles: middles.toSorted((p, q) => spoilt(p) - spoilt(q) || q.dullest - p.dullest),
    brewed: brewMiddle(first, last, ground),
  };
}

/** A middle mixed from the two ends, in parts of each. */
export interface Brew {
  /** Whole parts of the first and of the last ink, 1 to 12. */
  readonly parts: readonly [first: number, last: number];
  /** Part of the last ink in the mix, 0…1, before rounding to parts. */
  readonly mix: number;
  readonly lab: Lab;
  readonly colour: ColourName;
}

const MOST_PARTS = 12;

/**
 * The mix of two inks that is as far from the one as from the other in perceived colour (CIEDE2000, dried). The
 * stronger ink needs less of itself, so there is more of the weaker in it.
 */
export function brewMiddle(first: Ink, last: Ink, ground: Spectrum): Brew {
  const at = (mix: number): Lab =>
    labOfSpectrum(
      laidReflectance(
        [
          { ink: first, coats: 1 - mix },
          { ink: last, coats: mix },
        ],
        ground,
        'dry',
      ),
    );
  const [start, end] = [at(0), at(1)];
  let low = 0;
  let high = 1;
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    const lab = at(middle);
    if (deltaE00(lab, start) < deltaE00(lab, end)) low = middle;
    else high = middle;
  }
  const mix = (low + high) / 2;
  const lab = at(mix);
  return { parts: inParts(mix), mix, lab, colour: nameColour(lab) };
}

/** The nearest ratio of small whole parts; fewer parts are preferred among near equals. */
function inParts(mix: number): [number, number] {
  let best: [number, number] = [1, 1];
  let least = Number.POSITIVE_INFINITY;
  for (let a = 1; a <= MOST_PARTS; a++)
    for (let b = 1; b <= MOST_PARTS; b++) {
      const off = Math.abs(b / (a + b) - mix) + 0.002 * (a + b);
      if (off < least) {
        least = off;
        best = [a, b];
      }
    }
  return best;
}

/** A third ink that quiets two loud ones. */
export interface Quieting {
  readonly ink: Ink;
  readonly colour: ColourName;
  /** Mean chroma of the loud pair, and of the three. */
  readonly before: number;
  readonly after: number;
}

/**
 * Inks that calm a loud pair: browns, greys and dusty ones, by how much they lower the mean chroma without being
 * lost beside either of the pair (ΔE00 10 at least). Common practice.
 */
export function quietPair(first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Quieting[] {
  const ground = groundOfCard(card);
  const dried = (ink: Ink) => driedColour(ink, ground);
  const [p, q] = [dried(first), dried(last)];
  const before = (chroma(p) + chroma(q)) / 2;
  return shelf
    .filter(({ id }) => id !== first.id && id !== last.id)
    .map((ink) => ({ ink, lab: dried(ink) }))
    .filter(({ lab }) => Math.min(deltaE00(lab, p), deltaE00(lab, q)) >= 10 && chroma(lab) < before)
    .map(({ ink, lab }) => ({ ink, colour: nameColour(lab), before, after: (2 * before + chroma(lab)) / 3 }))
    .toSorted((one, other) => one.after - other.after);
}

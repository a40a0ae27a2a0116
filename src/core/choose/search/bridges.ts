import { type BlendGround, bareGround } from '../../engine/blend';
import { type Card, groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { chroma } from '../../materials/colour/lab';
import { type ColourName, nameColour } from '../../materials/colour/names';
import type { Ink } from '../../materials/ink/ink';
import { driedColour } from '../../materials/ink/laid';
import { type Brew, brewMiddle } from '../../readings/joints/brew';
import { judgeJoint, type Station, type Verdict, walkJoint } from '../../readings/joints/joint';

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

const walked = (first: Ink, second: Ink, ground: BlendGround): JointWalk => {
  const stations = walkJoint(first, second, ground);
  return { stations, verdict: judgeJoint(stations) };
};

const dullestOf = (stations: readonly Station[]): number =>
  Math.min(...stations.map(({ lab }) => chroma(lab)));

/** Ranks every ink of the shelf as the middle between two ends on a card. */
export function bridgeBetween(first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Bridging {
  const ground = bareGround(card);
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

import { type BlendGround, bareGround } from '../../engine/blend';
import { type Card, groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { chroma, hueDegrees, type Lab, labOfSpectrum } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import { driedColour } from '../../materials/ink/laid';
import { type Brew, brewMiddle } from '../../readings/joints/brew';
import {
  judgeJoint,
  MUDDY,
  type Station,
  type Verdict,
  walkJoint,
  walkOnWhite,
} from '../../readings/joints/joint';
import { worthOnCard } from '../../readings/presence';
import { emptyJointFigures, type JointFigures, readJoint } from './pairs/jointFigures';
import { NOUNS } from './pairs/nounLattice';
import { even, fall, partOfWay, wayRound } from './relations/measures';
import { calms } from './relations/quieted';

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
  /** Best first: no mud, then by `worthBetween`. */
  readonly middles: readonly Middle[];
  readonly brewed: Brew;
}

const walked = (first: Ink, second: Ink, ground: BlendGround): JointWalk => {
  const stations = walkJoint(first, second, ground);
  return { stations, verdict: judgeJoint(stations, walkOnWhite(first, second, ground, stations)) };
};

const dullestOf = (stations: readonly Station[]): number =>
  Math.min(...stations.map(({ lab }) => chroma(lab)));

/** A middle may be so much darker and so much paler than both ends, L*, and is half as good so far beyond. By eye. */
const BEYOND = { darker: 3, paler: 16, half: 12 };
/** So far off the ends' own middle in lightness, beyond half their step, a middle is half as good. */
const OFF = 25;
/** How much a brown, an olive or a grey is worth between colours: it is what the middle is to spare them. By eye. */
const DRAB = 0.3;
/** More colour than the weaker end has is worth so much at most. */
const MOST_COLOUR = 1.2;

/**
 * How well an ink joins two given ends: it stands half way round the hue circle between them, the way their own mixture
 * goes, between them in lightness or a little paler, keeps its joints colourful, and makes them change evenly.
 */
function worthBetween(direct: JointWalk, joints: Middle['joints'], dullest: number): number {
  const [from, to] = [endOf(direct, 0), endOf(direct, -1)];
  const middle = endOf(joints[0], -1);
  const round = wayRound(hueDegrees(from), hueDegrees(to), figuresOf(direct).bow);
  const part = partOfWay(hueDegrees(from), hueDegrees(middle), round);
  if (part >= 1) return 0;
  const half = Math.abs(from.l - to.l) / 2;
  const off = Math.abs(middle.l - (from.l + to.l) / 2);
  const beyond = Math.max(
    0,
    Math.min(from.l, to.l) - BEYOND.darker - middle.l,
    middle.l - Math.max(from.l, to.l) - BEYOND.paler,
  );
  const [a, b] = joints.map(figuresOf) as [JointFigures, JointFigures];
  const isDrab = MUDDY.has((joints[0].stations.at(-1) as Station).colour.noun);
  return (
    (isDrab ? DRAB : 1) *
    Math.min(MOST_COLOUR, dullest / Math.min(chroma(from), chroma(to))) *
    4 *
    part *
    (1 - part) *
    fall(beyond, BEYOND.half) *
    fall(Math.max(0, off - half), OFF) *
    Math.sqrt(Math.min(a.flow, b.flow)) *
    Math.sqrt(even(deltaE00(from, middle), deltaE00(middle, to)))
  );
}

const endOf = ({ stations }: JointWalk, at: 0 | -1): Lab => (stations.at(at) as Station).lab;

function figuresOf({ stations }: JointWalk): JointFigures {
  const figures = emptyJointFigures();
  const nouns = Uint8Array.from(stations, ({ colour }) => NOUNS.indexOf(colour.noun));
  readJoint(
    stations.map(({ lab }) => lab),
    nouns,
    false,
    figures,
  );
  return figures;
}

/** What a colour is worth as it dries on a card: less where it is lost there. */
const shown = (dried: Lab, card: Card): number => worthOnCard(dried, labOfSpectrum(groundOfCard(card)));

/** Ranks every ink of the shelf as the middle between two ends on a card. */
export function bridgeBetween(first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Bridging {
  const ground = bareGround(card);
  const direct = walked(first, last, ground);
  const middles = shelf
    .filter(({ id }) => id !== first.id && id !== last.id)
    .map((ink): Middle => {
      const joints = [walked(first, ink, ground), walked(ink, last, ground)] as const;
      return { ink, joints, dullest: Math.min(...joints.map(({ stations }) => dullestOf(stations))) };
    })
    .map((middle) => ({
      ...middle,
      worth: worthBetween(direct, middle.joints, middle.dullest) * shown(endOf(middle.joints[0], -1), card),
    }));
  const spoilt = ({ joints }: Middle): number =>
    joints.filter(({ verdict }) => verdict.kind === 'mud' || verdict.kind === 'too alike').length;
  const { kind, quieter } = direct.verdict;
  return {
    direct,
    needsNone: kind !== 'mud' && kind !== 'dulls' && !quieter,
    middles: middles.toSorted((p, q) => spoilt(p) - spoilt(q) || q.worth - p.worth || q.dullest - p.dullest),
    brewed: brewMiddle(first, last, ground),
  };
}

/** A third ink that quiets two loud ones. */
export interface Quieting {
  readonly ink: Ink;
  /** As it dries. */
  readonly lab: Lab;
  /** Mean chroma of the loud pair, and of the three. */
  readonly before: number;
  readonly after: number;
}

/** An ink nearer to one of the pair than this, CIEDE2000, is lost beside it. */
const LOST = 10;
/** So far off the pair's own middle in lightness, beyond half their step, a third is half as good. By eye. */
const ASIDE = 12;

/**
 * Inks that calm a loud pair: browns, greys and dusty ones that are not lost beside either of the pair. First comes what
 * is as dusty as it takes, near to what the two mix to and between them in lightness: the greyest of all would be a bar
 * between them. Common practice; how it is weighed is by eye.
 */
export function quietPair(first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Quieting[] {
  const ground = groundOfCard(card);
  const dried = (ink: Ink) => driedColour(ink, ground);
  const [p, q] = [dried(first), dried(last)];
  const before = (chroma(p) + chroma(q)) / 2;
  const { stations } = walked(first, last, bareGround(card));
  const mixed = (stations[stations.length >> 1] as Station).lab;
  const worth = (lab: Lab): number => {
    const off = Math.abs(lab.l - (p.l + q.l) / 2) - Math.abs(p.l - q.l) / 2;
    return (
      calms(lab, Math.min(chroma(p), chroma(q)), mixed) *
      fall(Math.max(0, off), ASIDE) *
      even(deltaE00(p, lab), deltaE00(lab, q)) *
      shown(lab, card)
    );
  };
  return shelf
    .filter(({ id }) => id !== first.id && id !== last.id)
    .map((ink) => ({ ink, lab: dried(ink) }))
    .filter(({ lab }) => Math.min(deltaE00(lab, p), deltaE00(lab, q)) >= LOST && chroma(lab) < before)
    .map((third) => ({ ...third, worth: worth(third.lab) }))
    .toSorted((one, other) => other.worth - one.worth)
    .map(({ ink, lab }) => ({ ink, lab, before, after: (2 * before + chroma(lab)) / 3 }));
}

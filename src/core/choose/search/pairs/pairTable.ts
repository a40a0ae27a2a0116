import { nameOrder } from '../../../base/names';
import { type Card, groundOfCard } from '../../../materials/card/card';
import { deltaE00, hueApart } from '../../../materials/colour/difference';
import {
  COLOURLESS,
  chroma,
  hueDegrees,
  type Lab,
  labOfSpectrum,
  writeLab,
} from '../../../materials/colour/lab';
import { nameColour } from '../../../materials/colour/names';
import type { Spectrum } from '../../../materials/colour/spectrum';
import { filmOfInk, type Ink } from '../../../materials/ink/ink';
import { driedColour } from '../../../materials/ink/laid';
import {
  isWhiteGround,
  ONE_HUE,
  STATIONS,
  TOO_ALIKE,
  type VerdictKind,
  WHITE,
} from '../../../readings/joints/joint';
import { type Dullness, findDullness, findFresh, GREYS } from '../../../readings/joints/judge';
import { worthOnCard } from '../../../readings/presence';
import { emptyJointFigures, readJoint, UNNAMED } from './jointFigures';
import { jointMixer, VALUES } from './jointMixer';
import { NOUNS, nounLattice } from './nounLattice';

/** Verdicts as they stand in the table. */
export const VERDICTS: readonly VerdictKind[] = ['clean run', 'new colour', 'dulls', 'mud', 'too alike'];
const codeOf = (verdict: VerdictKind): number => VERDICTS.indexOf(verdict);
const CLEAN = codeOf('clean run');
const NEW = codeOf('new colour');
export const DULLS = codeOf('dulls');
export const MUD = codeOf('mud');
export const ALIKE = codeOf('too alike');
/** Stand there instead of a verdict: of a joint that nobody has asked for only the difference of its inks is known. */
const UNMEASURED = 255;
export const UNJUDGED = 254;

/** The shelf as it dries on a card, palest first: an ink's place here is its number in every table. */
export interface DriedInks {
  readonly inks: readonly Ink[];
  /** Where each stands on the shelf as it was given. */
  readonly places: Uint16Array;
  readonly labs: readonly Lab[];
  /** The bare card they dried on. */
  readonly ground: Spectrum;
  readonly lightness: Float64Array;
  readonly chroma: Float64Array;
  /** Degrees. */
  readonly hue: Float64Array;
  /** Place in `NOUNS`. */
  readonly noun: Uint8Array;
  /** What each is worth on the card, 0…1: less where it is lost there. */
  readonly worth: Float64Array;
}

/** Dries inks on a card and orders them from pale to dark. */
export function dryInks(shelf: readonly Ink[], card: Card): DriedInks {
  const ground = groundOfCard(card);
  const dried = shelf
    .map((ink, place) => ({ ink, place, lab: driedColour(ink, ground) }))
    .sort((p, q) => q.lab.l - p.lab.l || nameOrder(p.ink.name, q.ink.name));
  const labs = dried.map(({ lab }) => lab);
  const bare = labOfSpectrum(ground);
  return {
    inks: dried.map(({ ink }) => ink),
    places: Uint16Array.from(dried, ({ place }) => place),
    labs,
    ground,
    lightness: Float64Array.from(labs, ({ l }) => l),
    chroma: Float64Array.from(labs, chroma),
    hue: Float64Array.from(labs, hueDegrees),
    noun: Uint8Array.from(labs, (lab) => NOUNS.indexOf(nameColour(lab).noun)),
    worth: Float64Array.from(labs, (lab) => worthOnCard(lab, bare)),
  };
}

/**
 * What becomes of every joint on a card. The joint of inks i and j stands at i·count + j and at j·count + i.
 */
export interface PairTable {
  readonly count: number;
  /** Place in `VERDICTS`, or `UNJUDGED`. */
  readonly verdict: Uint8Array;
  /** CIEDE2000 between the two inks. */
  readonly difference: Float32Array;
  /** Least chroma on the way. */
  readonly dullest: Float32Array;
  /** How even the change is along the joint: its mean step over its greatest, in CIE94, 0…1. */
  readonly flow: Float32Array;
  /** What colourful hues that neither ink has are worth, by chroma over `LIVELY` and by their part of the joint. */
  readonly live: Float32Array;
  /** The part of the joint they take, 0…1. */
  readonly wide: Float32Array;
  /** Their mean hue, degrees, and its chroma; 0 without any. */
  readonly newHue: Float32Array;
  readonly newChroma: Float32Array;
  /** a* and b* of the even mixture. */
  readonly mixA: Float32Array;
  readonly mixB: Float32Array;
  /** How far the way of the mixture bows toward rising hue, off the straight line in a* and b*; turned, it is negative. */
  readonly bow: Float32Array;
}

/**
 * A table with no joint judged yet.
 *
 * @param memory  makes the bytes it stands on; shared memory where several workers fill one table
 */
export function emptyPairTable(
  count: number,
  memory: (bytes: number) => ArrayBufferLike = (bytes) => new ArrayBuffer(bytes),
): PairTable {
  const size = count * count;
  const figures = (): Float32Array<ArrayBufferLike> => new Float32Array(memory(4 * size));
  return {
    count,
    verdict: new Uint8Array(memory(size)).fill(UNMEASURED),
    difference: figures(),
    dullest: figures(),
    flow: figures(),
    live: figures(),
    wide: figures(),
    newHue: figures(),
    newChroma: figures(),
    mixA: figures(),
    mixB: figures(),
    bow: figures(),
  };
}

/** Designations met once are remembered from shelf to shelf and card to card. */
const { nounOf, prepare } = nounLattice();

/** Fills the memory of designations with what `namesOfLattice` worked out, before the first search. */
export const prepareNouns = prepare;

/** Which joints are asked for, by the places of their inks in the dried shelf. */
export type Joins = (row: number, other: number) => boolean;

/**
 * Judges the joints of one ink with the darker ones, or with those from `from` up to `to`, where they are wanted and not
 * judged yet; of the others it measures how far their inks are apart.
 */
export type RowJudge = (row: number, table: PairTable, from?: number, to?: number, wanted?: Joins) => void;
const ALL: Joins = () => true;

/** What joints are like as they would dry on white, as it stands in a list of them. */
const [UNKNOWN, CLEAR, DULLENS, MUDDIES] = [0, 1, 2, 3];

/**
 * Which joints of a shelf dull on white, with none looked at yet. Cards that are not white ask for it, and it is the same
 * for all of them: kept from card to card, each joint is walked on white only once. By places on the shelf as it was
 * given, both ways round.
 */
export const emptyDullnesses = (
  count: number,
  memory: (bytes: number) => ArrayBufferLike = (bytes) => new ArrayBuffer(bytes),
): Uint8Array => new Uint8Array(memory(count * count));

/** What a judge of joints can be given; all of it can be left out. */
export interface PairJudgeParts {
  /** `emptyDullnesses`, filled as joints are judged. */
  readonly onWhite?: Uint8Array;
  /** What mixes the joints; any other than the quickest is for comparing. */
  readonly makeMixer?: typeof jointMixer;
}

/**
 * The rule of `judgeJoint` for a whole shelf: a function that fills one row of a pair table.
 *
 * The same film model and the same rule, with the colours kept as plain numbers; nouns come from a lattice.
 */
export function pairJudge(
  dried: DriedInks,
  card: Card,
  { onWhite = emptyDullnesses(dried.inks.length), makeMixer = jointMixer }: PairJudgeParts = {},
): RowJudge {
  const { inks, labs, noun, places } = dried;
  const count = inks.length;
  const ground = groundOfCard(card);
  const isWhite = isWhiteGround(labOfSpectrum(ground));
  const labsOnWhite = isWhite ? labs : inks.map((ink) => driedColour(ink, WHITE));
  const mix = makeMixer(inks.map(filmOfInk), { ground, other: WHITE });
  const walked = emptyWalk();
  const walkedOnWhite = emptyWalk();
  const nouns = new Uint8Array(STATIONS);
  const read = emptyJointFigures();
  const dullness: Dullness = { at: -1, isMud: false };

  return (row, table, from = row + 1, to = count, wanted = ALL) => {
    for (let other = from; other < Math.min(to, count); other++) {
      const known = table.verdict[row * count + other];
      if (known < UNJUDGED) continue;
      const isWanted = wanted(row, other);
      if (!isWanted && known === UNJUDGED) continue;
      const difference = deltaE00(labs[row] as Lab, labs[other] as Lab);
      if (isWanted) judge(row, other, dullnessOf(row, other), difference, table);
      else measure(row, other, difference, table);
    }
  };

  function measure(row: number, other: number, difference: number, table: PairTable): void {
    for (const at of [row * count + other, other * count + row]) {
      table.verdict[at] = UNJUDGED;
      table.difference[at] = difference;
    }
  }

  /**
   * Walks a joint and tells whether it dulls: on white the joint itself is judged for mud; on another card, as it would
   * dry on white.
   */
  function dullnessOf(row: number, other: number): number {
    const at = places[row] * count + places[other];
    const known = isWhite ? UNKNOWN : onWhite[at];
    const mixed = mix(row, other, !isWhite && known === UNKNOWN);
    setWalk(walked, labs[row] as Lab, labs[other] as Lab, mixed, 0);
    if (known !== UNKNOWN) return known;
    const walk = isWhite ? walked : walkedOnWhite;
    if (!isWhite) setWalk(walk, labsOnWhite[row] as Lab, labsOnWhite[other] as Lab, mixed, VALUES);
    findDullness(walk, dullness);
    const dull = dullness.at < 0 ? CLEAR : dullness.isMud ? MUDDIES : DULLENS;
    if (!isWhite) {
      onWhite[at] = dull;
      onWhite[places[other] * count + places[row]] = dull;
    }
    return dull;
  }

  function judge(row: number, other: number, dull: number, difference: number, table: PairTable): void {
    const mayBeNew = difference >= TOO_ALIKE && dull === CLEAR && !isOneHue(row, other);
    if (mayBeNew) nameStations(row, other);
    else nouns.fill(UNNAMED);
    const couldBeNew = mayBeNew && hasNewNoun(nouns);
    readJoint(walked, nouns, couldBeNew, read, nounOf);
    const verdict =
      difference < TOO_ALIKE
        ? ALIKE
        : dull !== CLEAR
          ? dull === MUDDIES
            ? MUD
            : DULLS
          : couldBeNew && findFresh(nouns, read.steps, read.fromRungs) >= 0
            ? NEW
            : CLEAN;
    for (const at of [row * count + other, other * count + row]) {
      table.verdict[at] = verdict;
      table.difference[at] = difference;
      table.dullest[at] = read.dullest;
      table.flow[at] = read.flow;
      table.live[at] = read.live;
      table.wide[at] = read.wide;
      table.newHue[at] = read.newHue;
      table.newChroma[at] = read.newChroma;
      table.mixA[at] = read.mixA;
      table.mixB[at] = read.mixB;
      table.bow[at] = read.bow;
    }
    table.bow[other * count + row] = -read.bow;
  }

  function nameStations(row: number, other: number): void {
    nouns[0] = noun[row];
    nouns[STATIONS - 1] = noun[other];
    for (let station = 1; station < STATIONS - 1; station++) {
      const lab = walked[station] as Lab;
      const own = chroma(lab) < COLOURLESS ? noun[row] : nounOf(lab);
      nouns[station] = isGreyNoun[own] === 1 ? noun[row] : own;
    }
  }

  function isOneHue(row: number, other: number): boolean {
    const colourless = Math.min(dried.chroma[row], dried.chroma[other]) <= COLOURLESS;
    return !colourless && hueApart(dried.hue[row], dried.hue[other]) < ONE_HUE;
  }
}

/** By a noun's number: 1 where it names a grey. */
const isGreyNoun = Uint8Array.from(NOUNS, (noun) => (GREYS.has(noun) ? 1 : 0));

/** Whether a noun is met on the way that neither rung has. */
function hasNewNoun(nouns: Uint8Array): boolean {
  for (let i = 1; i < STATIONS - 1; i++)
    if (nouns[i] !== nouns[0] && nouns[i] !== nouns[STATIONS - 1]) return true;
  return false;
}

/** The stations of a joint; those between the inks are written over from joint to joint. */
const emptyWalk = (): Lab[] => Array.from({ length: STATIONS }, () => ({ l: 0, a: 0, b: 0 }));

/** @param from  where the first station's X, Y and Z stand in `mixed` */
function setWalk(walk: Lab[], first: Lab, last: Lab, mixed: Float64Array, from: number): void {
  walk[0] = first;
  walk[STATIONS - 1] = last;
  for (let station = 1, at = from; station < STATIONS - 1; station++, at += 3)
    writeLab(mixed[at], mixed[at + 1], mixed[at + 2], walk[station] as Lab);
}

import { type Card, groundOfCard } from '../../../materials/card/card';
import { deltaE00, hueApart } from '../../../materials/colour/difference';
import {
  COLOURLESS,
  chroma,
  hueDegrees,
  type Lab,
  labOfSpectrum,
  labOfXyz,
} from '../../../materials/colour/lab';
import { nameColour } from '../../../materials/colour/names';
import { WEIGHTS } from '../../../materials/colour/observer';
import { BANDS, type Spectrum } from '../../../materials/colour/spectrum';
import type { Film } from '../../../materials/ink/film';
import { filmCurve } from '../../../materials/ink/filmCurve';
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
import { type Dullness, findDullness, findFresh } from '../../../readings/joints/judge';
import { emptyJointFigures, readJoint } from './jointFigures';
import { NOUNS, nounLattice } from './nounLattice';

/** Verdicts as they stand in the table. */
export const VERDICTS: readonly VerdictKind[] = ['clean run', 'new colour', 'dulls', 'mud', 'too alike'];
const codeOf = (verdict: VerdictKind): number => VERDICTS.indexOf(verdict);
const CLEAN = codeOf('clean run');
const NEW = codeOf('new colour');
const DULLS = codeOf('dulls');
export const MUD = codeOf('mud');
export const ALIKE = codeOf('too alike');

/** The shelf as it dries on a card, palest first: an ink's place here is its number in every table. */
export interface DriedInks {
  readonly inks: readonly Ink[];
  readonly labs: readonly Lab[];
  /** The bare card they dried on. */
  readonly ground: Spectrum;
  readonly lightness: Float64Array;
  readonly chroma: Float64Array;
  /** Degrees. */
  readonly hue: Float64Array;
  /** Place in `NOUNS`. */
  readonly noun: Uint8Array;
}

/** Dries inks on a card and orders them from pale to dark. */
export function dryInks(shelf: readonly Ink[], card: Card): DriedInks {
  const ground = groundOfCard(card);
  const dried = shelf
    .map((ink) => ({ ink, lab: driedColour(ink, ground) }))
    .sort((p, q) => q.lab.l - p.lab.l || p.ink.name.localeCompare(q.ink.name));
  const labs = dried.map(({ lab }) => lab);
  return {
    inks: dried.map(({ ink }) => ink),
    labs,
    ground,
    lightness: Float64Array.from(labs, ({ l }) => l),
    chroma: Float64Array.from(labs, chroma),
    hue: Float64Array.from(labs, hueDegrees),
    noun: Uint8Array.from(labs, (lab) => NOUNS.indexOf(nameColour(lab).noun)),
  };
}

/**
 * What becomes of every joint on a card. The joint of inks i and j stands at i·count + j and at j·count + i.
 */
export interface PairTable {
  readonly count: number;
  /** Place in `VERDICTS`. */
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
    verdict: new Uint8Array(memory(size)).fill(ALIKE),
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

/** Judges the joints of one ink with the darker ones, or with those from `from` up to `to`. */
export type RowJudge = (row: number, table: PairTable, from?: number, to?: number) => void;

/**
 * The rule of `judgeJoint` for a whole shelf: a function that fills one row of a pair table.
 *
 * The same film model and the same rule, with the colours kept as plain numbers; nouns come from a lattice.
 */
export function pairJudge(dried: DriedInks, card: Card): RowJudge {
  const { inks, labs, noun } = dried;
  const count = inks.length;
  const films = inks.map(filmOfInk);
  const bare = groundOfCard(card);
  const ground = weighedGround(bare);
  // On white the joint itself is judged for mud; on another card, as it would dry on white.
  const white = isWhiteGround(labOfSpectrum(bare)) ? undefined : weighedGround(WHITE);
  const labsOnWhite = white ? inks.map((ink) => driedColour(ink, WHITE)) : labs;
  const walked: Lab[] = new Array(STATIONS);
  const onWhite: Lab[] = white ? new Array(STATIONS) : walked;
  const nouns = new Uint8Array(STATIONS);
  const read = emptyJointFigures();
  const dullness: Dullness = { at: -1, isMud: false };

  return (row, table, from = row + 1, to = count) => {
    for (let other = from; other < Math.min(to, count); other++) {
      const [first, second] = [films[row], films[other]];
      if (!first || !second) return;
      setEnds(walked, labs[row] as Lab, labs[other] as Lab);
      setEnds(onWhite, labsOnWhite[row] as Lab, labsOnWhite[other] as Lab);
      nouns[0] = noun[row];
      nouns[STATIONS - 1] = noun[other];
      for (let station = 1; station < STATIONS - 1; station++) {
        const part = station / (STATIONS - 1);
        const lab = mixedLab(first, second, part, ground);
        walked[station] = lab;
        nouns[station] = nounOf(lab.l, lab.a, lab.b);
        if (white) onWhite[station] = mixedLab(first, second, part, white);
      }
      judge(row, other, table);
    }
  };

  function judge(row: number, other: number, table: PairTable): void {
    findDullness(onWhite, dullness);
    const difference = deltaE00(labs[row] as Lab, labs[other] as Lab);
    const couldBeNew =
      difference >= TOO_ALIKE && dullness.at < 0 && !isOneHue(row, other) && hasNewNoun(nouns);
    readJoint(walked, nouns, couldBeNew, read);
    const verdict =
      difference < TOO_ALIKE
        ? ALIKE
        : dullness.at >= 0
          ? dullness.isMud
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

  function isOneHue(row: number, other: number): boolean {
    const colourless = Math.min(dried.chroma[row], dried.chroma[other]) <= COLOURLESS;
    return !colourless && hueApart(dried.hue[row], dried.hue[other]) < ONE_HUE;
  }
}

/** Whether a noun is met on the way that neither rung has. */
function hasNewNoun(nouns: Uint8Array): boolean {
  for (let i = 1; i < STATIONS - 1; i++)
    if (nouns[i] !== nouns[0] && nouns[i] !== nouns[STATIONS - 1]) return true;
  return false;
}

function setEnds(labs: Lab[], first: Lab, last: Lab): void {
  labs[0] = first;
  labs[STATIONS - 1] = last;
}

/** What each band of a ground adds to X, Y and Z, laid out as the loop over bands reads it: ground, x, y, z. */
function weighedGround(ground: Spectrum): Float64Array {
  const rows = new Float64Array(4 * BANDS);
  for (let band = 0; band < BANDS; band++)
    rows.set(
      [ground[band], WEIGHTS.x[band], WEIGHTS.y[band], WEIGHTS.z[band]].map((value) => value),
      4 * band,
    );
  return rows;
}

/** Colour of two films in the parts 1 − y and y over a ground: `mixedReflectance` and its sum in one pass. */
function mixedLab(first: Film, second: Film, y: number, ground: Float64Array): Lab {
  const { absorption: k1, scattering: s1 } = first;
  const { absorption: k2, scattering: s2 } = second;
  const x = 1 - y;
  let sumX = 0;
  let sumY = 0;
  let sumZ = 0;
  for (let band = 0, at = 0; band < BANDS; band++, at += 4) {
    const k = x * k1[band] + y * k2[band];
    const s = x * s1[band] + y * s2[band];
    const g = ground[at];
    const both = k + s;
    const curve = filmCurve(k * (both + s));
    const r = (s - g * (both - curve)) / (both - g * s + curve);
    sumX += r * ground[at + 1];
    sumY += r * ground[at + 2];
    sumZ += r * ground[at + 3];
  }
  return labOfXyz({ x: sumX, y: sumY, z: sumZ });
}

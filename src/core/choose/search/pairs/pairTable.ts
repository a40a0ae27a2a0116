import { type Card, groundOfCard } from '../../../materials/card/card';
import { deltaE00 } from '../../../materials/colour/difference';
import { chroma, hueDegrees, type Lab, labOfXyz } from '../../../materials/colour/lab';
import { nameColour } from '../../../materials/colour/names';
import { WEIGHTS } from '../../../materials/colour/observer';
import { BANDS, type Spectrum } from '../../../materials/colour/spectrum';
import type { Film } from '../../../materials/ink/film';
import { filmCurve } from '../../../materials/ink/filmCurve';
import { filmOfInk, type Ink, potencyOf } from '../../../materials/ink/ink';
import { driedColour } from '../../../materials/ink/laid';
import { MUDDY, STATIONS, TOO_ALIKE, type VerdictKind } from '../../../readings/joints/joint';
import { NOUNS, nounLattice } from './nounLattice';

/** Verdicts as they stand in the table. */
export const VERDICTS: readonly VerdictKind[] = ['clean run', 'new colour', 'mud', 'too alike'];
const codeOf = (verdict: VerdictKind): number => VERDICTS.indexOf(verdict);
const CLEAN = codeOf('clean run');
const NEW = codeOf('new colour');
export const MUD = codeOf('mud');
export const ALIKE = codeOf('too alike');

/** What stands in `fresh` where a joint has no new colour. */
export const NO_NOUN = 255;

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
  /** Noun of the most colourful hue that neither ink has, as its place in `NOUNS`; `NO_NOUN` without one. */
  readonly fresh: Uint8Array;
  /** Chroma of that colour, 0 without one. */
  readonly freshChroma: Float32Array;
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
  return {
    count,
    verdict: new Uint8Array(memory(size)).fill(ALIKE),
    difference: new Float32Array(memory(4 * size)),
    dullest: new Float32Array(memory(4 * size)),
    fresh: new Uint8Array(memory(size)).fill(NO_NOUN),
    freshChroma: new Float32Array(memory(4 * size)),
  };
}

/** Designations met once are remembered from shelf to shelf and card to card. */
const nounOf = nounLattice();
/** By a noun's number: 1 where it names a muddy colour. */
export const muddyNoun = Uint8Array.from(NOUNS, (noun) => (MUDDY.has(noun) ? 1 : 0));
const inMiddleHalf = Uint8Array.from({ length: STATIONS }, (_, i) => {
  const mix = i / (STATIONS - 1);
  return mix >= 0.25 && mix <= 0.75 ? 1 : 0;
});

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
  const films = inks.map(evenFilm);
  const ground = weighedGround(groundOfCard(card));
  const chromas = new Float64Array(STATIONS);
  const nouns = new Uint8Array(STATIONS);

  return (row, table, from = row + 1, to = count) => {
    for (let other = from; other < Math.min(to, count); other++) {
      const [first, second] = [films[row], films[other]];
      if (!first || !second) return;
      for (let station = 1; station < STATIONS - 1; station++) {
        const part = station / (STATIONS - 1);
        const y = (part * second.potency) / ((1 - part) * first.potency + part * second.potency);
        const lab = mixedLab(first, second, y, ground);
        chromas[station] = chroma(lab);
        nouns[station] = nounOf(lab.l, lab.a, lab.b);
      }
      judge(row, other, table);
    }
  };

  function judge(row: number, other: number, table: PairTable): void {
    const [firstNoun, lastNoun] = [noun[row], noun[other]];
    const weaker = Math.min(dried.chroma[row], dried.chroma[other]);
    const rungIsMuddy = muddyNoun[firstNoun] === 1 || muddyNoun[lastNoun] === 1;
    let dullest = Number.POSITIVE_INFINITY;
    let fresh = NO_NOUN;
    let freshChroma = 0;
    let stretch = 0;
    let mud = false;
    let dull = false;
    for (let station = 1; station < STATIONS - 1; station++) {
      const c = chromas[station];
      const hue = nouns[station];
      dullest = Math.min(dullest, c);
      const isDull = !rungIsMuddy && muddyNoun[hue] === 1 && c < weaker;
      dull ||= isDull;
      if (hue !== firstNoun && hue !== lastNoun && !isDull && c > freshChroma) {
        freshChroma = c;
        fresh = hue;
      }
      stretch = isDull && inMiddleHalf[station] === 1 ? stretch + 1 : 0;
      if (stretch >= 2) mud = true;
    }
    if (dull && fresh === NO_NOUN) mud = true;
    const difference = deltaE00(labs[row] as Lab, labs[other] as Lab);
    const verdict = difference < TOO_ALIKE ? ALIKE : mud ? MUD : fresh !== NO_NOUN ? NEW : CLEAN;
    for (const at of [row * count + other, other * count + row]) {
      table.verdict[at] = verdict;
      table.difference[at] = difference;
      table.dullest[at] = dullest;
      table.fresh[at] = fresh;
      table.freshChroma[at] = freshChroma;
    }
  }
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

/** An ink's film, and whether it scatters alike in every band, as one does whose hiding is taken from its kind. */
interface EvenFilm extends Film {
  readonly even: boolean;
  readonly potency: number;
}

function evenFilm(ink: Ink): EvenFilm {
  const film = filmOfInk(ink);
  const even = film.scattering.every((s) => s === film.scattering[0]);
  return { ...film, even, potency: potencyOf(ink) };
}

/** Colour of two films in the parts 1 − y and y over a ground: `mixedReflectance` and its sum in one pass. */
function mixedLab(first: EvenFilm, second: EvenFilm, y: number, ground: Float64Array): Lab {
  const { absorption: k1, scattering: s1, even: even1 } = first;
  const { absorption: k2, scattering: s2, even: even2 } = second;
  const x = 1 - y;
  const even = even1 && even2;
  let s = x * s1[0] + y * s2[0];
  let sumX = 0;
  let sumY = 0;
  let sumZ = 0;
  for (let band = 0, at = 0; band < BANDS; band++, at += 4) {
    const k = x * k1[band] + y * k2[band];
    if (!even) s = x * s1[band] + y * s2[band];
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

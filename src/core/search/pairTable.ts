import { type Card, groundOfCard } from '../card/card';
import { deltaE00 } from '../colour/difference';
import { chroma, hueDegrees, type Lab, labOfXyz } from '../colour/lab';
import { nameColour } from '../colour/names';
import { WEIGHTS } from '../colour/observer';
import { BANDS } from '../colour/spectrum';
import { expMinus } from '../ink/expMinus';
import { filmOfInk, type Ink } from '../ink/ink';
import { driedColour } from '../ink/laid';
import { MUDDY, STATIONS, TOO_ALIKE, type VerdictKind } from '../ladder/joint';
import { NOUNS, nounLattice } from './nounLattice';

/** Verdicts as they stand in the table. */
export const VERDICTS: readonly VerdictKind[] = ['clean run', 'new colour', 'mud', 'too alike'];
const [CLEAN, NEW, MUD, ALIKE] = [0, 1, 2, 3];

/** What stands in `fresh` where a joint has no new colour. */
export const NO_NOUN = 255;

/** The shelf as it dries on a card, palest first: an ink's place here is its number in every table. */
export interface DriedInks {
  readonly inks: readonly Ink[];
  readonly labs: readonly Lab[];
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

export function emptyPairTable(count: number): PairTable {
  const size = count * count;
  return {
    count,
    verdict: new Uint8Array(size).fill(ALIKE),
    difference: new Float32Array(size),
    dullest: new Float32Array(size),
    fresh: new Uint8Array(size).fill(NO_NOUN),
    freshChroma: new Float32Array(size),
  };
}

const muddy = Uint8Array.from(NOUNS, (noun) => (MUDDY.has(noun) ? 1 : 0));
const inMiddleHalf = Uint8Array.from({ length: STATIONS }, (_, i) => {
  const mix = i / (STATIONS - 1);
  return mix >= 0.25 && mix <= 0.75 ? 1 : 0;
});

/** Judges joints of one ink with all darker ones; `pairJudge` keeps what the rows share. */
export type RowJudge = (row: number, table: PairTable) => void;

/**
 * The rule of `judgeJoint` for a whole shelf: a function that fills one row of a pair table.
 *
 * The same film model and the same rule, with the colours kept as plain numbers; nouns come from a lattice.
 */
export function pairJudge(dried: DriedInks, card: Card): RowJudge {
  const { inks, labs, noun } = dried;
  const count = inks.length;
  const films = inks.map(filmOfInk);
  const ground = groundOfCard(card);
  const nounOf = nounLattice();
  const chromas = new Float64Array(STATIONS);
  const nouns = new Uint8Array(STATIONS);

  return (row, table) => {
    for (let other = row + 1; other < count; other++) {
      const [first, second] = [films[row], films[other]];
      if (!first || !second) return;
      for (let station = 1; station < STATIONS - 1; station++) {
        const y = station / (STATIONS - 1);
        const xyz = mixedXyz(
          first.absorption,
          first.scattering,
          second.absorption,
          second.scattering,
          y,
          ground,
        );
        const lab = labOfXyz(xyz);
        chromas[station] = chroma(lab);
        nouns[station] = nounOf(lab.l, lab.a, lab.b);
      }
      judge(row, other, table);
    }
  };

  function judge(row: number, other: number, table: PairTable): void {
    const [firstNoun, lastNoun] = [noun[row] as number, noun[other] as number];
    const weaker = Math.min(dried.chroma[row] as number, dried.chroma[other] as number);
    const rungIsMuddy = muddy[firstNoun] === 1 || muddy[lastNoun] === 1;
    let dullest = Number.POSITIVE_INFINITY;
    let fresh = NO_NOUN;
    let freshChroma = 0;
    let stretch = 0;
    let mud = false;
    let dull = false;
    for (let station = 1; station < STATIONS - 1; station++) {
      const c = chromas[station] as number;
      const hue = nouns[station] as number;
      dullest = Math.min(dullest, c);
      const isDull = !rungIsMuddy && muddy[hue] === 1 && c < weaker;
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
      table.verdict[at] = verdict as number;
      table.difference[at] = difference;
      table.dullest[at] = dullest;
      table.fresh[at] = fresh;
      table.freshChroma[at] = freshChroma;
    }
  }
}

/** Tristimulus values of two films in the parts 1 − y and y over a ground: `mixedReflectance` and its sum in one pass. */
function mixedXyz(
  k1: Float64Array,
  s1: Float64Array,
  k2: Float64Array,
  s2: Float64Array,
  y: number,
  ground: Float64Array,
): { x: number; y: number; z: number } {
  const x = 1 - y;
  const wx = WEIGHTS.x;
  const wy = WEIGHTS.y;
  const wz = WEIGHTS.z;
  let sumX = 0;
  let sumY = 0;
  let sumZ = 0;
  for (let band = 0; band < BANDS; band++) {
    const k = x * (k1[band] as number) + y * (k2[band] as number);
    const s = x * (s1[band] as number) + y * (s2[band] as number);
    const g = ground[band] as number;
    // Kubelka's formula multiplied through by s·(1 − e), so that it holds for a clear film too.
    const q = Math.sqrt(k * (k + 2 * s));
    let r = g;
    if (q > 1e-4) {
      const e = expMinus(2 * q);
      const less = 1 - e;
      const more = q * (1 + e);
      r = ((s - g * (s + k)) * less + g * more) / ((s + k - g * s) * less + more);
    } else if (s > 0) r = (s * (1 - g) + g) / (s * (1 - g) + 1);
    sumX += r * (wx[band] as number);
    sumY += r * (wy[band] as number);
    sumZ += r * (wz[band] as number);
  }
  return { x: sumX, y: sumY, z: sumZ };
}

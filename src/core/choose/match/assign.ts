import { linearSumAssignment } from 'linear-sum-assignment';
import { listed } from '../../base/words';
import { deltaE00 } from '../../materials/colour/difference';
import { chroma, type Lab } from '../../materials/colour/lab';
import type { DriedInk } from '../../readings/driedShelf';

/** An ink set against a wanted colour. */
export interface Candidate {
  readonly dried: DriedInk;
  /** CIEDE2000, dried, to the wanted colour. */
  readonly difference: number;
}

/** A wanted colour with the ink given to it. */
export interface Match extends Candidate {
  readonly wanted: Lab;
  /** The inks nearest to this colour, whoever else has them; nearest first. */
  readonly nearest: readonly Candidate[];
}

/** Inks told as nearest to each colour. */
const NEAREST = 6;

/**
 * Gives each wanted colour an ink of its own, so that the sum of all differences is least: no ink is used twice.
 *
 * @returns one match a colour, in the colours' order; none when the shelf has fewer inks than there are colours
 * Source of the assignment: D. F. Crouse, IEEE Trans. Aerosp. Electron. Syst. 52 (2016) 1679, in `linear-sum-assignment`.
 */
export function assignInks(wanted: readonly Lab[], shelf: readonly DriedInk[]): Match[] {
  if (wanted.length === 0 || shelf.length < wanted.length) return [];
  const differences = wanted.map((colour) => shelf.map(({ lab }) => deltaE00(colour, lab)));
  const { rowAssignments } = linearSumAssignment(differences, { maximaze: false });
  return wanted.map((colour, i) => {
    const row = differences[i] as number[];
    const candidate = (ink: number): Candidate => ({
      dried: shelf[ink] as DriedInk,
      difference: row[ink] as number,
    });
    const nearest = row
      .map((_, ink) => ink)
      .sort((p, q) => (row[p] as number) - (row[q] as number))
      .slice(0, NEAREST)
      .map(candidate);
    return { wanted: colour, ...candidate(rowAssignments[i] as number), nearest };
  });
}

/** From this difference on an ink does not stand for the colour. CIEDE2000; common practice. */
export const OUT_OF_REACH = 12;

/** A colour difference in words. Thresholds: common practice. */
export function describeDifference(difference: number): string {
  if (difference < 1) return 'the same to the eye';
  if (difference < 3) return 'hardly apart';
  if (difference < 6) return 'near';
  if (difference < OUT_OF_REACH) return 'loosely alike';
  return 'another colour';
}

/** What an ink lacks is told from so much less on, L* and C*. By eye. */
const LACKS = { lightness: 6, chroma: 8 } as const;

/** What the nearest ink lacks, where nothing on the shelf reaches a colour; undefined where something does. */
export function describeOutOfReach({ wanted, nearest }: Match): string | undefined {
  const best = nearest[0];
  if (!best || best.difference < OUT_OF_REACH) return undefined;
  const { lab, ink } = best.dried;
  const [paler, livelier] = [wanted.l - lab.l, chroma(wanted) - chroma(lab)];
  const lacks = [
    paler > LACKS.lightness ? 'paler' : paler < -LACKS.lightness ? 'darker' : '',
    livelier > LACKS.chroma ? 'more colourful' : livelier < -LACKS.chroma ? 'quieter' : '',
  ].filter(Boolean);
  const told = lacks.length > 0 ? `, which would have to be ${listed(lacks)}` : ', of another hue';
  return `No ink on the shelf reaches it. Nearest is ${ink.name}${told}.`;
}

import { deltaE00 } from '../../materials/colour/difference';
import { type Hex, labOfHex } from '../../materials/colour/hex';
import type { Lab } from '../../materials/colour/lab';
import { SPOKEN_COLOURS } from '../../materials/colour/spokenColours';

/** A colour as people speak of it, and which they mean by it. */
export interface SpokenColour {
  readonly name: string;
  readonly lab: Lab;
}

/** So many letters of a colour's name say which is meant. */
const ENOUGH = 4;

/**
 * The colour a word stands for: `turquoise`, `dusty pink`; the shortest name that begins so where the whole is not typed
 * yet. Undefined where people have no such colour.
 */
export function spokenColour(words: string): SpokenColour | undefined {
  const wanted = words.trim().toLowerCase().replaceAll('gray', 'grey').replace(/\s+/g, ' ');
  if (wanted.length < 3) return undefined;
  const whole = SPOKEN_COLOURS.find((row) => row.startsWith(`${wanted} #`));
  const begun =
    wanted.length < ENOUGH
      ? undefined
      : SPOKEN_COLOURS.filter((row) => row.startsWith(wanted)).toSorted((p, q) => p.length - q.length)[0];
  const row = whole ?? begun;
  if (!row) return undefined;
  const at = row.lastIndexOf(' ');
  return { name: row.slice(0, at), lab: labOfHex(row.slice(at + 1) as Hex) };
}

/** Farther from a spoken colour than this, CIEDE2000, an ink is not called by it. By eye. */
const LIKE = 18;

/** What looks like a spoken colour, the nearest first. */
export const nearColour = <Coloured extends { readonly lab: Lab }>(
  { lab }: SpokenColour,
  among: readonly Coloured[],
): readonly Coloured[] =>
  among
    .map((one) => ({ one, far: deltaE00(one.lab, lab) }))
    .filter(({ far }) => far < LIKE)
    .toSorted((p, q) => p.far - q.far)
    .map(({ one }) => one);

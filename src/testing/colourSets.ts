import lists from 'color-name-lists';

/** A named colour of an open list. */
export interface NamedColour {
  readonly name: string;
  readonly hex: string;
  readonly meta?: { readonly parsed?: ToneMeta };
}

interface ToneMeta {
  readonly hueBase100?: number;
  readonly neutralGreyPercent?: number;
  readonly toneWhitePercent?: number;
  readonly toneBlackPercent?: number;
}

const all = Object.values(lists.lists as Record<string, NamedColour[]>);

function listOf(length: number): readonly NamedColour[] {
  const found = all.find((list) => list.length === length);
  if (!found) throw new Error(`color-name-lists has no list of ${length} colours`);
  return found;
}

/** The 1,117 named colours of a colour standard published in 1912, with their place in it. */
export const STANDARD_1912 = listOf(1117);

/** 949 colours with the names people gave them in an open survey. */
export const SURVEY_949 = listOf(949);

/** Every colour of sRGB on a lattice of `steps` levels a channel. */
export function srgbLattice(steps: number): string[] {
  const level = (i: number) =>
    Math.round((255 * i) / (steps - 1))
      .toString(16)
      .padStart(2, '0');
  const axis = Array.from({ length: steps }, (_, i) => level(i));
  return axis.flatMap((r) => axis.flatMap((g) => axis.map((b) => `#${r}${g}${b}`)));
}

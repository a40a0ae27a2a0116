import { capitalised } from '../../base/words';
import { type Hex, hexOfLab, labOfHex } from '../../materials/colour/hex';
import {
  COLOURLESS,
  chroma,
  hueDegrees,
  type Lab,
  linearRgbOfXyz,
  xyzOfLab,
} from '../../materials/colour/lab';
import { plainColour } from '../../materials/colour/plainWords';
import type { Ink } from '../../materials/ink/ink';
import type { DriedInk } from '../../readings/driedShelf';

/** Hue sectors of 30°, from the hue of red onward, in words. */
export const HUE_SECTORS = [
  'red',
  'orange',
  'yellow',
  'yellow green',
  'green',
  'sea green',
  'turquoise',
  'greenish blue',
  'blue',
  'violet',
  'purple',
  'pink',
] as const;

/** Bands of L*, pale first: each from this value up to the one before. */
export const VALUE_BANDS = [80, 65, 50, 35, 0] as const;

/** Hue angle, in degrees, in the middle of the first sector. */
const FIRST_HUE = 30;

/** Place in `HUE_SECTORS` of a dried colour; undefined for greys, which have no hue to speak of. */
export function hueSector(lab: Lab): number | undefined {
  const across = acrossPlane(lab);
  return across === undefined ? undefined : Math.floor(across * HUE_SECTORS.length);
}

/** Where a colour stands across the plane, 0…1 from the first sector's edge round to it again; undefined for greys. */
export function acrossPlane(lab: Lab): number | undefined {
  if (chroma(lab) < COLOURLESS) return undefined;
  return ((hueDegrees(lab) - FIRST_HUE + 15 + 360) % 360) / 360;
}

/** How many inks stand in each place of the hue and value plane: a row a band of L*, a column a sector of hue. */
export function shelfPlane(shelf: readonly DriedInk[]): number[][] {
  const plane = VALUE_BANDS.map(() => HUE_SECTORS.map(() => 0));
  for (const { lab } of shelf) {
    const column = hueSector(lab);
    if (column === undefined) continue;
    const row = VALUE_BANDS.findIndex((from) => lab.l >= from);
    const places = plane[row];
    if (places) places[column] = (places[column] ?? 0) + 1;
  }
  return plane;
}

/** An ink in the middle of each empty place of the plane, as one could be: wished for, under a name in plain words. */
export const inksOfGaps = (shelf: readonly DriedInk[]): Ink[] =>
  shelfPlane(shelf).flatMap((places, row) =>
    places.flatMap((count, column): Ink[] => {
      if (count > 0) return [];
      const overWhite = placeColour(row, column);
      const name = capitalised(plainColour(labOfHex(overWhite)));
      return [
        {
          id: `gap-${row}-${column}`,
          name,
          family: name,
          depth: 'mid',
          kind: 'hybrid',
          overWhite,
          wished: true,
        },
      ];
    }),
  );

/** How much of the greatest chroma a screen can show an ink of an empty place is given: inks seldom reach it. By eye. */
const OF_THE_MOST = 0.8;

/** The colour in the middle of a place of the plane, by its row and its column, as an ink could be. */
function placeColour(row: number, column: number): Hex {
  const from = VALUE_BANDS[row] ?? 0;
  const l =
    row === VALUE_BANDS.length - 1 ? DARKEST_PLACE : (from + (VALUE_BANDS[row - 1] ?? PALEST_PLACE)) / 2;
  const angle = ((FIRST_HUE + (column * 360) / HUE_SECTORS.length) * Math.PI) / 180;
  const at = (c: number): Lab => ({ l, a: c * Math.cos(angle), b: c * Math.sin(angle) });
  let most = 0;
  while (most < 130 && isShown(at(most + 1))) most++;
  return hexOfLab(at(OF_THE_MOST * most));
}

/** L* of the middle of the darkest and the palest band, in which inks do not reach black or white. */
const DARKEST_PLACE = 27;
const PALEST_PLACE = 94;

/** Whether a screen can show a colour. */
function isShown(lab: Lab): boolean {
  const { r, g, b } = linearRgbOfXyz(xyzOfLab(lab));
  return [r, g, b].every((light) => light >= 0 && light <= 1);
}

import { COLOURLESS, chroma, hueDegrees, type Lab } from '../../materials/colour/lab';
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
  if (chroma(lab) < COLOURLESS) return undefined;
  return Math.floor((((hueDegrees(lab) - FIRST_HUE + 15 + 360) % 360) / 360) * HUE_SECTORS.length);
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

import { layered, smoothNoise } from '../../base/noise';
import type { Pixels } from '../../choose/photo/pixels';
import { type Card, groundOfCard } from '../../materials/card/card';
import { hexOfLab, linearRgbOfHex } from '../../materials/colour/hex';
import { type LinearRgb, labOfSpectrum } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import { BLACK_GROUND, type Ink } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import { srgbByteOf } from '../../picture/signal';
import {
  coatsIn,
  dropIn,
  FIELD_IDS,
  FIELDS,
  type FieldId,
  type PageBox,
  type SwatchPage,
} from '../swatches/page';
import { trueInk } from './trueInks';

const PIXELS_A_MM = 5;

/** A swatch page as the simulated desk fills it, seen straight from above. */
export function fillPage(page: SwatchPage, inks: readonly Ink[], card: Card, desk: number): Pixels {
  const [width, height] = [page.width, page.height].map((side) => Math.round(side * PIXELS_A_MM)) as [
    number,
    number,
  ];
  const data = new Uint8ClampedArray(width * height * 4);
  const ground = groundOfCard(card);
  const brushed = layered(smoothNoise(1, desk));
  const put = (box: PageBox, colourAt: (x: number, y: number) => LinearRgb) => {
    for (let j = Math.round(box.y * PIXELS_A_MM); j < (box.y + box.height) * PIXELS_A_MM; j++)
      for (let i = Math.round(box.x * PIXELS_A_MM); i < (box.x + box.width) * PIXELS_A_MM; i++) {
        const { r, g, b } = colourAt(i / PIXELS_A_MM, j / PIXELS_A_MM);
        const uneven = 1 + 0.015 * brushed(i / 40, j / 40);
        const at = (j * width + i) * 4;
        data[at] = srgbByteOf(r * uneven);
        data[at + 1] = srgbByteOf(g * uneven);
        data[at + 2] = srgbByteOf(b * uneven);
        data[at + 3] = 255;
      }
  };
  const bare = linearRgbOfHex(card.colour);
  const printed = colourOf(BLACK_GROUND);
  put({ x: 0, y: 0, width: page.width, height: page.height }, () => bare);
  for (const { x, y } of page.marks) {
    const half = page.markSize / 2;
    put({ x: x - half, y: y - half, width: page.markSize, height: page.markSize }, () => printed);
  }
  for (const row of page.rows) {
    const ink = inks.find(({ id }) => id === row.inkId);
    if (!ink) continue;
    const film = asSwatch(trueInk(ink, desk));
    const laid = (coats: number, under: Spectrum) => colourOf(laidReflectance([{ ink: film, coats }], under));
    // Water takes what it takes of its kind, whatever the ink is said to give.
    const { lifts: _, ...ofKind } = film;
    for (const id of FIELD_IDS)
      put(row.fields[id], fieldColour(id, row.fields[id], laid, ground, coatsIn(id, ofKind)));
  }
  return { width, height, data };
}

function fieldColour(
  id: FieldId,
  box: PageBox,
  laid: (coats: number, under: Spectrum) => LinearRgb,
  ground: Spectrum,
  left: number,
): (x: number, y: number) => LinearRgb {
  const { coats } = FIELDS[id];
  const coat = laid(coats, ground);
  if (id === 'black') {
    const over = laid(coats, BLACK_GROUND);
    return (_, y) => (Math.abs(y - box.y - box.height / 2) < box.height / 4 ? over : coat);
  }
  if (id !== 'lifted' && id !== 'waited') return () => coat;
  const drop = dropIn(box);
  const thinned = laid(left, ground);
  return (x, y) => (Math.hypot(x - drop.x, y - drop.y) < drop.r ? thinned : coat);
}

/** A swatch is laid slowly, with as much as its maker's own swatch: at a strength of one. */
const asSwatch = ({ taught, ...ink }: Ink): Ink =>
  taught ? { ...ink, taught: { ...taught, strength: 1 } } : ink;

const colourOf = (reflectance: Spectrum): LinearRgb => linearRgbOfHex(hexOfLab(labOfSpectrum(reflectance)));

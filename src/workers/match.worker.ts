import { expose, transfer } from 'comlink';
import { type MainColour, mainColours, partsOf } from '../core/choose/match/mainColours';
import { drawReference, REFERENCES } from '../core/choose/match/references';
import type { Pixels } from '../core/choose/photo/pixels';
import { drawSwatchSheet } from '../core/choose/photo/swatchSheet';
import type { Ink } from '../core/materials/ink/ink';
import { openable } from './openable';

/** A larger picture is refused. */
const MOST_MEGAPIXELS = 50;
/** Longest side a picture is reduced to: enough to read a swatch from, in pixels. */
const LONGEST = 900;
const REFERENCE_SIZE = { width: 560, height: 420 } as const;

/** A picture made ready to look at, or why it was refused. */
export type Opened = { readonly pixels: Pixels } | { readonly refused: string };

async function decode(file: Blob): Promise<Opened> {
  const size = await openable(file, MOST_MEGAPIXELS);
  if ('refused' in size) return size;
  try {
    const reduced = Math.min(size.width, size.height) > LONGEST ? { resizeWidth: LONGEST } : {};
    const bitmap = await createImageBitmap(file, {
      imageOrientation: 'from-image',
      resizeQuality: 'medium',
      ...reduced,
    });
    const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [bitmap.width, bitmap.height].map((side) =>
      Math.max(1, Math.round(side * scale)),
    );
    const canvas = new OffscreenCanvas(width as number, height as number);
    const context = canvas.getContext('2d');
    if (!context) return { refused: 'This browser gives no canvas to read pictures with.' };
    // What is transparent lies on white card.
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return { pixels: context.getImageData(0, 0, canvas.width, canvas.height) };
  } catch {
    return { refused: 'The picture is damaged: it could not be read to its end. Export it again.' };
  }
}

const handOver = (pixels: Pixels): { pixels: Pixels } => {
  const { width, height, data } = pixels;
  return transfer({ pixels: { width, height, data } }, [data.buffer as ArrayBuffer]);
};

/** Work on pictures the maker opens. */
const door = {
  /** Reads a picture file, upright, reduced to a size to look at. */
  async open(file: Blob): Promise<Opened> {
    const opened = await decode(file);
    return 'pixels' in opened ? handOver(opened.pixels) : opened;
  },

  /** Draws one of the pictures that come with the application. */
  reference(id: string): Opened {
    const reference = REFERENCES.find((one) => one.id === id);
    if (!reference) return { refused: `There is no picture "${id}".` };
    return handOver(drawReference(reference, REFERENCE_SIZE.width, REFERENCE_SIZE.height));
  },

  swatchSheet: (inks: readonly Ink[]): Opened => handOver(drawSwatchSheet(inks)),

  mainColours: (pixels: Pixels, count: number): MainColour[] => mainColours(pixels, count),

  /** The part of a picture that each of these colours takes. */
  partsOf,
};

export type MatchDoor = typeof door;
expose(door);

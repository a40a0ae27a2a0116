import { contours } from 'd3-contour';
import { decode } from 'fast-png';
import { imageDimensionsFromData } from 'image-dimensions';
import simplify from 'simplify-js';
import { DESIGN_LIMITS, type Design } from '../materials/design/design';
import { DESIGNS_LIMIT } from './designSchema';
import type { ReadDesign } from './designSvg';
import { FileError } from './fileError';
import { refuseBrokenChunks } from './pngChunks';

/** A picture over so many bytes, or with a longer side, is refused before any pixel of it is unpacked. */
export const PNG_LIMITS = { bytes: 20_000_000, side: 6000 } as const;

/** Longest side an outline is drawn from, pixels. */
const LONGEST = 700;
/** How far an outline may stray from the picture's, pixels of the reduced one. */
const STRAY = 0.35;
/** A picture that does not say how large it is, is taken to be so wide, mm. */
const USUAL_WIDTH = 100;

/** Where a PNG says how its rows are woven. Source: PNG specification, W3C, 11.2.2. */
const INTERLACE_AT = 28;

const refuse = (problem: string): never => {
  throw new FileError([{ place: '', problem }]);
};

/**
 * The dark parts of a PNG as a design, outlined.
 *
 * @param swapped  whether the pale parts are meant instead
 * @throws FileError when it is no PNG, too large, damaged or all of one tone
 */
export function readDesignPng(bytes: Uint8Array, id: string, name: string, swapped = false): ReadDesign {
  if (bytes.length > PNG_LIMITS.bytes)
    refuse(
      `The picture has ${Math.round(bytes.length / 1e6)} MB; at most ${PNG_LIMITS.bytes / 1e6} MB are read.`,
    );
  const size = imageDimensionsFromData(bytes);
  if (size?.type !== 'png') return refuse('The file is not a PNG picture. Choose an SVG or a PNG.');
  if (Math.max(size.width, size.height) > PNG_LIMITS.side)
    refuse(
      `The picture has ${size.width} × ${size.height} pixels; at most ${PNG_LIMITS.side} along a side are read. Make it smaller first.`,
    );
  const { tones, width, height, perMetre } = darkness(bytes);
  const [low, high] = rangeOf(tones);
  if (high - low < 0.15)
    refuse('The picture is all of one tone: it has no outline to follow. Use black on white.');
  const threshold = (low + high) / 2;
  const values = framed(swapped ? tones.map((tone) => low + high - tone) : tones, width, height);
  const [found] = contours()
    .size([width + 2, height + 2])
    .thresholds([threshold])(values);
  const mm = perMetre ? (1000 / perMetre.value) * perMetre.reduced : USUAL_WIDTH / width;
  const wide = Math.min(Math.max(width * mm, DESIGN_LIMITS.min), DESIGN_LIMITS.max);
  const scale = wide / width;
  const at = (value: number): string => String(Math.round((value - 1) * scale * 1000) / 1000);
  const d = (found?.coordinates ?? [])
    .flat()
    .map((ring) =>
      simplify(
        ring.map(([x = 0, y = 0]) => ({ x, y })),
        STRAY,
        true,
      ),
    )
    .filter((ring) => ring.length > 3)
    .map((ring) => `M${ring.map(({ x, y }) => `${at(x)} ${at(y)}`).join('L')}Z`)
    .join('');
  if (d === '') refuse('The picture has no dark part that could be outlined. Use black on white.');
  if (d.length > DESIGNS_LIMIT)
    refuse('The picture is too busy to outline. Smooth it, or take a larger part of it.');
  const design: Design = {
    id,
    name,
    use: 'image',
    width: wide,
    height: Math.round(height * scale * 1000) / 1000,
    shapes: [{ d, rule: 'evenodd' }],
  };
  return { design, leftOut: [] };
}

interface Tones {
  /** 0 white … 1 black, row by row; what is transparent is white. */
  readonly tones: Float64Array;
  readonly width: number;
  readonly height: number;
  /** Resolution the file tells, and how many of its pixels went into one. */
  readonly perMetre: { readonly value: number; readonly reduced: number } | undefined;
}

function darkness(bytes: Uint8Array): Tones {
  refuseBrokenChunks(bytes);
  let picture: ReturnType<typeof decode>;
  try {
    picture = decode(bytes, { checkCrc: true });
  } catch {
    return refuse('The picture is damaged: it could not be read to its end. Export it again.');
  }
  const { width, height, data, channels, depth, palette, transparency, resolution } = picture;
  if (depth < 8 && bytes[INTERLACE_AT] !== 0)
    refuse(
      'The picture is interlaced and has fewer than 8 bits a pixel, which is not read. Save it without interlacing.',
    );
  const step = Math.max(1, Math.ceil(Math.max(width, height) / LONGEST));
  const [across, down] = [Math.floor(width / step) || 1, Math.floor(height / step) || 1];
  const most = 2 ** depth - 1;
  // Pixels of less than a byte lie packed, the first in the highest bits, each row from a byte of its own.
  // Source: PNG specification, W3C, 7.2.
  const rowBytes = Math.ceil((width * depth) / 8);
  const packed = (x: number, y: number): number => {
    const bit = x * depth;
    const byte = data[y * rowBytes + (bit >> 3)];
    return (byte >> (8 - depth - (bit & 7))) & most;
  };
  const darknessAt = (x: number, y: number): number => {
    const pixel = y * width + x;
    let [r, g, b, alpha] = [0, 0, 0, 1];
    if (palette) {
      const entry = palette[depth < 8 ? packed(x, y) : data[pixel]] ?? [0, 0, 0];
      [r, g, b] = [(entry[0] ?? 0) / 255, (entry[1] ?? 0) / 255, (entry[2] ?? 0) / 255];
      alpha = (entry[3] ?? 255) / 255;
    } else if (depth < 8) {
      r = packed(x, y) / most;
      [g, b] = [r, r];
      if (transparency && packed(x, y) === transparency[0]) alpha = 0;
    } else {
      const from = pixel * channels;
      const value = (i: number) => data[from + i] / most;
      [r, g, b] = channels < 3 ? [value(0), value(0), value(0)] : [value(0), value(1), value(2)];
      if (channels === 2 || channels === 4) alpha = value(channels - 1);
      // One value, or one triple, may stand for no colour at all. Source: PNG specification, W3C, 11.3.2.1.
      else if (transparency?.every((open, i) => open === data[from + i])) alpha = 0;
    }
    return alpha * (1 - (0.2126 * r + 0.7152 * g + 0.0722 * b));
  };
  const tones = new Float64Array(across * down);
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++) {
      let sum = 0;
      for (let dy = 0; dy < step; dy++)
        for (let dx = 0; dx < step; dx++) sum += darknessAt(x * step + dx, y * step + dy);
      tones[y * across + x] = sum / step ** 2;
    }
  const known = resolution?.unit === 1 && resolution.x > 0;
  return {
    tones,
    width: across,
    height: down,
    perMetre: known ? { value: resolution.x, reduced: step } : undefined,
  };
}

/** The tones that all but a fiftieth lie above and below. */
function rangeOf(tones: Float64Array): [low: number, high: number] {
  const sorted = tones.toSorted();
  const at = (part: number) => sorted[Math.min(Math.floor(part * sorted.length), sorted.length - 1)];
  return [at(0.002), at(0.998)];
}

/** The tones with a rim of white around them, so that every outline closes. */
function framed(tones: Float64Array, width: number, height: number): number[] {
  const values = new Array<number>((width + 2) * (height + 2)).fill(0);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) values[(y + 1) * (width + 2) + x + 1] = tones[y * width + x];
  return values;
}

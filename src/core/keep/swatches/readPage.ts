import { type Corners, canBeSeen, type Point, projectionOf } from '../../base/perspective';
import { LINEAR, type Pixels } from '../../choose/photo/pixels';
import { boxAround, labOfRgb, sampleBox } from '../../choose/photo/sample';
import { deltaE00 } from '../../materials/colour/difference';
import { type Hex, hexOfLab } from '../../materials/colour/hex';
import {
  type Lab,
  type LinearRgb,
  labOfSpectrum,
  linearRgbOfXyz,
  xyzOfSpectrum,
} from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import type { Ink } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import { readLamp } from '../read/lamp';
import { dropIn, FIELD_IDS, type FieldId, type PageBox, type SwatchPage } from './page';

/** What was read of one ink's row. */
export interface RowReading {
  readonly inkId: string;
  readonly name: string;
  readonly fields: Readonly<Record<FieldId, Lab>>;
  readonly overWhite: Hex;
  readonly overBlack: Hex;
  /** Part of a coat that a drop of water took, dabbed at once and after a minute, 0…1. */
  readonly lifts: { readonly atOnce: number; readonly waited: number };
  /** Why the row is left out; undefined where it can be trusted. */
  readonly doubt: string | undefined;
}

export interface PageReading {
  readonly rows: readonly RowReading[];
}

/** Pixels of the longer side the marks are looked for in. */
const LOOKED_AT = 900;
/** A row whose full coat hardly differs from bare card was not filled, ΔL* and chroma together. */
const UNFILLED = 4;
const SPREAD = 6;

/** The four registration marks of a page: the blackest square patch in each quarter of the picture. Undefined where one is missing. */
export function findMarks(picture: Pixels): Corners | undefined {
  const step = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / LOOKED_AT));
  const [w, h] = [Math.floor(picture.width / step), Math.floor(picture.height / step)];
  const light = Float32Array.from({ length: w * h }, (_, i) => {
    const at = (Math.floor(i / w) * step * picture.width + (i % w) * step) * 4;
    return (LINEAR[picture.data[at + 1] as number] as number) + 1e-6;
  });
  const bright = Float32Array.from(light).sort()[Math.floor(0.9 * light.length)] ?? 1;
  const dark = Uint8Array.from(light, (value) => (value < 0.12 * bright ? 1 : 0));
  const found = patches(dark, w, h).filter(({ box, size }) => {
    const [bw, bh] = [box.x1 - box.x0 + 1, box.y1 - box.y0 + 1];
    return (
      size > 0.55 * bw * bh &&
      bw < 0.12 * w &&
      bh < 0.12 * w &&
      bw > 0.012 * w &&
      Math.abs(bw / bh - 1) < 0.45
    );
  });
  const corner = (cx: number, cy: number): Point | undefined => {
    const inQuarter = found.filter(
      ({ x, y }) => (cx === 0 ? x < w / 2 : x >= w / 2) && (cy === 0 ? y < h / 2 : y >= h / 2),
    );
    const [nearest] = inQuarter.toSorted(
      (p, q) => Math.hypot(p.x - cx, p.y - cy) - Math.hypot(q.x - cx, q.y - cy),
    );
    return nearest && { x: (nearest.x + 0.5) * step, y: (nearest.y + 0.5) * step };
  };
  const corners = [corner(0, 0), corner(w, 0), corner(w, h), corner(0, h)];
  return corners.every((one) => one !== undefined) ? (corners as unknown as Corners) : undefined;
}

interface Patch extends Point {
  readonly size: number;
  readonly box: { x0: number; y0: number; x1: number; y1: number };
}

/** Connected dark patches that do not reach the picture's edge, with their middles. */
function patches(dark: Uint8Array, w: number, h: number): Patch[] {
  const seen = Uint8Array.from(dark, (value) => 1 - value);
  const all: Patch[] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start]) continue;
    const box = { x0: w, y0: h, x1: 0, y1: 0 };
    let [size, sx, sy] = [0, 0, 0];
    const left = [start];
    seen[start] = 1;
    for (let at = left.pop(); at !== undefined; at = left.pop()) {
      const x = at % w;
      const y = (at - x) / w;
      size++;
      sx += x;
      sy += y;
      box.x0 = Math.min(box.x0, x);
      box.y0 = Math.min(box.y0, y);
      box.x1 = Math.max(box.x1, x);
      box.y1 = Math.max(box.y1, y);
      for (const next of [x > 0 ? at - 1 : -1, x < w - 1 ? at + 1 : -1, at - w, at + w]) {
        if (next < 0 || next >= seen.length || seen[next]) continue;
        seen[next] = 1;
        left.push(next);
      }
    }
    const touches = box.x0 === 0 || box.y0 === 0 || box.x1 === w - 1 || box.y1 === h - 1;
    if (!touches) all.push({ x: sx / size, y: sy / size, size, box });
  }
  return all;
}

/**
 * Reads a photographed or scanned swatch page at once.
 *
 * @param marks  where its registration marks' middles are seen
 * @param ground  reflectance of the card it was printed on
 * @param inks  those of the page
 * @returns or why nothing can be read
 */
export function readSwatchPage(
  picture: Pixels,
  marks: Corners,
  page: SwatchPage,
  ground: Spectrum,
  inks: readonly Ink[],
): PageReading | { readonly problem: string } {
  if (!canBeSeen(marks))
    return {
      problem: 'Those four marks make no page: put each corner on the middle of its own black square.',
    };
  const [first, , third] = page.marks as readonly [Point, Point, Point];
  const [width, height] = [third.x - first.x, third.y - first.y];
  const onMarks = projectionOf(marks, width, height);
  const project = (x: number, y: number) => onMarks(x - first.x, y - first.y);
  const card = linearRgbOfXyz(xyzOfSpectrum(ground));
  const lamp = readLamp(picture, onMarks, { width, height }, LAMP_OUTSIDE, card);
  if (!lamp)
    return {
      problem:
        'Too little bare card is seen along the page’s edges to tell the light by. Photograph the whole page.',
    };
  const read = (x: number, y: number, reach: number): { lab: Lab; rgb: LinearRgb; spread: number } => {
    const at = project(x, y);
    const side = project(x + reach, y);
    const { rgb, spread } = sampleBox(
      picture,
      boxAround(at.x, at.y, Math.max(1, Math.hypot(side.x - at.x, side.y - at.y))),
    );
    const light = lamp.lampAt(x - first.x, y - first.y);
    const part = { r: rgb.r / light.r, g: rgb.g / light.g, b: rgb.b / light.b };
    return { lab: labOfRgb(part), rgb: part, spread };
  };
  // Against the perfect white, as swatches are told: what the card itself takes away is given back.
  const onWhite = ({ r, g, b }: LinearRgb): Hex =>
    hexOfLab(labOfRgb({ r: r / card.r, g: g / card.g, b: b / card.b }));
  const rows = page.rows.map(({ inkId, name, fields }): RowReading => {
    const middle = ({ x, y, width: w, height: h }: PageBox) => ({
      x: x + w / 2,
      y: y + h / 2,
      reach: Math.min(w, h) * 0.18,
    });
    const seen = Object.fromEntries(
      FIELD_IDS.map((id) => {
        const { x, y, reach } = middle(fields[id]);
        return [id, read(x, y, id === 'lifted' || id === 'waited' ? dropIn(fields[id]).r * 0.5 : reach)];
      }),
    ) as Record<FieldId, ReturnType<typeof read>>;
    const bare = labOfRgb(card);
    const isFilled =
      Math.hypot(seen.full.lab.l - bare.l, seen.full.lab.a - bare.a, seen.full.lab.b - bare.b) > UNFILLED;
    const spread = Math.max(seen.full.spread, seen.black.spread);
    const isLitAlike = FIELD_IDS.every((id) => {
      const { x, y } = middle(fields[id]);
      return lamp.isEven(x - first.x, y - first.y);
    });
    const [overWhite, overBlack] = [onWhite(seen.full.rgb), hexOfLab(seen.black.lab)];
    const asRead = { ...(inks.find(({ id }) => id === inkId) ?? STRANGER), overWhite, overBlack };
    return {
      inkId,
      name,
      fields: Object.fromEntries(FIELD_IDS.map((id) => [id, seen[id].lab])) as Record<FieldId, Lab>,
      overWhite,
      overBlack,
      lifts: {
        atOnce: liftedPart(asRead, seen.lifted.lab, ground),
        waited: liftedPart(asRead, seen.waited.lab, ground),
      },
      doubt: !isFilled
        ? 'nothing is laid in it'
        : spread > SPREAD
          ? 'uneven: dry brush, a glint, or the marks are off'
          : isLitAlike
            ? undefined
            : 'the bare card near by lies in shadow',
    };
  });
  return { rows };
}
/** The light is told along the page's edges, mm outside the middles of the marks: no swatch lies there. */
const LAMP_OUTSIDE = 9;

/** An ink of which only its swatches are known. */
const STRANGER: Ink = {
  id: 'read',
  name: 'read',
  family: 'read',
  depth: 'mid',
  kind: 'hybrid',
  overWhite: '#808080',
};

/** Steps of the golden section: to a thousandth of a coat. */
const STEPS = 15;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** How much of a coat is gone: what is left is the part of a coat that would look like it. */
function liftedPart({ taught: _, strength: __, ...ink }: Ink, left: Lab, ground: Spectrum): number {
  const off = (coats: number) => deltaE00(labOfSpectrum(laidReflectance([{ ink, coats }], ground)), left);
  let [from, to] = [0, 1];
  for (let step = 0; step < STEPS; step++) {
    const [p, q] = [to - GOLDEN * (to - from), from + GOLDEN * (to - from)];
    if (off(p) < off(q)) to = q;
    else from = p;
  }
  return 1 - (from + to) / 2;
}

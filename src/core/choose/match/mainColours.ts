import { kmeans } from 'ml-kmeans';
import type { Lab } from '../../materials/colour/lab';
import { type Pixels, pixelAt } from '../photo/pixels';
import { boxAround, labOfRgb, sampleBox } from '../photo/sample';

/** A place on a picture, each coordinate 0…1 from the left and the top. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** One of a picture's main colours, at a place that shows it. */
export interface MainColour {
  readonly place: Place;
  /** Part of the picture that is nearest to this colour, 0…1. */
  readonly part: number;
}

/** Fewest and most colours asked for: what a ladder can hold. */
export const COLOUR_COUNT = { least: 2, most: 5 } as const;

/** Pixels clustered; more do not move the centres. */
const MAX_CLUSTERED = 9000;
const SEED = 1912;
/** Places compared when a marker is put down, per colour. */
const CANDIDATES = 12;

/**
 * The main colours of a picture by k-means in CIE Lab, largest part first; one that catches the eye is among them, however
 * small. A marker stands where the picture shows the cluster's centre, in a spot as even as can be.
 */
export function mainColours(pixels: Pixels, count: number): MainColour[] {
  const { points, places } = sampled(pixels);
  const centres = centresOf(points, count);
  const nearest = points.map((point) => nearestCentre(point, centres));
  return centres
    .map((centre, cluster) => {
      const own = nearest.flatMap((of, i) => (of === cluster ? [i] : []));
      const place = markerFor(pixels, own, points, places, centre);
      return { place, part: own.length / points.length };
    })
    .filter(({ part }) => part > 0)
    .sort((p, q) => q.part - p.part);
}

/** A colour catches the eye that is so far from all main ones in CIE Lab, so colourful, and on this part of a picture. */
const CATCHES = { off: 30, chroma: 30, part: 0.002 } as const;
/** Points so near to each other in CIE Lab are of one eye-catcher. */
const ONE_CATCHER = 20;

/** The main colours: by area, and with one less of those where a small lively one catches the eye. */
function centresOf(points: readonly number[][], count: number): number[][] {
  const centres = clustered(points, count);
  const catching = points.filter(
    (point) =>
      Math.hypot(point[1], point[2]) >= CATCHES.chroma &&
      apart(point, centres[nearestCentre(point, centres)]) >= CATCHES.off,
  );
  const [most] = catching
    .filter((_, i) => i % Math.ceil(catching.length / MAX_TRIED) === 0)
    .map((seed) => catching.filter((point) => apart(point, seed) < ONE_CATCHER))
    .toSorted((p, q) => q.length - p.length);
  if (!most || most.length < CATCHES.part * points.length) return centres;
  const centre = [0, 1, 2].map((k) => most.reduce((sum, point) => sum + point[k], 0) / most.length);
  const others = new Set(most);
  return [
    ...clustered(
      points.filter((point) => !others.has(point)),
      count - 1,
    ),
    centre,
  ];
}

function clustered(points: readonly number[][], count: number): number[][] {
  const distinct = new Set(points.map((point) => point.map(Math.round).join(' '))).size;
  return kmeans([...points], Math.min(count, distinct), { seed: SEED, maxIterations: 60, tolerance: 1e-3 })
    .centroids;
}

/** Eye-catching points from which a cluster is tried. */
const MAX_TRIED = 60;

const apart = (p: readonly number[], q: readonly number[]): number =>
  Math.hypot(...p.map((value, k) => value - q[k]));

function nearestCentre(point: readonly number[], centres: readonly (readonly number[])[]): number {
  let best = 0;
  centres.forEach((centre, i) => {
    if (apart(point, centre) < apart(point, centres[best])) best = i;
  });
  return best;
}

/** Points spread evenly over a picture, in CIE Lab, and where they lie, in pixels. */
function sampled(pixels: Pixels) {
  const { width, height } = pixels;
  const step = Math.max(1, Math.sqrt((width * height) / MAX_CLUSTERED));
  const points: number[][] = [];
  const places: { x: number; y: number }[] = [];
  for (let v = step / 2; v < height; v += step)
    for (let u = step / 2; u < width; u += step) {
      const [x, y] = [Math.floor(u), Math.floor(v)];
      const { l, a, b } = labOfRgb(pixelAt(pixels, x, y));
      points.push([l, a, b]);
      places.push({ x, y });
    }
  return { points, places };
}

/** The part of a picture that is nearest to each of these colours, 0…1; together the whole of it. */
export function partsOf(pixels: Pixels, colours: readonly Lab[]): number[] {
  const { points } = sampled(pixels);
  const centres = colours.map(({ l, a, b }) => [l, a, b]);
  const counts = colours.map(() => 0);
  for (const point of points) {
    const nearest = nearestCentre(point, centres);
    counts[nearest] = (counts[nearest] ?? 0) + 1;
  }
  return counts.map((count) => count / points.length);
}

function markerFor(
  pixels: Pixels,
  own: readonly number[],
  points: readonly number[][],
  places: readonly { x: number; y: number }[],
  centre: readonly number[],
): Place {
  const off = (i: number): number => points[i].reduce((sum, value, k) => sum + (value - centre[k]) ** 2, 0);
  const nearest = own.toSorted((p, q) => off(p) - off(q)).slice(0, CANDIDATES);
  const reach = readingReach(pixels);
  const even = (i: number): number => {
    const { x, y } = places[i] as { x: number; y: number };
    return sampleBox(pixels, boxAround(x, y, reach)).spread + Math.sqrt(off(i)) / 4;
  };
  const best = nearest.toSorted((p, q) => even(p) - even(q))[0] ?? 0;
  const { x, y } = places[best] ?? { x: 0, y: 0 };
  return { x: (x + 0.5) / pixels.width, y: (y + 0.5) / pixels.height };
}

/** How far around a marker its colour is read, in pixels. */
const readingReach = ({ width, height }: Pixels): number =>
  Math.max(2, Math.round(Math.max(width, height) / 120));

/** The colour a marker stands on. */
export function colourAt(pixels: Pixels, { x, y }: Place): Lab {
  const [column, row] = [Math.floor(x * pixels.width), Math.floor(y * pixels.height)];
  return labOfRgb(sampleBox(pixels, boxAround(column, row, readingReach(pixels))).rgb);
}

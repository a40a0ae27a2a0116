import type { Point } from '../../core/base/geometry';
import type { Millimetres } from '../../core/base/length';
import type { Panel } from '../../core/recipe/panel';
import type { BandGeometry, MarkPlace } from '../../core/recipe/runs/definition';

/** Where a mark is told on the panel: of several places the one nearest to its label, at the right. */
export const placeOf = (bands: BandGeometry, along: Millimetres): MarkPlace =>
  bands.markedAt(along).reduce((right, place) => (pointOf(place).x > pointOf(right).x ? place : right));

export const pointOf = ({ at, pointAt }: MarkPlace): Point => pointAt(at);

/**
 * Where the handles of marks stand on the panel: where they are told, and where two would lie on each other the later
 * one moved along its band, or where that is too short along the run, so that each can be taken hold of.
 *
 * @param apart  least distance between two, mm
 */
export function apartAlongBands(
  bands: BandGeometry,
  marks: readonly Millimetres[],
  panel: Panel,
  apart: Millimetres,
): Point[] {
  const placed: Point[] = [];
  for (const along of marks) {
    const home = pointOf(placeOf(bands, along));
    const tangent = tangentAt(bands, home);
    // Near a corner a band is too short for all of them: then on along the run.
    const tried = [0, 1, -1, 2, -2, 3, -3].flatMap((on) =>
      [0, 1, -1, 2, -2, 3, -3].map((steps) => ({
        x: home.x + (tangent.x * steps + tangent.y * on) * apart,
        y: home.y + (tangent.y * steps - tangent.x * on) * apart,
      })),
    );
    const isFree = ({ x, y }: Point) =>
      x >= 0 &&
      y >= 0 &&
      x <= panel.width &&
      y <= panel.height &&
      placed.every((other) => Math.hypot(other.x - x, other.y - y) >= apart * 0.95);
    placed.push(tried.find(isFree) ?? home);
  }
  return placed;
}

/** The way a band goes at a point, as a unit vector: square to where the run climbs. */
function tangentAt({ alongAt }: BandGeometry, { x, y }: Point): Point {
  const step = 0.01;
  const across = alongAt(x + step, y) - alongAt(x - step, y);
  const down = alongAt(x, y + step) - alongAt(x, y - step);
  const length = Math.hypot(across, down) || 1;
  return { x: -down / length, y: across / length };
}

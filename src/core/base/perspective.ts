/** A point of a picture, in pixels from its top left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The corners of something flat in a picture: top left, top right, bottom right, bottom left, as it lies the right way up. */
export type Corners = readonly [Point, Point, Point, Point];

/** Where a point of a flat thing, in its own measure, is seen in the picture. */
export type Projection = (x: number, y: number) => Point;

/**
 * How a rectangle is seen whose corners are seen there: the projective mapping of a square to a quadrilateral.
 * Source: P. S. Heckbert, Fundamentals of Texture Mapping and Image Warping (1989), §2.2.3.
 *
 * @param width  of the rectangle, in whatever measure the projection is to be asked in
 */
export function projectionOf([p0, p1, p2, p3]: Corners, width: number, height: number): Projection {
  const [dx1, dx2, sx] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, sy] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const below = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / below;
  const h = (dx1 * sy - sx * dy1) / below;
  const [a, b] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x];
  const [d, e] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y];
  return (x, y) => {
    const [u, v] = [x / width, y / height];
    const w = g * u + h * v + 1;
    return { x: (a * u + b * v + p0.x) / w, y: (d * u + e * v + p0.y) / w };
  };
}

/** Whether four corners make a quadrilateral that a rectangle can be seen as: each turn the same way, none flat. */
export function canBeSeen(corners: Corners): boolean {
  return corners.every((corner, i) => {
    const [next, after] = [corners[(i + 1) % 4] as Point, corners[(i + 2) % 4] as Point];
    const turn = (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x);
    return turn > 1;
  });
}

import type { Border } from '../design/placement';
import type { Millimetres } from '../panel/measure';
import type { Panel } from '../panel/panel';
import type { Point } from '../run/run';

/** A round drop or dot. */
export interface Drop extends Point {
  readonly radius: Millimetres;
}

/**
 * Signed distance to the nearest of many rounds, positive inside. Points are sorted into squares; where none lies near,
 * the distance is told as a square's side, which it is at least.
 */
export function borderOfDrops(drops: readonly Drop[], { width, height }: Panel): Border {
  const widest = drops.reduce((most, { radius }) => Math.max(most, radius), 0);
  const side = Math.max(2 * widest, Math.sqrt((width * height) / Math.max(drops.length, 1)), 1);
  const [columns, rows] = [Math.ceil(width / side) + 3, Math.ceil(height / side) + 3];
  const squares: Drop[][] = Array.from({ length: columns * rows }, () => []);
  const held = (value: number, most: number) => Math.min(Math.max(Math.floor(value / side) + 1, 0), most - 1);
  for (const drop of drops) squares[held(drop.y, rows) * columns + held(drop.x, columns)]?.push(drop);
  return (x, y) => {
    const [column, row] = [held(x, columns), held(y, rows)];
    let far = -(side - widest);
    for (let down = Math.max(row - 1, 0); down <= Math.min(row + 1, rows - 1); down++)
      for (let across = Math.max(column - 1, 0); across <= Math.min(column + 1, columns - 1); across++)
        for (const drop of squares[down * columns + across] as Drop[]) {
          const inside = drop.radius - Math.hypot(x - drop.x, y - drop.y);
          if (inside > far) far = inside;
        }
    return far;
  };
}

/** Rounds as SVG paths in mm. */
export const traceDrops = (drops: readonly Drop[]): string[] =>
  drops.map(
    ({ x, y, radius: r }) =>
      `M${(x - r).toFixed(2)} ${y.toFixed(2)}a${r.toFixed(2)} ${r.toFixed(2)} 0 1 0 ${(2 * r).toFixed(2)} 0a${r.toFixed(2)} ${r.toFixed(2)} 0 1 0 ${(-2 * r).toFixed(2)} 0`,
  );

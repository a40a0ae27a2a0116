import type { Point, Size } from '../../base/geometry';
import type { Millimetres } from '../../base/length';
import type { Border } from '../../materials/design/placement';

/** A round drop or dot. */
export interface Drop extends Point {
  readonly radius: Millimetres;
}

/**
 * Signed distance to the nearest of many rounds, positive inside. Rounds are sorted into squares; where none lies near,
 * the distance is told as what the nearest squares leave free, which it is at least. Asked for every pixel near one, so
 * they lie as plain numbers, those of three neighbouring squares one after another.
 */
export function borderOfDrops(drops: () => readonly Drop[], panel: Size): Border {
  // Flinging them takes a moment: only once a point is asked for.
  let border: Border | undefined;
  return (x, y) => {
    border ??= sortedBorder(drops(), panel);
    return border(x, y);
  };
}

function sortedBorder(drops: readonly Drop[], { width, height }: Size): Border {
  const widest = drops.reduce((most, { radius }) => Math.max(most, radius), 0);
  const side = Math.max(2 * widest, Math.sqrt((width * height) / Math.max(drops.length, 1)), 1);
  const [columns, rows] = [Math.ceil(width / side) + 2, Math.ceil(height / side) + 2];
  const place = (value: number, most: number): number => {
    const at = Math.floor(value / side) + 1;
    return at < 1 ? 1 : at > most - 2 ? most - 2 : at;
  };
  const squareOf = ({ x, y }: Drop): number => place(y, rows) * columns + place(x, columns);
  const sorted = drops.toSorted((p, q) => squareOf(p) - squareOf(q));
  const numbers = Float64Array.from(sorted.flatMap(({ x, y, radius }) => [x, y, radius]));
  /** Where each square's rounds begin among the numbers. */
  const starts = new Int32Array(columns * rows + 1).fill(numbers.length);
  for (let i = sorted.length - 1, square = columns * rows; square >= 0; square--) {
    starts[square] = 3 * (i + 1);
    while (i >= 0 && squareOf(sorted[i] as Drop) === square) starts[square] = 3 * i--;
  }
  const free = -(side - widest);
  return (x, y) => {
    const column = place(x, columns);
    const row = place(y, rows);
    let far = free;
    for (let down = row - 1; down <= row + 1; down++) {
      const first = down * columns + column - 1;
      const end = starts[first + 3];
      for (let at = starts[first]; at < end; at += 3) {
        const dx = x - numbers[at];
        const dy = y - numbers[at + 1];
        const inside = numbers[at + 2] - Math.sqrt(dx * dx + dy * dy);
        if (inside > far) far = inside;
      }
    }
    return far;
  };
}

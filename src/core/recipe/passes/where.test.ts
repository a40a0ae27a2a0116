import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../../testing/resolvedRecipes';
import type { ParamValue } from '../../base/params';
import { placedPasses } from '../resolved';
import type { ToolId } from '../tools/tools';
import type { PlacedPass } from './definition';
import type { PassKindId } from './passes';

/** Where each kind lies on a panel of 80 × 100 mm, reckoned by hand. */
const leat = ink('Leat', '#009aab', 'dye');
const resolved = resolvedOf([ink('Gorse', '#f8d46f'), leat]);

function laid(
  kind: PassKindId,
  params: Readonly<Record<string, ParamValue>> = {},
  tool: ToolId = resolved.recipe.tool,
): PlacedPass {
  const on = { ...resolved, recipe: { ...resolved.recipe, tool } };
  const made = withPass(on, kind, { ink: leat, params });
  const pass = made.recipe.passes[0];
  const [placed] = pass ? placedPasses(made, pass) : [];
  if (!placed) throw new Error(`${kind} was not laid`);
  return placed;
}
/** How much its first film covers at a point, told of its borders what lies inside. */
function coverAt({ borders, effects }: PlacedPass, x: number, y: number): number {
  const film = effects.find((effect) => effect.kind === 'film');
  if (film?.kind !== 'film') throw new Error('there is no film');
  return film.coverAt(x, y, (border: number) => (borders[border]?.(x, y) ?? -1) > 0);
}
const handleOf = ({ handle }: PlacedPass) => {
  if (!handle) throw new Error('there is nothing to take hold of');
  return handle;
};

describe('a horizon', () => {
  test('is a band at the foot, as high as it says and straight', () => {
    const { borders, traces } = laid('horizon', { height: 20 });
    expect([79, 80, 81, 100].map((y) => borders[0]?.(3, y))).toEqual([-1, 0, 1, 20]);
    expect(borders[0]?.(77, 81)).toBe(1);
    expect(traces).toEqual(['M0 80H80']);
    expect([
      coverAt(laid('horizon', { height: 20 }), 40, 79),
      coverAt(laid('horizon', { height: 20 }), 40, 81),
    ]).toEqual([0, 1]);
  });

  test('higher than its panel covers all of it, and is taken hold of at its line', () => {
    expect(laid('horizon', { height: 300 }).borders[0]?.(40, 0)).toBe(0);
    const { at, valueAt, param } = handleOf(laid('horizon', { height: 20 }));
    expect([param, at, valueAt({ x: 0, y: 65 })]).toEqual(['height', { x: 40, y: 80 }, 35]);
  });
});

describe('a torn edge', () => {
  const torn = { y: 60, wander: 4, fade: 20, strength: 80, seed: 3 };
  const [line] = laid('tornEdge', torn).borders;
  /** Where the ink begins, from the top down; what is laid at it goes down from there. */
  const beginsAt = (params: Readonly<Record<string, number>>, x: number): number => {
    const [border] = laid('tornEdge', params).borders;
    let y = 0;
    while (y < 100 && (border?.(x, y) ?? -1) <= 0) y += 0.05;
    return y;
  };

  test('wanders no farther from its height than it says, and its fibres hardly farther', () => {
    const heights = Array.from({ length: 160 }, (_, i) => beginsAt(torn, i / 2));
    expect(Math.min(...heights)).toBeGreaterThan(60 - 4 - 0.5);
    expect(Math.max(...heights)).toBeLessThan(60 + 4 + 0.5);
    expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThan(2);
  });

  test('is strongest along the scrap, falls off below and is gone where it fades to; above lies nothing', () => {
    const placed = laid('tornEdge', torn);
    for (const x of [5, 31, 62]) {
      const at = beginsAt(torn, x);
      const below = [0.3, 5, 10, 15, 19].map((far) => coverAt(placed, x, at + far));
      expect(below).toEqual([...below].sort((p, q) => q - p));
      expect(below[0]).toBeGreaterThan(0.75);
      expect(below[2]).toBeCloseTo(0.4, 1);
      expect([coverAt(placed, x, at - 0.3), coverAt(placed, x, at + 21)]).toEqual([0, 0]);
    }
    expect(placed.blend).toBe(20);
  });

  test('tears otherwise with another seed and at another height, and the same again with the same', () => {
    const shape = (params: typeof torn) =>
      Array.from({ length: 20 }, (_, i) => Math.round(10 * (beginsAt(params, 4 * i) - params.y)));
    expect(shape(torn)).toEqual(shape({ ...torn }));
    expect(shape(torn)).not.toEqual(shape({ ...torn, seed: 4 }));
    expect(shape(torn)).not.toEqual(shape({ ...torn, y: 70 }));
  });

  test('tells its border no faster than a border may change, however it is torn and however wet the tool', () => {
    for (const [params, tool] of [
      [torn, 'brush'],
      [{ ...torn, wander: 1 }, 'brush'],
      [{ ...torn, wander: 12, seed: 9 }, 'pad'],
      [{ ...torn, wander: 2 }, 'dip'],
    ] as const) {
      const [border] = laid('tornEdge', params, tool).borders;
      for (let i = 0; i < 20_000; i++) {
        const [x, y] = [(i * 7.13) % 80, 60 + ((((i * 0.377) % 4) - 2) * params.wander) / 2];
        const here = border?.(x, y) ?? 0;
        const [dx, dy] = [(border?.(x + 1e-4, y) ?? 0) - here, (border?.(x, y + 1e-4) ?? 0) - here];
        expect(Math.hypot(dx, dy)).toBeLessThanOrEqual(1.001e-4);
      }
    }
    expect(line?.(40, 90)).toBeGreaterThan(0);
  });

  test('is taken hold of at its line, and told from the foot; below the panel it leaves nothing', () => {
    const { at, param, valueAt } = handleOf(laid('tornEdge', torn));
    expect([param, at, valueAt({ x: 3, y: 42 })]).toEqual(['y', { x: 40, y: 60 }, 42]);
    const gone = laid('tornEdge', { ...torn, y: 300, wander: 1 });
    expect([20, 60, 98].map((y) => coverAt(gone, 40, y))).toEqual([0, 0, 0]);
  });
});

describe('an edge', () => {
  const placed = laid('edge', { depth: 10 });

  test('is solid for a fifth of its depth, gone by its depth, and fades between', () => {
    expect([0, 1.9, 2].map((y) => coverAt(placed, 40, y))).toEqual([1, 1, 1]);
    expect(coverAt(placed, 40, 6)).toBeCloseTo(0.5, 6);
    expect([10, 11, 50].map((y) => coverAt(placed, 40, y))).toEqual([0, 0, 0]);
    expect(placed.blend).toBe(8);
  });

  test('is the same from all four sides, and rounded in the corners', () => {
    const sides = [
      coverAt(placed, 40, 5),
      coverAt(placed, 40, 95),
      coverAt(placed, 5, 50),
      coverAt(placed, 75, 50),
    ];
    for (const side of sides) expect(side).toBeCloseTo(sides[0] ?? 0, 12);
    // Five millimetres from two sides there is more of it than five from one.
    expect(coverAt(placed, 5, 5)).toBeGreaterThan(coverAt(placed, 40, 5));
    expect(handleOf(placed).valueAt({ x: 0, y: 12 })).toBe(12);
  });
});

describe('dark corners', () => {
  const placed = laid('darkCorners', { reach: 30 });

  test('are darkest at each tip and gone at their reach, alike in all four', () => {
    for (const [x, y] of [
      [0, 0],
      [80, 0],
      [0, 100],
      [80, 100],
    ] as const)
      expect(coverAt(placed, x, y)).toBe(1);
    expect([coverAt(placed, 30, 0), coverAt(placed, 0, 30), coverAt(placed, 40, 50)]).toEqual([0, 0, 0]);
    expect(coverAt(placed, 15, 0)).toBeCloseTo(0.5, 6);
    expect(coverAt(placed, 9, 12)).toBeCloseTo(coverAt(placed, 71, 88), 12);
    expect(handleOf(placed).valueAt({ x: 18, y: 24 })).toBe(30);
  });
});

describe('a greeting strip', () => {
  const place = { x: 40, y: 30, width: 50, height: 12 };
  /** Where on the panel’s ladder the strip shows at so many mm from the left. */
  const shownAt = (x: number, way: 'left' | 'right') => {
    const piece = laid('greetingStrip', { ...place, way }).effects.find(({ kind }) => kind === 'piece');
    return piece?.kind === 'piece' ? piece.shows(x, 30) : undefined;
  };

  test('lies with its middle where it says, and shows the whole ladder along its length, smaller', () => {
    const placed = laid('greetingStrip', place);
    expect([placed.borders[0]?.(40, 30), placed.borders[0]?.(16, 30), placed.borders[0]?.(40, 37)]).toEqual([
      6, 1, -1,
    ]);
    expect(placed.shrinks).toBe(0.5);
    expect([15, 40, 65].map((x) => shownAt(x, 'left')?.y)).toEqual([0, 50, 100]);
    expect([15, 40, 65].map((x) => shownAt(x, 'right')?.y)).toEqual([100, 50, 0]);
    expect([0, 80].map((x) => shownAt(x, 'left')?.y)).toEqual([0, 100]);
  });

  test('has a shadow a hair to the right and down, where it is to have one', () => {
    expect(laid('greetingStrip', place).borders).toHaveLength(1);
    const [own, shadow] = laid('greetingStrip', { ...place, shadow: 'black' }).borders;
    expect(shadow?.(40.8, 30.8)).toBeCloseTo(own?.(40, 30) ?? 0, 12);
    expect(shadow?.(65.5, 30)).toBeGreaterThan(0);
    expect(own?.(65.5, 30)).toBeLessThan(0);
  });
});

describe('what is flung', () => {
  /** Part of the panel that lies inside. */
  const covered = (kind: PassKindId, params: Readonly<Record<string, ParamValue>>): number => {
    const [border] = laid(kind, params).borders;
    let inside = 0;
    for (let x = 0.25; x < 80; x += 0.5)
      for (let y = 0.25; y < 100; y += 0.5) if ((border?.(x, y) ?? -1) > 0) inside++;
    return inside / (160 * 200);
  };

  test('covers more with more drops, and from near by, where they fall coarse', () => {
    const at = (drops: number, distance: number) => covered('splash', { drops, distance, seed: 3 });
    expect(at(120, 300)).toBeGreaterThan(1.4 * at(60, 300));
    expect(at(60, 150)).toBeGreaterThan(2 * at(60, 300));
    expect(at(60, 300)).toBeGreaterThan(at(60, 900));
  });

  test('lies as it lay, and otherwise by another number', () => {
    const of = (seed: number) => {
      const [border] = laid('splash', { seed, drops: 60, distance: 300 }).borders;
      return [10, 30, 50, 70].map((y) => border?.(y / 2, y));
    };
    expect(of(5)).toEqual(of(5));
    expect(of(5)).not.toEqual(of(6));
  });

  test('dots of a pen are as many and about as large as they say, and hide what is under them', () => {
    // 40 dots of 2 mm cover 40 × π mm² of 8000, a little more as their sizes differ, less where they meet.
    const part = covered('penDots', { dots: 40, size: 2, seed: 2 });
    expect(part).toBeGreaterThan(0.012);
    expect(part).toBeLessThan(0.02);
    expect(covered('penDots', { dots: 40, size: 4, seed: 2 })).toBeGreaterThan(3 * part);
    const [border] = laid('penDots', { dots: 40, size: 2, seed: 2 }).borders;
    let on: [number, number] = [0, 0];
    for (let x = 0; x < 80; x += 0.5)
      for (let y = 0; y < 100; y += 0.5) if ((border?.(x, y) ?? -1) > 0) on = [x, y];
    expect(coverAt(laid('penDots', { dots: 40, size: 2, seed: 2 }), ...on)).toBeGreaterThan(2);
  });
});

describe('a white base', () => {
  const films = (params: Readonly<Record<string, ParamValue>>) =>
    laid('whiteBase', params)
      .effects.map(({ kind }) => kind)
      .join(' ');

  test('is a coat or two over the whole panel, dried between and, where it says so, before the blend', () => {
    expect(films({ coats: 'one', dried: 'wet' })).toBe('film');
    expect(films({ coats: 'one', dried: 'dried' })).toBe('film dry');
    expect(films({ coats: 'two', dried: 'wet' })).toBe('film dry film');
    expect(films({ coats: 'two', dried: 'dried' })).toBe('film dry film dry');
    expect([coverAt(laid('whiteBase'), 0, 0), coverAt(laid('whiteBase'), 80, 100)]).toEqual([1, 1]);
  });
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { spread } from '../../core/base/spread';
import { bareGround } from '../../core/engine/blend';
import { dryShelf } from '../../core/readings/driedShelf';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink, WHITE_CARD } from '../../testing/resolvedRecipes';
import { dotNear, layRail, neighbourDot, placeNames, railScale, typedDot } from './railLayout';

const shelf = dryShelf(DEMO_INKS, bareGround(WHITE_CARD));
const dots = layRail(shelf, 200, 560);

test('every ink stands at its own lightness, whatever else stands there', () => {
  const y = railScale(560);
  for (const dot of dots) expect(dot.y).toBeCloseTo(y(dot.lab.l), 9);
  expect(dots).toHaveLength(71);
});

test('no two dots of the demo cover each other, and all stay on the rail', () => {
  dots.forEach((dot, i) => {
    expect(dot.x).toBeGreaterThanOrEqual(0);
    expect(dot.x).toBeLessThanOrEqual(200);
    for (const other of dots.slice(i + 1))
      expect(Math.hypot(dot.x - other.x, dot.y - other.y)).toBeGreaterThanOrEqual(11 - 1e-9);
  });
});

test('a press goes to the dot it is nearest to, and to none where there is none near', () => {
  const place = fc.integer({ min: -40, max: 600 });
  fc.assert(
    fc.property(place, place, (x, y) => {
      const distances = dots.map((dot) => Math.hypot(dot.x - x, dot.y - y));
      const meant = dotNear(dots, x, y);
      expect(meant !== undefined).toBe(Math.min(...distances) <= 20);
      if (meant) expect(Math.hypot(meant.x - x, meant.y - y)).toBe(Math.min(...distances));
    }),
  );
  for (const dot of dots) expect(dotNear(dots, dot.x + 3, dot.y - 4)).toBe(dot);
});

const rungsOfDemo = fc.uniqueArray(fc.constantFrom(...dots), { minLength: 2, maxLength: 5 });

test('whatever the rungs and the size of text, no name lies on another, each beside its own dot or a little lower', () => {
  fc.assert(
    fc.property(rungsOfDemo, fc.constantFrom(1, 1.5), (rungs, scale) => {
      const ladder = rungs.toSorted((p, q) => q.lab.l - p.lab.l);
      const names = placeNames(ladder, 200, scale).map(({ dot, side, y }) => {
        const wide = Math.min(dot.ink.name.length * 7 + 8, 112) * scale;
        return { dot, y, from: side === 'left' ? dot.x - 14 - wide : dot.x + 14, wide };
      });
      names.forEach(({ dot, y, from, wide }, i) => {
        expect(y).toBeGreaterThanOrEqual(dot.y);
        expect(y - dot.y).toBeLessThan(5 * 18 * scale);
        for (const other of names.slice(i + 1))
          expect(
            Math.abs(y - other.y) >= 18 * scale - 1e-9 ||
              from + wide <= other.from ||
              other.from + other.wide <= from,
          ).toBe(true);
      });
    }),
  );
  // Alone it is level with its dot.
  expect(placeNames(dots.slice(0, 1), 200)[0]?.y).toBe(dots[0]?.y);
});

test('greys stand apart from the hues, at the right', () => {
  const pair = layRail(
    dryShelf([ink('grey', '#808080'), ink('violet', '#7a4fb0')], bareGround(WHITE_CARD)),
    200,
    560,
  );
  const at = (name: string) => pair.find((dot) => dot.ink.name === name)?.x ?? 0;
  expect(at('grey')).toBeGreaterThan(at('violet'));
});

test('arrow keys reach every ink, one after another, and stop at the ends', () => {
  const top = dots.reduce((p, q) => (q.y < p.y ? q : p));
  let at = top;
  const met = new Set([at.ink.id]);
  for (let step = 0; step < dots.length; step++) {
    at = neighbourDot(dots, at, 'ArrowDown') ?? at;
    met.add(at.ink.id);
  }
  expect(met.size).toBe(dots.length);
  expect(neighbourDot(dots, at, 'ArrowDown')).toBe(at);
  expect(neighbourDot(dots, top, 'ArrowUp')).toBe(top);
  expect(neighbourDot(dots, top, 'End')).toBe(at);
  expect(neighbourDot(dots, at, 'Home')).toBe(top);
  expect(neighbourDot(dots, top, 'Tab')).toBeUndefined();
});

test('letters typed lead to a name that begins so, else to a later word; to none where there is none', () => {
  const named = (typed: string) => typedDot(dots, typed)?.ink.name;
  const name = dots[0]?.ink.name ?? '';
  expect(named(name.slice(0, 2).toUpperCase())?.toLowerCase()).toContain(name.slice(0, 2).toLowerCase());
  expect(named(name)).toBe(name);
  expect(named('zzz')).toBeUndefined();
  expect(named(' ')).toBeUndefined();
});

test('labels that would touch are moved apart, in order, inside their range; others stay', () => {
  expect(spread([10, 100, 200], 40, [0, 300])).toEqual([10, 100, 200]);
  const crowded = spread([100, 105, 110, 290], 40, [0, 300]);
  crowded.slice(1).forEach((place, i) => {
    expect(place - (crowded[i] ?? 0)).toBeGreaterThanOrEqual(40);
  });
  expect(crowded[0]).toBeGreaterThanOrEqual(0);
  expect(crowded.at(-1)).toBeLessThanOrEqual(300);
});

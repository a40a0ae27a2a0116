import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { keptPictures, type Shown } from './keptPictures';

const picture = (value: number) => ({ width: 1, height: 1, pixels: new Uint8ClampedArray(4).fill(value) });
const shown = (change: Partial<Shown> = {}): Shown => ({
  resolved,
  wetness: 'dry',
  progress: undefined,
  isPlain: false,
  columns: 300,
  rows: 400,
  ...change,
});
const resolved = resolvedOf([ink('pale', '#f8d46f'), ink('dark', '#005487')]);

test('a picture is given again for just what it showed, and for nothing else', () => {
  const pictures = keptPictures();
  const halves = [picture(1), picture(2)];
  pictures.keep(shown(), halves);
  expect(pictures.of(shown())).toBe(halves);
  const others: Partial<Shown>[] = [
    { resolved: { ...resolved } },
    { wetness: 'wet' },
    { isPlain: true },
    { columns: 301 },
    { rows: 401 },
  ];
  for (const other of others) expect(pictures.of(shown(other))).toBeUndefined();
});

test('the ones painted longest ago are let go, and the same twice is kept once', () => {
  const pictures = keptPictures(2);
  for (const columns of [1, 2, 2, 3]) pictures.keep(shown({ columns }), [picture(columns)]);
  expect(pictures.of(shown({ columns: 1 }))).toBeUndefined();
  for (const columns of [2, 3]) expect(pictures.of(shown({ columns }))?.[0]?.pixels[0]).toBe(columns);
});

import { expect, test, vi } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { keptPictures, type Shown } from './keptPictures';

const picture = (value: number) => ({
  width: 1,
  height: 1,
  pixels: new Uint8ClampedArray(4).fill(value),
  took: 1,
});
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

const paintedAs = (...halves: ReturnType<typeof picture>[]) => vi.fn(async () => halves);

test('a picture is given again for just what it showed, and for nothing else', async () => {
  const pictures = keptPictures();
  const halves = await pictures.painted(shown(), paintedAs(picture(1), picture(2)));
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

test('the ones painted longest ago are let go, and the same twice is kept once', async () => {
  const pictures = keptPictures(2);
  for (const columns of [1, 2, 2, 3]) await pictures.painted(shown({ columns }), paintedAs(picture(columns)));
  expect(pictures.of(shown({ columns: 1 }))).toBeUndefined();
  for (const columns of [2, 3]) expect(pictures.of(shown({ columns }))?.[0]?.pixels[0]).toBe(columns);
});

test('who asks for what is being painted waits for that; what was given up or failed is painted anew', async () => {
  const pictures = keptPictures();
  let finish = (_: ReturnType<typeof picture>[]) => {};
  const slow = new Promise<ReturnType<typeof picture>[]>((resolve) => {
    finish = resolve;
  });
  const first = pictures.painted(shown(), () => slow);
  const again = paintedAs(picture(2));
  const second = pictures.painted(shown(), again);
  finish([picture(1)]);
  expect((await first)?.[0]?.pixels[0]).toBe(1);
  expect((await second)?.[0]?.pixels[0]).toBe(1);
  expect(again).not.toHaveBeenCalled();

  for (const ended of [Promise.resolve(null), Promise.reject(new Error('worker gone'))]) {
    const wet = shown({ wetness: 'wet' });
    const given = pictures.painted(wet, () => ended);
    const after = pictures.painted(wet, paintedAs(picture(3)));
    await given.catch(() => {});
    expect((await after)?.[0]?.pixels[0]).toBe(3);
    await pictures.painted(shown({ columns: 9 }), paintedAs(picture(9)));
    await pictures.painted(shown({ columns: 8 }), paintedAs(picture(8)));
    await pictures.painted(shown({ columns: 7 }), paintedAs(picture(7)));
  }
});

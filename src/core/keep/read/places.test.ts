import { expect, test } from 'vitest';
import { BARE_CARD, noiseAt, type ReadingPlace, readingsOfSamples } from './places';

const place = (label: string, x: number, steep = 0): ReadingPlace => ({ x, y: 5, label, steep });
const places = [place('Gorse, solid', 1), place('Gorse into Weir', 2, 3), place('Gorse into Weir', 3)];
const sample = (name: string, l: number) => ({ name, lab: { l, a: 0, b: 0 } });
const read = (...samples: ReturnType<typeof sample>[]) =>
  readingsOfSamples(places, samples).places.map(({ at, lab }) => [at?.x, lab.l]);

test('samples go to the places they are named after, of one name in turn, whatever their order', () => {
  expect(
    read(sample('Gorse into Weir', 60), sample('Gorse into Weir', 50), sample('Gorse, solid', 80)),
  ).toEqual([
    [1, 80],
    [2, 60],
    [3, 50],
  ]);
});

test('a place that was left out stays unread: no other’s colour is taken for it', () => {
  expect(read(sample('Gorse, solid', 80), sample('Weir, solid', 30))).toEqual([[1, 80]]);
  expect(read(sample('Gorse into Weir', 60))).toEqual([[2, 60]]);
});

test('without such names they go by their order; bare card is told apart by its name', () => {
  expect(read(sample('1', 80), sample(BARE_CARD, 95), sample('2', 60))).toEqual([
    [1, 80],
    [2, 60],
  ]);
  const { places: told, bare } = readingsOfSamples(places, [sample('Bare card', 95), sample('1', 80)]);
  expect(bare).toMatchObject([{ layers: [], lab: { l: 95 }, source: 'reader' }]);
  expect(told).toHaveLength(1);
});

test('what is read where the colour changes fast is read less surely', () => {
  const [, steep, level] = readingsOfSamples(places, [
    sample('1', 80),
    sample('2', 60),
    sample('3', 50),
  ]).places;
  expect(steep?.noise).toBe(noiseAt({ steep: 3 }, 'reader'));
  expect(steep?.noise).toBeGreaterThan(level?.noise ?? 0);
});

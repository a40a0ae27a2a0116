import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD } from '../../testing/resolvedRecipes';
import { setRun } from '../recipe/editLadder';
import { bandsOf } from '../recipe/recipe';
import { measuredWords } from './measures';

const three = resolvedOf(
  [ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c'), ink('Skerry', '#005487')],
  WHITE_CARD,
  { panel: { width: 80, height: 120 } },
).recipe;

describe('on a straight run, whose joins lie at 85 to 75 and 45 to 35 mm from the foot', () => {
  const words = () => measuredWords(three, 'mm');

  test('a join is told by its two marks, the lower figure first, whichever ink is named first', () => {
    expect(words().join(0, 1)).toBe('75 to 85 mm');
    expect(words().join(1, 0)).toBe('75 to 85 mm');
    expect(words().join(2, 1)).toBe('35 to 45 mm');
  });

  test('each has its own half, from its own mark to the middle', () => {
    expect(words().ownHalf(0, 1)).toBe('from 85 mm to the middle of the join, 80 mm from the foot');
    expect(words().ownHalf(1, 0)).toBe('from 75 mm to the middle of the join, 80 mm from the foot');
  });

  test('a place within a join counts from the ink that is named first', () => {
    expect(words().within(0, 1, 0.2)).toBe('83 mm from the foot');
    expect(words().within(1, 0, 0.2)).toBe('77 mm from the foot');
  });

  test('a loaded brush lands half way along where its ink is solid', () => {
    expect(words().landing(1).y).toBe(60);
    expect(words().landing(0).y).toBeCloseTo(17.5, 9);
  });

  test('in inches they are the same places', () => {
    expect(measuredWords(three, 'in').join(0, 1)).toBe('2 15/16 to 3 3/8 in');
  });
});

test('what an ink covers of level bands is its share; of rings it is what lies within them', () => {
  expect(measuredWords(three, 'mm').areas).toEqual(three.rungs.map(({ share }) => share));
  const rings = setRun(three, 'glow');
  const areas = Array.from(measuredWords(rings, 'mm').areas);
  expect(areas.reduce((sum, area) => sum + area, 0)).toBeCloseTo(1, 2);
  for (const [i, area] of areas.entries())
    expect(Math.abs(area - (rings.rungs[i]?.share ?? 0))).toBeGreaterThan(0.01);
});

test('bands that lie upright or level are marked by one figure each, slanting ones by lines from edge to edge', () => {
  const on = (angle: number) => {
    const words = measuredWords({ ...three, run: { id: 'slant', params: { angle } } }, 'mm');
    return [words.lay(0, 'faded'), words.lay(2, 'faded'), words.join(0, 1), words.marks];
  };
  expect(on(90).slice(0, 3)).toEqual([
    'Solid from the left edge to 21.5 mm; fade to the right to nothing by 31.5.',
    'Solid from the right edge to 58.5 mm; fade to the left to nothing by 48.5.',
    '21.5 to 31.5 mm',
  ]);
  // Whichever way the ladder goes, they are measured from the left, the least first.
  for (const angle of [90, -90])
    expect(on(angle)[3]).toMatch(/, from the left: 21.5, 31.5, 48.5, 58.5 mm\.$/);
  const straight = measuredWords(three, 'mm');
  expect(on(0)).toEqual([
    straight.lay(0, 'faded'),
    straight.lay(2, 'faded'),
    straight.join(0, 1),
    straight.marks,
  ]);
  expect(on(35)[0]).toContain('Solid from the top left corner to line 1; fade down the slant');
});

describe('on a glow, whose marks are rings round a centre', () => {
  const glow = setRun(three, 'glow');
  const words = () => measuredWords(glow, 'mm');

  test('one figure for each is enough where they are round; ovals say how far they are not', () => {
    const marks = (oval: number) =>
      measuredWords({ ...glow, run: { id: 'glow', params: { x: 50, y: 55, oval } } }, 'mm').marks;
    expect(marks(100)).not.toContain('oval');
    expect(marks(135)).toContain('Rings are ovals, 1.35 times as high as wide.');
    expect(marks(50)).toContain('Rings are ovals, 2 times as wide as high.');
  });

  test('marks are called by their line, and what lies between them by its own', () => {
    const called = bandsOf(glow)?.bordersAre;
    expect(words().join(0, 1)).toBe(`${called} 1 to ${called} 2`);
    expect(words().join(1, 0)).toBe(words().join(0, 1));
    const [near, far] = [words().ownHalf(0, 1), words().ownHalf(1, 0)];
    expect(near.startsWith(`from ${called} 1 to the middle of the join, `)).toBe(true);
    expect(far).toBe(near.replace(`${called} 1`, `${called} 2`));
  });
});

test('a run of patches has marks for none of its inks', () => {
  const { given, marks, extent } = measuredWords(setRun(three, 'corners'), 'mm');
  expect(given).toEqual([]);
  expect(extent(0)).toBeUndefined();
  expect(marks.length).toBeGreaterThan(10);
});

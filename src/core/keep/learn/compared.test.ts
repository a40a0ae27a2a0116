import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { deltaE00 } from '../../materials/colour/difference';
import type { Ink } from '../../materials/ink/ink';
import { type LoggedReading, type MadePanel, madeOf } from '../log/made';
import { comparedReadings, mediansOff } from './compared';

const [gorse, weir] = [ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')] as const;
const resolved = resolvedOf([gorse, weir]);
const { height } = resolved.recipe.panel;
const read = (y: number, lab: LoggedReading['lab'], more: Partial<LoggedReading> = {}): LoggedReading => ({
  at: { x: 30, y },
  lab,
  source: 'photograph',
  noise: 2,
  ...more,
});
const panelWith = (...readings: readonly LoggedReading[]): MadePanel => ({
  id: 'p',
  number: 1,
  date: '2026-11-29',
  name: 'one',
  made: madeOf(resolved),
  readings,
});
const grey = { l: 60, a: 0, b: 0 };
const shelf: readonly Ink[] = [gorse, weir];

test('a reading stands beside what was said of its place, and is off by so much; as long as no ink changes, then as now', () => {
  const [first] = comparedReadings(panelWith(read(5, grey)), shelf);
  expect(first?.said).toEqual(first?.told);
  expect(first?.offThen).toBe(deltaE00(first?.said ?? grey, grey));
  const exact = comparedReadings(panelWith(read(5, first?.said ?? grey)), shelf);
  expect(mediansOff(exact)).toEqual({ offThen: 0, offNow: 0 });
});

test('an ink that is known better since is told anew; what was said of it stays', () => {
  const [before] = comparedReadings(panelWith(read(height - 5, grey)), shelf);
  const [after] = comparedReadings(panelWith(read(height - 5, grey)), [gorse, { ...weir, strength: 1.4 }]);
  expect(after?.said).toEqual(before?.said);
  expect(after?.told.l).toBeLessThan(before?.told.l ?? 0);
});

test('wet readings and those of no place are left out, and each keeps its place among all', () => {
  const compared = comparedReadings(
    panelWith(
      read(5, grey, { wet: true }),
      { layers: [], lab: grey, source: 'photograph', noise: 2 },
      read(8, grey),
    ),
    shelf,
  );
  expect(compared.map(({ place, at }) => [place, at.y])).toEqual([[2, 8]]);
  expect(mediansOff([])).toBeUndefined();
  const { made: _, ...unknown } = panelWith(read(5, grey));
  expect(comparedReadings(unknown, shelf)).toEqual([]);
});

test('of several the median is told, and one far from what is told now hardly counts', () => {
  const [{ told } = { told: grey }] = comparedReadings(panelWith(read(5, grey)), shelf);
  const compared = comparedReadings(
    panelWith(...[0, 1, 2, 40].map((by) => read(5, { ...told, l: told.l - by }))),
    shelf,
  );
  expect(compared.map(({ isFarOff }) => isFarOff)).toEqual([false, false, false, true]);
  const off = compared.map(({ offNow }) => offNow);
  expect(mediansOff(compared)?.offNow).toBeCloseTo(((off[1] ?? 0) + (off[2] ?? 0)) / 2, 9);
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { ink } from '../../../testing/resolvedRecipes';
import { INK_DEPTHS, type Ink, withLearned } from './ink';
import { describeHiding, inkFields, inkOfFields } from './inkFields';
import { inksOfReadings } from './newInks';

test('typed numbers take a comma, colours a reading in Lab, and what is empty is left out', () => {
  const typed = {
    ...inkFields(undefined),
    name: ' Leat ',
    family: 'Leat',
    overWhite: '50 0 0',
    dryBack: '12,5',
  };
  expect(inkOfFields(typed, 'leat')).toEqual({
    id: 'leat',
    name: 'Leat',
    family: 'Leat',
    depth: 'mid',
    kind: 'hybrid',
    overWhite: '#777777',
    dryBack: 0.125,
  });
});

test('a form that is opened and saved changes nothing of an ink, be it half a per cent of dry back', () => {
  const texts = fc.constantFrom('Leat', 'a b', 'é');
  const hexes = fc.constantFrom('#009aab' as const, '#ffffff' as const);
  const inks = fc.record(
    {
      id: fc.constant('leat'),
      name: texts,
      family: texts,
      depth: fc.constantFrom(...INK_DEPTHS),
      kind: fc.constantFrom('hybrid' as const, 'dye' as const, 'pigment' as const),
      overWhite: hexes,
      overBlack: hexes,
      dryBack: fc.integer({ min: 0, max: 9000 }).map((part) => part / 10_000),
      strength: fc.integer({ min: 25, max: 400 }).map((part) => part / 100),
      brush: texts,
      line: texts,
      note: texts,
      wished: fc.constant(true as const),
    },
    { requiredKeys: ['id', 'name', 'family', 'depth', 'kind', 'overWhite'] },
  );
  fc.assert(
    fc.property(inks, (ink) => {
      expect(inkOfFields(inkFields(ink), ink.id)).toEqual(ink);
    }),
  );
});

test('what panels and pages have taught of an ink stays while its colours do, how water lifts it while its kind does', () => {
  const taught = { strength: 1, scattering: 1, slope: 0, modes: [], doubt: [], panels: 2, at: '2026-11-01' };
  const before: Ink = { ...ink('Leat', '#009aab', 'dye'), lifts: 0.4, taught };
  const told = inkOfFields({ ...inkFields(before), name: 'Leat, new pad' }, before.id);
  expect(withLearned(told, before)).toEqual({ ...before, name: 'Leat, new pad' });
  const repainted = withLearned({ ...told, overWhite: '#009aac' }, before);
  expect([repainted.lifts, repainted.taught]).toEqual([0.4, undefined]);
  expect(withLearned({ ...told, overBlack: '#101010' }, before).taught).toBeUndefined();
  expect(withLearned({ ...told, lifts: 0.2 }, before).lifts).toBe(0.2);
  const other = withLearned({ ...told, kind: 'pigment' }, before);
  expect([other.lifts, other.taught]).toEqual([undefined, undefined]);
  expect(withLearned(told, undefined)).toBe(told);
});

test('hiding is told by the contrast ratio: alike over white and black it hides, black over black it is clear', () => {
  expect(describeHiding('#808080', '#808080')).toBe('Contrast ratio 100 %: it hides.');
  expect(describeHiding('#ffffff', '#d0d0d0')).toMatch(/6\d %: it half hides/);
  expect(describeHiding('#f0c040', '#0a0a0a')).toMatch(/1 %: it is clear/);
});

test('swatches become inks under names of their own, even where two are called alike', () => {
  let count = 0;
  const inks = inksOfReadings(
    [
      { name: 'Tarn', hex: '#133f7c' },
      { name: ' Tarn ', hex: '#133f7d' },
    ],
    ['Tarn'],
    () => `new-${++count}`,
  );
  expect(inks.map(({ id, name, family }) => [id, name, family])).toEqual([
    ['new-1', 'Tarn (2)', 'Tarn (2)'],
    ['new-2', 'Tarn (3)', 'Tarn (3)'],
  ]);
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { cardSchema } from '../core/files/cardSchema';
import { inkSchema } from '../core/files/inkSchema';
import { handPanelSchema, madePanelSchema } from '../core/files/madeSchema';
import { type HandFields, handFields, panelOfFields } from '../core/keep/log/byHand';
import { type CardFields, cardFields, cardOfFields } from '../core/materials/card/cardFields';
import { type InkFields, inkFields, inkOfFields } from '../core/materials/ink/inkFields';
import { ink, WHITE_CARD } from '../testing/resolvedRecipes';
import { schemaResolver } from './schemaResolver';

const leat = { ...ink('Leat Mid', '#0098a8'), brush: 'round 2', dryBack: 0.12 };
const options = { fields: {}, shouldUseNativeValidation: false };

const inkFaults = async (change: Partial<InkFields>) => {
  const resolve = schemaResolver<InkFields>(inkSchema, (fields) => inkOfFields(fields, 'leat'), {
    dryBack: 'Type 0 to 90.',
  });
  const { errors } = await resolve({ ...inkFields(leat), ...change }, undefined, options);
  return Object.fromEntries(Object.entries(errors).map(([field, error]) => [field, error?.message]));
};
const cardFaults = async (change: Partial<CardFields>) => {
  const resolve = schemaResolver<CardFields>(cardSchema, (fields) => cardOfFields(fields, 'white', 'mm'), {});
  const { errors } = await resolve({ ...cardFields(WHITE_CARD, 'mm'), ...change }, undefined, options);
  return Object.keys(errors);
};

test('what a form shows of an ink or a card it takes', async () => {
  expect(inkOfFields(inkFields(leat), leat.id)).toEqual(leat);
  expect(await inkFaults({})).toEqual({});
  // In inches too: a form that is opened for another of its fields changes no size.
  for (const sheet of [
    { width: 210, height: 297 },
    { width: 215.9, height: 279.4 },
  ])
    for (const unit of ['mm', 'in'] as const) {
      const sheeted = { ...WHITE_CARD, sheet, stock: 4 };
      const { sheet: back, ...others } = cardOfFields(cardFields(sheeted, unit), sheeted.id, unit);
      expect({ ...others, sheet }).toEqual(sheeted);
      expect(back?.width).toBeCloseTo(sheet.width, 9);
      expect(back?.height).toBeCloseTo(sheet.height, 9);
    }
  expect(await cardFaults({})).toEqual([]);
});

test('what files would refuse is refused at its field, with what to type', async () => {
  expect(await inkFaults({ dryBack: '95' })).toEqual({ dryBack: 'Type 0 to 90.' });
  expect(Object.keys(await inkFaults({ name: ' ', overWhite: 'teal', strength: 'strong' })).sort()).toEqual([
    'name',
    'overWhite',
    'strength',
  ]);
  expect(await cardFaults({ grammage: 'thick' })).toEqual(['grammage']);
  expect(await cardFaults({ stock: '2.5' })).toEqual(['stock']);
});

test('a sheet has both of its sides or neither', async () => {
  expect(await cardFaults({ width: '210' })).toEqual(['height']);
  expect(await cardFaults({ width: '210', height: '20' })).toEqual(['height']);
  expect(await cardFaults({ width: '', height: ' ' })).toEqual([]);
});

test('a panel that is logged by hand is one that files take, or is refused at its field', async () => {
  const resolve = schemaResolver<HandFields>(handPanelSchema('2026-05-01'), panelOfFields, {});
  const faults = async (change: Partial<HandFields>) => {
    const typed = { ...handFields('2026-05-01'), name: 'Dusk', ...change };
    const { errors } = await resolve(typed, undefined, options);
    const isTaken = madePanelSchema.isValidSync({ ...panelOfFields(typed), id: 'made', number: 1 });
    if (Object.keys(errors).length === 0) expect(isTaken).toBe(true);
    return Object.keys(errors).sort();
  };
  expect(await faults({ inkNames: 'Gorse Pale, , Leat  Mid' })).toEqual([]);
  expect(await faults({ name: ' ' })).toEqual(['name']);
  // The year typed with a figure too many, or not through; a day that is still to come.
  for (const date of ['20261-05-01', '0202-05-01', '2026-05-02', ''])
    expect(await faults({ date })).toEqual(['date']);
  expect(await faults({ inkNames: `Leat, ${'x'.repeat(121)}` })).toEqual(['inkNames']);
  expect(await faults({ inkNames: 'Leat,'.repeat(13), note: 'x'.repeat(4001) })).toEqual([
    'inkNames',
    'note',
  ]);
  await fc.assert(
    fc.asyncProperty(fc.string({ unit: 'grapheme', maxLength: 300 }), async (typed) => {
      await faults({ name: typed, inkNames: typed, occasion: typed, note: typed });
    }),
  );
});

import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { paintPanel } from '../../picture/paint';
import { readLadder } from '../../readings/readings';
import { setRun } from '../../recipe/editLadder';
import { addPass } from '../../recipe/editPasses';
import { PASS_LIMITS } from '../../recipe/passes/passes';
import { patchesOf, type Recipe } from '../../recipe/recipe';
import { RUN_IDS } from '../../recipe/runs/runs';
import { CHANGE_IDS, withChange } from '../log/changes';
import { TROUBLE_IDS } from '../log/troubles';
import { CAUSES } from './causes';
import type { TroubleContext } from './definition';
import { faultPicture } from './faultPicture';
import { findCauses, oftenWrong, tellPart } from './findCauses';

const red = ink('Rowan', '#b3262f', 'dye');
const green = ink('Moss', '#5b8f3a', 'dye');
const resolved = resolvedOf([red, green]);
const context: TroubleContext = {
  resolved,
  readings: readLadder(resolved),
  daysSinceInked: () => undefined,
  inLog: () => ({ times: 0, of: 0 }),
};

test('every trouble has a cause with a cure and what to do the next time, and can be seen on the recipe', () => {
  const plain = paintPanel(resolved, 'dry', 40, 50).pixels;
  for (const trouble of TROUBLE_IDS) {
    expect(CAUSES[trouble].length).toBeGreaterThan(0);
    for (const { cause, cure, next } of CAUSES[trouble])
      for (const said of [cause, cure, next]) expect(said).toMatch(/^[A-Z].*\.$/);
    const seen = faultPicture(trouble, resolved, 40, 50).pixels;
    expect(seen.some((value, i) => Math.abs(value - (plain[i] ?? 0)) > 12)).toBe(true);
  }
});

test('water marks are shown on inks that water would not lift, too, and where no pass can be added', () => {
  const pigments = resolvedOf([ink('Gorse', '#f2c230', 'pigment'), ink('Rowan', '#b3262f', 'pigment')]);
  let full = pigments.recipe;
  for (let i = 0; i < PASS_LIMITS.passes; i++) full = addPass(full, 'mist');
  expect(full.passes).toHaveLength(PASS_LIMITS.passes);
  const plain = paintPanel(pigments, 'dry', 80, 100).pixels;
  for (const recipe of [pigments.recipe, full]) {
    const seen = faultPicture('waterMarks', { ...pigments, recipe }, 80, 100).pixels;
    const marked = seen.filter((value, i) => Math.abs(value - (plain[i] ?? 0)) > 25).length;
    expect(marked).toBeGreaterThan(0.005 * seen.length);
    expect(marked).toBeLessThan(0.3 * seen.length);
  }
});

test('a brown band between red and green is put down to the hues; between neighbours, to the brush', () => {
  expect(findCauses('muddyBand', context)[0]).toMatchObject({
    id: 'opposites',
    reason: expect.stringMatching(/Mud/),
  });
  const kind = resolvedOf([ink('Gorse', '#f2c230'), ink('Rowan', '#b3262f')]);
  const alike = findCauses('muddyBand', { ...context, resolved: kind, readings: readLadder(kind) });
  expect(alike[0]?.id).not.toBe('opposites');
  expect(alike.reduce((sum, { part }) => sum + part, 0)).toBeCloseTo(1, 9);
});

test('dry splotches are put down to the pad once it was long not re-inked', () => {
  const first = (days: number | undefined) =>
    findCauses('drySplotches', { ...context, daysSinceInked: () => days })[0]?.id;
  expect(first(undefined)).toBe('stiff-brush');
  expect(first(20)).toBe('stiff-brush');
  expect(first(400)).toBe('dry-pad');
});

test('what goes wrong in one panel of five or more is said beforehand', () => {
  const inLog = (times: number, of: number) => oftenWrong(['curl'], () => ({ times, of }));
  expect(inLog(1, 1)).toEqual([]);
  expect(inLog(1, 10)).toEqual([]);
  expect(inLog(3, 10)).toEqual([{ trouble: 'curl', times: 3, of: 10 }]);
});

test.each(RUN_IDS)(
  'every change for the next time changes what is laid, and keeps its shares whole: %s',
  (run) => {
    const three = resolvedOf([ink('Gorse', '#f2c230'), red, green]).recipe;
    const foam = { ...setRun(three, run), tool: 'foam' as const, school: 'suggested' as const };
    const laid = (recipe: Recipe) => {
      const { rungs, joints, school, tool } = recipe;
      // Of patches only their one width is laid, and not what the ladder's joints would be.
      return { rungs, school, tool, joints: patchesOf(recipe)?.soft ?? joints };
    };
    for (const id of CHANGE_IDS) {
      const [rung] = foam.rungs;
      const changed = withChange(foam, rung ? { id, inkId: rung.inkId } : { id });
      expect(laid(changed), id).not.toEqual(laid(foam));
      expect(changed.rungs.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    }
    expect(withChange(foam, { id: 'roomFor', inkId: 'nobody' })).toEqual(foam);
  },
);

test('a cause is told the surer the larger its part is, of two alike both as likely', () => {
  expect([0.1, 0.2, 0.3, 0.4, 0.5, 0.65, 0.66, 1].map((part) => tellPart({ part }))).toEqual([
    'less likely',
    'less likely',
    'possible',
    'possible',
    'likely',
    'likely',
    'most likely',
    'most likely',
  ]);
});

import { expect, test, vi } from 'vitest';
import { groupOf } from '../core/make/sitting/fromSheet';
import { type PlannedSitting, planSitting } from '../core/make/sitting/plan';
import { type Sitting, USUAL_TABLE } from '../core/make/sitting/sitting';
import { faultsOfPlan } from '../testing/checkSitting';
import { ink, resolvedOf } from '../testing/resolvedRecipes';
import type { SittingDoor } from './sitting.worker';

let door: SittingDoor;
vi.mock('comlink', () => ({
  expose: (exposed: SittingDoor) => {
    door = exposed;
  },
}));
await import('./sitting.worker');

const trios = [
  [ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye'), ink('Skerry', '#005487')],
  [ink('Thrift', '#f4a6c0'), ink('Betony', '#b0489a'), ink('Sloe', '#3a2f66')],
] as const;
const sitting: Sitting = {
  groups: trios.map((inks) => groupOf(resolvedOf(inks), 5)),
  atHand: { ...USUAL_TABLE, mats: 1, brushes: { 'dye and hybrid': 3 } },
};

test('a plan that is good enough rests at once, and what is worth knowing of it is told all the same', async () => {
  const shown: PlannedSitting[] = [];
  const asked = door.plan(sitting, {}, (_part, planned) => planned && shown.push(planned));
  door.enough();
  const answer = await asked;
  if ('problem' in answer) throw new Error(answer.problem);
  expect(answer.planned).toEqual(planSitting(sitting, { steps: 4 }));
  expect(shown).toEqual([answer.planned]);
  expect(faultsOfPlan(sitting, answer.planned.plan)).toEqual([]);

  const finish = answer.planned.plan.makespan / 2;
  const whole = await door.advise(sitting, answer.planned, undefined, finish);
  expect(whole.by?.reduce((sum, count) => sum + count)).toBeGreaterThan(0);
  expect(whole.help.length).toBeGreaterThan(0);
  // Pressed as the last round ended: nothing is left out for it.
  const advising = door.advise(sitting, answer.planned, undefined, finish);
  door.enough();
  expect(await advising).toEqual(whole);
});

test('a newer question ends an older one, which has what it found by then; who no longer waits is not advised', async () => {
  const first = door.plan(sitting, {});
  const second = door.plan(sitting, { rounds: 14 });
  expect(await first).toEqual({ planned: planSitting(sitting, { steps: 4 }) });
  expect('planned' in (await second)).toBe(true);
  const advising = door.advise(sitting, planSitting(sitting, { steps: 4 }), undefined, 1);
  door.rest();
  expect(await advising).toEqual({ help: [] });
});

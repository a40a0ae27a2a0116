import { seededRandom } from '../src/core/base/random';
import { groupOf } from '../src/core/make/sitting/fromSheet';
import { planSitting } from '../src/core/make/sitting/plan';
import {
  type Operation,
  type PanelGroup,
  type Sitting,
  USUAL_TABLE,
  whyNot,
} from '../src/core/make/sitting/sitting';
import { demoRecipe } from './core';
import { quantile, type Row, row } from './row';

const EVENINGS = 60;
const INKS = ['Gorse', 'Leat', 'Skerry', 'Rowan', 'Sloe'];
/** Rounds of improvement an evening gets. */
const STEPS = 300;

/** How near plans come to the least there can be, and how long 48 panels take to plan. */
export function measure(): Row[] {
  const gapOf = (mats: number) =>
    Array.from({ length: EVENINGS }, (_, seed) => {
      const { plan, bound } = planSitting(evening(seed + 1, mats), { steps: STEPS });
      return 100 * (plan.makespan / bound - 1);
    });
  const [one, three] = [gapOf(1), gapOf(3)];
  const begun = performance.now();
  const invitations = planSitting(
    {
      groups: [18, 18, 12].map((count) => groupOf(demoRecipe(), count)),
      atHand: { ...USUAL_TABLE, places: 60 },
    },
    { steps: STEPS },
  );
  const took = performance.now() - begun;
  return [
    row('sitting-48', took, 'ms', 1000),
    row('sitting-48-gap', 100 * (invitations.plan.makespan / invitations.bound - 1), '%', 2),
    row('sitting-gap', quantile(one, 0.5), '%', 2),
    row('sitting-gap-worst', Math.max(...one), '%', 5),
    row('sitting-gap-3-mats', quantile(three, 0.5), '%', 3),
    row('sitting-gap-3-mats-worst', Math.max(...three), '%', 8),
  ];
}

/** A made-up evening: one to three recipes of one to three stages, 4 to 60 panels. */
export function evening(seed: number, mats: number): Sitting {
  const draw = seededRandom(seed);
  const between = (from: number, to: number) => from + Math.floor(draw() * (to - from + 1));
  const groups = Array.from({ length: between(1, 3) }, (_, g): PanelGroup => {
    const operations = Array.from({ length: between(1, 3) }, () => stage(draw, between)).flat();
    return { name: `Recipe ${g + 1}`, count: between(4, 20), operations };
  });
  const sitting = { groups, atHand: { ...USUAL_TABLE, mats, places: 80 } };
  return whyNot(sitting) === undefined ? sitting : evening(seed + 1000, mats);
}

/** A blend of two or three inks that ends in drying, or one thing done alone. */
function stage(draw: () => number, between: (from: number, to: number) => number): Operation[] {
  const dry = draw() < 0.7 ? between(10, 60) : 0;
  if (draw() < 0.35) return [{ name: 'stamp', minutes: between(1, 4), rest: { min: dry } }];
  const inks = Array.from({ length: between(2, 3) }, () => INKS[between(0, 4)] as string);
  return inks.map((ink, i) => ({
    name: `lay ${ink}`,
    minutes: between(3, 5) / 2,
    ink,
    rest: i < inks.length - 1 ? { max: 3 } : { min: dry },
  }));
}

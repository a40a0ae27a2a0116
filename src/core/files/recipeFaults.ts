import type { Card } from '../materials/card/card';
import type { Design } from '../materials/design/design';
import { isOwnDesign } from '../materials/design/own';
import { BARE, type Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { settle } from '../recipe/editLadder';
import type { Recipe } from '../recipe/recipe';
import { RUNS } from '../recipe/runs/runs';
import type { Fault } from './fileError';
import { passFaults } from './passSchema';
import { paramFaults } from './schemaParts';

/** How far shares may miss 1 in sum and joints may touch, to allow for rounding by hand. */
const SLACK = 1e-3;

/** What a file holds once every part of it has the right shape. */
interface Brought {
  readonly recipe: Recipe;
  readonly card: Card;
  readonly alsoOn?: Card;
  readonly inks: readonly Ink[];
  /** Those of the file; those that ship with the program are not among them. */
  readonly designs: readonly Design[];
}

/** What of a file's parts does not go together, with its place; empty where all does. */
export function recipeFaults(file: Brought, designs: readonly Design[]): Fault[] {
  const { recipe, inks } = file;
  const byId = new Map(inks.map((ink) => [ink.id, ink]));
  const faults = [
    ...cardFaults(file),
    ...inkFaults(file, byId),
    ...paramFaults('recipe.run.params', RUNS[recipe.run.id].params, recipe.run.params),
    ...passFaults(recipe.passes, byId, designs),
    ...designFaults(file, designs),
    ...ladderFaults(recipe),
  ];
  return faults.length > 0 ? faults : jointFaults(recipe);
}

const cardFaults = ({ recipe, card, alsoOn }: Brought): Fault[] => [
  ...(recipe.cardId === card.id
    ? []
    : [
        {
          place: 'recipe.cardId',
          problem: `is "${recipe.cardId}", but the card in the file is "${card.id}"`,
        },
      ]),
  ...(recipe.alsoOn === alsoOn?.id
    ? []
    : [
        {
          place: 'recipe.alsoOn',
          problem: `is ${JSON.stringify(recipe.alsoOn)}, but the second card in the file is ${JSON.stringify(alsoOn?.id)}`,
        },
      ]),
];

function inkFaults({ recipe, inks }: Brought, byId: ReadonlyMap<string, Ink>): Fault[] {
  const faults: Fault[] = [];
  if (byId.size < inks.length) faults.push({ place: 'inks', problem: 'has two inks with one id' });
  if (byId.has(BARE.id)) faults.push({ place: 'inks', problem: `"${BARE.id}" stands for no ink` });
  recipe.rungs.forEach(({ inkId }, i) => {
    const place = `recipe.rungs[${i}].inkId`;
    const ink = byId.get(inkId);
    if (inkId === BARE.id) return;
    if (!ink) faults.push({ place, problem: `no ink "${inkId}" is in the file` });
    else if (!INK_KINDS[ink.kind].blends)
      faults.push({
        place,
        problem: `${ink.name} is ${INK_KINDS[ink.kind].label}, which is stamped, not blended`,
      });
  });
  if (recipe.rungs.every(({ inkId }) => inkId === BARE.id))
    faults.push({ place: 'recipe.rungs', problem: 'have no ink at all' });
  return faults;
}

function designFaults({ designs: brought }: Brought, designs: readonly Design[]): Fault[] {
  const taken = brought.flatMap(({ id, name }, i) =>
    isOwnDesign(id)
      ? [
          {
            place: `designs[${i}].id`,
            problem: `"${id}" is a design that ships with the program; ${name} needs another`,
          },
        ]
      : [],
  );
  return new Set(designs.map(({ id }) => id)).size < designs.length
    ? [...taken, { place: 'designs', problem: 'has two designs with one id' }]
    : taken;
}

function ladderFaults({ rungs, joints, wanted }: Recipe): Fault[] {
  const faults: Fault[] = [];
  if (new Set(rungs.map(({ id }) => id)).size < rungs.length)
    faults.push({ place: 'recipe.rungs', problem: 'has two rungs with one id' });
  if (wanted && wanted.length !== rungs.length)
    faults.push({ place: 'recipe.wanted', problem: 'must have one share a rung' });
  const sum = rungs.reduce((total, { share }) => total + share, 0);
  if (Math.abs(sum - 1) > SLACK)
    faults.push({
      place: 'recipe.rungs',
      problem: `shares must add up to 1 (they add up to ${Number(sum.toFixed(4))})`,
    });
  if (joints.length !== rungs.length - 1)
    faults.push({
      place: 'recipe.joints',
      problem: `${rungs.length} rungs have ${rungs.length - 1} joints (there are ${joints.length})`,
    });
  return faults;
}

/** Joints that do not fit; asked only of a ladder that is whole. */
const jointFaults = (recipe: Recipe): Fault[] =>
  settle(recipe).joints.flatMap(({ width }, i) => {
    const given = recipe.joints[i]?.width ?? 0;
    return Math.abs(width - given) > SLACK
      ? [
          {
            place: `recipe.joints[${i}].width`,
            problem: `does not fit between its neighbours (it is ${given} mm)`,
          },
        ]
      : [];
  });

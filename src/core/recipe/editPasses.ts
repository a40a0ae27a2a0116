import type { Millimetres } from '../base/length';
import type { Params, ParamsOf } from '../base/params';
import type { Design } from '../materials/design/design';
import { SIZE_PARAM } from '../materials/design/placement';
import type { Panel } from './panel';
import { coat } from './passes/coat';
import type { AnyPlacement, PassKind } from './passes/definition';
import {
  makePass,
  PASS_KINDS,
  PASS_LIMITS,
  type Pass,
  type PassKindId,
  placementsOf,
  withPlacements,
} from './passes/passes';
import { nextId, passesInOrder, type Recipe } from './recipe';

/** What a new pass is laid in and with. */
export interface PassStart {
  readonly inkId?: string;
  readonly design?: Design;
  /** Parameters other than those the kind starts with. */
  readonly params?: Params;
}

const isUnder = ({ kind }: Pass): boolean => PASS_KINDS[kind].stage === 'under';

/**
 * One more pass with the numbers it starts with: after all others of its stage, but what works the wet blend before them. Those
 * laid before the blend stand first in the list. The recipe comes back as it was when it holds as many as it may.
 */
export function addPass(
  recipe: Recipe,
  kindId: PassKindId,
  { inkId, design, params }: PassStart = {},
): Recipe {
  const { passes, panel } = recipe;
  if (passes.length >= PASS_LIMITS.passes || countPlacements(passes) >= PASS_LIMITS.placements) return recipe;
  const pass = makePass(
    freePassId(passes, kindId),
    kindId,
    {
      ...(inkId === undefined ? {} : { inkId }),
      ...(design ? { designId: design.id } : {}),
      params: { ...(design ? { width: startWidth(kindId, design, panel) } : {}), ...params },
    },
    panel,
  );
  const under = passes.filter(isUnder);
  const over = passes.filter((other) => !isUnder(other));
  const isNext = isUnder(pass) || PASS_KINDS[kindId].worksWet;
  return { ...recipe, passes: isNext ? [...under, pass, ...over] : [...under, ...over, pass] };
}

const countPlacements = (passes: readonly Pass[]): number =>
  passes.reduce((sum, { placements }) => sum + placements.length, 0);

function freePassId(passes: readonly Pass[], kind: PassKindId): string {
  const taken = new Set(passes.map(({ id }) => id));
  let count = 1;
  while (taken.has(`${kind}-${count}`)) count++;
  return `${kind}-${count}`;
}

/** An image starts at most so wide, as a part of the panel. */
const START_PART = 0.8;

/** What is meant as a background goes so far beyond the panel. */
const BEYOND = 1.05;

/**
 * A stencil lies in its own size; an image a little narrower than the panel, or in its own if that is less. A stamp that
 * the ladder is printed from is a large one: it goes beyond the panel on every side.
 */
function startWidth(kind: PassKindId, design: Design, panel: Panel): Millimetres {
  if (PASS_KINDS[kind].printsLadder) {
    const covers = Math.max(panel.width, (panel.height * design.width) / design.height);
    return Math.min(Math.round(BEYOND * covers), SIZE_PARAM.width.max);
  }
  return design.use === 'image' ? Math.min(design.width, Math.round(panel.width * START_PART)) : design.width;
}

export const removePass = (recipe: Recipe, id: string): Recipe => ({
  ...recipe,
  passes: recipe.passes.filter((pass) => pass.id !== id),
});

const changePass = (recipe: Recipe, id: string, change: (pass: Pass) => Pass): Recipe => ({
  ...recipe,
  passes: recipe.passes.map((pass) => (pass.id === id ? change(pass) : pass)),
});

export const enablePass = (recipe: Recipe, id: string, enabled: boolean): Recipe =>
  changePass(recipe, id, (pass) => ({ ...pass, enabled }));

/** Moves a pass to a place in the list; it stays among those laid before the blend, or among those over it. */
export function movePass(recipe: Recipe, id: string, to: number): Recipe {
  const from = recipe.passes.findIndex((pass) => pass.id === id);
  const pass = recipe.passes[from];
  if (!pass) return recipe;
  const under = recipe.passes.filter(isUnder).length;
  const [first, last] = isUnder(pass) ? [0, under - 1] : [under, recipe.passes.length - 1];
  const place = Math.min(Math.max(to, first), last);
  return place === from
    ? recipe
    : { ...recipe, passes: recipe.passes.toSpliced(from, 1).toSpliced(place, 0, pass) };
}

/** Another design for a pass, in its own size; undefined where its kind can do without. */
export const setPassDesign = (recipe: Recipe, id: string, design: Design | undefined): Recipe =>
  changePass(recipe, id, (pass) => {
    if (!PASS_KINDS[pass.kind].design) return pass;
    const { designId: _, ...rest } = pass;
    const width = design ? { width: startWidth(pass.kind, design, recipe.panel) } : {};
    return withPlacements(
      { ...rest, ...(design ? { designId: design.id } : {}) } as Pass,
      placementsOf(pass).map((placement) => ({ ...placement, params: { ...placement.params, ...width } })),
      recipe.panel,
    );
  });

/** Another ink, or other parameters, for a placement; of a kind that is named, only what it knows. */
export interface PlacementChange<Kind extends PassKind = PassKind> {
  readonly inkId?: string;
  readonly params?: Partial<ParamsOf<Kind['params']>>;
}

/** A change as it comes when nothing is known of the kind. */
interface AnyChange {
  readonly inkId?: string;
  readonly params?: Params;
}

const changed = ({ inkId, params, ...placement }: AnyPlacement, change: AnyChange): AnyPlacement => {
  const ink = change.inkId ?? inkId;
  return {
    ...placement,
    ...(ink === undefined ? {} : { inkId: ink }),
    params: { ...params, ...change.params },
  };
};

/** Changes one placement of a pass. */
export const setPlacement = <Kind extends PassKind = PassKind>(
  recipe: Recipe,
  id: string,
  placementId: string,
  change: PlacementChange<Kind>,
): Recipe =>
  changePass(recipe, id, (pass) =>
    withPlacements(
      pass,
      placementsOf(pass).map((one) => (one.id === placementId ? changed(one, change as AnyChange) : one)),
      recipe.panel,
    ),
  );

/** Changes every placement of a pass. */
export const setPlacements = <Kind extends PassKind = PassKind>(
  recipe: Recipe,
  id: string,
  change: PlacementChange<Kind>,
): Recipe =>
  changePass(recipe, id, (pass) =>
    withPlacements(
      pass,
      placementsOf(pass).map((one) => changed(one, change as AnyChange)),
      recipe.panel,
    ),
  );

/** The coat that lies over a resist, where one does. */
export function coatOver(recipe: Recipe, resistId: string): Pass | undefined {
  const order = passesInOrder(recipe);
  return order
    .slice(order.findIndex(({ id }) => id === resistId) + 1)
    .findLast(({ kind }) => PASS_KINDS[kind].coversAll);
}

/** A full coat of this ink over a resist: the coat that lies over it takes it, else one more pass does. */
export function coatResist(recipe: Recipe, resistId: string, inkId: string): Recipe {
  const full = { inkId, params: { strength: 100 } };
  const over = coatOver(recipe, resistId);
  return over ? setPlacements<typeof coat>(recipe, over.id, full) : addPass(recipe, coat.id, full);
}

/** How far beside the last one a further placement starts, mm. */
const BESIDE = 12;

/** One more placement, like the last one and a little beside it, where its kind allows it. */
export const addPlacement = (recipe: Recipe, id: string): Recipe =>
  changePass(recipe, id, (pass) => {
    const placements = placementsOf(pass);
    const last = placements.at(-1);
    const full = countPlacements(recipe.passes) >= PASS_LIMITS.placements;
    if (!last || full || placements.length >= PASS_KINDS[pass.kind].placements.max) return pass;
    const { x = 0, y = 0 } = last.params;
    const beside = { x: Number(x) + BESIDE, y: Number(y) + BESIDE };
    return withPlacements(
      pass,
      [...placements, { ...last, id: nextId('p', placements), params: { ...last.params, ...beside } }],
      recipe.panel,
    );
  });

/** Takes a placement off; the last one stays. */
export const removePlacement = (recipe: Recipe, id: string, placementId: string): Recipe =>
  changePass(recipe, id, (pass) =>
    pass.placements.length < 2
      ? pass
      : withPlacements(
          pass,
          placementsOf(pass).filter((placement) => placement.id !== placementId),
          recipe.panel,
        ),
  );

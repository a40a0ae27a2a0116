import type { Millimetres } from '../base/length';
import { heldParams, type Params } from '../base/params';
import type { Design } from '../materials/design/design';
import type { Panel } from './panel';
import { PASS_KINDS, PASS_LIMITS, type Pass, type PassKindId } from './passes/passes';
import { passesInOrder } from './passesInOrder';
import type { Recipe } from './recipe';

/** What a new pass is laid in and with. */
export interface PassStart {
  readonly inkId?: string;
  readonly design?: Design;
  /** Numbers other than those the kind starts with. */
  readonly params?: Params;
}

/**
 * One more pass with the numbers it starts with: after all others of its stage. Those laid before the blend stand first
 * in the list. The recipe comes back as it was when it holds as many as it may.
 */
export function addPass(
  recipe: Recipe,
  kindId: PassKindId,
  { inkId, design, params }: PassStart = {},
): Recipe {
  const kind = PASS_KINDS[kindId];
  const { passes, panel } = recipe;
  if (passes.length >= PASS_LIMITS.passes || placementsIn(passes) >= PASS_LIMITS.placements) return recipe;
  const pass: Pass = {
    id: freePassId(passes, kindId),
    kind: kindId,
    on: true,
    ...(design && kind.design ? { designId: design.id } : {}),
    placements: [
      {
        ...(inkId !== undefined && kind.ink ? { inkId } : {}),
        params: heldParams(
          kind.params,
          { ...(design ? { width: startWidth(design, panel) } : {}), ...params },
          panel,
        ),
      },
    ],
  };
  const under = passes.filter((other) => PASS_KINDS[other.kind].stage === 'under');
  const over = passes.filter((other) => PASS_KINDS[other.kind].stage === 'over');
  return {
    ...recipe,
    passes: kind.stage === 'under' ? [...under, pass, ...over] : [...under, ...over, pass],
  };
}

const placementsIn = (passes: readonly Pass[]): number =>
  passes.reduce((sum, { placements }) => sum + placements.length, 0);

function freePassId(passes: readonly Pass[], kind: PassKindId): string {
  const taken = new Set(passes.map(({ id }) => id));
  let count = 1;
  while (taken.has(`${kind}-${count}`)) count++;
  return `${kind}-${count}`;
}

/** A stencil lies in its own size; an image a little narrower than the panel, or in its own if that is less. */
const startWidth = (design: Design, panel: Panel): Millimetres =>
  design.use === 'image' ? Math.min(design.width, Math.round(panel.width * 0.8)) : design.width;

export const removePass = (recipe: Recipe, id: string): Recipe => ({
  ...recipe,
  passes: recipe.passes.filter((pass) => pass.id !== id),
});

const withPass = (recipe: Recipe, id: string, change: (pass: Pass) => Pass): Recipe => ({
  ...recipe,
  passes: recipe.passes.map((pass) => (pass.id === id ? change(pass) : pass)),
});

export const switchPass = (recipe: Recipe, id: string, on: boolean): Recipe =>
  withPass(recipe, id, (pass) => ({ ...pass, on }));

/** Moves a pass to a place in the list; it stays among those laid before the blend, or among those over it. */
export function movePass(recipe: Recipe, id: string, to: number): Recipe {
  const from = recipe.passes.findIndex((pass) => pass.id === id);
  const pass = recipe.passes[from];
  if (!pass) return recipe;
  const { stage } = PASS_KINDS[pass.kind];
  const under = recipe.passes.filter(({ kind }) => PASS_KINDS[kind].stage === 'under').length;
  const [least, most] = stage === 'under' ? [0, under - 1] : [under, recipe.passes.length - 1];
  const place = Math.min(Math.max(to, least), most);
  return place === from
    ? recipe
    : { ...recipe, passes: recipe.passes.toSpliced(from, 1).toSpliced(place, 0, pass) };
}

/** Another design for a pass, in its own size; undefined where its kind can do without. */
export const setPassDesign = (recipe: Recipe, id: string, design: Design | undefined): Recipe =>
  withPass(recipe, id, ({ designId: _, ...pass }) => ({
    ...pass,
    ...(design ? { designId: design.id } : {}),
    placements: pass.placements.map((placement) =>
      design && placement.params.width !== undefined
        ? { ...placement, params: { ...placement.params, width: startWidth(design, recipe.panel) } }
        : placement,
    ),
  }));

/** Another ink, or other numbers, for one placement of a pass. */
export const setPlacement = (
  recipe: Recipe,
  id: string,
  index: number,
  { inkId, params }: { readonly inkId?: string; readonly params?: Params },
): Recipe =>
  withPass(recipe, id, (pass) => ({
    ...pass,
    placements: pass.placements.map((placement, i) =>
      i === index
        ? {
            ...placement,
            ...(inkId === undefined ? {} : { inkId }),
            params: heldParams(
              PASS_KINDS[pass.kind].params,
              { ...placement.params, ...params },
              recipe.panel,
            ),
          }
        : placement,
    ),
  }));

/** The coat that lies over a resist, where one does. */
export function coatOver(recipe: Recipe, resistId: string): Pass | undefined {
  const order = passesInOrder(recipe);
  return order
    .slice(order.findIndex(({ id }) => id === resistId) + 1)
    .findLast(({ kind }) => kind === 'coat');
}

/** A full coat of this ink over a resist: the coat that lies over it takes it, else one more pass does. */
export function coatResist(recipe: Recipe, resistId: string, inkId: string): Recipe {
  const full = { inkId, params: { strength: 100 } };
  const coat = coatOver(recipe, resistId);
  return coat ? setPlacement(recipe, coat.id, 0, full) : addPass(recipe, 'coat', full);
}

/** Another ink, or other numbers, for every placement of a pass. */
export const setPlacements = (
  recipe: Recipe,
  id: string,
  change: { readonly inkId?: string; readonly params?: Params },
): Recipe =>
  recipe.passes
    .flatMap((pass) => (pass.id === id ? pass.placements : []))
    .reduce((so, _, index) => setPlacement(so, id, index, change), recipe);

/** How far beside the last one a further placement starts, mm. */
const BESIDE = 12;

/** One more placement, like the last one and a little beside it, where its kind allows it. */
export const addPlacement = (recipe: Recipe, id: string): Recipe =>
  withPass(recipe, id, (pass) => {
    const { params: specs, placements } = PASS_KINDS[pass.kind];
    const last = pass.placements.at(-1);
    const full = placementsIn(recipe.passes) >= PASS_LIMITS.placements;
    if (!last || full || pass.placements.length >= placements.most) return pass;
    const beside = (key: string) => (last.params[key] ?? 0) + BESIDE;
    const params = heldParams(specs, { ...last.params, x: beside('x'), y: beside('y') }, recipe.panel);
    return { ...pass, placements: [...pass.placements, { ...last, params }] };
  });

/** Takes a placement off; the last one stays. */
export const removePlacement = (recipe: Recipe, id: string, index: number): Recipe =>
  withPass(recipe, id, (pass) =>
    pass.placements.length < 2
      ? pass
      : { ...pass, placements: pass.placements.filter((_, i) => i !== index) },
  );

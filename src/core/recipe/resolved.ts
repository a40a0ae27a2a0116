import { listKeeper, memo } from '../base/memo';
import type { Card } from '../materials/card/card';
import type { Design } from '../materials/design/design';
import { BARE, type Ink } from '../materials/ink/ink';
import type { AnyPlacement, PlacedPass, PlacementContext } from './passes/definition';
import { PASS_KINDS, type Pass, type PassKindId, placementsOf, withPlacements } from './passes/passes';
import type { Recipe } from './recipe';

/** A recipe with the card and the inks it asks for, one ink a rung: all that is needed to compute from it. */
export interface ResolvedRecipe {
  readonly recipe: Recipe;
  readonly card: Card;
  /** The second card, where two are laid at once. */
  readonly alsoOn?: Card;
  readonly inks: readonly Ink[];
  /** The inks of `recipe.passes`, each once. */
  readonly passInks: readonly Ink[];
  /** The designs of `recipe.passes`, each once. */
  readonly designs: readonly Design[];
}

/** What recipes are made of: the maker's inks, cards and designs. */
export interface Materials {
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
  readonly designs: readonly Design[];
}

/** Ids of the inks that passes are laid in. */
export const inkIdsOf = (passes: Recipe['passes']): Set<string> =>
  new Set(passes.flatMap((pass) => placementsOf(pass).flatMap(({ inkId }) => inkId ?? [])));

/** Ids of the designs that passes are made with. */
export const designIdsOf = (passes: Recipe['passes']): Set<string> =>
  new Set(passes.flatMap(({ designId }) => designId ?? []));

/** The lists stay the same values while only the recipe changes, so that what depends on them alone stays too. */
const keepInks = listKeeper<Ink>(64);
const keepDesigns = listKeeper<Design>(64);

/** A recipe with what it needs of the materials; undefined when an ink, a design or the card is no longer there. */
export function resolve(recipe: Recipe, { inks, cards, designs }: Materials): ResolvedRecipe | undefined {
  const card = cards.find(({ id }) => id === recipe.cardId);
  const alsoOn = cards.find(({ id }) => id === recipe.alsoOn);
  const found = recipe.rungs.flatMap(({ inkId }) =>
    inkId === BARE.id ? BARE : (inks.find(({ id }) => id === inkId) ?? []),
  );
  const inkIds = inkIdsOf(recipe.passes);
  const passInks = inks.filter(({ id }) => inkIds.has(id));
  const designIds = designIdsOf(recipe.passes);
  const drawn = designs.filter(({ id }) => designIds.has(id));
  const whole =
    (recipe.alsoOn === undefined || alsoOn !== undefined) &&
    found.length === recipe.rungs.length &&
    passInks.length === inkIds.size &&
    drawn.length === designIds.size;
  return card && whole
    ? {
        recipe,
        card,
        ...(alsoOn ? { alsoOn } : {}),
        inks: keepInks(found),
        passInks: keepInks(passInks),
        designs: keepDesigns(drawn),
      }
    : undefined;
}

/** The design a pass is made with, where it has one. */
export const designOf = (
  { designs }: Pick<ResolvedRecipe, 'designs'>,
  { designId }: Pass,
): Design | undefined => (designId === undefined ? undefined : designs.find(({ id }) => id === designId));

/** What each placement of a pass is laid with and on. */
export function contextsOf(resolved: ResolvedRecipe, pass: Pass): PlacementContext[] {
  const { panel } = resolved.recipe;
  const design = designOf(resolved, pass);
  return placementsOf(pass).map(({ id, inkId, params }) => {
    const ink = inkId === undefined ? undefined : resolved.passInks.find((one) => one.id === inkId);
    return { id, panel, params, ...(ink ? { ink } : {}), ...(design ? { design } : {}) };
  });
}

/**
 * How a placement lies, remembered by what it is laid with and on: while another pass is dragged its borders stay the
 * same functions, and what has been found along them stays known.
 */
const layPlacement = memo(
  240,
  (
    kind: PassKindId,
    params: AnyPlacement['params'],
    panel: Recipe['panel'],
    design: Design | undefined,
    ink: Ink | undefined,
  ): PlacedPass =>
    PASS_KINDS[kind].layOn({
      id: '',
      panel,
      params,
      ...(design ? { design } : {}),
      ...(ink ? { ink } : {}),
    }),
);

/** The placements of a pass as they lie on the recipe's panel. */
export const placedPasses = (resolved: ResolvedRecipe, pass: Pass): PlacedPass[] =>
  contextsOf(resolved, pass).map(({ params, panel, design, ink }) =>
    layPlacement(pass.kind, params, panel, design, ink),
  );

/** A recipe made with other inks and designs, by their ids; what is not named stays as it is. */
export const withIds = (
  recipe: Recipe,
  inkIds: ReadonlyMap<string, string>,
  designIds: ReadonlyMap<string, string>,
): Recipe => ({
  ...recipe,
  rungs: recipe.rungs.map((rung) => ({ ...rung, inkId: inkIds.get(rung.inkId) ?? rung.inkId })),
  passes: recipe.passes.map((pass) => {
    const renamed = withPlacements(
      pass,
      placementsOf(pass).map((placement) =>
        placement.inkId === undefined
          ? placement
          : { ...placement, inkId: inkIds.get(placement.inkId) ?? placement.inkId },
      ),
      recipe.panel,
    );
    const { designId } = renamed;
    return designId === undefined
      ? renamed
      : ({ ...renamed, designId: designIds.get(designId) ?? designId } as Pass);
  }),
});

import { listKeeper, memo, memoOf } from '../base/memo';
import type { Card } from '../materials/card/card';
import type { Design } from '../materials/design/design';
import { BARE, type Ink } from '../materials/ink/ink';
import type { AnyPlacement, PlacedPass, PlacementContext } from './passes/definition';
import { PASS_KINDS, type Pass, type PassKindId, placementsOf, withPlacements } from './passes/passes';
import type { Recipe } from './recipe';
import { TOOLS } from './tools/tools';

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
  /** What is no longer there, for which others stand in; absent where all of it is there. */
  readonly missing?: readonly MissingPart[];
}

/** The second card where it is another than the first: two panels of one card look the same. */
export const otherCard = ({ card, alsoOn }: Pick<ResolvedRecipe, 'card' | 'alsoOn'>): Card | undefined =>
  alsoOn?.id === card.id ? undefined : alsoOn;

/** Something a recipe is made with that is no longer on the shelf, and what stands in for it. */
export interface MissingPart {
  readonly of: 'ink' | 'card' | 'design';
  readonly id: string;
  /** What it is called, or that it is not known. */
  readonly name: string;
  /** Whether it stands in as it was, and not as a grey. */
  readonly isKnown: boolean;
}

/** What recipes are made of: the maker's inks, cards and designs. */
export interface Materials {
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
  readonly designs: readonly Design[];
  /** What was taken off, as it was: it stands in for itself in recipes that still ask for it. */
  readonly gone?: Pick<Materials, 'inks' | 'cards' | 'designs'>;
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

/** Stand-ins are the same values as long as they stand for the same. */
const standInInk = memo(
  200,
  (id: string): Ink => ({
    id,
    name: 'an ink that is gone',
    family: 'gone',
    depth: 'mid',
    kind: 'hybrid',
    overWhite: '#8c8c8c',
  }),
);
const standInCard = memo(
  50,
  (id: string): Card => ({
    id,
    name: 'a card that is gone',
    colour: '#fafafa',
    finish: 'smooth',
    grammage: 300,
  }),
);
const standInDesign = memo(
  100,
  (id: string): Design => ({
    id,
    name: 'a design that is gone',
    use: 'image',
    width: 40,
    height: 40,
    shapes: [{ d: 'M0 0H40V40H0Z', rule: 'nonzero' }],
  }),
);

/** Where each part of a list stands, by its id: a drawer of a thousand recipes asks for as many. */
const placesIn = memoOf(
  (parts: readonly { readonly id: string }[]): ReadonlyMap<string, number> =>
    new Map(parts.map(({ id }, place) => [id, place])),
);

const partWith = <Part extends { readonly id: string }>(
  parts: readonly Part[],
  id: string,
): Part | undefined => parts[placesIn(parts).get(id) ?? -1];

/** A part as it is here, or else as it was before it was taken off; undefined where it was never known. */
const knownPart = <Part extends { readonly id: string }>(
  id: string,
  here: readonly Part[],
  before: readonly Part[] | undefined,
): Part | undefined => partWith(here, id) ?? (before && partWith(before, id));

/**
 * Ids as their parts stand on the shelf, what is no longer there last; so a list of them stays the same value whatever
 * the order of the passes.
 */
function inOrder(parts: readonly { readonly id: string }[], ids: ReadonlySet<string>): string[] {
  const places = placesIn(parts);
  const placeOf = (id: string): number => places.get(id) ?? Number.POSITIVE_INFINITY;
  return [...ids].sort((p, q) => (placeOf(p) < placeOf(q) ? -1 : placeOf(p) > placeOf(q) ? 1 : 0));
}

/**
 * A recipe with what it needs of the materials. What is no longer there is stood in for: by itself as it was, where that is
 * known, or else by a grey, white or square of its kind; so a recipe can always be opened, mended and passed on.
 */
export function resolveAnyway(recipe: Recipe, { inks, cards, designs, gone }: Materials): ResolvedRecipe {
  const missing = new Map<string, MissingPart>();
  const find = <Part extends { readonly id: string; readonly name: string }>(
    of: MissingPart['of'],
    id: string,
    here: readonly Part[],
    before: readonly Part[] | undefined,
    standIn: (id: string) => Part,
  ): Part => {
    const found = partWith(here, id);
    if (found) return found;
    const was = before && partWith(before, id);
    const part = was ?? standIn(id);
    missing.set(`${of} ${id}`, { of, id, name: part.name, isKnown: was !== undefined });
    return part;
  };
  const inkOf = (id: string): Ink => (id === BARE.id ? BARE : find('ink', id, inks, gone?.inks, standInInk));
  const cardOf = (id: string): Card => find('card', id, cards, gone?.cards, standInCard);
  const inkIds = inkIdsOf(recipe.passes);
  const designIds = designIdsOf(recipe.passes);
  const card = cardOf(recipe.cardId);
  const alsoOn = recipe.alsoOn === undefined ? undefined : cardOf(recipe.alsoOn);
  const laid = recipe.rungs.map(({ inkId }) => inkOf(inkId));
  const inPasses = inOrder(inks, inkIds).map(inkOf);
  const drawn = inOrder(designs, designIds).map((id) =>
    find('design', id, designs, gone?.designs, standInDesign),
  );
  return {
    recipe,
    card,
    ...(alsoOn ? { alsoOn } : {}),
    inks: keepInks(laid),
    passInks: keepInks(inPasses),
    designs: keepDesigns(drawn),
    ...(missing.size > 0 ? { missing: [...missing.values()] } : {}),
  };
}

/** The card and the inks of a recipe's ladder, or their stand-ins: what it is told and looked for by, without its passes. */
export function ladderAnyway(
  { cardId, rungs }: Recipe,
  { inks, cards, gone }: Materials,
): { readonly card: Card; readonly inks: readonly Ink[] } {
  const inkOf = (id: string): Ink =>
    id === BARE.id ? BARE : (knownPart(id, inks, gone?.inks) ?? standInInk(id));
  return {
    card: knownPart(cardId, cards, gone?.cards) ?? standInCard(cardId),
    inks: rungs.map(({ inkId }) => inkOf(inkId)),
  };
}

/** A recipe with what it needs of the materials; undefined when an ink, a design or a card is no longer there. */
export function resolve(recipe: Recipe, materials: Materials): ResolvedRecipe | undefined {
  const resolved = resolveAnyway(recipe, materials);
  return resolved.missing ? undefined : resolved;
}

/** The design a pass is made with, where it has one. */
export const designOf = (
  { designs }: Pick<ResolvedRecipe, 'designs'>,
  { designId }: Pass,
): Design | undefined => (designId === undefined ? undefined : designs.find(({ id }) => id === designId));

/** What each placement of a pass is laid with and on. */
export function contextsOf(resolved: ResolvedRecipe, pass: Pass): PlacementContext[] {
  const { panel, tool } = resolved.recipe;
  const { wets } = TOOLS[tool];
  const design = designOf(resolved, pass);
  return placementsOf(pass).map(({ id, inkId, params }) => {
    const ink = inkId === undefined ? undefined : resolved.passInks.find((one) => one.id === inkId);
    return { id, panel, wets, params, ...(ink ? { ink } : {}), ...(design ? { design } : {}) };
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
    wets: number,
    design: Design | undefined,
    ink: Ink | undefined,
  ): PlacedPass =>
    PASS_KINDS[kind].layOn({
      id: '',
      panel,
      wets,
      params,
      ...(design ? { design } : {}),
      ...(ink ? { ink } : {}),
    }),
);

/** The placements of a pass as they lie on the recipe's panel. */
export const placedPasses = (resolved: ResolvedRecipe, pass: Pass): PlacedPass[] =>
  contextsOf(resolved, pass).map(({ params, panel, wets, design, ink }) =>
    layPlacement(pass.kind, params, panel, wets, design, ink),
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

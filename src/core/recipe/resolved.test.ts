import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { anyRecipe } from '../../testing/anyRecipe';
import { OWN_DESIGNS } from '../materials/design/own';
import { BARE } from '../materials/ink/ink';
import { placementsOf } from './passes/passes';
import {
  designIdsOf,
  inkIdsOf,
  ladderAnyway,
  type Materials,
  resolve,
  resolveAnyway,
  withIds,
} from './resolved';

const ALL: Materials = { inks: DEMO_INKS, cards: DEMO_CARDS, designs: OWN_DESIGNS };
/** A recipe of the demo's parts, and a shelf some of them are gone from. */
const anyShelf = fc.record({
  recipe: anyRecipe(5).map(({ recipe, card }) => ({ ...recipe, cardId: card.id })),
  taken: fc.array(fc.nat(40), { maxLength: 12 }),
  isKnown: fc.boolean(),
});
const without = <Part>(parts: readonly Part[], taken: readonly number[]) =>
  parts.filter((_, i) => !taken.some((at) => at % parts.length === i));
const left = (taken: readonly number[], isKnown: boolean): Materials => ({
  inks: without(ALL.inks, taken),
  cards: without(ALL.cards, taken),
  designs: without(ALL.designs, taken),
  ...(isKnown ? { gone: ALL } : {}),
});

test('whatever is gone, each rung has an ink, each pass its own, and what stands in is named once', () => {
  fc.assert(
    fc.property(anyShelf, ({ recipe, taken, isKnown }) => {
      const shelf = left(taken, isKnown);
      const resolved = resolveAnyway(recipe, shelf);
      expect(resolved.inks.map(({ id }) => id)).toEqual(recipe.rungs.map(({ inkId }) => inkId));
      expect(new Set(resolved.passInks.map(({ id }) => id))).toEqual(inkIdsOf(recipe.passes));
      expect(new Set(resolved.designs.map(({ id }) => id))).toEqual(designIdsOf(recipe.passes));
      expect(resolved.card.id).toBe(recipe.cardId);
      const asked = [
        ...resolved.inks.map(({ id }) => ({ of: 'ink', id, here: shelf.inks })),
        ...resolved.passInks.map(({ id }) => ({ of: 'ink', id, here: shelf.inks })),
        ...resolved.designs.map(({ id }) => ({ of: 'design', id, here: shelf.designs })),
        { of: 'card', id: recipe.cardId, here: shelf.cards },
        ...(recipe.alsoOn === undefined ? [] : [{ of: 'card', id: recipe.alsoOn, here: shelf.cards }]),
      ];
      const gone = asked.filter(({ id, here }) => id !== BARE.id && !here.some((part) => part.id === id));
      const named = (resolved.missing ?? []).map(({ of, id }) => `${of} ${id}`);
      expect(named.toSorted()).toEqual([...new Set(gone.map(({ of, id }) => `${of} ${id}`))].toSorted());
      for (const one of resolved.missing ?? []) expect(one.isKnown).toBe(isKnown);
      expect(resolve(recipe, shelf) === undefined).toBe(gone.length > 0);
    }),
    { numRuns: 60 },
  );
});

test('what a recipe is looked for by is what it opens with: the same card and inks, stand-ins too', () => {
  fc.assert(
    fc.property(anyShelf, ({ recipe, taken, isKnown }) => {
      const shelf = left(taken, isKnown);
      const { card, inks } = resolveAnyway(recipe, shelf);
      const ladder = ladderAnyway(recipe, shelf);
      expect(ladder.card).toBe(card);
      expect(ladder.inks).toHaveLength(inks.length);
      for (const [i, ink] of ladder.inks.entries()) expect(ink).toBe(inks[i]);
    }),
    { numRuns: 60 },
  );
});

test('the lists of a recipe stay the same values while only its measures change', () => {
  fc.assert(
    fc.property(anyRecipe(4), ({ recipe }) => {
      const [one, other] = [recipe, { ...recipe, name: 'Wider' }].map((of) => resolveAnyway(of, ALL));
      expect(other?.inks).toBe(one?.inks);
      expect(other?.passInks).toBe(one?.passInks);
      expect(other?.designs).toBe(one?.designs);
    }),
    { numRuns: 20 },
  );
});

test('parts are renamed wherever they are asked for, and nowhere else', () => {
  fc.assert(
    fc.property(anyRecipe(5), ({ recipe }) => {
      const inkIds = new Map(DEMO_INKS.map(({ id }) => [id, `here-${id}`]));
      const designIds = new Map(OWN_DESIGNS.map(({ id }) => [id, `here-${id}`]));
      const there = withIds(recipe, inkIds, designIds);
      expect(there.rungs.map(({ inkId }) => inkId)).toEqual(
        recipe.rungs.map(({ inkId }) => (inkId === BARE.id ? inkId : `here-${inkId}`)),
      );
      const idsIn = ({ passes }: typeof recipe) => [
        ...passes.flatMap((pass) => placementsOf(pass).flatMap(({ inkId }) => inkId ?? [])),
        ...passes.flatMap(({ designId }) => designId ?? []),
      ];
      expect(idsIn(there)).toEqual(idsIn(recipe).map((id) => (id === BARE.id ? id : `here-${id}`)));
      const back = (ids: ReadonlyMap<string, string>) => new Map([...ids].map(([id, here]) => [here, id]));
      expect(withIds(there, back(inkIds), back(designIds))).toEqual(recipe);
    }),
    { numRuns: 40 },
  );
});

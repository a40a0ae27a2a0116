import type { Card } from '../core/card/card';
import type { Database } from './database';

/** Keeps a card, new or changed. */
export const saveCard = async (db: Database, card: Card): Promise<void> => {
  await db.cards.put(card);
};

/** A card stays in the drawer while recipes lie on it, and the last one always does. Nothing was deleted. */
export class CardInUse extends Error {
  override readonly name = 'CardInUse';
  constructor(readonly recipes: readonly string[]) {
    super(recipes.length > 0 ? `The card is under ${recipes.join(', ')}` : 'It is the last card');
  }
}

/**
 * Takes a card out of the drawer.
 *
 * @throws CardInUse when a recipe lies on it, or when it is the last
 */
export const removeCard = (db: Database, cardId: string): Promise<void> =>
  db.transaction('rw', db.cards, db.recipes, async () => {
    const recipes = (await db.recipes.toArray()).filter(({ recipe }) => recipe.cardId === cardId);
    if (recipes.length > 0 || (await db.cards.count()) === 1)
      throw new CardInUse(recipes.map(({ recipe }) => recipe.name));
    await db.cards.delete(cardId);
  });

import type { Database } from './database';
import { rememberGone } from './gone';
import { refuseWhileUsed } from './inUse';

/** Inks are dried on a card: one always stays. Nothing was deleted. */
export class LastCard extends Error {
  override readonly name = 'LastCard';
}

/**
 * Takes a card out of the drawer.
 *
 * @throws InUse when a recipe lies on it
 * @throws LastCard when there is no other
 */
export const removeCard = (db: Database, cardId: string): Promise<void> =>
  db.transaction('rw', db.cards, db.recipes, db.versions, db.gone, async () => {
    await refuseWhileUsed(db, ({ cardId: on, alsoOn }) => on === cardId || alsoOn === cardId);
    if ((await db.cards.count()) === 1) throw new LastCard();
    const card = await db.cards.get(cardId);
    if (card) await rememberGone(db, 'card', [card]);
    await db.cards.delete(cardId);
  });

import { dequal } from 'dequal/lite';
import { memoOf } from '../core/base/memo';
import type { Materials } from '../core/recipe/resolved';
import type { Database } from './database';
import type { Demo } from './demo/demo';
import { listDesigns, listShippedDesigns } from './designs';
import { listGone } from './gone';
import { isSoundCard, isSoundInk, soundOnes } from './sound';

/** The maker's inks, cards and designs before they are stored. */
export const comingMaterials = memoOf(
  async ({ inks, cards }: Demo): Promise<Materials> => ({
    inks,
    cards,
    designs: await listShippedDesigns(),
    gone: { inks: [], cards: [], designs: [] },
  }),
);

/** The maker's inks, cards and designs as they are stored; while they are what was shown before, the same value. */
export async function readMaterials(db: Database): Promise<Materials> {
  const stored = {
    inks: soundOnes(await db.inks.toArray(), isSoundInk).sound,
    cards: soundOnes(await db.cards.toArray(), isSoundCard).sound,
    designs: await listDesigns(db),
    gone: await listGone(db),
  };
  const coming = db.coming && (await comingMaterials(db.coming));
  return coming && isSame(coming, stored) ? coming : stored;
}

/** The shipped designs are the same in both: a design more is one of the maker's. */
const isSame = (p: Materials, q: Materials): boolean =>
  p.inks.length === q.inks.length &&
  p.designs.length === q.designs.length &&
  dequal([p.inks, p.cards, p.gone], [q.inks, q.cards, q.gone]);

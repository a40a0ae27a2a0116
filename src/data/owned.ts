import { BRUSH_SETS, type BrushSet } from '../core/materials/ink/kinds';
import type { Owned } from '../core/sheet/compile';
import type { Database } from './database';
import { readSetting, writeSetting } from './settings';

const KEY = 'owned brushes';
/** More of one kind than anybody lays out. */
export const MOST_OWNED = 40;

/** What was remembered, as far as it is still a count of something. */
export function rememberedOwned(value: unknown): Owned {
  const counts = (of: unknown): Partial<Record<BrushSet, number>> =>
    Object.fromEntries(
      BRUSH_SETS.flatMap((set) => {
        const count = (of as Partial<Record<BrushSet, unknown>> | undefined)?.[set];
        return typeof count === 'number' && Number.isInteger(count) && count >= 0 && count <= MOST_OWNED
          ? [[set, count]]
          : [];
      }),
    );
  const kept = (value ?? {}) as Partial<Record<keyof Owned, unknown>>;
  return { brushes: counts(kept.brushes), daubers: counts(kept.daubers) };
}

export const readOwned = async (db: Database): Promise<Owned> => rememberedOwned(await readSetting(db, KEY));

export const writeOwned = (db: Database, owned: Owned): Promise<void> => writeSetting(db, KEY, owned);

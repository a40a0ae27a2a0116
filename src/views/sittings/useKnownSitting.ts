import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useDatabase, useShelf } from '../../app/session';
import { useKnownMaker } from '../../app/useMaker';
import { FileError } from '../../core/files/fileError';
import { readRecipeFile } from '../../core/files/recipeFile';
import { groupOf } from '../../core/make/sitting/fromSheet';
import { type KnownSitting, knownSitting, type LotSheet } from '../../core/make/sitting/known';
import type { BegunWith, SittingRecord } from '../../core/make/sitting/record';
import { type ResolvedRecipe, resolveAnyway } from '../../core/recipe/resolved';
import type { Maker } from '../../core/sheet/compile';
import { isSoundRecord } from '../../data/sound';

const NO_MAKER: Maker = {};

/** A recipe that a run was begun with; one that is damaged is as good as gone. */
function recipeOf(file: string): ResolvedRecipe | undefined {
  try {
    return readRecipeFile(file);
  } catch (error) {
    if (error instanceof FileError) return undefined;
    throw error;
  }
}

/** What a sitting's lots come to, with the shelf as it is; undefined until all of it is read. */
export function useKnownSitting(record: SittingRecord | undefined): KnownSitting | undefined {
  const db = useDatabase();
  const shelf = useShelf();
  const maker = useKnownMaker();
  const ids = JSON.stringify(record?.lots.map(({ recipeId }) => recipeId) ?? []);
  const stored = useLiveQuery(
    async () =>
      (await db.recipes.bulkGet(JSON.parse(ids) as string[])).map((one) =>
        isSoundRecord(one) ? one.recipe : undefined,
      ),
    [db, ids],
  );
  const drying = record?.drying;
  const begunWith = JSON.stringify(record?.run?.with);
  const lotIds = JSON.stringify(record?.lots.map(({ id }) => id) ?? []);
  // While it is worked the maker's pace changes with every piece, and the run's does not.
  const pace = begunWith === undefined ? maker : NO_MAKER;
  const sheets = useMemo(() => {
    if (!shelf || !pace || !drying || !stored) return undefined;
    // A run keeps the recipes and the pace it was begun with.
    const run = begunWith === undefined ? undefined : (JSON.parse(begunWith) as BegunWith);
    const own = run?.maker ?? pace;
    return (JSON.parse(lotIds) as string[]).map((lotId, i): LotSheet | undefined => {
      const kept = run?.recipes.find((one) => one.lotId === lotId);
      const recipe = stored[i];
      const resolved = kept ? recipeOf(kept.file) : recipe && resolveAnyway(recipe, shelf);
      if (!resolved) return undefined;
      const group = groupOf(resolved, 0, { drying, maker: own });
      return { resolved, group, heated: groupOf(resolved, 0, { drying: 'heat', maker: own }) };
    });
  }, [shelf, pace, drying, stored, begunWith, lotIds]);
  const here = useMemo(() => sheets?.filter((sheet) => sheet !== undefined) ?? [], [sheets]);
  return useMemo(
    () =>
      record && sheets && pace && sheets.length === record.lots.length
        ? { ...knownSitting(record, sheets, pace), sheets: here }
        : undefined,
    [record, sheets, pace, here],
  );
}

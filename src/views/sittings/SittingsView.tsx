import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { today } from '../../app/log/useLogActions';
import { useOnce } from '../../app/once';
import { RecipeThumb } from '../../app/panel/RecipeThumb';
import { readFile } from '../../app/readFile';
import { useDatabase, useShelf } from '../../app/session';
import { useFileDrop } from '../../app/useFileDrop';
import { counted } from '../../core/base/words';
import { type Fault, FileError } from '../../core/files/fileError';
import { SITTING_FILE_LIMIT } from '../../core/files/limits';
import {
  beginsOn,
  newSitting,
  panelsOf,
  type SittingRecord,
  type Stand,
  standOf,
} from '../../core/make/sitting/record';
import { resolveAnyway } from '../../core/recipe/resolved';
import { importRecipe, listRecipes, removeRecipes } from '../../data/recipes';
import type { RecipeRecord } from '../../data/records';
import { listSittings, removeSittings, saveSittings } from '../../data/sittings';
import { Button } from '../../ui/Button';
import { tellDay } from '../../ui/dates';
import Faults from '../../ui/Faults';
import { useNotify } from '../../ui/Notices';
import { PageHeader } from '../../ui/PageHeader';

/** All sittings: those to come, those under way, those done, and patterns to begin again. */
export function SittingsView() {
  const db = useDatabase();
  const navigate = useNavigate();
  const sittings = useLiveQuery(() => listSittings(db), [db]);
  const recipes = useLiveQuery(() => listRecipes(db), [db]);
  const bringing = useBringIn();
  const add = useOnce(async () => {
    const [first] = recipes ?? [];
    const id = crypto.randomUUID();
    const made: SittingRecord = {
      ...newSitting(id, `Sitting of ${tellDay(today())}`, today()),
      lots: first ? [{ id: crypto.randomUUID(), recipeId: first.id, count: 4 }] : [],
    };
    await saveSittings(db, [made]);
    navigate(`/sittings/${id}`);
  });
  if (!sittings || !recipes) return <p className="p-6 text-mute">Opening the sittings …</p>;
  const day = today();
  const standing = (stand: Stand) => sittings.filter((one) => standOf(one, day) === stand);
  const groups = [
    { title: 'Under way', own: standing('under way') },
    { title: 'To come', own: standing('to come') },
    { title: 'Gone by, not begun', own: standing('gone by').toReversed() },
    { title: 'Patterns', own: standing('pattern') },
    { title: 'Done', own: standing('done').toReversed() },
  ];
  return (
    <main {...bringing.drop.getRootProps({ role: 'main' })} className="flex min-h-0 flex-1 flex-col">
      <input {...bringing.drop.getInputProps({ 'aria-label': 'Sitting to import' })} />
      <PageHeader title="Sittings">
        <p className="mr-auto text-mute">
          Many panels in one evening: in which order, with what, and when they are dry.
        </p>
        <Button look="bare" onClick={bringing.drop.open}>
          Import
        </Button>
        <Button look="strong" onClick={() => void add()}>
          New sitting
        </Button>
      </PageHeader>
      <div className="min-h-0 flex-1 space-y-8 overflow-y-auto p-4">
        {sittings.length === 0 && (
          <p className="max-w-md">
            No sitting is planned. Begin one, and say how many panels of which recipe: it plans the evening,
            lists what to lay out, and goes through it with you at the desk.
          </p>
        )}
        {groups.map(({ title, own }) => own.length > 0 && <Group key={title} {...{ title, own, recipes }} />)}
      </div>
      {bringing.refusal && <Faults {...bringing.refusal} onClose={bringing.forget} />}
    </main>
  );
}

/** So many of a group are shown, and the rest by a press. */
const FIRST = 30;

interface GroupProps {
  readonly title: string;
  readonly own: readonly SittingRecord[];
  readonly recipes: readonly RecipeRecord[];
}

/** Sittings that stand alike. */
function Group({ title, own, recipes }: GroupProps) {
  const [all, setAll] = useState(false);
  return (
    <section aria-label={title}>
      <h2 className="heading mb-2 text-lead">{title}</h2>
      <ul className="max-w-4xl divide-y divide-line border-y border-line">
        {(all ? own : own.slice(0, FIRST)).map((one) => (
          <Entry key={one.id} record={one} recipes={recipes} />
        ))}
      </ul>
      {!all && own.length > FIRST && (
        <Button className="mt-3" onClick={() => setAll(true)}>
          Show all {own.length}
        </Button>
      )}
    </section>
  );
}

/** Room for the little picture of each recipe, px. */
const THUMB = { width: 60, height: 40 } as const;

function Entry({
  record,
  recipes,
}: {
  readonly record: SittingRecord;
  readonly recipes: readonly RecipeRecord[];
}) {
  const shelf = useShelf();
  const pictures = useMemo(
    () =>
      record.lots.flatMap(({ id: lot, recipeId, count }) => {
        const recipe = recipes.find((one) => one.id === recipeId)?.recipe;
        return recipe && shelf && count > 0 ? [{ lot, resolved: resolveAnyway(recipe, shelf) }] : [];
      }),
    [record.lots, recipes, shelf],
  );
  const { id, name, lots, pattern, run } = record;
  const { date, start } = beginsOn(record);
  const names = lots
    .filter(({ count }) => count > 0)
    .map(
      ({ recipeId, count }) =>
        `${count} of ${recipes.find((one) => one.id === recipeId)?.recipe.name ?? 'a recipe that is gone'}`,
    );
  const done = Object.keys(run?.logged ?? {}).length;
  return (
    <li>
      <Link
        to={`/sittings/${id}`}
        className="grid grid-cols-[8rem_auto_1fr_auto] items-center gap-x-4 px-1 py-2.5 hover:bg-field max-sm:grid-cols-[1fr_auto]"
      >
        <span className="text-mute tabular-nums max-sm:col-span-2">
          {pattern ? 'any evening' : `${tellDay(date)}, ${start}`}
        </span>
        <span className="flex gap-1 self-center max-sm:hidden">
          {pictures.map(({ lot, resolved }) => (
            <RecipeThumb key={lot} resolved={resolved} within={THUMB} label={resolved.recipe.name} />
          ))}
        </span>
        <span className="min-w-0">
          <span className="block font-semibold">{name}</span>
          <span className="block text-mute">{names.join(', ') || 'no panels yet'}</span>
        </span>
        <span className="text-right tabular-nums">
          {!run
            ? counted(panelsOf(record), 'panel')
            : run.endedAt === undefined
              ? `${done} of ${panelsOf(record) - run.out.length} done`
              : `${done} of ${panelsOf(record)} made`}
        </span>
      </Link>
    </li>
  );
}

/** Takes a sitting's file in, with the recipes it comes with. */
function useBringIn() {
  const db = useDatabase();
  const navigate = useNavigate();
  const notify = useNotify();
  const [refusal, setRefusal] = useState<{ fileName: string; faults: readonly Fault[] }>();
  const bringIn = async (file: File) => {
    try {
      const { record, recipes } = await readFile(file, SITTING_FILE_LIMIT, (door, bytes) =>
        door.readSitting(bytes),
      );
      const kept: RecipeRecord[] = [];
      const ids: string[] = [];
      for (const resolved of recipes) {
        // A recipe that is here already is the one that is meant.
        const here = await db.recipes.get(resolved.recipe.id);
        if (!here) kept.push(await importRecipe(db, resolved));
        ids.push(here?.id ?? kept.at(-1)?.id ?? '');
      }
      const id = crypto.randomUUID();
      const lots = record.lots.map((lot, i) => ({ ...lot, recipeId: ids[i] ?? lot.recipeId }));
      await saveSittings(db, [{ ...record, id, date: today(), lots }]);
      notify({
        text:
          kept.length > 0
            ? `${record.name} is brought in, with ${counted(kept.length, 'recipe')}.`
            : `${record.name} is brought in.`,
        undo: () =>
          void removeSittings(db, [id]).then(() =>
            removeRecipes(
              db,
              kept.map((one) => one.id),
            ),
          ),
      });
      navigate(`/sittings/${id}`);
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      setRefusal({ fileName: file.name, faults: error.faults });
    }
  };
  const drop = useFileDrop({
    takes: 'a sitting that was saved here',
    accept: { 'application/json': ['.json'] },
    onFiles: ([file]) => void bringIn(file),
  });
  return { drop, refusal, forget: () => setRefusal(undefined) };
}

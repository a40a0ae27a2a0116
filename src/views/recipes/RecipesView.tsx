import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import type { Refusal } from '../../app/recipes/refusal';
import { type Shelf, useDatabase, useShelf } from '../../app/session';
import { useStart } from '../../app/start';
import { AS, AS_OPTIONS, type As, useAddressed } from '../../app/useAddressed';
import { useFileDrop } from '../../app/useFileDrop';
import { usePaste } from '../../app/usePaste';
import { useTags } from '../../app/useTags';
import { memoOf } from '../../core/base/memo';
import { ladderAnyway, resolveAnyway } from '../../core/recipe/resolved';
import { listRecipes } from '../../data/recipes';
import type { RecipeRecord } from '../../data/records';
import { useAsLeft } from '../../ui/asLeft';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import Faults from '../../ui/Faults';
import { NoneMatches } from '../../ui/NoneMatches';
import { PageHeader } from '../../ui/PageHeader';
import { SearchField } from '../../ui/SearchField';
import { Segmented } from '../../ui/Segmented';
import { Select } from '../../ui/Select';
import {
  ALL_RECIPES,
  filterRecipes,
  RECIPE_SORTS,
  type RecipeFilter,
  type RecipeRow,
  type RecipeSort,
} from './filterRecipes';
import { RecipeGallery } from './RecipeGallery';
import { RecipeTable } from './RecipeTable';

/** All recipes, as small true pictures or as a list: searched, sorted, tagged, several taken at once. */
export function RecipesView() {
  const db = useDatabase();
  const shelf = useShelf();
  const records = useLiveQuery(() => listRecipes(db), [db]);
  if (!records || !shelf) return <p className="p-6 text-mute">Reading your recipes …</p>;
  return <Drawer records={records} shelf={shelf} />;
}

function Drawer({ records, shelf }: { readonly records: readonly RecipeRecord[]; readonly shelf: Shelf }) {
  const actions = useRecipeActions();
  const start = useStart();
  const tags = useTags('recipe');
  const [refusal, setRefusal] = useState<Refusal>();
  const [as, setAs] = useAddressed<As>('as', [...AS]);
  const [filter, setFilter] = useAsLeft<RecipeFilter>('Recipes, narrowed', ALL_RECIPES);
  const change = (part: Partial<RecipeFilter>) => setFilter((now) => ({ ...now, ...part }));
  const bringIn = async (files: readonly File[]) => setRefusal(await actions.bringIn(files));
  const drop = useFileDrop({
    takes: 'recipes',
    many: true,
    onFiles: (files) => void bringIn(files),
  });
  // A recipe's code pasted anywhere on the page is opened.
  usePaste((pasted) => {
    const text = pasted.getData('text');
    if (text.trimStart().startsWith('TINT-LADDER:')) void bringIn([new File([text], 'Pasted code')]);
  });
  const rows = useMemo(() => {
    const resolvedOf = memoOf(({ recipe }: RecipeRecord) => resolveAnyway(recipe, shelf));
    return records.map(
      (record): RecipeRow => ({
        id: record.id,
        record,
        get resolved() {
          return resolvedOf(record);
        },
        get ladder() {
          return ladderAnyway(record.recipe, shelf);
        },
        tags: tags.tagsOf(record.id),
        isFavourite: tags.isFavourite(record.id),
      }),
    );
  }, [records, shelf, tags]);
  const known = useMemo(() => tags.among(records.map(({ id }) => id)), [tags, records]);
  const shown = useMemo(() => filterRecipes(rows, filter), [rows, filter]);
  const shared = { rows: shown, known, tags };
  return (
    <main {...drop.getRootProps({ role: 'main' })} className="flex min-h-0 flex-1 flex-col">
      <input {...drop.getInputProps({ 'aria-label': 'Recipe file to import' })} />
      <PageHeader title="Recipes">
        <Segmented<As> label="How they are seen" value={as} onChange={setAs} options={AS_OPTIONS} />
        <Button look="bare" className="ml-auto" onClick={drop.open}>
          Import from files
        </Button>
        <Button look="strong" onClick={start}>
          New recipe
        </Button>
      </PageHeader>
      <search className="flex flex-wrap items-center gap-2 px-4 py-2">
        <SearchField
          label="Search recipes"
          hint="Name, ink, card, note or tag"
          value={filter.text}
          onChange={(text) => change({ text })}
        />
        {known.length > 0 && (
          <Select
            label="Tag"
            value={filter.tag}
            options={[{ value: '', label: 'any tag' }, ...known.map((tag) => ({ value: tag, label: tag }))]}
            onChange={(tag) => change({ tag })}
          />
        )}
        <Checkbox
          label="Favourites only"
          checked={filter.isFavourite}
          onChange={({ target }) => change({ isFavourite: target.checked })}
        />
        {as === 'pictures' && (
          <label className="flex items-center gap-2">
            <span className="text-mute">sorted by</span>
            <Select<RecipeSort>
              label="Sorted by"
              value={filter.sort}
              options={Object.entries(RECIPE_SORTS).map(([value, label]) => ({
                value: value as RecipeSort,
                label,
              }))}
              onChange={(sort) => change({ sort })}
            />
          </label>
        )}
        <p role="status" className="ml-auto text-mute">
          {shown.length} of {records.length}
        </p>
      </search>
      {drop.isDragActive && (
        <p className="m-4 border-2 border-dashed border-text p-4">Drop the recipe files here.</p>
      )}
      {records.length === 0 ? (
        <p className="max-w-md p-6">
          No recipe yet. Start a new one, drop an exported recipe or a picture of one on this page, or paste
          the code of a printed sheet.
        </p>
      ) : shown.length === 0 ? (
        <NoneMatches onAll={() => setFilter({ ...ALL_RECIPES, sort: filter.sort })}>
          No recipe matches. Search for less, or start a new one.
        </NoneMatches>
      ) : as === 'pictures' ? (
        <RecipeGallery {...shared} />
      ) : (
        <RecipeTable {...shared} />
      )}
      {refusal && <Faults {...refusal} onClose={() => setRefusal(undefined)} />}
    </main>
  );
}

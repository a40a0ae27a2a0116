import { useLiveQuery } from 'dexie-react-hooks';
import { Copy, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { Link } from 'react-router';
import { PanelPicture } from '../../app/panel/PanelPicture';
import { type Refusal, useRecipeActions } from '../../app/recipes/recipeActions';
import { useSession, useShelf } from '../../app/session';
import { useStart } from '../../app/start';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { resolve } from '../../core/recipe/resolved';
import { listRecipes, renameRecipe } from '../../data/recipes';
import type { RecipeRecord } from '../../data/records';
import { Button } from '../../ui/Button';
import Faults from '../../ui/Faults';
import { PageHeader } from '../../ui/PageHeader';
import { TypedField } from '../../ui/TypedField';

/** All recipes as small true pictures, the one changed last first. */
export function RecipesView() {
  const { db } = useSession();
  const shelf = useShelf();
  const records = useLiveQuery(() => listRecipes(db), [db]);
  const actions = useRecipeActions();
  const start = useStart();
  const [refusal, setRefusal] = useState<Refusal>();
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDrop: async ([file]) => file && setRefusal(await actions.bringIn(file)),
  });
  usePastedCode(async (text) => setRefusal(await actions.bringIn(new File([text], 'Pasted code'))));
  if (!records || !shelf) return <p className="p-6 text-mute">Reading your recipes …</p>;
  return (
    <main {...drop.getRootProps({ role: 'main' })} className="flex min-h-0 flex-1 flex-col">
      <input {...drop.getInputProps({ 'aria-label': 'Recipe file to import' })} />
      <PageHeader title="Recipes">
        <Button className="ml-auto" onClick={drop.open}>
          Import from a file
        </Button>
        <Button look="strong" onClick={start}>
          New recipe
        </Button>
      </PageHeader>
      <div className="min-h-0 flex-1 overflow-y-auto p-6">
        {drop.isDragActive && (
          <p className="mb-4 border-2 border-dashed border-text p-4">Drop the recipe file here.</p>
        )}
        {records.length === 0 && (
          <p className="max-w-md">
            No recipe yet. Start a new one, drop an exported recipe or a picture of one on this page, or paste
            the code of a printed sheet.
          </p>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-6">
          {records.map((record) => (
            <RecipeCard key={record.id} record={record} resolved={resolve(record.recipe, shelf)} />
          ))}
        </ul>
      </div>
      {refusal && <Faults {...refusal} onClose={() => setRefusal(undefined)} />}
    </main>
  );
}

/** A recipe's code pasted anywhere on the page is opened. */
function usePastedCode(onCode: (text: string) => void): void {
  const latest = useRef(onCode);
  latest.current = onCode;
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData('text') ?? '';
      if (text.trimStart().startsWith('TINT-LADDER:')) latest.current(text);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, []);
}

const PICTURE_HEIGHT = 236;

function RecipeCard({
  record,
  resolved,
}: {
  readonly record: RecipeRecord;
  readonly resolved: ResolvedRecipe | undefined;
}) {
  const { db } = useSession();
  const actions = useRecipeActions();
  const { recipe } = record;
  const rename = (name: string): string | undefined => {
    if (name === '' || name.length > 120) return 'A name has 1 to 120 letters.';
    void renameRecipe(db, recipe.id, name);
    return undefined;
  };
  return (
    <li className="flex flex-col bg-pane p-4">
      <Link
        to={`/bench/${recipe.id}`}
        aria-label={`Open ${recipe.name} on the bench`}
        className="relative mx-auto mb-4 block shadow-[0_1px_3px_#0006,0_6px_14px_-6px_#0006]"
      >
        {resolved ? (
          <PanelPicture
            resolved={resolved}
            wetness="dry"
            height={PICTURE_HEIGHT}
            width={Math.round((PICTURE_HEIGHT * recipe.panel.width) / recipe.panel.height)}
            label={`Panel of ${recipe.name}`}
          />
        ) : (
          <span className="grid h-58 w-44 place-items-center bg-field p-4 text-center">
            An ink or card is no longer on the shelf
          </span>
        )}
      </Link>
      <TypedField
        label={`Name of ${recipe.name}`}
        shown={recipe.name}
        onCommit={rename}
        className="heading w-full border-transparent bg-transparent text-lead hover:border-line"
      />
      <p className="px-1.5">{resolved?.inks.map(({ name }) => name).join(', ')}</p>
      <p className="px-1.5 text-mute">
        {resolved?.card.name} ·{' '}
        {new Date(record.updatedAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
      </p>
      <div className="mt-2 flex items-center gap-1">
        <Button
          look="bare"
          aria-label={`Duplicate ${recipe.name}`}
          title="Duplicate"
          onClick={() => actions.duplicate(recipe)}
        >
          <Copy size={16} aria-hidden="true" />
        </Button>
        <Button
          look="bare"
          aria-label={`Delete ${recipe.name}`}
          title="Delete"
          onClick={() => actions.remove(recipe)}
        >
          <Trash2 size={16} aria-hidden="true" />
        </Button>
        {resolved && (
          <Button look="bare" aria-label={`Export ${recipe.name}`} onClick={() => actions.download(resolved)}>
            Export
          </Button>
        )}
      </div>
    </li>
  );
}

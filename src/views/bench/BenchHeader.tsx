import { lazy, memo, Suspense, useEffect, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import { TO_BE_NAMED } from '../../app/recipes/recipeActions';
import type { Shelf } from '../../app/session';
import type { Edit } from '../../app/useBench';
import { cleanName } from '../../core/base/names';
import { RECIPE_LIMITS } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { undone } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { TypedField } from '../../ui/TypedField';
import type { Look } from './look';

const RecipeMenu = lazy(
  afterFirstPicture(() => import('./RecipeMenu').then((m) => ({ default: m.RecipeMenu }))),
);
const RecipeSentence = lazy(
  afterFirstPicture(() => import('./RecipeSentence').then((m) => ({ default: m.RecipeSentence }))),
);
const VersionsDialog = lazy(() => import('./versions/VersionsDialog'));

interface Props {
  readonly shelf: Shelf;
  readonly edit: Edit;
  /** A moment behind while the hand moves, so that a drag does not redraw all this. */
  readonly resolved: ResolvedRecipe;
  readonly look: Look;
  readonly onLook: (change: Partial<Look>) => void;
  readonly onAddRung: () => void;
}

/** What the recipe is called, the recipe as a sentence, and what can be done to the whole of it. */
export const BenchHeader = memo(function BenchHeader(props: Props) {
  const { shelf, edit, resolved } = props;
  const { name } = resolved.recipe;
  const [versions, setVersions] = useState(false);
  const dispatch = useAppDispatch();
  const canUndo = useAppSelector(({ draft }) => draft.past.length > 0);
  const { state } = useLocation();
  const field = useRef<HTMLSpanElement>(null);
  const { id } = resolved.recipe;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for a recipe just begun
  useEffect(() => {
    if (state === TO_BE_NAMED) field.current?.querySelector('input')?.focus();
  }, [id, state]);
  const rename = (typed: string): string | undefined => {
    const wanted = cleanName(typed);
    if (wanted.length > RECIPE_LIMITS.name) return `A name has at most ${RECIPE_LIMITS.name} letters.`;
    if (wanted === '') return 'A recipe needs a name.';
    edit((current) => ({ ...current, name: wanted }));
    return undefined;
  };
  return (
    <header className="px-5 pt-3 pb-2 max-sm:px-3">
      <div className="flex flex-wrap items-center gap-2">
        <PageTitle of={name} />
        <h1 className="sr-only">{name}</h1>
        <span ref={field}>
          <TypedField
            label="Name of the recipe"
            shown={name}
            onCommit={rename}
            // On a phone it leaves room for Undo: the panel would move down under the finger that makes the first change.
            className="heading -ml-1.5 w-[min(25rem,44vw)] truncate border-transparent bg-transparent text-title hover:border-line max-sm:w-[calc(100vw-15.5rem)]"
          />
        </span>
        <SaveSign />
        <Button
          title="Undo (Ctrl+Z)"
          // With nothing to take back it is not in the way; it never goes from under the keys.
          className={canUndo ? '' : 'not-focus:hidden'}
          aria-disabled={!canUndo}
          onClick={() => dispatch(undone())}
        >
          Undo
        </Button>
        <Suspense fallback={<span className="w-19" />}>
          <RecipeMenu onVersions={() => setVersions(true)} />
        </Suspense>
      </div>
      {/* Two lines always, and three on a phone, so that nothing moves when the sentence comes or grows. */}
      <div data-tour="run" className="min-h-27 sm:min-h-14">
        <Suspense fallback={null}>
          <RecipeSentence {...props} />
        </Suspense>
      </div>
      {versions && (
        <Suspense fallback={null}>
          <VersionsDialog resolved={resolved} shelf={shelf} onClose={() => setVersions(false)} />
        </Suspense>
      )}
    </header>
  );
});

function SaveSign() {
  const save = useAppSelector(({ draft }) => draft.save);
  return (
    <span role="status" className="mr-auto w-16 text-mute">
      {save === 'saved' ? 'Saved' : save === 'unsaved' ? 'Saving' : 'Not saved'}
    </span>
  );
}

import { lazy, Suspense, useRef, useState } from 'react';
import { useLogActions } from '../../app/log/useLogActions';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import type { Refusal } from '../../app/recipes/refusal';
import { useShelf } from '../../app/session';
import { useStart } from '../../app/start';
import { usePaperWork } from '../../app/usePaperWork';
import { withChange } from '../../core/keep/log/changes';
import { settle } from '../../core/recipe/editLadder';
import type { Recipe } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { resolveAnyway } from '../../core/recipe/resolved';
import { edited, redone } from '../../store/draft';
import { useAppDispatch, useAppSelector, useAppStore } from '../../store/hooks';
import { Menu } from '../../ui/Menu';

const TroubleFinder = lazy(() => import('../../app/trouble/TroubleFinder'));
const Faults = lazy(() => import('../../ui/Faults'));

/** What can be done with the recipe on the bench as a whole. */
export function RecipeMenu({ onVersions }: { readonly onVersions: () => void }) {
  const store = useAppStore();
  const actions = useRecipeActions();
  const { log } = useLogActions();
  const shelf = useShelf();
  const start = useStart();
  const dispatch = useAppDispatch();
  const canRedo = useAppSelector(({ draft }) => draft.future.length > 0);
  const painting = usePaperWork(
    'Painting the picture',
    'The picture could not be painted. Reload the page and try again; the recipe is saved.',
  );
  const picker = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<Refusal>();
  const [wrong, setWrong] = useState<ResolvedRecipe>();
  // Looked up when asked for: the menu need not follow every step of a drag.
  const withRecipe = (act: (recipe: Recipe) => void) => () => {
    const { recipe } = store.getState().draft;
    if (recipe) act(recipe);
  };
  const withResolved = (act: (resolved: ResolvedRecipe) => void) =>
    withRecipe((recipe) => {
      const resolved = shelf && resolveAnyway(recipe, shelf);
      if (resolved) act(resolved);
    });
  return (
    <>
      {painting.progress}
      <Menu
        items={[
          { label: 'Redo', disabled: !canRedo, onSelect: () => dispatch(redone()) },
          'line',
          { label: 'New recipe …', onSelect: start },
          { label: 'Duplicate', onSelect: withRecipe(actions.duplicate) },
          'line',
          { label: 'Export as a file', onSelect: withResolved(actions.download) },
          {
            label: 'Export as a picture, 300 dpi',
            onSelect: withResolved((resolved) =>
              painting.make((worker, onProgress) =>
                actions.exportPicture(resolved, (one) => worker.picture(one, onProgress)),
              ),
            ),
          },
          { label: 'Import from a file', onSelect: () => picker.current?.click() },
          'line',
          { label: 'Log it as made today', onSelect: withResolved((resolved) => void log(resolved)) },
          { label: 'Something went wrong …', onSelect: withResolved(setWrong) },
          { label: 'Versions', onSelect: onVersions },
          'line',
          { label: 'Delete', onSelect: withRecipe(actions.remove) },
        ]}
      >
        Recipe …
      </Menu>
      <input
        ref={picker}
        type="file"
        accept=".json,.png,.txt,.zip,application/json,image/png,text/plain,application/zip"
        aria-label="Recipe file to import"
        className="hidden"
        onChange={async ({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) setRefusal(await actions.bringIn(file));
        }}
      />
      {wrong && (
        <Suspense fallback={null}>
          <TroubleFinder
            resolved={wrong}
            action="Change the recipe"
            needsChange
            onFound={(_, change) => {
              setWrong(undefined);
              if (change)
                withRecipe((recipe) => dispatch(edited({ recipe: settle(withChange(recipe, change)) })))();
            }}
            onClose={() => setWrong(undefined)}
          />
        </Suspense>
      )}
      {refusal && (
        <Suspense>
          <Faults {...refusal} onClose={() => setRefusal(undefined)} />
        </Suspense>
      )}
    </>
  );
}

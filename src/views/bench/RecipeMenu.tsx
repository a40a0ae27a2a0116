import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { type Command, useCommands } from '../../app/commands';
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

/** What the menu does that is found by its name, too. */
const BY_NAME = {
  picture: { label: 'Export this recipe as a picture', also: 'png image save share' },
  duplicate: { label: 'Duplicate this recipe', also: 'copy' },
  bringIn: { label: 'Import a recipe from a file', also: 'open load bring json' },
  log: { label: 'Log this panel as made today', also: 'done finished record diary' },
  wrong: { label: 'Something went wrong with this panel', also: 'trouble mud fault mistake problem' },
  versions: { label: 'Versions of this recipe', also: 'history compare earlier' },
  remove: { label: 'Delete this recipe', also: 'remove throw' },
} as const;
const NAMED = Object.keys(BY_NAME) as readonly (keyof typeof BY_NAME)[];

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
  const acts: Readonly<Record<keyof typeof BY_NAME, () => void>> = {
    picture: withResolved((resolved) =>
      painting.make((worker, onProgress) =>
        actions.exportPicture(resolved, (one) => worker.picture(one, onProgress)),
      ),
    ),
    duplicate: withRecipe(actions.duplicate),
    bringIn: () => picker.current?.click(),
    log: withResolved((resolved) => void log(resolved)),
    wrong: withResolved(setWrong),
    versions: onVersions,
    remove: withRecipe(actions.remove),
  };
  const latest = useRef(acts);
  latest.current = acts;
  useCommands(
    useMemo<readonly Command[]>(
      () =>
        NAMED.map((name) => ({
          id: `recipe-${name}`,
          group: 'Recipe',
          ...BY_NAME[name],
          run: () => latest.current[name](),
        })),
      [],
    ),
  );
  return (
    <>
      {painting.progress}
      <Menu
        items={[
          { label: 'Redo', disabled: !canRedo, onSelect: () => dispatch(redone()) },
          'line',
          { label: 'New recipe …', onSelect: start },
          { label: 'Duplicate', onSelect: acts.duplicate },
          'line',
          { label: 'Export as a file', onSelect: withResolved(actions.download) },
          { label: 'Export as a picture, 300 dpi', onSelect: acts.picture },
          { label: 'Import from files', onSelect: acts.bringIn },
          'line',
          { label: 'Log it as made today', onSelect: acts.log },
          { label: 'Something went wrong …', onSelect: acts.wrong },
          { label: 'Versions', onSelect: acts.versions },
          'line',
          { label: 'Delete', onSelect: acts.remove },
        ]}
      >
        Recipe …
      </Menu>
      <input
        ref={picker}
        type="file"
        multiple
        accept=".json,.png,.txt,.zip,application/json,image/png,text/plain,application/zip"
        aria-label="Recipe file to import"
        className="hidden"
        onChange={async ({ target }) => {
          const files = [...(target.files ?? [])];
          target.value = '';
          if (files.length > 0) setRefusal(await actions.bringIn(files));
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

import { DropdownMenu } from 'radix-ui';
import { lazy, Suspense, useRef, useState } from 'react';
import type { Kit, Recipe } from '../../core/ladder/recipe';
import { kitFrom } from '../../data/recipes';
import { useAppStore } from '../../store/hooks';
import { useShelf } from '../session';
import { type Refusal, useRecipeActions } from './recipeActions';

const ITEM =
  'cursor-pointer rounded-[2px] px-3 py-1.5 outline-none data-[highlighted]:bg-strong data-[highlighted]:text-on-strong';

const Faults = lazy(() => import('../../ui/Faults'));

/** What can be done with the recipe on the bench as a whole. */
export function RecipeMenu() {
  const store = useAppStore();
  const actions = useRecipeActions();
  const shelf = useShelf();
  const picker = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<Refusal>();
  // Looked up when asked for: the menu need not follow every step of a drag.
  const withRecipe = (act: (recipe: Recipe) => void) => () => {
    const { recipe } = store.getState().draft;
    if (recipe) act(recipe);
  };
  const withKit = (act: (kit: Kit) => void) =>
    withRecipe((recipe) => {
      const kit = shelf && kitFrom(recipe, shelf.inks, shelf.cards);
      if (kit) act(kit);
    });
  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="frame min-h-7 px-2.5 py-1 hover:border-text">
          Recipe
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="frame z-30 min-w-48 p-1 shadow-lg">
            <DropdownMenu.Item className={ITEM} onSelect={() => shelf && actions.create(shelf)}>
              New recipe
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={withRecipe(actions.duplicate)}>
              Duplicate
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <DropdownMenu.Item className={ITEM} onSelect={withKit(actions.download)}>
              Export as a file
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => picker.current?.click()}>
              Import from a file
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <DropdownMenu.Item className={ITEM} onSelect={withRecipe(actions.remove)}>
              Delete
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        aria-label="Recipe file to import"
        className="hidden"
        onChange={async ({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) setRefusal(await actions.bringIn(file));
        }}
      />
      {refusal && (
        <Suspense>
          <Faults {...refusal} onClose={() => setRefusal(undefined)} />
        </Suspense>
      )}
    </>
  );
}

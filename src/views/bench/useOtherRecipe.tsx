import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { type ReactNode, useCallback, useState } from 'react';
import { useDatabase } from '../../app/session';
import type { Recipe } from '../../core/recipe/recipe';
import { RUNS } from '../../core/recipe/runs/runs';
import { listRecipes } from '../../data/recipes';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';

interface Asked {
  readonly title: string;
  readonly take: (recipe: Recipe) => void;
  readonly fits: (recipe: Recipe) => boolean;
}

/** Lets the maker choose another recipe, to take something of it. */
export function useOtherRecipe(): {
  readonly ask: (title: string, take: Asked['take'], fits?: Asked['fits']) => void;
  readonly dialog: ReactNode;
} {
  const [asked, setAsked] = useState<Asked>();
  const ask = useCallback(
    (title: string, take: Asked['take'], fits: Asked['fits'] = () => true) => setAsked({ title, take, fits }),
    [],
  );
  return { ask, dialog: asked && <Choice {...asked} onClose={() => setAsked(undefined)} /> };
}

function Choice({ title, take, fits, onClose }: Asked & { readonly onClose: () => void }) {
  const db = useDatabase();
  const own = useAppSelector(({ draft }) => draft.recipe?.id);
  const records = useLiveQuery(() => listRecipes(db), [db]);
  const others = records?.map(({ recipe }) => recipe).filter((recipe) => recipe.id !== own && fits(recipe));
  return (
    <Modal lies="middle" className="flex w-[min(26rem,94vw)] flex-col gap-3" onClose={onClose}>
      <Dialog.Title className="heading text-lg">{title}</Dialog.Title>
      {others?.length === 0 && <p>No other recipe has as many rungs to take it from.</p>}
      <ul className="min-h-0 space-y-1 overflow-y-auto">
        {others?.map((recipe) => (
          <li key={recipe.id}>
            <Button
              className="w-full"
              onClick={() => {
                take(recipe);
                onClose();
              }}
            >
              <span className="truncate font-semibold">{recipe.name}</span>
              <span className="ml-auto text-mute">{RUNS[recipe.run.id].label.toLowerCase()}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Dialog.Close asChild>
        <Button className="self-end">Cancel</Button>
      </Dialog.Close>
    </Modal>
  );
}

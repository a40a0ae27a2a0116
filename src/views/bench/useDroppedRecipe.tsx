import { type DragEvent, lazy, type ReactNode, Suspense, useState } from 'react';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import type { Refusal } from '../../app/recipes/refusal';

const Faults = lazy(() => import('../../ui/Faults'));

/** Recipes' files and pictures that are dropped on the bench are brought in; why they were refused, if they were. */
export function useDroppedRecipe(): {
  readonly target: { onDragOver: (event: DragEvent) => void; onDrop: (event: DragEvent) => void };
  readonly refusal: ReactNode;
} {
  const { bringIn } = useRecipeActions();
  const [refusal, setRefusal] = useState<Refusal>();
  return {
    target: {
      onDragOver: (event) => {
        if (event.dataTransfer.types.includes('Files')) event.preventDefault();
      },
      onDrop: async (event) => {
        const files = [...event.dataTransfer.files];
        if (files.length === 0) return;
        event.preventDefault();
        setRefusal(await bringIn(files));
      },
    },
    refusal: refusal && (
      <Suspense fallback={null}>
        <Faults {...refusal} onClose={() => setRefusal(undefined)} />
      </Suspense>
    ),
  };
}

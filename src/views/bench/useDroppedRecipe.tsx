import { type DragEvent, lazy, type ReactNode, Suspense, useState } from 'react';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import type { Refusal } from '../../app/recipes/refusal';

const Faults = lazy(() => import('../../ui/Faults'));

/** A recipe's file or picture dropped on the bench is opened; why it was refused, if it was. */
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
        const file = event.dataTransfer.files[0];
        if (!file) return;
        event.preventDefault();
        setRefusal(await bringIn(file));
      },
    },
    refusal: refusal && (
      <Suspense fallback={null}>
        <Faults {...refusal} onClose={() => setRefusal(undefined)} />
      </Suspense>
    ),
  };
}

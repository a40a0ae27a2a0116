import { useCallback } from 'react';
import type { Shelf } from '../../../app/session';
import type { Edit } from '../../../app/useBench';
import type { PassKindId } from '../../../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { useNotify } from '../../../ui/Notices';

/** Adds a pass with what it starts in, and hands its id on. */
export function useAddPass(
  resolved: ResolvedRecipe,
  shelf: Shelf,
  edit: Edit,
  onAdded: (id: string) => void,
): (kind: PassKindId) => void {
  const notify = useNotify();
  return useCallback(
    async (kind) => {
      const [{ startFor }, { addPass }, { PASS_KINDS }] = await Promise.all([
        import('../../../core/advise/passStart'),
        import('../../../core/recipe/editPasses'),
        import('../../../core/recipe/passes/passes'),
      ]);
      const start = startFor(kind, resolved, shelf.inks, shelf.designs);
      const { ink, label } = PASS_KINDS[kind];
      if (ink && start.inkId === undefined) {
        notify({
          text: `${label} needs a white or a pigment ink, and none is on the shelf. Add one there first.`,
        });
        return;
      }
      edit((recipe) => {
        const next = addPass(recipe, kind, start);
        const added = next.passes.find(({ id }) => !recipe.passes.some((pass) => pass.id === id));
        if (added) onAdded(added.id);
        return next;
      });
    },
    [resolved, shelf, edit, onAdded, notify],
  );
}

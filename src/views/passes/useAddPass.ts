import { useCallback } from 'react';
import type { Kit } from '../../core/ladder/recipe';
import type { PassKindId } from '../../core/pass/pass';
import { useNotify } from '../../ui/Notices';
import type { Edit } from '../bench/useBench';
import type { Shelf } from '../session';

/** Adds a pass with what it starts in, and hands its id on. */
export function useAddPass(
  kit: Kit,
  shelf: Shelf,
  edit: Edit,
  onAdded: (id: string) => void,
): (kind: PassKindId) => void {
  const notify = useNotify();
  return useCallback(
    async (kind) => {
      const [{ startFor }, { addPass }, { PASS_KINDS }] = await Promise.all([
        import('../../core/pass/start'),
        import('../../core/pass/edit'),
        import('../../core/pass/pass'),
      ]);
      const start = startFor(kind, kit, shelf.inks, shelf.designs);
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
    [kit, shelf, edit, onAdded, notify],
  );
}

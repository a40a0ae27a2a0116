import { useCallback } from 'react';
import { addPass } from '../../core/ladder/edit';
import type { Kit } from '../../core/ladder/recipe';
import type { PassKindId } from '../../core/pass/pass';
import { startFor } from '../../core/pass/start';
import type { Edit } from '../bench/useBench';
import type { Shelf } from '../session';

/** Adds a pass with what it starts in, and hands its id on. */
export function useAddPass(
  kit: Kit,
  shelf: Shelf,
  edit: Edit,
  onAdded: (id: string) => void,
): (kind: PassKindId) => void {
  return useCallback(
    (kind) => {
      const start = startFor(kind, kit, shelf.inks, shelf.designs);
      edit((recipe) => {
        const next = addPass(recipe, kind, start);
        const added = next.passes.find(({ id }) => !recipe.passes.some((pass) => pass.id === id));
        if (added) onAdded(added.id);
        return next;
      });
    },
    [kit, shelf, edit, onAdded],
  );
}

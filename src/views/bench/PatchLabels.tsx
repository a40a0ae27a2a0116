import { useMemo } from 'react';
import type { Unit } from '../../core/base/length';
import { unbroken } from '../../core/base/words';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { measuredWords } from '../../core/sheet/measures';
import { useCalm } from './useCalm';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly height: number;
}

/** Where each ink of a run of patches lies and how far it reaches, in words beside the panel. */
export function PatchLabels({ resolved, unit, height }: Props) {
  const { recipe, inks } = useCalm(resolved);
  const words = useMemo(() => measuredWords(recipe, unit), [recipe, unit]);
  return (
    <ul
      className="min-w-0 flex-1 space-y-2.5 overflow-y-auto pl-5 text-small leading-snug"
      style={{ maxHeight: height }}
    >
      {recipe.rungs.map(({ id }, rung) => (
        <li key={id}>
          <span className="block font-semibold">{inks[rung]?.name}</span>
          <span className="line-clamp-5 text-mute">{unbroken(words.lay(rung, 'faded'))}</span>
        </li>
      ))}
    </ul>
  );
}

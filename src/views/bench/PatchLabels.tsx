import { useMemo } from 'react';
import type { Unit } from '../../core/base/length';
import type { Kit } from '../../core/recipe/recipe';
import { measuresOf } from '../../core/sheet/measures';
import { useCalm } from './useCalm';

interface Props {
  readonly kit: Kit;
  readonly unit: Unit;
  readonly height: number;
}

/** Where each ink of a run of patches lies and how far it reaches, in words beside the panel. */
export function PatchLabels({ kit, unit, height }: Props) {
  const { recipe, inks } = useCalm(kit);
  const measures = useMemo(() => measuresOf(recipe, unit), [recipe, unit]);
  return (
    <ul
      className="min-w-0 flex-1 space-y-2.5 overflow-y-auto pl-5 text-[12px] leading-snug"
      style={{ maxHeight: height }}
    >
      {inks.map((ink, rung) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rungs have no other identity than their place
        <li key={rung}>
          <span className="block font-semibold">{ink.name}</span>
          <span className="line-clamp-5 text-mute">{measures.lay(rung)}</span>
        </li>
      ))}
    </ul>
  );
}

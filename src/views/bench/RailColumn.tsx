import { useMemo } from 'react';
import type { DriedInk } from '../../core/readings/driedShelf';
import type { Aim } from '../../core/recipe/pressedInk';
import { RUNG_LIMITS } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { Segmented } from '../../ui/Segmented';
import { Invitation } from './Invitation';
import { ValueRail } from './ValueRail';

interface Props {
  readonly resolved: ResolvedRecipe;
  /** The shelf and bare card, as they dry on what the recipe is blended on. */
  readonly dried: readonly DriedInk[];
  readonly aim: Aim;
  readonly onAim: (aim: Aim) => void;
  readonly onPick: (ink: DriedInk) => void;
}

/** The value rail, and where the next ink pressed on it goes. */
export function RailColumn({ resolved, dried, aim, onAim, onPick }: Props) {
  const { rungs } = resolved.recipe;
  const rungIds = useMemo(() => resolved.inks.map(({ id }) => id), [resolved.inks]);
  const aimed = typeof aim === 'string' ? -1 : rungs.findIndex(({ id }) => id === aim.rung);
  const full = rungs.length >= RUNG_LIMITS.max;
  return (
    <section
      aria-label="Value rail"
      data-tour="rail"
      className="order-2 flex min-h-[30rem] flex-col border-line bg-pane lg:order-none lg:min-h-0 lg:border-r"
    >
      <header className="space-y-2 px-4 pt-3 pb-1">
        <h2 className="heading text-section">Value rail</h2>
        <div className="flex items-center gap-2">
          <span className="text-mute">Ink goes on</span>
          <Segmented<'nearest' | 'new' | 'chosen'>
            label="Where the next ink goes"
            value={typeof aim === 'string' ? aim : 'chosen'}
            onChange={(next) => next !== 'chosen' && onAim(next)}
            options={[
              { value: 'nearest', label: 'nearest', hint: 'The rung nearest in lightness' },
              ...(aimed < 0 ? [] : [{ value: 'chosen' as const, label: `rung ${aimed + 1}` }]),
              ...(full
                ? []
                : [{ value: 'new' as const, label: 'new rung', hint: 'A further rung, up to five' }]),
            ]}
          />
        </div>
      </header>
      <ValueRail
        shelf={dried}
        rungs={rungIds}
        onPick={onPick}
        aimed={rungIds[aimed]}
        goesTo={aim === 'new' ? 'a new rung' : aimed < 0 ? 'the nearest rung' : `rung ${aimed + 1}`}
      />
      <Invitation />
    </section>
  );
}

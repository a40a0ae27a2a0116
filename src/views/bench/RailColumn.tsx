import { useCallback, useMemo } from 'react';
import { useInkTaker } from '../../app/commands';
import { readingsHere } from '../../app/readingsHere';
import type { Edit } from '../../app/useBench';
import { useDriedShelf } from '../../app/useDriedShelf';
import { blendGround } from '../../core/engine/blend';
import type { Ink } from '../../core/materials/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { type Aim, takePressedInk } from '../../core/recipe/pressedInk';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { Button } from '../../ui/Button';
import { Invitation } from './Invitation';
import { ValueRail } from './ValueRail';

interface Props {
  readonly resolved: ResolvedRecipe;
  /** The shelf and bare card. */
  readonly inks: readonly Ink[];
  readonly edit: Edit;
  readonly aim: Aim;
  readonly onAim: (aim: Aim) => void;
}

/** The value rail, and where the next ink pressed on it goes. */
export function RailColumn({ resolved, inks, aim, edit, onAim }: Props) {
  const { rungs } = resolved.recipe;
  const rungIds = useMemo(() => resolved.inks.map(({ id }) => id), [resolved.inks]);
  const aimed = typeof aim === 'string' ? -1 : rungs.findIndex(({ id }) => id === aim.rung);
  const readings = readingsHere(resolved);
  const dried = useDriedShelf(inks, blendGround(resolved));
  const pick = useCallback(
    ({ ink, lab }: DriedInk) => {
      const labs = readings.rungs.map((rung) => rung.lab);
      edit((now) => takePressedInk(now, aim, labs, { id: ink.id, lab }));
      onAim('nearest');
    },
    [readings, aim, edit, onAim],
  );
  useInkTaker((inkId) => {
    const found = dried.find(({ ink }) => ink.id === inkId);
    if (found) pick(found);
  });
  const goesTo = aim === 'new' ? 'a new rung' : aimed < 0 ? 'the nearest rung' : `rung ${aimed + 1}`;
  return (
    <section
      aria-label="Value rail"
      data-tour="rail"
      className="order-2 flex min-h-[30rem] flex-col border-line bg-pane lg:order-none lg:min-h-112 lg:border-r print:hidden"
    >
      <header className="flex min-h-16 items-start justify-between gap-2 px-4 pt-3">
        <h2 className="heading text-lead">
          Your inks, pale at the top
          <span className="block font-sans text-small font-normal text-mute">
            {aim === 'nearest' ? 'Press one, or type its name' : `The next goes on ${goesTo}`}
          </span>
        </h2>
        {aim !== 'nearest' && (
          <Button look="bare" className="mt-4 underline underline-offset-4" onClick={() => onAim('nearest')}>
            Not
          </Button>
        )}
      </header>
      <ValueRail shelf={dried} rungs={rungIds} onPick={pick} aimed={rungIds[aimed]} goesTo={goesTo} />
      <Invitation />
    </section>
  );
}

import { unbroken } from '../core/base/words';
import type { LaidOut } from '../core/sheet/desk';
import { useAppDispatch, useAppSelector } from '../store/hooks';
import { thingTicked, ticksCleared } from '../store/laidOut';
import { Button } from '../ui/Button';
import { Checkbox } from '../ui/Checkbox';

interface Props {
  readonly recipeId: string;
  readonly things: readonly LaidOut[];
  /** For inky fingers, at arm's length. */
  readonly large?: boolean;
}

const GROUPS = ['Card', 'Inks', 'Brushes', 'Tools'] as const satisfies readonly LaidOut['group'][];
const NONE: readonly string[] = [];

/** Everything that is to lie ready before the first ink, to be ticked off. */
export function LayOutList({ recipeId, things, large = false }: Props) {
  const ticked = useAppSelector(({ laidOut }) => laidOut[recipeId] ?? NONE);
  const dispatch = useAppDispatch();
  const lie = things.filter(({ thing }) => ticked.includes(thing)).length;
  return (
    <section aria-label="To lay out" className={large ? 'mt-5 text-lg' : 'mt-1.5'}>
      <div
        className={
          large
            ? 'grid gap-x-8 gap-y-4 sm:grid-cols-2'
            : // On paper the things of a group follow each other on a line.
              'grid gap-x-6 gap-y-1.5 sm:grid-cols-2 print:block print:[&_fieldset]:flex print:[&_fieldset]:gap-2 print:[&_input]:size-2.5 print:[&_label]:min-h-0 print:[&_label]:gap-1 print:[&_legend]:float-left print:[&_ul]:flex print:[&_ul]:flex-wrap print:[&_ul]:gap-x-3'
        }
      >
        {GROUPS.map((group) => {
          const own = things.filter((one) => one.group === group);
          if (own.length === 0) return null;
          return (
            <fieldset key={group} className="min-w-0">
              <legend className="font-semibold">{group}</legend>
              <ul className={large ? 'mt-1 space-y-1' : ''}>
                {own.map(({ thing }) => (
                  <li
                    key={thing}
                    className={large ? '[&_input]:size-7 [&_label]:min-h-11 [&_label]:gap-3' : ''}
                  >
                    <Checkbox
                      label={unbroken(thing)}
                      checked={ticked.includes(thing)}
                      onChange={({ target }) =>
                        dispatch(thingTicked({ recipeId, thing, lies: target.checked }))
                      }
                    />
                  </li>
                ))}
              </ul>
            </fieldset>
          );
        })}
      </div>
      <p className="mt-1 flex items-center gap-3 text-mute print:hidden">
        <span aria-live="polite">
          {lie === things.length ? 'All of it lies ready.' : `${lie} of ${things.length} lie ready.`}
        </span>
        {lie > 0 && (
          <Button
            look="bare"
            className="underline underline-offset-4"
            onClick={() => dispatch(ticksCleared(recipeId))}
          >
            Clear the ticks
          </Button>
        )}
      </p>
    </section>
  );
}

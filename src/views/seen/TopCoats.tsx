import { useMemo } from 'react';
import type { Ink } from '../../core/ink/ink';
import type { Kit } from '../../core/ladder/recipe';
import { NEEDS } from '../../core/legibility/contrast';
import { rankTopCoats } from '../../core/legibility/topCoat';

interface Props {
  readonly kit: Kit;
  readonly shelf: readonly Ink[];
}

const TOLD = 6;

/** The shelf's darks as the coat over a clear resist: how clearly the worst place reads, and what would be lost. */
export function TopCoats({ kit, shelf }: Props) {
  const coats = useMemo(
    () =>
      rankTopCoats(
        kit,
        shelf.filter(({ wished }) => !wished),
      ),
    [kit, shelf],
  );
  return (
    <section aria-label="Top coat over a clear resist">
      <h3 className="heading mb-1 text-[15px]">Top coat over a clear resist</h3>
      {coats.length === 0 ? (
        <p>No owned dye or hybrid dries dark enough on this card to make a coat.</p>
      ) : (
        <ol className="space-y-1">
          {coats.slice(0, TOLD).map(({ ink, worst, lost }) => (
            <li
              key={ink.id}
              className="grid grid-cols-[1.5rem_1fr_auto] items-center gap-3 bg-pane px-3 py-1.5"
            >
              <span aria-hidden="true" className="size-5" style={{ backgroundColor: ink.overWhite }} />
              <span>
                {ink.name}
                {lost.length > 0 && (
                  <span className="block text-[12px] text-mute">
                    the design is lost over {lost.map(({ name }) => name).join(' and ')}
                  </span>
                )}
              </span>
              <span>
                <strong>{worst.toFixed(1)} : 1</strong>{' '}
                <span className="text-mute">
                  {worst >= NEEDS['bold shape'] ? 'at its worst' : 'at its worst, too little'}
                </span>
              </span>
            </li>
          ))}
        </ol>
      )}
      <p className="mt-1 text-[12px] text-mute">
        Dye or hybrid only: pigment clings to the resist. Let the powder cool before the coat, and buff it
        after.
      </p>
    </section>
  );
}

import { useMemo } from 'react';
import type { Edit } from '../../../app/useBench';
import { listed } from '../../../core/base/words';
import type { Ink } from '../../../core/materials/ink/ink';
import { NEEDS } from '../../../core/readings/legibility/contrast';
import { BLACK_DYE, withBlack } from '../../../core/readings/legibility/topCoat';
import { coatOver, coatResist } from '../../../core/recipe/editPasses';
import type { Pass } from '../../../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { Button } from '../../../ui/Button';
import { useTopCoats } from '../useTopCoats';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly shelf: readonly Ink[];
  /** The resist a coat is looked for; absent where the recipe has none yet. */
  readonly resist: Pass | undefined;
  readonly edit: Edit;
}

const TOLD = 6;

const isBlackDye = ({ id }: Ink): boolean => id === BLACK_DYE.id;

/** The shelf's darks as the coat over a clear resist: how clearly the worst place reads, and what would be lost. */
export function TopCoats({ resolved, shelf, resist, edit }: Props) {
  const coats = useTopCoats(
    resolved,
    useMemo(() => withBlack(shelf), [shelf]),
  );
  const laid = resist && coatOver(resolved.recipe, resist.id)?.placements[0]?.inkId;
  return (
    <section aria-label="Top coat over a clear resist">
      <h3 className="heading mb-1 text-lead">Top coat over a clear resist</h3>
      {coats?.every(({ ink }) => isBlackDye(ink)) && (
        <p className="mb-1">No owned dye or hybrid dries dark enough on this card to make a coat.</p>
      )}
      {!coats && (
        <p role="status" className="text-mute">
          Trying the shelf’s darks …
        </p>
      )}
      <ol className="space-y-1">
        {coats?.slice(0, TOLD).map(({ ink, worst, lost, muddied }) => (
          <li
            key={ink.id}
            className="grid min-h-10 grid-cols-[1.5rem_1fr_auto] items-center gap-3 bg-pane px-3 py-1"
          >
            <span aria-hidden="true" className="size-5" style={{ backgroundColor: ink.overWhite }} />
            <span>
              {ink.name}
              {isBlackDye(ink) && <span className="text-mute">, to compare: none is on the shelf</span>}
              {lost.length > 0 && (
                <span className="block text-small text-mute">
                  the design is lost over {listed(lost.map(({ name }) => name))}
                </span>
              )}
              {muddied.length > 0 && (
                <span className="block text-small text-mute">
                  mud over {listed(muddied.map(({ name }) => name))}
                </span>
              )}
            </span>
            <span className="flex flex-col items-end gap-x-3 sm:flex-row sm:items-center">
              <span>
                <strong>{worst.toFixed(1)} : 1</strong>{' '}
                <span className="text-mute">
                  {worst >= NEEDS['bold shape'] ? 'at its worst' : 'at its worst, too little'}
                </span>
              </span>
              {resist && (
                <span className="sm:w-22">
                  {laid === ink.id ? (
                    <span className="font-semibold">laid</span>
                  ) : (
                    !isBlackDye(ink) && (
                      <Button
                        aria-label={`Coat with it: ${ink.name}`}
                        onClick={() => edit((recipe) => coatResist(recipe, resist.id, ink.id))}
                      >
                        Coat with it
                      </Button>
                    )
                  )}
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-1 text-small text-mute">
        Dye or hybrid only: pigment clings to the resist. Let the powder cool before the coat, and buff it
        after.
      </p>
    </section>
  );
}

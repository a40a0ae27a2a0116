import { LadderPicture } from '../../app/panel/LadderPicture';
import { listed } from '../../core/base/words';
import type { FoundTrio } from '../../core/choose/search/foundTrio';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';

/** How many trios lie side by side at the most. */
export const MAX_COMPARED = 6;

const WIDTH = 112;
const HEIGHT = 145;

interface Props {
  readonly trios: readonly FoundTrio[];
  readonly card: Card;
  readonly onOpen: (inks: readonly Ink[]) => void;
  readonly onDrop: (trio: FoundTrio) => void;
}

/** Trios side by side, same size, same card, with their two-ink cuts to open. */
export function CompareTray({ trios, card, onOpen, onDrop }: Props) {
  const wetness = useAppSelector(({ view }) => view.wetness);
  const dispatch = useAppDispatch();
  return (
    <section aria-label="Compared" className="border-b border-line bg-sheet p-4">
      <header className="mb-3 flex items-center gap-3">
        <h2 className="heading mr-auto text-lead">Side by side on {card.name}</h2>
        <Segmented
          label="How the panels are shown"
          value={wetness}
          onChange={(next) => dispatch(viewSet({ wetness: next }))}
          options={[
            { value: 'dry', label: 'Dried' },
            { value: 'wet', label: 'Wet' },
          ]}
        />
      </header>
      <ul className="flex gap-4 overflow-x-auto">
        {trios.map((trio) => {
          const names = trio.inks.map(({ name }) => name).join(', ');
          return (
            <li key={names} className="flex w-64 shrink-0 gap-3">
              <LadderPicture inks={trio.inks} card={card} wetness={wetness} width={WIDTH} height={HEIGHT} />
              <div className="min-w-0 space-y-1">
                <p className="leading-snug font-semibold">{names}</p>
                {trio.inks.slice(1).map((ink, i) => {
                  const cut = [trio.inks[i] as Ink, ink];
                  return (
                    <button
                      key={ink.id}
                      type="button"
                      title="Open this two-ink cut on the bench"
                      onClick={() => onOpen(cut)}
                      className="block text-left text-small leading-snug underline underline-offset-2"
                    >
                      only {listed(cut.map(({ name }) => name))}
                    </button>
                  );
                })}
                <Button aria-label={`Put away ${names}`} onClick={() => onDrop(trio)}>
                  Put away
                </Button>
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

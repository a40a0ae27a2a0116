import { useCallback } from 'react';
import { useAnswer } from '../../app/useAnswer';
import { TWINS_WITHIN } from '../../core/choose/shelf/twins';
import type { Ink } from '../../core/materials/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { Button } from '../../ui/Button';
import { shelfWorker } from '../../workers/client';

interface Props {
  readonly dried: readonly DriedInk[];
  readonly onEdit: (ink: Ink) => void;
  readonly onRemove: (ink: Ink) => void;
}

/** Pairs of inks that dry to nearly one colour on the chosen card, side by side. */
export function TwinsList({ dried, onEdit, onRemove }: Props) {
  const twins = useAnswer(useCallback(() => shelfWorker().findTwins([...dried]), [dried]));
  if (!twins) return <p className="p-4 text-mute">Comparing every pair …</p>;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <p className="mb-3">
        {twins.length === 0
          ? `No two inks are nearer than ΔE00 ${TWINS_WITHIN} on this card: nothing here is owned twice.`
          : `${twins.length} ${twins.length === 1 ? 'pair dries' : 'pairs dry'} to nearly one colour on this card.`}
      </p>
      <ul className="space-y-2">
        {twins.map(({ pair, difference }) => (
          <li
            key={pair.map(({ ink }) => ink.id).join(' ')}
            className="grid grid-cols-2 bg-pane sm:grid-cols-[1fr_1fr_7rem]"
          >
            {pair.map(({ ink, hex }) => (
              <div key={ink.id}>
                <span aria-hidden="true" className="block h-12" style={{ backgroundColor: hex }} />
                <div className="flex items-center gap-2 p-2">
                  <span className="mr-auto font-semibold">{ink.name}</span>
                  <Button aria-label={`Change ${ink.name}`} onClick={() => onEdit(ink)}>
                    Change
                  </Button>
                  <Button aria-label={`Take ${ink.name} off the shelf`} onClick={() => onRemove(ink)}>
                    Take off
                  </Button>
                </div>
              </div>
            ))}
            <span className="self-center p-2 text-center">ΔE00 {difference.toFixed(1)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

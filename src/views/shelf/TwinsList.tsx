import { useCallback, useState } from 'react';
import { useAnswer } from '../../app/useAnswer';
import { TWINS_WITHIN, type Twins } from '../../core/choose/shelf/twins';
import type { Ink } from '../../core/materials/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { Button } from '../../ui/Button';
import { shelfWorker } from '../../workers/client';

interface Props {
  readonly dried: readonly DriedInk[];
  readonly onEdit: (ink: Ink) => void;
  readonly onRemove: (ink: Ink) => void;
}

/** Pairs of inks that dry to nearly one colour on the chosen card, side by side; how nearly, the maker says. */
export function TwinsList({ dried, onEdit, onRemove }: Props) {
  const [within, setWithin] = useState<number>(TWINS_WITHIN.usual);
  const answer = useAnswer(
    useCallback(async () => {
      const shelf = [...dried];
      const twins = await shelfWorker().findTwins(shelf, within);
      return { twins, nearest: twins.length > 0 ? [] : await shelfWorker().nearestPairs(shelf) };
    }, [dried, within]),
  );
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <label className="mb-3 flex max-w-96 items-center gap-3">
        <span className="whitespace-nowrap">Nearer than ΔE00 {within}</span>
        <input
          type="range"
          aria-label="How near twins are, ΔE00"
          min={TWINS_WITHIN.least}
          max={TWINS_WITHIN.most}
          value={within}
          onChange={({ target }) => setWithin(Number(target.value))}
          className="flex-1 accent-(--strong)"
        />
      </label>
      {answer ? (
        <>
          <p role="status" className="mb-3">
            {tellTwins(answer.twins.length, within, dried.length)}
          </p>
          <ul className="space-y-2">
            {[...answer.twins, ...answer.nearest].map((twins) => (
              <Pair
                key={twins.pair.map(({ ink }) => ink.id).join(' ')}
                twins={twins}
                onEdit={onEdit}
                onRemove={onRemove}
              />
            ))}
          </ul>
        </>
      ) : (
        <p className="text-mute">Comparing every pair …</p>
      )}
    </div>
  );
}

function tellTwins(count: number, within: number, inks: number): string {
  if (inks < 2) return 'It takes two inks to be twins.';
  if (count === 0)
    return `No two inks are so near on this card: nothing here is owned twice. The nearest are:`;
  return `${count} ${count === 1 ? 'pair dries' : 'pairs dry'} to nearly one colour on this card${within > TWINS_WITHIN.usual ? ', as you count it' : ''}.`;
}

interface PairProps extends Omit<Props, 'dried'> {
  readonly twins: Twins;
}

function Pair({ twins: { pair, difference }, onEdit, onRemove }: PairProps) {
  return (
    <li className="grid grid-cols-2 bg-pane sm:grid-cols-[1fr_1fr_7rem]">
      {pair.map(({ ink, hex }) => (
        <div key={ink.id}>
          <span aria-hidden="true" className="block h-12" style={{ backgroundColor: hex }} />
          <div className="flex flex-wrap items-center gap-2 p-2">
            <span className="mr-auto font-semibold">{ink.name}</span>
            <Button aria-label={`Change ${ink.name}`} onClick={() => onEdit(ink)}>
              Change
            </Button>
            <Button aria-label={`Take off ${ink.name}`} onClick={() => onRemove(ink)}>
              Take off
            </Button>
          </div>
        </div>
      ))}
      <span className="self-center p-2 text-center">ΔE00 {difference.toFixed(1)}</span>
    </li>
  );
}

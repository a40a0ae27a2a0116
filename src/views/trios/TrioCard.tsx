import { memo } from 'react';
import { LadderPicture } from '../../app/panel/LadderPicture';
import type { FoundTrio } from '../../core/choose/search/foundTrio';
import type { Wetness } from '../../core/engine/mixing';
import type { Card } from '../../core/materials/card/card';

const SIZE = { width: 132, height: 171 } as const;

interface Props {
  readonly trio: FoundTrio;
  readonly card: Card;
  readonly wetness: Wetness;
  readonly isChosen: boolean;
  readonly isKept: boolean;
  readonly onChoose: (trio: FoundTrio) => void;
}

/** A found trio: its panel, its inks, and what is told of its joins in a word; pressed, it is taken in hand. */
export const TrioCard = memo(function TrioCard({ trio, card, wetness, isChosen, isKept, onChoose }: Props) {
  const { inks, readings } = trio;
  const told = readings.joints.find(({ verdict }) => verdict.kind !== 'clean run') ?? readings.joints[0];
  return (
    <li>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={() => onChoose(trio)}
        className={`block w-full p-1.5 text-left hover:bg-pane ${isChosen ? 'bg-pane outline-2 outline-text' : ''}`}
      >
        <span className="block overflow-hidden">
          <LadderPicture inks={inks} card={card} wetness={wetness} {...SIZE} />
        </span>
        <span className="mt-2 block leading-snug font-semibold">
          {inks.map(({ id, name }) => (
            <span key={id} className="block truncate">
              {name}
            </span>
          ))}
        </span>
        <span className="colour-name block truncate text-small">
          {told?.headline}
          {isKept && ' · kept'}
        </span>
      </button>
    </li>
  );
});

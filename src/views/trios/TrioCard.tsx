import { memo } from 'react';
import { LadderPicture } from '../../app/panel/LadderPicture';
import type { FoundTrio } from '../../core/choose/search/foundTrio';
import type { Wetness } from '../../core/engine/mixing';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { Button } from '../../ui/Button';

const WIDTH = 132;
const HEIGHT = 171;

interface Props {
  readonly trio: FoundTrio;
  readonly card: Card;
  readonly wetness: Wetness;
  readonly compared: boolean;
  readonly kept: boolean;
  readonly onOpen: (inks: readonly Ink[]) => void;
  readonly onCompare: (trio: FoundTrio) => void;
  readonly onKeep: (inks: readonly Ink[], kept: boolean) => void;
}

/** A found trio: its panel, its inks, what becomes of its joints, and what is folded under it. */
export const TrioCard = memo(function TrioCard(props: Props) {
  const { trio, card, wetness, compared, kept, onOpen, onCompare, onKeep } = props;
  const { inks, readings, alike } = trio;
  const names = inks.map(({ name }) => name).join(', ');
  return (
    <li className="flex flex-col bg-pane p-3">
      <LadderPicture inks={inks} card={card} wetness={wetness} width={WIDTH} height={HEIGHT} />
      <ul className="mt-2 font-semibold">
        {inks.map(({ id, name }) => (
          <li key={id}>{name}</li>
        ))}
      </ul>
      <ul className="mt-1 text-small">
        {readings.joints.map((joint, i) => (
          <li key={`${inks[i]?.id} to the next`}>{joint.headline}</li>
        ))}
      </ul>
      {trio.topCoat && (
        <p className="mt-1 text-small">
          under {trio.topCoat.ink.name}, reads {`${trio.topCoat.worst.toFixed(1)}\u00a0:\u00a01`} at worst
        </p>
      )}
      <p className="mt-1 text-small">{trio.reason}</p>
      <p className="mt-1 text-small text-mute">
        steps {readings.spacing.gaps.map((gap) => gap.toFixed(0)).join(' : ')} L* · fit{' '}
        {Math.round(trio.fit * 100)}
      </p>
      <div className="mt-auto flex flex-wrap gap-1 pt-2">
        <Button aria-label={`Open ${names} on the bench`} onClick={() => onOpen(inks)}>
          Open
        </Button>
        <Button aria-pressed={kept} aria-label={`Keep ${names}`} onClick={() => onKeep(inks, kept)}>
          {kept ? 'Kept' : 'Keep'}
        </Button>
        <Button aria-pressed={compared} aria-label={`Compare ${names}`} onClick={() => onCompare(trio)}>
          {compared ? 'Compared' : 'Compare'}
        </Button>
      </div>
      {alike.length > 0 && (
        <details className="mt-2 text-small">
          <summary className="cursor-pointer">
            {alike.length} {alike.length === 1 ? 'other like it' : 'others like it'}
          </summary>
          <ul className="mt-1 space-y-1">
            {alike.slice(0, 20).map((others) => (
              <li key={others.map(({ id }) => id).join(' ')}>
                <button
                  type="button"
                  className="text-left underline underline-offset-2"
                  onClick={() => onOpen(others)}
                >
                  {others.map(({ name }) => name).join(', ')}
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </li>
  );
});

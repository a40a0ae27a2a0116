import { LadderPicture } from '../../app/panel/LadderPicture';
import { listed } from '../../core/base/words';
import type { FoundTrio } from '../../core/choose/search/foundTrio';
import type { Wetness } from '../../core/engine/mixing';
import type { Card } from '../../core/materials/card/card';
import { plainColour } from '../../core/materials/colour/plainWords';
import type { Ink } from '../../core/materials/ink/ink';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';

const SIZE = { width: 200, height: 258 } as const;
/** Trios like it that are told at the most. */
const ALIKE = 20;

interface Props {
  readonly trio: FoundTrio;
  readonly card: Card;
  readonly wetness: Wetness;
  readonly isCompared: boolean;
  readonly isKept: boolean;
  readonly onOpen: (inks: readonly Ink[]) => void;
  readonly onCompare: (trio: FoundTrio) => void;
  readonly onKeep: (inks: readonly Ink[], kept: boolean) => void;
}

/** The trio in hand: its panel, why its inks belong together, what becomes of its joins, and where to go from here. */
export function ChosenTrio({ trio, card, wetness, isCompared, isKept, onOpen, onCompare, onKeep }: Props) {
  const isNumbers = useAppSelector(({ view }) => view.numbers);
  const { inks, readings, alike, topCoat } = trio;
  const names = inks.map(({ name }) => name).join(', ');
  return (
    <section
      aria-label="The trio in hand"
      className="space-y-3 border-line bg-pane p-5 max-lg:sticky max-lg:bottom-0 max-lg:border-t max-lg:p-3 lg:overflow-y-auto lg:border-l"
    >
      <div className="flex gap-4">
        <div className="shrink-0 max-lg:hidden">
          <LadderPicture inks={inks} card={card} wetness={wetness} {...SIZE} />
        </div>
        <ul className="flex flex-1 flex-col justify-between gap-1 py-2 max-lg:flex-row max-lg:py-0">
          {readings.rungs.map(({ ink, lab, colour }) => (
            <li key={ink.id} className="leading-tight">
              <span className="block font-semibold">{ink.name}</span>
              <span className="colour-name max-lg:hidden" title={colour.name}>
                {plainColour(lab)}
              </span>
            </li>
          ))}
        </ul>
      </div>
      <p className="sentence leading-snug max-lg:hidden">{trio.reason}</p>
      <ul className="space-y-1 max-lg:hidden">
        {readings.joints.map((joint, i) => (
          <li key={`${inks[i]?.id} to the next`}>
            <span className="font-semibold">{joint.headline}.</span> {joint.reason}
          </li>
        ))}
      </ul>
      {topCoat && (
        <p>
          under {topCoat.ink.name}, reads {`${topCoat.worst.toFixed(1)}\u00a0:\u00a01`} at worst
          {topCoat.muddied.length > 0 && `, mud over ${listed(topCoat.muddied.map(({ name }) => name))}`}
        </p>
      )}
      {isNumbers && (
        <p className="text-mute max-lg:hidden">
          steps {readings.spacing.gaps.map((gap) => gap.toFixed(0)).join(' : ')} L* · fit{' '}
          {Math.round(trio.fit * 100)}
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <Button
          look="strong"
          className="max-sm:min-h-11"
          aria-label={`Open on the bench: ${names}`}
          onClick={() => onOpen(inks)}
        >
          Open on the bench
        </Button>
        <Button
          className="max-sm:min-h-11"
          aria-pressed={isKept}
          aria-label={`${isKept ? 'Kept' : 'Keep'} ${names}`}
          onClick={() => onKeep(inks, isKept)}
        >
          {isKept ? 'Kept' : 'Keep'}
        </Button>
        <Button
          className="max-sm:min-h-11"
          aria-pressed={isCompared}
          aria-label={`${isCompared ? 'Compared' : 'Compare'} ${names}`}
          onClick={() => onCompare(trio)}
        >
          {isCompared ? 'Compared' : 'Compare'}
        </Button>
      </p>
      <p className="flex flex-wrap gap-x-4 max-lg:hidden">
        {inks.slice(1).map((ink, i) => (
          <Button
            key={ink.id}
            look="bare"
            className="underline underline-offset-4"
            onClick={() => onOpen([inks[i] as Ink, ink])}
          >
            Only the {i === 0 ? 'upper' : 'lower'} two
          </Button>
        ))}
      </p>
      {alike.length > 0 && (
        <details className="max-lg:hidden">
          <summary className="cursor-pointer">
            {alike.length} {alike.length === 1 ? 'other like it' : 'others like it'}
          </summary>
          <ul className="mt-1 space-y-1">
            {alike.slice(0, ALIKE).map((others) => (
              <li key={others.map(({ id }) => id).join(' ')}>
                <Button
                  look="bare"
                  className="text-left whitespace-normal! underline underline-offset-2"
                  onClick={() => onOpen(others)}
                >
                  {others.map(({ name }) => name).join(', ')}
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

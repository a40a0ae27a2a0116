import { CardSelect } from '../../app/CardSelect';
import { formatBare, parseLength } from '../../core/base/length';
import type { Assembly, Fold } from '../../core/make/cutting/pieces';
import type { Card } from '../../core/materials/card/card';
import type { MatAdvice } from '../../core/readings/card/mats';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { TypedField } from '../../ui/TypedField';

/** What a maker chooses about a batch; the panel comes from the recipe. */
export interface Choices extends Omit<Assembly, 'panel' | 'panelCardId'> {
  /** Keep the grain alike in all pieces. */
  readonly grain: boolean;
}

interface Props {
  readonly choices: Choices;
  readonly cards: readonly Card[];
  /** The drawer's cards by how they go with the panel; undefined until they have been held against it. */
  readonly advice: readonly MatAdvice[] | undefined;
  readonly onChange: (change: Partial<Choices>) => void;
}

const MOST_MATS = 3;
const MOST_CARDS = 60;

/** How many cards, on which base, with which mats and greeting. */
export function AssemblyForm({ choices, cards, advice, onChange }: Props) {
  const { cards: count, oversize, mats, base, greeting, grain } = choices;
  const number = (text: string): string | undefined => {
    const n = Number(text);
    if (!(Number.isInteger(n) && n >= 1 && n <= MOST_CARDS))
      return `Type a whole number from 1 to ${MOST_CARDS}.`;
    onChange({ cards: n });
    return undefined;
  };
  const firstCard = advice?.[0]?.card.id ?? cards[0]?.id ?? '';
  return (
    <div className="space-y-4">
      <p className="flex items-center justify-between gap-2">
        <span className="font-semibold">Cards</span>
        <TypedField
          label="How many cards"
          shown={String(count)}
          onCommit={number}
          className="w-14 text-right"
        />
      </p>
      <Length
        label="Panel cut larger all round by"
        value={oversize}
        most={15}
        onValue={(mm) => onChange({ oversize: mm })}
      />
      <fieldset className="space-y-2">
        <legend className="mb-1 font-semibold">Mats, outermost first</legend>
        {mats.map((mat, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a mat has no identity but its place
          <div key={i} className="space-y-1 border-l-2 border-line pl-2">
            <div className="flex gap-1">
              <span className="min-w-0 flex-1">
                <CardSelect
                  label={`Card of mat ${i + 1}`}
                  cards={cards}
                  value={mat.cardId}
                  onChange={(cardId) => onChange({ mats: mats.with(i, { ...mat, cardId }) })}
                  className="w-full"
                />
              </span>
              <Button
                look="bare"
                aria-label={`Take mat ${i + 1} off`}
                onClick={() => onChange({ mats: mats.toSpliced(i, 1) })}
              >
                ×
              </Button>
            </div>
            <Length
              label={`Mat ${i + 1} stands out by`}
              value={mat.margin}
              most={40}
              onValue={(margin) => onChange({ mats: mats.with(i, { ...mat, margin }) })}
            />
          </div>
        ))}
        {mats.length < MOST_MATS && (
          <Button onClick={() => onChange({ mats: [...mats, { margin: 3, cardId: firstCard }] })}>
            Add a mat
          </Button>
        )}
      </fieldset>
      <details>
        <summary className="cursor-pointer font-semibold">Which card goes with it</summary>
        {!advice && (
          <p role="status" className="text-mute">
            Holding every card against the panel …
          </p>
        )}
        <ul className="mt-1 space-y-1">
          {advice?.map(({ card, reason }) => (
            <li key={card.id} className="grid grid-cols-[1.25rem_1fr] gap-2 leading-snug">
              <span
                aria-hidden="true"
                className="size-5 border border-line"
                style={{ backgroundColor: card.colour }}
              />
              <span>
                {card.name}: <span className="text-mute">{reason}</span>
              </span>
            </li>
          ))}
        </ul>
      </details>
      <fieldset className="space-y-1">
        <legend className="mb-1 font-semibold">Folded base</legend>
        {base ? (
          <>
            <div className="flex gap-1">
              <span className="min-w-0 flex-1">
                <CardSelect
                  label="Card of the base"
                  cards={cards}
                  value={base.cardId}
                  onChange={(cardId) => onChange({ base: { ...base, cardId } })}
                  className="w-full"
                />
              </span>
              <Button look="bare" aria-label="No base" onClick={() => onChange({ base: undefined })}>
                ×
              </Button>
            </div>
            <Length
              label="Base stands out by"
              value={base.margin}
              most={60}
              onValue={(margin) => onChange({ base: { ...base, margin } })}
            />
            <Segmented<Fold>
              label="Folded at"
              value={base.fold}
              onChange={(fold) => onChange({ base: { ...base, fold } })}
              options={[
                { value: 'side', label: 'side fold' },
                { value: 'top', label: 'top fold' },
              ]}
            />
          </>
        ) : (
          <Button onClick={() => onChange({ base: { margin: 5, cardId: firstCard, fold: 'side' } })}>
            Add a base
          </Button>
        )}
      </fieldset>
      <fieldset className="space-y-1">
        <legend className="mb-1 font-semibold">Greeting strip, of the panel’s card</legend>
        {greeting ? (
          <>
            <Length
              label="Strip width"
              value={greeting.width}
              most={300}
              onValue={(width) => onChange({ greeting: { ...greeting, width } })}
            />
            <Length
              label="Strip height"
              value={greeting.height}
              most={200}
              onValue={(height) => onChange({ greeting: { ...greeting, height } })}
            />
            <Button onClick={() => onChange({ greeting: undefined })}>No strip</Button>
          </>
        ) : (
          <Button onClick={() => onChange({ greeting: { width: 60, height: 16 } })}>Add a strip</Button>
        )}
      </fieldset>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={grain}
          onChange={({ target }) => onChange({ grain: target.checked })}
          className="size-4 accent-(--strong)"
        />
        Keep the grain alike in all pieces
      </label>
    </div>
  );
}

interface LengthProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly onValue: (mm: number) => void;
}

function Length({ label, value, most, onValue }: LengthProps) {
  const unit = useAppSelector(({ view }) => view.unit);
  const commit = (text: string): string | undefined => {
    const mm = parseLength(text, unit);
    if (mm === undefined || mm < 0 || mm > most)
      return `Type a length up to ${formatBare(most, unit)} ${unit}.`;
    onValue(mm);
    return undefined;
  };
  return (
    <p className="flex items-center justify-between gap-2">
      <span>{label}</span>
      <TypedField
        label={`${label}, ${unit}`}
        shown={formatBare(value, unit)}
        onCommit={commit}
        className="w-14 text-right"
        suffix={unit}
      />
    </p>
  );
}

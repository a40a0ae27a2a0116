import { CardSelect } from '../../app/CardSelect';
import type { Cutting } from '../../app/cutting';
import type { Size } from '../../core/base/geometry';
import { readNumber } from '../../core/base/typed';
import { describeOverhang } from '../../core/make/cutting/cutText';
import type { Fold, MatLayer } from '../../core/make/cutting/pieces';
import type { Card } from '../../core/materials/card/card';
import type { MatAdvice } from '../../core/readings/card/mats';
import type { Panel } from '../../core/recipe/panel';
import { nextId } from '../../core/recipe/recipe';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { LengthField } from '../../ui/LengthField';
import { Segmented } from '../../ui/Segmented';
import { TypedField } from '../../ui/TypedField';

interface Props {
  readonly choices: Cutting;
  readonly panel: Panel;
  readonly cards: readonly Card[];
  /** The drawer's cards by how they go with the panel; undefined until they have been held against it. */
  readonly advice: readonly MatAdvice[] | undefined;
  readonly onChange: (change: Partial<Cutting>) => void;
}

const MAX_MATS = 3;
const MAX_CARDS = 60;
/** How far the panel is cut larger, and a mat and a base stand out at the most; how large a strip is. In mm. */
const MARGIN_LIMITS = {
  oversize: 15,
  mat: 40,
  base: 60,
  strip: { width: 300, height: 200 },
  liner: { width: 400, height: 400 },
} as const;

/** No piece is cut narrower than this, mm: a trimmer does not hold it. By eye. */
const LEAST_PIECE = 5;
/** A greeting strip to begin with, mm. */
const STRIP = { width: 60, height: 16 } as const;

/** How many cards, on which base, with which mats and greeting. */
export function AssemblyForm({ choices, panel, cards, advice, onChange }: Props) {
  const { cards: count, oversize, mats, base, greeting, grain, inside, liner } = choices;
  const number = (text: string): string | undefined => {
    const n = readNumber(text) ?? 0;
    if (!(Number.isInteger(n) && n >= 1 && n <= MAX_CARDS))
      return `Type a whole number from 1 to ${MAX_CARDS}.`;
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
        max={MARGIN_LIMITS.oversize}
        onValue={(mm) => onChange({ oversize: mm })}
      />
      <Mats {...{ mats, cards, onChange }} firstCard={firstCard} />
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
      <Base {...{ base, cards, firstCard, onChange }} />
      <Strip {...{ greeting, panel, onChange }} />
      <Checkbox
        label="An inside panel of the same recipe"
        checked={inside ?? false}
        onChange={({ target }) => onChange({ inside: target.checked })}
      />
      <Liner {...{ liner, onChange }} />
      <Checkbox
        label="Keep the grain alike in all pieces"
        checked={grain}
        onChange={({ target }) => onChange({ grain: target.checked })}
      />
    </div>
  );
}

interface MatsProps extends Pick<Props, 'cards' | 'onChange'>, Pick<Cutting, 'mats'> {
  /** What a new mat is of. */
  readonly firstCard: string;
}

/** The mats from the outermost in: of which card each is, and how far it stands out. */
function Mats({ mats, cards, firstCard, onChange }: MatsProps) {
  const change = (id: string, to: Partial<MatLayer>) =>
    onChange({ mats: mats.map((mat) => (mat.id === id ? { ...mat, ...to } : mat)) });
  return (
    <fieldset className="space-y-2">
      <legend className="mb-1 font-semibold">Mats, outermost first</legend>
      {mats.map(({ id, cardId, margin }, i) => (
        <div key={id} className="space-y-1 border-l-2 border-line pl-2">
          <div className="flex gap-1">
            <span className="min-w-0 flex-1">
              <CardSelect
                label={`Card of mat ${i + 1}`}
                cards={cards}
                value={cardId}
                onChange={(next) => change(id, { cardId: next })}
                width="w-full"
              />
            </span>
            <Button
              look="bare"
              aria-label={`Take mat ${i + 1} off`}
              onClick={() => onChange({ mats: mats.filter((mat) => mat.id !== id) })}
            >
              ×
            </Button>
          </div>
          <Length
            label={`Mat ${i + 1} stands out by`}
            value={margin}
            max={MARGIN_LIMITS.mat}
            onValue={(mm) => change(id, { margin: mm })}
          />
        </div>
      ))}
      {mats.length < MAX_MATS && (
        <Button
          onClick={() =>
            onChange({ mats: [...mats, { id: nextId('m', mats), margin: 3, cardId: firstCard }] })
          }
        >
          Add a mat
        </Button>
      )}
    </fieldset>
  );
}

type BaseProps = Pick<MatsProps, 'cards' | 'firstCard' | 'onChange'> & Pick<Cutting, 'base'>;

/** The folded base that all of it lies on. */
function Base({ base, cards, firstCard, onChange }: BaseProps) {
  return (
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
                width="w-full"
              />
            </span>
            <Button look="bare" aria-label="No base" onClick={() => onChange({ base: undefined })}>
              ×
            </Button>
          </div>
          <Length
            label="Base stands out by"
            value={base.margin}
            max={MARGIN_LIMITS.base}
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
  );
}

type StripProps = Pick<Props, 'panel' | 'onChange'> & Pick<Cutting, 'greeting'>;

/** A strip for the greeting, blended like the panel. */
function Strip({ greeting, panel, onChange }: StripProps) {
  const unit = useAppSelector(({ view }) => view.unit);
  const overhang = describeOverhang({ panel, greeting }, unit);
  return (
    <fieldset className="space-y-1">
      <legend className="mb-1 font-semibold">Greeting strip, of the panel’s card</legend>
      {greeting ? (
        <>
          <Sides
            of="Strip"
            size={greeting}
            most={MARGIN_LIMITS.strip}
            onSize={(size) => onChange({ greeting: size })}
          />
          {overhang && (
            <p role="status" className="border-l-2 border-text pl-2">
              {overhang}
            </p>
          )}
          <Button onClick={() => onChange({ greeting: undefined })}>No strip</Button>
        </>
      ) : (
        <Button
          onClick={() => onChange({ greeting: { ...STRIP, width: Math.min(STRIP.width, panel.width) } })}
        >
          Add a strip
        </Button>
      )}
    </fieldset>
  );
}

type LinerProps = Pick<Props, 'onChange'> & Pick<Cutting, 'liner'>;

/** What lines the envelope. */
function Liner({ liner, onChange }: LinerProps) {
  return (
    <fieldset className="space-y-1">
      <legend className="mb-1 font-semibold">Envelope liner, of the panel’s card</legend>
      {liner ? (
        <>
          <Sides
            of="Liner"
            size={liner}
            most={MARGIN_LIMITS.liner}
            onSize={(size) => onChange({ liner: size })}
          />
          <Button onClick={() => onChange({ liner: undefined })}>No liner</Button>
        </>
      ) : (
        <Button onClick={() => onChange({ liner: { width: 140, height: 95 } })}>Add a liner</Button>
      )}
    </fieldset>
  );
}

interface SidesProps {
  /** What it is the size of. */
  readonly of: string;
  readonly size: Size;
  readonly most: Size;
  readonly onSize: (size: Size) => void;
}

/** How wide and how high a piece is. */
const Sides = ({ of, size, most, onSize }: SidesProps) =>
  (['width', 'height'] as const).map((side) => (
    <Length
      key={side}
      label={`${of} ${side}`}
      value={size[side]}
      min={LEAST_PIECE}
      max={most[side]}
      onValue={(mm) => onSize({ ...size, [side]: mm })}
    />
  ));

interface LengthProps {
  readonly label: string;
  readonly value: number;
  /** 0 where left out. */
  readonly min?: number;
  readonly max: number;
  readonly onValue: (mm: number) => void;
}

/** A length of the card with what it is, so many mm at the least and at the most. */
function Length({ label, value, min = 0, max, onValue }: LengthProps) {
  const unit = useAppSelector(({ view }) => view.unit);
  return (
    <p className="flex items-center justify-between gap-2">
      <span>{label}</span>
      <LengthField {...{ label, value, unit }} range={{ min, max }} onChange={onValue} suffix={unit} />
    </p>
  );
}

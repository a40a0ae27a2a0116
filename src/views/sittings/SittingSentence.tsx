import { useLiveQuery } from 'dexie-react-hooks';
import { useDatabase } from '../../app/session';
import { counted } from '../../core/base/words';
import {
  beginsOn,
  panelsOf,
  RECORD_LIMITS,
  type SittingRecord,
  tellBrushes,
} from '../../core/make/sitting/record';
import { SITTING_LIMITS as L } from '../../core/make/sitting/sitting';
import { BRUSH_SETS, type BrushSet } from '../../core/materials/ink/kinds';
import { listRecipes } from '../../data/recipes';
import { Button } from '../../ui/Button';
import { Choices } from '../../ui/Choices';
import { tellDay } from '../../ui/dates';
import { NumberField } from '../../ui/NumberField';
import { Select } from '../../ui/Select';
import { Word } from '../../ui/Word';

interface Props {
  readonly record: SittingRecord;
  /** How many panels of each lot are begun: fewer there cannot be. */
  readonly begun: readonly number[];
  readonly onChange: (change: (now: SittingRecord) => SittingRecord) => void;
}

const DRYING = {
  sheet: {
    text: 'dried as each sheet says',
    hint: 'In air or with the heat tool, as the sheet of each recipe has it.',
  },
  air: { text: 'dried in air', hint: 'Nobody’s hands, and room on the table for as long as it takes.' },
  heat: {
    text: 'dried with the heat tool',
    hint: 'Minutes of your hands in place of waiting. Keep to the tool’s own sheet.',
  },
} as const;

const WANTS = {
  early: { text: 'done as early as can be', hint: 'The end first, then washing and wiping, then waiting.' },
  clean: { text: 'with little to wash and wipe', hint: 'Washing and wiping first, then the end.' },
} as const;

const WORDS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
] as const;
const inWords = (count: number, one: string, many = `${one}s`): string =>
  `${WORDS[count] ?? count} ${count === 1 ? one : many}`;

/** The sitting in one sentence, each word of which opens what can be changed there. */
export function SittingSentence(props: Props) {
  const { record } = props;
  const { atHand, lots } = record;
  const kinds = new Set(lots.map(({ recipeId }) => recipeId)).size;
  return (
    <p className="sentence">
      <LotsWord {...props} text={counted(panelsOf(record), 'panel')} /> of {inWords(kinds, 'recipe')},{' '}
      <WhenWord {...props} />, <BreaksWord {...props} />, <DryingWord {...props} />, room for{' '}
      <PlacesWord {...props} /> on the table, <BrushesWord {...props} />,{' '}
      <CountWord
        {...props}
        label="Mats"
        text={inWords(atHand.mats, 'mat')}
        value={atHand.mats}
        most={L.mats}
        set={(mats) => ({ mats })}
        hint="Places to lay ink on, each holding one ink until it is wiped and dried."
      />
      , <HandsWord {...props} />, <WantsWord {...props} />.
    </p>
  );
}

type Change = Props['onChange'];
const atHandTo =
  (onChange: Change) =>
  (atHand: Partial<SittingRecord['atHand']>): void =>
    onChange((now) => ({ ...now, atHand: { ...now.atHand, ...atHand } }));

function LotsWord({ record, begun, onChange, text }: Props & { readonly text: string }) {
  const db = useDatabase();
  const recipes = useLiveQuery(() => listRecipes(db), [db]) ?? [];
  const setLots = (change: (lots: SittingRecord['lots']) => SittingRecord['lots']) =>
    onChange((now) => ({ ...now, lots: change(now.lots) }));
  return (
    <Word label="Panels" text={text}>
      {() => (
        <fieldset className="space-y-2">
          <legend className="mb-1 font-semibold">How many of which recipe</legend>
          {record.lots.map((lot, i) => {
            const name =
              recipes.find(({ id }) => id === lot.recipeId)?.recipe.name ?? 'a recipe that is gone';
            const least = begun[i] ?? 0;
            return (
              <div key={lot.id} className="flex items-start gap-2">
                <NumberField
                  label={`How many of ${name}`}
                  value={lot.count}
                  min={least}
                  max={L.panels}
                  onValue={(count) =>
                    setLots((lots) =>
                      lots.map((one) => (one.id === lot.id ? { ...one, count: Math.round(count) } : one)),
                    )
                  }
                />
                <span className="min-w-0 flex-1 pt-1">
                  {least > 0 ? (
                    name
                  ) : (
                    <Select
                      label={`Recipe ${i + 1}`}
                      value={lot.recipeId}
                      width="w-full"
                      options={[
                        ...(recipes.some(({ id }) => id === lot.recipeId)
                          ? []
                          : [{ value: lot.recipeId, label: name }]),
                        ...recipes.map(({ id, recipe }) => ({ value: id, label: recipe.name })),
                      ]}
                      onChange={(recipeId) =>
                        setLots((lots) => lots.map((one) => (one.id === lot.id ? { ...one, recipeId } : one)))
                      }
                    />
                  )}
                </span>
                <Button
                  look="bare"
                  aria-label={`Take ${name} out`}
                  disabled={least > 0}
                  onClick={() => setLots((lots) => lots.filter(({ id }) => id !== lot.id))}
                >
                  ×
                </Button>
              </div>
            );
          })}
          <Button
            disabled={record.lots.length >= RECORD_LIMITS.lots || recipes.length === 0}
            onClick={() => {
              const next =
                recipes.find(({ id }) => !record.lots.some(({ recipeId }) => recipeId === id)) ?? recipes[0];
              if (next)
                setLots((lots) => [...lots, { id: crypto.randomUUID(), recipeId: next.id, count: 4 }]);
            }}
          >
            Add a recipe
          </Button>
        </fieldset>
      )}
    </Word>
  );
}

function WhenWord({ record, onChange }: Props) {
  const { date, start, finish, pattern, run } = record;
  if (run) {
    const begun = beginsOn(record);
    return `begun on ${tellDay(begun.date)} at ${begun.start}`;
  }
  const day = pattern ? 'any evening' : `on ${tellDay(date)}`;
  const text = `${day} from ${start}${finish ? `, wished done by ${finish}` : ''}`;
  return (
    <Word label="When" text={text}>
      {() => (
        <div className="space-y-2">
          {!pattern && (
            <When
              label="Day"
              type="date"
              value={date}
              onValue={(value) => onChange((now) => ({ ...now, date: value }))}
            />
          )}
          <When
            label="From"
            type="time"
            value={start}
            onValue={(value) => onChange((now) => ({ ...now, start: value }))}
          />
          <When
            label="Wished done by"
            type="time"
            value={finish ?? ''}
            onValue={(value) => onChange((now) => ({ ...now, finish: value }))}
          />
          {finish && (
            <Button onClick={() => onChange(({ finish: _, ...now }) => now)}>Whenever it is done</Button>
          )}
        </div>
      )}
    </Word>
  );
}

interface WhenProps {
  readonly label: string;
  readonly type: 'date' | 'time';
  readonly value: string;
  readonly onValue: (value: string) => void;
}

/** A day or an hour; the browser's own control, which says no to what is none. */
const When = ({ label, type, value, onValue }: WhenProps) => (
  <label className="flex items-center justify-between gap-3">
    {label}
    <input
      type={type}
      value={value}
      required
      onChange={({ target }) => target.value && onValue(target.value.slice(0, type === 'time' ? 5 : 10))}
      className="frame min-h-8 px-2"
    />
  </label>
);

function BreaksWord({ record: { breaks }, onChange }: Props) {
  const set = (change: (now: SittingRecord['breaks']) => SittingRecord['breaks']) =>
    onChange((now) => ({ ...now, breaks: change(now.breaks) }));
  const [first] = breaks;
  const text =
    breaks.length === 0 || !first
      ? 'without a break'
      : breaks.length === 1
        ? `with a break at ${first.at}`
        : `with ${inWords(breaks.length, 'break')}`;
  return (
    <Word label="Breaks" text={text}>
      {() => (
        <fieldset className="space-y-2">
          <legend className="mb-1 font-semibold">Breaks: nobody works, what dries dries on</legend>
          {breaks.map((one, i) => (
            <div key={one.id} className="flex items-center gap-2">
              <When
                label={`Break ${i + 1}`}
                type="time"
                value={one.at}
                onValue={(at) =>
                  set((all) => all.map((other) => (other.id === one.id ? { ...other, at } : other)))
                }
              />
              <NumberField
                label={`Minutes of break ${i + 1}`}
                value={one.minutes}
                min={1}
                max={RECORD_LIMITS.breakMinutes}
                onValue={(minutes) =>
                  set((all) => all.map((other) => (other.id === one.id ? { ...other, minutes } : other)))
                }
              />
              min
              <Button
                look="bare"
                aria-label={`Take break ${i + 1} out`}
                onClick={() => set((all) => all.filter(({ id }) => id !== one.id))}
              >
                ×
              </Button>
            </div>
          ))}
          <Button
            disabled={breaks.length >= RECORD_LIMITS.breaks}
            onClick={() => set((all) => [...all, { id: crypto.randomUUID(), at: '20:00', minutes: 15 }])}
          >
            Add a break
          </Button>
        </fieldset>
      )}
    </Word>
  );
}

const optionsOf = <Id extends string>(
  of: Readonly<Record<Id, { readonly text: string; readonly hint: string }>>,
) => (Object.keys(of) as Id[]).map((value) => ({ value, label: of[value].text, hint: of[value].hint }));

const DryingWord = ({ record, onChange }: Props) => (
  <Word label="Drying" text={DRYING[record.drying].text}>
    {(close) => (
      <>
        <Choices
          label="How it is dried"
          value={record.drying}
          options={optionsOf(DRYING)}
          onChange={(drying) => {
            onChange((now) => ({ ...now, drying }));
            close();
          }}
        />
        <Labelled label="Heat tools">
          <NumberField
            label="Heat tools"
            value={record.atHand.heatTools}
            min={0}
            max={L.heatTools}
            onValue={(heatTools) => atHandTo(onChange)({ heatTools: Math.round(heatTools) })}
          />
        </Labelled>
      </>
    )}
  </Word>
);

const Labelled = ({ label, children }: { readonly label: string; readonly children: React.ReactNode }) => (
  <div className="flex items-start justify-between gap-3">
    <span className="pt-1">{label}</span>
    {children}
  </div>
);

interface CountWordProps extends Props {
  readonly label: string;
  readonly text: string;
  readonly value: number;
  readonly most: number;
  readonly hint: string;
  readonly set: (count: number) => Partial<SittingRecord['atHand']>;
}

const CountWord = ({ label, text, value, most, hint, set, onChange }: CountWordProps) => (
  <Word label={label} text={text}>
    {() => (
      <>
        <Labelled label={label}>
          <NumberField
            label={label}
            value={value}
            min={0}
            max={most}
            onValue={(count) => atHandTo(onChange)(set(Math.round(count)))}
          />
        </Labelled>
        <p className="text-mute">{hint}</p>
      </>
    )}
  </Word>
);

const PlacesWord = (props: Props) => (
  <CountWord
    {...props}
    label="Panels that can lie drying"
    text={String(props.record.atHand.places)}
    value={props.record.atHand.places}
    most={L.places}
    set={(places) => ({ places })}
    hint="A rack or a board more, and fewer panels have to wait."
  />
);

/** Which words a set of brushes is asked by. */
function BrushesWord({ record: { atHand }, onChange }: Props) {
  const { brushes } = atHand;
  const setOf = (set: string, count: number | undefined) => {
    const { [set]: _, ...others } = brushes;
    atHandTo(onChange)({ brushes: count === undefined ? others : { ...others, [set]: count } });
  };
  const sets: readonly string[] = [
    ...BRUSH_SETS,
    ...BRUSH_SETS.map((set: BrushSet) => `${set}, daubers`),
  ].filter((set, i) => i < BRUSH_SETS.length || set in brushes);
  return (
    <Word label="Brushes" text={tellBrushes(brushes, inWords)}>
      {() => (
        <fieldset className="space-y-2">
          <legend className="mb-1 font-semibold">
            Brushes set out; each holds one colour until it is washed
          </legend>
          {sets.map((set) => (
            <Labelled key={set} label={set}>
              {brushes[set] === undefined ? (
                <Button onClick={() => setOf(set, 3)}>as many as it takes</Button>
              ) : (
                <span className="flex gap-1">
                  <NumberField
                    label={`Brushes for ${set}`}
                    value={brushes[set]}
                    min={0}
                    max={L.brushes}
                    onValue={(count) => setOf(set, Math.round(count))}
                  />
                  <Button
                    look="bare"
                    aria-label={`As many for ${set} as it takes`}
                    onClick={() => setOf(set, undefined)}
                  >
                    ×
                  </Button>
                </span>
              )}
            </Labelled>
          ))}
          <Labelled label="Washing one takes, min">
            <NumberField
              label="Minutes of washing"
              value={atHand.washMinutes}
              min={0}
              max={30}
              onValue={(washMinutes) => atHandTo(onChange)({ washMinutes })}
            />
          </Labelled>
          <Labelled label="and it is damp for, min">
            <NumberField
              label="Minutes damp"
              value={atHand.dampMinutes}
              min={0}
              max={240}
              onValue={(dampMinutes) => atHandTo(onChange)({ dampMinutes })}
            />
          </Labelled>
        </fieldset>
      )}
    </Word>
  );
}

const HandsWord = ({ record: { atHand }, onChange }: Props) => (
  <Word label="Hands" text={atHand.hands === 1 ? 'one pair of hands' : 'two pairs of hands'}>
    {(close) => (
      <Choices<'1' | '2'>
        label="Pairs of hands"
        value={atHand.hands === 1 ? '1' : '2'}
        options={[
          { value: '1', label: 'one pair of hands' },
          {
            value: '2',
            label: 'two pairs of hands',
            hint: 'Each does a panel’s join from its beginning to its end.',
          },
        ]}
        onChange={(hands) => {
          atHandTo(onChange)({ hands: Number(hands) });
          close();
        }}
      />
    )}
  </Word>
);

const WantsWord = ({ record, onChange }: Props) => (
  <Word label="What counts first" text={WANTS[record.wants].text}>
    {(close) => (
      <Choices
        label="What counts first"
        value={record.wants}
        options={optionsOf(WANTS)}
        onChange={(wants) => {
          onChange((now) => ({ ...now, wants }));
          close();
        }}
      />
    )}
  </Word>
);

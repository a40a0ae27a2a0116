import { Fragment, useState } from 'react';
import { readNumber } from '../../core/base/typed';
import {
  describeMood,
  type HueSector,
  MOOD_FIGURE_IDS,
  MOOD_FIGURES,
  MOOD_LIMITS,
  type Mood,
  type MoodFigure,
  type MoodNeed,
} from '../../core/choose/search/moods/mood';
import { HUE_SECTORS } from '../../core/choose/shelf/gaps';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { FormDialog } from '../../ui/FormDialog';
import { NumberField } from '../../ui/NumberField';
import { TypedField } from '../../ui/TypedField';

interface Props {
  readonly mood: Mood;
  readonly onKeep: (mood: Mood) => void;
  readonly onClose: () => void;
}

const ENDS = ['min', 'max'] as const;
const NEED: MoodNeed = { hues: ['green'], chroma: 20, count: 1 };

/** What a mood asks, each thing of it to be changed; empty fields ask nothing. */
export function MoodForm({ mood, onKeep, onClose }: Props) {
  const [now, setNow] = useState(mood);
  const change = (part: Partial<Mood>) => setNow((before) => ({ ...before, ...part }));
  const setNeed = (at: number, part: Partial<MoodNeed>) =>
    change({ needs: now.needs.map((need, i) => (i === at ? { ...need, ...part } : need)) });
  return (
    <FormDialog
      title="A mood or an occasion"
      onClose={onClose}
      onSubmit={(event) => {
        event.preventDefault();
        // What was typed last and refused still stands in its field: nothing is kept over it.
        const refused = event.currentTarget.querySelector<HTMLElement>('[aria-invalid="true"]');
        if (refused) refused.focus();
        else onKeep(now);
      }}
    >
      <p className="flex items-center gap-3 sm:col-span-2">
        <span className="font-semibold">Name</span>
        <TypedField
          label="Name of the mood"
          shown={now.name}
          onCommit={(text) => {
            const name = text.trim();
            if (name === '' || name.length > MOOD_LIMITS.name)
              return `Type a name of 1 to ${MOOD_LIMITS.name} letters.`;
            change({ name });
            return undefined;
          }}
          isWide
        />
      </p>
      <fieldset className="sm:col-span-2">
        <legend className="mb-1 font-semibold">Limits; an empty field asks nothing</legend>
        <div className="grid grid-cols-[1fr_auto_auto] items-center gap-x-2 gap-y-1">
          <span />
          <span className="text-right text-small text-mute">at least</span>
          <span className="text-right text-small text-mute">at most</span>
          {MOOD_FIGURE_IDS.map((figure) => (
            <Fragment key={figure}>
              <span>{MOOD_FIGURES[figure].label}</span>
              {ENDS.map((end) => (
                <LimitField key={end} {...{ figure, end, now, change }} />
              ))}
            </Fragment>
          ))}
        </div>
      </fieldset>
      <HueSet
        legend="Every ink is of these hues, or a grey; none ticked is any"
        hues={now.hues}
        onHues={(hues) => change({ hues })}
      />
      {now.needs.map((need, at) => {
        const place = `need ${at + 1}`;
        return (
          <div key={place} className="border-l-2 border-line pl-3 sm:col-span-2">
            <p className="flex flex-wrap items-center gap-2">
              <NumberField
                label={`How many inks, ${place}`}
                value={need.count}
                min={1}
                max={3}
                onValue={(count) => setNeed(at, { count: Math.round(count) })}
              />
              of the three have chroma
              <NumberField
                label={`Chroma at least, ${place}`}
                value={need.chroma}
                min={0}
                max={MOOD_FIGURES.chroma.max}
                onValue={(chroma) => setNeed(at, { chroma })}
              />
              and up, and one of these hues
              <Button
                look="bare"
                aria-label={`Ask no longer for ${place}`}
                onClick={() => change({ needs: now.needs.filter((_, i) => i !== at) })}
              >
                ×
              </Button>
            </p>
            <HueSet
              legend="These hues"
              hues={need.hues}
              onHues={(hues) => hues.length > 0 && setNeed(at, { hues })}
            />
          </div>
        );
      })}
      <p className="flex flex-wrap items-center gap-4 sm:col-span-2">
        {now.needs.length < MOOD_LIMITS.needs && (
          <Button onClick={() => change({ needs: [...now.needs, NEED] })}>Ask for a hue</Button>
        )}
        <Checkbox
          label="Browns, olives and greys may be in it"
          checked={now.drab}
          onChange={({ target }) => change({ drab: target.checked })}
        />
      </p>
      <p className="text-mute sm:col-span-2">{describeMood(now)}</p>
    </FormDialog>
  );
}

interface LimitProps {
  readonly figure: MoodFigure;
  readonly end: (typeof ENDS)[number];
  readonly now: Mood;
  readonly change: (part: Partial<Mood>) => void;
}

/** One end of what a figure may be. */
function LimitField({ figure, end, now, change }: LimitProps) {
  const { label, min, max } = MOOD_FIGURES[figure];
  const { [figure]: limit = {}, ...others } = now.limits;
  const commit = (text: string): string | undefined => {
    const value = readNumber(text);
    if (text !== '' && (value === undefined || value < min || value > max))
      return `Type a number from ${min} to ${max}, or nothing.`;
    const { [end]: _, ...rest } = limit;
    const next: { readonly min?: number; readonly max?: number } =
      value === undefined ? rest : { ...rest, [end]: value };
    if (next.min !== undefined && next.max !== undefined && next.min > next.max)
      return 'At least must not be more than at most.';
    change({ limits: Object.keys(next).length === 0 ? others : { ...others, [figure]: next } });
    return undefined;
  };
  return (
    <TypedField
      label={`${label}, ${end === 'min' ? 'at least' : 'at most'}`}
      shown={String(limit[end] ?? '')}
      onCommit={commit}
      className="w-16 text-right"
    />
  );
}

interface HueSetProps {
  readonly legend: string;
  readonly hues: readonly HueSector[];
  readonly onHues: (hues: readonly HueSector[]) => void;
}

function HueSet({ legend, hues, onHues }: HueSetProps) {
  return (
    <fieldset className="sm:col-span-2">
      <legend className="mb-1 font-semibold">{legend}</legend>
      <div className="grid grid-cols-2 gap-x-3 gap-y-0.5 sm:grid-cols-4">
        {HUE_SECTORS.map((hue) => (
          <Checkbox
            key={hue}
            label={hue}
            checked={hues.includes(hue)}
            onChange={({ target }) =>
              onHues(target.checked ? [...hues, hue] : hues.filter((other) => other !== hue))
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

import { useState } from 'react';
import { LayOutList } from '../../app/LayOutList';
import { RecipeThumb } from '../../app/panel/RecipeThumb';
import { unbroken } from '../../core/base/words';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { TOOLS } from '../../core/recipe/tools/tools';
import type { Step } from '../../core/sheet/desk';
import { describeMinutes } from '../../core/sheet/times';
import { Button } from '../../ui/Button';
import { InkDot } from '../../ui/InkDot';

interface Props {
  readonly step: Step;
  readonly resolved: ResolvedRecipe;
  readonly number: number;
  readonly onNote: (note: string) => void;
}

/** One step of the sheet, with a note of the maker's own. */
export function StepRow({ step, resolved, number, onNote }: Props) {
  const { id, tool } = resolved.recipe;
  return (
    <li className="grid break-inside-avoid grid-cols-[2rem_3.25rem_1fr_auto] gap-x-3">
      <span className="heading text-right text-xl leading-6 text-mute">{number}</span>
      <span className="print:[zoom:0.5]">
        <RecipeThumb
          resolved={resolved}
          progress={step.after}
          wetness={step.stands}
          within={THUMB}
          label={`After step ${number}`}
        />
      </span>
      <div>
        <h2 className="flex flex-wrap items-center gap-2 text-lead leading-6 font-semibold print:text-base print:leading-5">
          {step.ink && <InkDot ink={step.ink} className="size-4" />}
          {step.title}
          {step.brush && (
            <span className="font-normal text-mute">
              {TOOLS[tool].noun} {step.brush.letter}, {step.brush.label}
            </span>
          )}
        </h2>
        <p className="text-lead print:text-small">{unbroken(step.work)}</p>
        {step.layOut && <LayOutList recipeId={id} things={step.layOut} />}
        {step.care.map((line) => (
          <p key={line} className="text-mute print:mr-1 print:inline">
            {unbroken(line)}
          </p>
        ))}
        <Note title={step.title} note={step.note ?? ''} onNote={onNote} />
      </div>
      <span className="whitespace-nowrap text-mute">{step.minutes ? describeMinutes(step.minutes) : ''}</span>
    </li>
  );
}

/** Room for the picture of a step, px. */
const THUMB = { width: 52, height: 58 } as const;

const LONGEST_NOTE = 1000;

function Note({
  title,
  note,
  onNote,
}: {
  readonly title: string;
  readonly note: string;
  readonly onNote: (note: string) => void;
}) {
  const [writing, setWriting] = useState(false);
  const keep = (text: string) => {
    setWriting(false);
    if (text.trim() !== note) onNote(text.trim());
  };
  if (writing)
    return (
      <textarea
        aria-label={`Note to ${title}`}
        // biome-ignore lint/a11y/noAutofocus: it was asked for by the press before
        autoFocus
        rows={2}
        maxLength={LONGEST_NOTE}
        defaultValue={note}
        onBlur={({ target }) => keep(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setWriting(false);
          if (event.key === 'Enter' && !event.shiftKey) keep(event.currentTarget.value);
        }}
        className="frame mt-1 w-full px-2 py-1"
      />
    );
  return (
    <p className={`mt-0.5 flex items-baseline gap-2 ${note ? '' : 'print:hidden'}`}>
      {note && <em>{note}</em>}
      <Button
        look="bare"
        className="text-mute underline underline-offset-4 print:hidden"
        aria-label={note ? `Change the note to ${title}` : `Add a note to ${title}`}
        onClick={() => setWriting(true)}
      >
        {note ? 'Change' : 'Add a note'}
      </Button>
    </p>
  );
}

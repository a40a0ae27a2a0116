import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { RecipeThumb } from '../../app/panel/RecipeThumb';
import type { Edit } from '../../app/useBench';
import { useMaker } from '../../app/useMaker';
import type { Unit } from '../../core/base/length';
import { firstSentence, unbroken } from '../../core/base/words';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { TOOLS } from '../../core/recipe/tools/tools';
import { compileSheet } from '../../core/sheet/compile';
import type { Step } from '../../core/sheet/desk';
import { describeMinutes } from '../../core/sheet/times';
import { SchoolSelect } from './SchoolSelect';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly edit: Edit;
}

/** The order of work along the foot of the bench, a picture of the panel after each step. */
export const StepsStrip = memo(function StepsStrip({ resolved, unit, edit }: Props) {
  const maker = useMaker();
  const sheet = useMemo(() => compileSheet(resolved, unit, maker), [resolved, unit, maker]);
  const { id } = resolved.recipe;
  return (
    <section
      aria-label="Order of work"
      data-tour="steps"
      className="flex min-w-0 flex-col border-t border-line bg-sheet sm:h-46 sm:flex-row print:h-auto!"
    >
      <div className="flex shrink-0 flex-col gap-1 border-r border-line p-3 sm:w-60">
        <h2 className="heading text-lead">Order of work</h2>
        <p className="text-mute">
          {describeMinutes(sheet.workMinutes)}, and {describeMinutes(sheet.dryMinutes)} of drying
        </p>
        <SchoolSelect resolved={resolved} edit={edit} />
        <p className="mt-auto flex items-center gap-3">
          <Link
            to={`/desk/${id}`}
            className="rounded-[3px] bg-strong px-2.5 py-1.5 font-semibold whitespace-nowrap text-on-strong max-sm:py-3"
          >
            Step by step
          </Link>
          <Link
            to={`/sheet/${id}`}
            className="py-1.5 whitespace-nowrap underline underline-offset-4 max-sm:py-3"
          >
            Full sheet
          </Link>
        </p>
      </div>
      <ol
        aria-label="Steps"
        className="flex min-w-0 flex-1 overflow-x-auto overflow-y-hidden focus-visible:outline-offset-[-3px] print:flex-wrap print:overflow-visible"
      >
        {sheet.steps.map((step, i) => (
          <li
            key={step.key}
            className="w-65 shrink-0 grow border-r border-line last:border-r-0 2xl:w-48 print:break-inside-avoid"
          >
            <Frame {...{ resolved, step }} number={i + 1} />
          </li>
        ))}
      </ol>
    </section>
  );
});

/** Room for the picture of a step, px. */
const FRAME = { width: 62, height: 72 } as const;

interface FrameProps {
  readonly resolved: ResolvedRecipe;
  readonly step: Step;
  readonly number: number;
}

/** One step: the panel as it stands once it is done, and what it takes; it opens the desk view there. */
function Frame({ resolved, step, number }: FrameProps) {
  const { title, work, brush, minutes, note, after, stands } = step;
  const tool = brush && `${TOOLS[resolved.recipe.tool].noun} ${brush.letter}`;
  return (
    <Link
      to={`/desk/${resolved.recipe.id}?step=${encodeURIComponent(step.key)}`}
      title={work}
      className="flex h-full flex-col gap-1.5 p-2.5 hover:bg-field focus-visible:outline-offset-[-3px]"
    >
      <span className="flex gap-2">
        <RecipeThumb resolved={resolved} progress={after} wetness={stands} within={FRAME} />
        <span className="min-w-0 text-small leading-snug">
          <span className="block font-semibold">
            {number} {title}
          </span>
          <span className="block text-mute">{tool}</span>
          <span className="block text-mute">{minutes && describeMinutes(minutes)}</span>
        </span>
      </span>
      <span className="line-clamp-4 text-small leading-snug">
        {note ? <em>{note}</em> : unbroken(firstSentence(work))}
      </span>
    </Link>
  );
}

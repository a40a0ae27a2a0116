import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import type { Edit } from '../../app/useBench';
import { useMaker } from '../../app/useMaker';
import type { Unit } from '../../core/base/length';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { TOOLS } from '../../core/recipe/tools/tools';
import { compileSheet } from '../../core/sheet/compile';
import { describeMinutes } from '../../core/sheet/times';
import { SchoolSelect } from './SchoolSelect';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly edit: Edit;
}

/** The order of work along the foot of the bench. */
export const StepsStrip = memo(function StepsStrip({ resolved, unit, edit }: Props) {
  const maker = useMaker();
  const sheet = useMemo(() => compileSheet(resolved, unit, maker), [resolved, unit, maker]);
  return (
    <section
      aria-label="Order of work"
      data-tour="steps"
      className="flex min-w-0 flex-col border-t border-line bg-sheet sm:flex-row"
    >
      <div className="flex shrink-0 flex-col justify-between gap-1 border-r border-line p-3 sm:w-46">
        <div>
          <h2 className="heading text-section">Order of work</h2>
          <p className="text-mute">
            {describeMinutes(sheet.workMinutes)}, then dry {describeMinutes(sheet.dryMinutes)}
          </p>
          <SchoolSelect resolved={resolved} edit={edit} />
        </div>
        <p className="flex gap-3">
          <Link to={`/sheet/${resolved.recipe.id}`} className="font-semibold underline underline-offset-4">
            Full sheet
          </Link>
          <Link to={`/desk/${resolved.recipe.id}`} className="font-semibold underline underline-offset-4">
            Step by step
          </Link>
        </p>
      </div>
      <ol
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
        tabIndex={0}
        aria-label="Steps"
        className="flex max-h-42 min-w-0 flex-1 overflow-auto focus-visible:outline-offset-[-3px]"
      >
        {sheet.steps.map((step, i) => (
          <li key={step.key} className="w-35 shrink-0 grow border-r border-line p-3 last:border-r-0">
            <p className="flex items-baseline gap-1.5 font-semibold">
              <span className="text-mute">{i + 1}</span>
              <span className="leading-snug">{step.title}</span>
            </p>
            <p className="line-clamp-6 text-small leading-snug">{step.work}</p>
            {step.note && <p className="text-small leading-snug italic">{step.note}</p>}
            <p className="text-small text-mute">
              {step.brush && `${TOOLS[resolved.recipe.tool].noun} ${step.brush.letter}`}
              {step.brush && step.minutes && ' · '}
              {step.minutes && describeMinutes(step.minutes)}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
});

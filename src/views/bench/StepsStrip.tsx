import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import type { Kit } from '../../core/ladder/recipe';
import type { Unit } from '../../core/panel/measure';
import { compileSheet } from '../../core/sheet/compile';
import { tellMinutes } from '../../core/sheet/times';

interface Props {
  readonly kit: Kit;
  readonly unit: Unit;
}

/** The order of work along the foot of the bench. */
export const StepsStrip = memo(function StepsStrip({ kit, unit }: Props) {
  const sheet = useMemo(() => compileSheet(kit, unit), [kit, unit]);
  return (
    <section aria-label="Order of work" className="flex min-w-0 border-t border-line bg-sheet">
      <div className="flex w-36 shrink-0 flex-col justify-between border-r border-line p-3">
        <div>
          <h2 className="heading text-[15px]">Order of work</h2>
          <p className="text-mute">
            {tellMinutes(sheet.workMinutes)}, then dry {tellMinutes(sheet.dryMinutes)}
          </p>
        </div>
        <Link to={`/sheet/${kit.recipe.id}`} className="font-semibold underline underline-offset-4">
          Full sheet
        </Link>
      </div>
      <ol
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
        tabIndex={0}
        aria-label="Steps"
        className="flex min-w-0 flex-1 overflow-x-auto focus-visible:outline-offset-[-3px]"
      >
        {sheet.steps.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a step's number is its identity
          <li key={i} className="w-35 shrink-0 grow border-r border-line p-3 last:border-r-0">
            <p className="flex items-baseline gap-1.5 font-semibold">
              <span className="text-mute">{i + 1}</span>
              <span className="leading-snug">{step.title}</span>
            </p>
            <p className="text-[12px] leading-snug">{step.work}</p>
            <p className="text-[12px] text-mute">
              {step.brush && `brush ${step.brush.letter}`}
              {step.brush && step.minutes && ' · '}
              {step.minutes && tellMinutes(step.minutes)}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
});

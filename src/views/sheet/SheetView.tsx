import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import type { Kit } from '../../core/ladder/recipe';
import { overlaps } from '../../core/ladder/recipe';
import { formatBare, formatLength, type Unit } from '../../core/panel/measure';
import { RUNS } from '../../core/run/run';
import { compileSheet, type Step } from '../../core/sheet/compile';
import { SCHOOLS } from '../../core/sheet/schools';
import { tellMinutes } from '../../core/sheet/times';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { useKit } from '../bench/useBench';
import { PanelPicture } from '../panel/PanelPicture';
import { useOpenRecipe } from '../recipes/useOpenRecipe';
import { useShelf } from '../session';

/** The whole order of work, for the desk and for the printer. */
export function SheetView() {
  const { recipeId } = useParams();
  const shelf = useShelf();
  const missing = useOpenRecipe(recipeId);
  const kit = useKit(shelf);
  const unit = useAppSelector(({ view }) => view.unit);
  if (missing)
    return (
      <main className="p-8">
        <h1 className="heading text-xl">This recipe is not here</h1>
        <Link to="/recipes" className="font-semibold underline underline-offset-4">
          Go to all recipes
        </Link>
      </main>
    );
  if (kit?.recipe.id !== recipeId || !kit) return <p className="p-6 text-mute">Compiling the sheet …</p>;
  return <SheetPage kit={kit} unit={unit} />;
}

function SheetPage({ kit, unit }: { readonly kit: Kit; readonly unit: Unit }) {
  const sheet = useMemo(() => compileSheet(kit, unit), [kit, unit]);
  const { recipe, card } = kit;
  const school = SCHOOLS[recipe.school];
  return (
    <main className="min-h-0 flex-1 overflow-y-auto p-6 print:overflow-visible print:p-0">
      <article className="mx-auto max-w-4xl bg-sheet px-8 py-7 print:max-w-none print:p-0">
        <header className="mb-6 flex flex-wrap items-start gap-4 border-b-2 border-text pb-4 print:mb-4 print:flex-nowrap print:pb-2">
          <div className="mr-auto min-w-0">
            <h1 className="heading text-2xl leading-tight">{recipe.name}</h1>
            <p className="mt-1">
              {formatBare(recipe.panel.width, unit)} × {formatLength(recipe.panel.height, unit)} of{' '}
              {card.name}
            </p>
            <p className="text-mute">
              {school.label}. {school.reason}
            </p>
          </div>
          <p className="shrink-0 text-right">
            <span className="block text-lg font-semibold">{tellMinutes(sheet.workMinutes)} at the desk</span>
            <span className="text-mute">then dry {tellMinutes(sheet.dryMinutes)} in air</span>
          </p>
          <div className="flex gap-2 print:hidden">
            <Link to={`/bench/${recipe.id}`} className="frame px-2.5 py-1">
              Back to the bench
            </Link>
            <Button look="strong" onClick={() => window.print()}>
              Print
            </Button>
          </div>
        </header>
        <div className="grid gap-8 sm:grid-cols-[1fr_auto] print:gap-4 print:text-[12px] print:grid-cols-[1fr_auto]">
          <ol className="space-y-4 print:space-y-2">
            {sheet.steps.map((step, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a step's number is its identity
              <StepRow key={i} step={step} number={i + 1} />
            ))}
          </ol>
          <MarkedPanel kit={kit} unit={unit} />
        </div>
        <footer className="mt-6 break-inside-avoid space-y-2 print:mt-3 border-t border-line pt-4">
          {sheet.cautions.map((caution) => (
            <p key={caution}>
              <strong>Take care.</strong> {caution}
            </p>
          ))}
        </footer>
      </article>
    </main>
  );
}

function StepRow({ step, number }: { readonly step: Step; readonly number: number }) {
  return (
    <li className="grid break-inside-avoid grid-cols-[2rem_1fr_auto] gap-x-3">
      <span className="heading text-right text-xl leading-6 text-mute">{number}</span>
      <div>
        <h2 className="flex items-center gap-2 text-[15px] leading-6 font-semibold">
          {step.ink && (
            <span
              aria-hidden="true"
              className="size-4 rounded-full border border-black/40 [print-color-adjust:exact]"
              style={{ backgroundColor: step.ink.overWhite }}
            />
          )}
          {step.title}
          {step.brush && (
            <span className="font-normal text-mute">
              brush {step.brush.letter}, {step.brush.label}
            </span>
          )}
        </h2>
        <p className="text-[14px]">{step.work}</p>
        {step.care.map((line) => (
          <p key={line} className="text-mute">
            {line}
          </p>
        ))}
      </div>
      <span className="whitespace-nowrap text-mute">{step.minutes ? tellMinutes(step.minutes) : ''}</span>
    </li>
  );
}

const PICTURE_WIDTH = 190;

/** The dried panel with its marks written beside it. */
function MarkedPanel({ kit, unit }: { readonly kit: Kit; readonly unit: Unit }) {
  const { recipe } = kit;
  const run = RUNS[recipe.run];
  const height = Math.round((PICTURE_WIDTH * recipe.panel.height) / recipe.panel.width);
  const marks = overlaps(recipe).flatMap(({ start, end }) => [start, end]);
  return (
    <figure className="pr-14 [print-color-adjust:exact]">
      <div className="relative" style={{ width: PICTURE_WIDTH, height }}>
        <PanelPicture kit={kit} wetness="dry" width={PICTURE_WIDTH} height={height} label="The dried panel" />
        {marks.map((along) => (
          <span
            key={along}
            className="absolute left-full ml-1 flex -translate-y-1/2 items-center gap-1 whitespace-nowrap"
            style={{ top: (along / recipe.panel.height) * height }}
          >
            <span className="h-px w-3 bg-text" />
            {formatBare(run.markOf(recipe.panel, along), unit)}
          </span>
        ))}
      </div>
      <figcaption className="mt-2 text-mute">
        Dried; marks in {unit} {run.measuredFrom}
      </figcaption>
    </figure>
  );
}

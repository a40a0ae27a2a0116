import { useMemo } from 'react';
import { Link } from 'react-router';
import { type Command, useCommands } from '../../app/commands';
import { download } from '../../app/download';
import { useBeforehand } from '../../app/log/useBeforehand';
import { PanelPicture } from '../../app/panel/PanelPicture';
import { usePrint } from '../../app/panel/printing';
import { WithRecipe } from '../../app/recipes/WithRecipe';
import { useEdit } from '../../app/useBench';
import { useMaker } from '../../app/useMaker';
import { usePaperWork } from '../../app/usePaperWork';
import { formatBare, formatLength, type Unit } from '../../core/base/length';
import { fileNameOf } from '../../core/base/names';
import { spread } from '../../core/base/spread';
import { unbroken } from '../../core/base/words';
import { bandsOf } from '../../core/recipe/recipe';
import { otherCard, type ResolvedRecipe } from '../../core/recipe/resolved';
import type { BandGeometry } from '../../core/recipe/runs/definition';
import { compileSheet } from '../../core/sheet/compile';
import type { GivenMark } from '../../core/sheet/measuredWords';
import { givenMarks } from '../../core/sheet/measures';
import { schoolOf } from '../../core/sheet/schoolChoice';
import { shareCare } from '../../core/sheet/sharedCare';
import { describeMinutes } from '../../core/sheet/times';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { StepRow } from './StepRow';
import { StrayNotes } from './StrayNotes';

/** The whole order of work, for the desk and for the printer. */
export function SheetView() {
  const unit = useAppSelector(({ view }) => view.unit);
  return (
    <WithRecipe waiting="Compiling the sheet …">
      {(resolved) => <SheetPage resolved={resolved} unit={unit} />}
    </WithRecipe>
  );
}

function SheetPage({ resolved, unit }: { readonly resolved: ResolvedRecipe; readonly unit: Unit }) {
  const print = usePrint();
  useCommands(
    useMemo(
      (): readonly Command[] => [
        {
          id: 'print',
          label: 'Print the sheet',
          also: 'paper',
          group: 'Sheet',
          key: 'p',
          run: () => void print(),
        },
      ],
      [print],
    ),
  );
  const maker = useMaker();
  const sheet = useMemo(() => compileSheet(resolved, unit, maker), [resolved, unit, maker]);
  const { shared, steps } = useMemo(() => shareCare(sheet.steps), [sheet]);
  const paper = useAppSelector(({ view }) => view.paper);
  const { edit } = useEdit();
  const before = useBeforehand(resolved);
  const { recipe, card } = resolved;
  const school = schoolOf(resolved);
  const other = otherCard(resolved);
  const setNote = (key: string, note: string) =>
    edit((current) => {
      const { [key]: _, ...others } = current.notes ?? {};
      return { ...current, notes: note ? { ...others, [key]: note } : others };
    });
  return (
    <main
      className={`min-h-0 flex-1 overflow-y-auto p-6 max-sm:p-2 print:overflow-visible print:p-0 ${PAGE[paper]}`}
    >
      <PageTitle of={`${recipe.name}, the sheet`} />
      <article className="mx-auto max-w-4xl bg-sheet px-8 py-7 print:max-w-none print:p-0">
        <header className="mb-6 flex flex-wrap items-start gap-4 border-b-2 border-text pb-4 print:mb-2 print:flex-nowrap print:pb-1">
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
            <span className="block text-lg font-semibold">
              {describeMinutes(sheet.workMinutes)} at the desk
            </span>
            <span className="text-mute">and {describeMinutes(sheet.dryMinutes)} of drying</span>
          </p>
          <div className="flex flex-wrap gap-2 print:hidden">
            <Link to={`/bench/${recipe.id}`} className="frame px-2.5 py-1">
              Back to the bench
            </Link>
            <Link to={`/desk/${recipe.id}`} className="frame px-2.5 py-1">
              Step by step
            </Link>
            <PdfButton resolved={resolved} unit={unit} />
            <Button look="strong" onClick={() => void print()}>
              Print
            </Button>
          </div>
        </header>
        {shared.map(({ when, lines }) => (
          <p key={when} className="colour-name mb-3 text-lead print:mb-1 print:text-small">
            <strong>{when}.</strong> {unbroken(lines.join(' '))}
          </p>
        ))}
        {before.map((line) => (
          <p key={line} className="mb-4 border-l-4 border-text pl-3">
            <strong>Before you begin.</strong> {line}
          </p>
        ))}
        {sheet.remarks.map((remark) => (
          <p key={remark} className="mb-4 border-l-4 border-text pl-3">
            <strong>Mind.</strong> {remark}
          </p>
        ))}
        <div className="grid gap-8 sm:grid-cols-[1fr_auto] print:block print:text-small print:leading-tight">
          <div className="space-y-5 sm:order-last print:float-right print:ml-4">
            <MarkedPanel resolved={resolved} unit={unit} />
            {other && <MarkedPanel resolved={{ ...resolved, card: other }} unit={unit} />}
            <Cautions told={sheet.cautions} />
          </div>
          <ol className="space-y-4 print:space-y-1">
            {steps.map((step, i) => (
              <StepRow
                key={step.key}
                step={step}
                resolved={resolved}
                number={i + 1}
                onNote={(note) => setNote(step.key, note)}
              />
            ))}
          </ol>
        </div>
        <StrayNotes notes={sheet.strayNotes} onTakeOff={(key) => setNote(key, '')} />
        {/* On paper there is room to write. */}
        <section aria-hidden="true" className="mt-2 hidden break-inside-avoid print:block">
          <p className="font-semibold">Notes</p>
          {['one', 'two', 'three'].map((line) => (
            <p key={line} className="h-6 border-b border-line" />
          ))}
        </section>
      </article>
    </main>
  );
}

/** What can hurt, beside the first steps: read before the work, not after it. */
function Cautions({ told }: { readonly told: readonly string[] }) {
  if (told.length === 0) return null;
  return (
    <section aria-label="Cautions" className="max-w-60 space-y-2 border-t border-line pt-2 print:space-y-1">
      {told.map((caution) => (
        <p key={caution}>
          <strong>Take care.</strong> {caution}
        </p>
      ))}
    </section>
  );
}

/** How the pages of a printed sheet are called, by the paper chosen; index.css gives them their sizes. */
const PAGE = { A4: 'page-a4', Letter: 'page-letter' } as const;

/** The sheet as a PDF with the panel at true size, on the paper of the desk settings. */
function PdfButton({ resolved, unit }: { readonly resolved: ResolvedRecipe; readonly unit: Unit }) {
  const maker = useMaker();
  const paper = useAppSelector(({ view }) => view.paper);
  const { make, progress } = usePaperWork(
    'Making the PDF',
    'The PDF could not be made. Reload the page and try again; the recipe is saved.',
  );
  const begin = () =>
    make(async (worker, onProgress) =>
      download(
        `${fileNameOf(resolved.recipe.name)}.pdf`,
        'application/pdf',
        await worker.pdf(resolved, unit, maker, paper, onProgress),
      ),
    );
  return (
    progress ?? (
      <Button title={`On ${paper}; Desk settings change it`} onClick={() => void begin()}>
        PDF, true size
      </Button>
    )
  );
}

const PICTURE_WIDTH = 190;
/** Names of marks stand so far apart, px: a line of them. */
const LINE_OF_TEXT = 17;

/** Where marks are named beside the picture or on it, px from its top left, moved apart where they are nearer than a line. */
function labelled(
  marks: readonly GivenMark[],
  lie: BandGeometry,
  scale: number,
  height: number,
): readonly (GivenMark & { readonly at: number; readonly top: number; readonly left: number })[] {
  const placed = marks
    .map((mark) => ({
      ...mark,
      at: lie.handleAt(mark.along).y * scale,
      left: lie.handleAt(mark.along).x * scale,
    }))
    .toSorted((p, q) => p.at - q.at);
  const tops = spread(
    placed.map(({ at }) => at),
    LINE_OF_TEXT,
    [0, height],
  );
  return placed.map((mark, i) => ({ ...mark, top: tops[i] ?? mark.at }));
}

/** The dried panel with its marks written beside it. */
function MarkedPanel({ resolved, unit }: { readonly resolved: ResolvedRecipe; readonly unit: Unit }) {
  const { recipe } = resolved;
  const lie = bandsOf(recipe);
  const height = Math.round((PICTURE_WIDTH * recipe.panel.height) / recipe.panel.width);
  const scale = PICTURE_WIDTH / recipe.panel.width;
  const level = lie?.isHorizontal && lie.toward.x === 0;
  const marks = lie ? givenMarks(recipe, lie, unit) : [];
  const told = lie ? labelled(marks, lie, scale, height) : [];
  return (
    <figure className="pr-14 [print-color-adjust:exact]">
      <div className="relative" style={{ width: PICTURE_WIDTH, height }}>
        <PanelPicture
          resolved={resolved}
          wetness="dry"
          width={PICTURE_WIDTH}
          height={height}
          label="The dried panel"
        />
        {lie && !level && (
          <svg
            aria-hidden="true"
            viewBox={`0 0 ${recipe.panel.width} ${recipe.panel.height}`}
            className="absolute inset-0 size-full overflow-hidden"
          >
            {marks.map(({ along }) => (
              <path
                key={along}
                d={lie.trace(along)}
                className="fill-none"
                stroke="#000"
                strokeWidth={0.4}
                strokeDasharray="1.5 1.5"
              />
            ))}
          </svg>
        )}
        {told.map(({ along, name, left, top, at }) => (
          <span key={along}>
            {level && <span className="absolute left-full ml-1 h-px w-3 bg-text" style={{ top: at }} />}
            <span
              className={`absolute -translate-y-1/2 whitespace-nowrap ${level ? 'left-full ml-5' : 'bg-white/80 px-0.5 text-small text-black'}`}
              style={{ top, ...(level ? {} : { left }) }}
            >
              {name}
            </span>
          </span>
        ))}
      </div>
      <figcaption className="mt-2 max-w-48 text-mute">
        {unbroken(`On ${resolved.card.name}, dried`)}
        {level ? `; marks in ${unit} from the foot` : lie ? '; its marks by their names' : ''}
      </figcaption>
    </figure>
  );
}

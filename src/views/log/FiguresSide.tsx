import { format, parseISO } from 'date-fns';
import { useMemo } from 'react';
import { useShelf } from '../../app/session';
import { useAnswer } from '../../app/useAnswer';
import { counted } from '../../core/base/words';
import type { LogFigures } from '../../core/keep/figures/figures';
import type { MadePanel } from '../../core/keep/log/made';
import { Chart } from '../../ui/chart/Chart';
import { InkDot } from '../../ui/InkDot';
import { logWorker } from '../../workers/client';

const MOST_USED = 12;
/** So many months have room, so that a first one is no block. */
const FEWEST_MONTHS = 6;
const SIZE = { width: 420, height: 180 } as const;

/** The log in figures: trios, inks, months, and how near predictions came. */
export default function FiguresSide({ panels }: { readonly panels: readonly MadePanel[] }) {
  const shelf = useShelf();
  const figures = useAnswer(
    useMemo(() => (shelf ? () => logWorker().figures(panels, shelf.inks) : undefined), [panels, shelf]),
  );
  if (panels.length === 0)
    return <p className="max-w-md p-6">Nothing is logged yet, so there is nothing to count.</p>;
  if (!figures) return <p className="p-6 text-mute">Counting …</p>;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 content-start gap-x-10 gap-y-8 overflow-y-auto p-4 lg:grid-cols-2">
      <Section title="Trios made">
        <p className="max-w-md">
          {figures.trios.made} of the {figures.trios.possible.toLocaleString('en')} that the inks you own can
          make, on {counted(figures.panels, 'panel')}.
        </p>
      </Section>
      <Months figures={figures} />
      <InkUse figures={figures} />
      <Errors figures={figures} />
    </div>
  );
}

const Section = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <section aria-label={title}>
    <h2 className="heading mb-2">{title}</h2>
    {children}
  </section>
);

/** A month, `2026-05`, as a chart has room for it: `May 2026`. */
const tellMonth = (month: string): string => (month ? format(parseISO(month), 'MMM yyyy') : '');

function Months({ figures: { months } }: { readonly figures: LogFigures }) {
  const most = Math.max(1, ...months.map(({ panels }) => panels));
  const ends = [0, months.length - 1].filter((at, i, all) => at >= 0 && all.indexOf(at) === i);
  return (
    <Section title="Panels a month">
      <Chart
        label={`Panels a month: ${months.map(({ month, panels }) => `${tellMonth(month)} ${panels}`).join(', ')}`}
        {...SIZE}
        x={{
          label: 'month',
          domain: [-0.5, Math.max(months.length, FEWEST_MONTHS) - 0.5],
          ticks: ends,
          told: (at) => tellMonth(months[at]?.month ?? ''),
        }}
        y={{ label: '', domain: [most, 0], ticks: [0, most] }}
      >
        {({ x, y }) =>
          months.map(({ month, panels }, at) => (
            <rect
              key={month}
              x={x(at - 0.35)}
              width={x(at + 0.35) - x(at - 0.35)}
              y={y(panels)}
              height={y(0) - y(panels)}
              className="fill-text"
            />
          ))
        }
      </Chart>
    </Section>
  );
}

function InkUse({ figures: { inks } }: { readonly figures: LogFigures }) {
  const used = inks.filter(({ panels }) => panels > 0);
  const never = inks.filter(({ panels }) => panels === 0);
  const most = used[0]?.panels ?? 1;
  return (
    <Section title="Inks by use">
      <ul aria-label="Inks used most" className="max-w-md space-y-1">
        {used.slice(0, MOST_USED).map(({ ink, panels }) => (
          <li key={ink.id} className="grid grid-cols-[1.25rem_9rem_1fr_2rem] items-center gap-2">
            <InkDot ink={ink} className="size-4" />
            <span className="truncate">{ink.name}</span>
            <span
              className="block h-2 bg-text [print-color-adjust:exact]"
              style={{ width: `${(100 * panels) / most}%` }}
            />
            <span className="text-right tabular-nums">{panels}</span>
          </li>
        ))}
      </ul>
      {never.length > 0 && (
        <details className="mt-2">
          <summary>{counted(never.length, 'ink')} never used</summary>
          <p className="max-w-md text-mute">{never.map(({ ink }) => ink.name).join(', ')}</p>
        </details>
      )}
    </Section>
  );
}

function Errors({ figures: { errors } }: { readonly figures: LogFigures }) {
  const most = Math.max(4, ...errors.map(({ median }) => median));
  return (
    <Section title="How far predictions were off">
      {errors.length < 2 ? (
        <p className="max-w-md">
          Read two panels or more: how near each came to its prediction is then drawn here.
        </p>
      ) : (
        <Chart
          label={`Median difference of each panel from its prediction when it was made: ${errors.map(({ number, median }) => `No ${number} ${median.toFixed(1)}`).join(', ')}`}
          {...SIZE}
          x={{
            label: 'panel',
            domain: [(errors[0]?.number ?? 1) - 0.5, (errors.at(-1)?.number ?? 1) + 0.5],
            ticks: [errors[0]?.number ?? 1, errors.at(-1)?.number ?? 1],
            told: (number) => `No ${number}`,
          }}
          y={{ label: 'ΔE00', domain: [Math.ceil(most), 0], ticks: [0, Math.ceil(most)] }}
        >
          {({ x, y }) => (
            <>
              <polyline
                points={errors.map(({ number, median }) => `${x(number)},${y(median)}`).join(' ')}
                className="fill-none stroke-mute"
              />
              {errors.map(({ number, median }) => (
                <circle key={number} cx={x(number)} cy={y(median)} r={3} className="fill-text" />
              ))}
            </>
          )}
        </Chart>
      )}
    </Section>
  );
}

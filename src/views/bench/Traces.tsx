import { DashedPaths } from '../../app/panel/DashedPaths';
import type { Size } from '../../core/base/geometry';
import { formatBare, type Millimetres, MM_AN_INCH, type Unit } from '../../core/base/length';
import { PASS_KINDS } from '../../core/recipe/passes/passes';
import { type bandsOf, jointSpans, passesInOrder } from '../../core/recipe/recipe';
import { placedPasses, type ResolvedRecipe } from '../../core/recipe/resolved';
import type { BandGeometry } from '../../core/recipe/runs/definition';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly bands: ReturnType<typeof bandsOf>;
  readonly unit: Unit;
  /** The pass in hand, by its id. */
  readonly selected: string | undefined;
}

/** The borders of bands, of what frames them and of the pass in hand, and a rule along the run; shown while the panel is pointed at. */
export function Traces({ resolved, bands, unit, selected }: Props) {
  const { panel } = resolved.recipe;
  const paths = [
    ...(bands
      ? jointSpans(resolved.recipe).flatMap(({ start, end }) => [bands.trace(start), bands.trace(end)])
      : []),
    ...passesInOrder(resolved.recipe)
      .filter(({ id, kind }) => id === selected || PASS_KINDS[kind].design === undefined)
      .flatMap((pass) => placedPasses(resolved, pass).flatMap(({ traces }) => traces)),
  ];
  const thin = panel.height / 520;
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 ${panel.width} ${panel.height}`}
      className="pointer-events-none absolute inset-0 size-full overflow-hidden opacity-0 transition-opacity group-focus-within/board:opacity-100 group-hover/board:opacity-100"
    >
      <DashedPaths paths={paths} thin={thin} />
      {bands && !(bands.isHorizontal && bands.toward.x === 0) && (
        <RunRule bands={bands} panel={panel} unit={unit} thin={thin} />
      )}
    </svg>
  );
}

/** Where a rule along the run goes, and the point of a figure on it; for upright bands along the top, as they are measured. */
function ruleOf(bands: BandGeometry, { width }: Size, inset: Millimetres) {
  const { length, handleAt, bordersAre } = bands;
  return bordersAre
    ? { length, pointOf: handleAt, figureIs: 'beside' }
    : { length: width, pointOf: (at: Millimetres) => ({ x: at, y: inset }), figureIs: 'below' };
}

/** Ticks along the run from where it is measured, a figure at every other one. */
function RunRule({
  bands,
  panel,
  unit,
  thin,
}: {
  readonly bands: BandGeometry;
  readonly panel: Size;
  readonly unit: Unit;
  readonly thin: number;
}) {
  const size = thin * 11;
  const { length, pointOf, figureIs } = ruleOf(bands, panel, size);
  const every = unit === 'mm' ? 10 : MM_AN_INCH / 2;
  const ticks = Array.from({ length: Math.floor(length / every) + 1 }, (_, i) => i * every);
  const [from, to] = [pointOf(0), pointOf(length)];
  return (
    <g stroke="#000" strokeWidth={thin}>
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke="#fff"
        strokeWidth={thin * 3}
        strokeOpacity={0.7}
      />
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
      {ticks.map((at, i) => {
        const { x, y } = pointOf(at);
        return (
          <g key={at}>
            <circle cx={x} cy={y} r={thin * 2} fill="#fff" />
            {i % 2 === 0 && i > 0 && (
              <text
                x={figureIs === 'beside' ? x + size : x}
                y={figureIs === 'beside' ? y : y + 1.4 * size}
                dy="0.32em"
                textAnchor={figureIs === 'beside' ? 'start' : 'middle'}
                fontSize={size}
                fill="#000"
                stroke="#fff"
                strokeWidth={thin * 3}
                paintOrder="stroke"
              >
                {formatBare(at, unit)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

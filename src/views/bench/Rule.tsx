import { memo } from 'react';
import { type Millimetres, ruleStep, type Unit } from '../../core/base/length';
import { besideText } from '../../ui/besideText';

interface Props {
  readonly length: Millimetres;
  readonly unit: Unit;
  /** Height on the screen, px. */
  readonly height: number;
}

/** Ticks of a rule, and how many steps lie between those that get a figure: the fewest that figures have room for. */
const RULES = {
  mm: {
    step: 1,
    sizes: [
      [10, 16],
      [5, 11],
      [1, 6],
    ],
    every: [20, 50, 100],
    figure: (k: number) => String(k),
  },
  in: {
    step: ruleStep('in'),
    sizes: [
      [16, 16],
      [8, 12],
      [4, 9],
      [1, 5],
    ],
    every: [16, 32, 64],
    figure: (k: number) => String(k / 16),
  },
} as const;

/** How long the longest tick is, with the gap to its figure; and the room of a figure, px of usual text. */
const [TICK, FIGURE] = [20, { width: 24, height: 18 }];
/** How wide a rule is, px. */
export const ruleWidth = (): number => TICK + besideText(FIGURE.width);

/** Ticks nearer than this on the screen are left out. */
const LEAST_GAP = 3;

/** A rule along the panel, 0 at its foot. */
export const Rule = memo(function Rule({ length, unit, height }: Props) {
  const { step, sizes, every, figure } = RULES[unit];
  const [scale, width] = [height / length, ruleWidth()];
  const figured =
    every.find((k) => k * step * scale >= besideText(FIGURE.height)) ?? Number.POSITIVE_INFINITY;
  const ticks = Array.from({ length: Math.floor(length / step + 1e-6) + 1 }, (_, k) => k);
  const shown = sizes.filter(([every]) => every * step * scale >= LEAST_GAP);
  return (
    <svg aria-hidden="true" width={width} height={height} className="shrink-0 overflow-visible">
      {ticks.map((k) => {
        const size = shown.find(([every]) => k % every === 0)?.[1];
        if (!size) return null;
        const y = height - k * step * scale;
        return (
          <g key={k}>
            <line
              x1={width - size}
              x2={width}
              y1={y}
              y2={y}
              className="stroke-text"
              strokeWidth={k % sizes[0][0] === 0 ? 1.2 : 0.7}
            />
            {k % figured === 0 && (
              <text
                x={width - size - 4}
                y={y}
                dy={k === 0 ? 0 : '0.32em'}
                textAnchor="end"
                className="fill-text text-small"
              >
                {figure(k)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
});

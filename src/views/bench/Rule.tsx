import { memo } from 'react';
import { type Millimetres, ruleStep, type Unit } from '../../core/base/length';

interface Props {
  readonly length: Millimetres;
  readonly unit: Unit;
  /** Height on the screen, px. */
  readonly height: number;
}

/** Ticks of a rule in mm and the longest of them get a figure. */
const RULES = {
  mm: {
    step: 1,
    sizes: [
      [10, 16],
      [5, 11],
      [1, 6],
    ],
    figure: (k: number) => (k % 20 === 0 ? String(k) : ''),
  },
  in: {
    step: ruleStep('in'),
    sizes: [
      [16, 16],
      [8, 12],
      [4, 9],
      [1, 5],
    ],
    figure: (k: number) => (k % 16 === 0 ? String(k / 16) : ''),
  },
} as const;

const WIDTH = 40;
/** Ticks nearer than this on the screen are left out. */
const LEAST_GAP = 3;

/** A rule along the panel, 0 at its foot. */
export const Rule = memo(function Rule({ length, unit, height }: Props) {
  const { step, sizes, figure } = RULES[unit];
  const scale = height / length;
  const ticks = Array.from({ length: Math.floor(length / step + 1e-6) + 1 }, (_, k) => k);
  const shown = sizes.filter(([every]) => every * step * scale >= LEAST_GAP);
  return (
    <svg aria-hidden="true" width={WIDTH} height={height} className="shrink-0 overflow-visible">
      {ticks.map((k) => {
        const size = shown.find(([every]) => k % every === 0)?.[1];
        if (!size) return null;
        const y = height - k * step * scale;
        return (
          <g key={k}>
            <line
              x1={WIDTH - size}
              x2={WIDTH}
              y1={y}
              y2={y}
              className="stroke-text"
              strokeWidth={k % sizes[0][0] === 0 ? 1.2 : 0.7}
            />
            {figure(k) && (
              <text
                x={WIDTH - size - 4}
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

import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { ReactNode } from 'react';

/** One axis of a chart. */
export interface Axis {
  /** What it measures, with its unit. */
  readonly label: string;
  /** From where it begins to where it ends: left to right, or top to foot. */
  readonly domain: readonly [number, number];
  readonly ticks: readonly number[];
  readonly told?: (value: number) => string;
}

/** Where a value stands in the chart, px. */
export interface Places {
  readonly x: (value: number) => number;
  readonly y: (value: number) => number;
}

interface Props {
  /** What the chart shows, in a sentence: for whoever does not see it. */
  readonly label: string;
  readonly x: Axis;
  readonly y: Axis;
  readonly width: number;
  readonly height: number;
  readonly children: (at: Places) => ReactNode;
}

/** Room for what the axes say, px. */
const EDGE = { left: 32, right: 8, top: 6, foot: 34 } as const;

/** A plain chart: two axes with a few ticks, and what is drawn between them. */
export function Chart({ label, x, y, width, height, children }: Props) {
  const acrossTo = scaleLinear([...x.domain], [EDGE.left, width - EDGE.right]);
  const downTo = scaleLinear([...y.domain], [EDGE.top, height - EDGE.foot]);
  const at: Places = { x: (value) => acrossTo(value), y: (value) => downTo(value) };
  const tick = 'fill-mute text-small';
  return (
    <svg role="img" aria-label={label} width={width} height={height} className="block overflow-visible">
      {x.ticks.map((value) => (
        <g key={value}>
          <line
            x1={at.x(value)}
            x2={at.x(value)}
            y1={EDGE.top}
            y2={height - EDGE.foot}
            className="stroke-line"
          />
          <text x={at.x(value)} y={height - EDGE.foot + 14} textAnchor="middle" className={tick}>
            {x.told?.(value) ?? value}
          </text>
        </g>
      ))}
      {y.ticks.map((value) => (
        <text key={value} x={EDGE.left - 6} y={at.y(value)} dy="0.32em" textAnchor="end" className={tick}>
          {y.told?.(value) ?? value}
        </text>
      ))}
      <text
        x={(EDGE.left + width - EDGE.right) / 2}
        y={height - 4}
        textAnchor="middle"
        className="fill-text text-small"
      >
        {x.label}
      </text>
      <text
        transform={`translate(9 ${(EDGE.top + height - EDGE.foot) / 2}) rotate(-90)`}
        textAnchor="middle"
        className="fill-text text-small"
      >
        {y.label}
      </text>
      {children(at)}
    </svg>
  );
}

interface CurveProps {
  readonly at: Places;
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly isDashed?: boolean;
}

/** A line through points. */
export const Curve = ({ at, points, isDashed = false }: CurveProps) => (
  <path
    d={
      line<readonly [number, number]>(
        ([x]) => at.x(x),
        ([, y]) => at.y(y),
      )([...points]) ?? ''
    }
    className="fill-none stroke-text"
    strokeWidth={1.75}
    strokeDasharray={isDashed ? '4 3' : undefined}
  />
);

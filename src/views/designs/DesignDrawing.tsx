import type { Design } from '../../core/materials/design/design';

interface Props {
  readonly design: Design;
  readonly className?: string;
}

/** A design as it is drawn: black is what is cut or inked. */
export const DesignDrawing = ({ design: { name, width, height, shapes }, className = '' }: Props) => (
  <svg
    role="img"
    aria-label={name}
    viewBox={`0 0 ${width} ${height}`}
    className={`bg-white ${className}`}
    preserveAspectRatio="xMidYMid meet"
  >
    {shapes.map(({ d, rule, stroke, erases }, i) => {
      // Drawn one over another: which one it is, is which in the order.
      const number = i + 1;
      const colour = erases ? '#fff' : '#1a1a1c';
      return (
        <path
          key={number}
          d={d}
          {...(stroke === undefined
            ? { fill: colour, fillRule: rule }
            : {
                fill: 'none',
                stroke: colour,
                strokeWidth: stroke,
                strokeLinecap: 'round',
                strokeLinejoin: 'round',
              })}
        />
      );
    })}
  </svg>
);

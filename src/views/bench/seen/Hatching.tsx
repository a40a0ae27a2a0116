interface Props {
  readonly id: string;
  /** One CSS px in the units of the drawing. */
  readonly thin: number;
}

/** The pattern of what does not read: slanting lines that show on light and dark. */
export const Hatching = ({ id, thin }: Props) => (
  <defs>
    <pattern
      id={id}
      width={thin * 7}
      height={thin * 7}
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1={0} y1={0} x2={0} y2={thin * 7} stroke="#fff" strokeWidth={thin * 3} />
      <line x1={0} y1={0} x2={0} y2={thin * 7} stroke="#000" strokeWidth={thin * 1.2} />
    </pattern>
  </defs>
);

interface Props {
  /** SVG paths in mm. */
  readonly paths: readonly string[];
  /** One CSS px in mm. */
  readonly thin: number;
}

/** Lines over a panel that show on light and dark. */
export function DashedPaths({ paths, thin }: Props) {
  const all = paths.join(' ');
  return (
    <g className="fill-none">
      <path d={all} stroke="#fff" strokeWidth={thin * 2} strokeOpacity={0.7} />
      <path d={all} stroke="#000" strokeWidth={thin} strokeDasharray={`${thin * 5} ${thin * 4}`} />
    </g>
  );
}

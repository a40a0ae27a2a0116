interface Props {
  /** SVG paths in mm. */
  readonly paths: readonly string[];
  /** One CSS px in mm. */
  readonly thin: number;
}

/** Lines over a panel that show on light and dark. */
export const DashedPaths = ({ paths, thin }: Props) =>
  paths.map((path, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a line has no identity but its place
    <g key={i} className="fill-none">
      <path d={path} stroke="#fff" strokeWidth={thin * 2} strokeOpacity={0.7} />
      <path d={path} stroke="#000" strokeWidth={thin} strokeDasharray={`${thin * 5} ${thin * 4}`} />
    </g>
  ));

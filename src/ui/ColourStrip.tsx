interface Props {
  /** CSS colours, in order. */
  readonly colours: readonly string[];
  /** Which way they go. */
  readonly toward: 'right' | 'foot';
  readonly className: string;
}

/** Colours side by side or below each other, each as large as the next; what they are stands beside it in words. */
export function ColourStrip({ colours, toward, className }: Props) {
  const part = 100 / colours.length;
  const stops = colours.map((colour, i) => `${colour} ${i * part}% ${(i + 1) * part}%`);
  const angle = toward === 'foot' ? 'to bottom' : 'to right';
  return (
    <div
      aria-hidden="true"
      className={className}
      style={{ backgroundImage: `linear-gradient(${angle}, ${stops.join(', ')})` }}
    />
  );
}

/** What is kept of one ink's pad. */
export interface Pad {
  readonly inkId: string;
  /** Days it was re-inked on, `2026-05-01`, rising. */
  readonly reinked: readonly string[];
}

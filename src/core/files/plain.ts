/** Whether a value read from outside is a record: neither a list nor null. */
export const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

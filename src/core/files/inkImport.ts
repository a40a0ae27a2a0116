import { type Ink, withLearned } from '../materials/ink/ink';

/** A row of a file: an ink without its id, or what is wrong with it. Lines count from 1. */
export interface InkRow {
  readonly line: number;
  readonly read: Omit<Ink, 'id'> | string;
}

/** A row that cannot be kept. */
export interface FaultyRow {
  readonly line: number;
  readonly reason: string;
}

/** What bringing a table in would do, before anything is done. */
export interface InkImport {
  readonly fresh: readonly Ink[];
  /** Inks on the shelf by the same name that the table has otherwise. */
  readonly changed: readonly { readonly before: Ink; readonly after: Ink }[];
  readonly unchanged: number;
  /** Names that stand in the table more than once; only the first row counts. */
  readonly clashing: readonly FaultyRow[];
  readonly faulty: readonly FaultyRow[];
}

/**
 * Compares rows with the shelf by name, whatever the case, one after another.
 *
 * @param newId  makes an id for an ink that is not on the shelf
 */
export function compareWithShelf(shelf: readonly Ink[], newId: () => string) {
  const byName = new Map(shelf.map((ink) => [ink.name.toLowerCase(), ink]));
  const seen = new Set<string>();
  const fresh: Ink[] = [];
  const changed: { before: Ink; after: Ink }[] = [];
  const clashing: FaultyRow[] = [];
  const faulty: FaultyRow[] = [];
  let unchanged = 0;
  return {
    add: ({ line, read }: InkRow): void => {
      if (typeof read === 'string') {
        faulty.push({ line, reason: read });
        return;
      }
      const key = read.name.toLowerCase();
      if (seen.has(key)) {
        clashing.push({ line, reason: `${read.name} stands in the table already` });
        return;
      }
      seen.add(key);
      const before = byName.get(key);
      const after = withLearned({ ...read, id: before?.id ?? newId() }, before);
      if (!before) fresh.push(after);
      else if (sameInk(before, after)) unchanged++;
      else changed.push({ before, after });
    },
    result: (): InkImport => ({ fresh, changed, unchanged, clashing, faulty }),
  };
}

/** The whole comparison at once. */
export function compareAll(rows: readonly InkRow[], shelf: readonly Ink[], newId: () => string): InkImport {
  const comparison = compareWithShelf(shelf, newId);
  for (const row of rows) comparison.add(row);
  return comparison.result();
}

/** The same in all that a table says; wished for or not counts, an absent field equals an empty one. */
function sameInk(p: Ink, q: Ink): boolean {
  const fields: readonly (keyof Ink)[] = [
    'name',
    'family',
    'depth',
    'kind',
    'overWhite',
    'overBlack',
    'brush',
    'line',
    'note',
  ];
  return (
    fields.every((field) => (p[field] ?? '') === (q[field] ?? '')) &&
    Boolean(p.wished) === Boolean(q.wished) &&
    Math.abs((p.dryBack ?? -1) - (q.dryBack ?? -1)) < 1e-9 &&
    p.strength === q.strength
  );
}

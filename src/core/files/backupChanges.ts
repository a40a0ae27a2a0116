import { MOST_REINKED } from '../keep/pads/pad';
import { BACKUP_TABLE_IDS, BACKUP_TABLES, type BackupTable, type Row, type Workshop } from './backup';
import { isPlain } from './plain';

/** How the records of one table stand to those that are here. */
export interface TableChanges {
  /** Not here yet, or saying more than is known here. */
  readonly fresh: readonly Row[];
  readonly same: number;
  /** Here and in the backup under one key, but otherwise. */
  readonly changed: readonly Row[];
}

/** Tables whose key is only how many there were before, here: what has the same elsewhere is another record. */
const NUMBERED: ReadonlySet<BackupTable> = new Set(['timings', 'practice']);

/** What is known of something by what was noted of it here and elsewhere. */
type Unite = (here: Row, there: Row) => Row;
/** Nobody need choose between what was noted here and elsewhere. */
const UNITED: Readonly<Partial<Record<BackupTable, Unite>>> = { pads: allReinkings, known: laterAsked };

/** What bringing a backup in would do, before anything is done. */
export type BackupChanges = Readonly<Record<BackupTable, TableChanges>>;

export const compareWorkshops = (here: Workshop, incoming: Workshop): BackupChanges =>
  Object.fromEntries(
    BACKUP_TABLE_IDS.map((table) => [table, compareTables(table, here[table], incoming[table])]),
  ) as unknown as BackupChanges;

function compareTables(table: BackupTable, here: readonly Row[], incoming: readonly Row[]): TableChanges {
  const { key } = BACKUP_TABLES[table];
  const unite = UNITED[table];
  if (NUMBERED.has(table)) return compareNumbered(key, here, incoming);
  if (unite) return compareUnited(key, unite, here, incoming);
  // A photograph is never changed: what it is of decides its id. A recipe is the same whenever and how often it was saved.
  const says = (row: Row): string =>
    table === 'photos' ? '' : saidOf(table === 'recipes' ? row.recipe : row);
  const known = new Map(here.map((row) => [String(row[key]), row]));
  const [fresh, changed]: [Row[], Row[]] = [[], []];
  for (const row of incoming) {
    const own = known.get(String(row[key]));
    if (!own) fresh.push(row);
    else if (says(own) !== says(row)) changed.push(row);
  }
  return { fresh, same: incoming.length - fresh.length - changed.length, changed };
}

/** A pad with the days it was re-inked on here and elsewhere. */
function allReinkings(here: Row, there: Row): Row {
  const days = [here, there].flatMap(({ reinked }) => (Array.isArray(reinked) ? reinked : []));
  return { ...here, reinked: [...new Set(days)].sort().slice(-MOST_REINKED) };
}

/** Something practised as it was when it was asked last. */
function laterAsked(here: Row, there: Row): Row {
  // Out of a backup moments come as text.
  const asked = ({ memory }: Row): string => {
    const last = isPlain(memory) ? memory.last_review : undefined;
    return last instanceof Date ? last.toISOString() : String(last ?? '');
  };
  return asked(there) > asked(here) ? there : here;
}

/** Of records that are united: those that say more with what is said elsewhere, and those that do not. */
function compareUnited(
  key: string,
  unite: Unite,
  here: readonly Row[],
  incoming: readonly Row[],
): TableChanges {
  const known = new Map(here.map((row) => [String(row[key]), row]));
  const fresh = incoming.flatMap((row) => {
    const own = known.get(String(row[key]));
    if (!own) return [row];
    const both = unite(own, row);
    return saidOf(both) === saidOf(own) ? [] : [both];
  });
  return { fresh, same: incoming.length - fresh.length, changed: [] };
}

/** Of records that are only numbered: what is said here already, and what is not, to be numbered here. */
function compareNumbered(key: string, here: readonly Row[], incoming: readonly Row[]): TableChanges {
  const bare = ({ [key]: _, ...row }: Row): Row => row;
  const said = new Set(here.map((row) => saidOf(bare(row))));
  const fresh = incoming.map(bare).filter((row) => !said.has(saidOf(row)));
  return { fresh, same: incoming.length - fresh.length, changed: [] };
}

/** What a record says, whatever the order of its fields. */
const saidOf = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    isPlain(inner) ? Object.fromEntries(Object.entries(inner).sort(([p], [q]) => (p < q ? -1 : 1))) : inner,
  );

import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from 'fflate';
import type { Schema } from 'yup';
import type { Design } from '../materials/design/design';
import { cardSchema } from './cardSchema';
import { designSchema } from './designSchema';
import { writeDesignSvg } from './designSvg';
import { type Fault, FileError } from './fileError';
import { inkSchema } from './inkSchema';
import { type FileLimit, megabytes } from './limits';
import { madePanelSchema, ownToolSchema, padSchema, photoSchema, swatchSchema } from './madeSchema';
import { moodSchema } from './moodsFile';
import { isPlain } from './plain';
import { knownSchema, trialSchema } from './practiceSchema';
import { inkAt, RECIPE_VERSION, recipeAt } from './recipeMigrations';
import { recipeSchema } from './recipeSchema';
import { sittingSchema } from './sittingSchema';
import { validated } from './validated';

/** What a backup holds, a JSON file each, and by which field its records are told apart. */
export const BACKUP_TABLES = {
  inks: { key: 'id', what: 'inks' },
  cards: { key: 'id', what: 'cards' },
  designs: { key: 'id', what: 'designs' },
  recipes: { key: 'id', what: 'recipes' },
  versions: { key: 'id', what: 'named states of recipes' },
  kept: { key: 'id', what: 'kept trios' },
  moods: { key: 'id', what: 'moods' },
  tags: { key: 'key', what: 'tags' },
  gone: { key: 'key', what: 'things taken off' },
  timings: { key: 'id', what: 'times of one’s own' },
  settings: { key: 'key', what: 'settings' },
  panels: { key: 'id', what: 'panels made', since: 2 },
  photos: { key: 'id', what: 'photographs', since: 2 },
  pads: { key: 'inkId', what: 're-inkings', since: 2 },
  tools: { key: 'id', what: 'brushes and daubers', since: 2 },
  swatches: { key: 'id', what: 'swatches read', since: 2 },
  sittings: { key: 'id', what: 'sittings', since: 3 },
  practice: { key: 'id', what: 'answers of practice', since: 3 },
  known: { key: 'key', what: 'things practised', since: 3 },
} as const satisfies Readonly<Record<string, TableInfo>>;

interface TableInfo {
  readonly key: string;
  readonly what: string;
  /** The first version of backups that has it; 1 where left out. */
  readonly since?: number;
}

export type BackupTable = keyof typeof BACKUP_TABLES;
export const BACKUP_TABLE_IDS = Object.keys(BACKUP_TABLES) as readonly BackupTable[];

/** One record of a table. */
export type Row = Readonly<Record<string, unknown>>;
/** Everything a maker has, table by table. */
export type Workshop = Readonly<Record<BackupTable, readonly Row[]>>;

const FORMAT = 'tint-ladder/backup';
const VERSION = 3;

/** What stands at the head of a backup. */
export interface BackupHead {
  readonly format: typeof FORMAT;
  readonly version: number;
  /** The version its recipes are written in. */
  readonly recipeVersion: number;
  /** When it was written, ISO 8601. */
  readonly made: string;
  readonly counts: Readonly<Record<string, number>>;
}

/** A larger backup is not taken into memory. */
export const BACKUP_LIMIT: FileLimit = { what: 'a backup', bytes: 200_000_000 };
/** Most bytes of it unpacked, and most records of one table. */
const MOST = { unpacked: 800_000_000, records: 100_000 } as const;
/** Faults told of a backup; the rest are counted. */
const TOLD = 20;

/** Everything as one zip: a head, a JSON file a table, and the designs as SVG beside their JSON, for other programs. */
export function writeBackup(workshop: Workshop, made: Date): Uint8Array {
  const counts = Object.fromEntries(BACKUP_TABLE_IDS.map((table) => [table, workshop[table].length]));
  const head: BackupHead = {
    format: FORMAT,
    version: VERSION,
    recipeVersion: RECIPE_VERSION,
    made: made.toISOString(),
    counts,
  };
  const files: Zippable = { 'manifest.json': jsonOf(head) };
  for (const table of BACKUP_TABLE_IDS)
    files[`${table}.json`] = jsonOf(table === 'photos' ? workshop.photos.map(withoutBytes) : workshop[table]);
  // Pictures are packed already.
  for (const photo of workshop.photos)
    if (photo.bytes instanceof Uint8Array) files[photoFile(photo)] = [photo.bytes, { level: 0 }];
  workshop.designs.forEach((design, i) => {
    files[`designs/${i + 1}.svg`] = strToU8(writeDesignSvg(design as unknown as Design));
  });
  return zipSync(files, { level: 6 });
}

const withoutBytes = ({ bytes: _, ...row }: Row): Row => row;
/** Where a photograph stands in the zip. */
const photoFile = ({ id, type }: Row): string => `photos/${String(id)}.${String(type).split('/')[1]}`;

const jsonOf = (value: unknown): Uint8Array => strToU8(`${JSON.stringify(value, null, 1)}\n`);

/**
 * Reads a backup, trusting nothing in it; recipes of earlier versions come as they are today.
 *
 * @throws FileError naming what is wrong, where; then nothing of it is to be taken
 */
export function readBackup(bytes: Uint8Array): { readonly head: BackupHead; readonly workshop: Workshop } {
  const files = unpacked(bytes);
  const head = headOf(jsonIn(files, 'manifest.json'));
  const faults: Fault[] = [];
  const workshop = Object.fromEntries(
    BACKUP_TABLE_IDS.map((table) => {
      const { since = 1 }: TableInfo = BACKUP_TABLES[table];
      if (since > head.version) return [table, []];
      const rows = rowsOf(table, jsonIn(files, `${table}.json`), head, faults);
      return [table, table === 'photos' ? withPictures(rows, files, faults) : rows];
    }),
  ) as unknown as Workshop;
  if (faults.length > 0) {
    const more = faults.length - TOLD;
    throw new FileError([
      ...faults.slice(0, TOLD),
      ...(more > 0 ? [{ place: '', problem: `And ${more} more faults.` }] : []),
    ]);
  }
  return { head, workshop };
}

/** Photographs with their pictures, which stand beside the table. */
const withPictures = (
  rows: readonly Row[],
  files: Readonly<Record<string, Uint8Array>>,
  faults: Fault[],
): readonly Row[] =>
  rows.map((row) => {
    const place = photoFile(row);
    const bytes = files[place];
    if (!bytes) faults.push({ place, problem: 'This photograph is missing. Choose the backup unchanged.' });
    return { ...row, bytes: bytes ?? new Uint8Array() };
  });

function unpacked(bytes: Uint8Array): Readonly<Record<string, Uint8Array>> {
  let size = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith('.json') && !name.startsWith('photos/')) return false;
        size += originalSize;
        if (size > MOST.unpacked)
          throw new FileError([
            {
              place: name,
              problem: `It is too large unpacked: at most ${megabytes(MOST.unpacked)} are read.`,
            },
          ]);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof FileError) throw error;
    throw new FileError([
      { place: '', problem: 'The file is no zip, or a damaged one: it cannot be unpacked. Copy it again.' },
    ]);
  }
}

function jsonIn(files: Readonly<Record<string, Uint8Array>>, name: string): unknown {
  const bytes = files[name];
  if (!bytes)
    throw new FileError([
      { place: name, problem: 'It is missing. Choose a backup written by Tint Ladder, unchanged.' },
    ]);
  try {
    return JSON.parse(strFromU8(bytes));
  } catch (error) {
    throw new FileError([{ place: name, problem: `It is not JSON (${(error as Error).message}).` }]);
  }
}

function headOf(value: unknown): BackupHead {
  if (!isPlain(value) || value.format !== FORMAT)
    throw new FileError([
      {
        place: 'manifest.json',
        problem: `This is no backup: expected "${FORMAT}". Choose a backup of Tint Ladder.`,
      },
    ]);
  const { version, recipeVersion } = value;
  if (
    typeof version !== 'number' ||
    !(Number.isInteger(version) && version >= 1 && version <= VERSION) ||
    typeof recipeVersion !== 'number' ||
    recipeVersion > RECIPE_VERSION
  )
    throw new FileError([
      {
        place: 'manifest.json',
        problem: `Version ${JSON.stringify(version)} with recipes of version ${JSON.stringify(recipeVersion)} was made by a newer Tint Ladder. Update this one, then bring it in.`,
      },
    ]);
  return value as unknown as BackupHead;
}

/** The schema that every record of a table has to meet, where files of its own have one. */
const SCHEMAS: Readonly<Partial<Record<BackupTable, Schema>>> = {
  inks: inkSchema,
  cards: cardSchema,
  designs: designSchema,
  moods: moodSchema,
  panels: madePanelSchema,
  photos: photoSchema,
  pads: padSchema,
  tools: ownToolSchema,
  swatches: swatchSchema,
  sittings: sittingSchema,
  practice: trialSchema,
  known: knownSchema,
};

function rowsOf(table: BackupTable, value: unknown, head: BackupHead, faults: Fault[]): readonly Row[] {
  const place = `${table}.json`;
  if (!Array.isArray(value) || value.length > MOST.records) {
    faults.push({ place, problem: `It must be a list of at most ${MOST.records} records.` });
    return [];
  }
  return value.map((row: unknown, i): Row => {
    const at = `${place}[${i}]`;
    const { key } = BACKUP_TABLES[table];
    if (!isPlain(row) || row[key] === undefined) {
      faults.push({ place: at, problem: `It must be a record with "${key}".` });
      return {};
    }
    try {
      const today =
        table === 'inks' ? inkAt(row, head.recipeVersion) : table === 'panels' ? panelAt(row, head) : row;
      const schema = SCHEMAS[table];
      if (schema) validated(schema, today);
      return table === 'recipes' || table === 'versions'
        ? withRecipe(today, head)
        : goneToday(table, today, head);
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      faults.push(...error.faults.map((fault) => ({ ...fault, place: `${at}.${fault.place}` })));
      return {};
    }
  });
}

/** A made panel with its recipe and its inks as they are today. */
function panelAt(row: Row, { recipeVersion }: BackupHead): Row {
  const { made } = row;
  if (!isPlain(made) || recipeVersion === RECIPE_VERSION) return row;
  const { recipe, inks } = made;
  return {
    ...row,
    made: {
      ...made,
      recipe: isPlain(recipe) ? recipeAt(recipe, recipeVersion, RECIPE_VERSION) : recipe,
      inks: Array.isArray(inks) ? inks.map((ink) => (isPlain(ink) ? inkAt(ink, recipeVersion) : ink)) : inks,
    },
  };
}

/** An ink that was taken off, as inks are today. */
const goneToday = (table: BackupTable, row: Row, { recipeVersion }: BackupHead): Row =>
  table === 'gone' && row.of === 'ink' && isPlain(row.value)
    ? { ...row, value: inkAt(row.value, recipeVersion) }
    : row;

/** A record with its recipe as recipes are today. */
function withRecipe(row: Row, { recipeVersion }: BackupHead): Row {
  if (!isPlain(row.recipe)) throw new FileError([{ place: 'recipe', problem: 'It must be a recipe.' }]);
  const recipe =
    recipeVersion < RECIPE_VERSION ? recipeAt(row.recipe, recipeVersion, RECIPE_VERSION) : row.recipe;
  validated(recipeSchema, recipe);
  return { ...row, recipe };
}

/** How the records of one table stand to those that are here. */
export interface TableChanges {
  readonly fresh: readonly Row[];
  readonly same: number;
  /** Here and in the backup under one key, but otherwise. */
  readonly changed: readonly Row[];
}

/** What bringing a backup in would do, before anything is done. */
export type BackupChanges = Readonly<Record<BackupTable, TableChanges>>;

export const compareWorkshops = (here: Workshop, incoming: Workshop): BackupChanges =>
  Object.fromEntries(
    BACKUP_TABLE_IDS.map((table) => {
      const { key } = BACKUP_TABLES[table];
      const known = new Map(here[table].map((row) => [String(row[key]), saidOf(row)]));
      const standing = (row: Row) => known.get(String(row[key]));
      return [
        table,
        {
          fresh: incoming[table].filter((row) => standing(row) === undefined),
          same: incoming[table].filter((row) => standing(row) === saidOf(row)).length,
          changed: incoming[table].filter((row) => {
            const there = standing(row);
            return there !== undefined && there !== saidOf(row);
          }),
        } satisfies TableChanges,
      ];
    }),
  ) as unknown as BackupChanges;

/** What a record says, whatever the order of its fields. */
const saidOf = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    inner instanceof Uint8Array
      ? inner.length
      : isPlain(inner)
        ? Object.fromEntries(Object.entries(inner).sort(([p], [q]) => (p < q ? -1 : 1)))
        : inner,
  );

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
import { endingOf } from './packedPicture';
import { isPlain } from './plain';
import { knownSchema, trialSchema } from './practiceSchema';
import { inkAt, RECIPE_VERSION, recipeAt } from './recipeMigrations';
import { recipeSchema } from './recipeSchema';
import { sittingSchema } from './sittingSchema';
import { validated } from './validated';
import { type OpenedZip, openZip, zipOf } from './zip';

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
/** Everything a maker has, table by table; photographs without their bytes, which are too many to be held at once. */
export type Workshop = Readonly<Record<BackupTable, readonly Row[]>>;

const FORMAT = 'tint-ladder/backup';
/** 4 has sittings that were left; what is new in a record is refused by programs of before. */
const VERSION = 4;

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

/** Which backup it is, of which recipes. */
type Versions = Pick<BackupHead, 'version' | 'recipeVersion'>;

/** A larger backup is not read. */
export const BACKUP_LIMIT: FileLimit = { what: 'a backup', bytes: 4_000_000_000 };
/** Most bytes of its tables unpacked, and of one photograph; most records of one table. */
const MOST = { tables: 300_000_000, photo: 50_000_000, records: 500_000 } as const;
/** Photographs are handed on in pieces of about so many bytes. */
const PIECE = 16_000_000;
/** Faults told of a backup; the rest are counted, up to where nobody looks on. */
const TOLD = 20;
const COUNTED = 1000;

/** Takes how far something is, 0…1. */
export type Reach = (part: number) => void;

/** A backup, and what of it would not be read again. */
export interface Packed {
  readonly file: Blob;
  /** What is wrong with each record that lies in it apart. */
  readonly apart: readonly Apart[];
}

/** A record that would not be read again, and the first that is wrong with it. */
export interface Apart extends Fault {
  /** Of which table, in words: `panels`. */
  readonly what: string;
  /** What it calls itself, as far as it does. */
  readonly name: string | undefined;
}

/**
 * Everything as one zip: a JSON file a table, photographs as they are, the designs as SVG beside their JSON for other
 * programs, and a head. One photograph is held at a time. A record that `readBackup` would refuse, and all others for its sake,
 * lies in a file of its own, which is not read.
 *
 * @param workshop  of its photographs only the ids are read
 * @param photoOf   a photograph with its bytes; one that is gone by then is left out
 */
export async function writeBackup(
  workshop: Workshop,
  photoOf: (id: string) => Promise<Row | undefined>,
  made: Date,
  reach: Reach = () => {},
): Promise<Packed> {
  const zip = zipOf(made);
  const photos: Row[] = [];
  const parts = workshop.photos.length + BACKUP_TABLE_IDS.length;
  for (const [i, { id }] of workshop.photos.entries()) {
    const photo = await photoOf(String(id));
    if (!(photo?.bytes instanceof Uint8Array)) continue;
    // Pictures are packed already.
    await zip.add(photoFile(photo), photo.bytes, 'as it is');
    photos.push(withoutBytes(photo));
    reach((i + 1) / parts);
  }
  const { whole, left, apart } = sortedOut({ ...workshop, photos }, (tables) =>
    reach((workshop.photos.length + tables) / parts),
  );
  for (const table of BACKUP_TABLE_IDS) await zip.add(`${table}.json`, jsonOf(whole[table]));
  if (apart.length > 0) await zip.add(APART, jsonOf(left));
  for (const [i, design] of whole.designs.entries())
    await zip.add(`designs/${i + 1}.svg`, utf8.encode(writeDesignSvg(design as unknown as Design)));
  const head: BackupHead = {
    format: FORMAT,
    version: VERSION,
    recipeVersion: RECIPE_VERSION,
    made: made.toISOString(),
    counts: Object.fromEntries(BACKUP_TABLE_IDS.map((table) => [table, whole[table].length])),
  };
  await zip.add(HEAD, jsonOf(head));
  return { file: await zip.close(), apart };
}

const HEAD = 'manifest.json';
const APART = 'apart.json';
/** As this program reads what it writes. */
const TODAY = { version: VERSION, recipeVersion: RECIPE_VERSION } as const;

/**
 * A workshop without the records that would not be read again, and those.
 *
 * @param sorted  takes how many tables are done
 */
function sortedOut(
  workshop: Workshop,
  sorted: (tables: number) => void,
): {
  readonly whole: Workshop;
  readonly left: Readonly<Record<string, readonly Row[]>>;
  readonly apart: readonly Apart[];
} {
  const apart: Apart[] = [];
  const left: Record<string, readonly Row[]> = {};
  const tables = BACKUP_TABLE_IDS.map((table, before) => {
    sorted(before);
    const own: Row[] = [];
    const kept = workshop[table].filter((row, i) => {
      // As it will be read: a field that is undefined is not there, a number that is none is null.
      const [fault] = faultsOf(table, JSON.parse(JSON.stringify(row)), TODAY);
      if (!fault) return true;
      const { what } = BACKUP_TABLES[table];
      apart.push({ ...fault, place: `${table}.json[${i}].${fault.place}`, what, name: nameOf(row) });
      own.push(row);
      return false;
    });
    if (own.length > 0) left[table] = own;
    return [table, kept] as const;
  });
  return { whole: Object.fromEntries(tables) as unknown as Workshop, left, apart };
}

/** What a record calls itself. */
function nameOf({ name, recipe }: Row): string | undefined {
  const own = name ?? (isPlain(recipe) ? recipe.name : undefined);
  return typeof own === 'string' && own !== '' ? own : undefined;
}

function faultsOf(table: BackupTable, row: unknown, head: Versions): readonly Fault[] {
  try {
    rowAt(table, row, head);
    return [];
  } catch (error) {
    if (!(error instanceof FileError)) throw error;
    return error.faults;
  }
}

const utf8 = new TextEncoder();

const withoutBytes = ({ bytes: _, ...row }: Row): Row => row;
/** Where a photograph stands in the zip. */
const photoFile = ({ id, type }: Row): string => `photos/${String(id)}.${endingOf(String(type))}`;

const jsonOf = (value: unknown): Uint8Array => utf8.encode(`${JSON.stringify(value, null, 1)}\n`);

/**
 * Reads a backup, trusting nothing in it; recipes of earlier versions come as they are today. Its photographs are looked
 * at one by one, and let go again: `photosIn` gives them.
 *
 * @throws FileError naming what is wrong, where; then nothing of it is to be taken
 */
export async function readBackup(
  file: Blob,
  reach: Reach = () => {},
): Promise<{ readonly head: BackupHead; readonly workshop: Workshop }> {
  const zip = await openZip(file);
  const unpacked = BACKUP_TABLE_IDS.reduce((sum, table) => sum + (zip.sizeOf(`${table}.json`) ?? 0), 0);
  if (unpacked > MOST.tables)
    throw new FileError([
      { place: '', problem: `It is too large unpacked: at most ${megabytes(MOST.tables)} are read.` },
    ]);
  const head = headOf(await jsonIn(zip, HEAD));
  const faults: Fault[] = [];
  const tables: [BackupTable, readonly Row[]][] = [];
  for (const table of BACKUP_TABLE_IDS) {
    const { since = 1 }: TableInfo = BACKUP_TABLES[table];
    tables.push([
      table,
      since > head.version ? [] : rowsOf(table, await jsonIn(zip, `${table}.json`), head, faults),
    ]);
  }
  const workshop = Object.fromEntries(tables) as unknown as Workshop;
  // However often the table names it, each is looked at once.
  const places = [...new Set(workshop.photos.map(photoFile))];
  for (const [i, place] of places.entries()) {
    if (faults.length >= COUNTED) break;
    await lookAtPhoto(zip, place, faults);
    reach((i + 1) / places.length);
  }
  if (faults.length > 0) {
    const more = Math.min(faults.length, COUNTED) - TOLD;
    const least = faults.length >= COUNTED ? 'at least ' : '';
    throw new FileError([
      ...faults.slice(0, TOLD),
      ...(more > 0 ? [{ place: '', problem: `And ${least}${more} more faults.` }] : []),
    ]);
  }
  return { head, workshop };
}

/** Whether a photograph is there, whole. */
async function lookAtPhoto(zip: OpenedZip, place: string, faults: Fault[]): Promise<void> {
  if (zip.sizeOf(place) === undefined) {
    faults.push({ place, problem: 'This photograph is missing. Choose the backup unchanged.' });
    return;
  }
  try {
    await zip.read(place, MOST.photo);
  } catch (error) {
    if (!(error instanceof FileError)) throw error;
    faults.push(...error.faults);
  }
}

/**
 * The first of some photographs of a backup, with their bytes: as many as make a piece, at least one.
 *
 * @param rows  of its table, as `readBackup` gave them
 * @throws FileError where the backup is no longer what it was
 */
export async function photosIn(file: Blob, rows: readonly Row[]): Promise<readonly Row[]> {
  const zip = await openZip(file);
  const photos: Row[] = [];
  let size = 0;
  for (const row of rows) {
    const bytes = await zip.read(photoFile(row), MOST.photo);
    photos.push({ ...row, bytes });
    size += bytes.length;
    if (size >= PIECE) break;
  }
  return photos;
}

async function jsonIn(zip: OpenedZip, name: string): Promise<unknown> {
  if (zip.sizeOf(name) === undefined)
    throw new FileError([
      { place: name, problem: 'It is missing. Choose a backup written by Tint Ladder, unchanged.' },
    ]);
  const bytes = await zip.read(name, MOST.tables);
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch (error) {
    throw new FileError([{ place: name, problem: `It is not JSON (${(error as Error).message}).` }]);
  }
}

function headOf(value: unknown): BackupHead {
  if (!isPlain(value) || value.format !== FORMAT)
    throw new FileError([
      {
        place: 'manifest.json',
        problem: `This is not a backup: expected "${FORMAT}". Choose a backup of Tint Ladder.`,
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
    if (faults.length >= COUNTED) return {};
    const at = `${place}[${i}]`;
    try {
      return rowAt(table, row, head);
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      faults.push(
        ...error.faults.map((fault) => ({ ...fault, place: fault.place ? `${at}.${fault.place}` : at })),
      );
      return {};
    }
  });
}

/** A record as it is today. @throws FileError saying what is wrong with it */
function rowAt(table: BackupTable, row: unknown, head: Versions): Row {
  const { key } = BACKUP_TABLES[table];
  if (!isPlain(row) || row[key] === undefined)
    throw new FileError([{ place: '', problem: `It must be a record with "${key}".` }]);
  const today =
    table === 'inks' ? inkAt(row, head.recipeVersion) : table === 'panels' ? panelAt(row, head) : row;
  const schema = SCHEMAS[table];
  if (schema) validated(schema, today);
  return table === 'recipes' || table === 'versions'
    ? withRecipe(today, head)
    : goneToday(table, today, head);
}

/** A made panel with its recipe and its inks as they are today. */
function panelAt(row: Row, { recipeVersion }: Versions): Row {
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
const goneToday = (table: BackupTable, row: Row, { recipeVersion }: Versions): Row =>
  table === 'gone' && row.of === 'ink' && isPlain(row.value)
    ? { ...row, value: inkAt(row.value, recipeVersion) }
    : row;

/** A record with its recipe as recipes are today. */
function withRecipe(row: Row, { recipeVersion }: Versions): Row {
  if (!isPlain(row.recipe)) throw new FileError([{ place: 'recipe', problem: 'It must be a recipe.' }]);
  const recipe =
    recipeVersion < RECIPE_VERSION ? recipeAt(row.recipe, recipeVersion, RECIPE_VERSION) : row.recipe;
  validated(recipeSchema, recipe);
  return { ...row, recipe };
}

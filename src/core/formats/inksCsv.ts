import Papa from 'papaparse';
import { type Hex, parseColour } from '../colour/hex';
import type { Ink, InkDepth } from '../ink/ink';
import { INK_KIND_IDS, INK_KINDS, type InkKindId } from '../ink/kinds';
import { FileError } from './fileError';

/** Columns of an ink table, in the order they are written. docs/formats/inks-csv.md describes them. */
export const INK_COLUMNS = [
  'name',
  'family',
  'depth',
  'kind',
  'over_white',
  'over_black',
  'dry_back_percent',
  'line',
  'owned',
  'note',
] as const;
type Column = (typeof INK_COLUMNS)[number];
const REQUIRED: readonly Column[] = ['name', 'over_white'];

/** An ink table over this, in bytes or in rows, is refused. */
export const INK_CSV_LIMITS = { bytes: 8_000_000, rows: 20_000 } as const;

/** A cell that a spreadsheet would take for a formula begins with one of these. */
const FORMULA = /^[=+\-@\t\r]/;
/** Such a cell is written behind an apostrophe, which spreadsheets take for "text follows". */
const inert = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
const bare = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

/** The shelf as a table, RFC 4180, with a header; no cell can become a formula in a spreadsheet. */
export function writeInksCsv(inks: readonly Ink[]): string {
  const rows = inks.map(
    (ink): Record<Column, string> => ({
      name: ink.name,
      family: ink.family,
      depth: ink.depth,
      kind: ink.kind,
      over_white: ink.overWhite,
      over_black: ink.overBlack ?? '',
      dry_back_percent: ink.dryBack === undefined ? '' : String(Math.round(ink.dryBack * 1000) / 10),
      line: ink.line ?? '',
      owned: ink.wished ? 'no' : 'yes',
      note: ink.note ?? '',
    }),
  );
  const inertRows = rows.map((row) => INK_COLUMNS.map((column) => inert(row[column])));
  return `${Papa.unparse({ fields: [...INK_COLUMNS], data: inertRows }, { newline: '\r\n' })}\r\n`;
}

/** A row that cannot be an ink. Lines count from 1, the header included. */
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
 * Reads an ink table, comma, semicolon or tab separated, as exported or pasted from a spreadsheet, and compares it with
 * the shelf by name.
 *
 * @param newId  makes an id for an ink that is not on the shelf
 * @throws FileError when it is no table at all: empty, too large, or without the columns it needs
 */
export function readInksCsv(text: string, shelf: readonly Ink[], newId: () => string): InkImport {
  if (text.length > INK_CSV_LIMITS.bytes)
    throw new FileError([{ place: '', problem: 'The table is larger than 8 MB. Split it.' }]);
  const { data } = Papa.parse<string[]>(text.replace(/^﻿/, ''), { skipEmptyLines: 'greedy' });
  const [header = [], ...rows] = data;
  const columns = header.map((cell) =>
    cell
      .trim()
      .toLowerCase()
      .replace(/[\s-]+/g, '_'),
  );
  const missing = REQUIRED.filter((column) => !columns.includes(column));
  if (missing.length > 0)
    throw new FileError([
      {
        place: 'line 1',
        problem: `The header lacks ${missing.join(' and ')}. It may name ${INK_COLUMNS.join(', ')}.`,
      },
    ]);
  if (rows.length > INK_CSV_LIMITS.rows)
    throw new FileError([
      { place: '', problem: `The table has ${rows.length} rows; at most ${INK_CSV_LIMITS.rows} are read.` },
    ]);
  return compare(rows, columns, shelf, newId);
}

function compare(
  rows: readonly (readonly string[])[],
  columns: readonly string[],
  shelf: readonly Ink[],
  newId: () => string,
): InkImport {
  const byName = new Map(shelf.map((ink) => [ink.name.toLowerCase(), ink]));
  const seen = new Set<string>();
  const fresh: Ink[] = [];
  const changed: { before: Ink; after: Ink }[] = [];
  const clashing: FaultyRow[] = [];
  const faulty: FaultyRow[] = [];
  let unchanged = 0;
  rows.forEach((cells, i) => {
    const line = i + 2;
    const cell = (column: Column): string => bare((cells[columns.indexOf(column)] ?? '').trim()).trim();
    const read = inkFromRow(cell);
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
    const after = { ...read, id: before?.id ?? newId() };
    if (!before) fresh.push(after);
    else if (sameInk(before, after)) unchanged++;
    else changed.push({ before, after });
  });
  return { fresh, changed, unchanged, clashing, faulty };
}

const DEPTHS: readonly InkDepth[] = ['deep', 'mid', 'pale'];
const NO = new Set(['no', 'n', 'false', '0', 'wished', 'wished for']);

/** An ink without its id, or what is wrong with the row. */
function inkFromRow(cell: (column: Column) => string): Omit<Ink, 'id'> | string {
  const name = cell('name');
  if (name === '' || name.length > 120) return 'the name must have 1 to 120 letters';
  const overWhite = parseColour(cell('over_white'));
  if (!overWhite) return `over_white "${cell('over_white')}" is not a colour: # and six digits, or L* a* b*`;
  const black = cell('over_black');
  const overBlack: Hex | undefined = parseColour(black);
  if (black !== '' && !overBlack)
    return `over_black "${black}" is not a colour: # and six digits, or L* a* b*`;
  const kind = (cell('kind').toLowerCase() || 'hybrid') as InkKindId;
  const known = INK_KIND_IDS.find((id) => id === kind || INK_KINDS[id].label === kind);
  if (!known) return `kind "${kind}" is not one of ${INK_KIND_IDS.join(', ')}`;
  const depth = (cell('depth').toLowerCase() || 'mid') as InkDepth;
  if (!DEPTHS.includes(depth)) return `depth "${depth}" is not one of ${DEPTHS.join(', ')}`;
  const percent = cell('dry_back_percent').replace(',', '.').replace('%', '').trim();
  const dryBack = Number(percent) / 100;
  if (percent !== '' && !(dryBack >= 0 && dryBack <= 0.9))
    return `dry_back_percent "${percent}" is not 0 to 90`;
  const [line, note] = [cell('line').slice(0, 120), cell('note').slice(0, 2000)];
  return {
    name,
    family: cell('family').slice(0, 120) || name,
    depth,
    kind: known,
    overWhite,
    ...(overBlack ? { overBlack } : {}),
    ...(percent === '' ? {} : { dryBack }),
    ...(line ? { line } : {}),
    ...(note ? { note } : {}),
    ...(NO.has(cell('owned').toLowerCase()) ? { wished: true } : {}),
  };
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
    'line',
    'note',
  ];
  return (
    fields.every((field) => (p[field] ?? '') === (q[field] ?? '')) &&
    Boolean(p.wished) === Boolean(q.wished) &&
    Math.abs((p.dryBack ?? -1) - (q.dryBack ?? -1)) < 1e-9
  );
}

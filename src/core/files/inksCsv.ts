import Papa from 'papaparse';
import { listed } from '../base/words';
import { type Hex, parseColour } from '../materials/colour/hex';
import { INK_DEPTHS, INK_LIMITS, type Ink, type InkDepth } from '../materials/ink/ink';
import { INK_KIND_IDS, INK_KINDS, type InkKindId } from '../materials/ink/kinds';
import { FileError } from './fileError';
import { FORMULA } from './formula';
import type { InkRow } from './inkImport';

/** Columns of an ink table, in the order they are written. docs/formats/inks-csv.md describes them. */
export const INK_COLUMNS = [
  'name',
  'family',
  'depth',
  'kind',
  'over_white',
  'over_black',
  'dry_back_percent',
  'strength',
  'brush',
  'line',
  'owned',
  'note',
] as const;
type Column = (typeof INK_COLUMNS)[number];
const REQUIRED: readonly Column[] = ['name', 'over_white'];

/** An ink table over this, in bytes or in rows, is refused. */
export const INK_CSV_LIMITS = { bytes: 8_000_000, rows: 20_000 } as const;

/** Such a cell is written behind an apostrophe, which spreadsheets take for "text follows". */
const inert = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
const bare = (text: string): string => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text);

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
      strength: ink.strength === undefined ? '' : String(ink.strength),
      brush: ink.brush ?? '',
      line: ink.line ?? '',
      owned: ink.wished ? 'no' : 'yes',
      note: ink.note ?? '',
    }),
  );
  const inertRows = rows.map((row) => INK_COLUMNS.map((column) => inert(row[column])));
  return `${Papa.unparse({ fields: [...INK_COLUMNS], data: inertRows }, { newline: '\r\n' })}\r\n`;
}

/**
 * Reads an ink table, comma, semicolon or tab separated, as exported or pasted from a spreadsheet.
 *
 * @throws FileError when it is no table at all: empty, too large, or without the columns it needs
 */
export function rowsOfCsv(text: string): InkRow[] {
  if (text.length > INK_CSV_LIMITS.bytes)
    throw new FileError([{ place: '', problem: 'The table is larger than 8 MB. Split it.' }]);
  // Lines may end in one way here and in another there, where tables were put together.
  const lines = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  const { data, errors } = Papa.parse<string[]>(lines, { skipEmptyLines: 'greedy' });
  const open = errors.find(({ code }) => code === 'MissingQuotes');
  if (open)
    throw new FileError([
      {
        place: `line ${(open.row ?? 0) + 1}`,
        problem: 'A quote is opened here and never closed: everything after it would be one cell.',
      },
    ]);
  const [header = [], ...rows] = data;
  const columns = header.map((cell) => {
    const name = cell
      .trim()
      .toLowerCase()
      .replace(/[\s-]+/g, '_');
    return FORMERLY[name] ?? name;
  });
  const missing = REQUIRED.filter((column) => !columns.includes(column));
  if (missing.length > 0)
    throw new FileError([
      {
        place: 'line 1',
        problem: `The header lacks ${listed(missing)}. It may name ${INK_COLUMNS.join(', ')}.`,
      },
    ]);
  if (rows.length > INK_CSV_LIMITS.rows)
    throw new FileError([
      { place: '', problem: `The table has ${rows.length} rows; at most ${INK_CSV_LIMITS.rows} are read.` },
    ]);
  return rows.map((cells, i) => {
    const cell = (column: Column): string => bare((cells[columns.indexOf(column)] ?? '').trim()).trim();
    return { line: i + 2, read: inkFromRow(cell) };
  });
}

/** Columns as tables written before called them. */
const FORMERLY: Readonly<Record<string, Column>> = { potency: 'strength' };

const NO = new Set(['no', 'n', 'false', '0', 'wished', 'wished for']);

/** An ink without its id, or what is wrong with the row. */
function inkFromRow(cell: (column: Column) => string): Omit<Ink, 'id'> | string {
  const name = cell('name');
  if (name === '' || name.length > INK_LIMITS.name) return 'the name must have 1 to 120 letters';
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
  if (!INK_DEPTHS.includes(depth)) return `depth "${depth}" is not one of ${INK_DEPTHS.join(', ')}`;
  const percent = cell('dry_back_percent').replace(',', '.').replace('%', '').trim();
  const dryBack = Number(percent) / 100;
  if (percent !== '' && !(dryBack >= INK_LIMITS.dryBack.min && dryBack <= INK_LIMITS.dryBack.max))
    return `dry_back_percent "${percent}" is not from 0 to 90`;
  const times = cell('strength').replace(',', '.').trim();
  const strength = Number(times);
  if (times !== '' && !(strength >= INK_LIMITS.strength.min && strength <= INK_LIMITS.strength.max))
    return `strength "${times}" is not from ${INK_LIMITS.strength.min} to ${INK_LIMITS.strength.max}`;
  const brush = cell('brush').slice(0, INK_LIMITS.brush);
  const [line, note] = [cell('line').slice(0, INK_LIMITS.line), cell('note').slice(0, INK_LIMITS.note)];
  return {
    name,
    family: cell('family').slice(0, 120) || name,
    depth,
    kind: known,
    overWhite,
    ...(overBlack ? { overBlack } : {}),
    ...(percent === '' ? {} : { dryBack }),
    ...(times === '' ? {} : { strength }),
    ...(brush ? { brush } : {}),
    ...(line ? { line } : {}),
    ...(note ? { note } : {}),
    ...(NO.has(cell('owned').toLowerCase()) ? { wished: true } : {}),
  };
}

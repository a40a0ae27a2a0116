import Papa from 'papaparse';
import { parseColour } from '../materials/colour/hex';
import type { Ink } from '../materials/ink/ink';
import { INK_KIND_IDS, INK_KINDS } from '../materials/ink/kinds';
import { FileError } from './fileError';

/** Columns of a table of pairs. docs/formats/pairs-csv.md describes them. */
const COLUMNS = ['name_a', 'hex_a', 'name_b', 'hex_b', 'kind'] as const;
/** More rows than this are refused. */
const MOST_ROWS = 20_000;

/**
 * Reads pairs of inks whose joints are to be judged.
 *
 * @throws FileError naming each faulty row by its line
 */
export function readPairsCsv(text: string): (readonly [Ink, Ink])[] {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const missing = COLUMNS.slice(0, 4).filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0)
    throw new FileError([{ place: 'line 1', problem: `the columns ${missing.join(', ')} are missing` }]);
  if (data.length > MOST_ROWS)
    throw new FileError([
      { place: '', problem: `has ${data.length} rows, and at most ${MOST_ROWS} are read` },
    ]);
  const rows = data.map(pairOf);
  const faults = rows.flatMap((read, i) =>
    typeof read === 'string' ? [{ place: `line ${i + 2}`, problem: read }] : [],
  );
  if (faults.length > 0) throw new FileError(faults);
  return rows.flatMap((read) => (typeof read === 'string' ? [] : [read]));
}

/** One row as two inks; a sentence where it is faulty. */
function pairOf(row: Readonly<Record<string, string>>): readonly [Ink, Ink] | string {
  const word = row.kind?.trim().toLowerCase() || 'hybrid';
  const kind = INK_KIND_IDS.find((id) => id === word && INK_KINDS[id].blends);
  if (!kind)
    return `kind is "${row.kind}", expected ${INK_KIND_IDS.filter((id) => INK_KINDS[id].blends).join(', ')}`;
  const inks: Ink[] = [];
  for (const side of ['a', 'b'] as const) {
    const name = row[`name_${side}`]?.trim() ?? '';
    const overWhite = parseColour(row[`hex_${side}`]?.trim() ?? '');
    if (name === '') return `name_${side} is empty`;
    if (!overWhite) return `hex_${side} is "${row[`hex_${side}`] ?? ''}", expected a colour such as #2a8f8a`;
    inks.push({ id: `${side} ${name}`, name, family: name, depth: 'mid', kind, overWhite });
  }
  return inks as [Ink, Ink];
}

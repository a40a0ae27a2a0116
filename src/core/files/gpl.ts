import type { Hex } from '../materials/colour/hex';
import type { Ink } from '../materials/ink/ink';
import { FileError } from './fileError';
import type { InkRow } from './inkImport';
import { INK_CSV_LIMITS } from './inksCsv';

const HEAD = 'GIMP Palette';

/** The shelf's swatches over white as a GPL palette: a row of red, green, blue and name a colour. */
export function writeGpl(name: string, inks: readonly Ink[]): string {
  const rows = inks.map(({ name: label, overWhite }) => {
    const channels = [1, 3, 5].map((at) =>
      String(Number.parseInt(overWhite.slice(at, at + 2), 16)).padStart(3),
    );
    return `${channels.join(' ')}\t${oneLine(label)}`;
  });
  return `${[HEAD, `Name: ${oneLine(name)}`, 'Columns: 3', '#', ...rows].join('\n')}\n`;
}

/** What of a row is looked at, letters: three numbers and a name. */
const LONGEST_ROW = 400;

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** Whether a text begins as a GPL palette does. */
export const looksLikeGpl = (text: string): boolean => text.replace(/^\uFEFF/, '').startsWith(HEAD);

/**
 * Reads a GPL palette. A colour says nothing of kind or family: an ink on the shelf by its name keeps its own, a new one
 * is a hybrid of its own family until the maker says otherwise. A colour without a name is called by its value.
 *
 * @throws FileError when it is no palette, or too large
 */
export function rowsOfGpl(text: string, shelf: readonly Ink[]): InkRow[] {
  if (!looksLikeGpl(text))
    throw new FileError([{ place: 'line 1', problem: `A GPL palette begins with "${HEAD}".` }]);
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (lines.length > INK_CSV_LIMITS.rows)
    throw new FileError([
      {
        place: '',
        problem: `The palette has ${lines.length} lines; at most ${INK_CSV_LIMITS.rows} are read.`,
      },
    ]);
  const known = new Map(shelf.map((ink) => [ink.name.toLowerCase(), ink]));
  return lines.flatMap((written, i): InkRow[] => {
    const row = written.slice(0, LONGEST_ROW).trim();
    if (i === 0 || row === '' || row.startsWith('#') || /^(Name|Columns):/.test(row)) return [];
    const [, r = '', g = '', b = '', label = ''] = /^(\d+)\s+(\d+)\s+(\d+)(?:\s+(.*))?$/.exec(row) ?? [];
    const channels = [r, g, b].map(Number);
    const line = i + 1;
    if (r === '' || channels.some((channel) => channel > 255))
      return [{ line, read: `"${row.slice(0, 40)}" is not three numbers from 0 to 255 and a name` }];
    const overWhite: Hex = `#${channels.map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
    const name = label !== '' && label !== 'Untitled' ? label.slice(0, 120) : overWhite;
    const before = known.get(name.toLowerCase());
    if (before) return [{ line, read: { ...before, overWhite } }];
    return [{ line, read: { name, family: name, depth: 'mid', kind: 'hybrid', overWhite } }];
  });
}

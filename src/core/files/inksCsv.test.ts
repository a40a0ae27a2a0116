import { parse } from 'csv-parse/sync';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink } from '../../testing/resolvedRecipes';
import type { Ink } from '../materials/ink/ink';
import { compareAll } from './inkImport';
import { rowsOfCsv, writeInksCsv } from './inksCsv';

let count = 0;
const newId = () => `new-${count++}`;
const shelf = DEMO_INKS;
const readInksCsv = (text: string, on: readonly Ink[], id: () => string) =>
  compareAll(rowsOfCsv(text), on, id);

test('the whole shelf goes out and comes back unchanged', () => {
  const read = readInksCsv(writeInksCsv(shelf), shelf, newId);
  expect(read).toEqual({ fresh: [], changed: [], unchanged: 72, clashing: [], faulty: [] });
  const elsewhere = readInksCsv(writeInksCsv(shelf), [], newId);
  expect(elsewhere.fresh.map(({ id, ...rest }) => rest)).toEqual(shelf.map(({ id, ...rest }) => rest));
});

test('an independent reader finds the same cells, commas, quotes and line breaks included', () => {
  const awkward = { ...ink('Say "when", now', '#445566'), line: 'a; b', note: 'first\nsecond' };
  const rows: Record<string, string>[] = parse(writeInksCsv([awkward]), { columns: true });
  expect(rows[0]).toMatchObject({
    name: 'Say "when", now',
    line: 'a; b',
    note: 'first\nsecond',
    over_white: '#445566',
  });
});

test('no cell begins as a formula, and reading gives the text back', () => {
  const sly = ['=1+1', '+SUM(A1)', '-2', '@cmd', '\tx', '＝1+1', '＠cmd'].map((name, i) => ({
    ...ink(`${name} ${i}`, '#445566'),
    note: name,
  }));
  const csv = writeInksCsv(sly);
  const cells: string[][] = parse(csv);
  for (const cell of cells.slice(1).flat()) expect(cell).not.toMatch(/^[=+\-@\t\r＝＋－＠]/);
  const back = readInksCsv(csv, [], newId).fresh.map(({ name }) => name);
  expect(back).toEqual(sly.map(({ name }) => name.trim()));
});

describe('a table from elsewhere', () => {
  test('is compared with the shelf: new, changed, clashing and faulty rows with line and reason', () => {
    const table = [
      'Name;Over White;Kind;Owned',
      'Heron Mid;54.2 -28 -8;dye;no',
      'Gorse Pale;#ffee88;hybrid;yes',
      'heron mid;#112233;dye;yes',
      'Plover;teal;dye;yes',
      ';#112233;dye;yes',
      'Dunlin;#112233;crayon;yes',
    ].join('\n');
    const read = readInksCsv(table, shelf, newId);
    expect(read.fresh).toMatchObject([{ name: 'Heron Mid', kind: 'dye', wished: true, family: 'Heron Mid' }]);
    expect(read.changed).toMatchObject([{ before: { overWhite: '#f8d46f' }, after: { id: 'gorse-pale' } }]);
    expect(read.clashing).toEqual([{ line: 4, reason: 'heron mid stands in the table already' }]);
    expect(read.faulty.map(({ line }) => line)).toEqual([5, 6, 7]);
    expect(read.faulty.map(({ reason }) => reason).join()).toMatch(/teal.*name.*crayon/);
  });

  test('a row is read by what each cell may be, and what is left out is as usual', () => {
    const header =
      'name,family,depth,kind,over_white,over_black,dry_back_percent,strength,brush,line,owned,note';
    const rowOf = (cells: string) => rowsOfCsv(`${header}\n${cells}`)[0]?.read;
    expect(rowOf('Heron,,,,#AABBCC,,,,,,,')).toEqual({
      name: 'Heron',
      family: 'Heron',
      depth: 'mid',
      kind: 'hybrid',
      overWhite: '#aabbcc',
    });
    expect(
      rowOf('Heron,Grey birds,DEEP,Pigment,#aabbcc,#112233,"12,5 %","1,25",B 3,shore,Wished for,late'),
    ).toEqual({
      name: 'Heron',
      family: 'Grey birds',
      depth: 'deep',
      kind: 'pigment',
      overWhite: '#aabbcc',
      overBlack: '#112233',
      dryBack: 0.125,
      strength: 1.25,
      brush: 'B 3',
      line: 'shore',
      note: 'late',
      wished: true,
    });
    for (const no of ['no', 'N', 'false', '0', 'wished'])
      expect(rowOf(`Heron,,,,#aabbcc,,,,,,${no},`)).toHaveProperty('wished', true);
    for (const yes of ['yes', '1', '', 'mine'])
      expect(rowOf(`Heron,,,,#aabbcc,,,,,,${yes},`)).not.toHaveProperty('wished');
  });

  test.each([
    [',,,,#aabbcc,,,,,,,', 'the name must have 1 to 120 letters'],
    [`${'x'.repeat(121)},,,,#aabbcc,,,,,,,`, 'the name must have 1 to 120 letters'],
    ['Heron,,,,,,,,,,,', 'over_white "" is not a colour: # and six digits, or L* a* b*'],
    ['Heron,,,,#aabbcc,ash,,,,,,', 'over_black "ash" is not a colour: # and six digits, or L* a* b*'],
    ['Heron,,pallid,,#aabbcc,,,,,,,', /^depth "pallid" is not one of deep, mid/],
    ['Heron,,,crayon,#aabbcc,,,,,,,', /^kind "crayon" is not one of dye, hybrid/],
    ['Heron,,,,#aabbcc,,91,,,,,', 'dry_back_percent "91" is not from 0 to 90'],
    ['Heron,,,,#aabbcc,,much,,,,,', 'dry_back_percent "much" is not from 0 to 90'],
    ['Heron,,,,#aabbcc,,,99,,,,', /^strength "99" is not from 0\.\d+ to \d/],
    ['Heron,,,,#aabbcc,,,-1,,,,', /^strength "-1" is not/],
  ])('the row “%s” is told by its first fault', (cells, fault) => {
    const header =
      'name,family,depth,kind,over_white,over_black,dry_back_percent,strength,brush,line,owned,note';
    const [row] = rowsOfCsv(`${header}\n${cells}`);
    expect(row?.line).toBe(2);
    if (typeof fault === 'string') expect(row?.read).toBe(fault);
    else expect(row?.read).toMatch(fault);
  });

  test('its header may be written in any case, with spaces and under names of before; an open quote names its line', () => {
    const [row] = rowsOfCsv('\uFEFFNAME;Over-White;Potency\r\nHeron;#445566;0,8\r');
    expect(row?.read).toMatchObject({ name: 'Heron', overWhite: '#445566', strength: 0.8 });
    expect(() => rowsOfCsv('name,over_white\nHeron,#445566\n"Plover,#112233\n')).toThrow(
      /line 3.*quote|quote/,
    );
    expect(() => rowsOfCsv(`name,over_white\n${'a,#112233\n'.repeat(20_001)}`)).toThrow(
      /20001 rows; at most 20000/,
    );
  });

  test('may be pasted from a spreadsheet, with tabs', () => {
    expect(readInksCsv('name\tover_white\nHeron\t#445566', [], newId).fresh).toHaveLength(1);
  });

  test('without its columns, or far too large, is refused', () => {
    expect(() => readInksCsv('colour,price\nred,3', shelf, newId)).toThrow(/lacks name and over_white/);
    expect(() => readInksCsv('', shelf, newId)).toThrow(/lacks/);
    expect(() => readInksCsv('x'.repeat(8_000_001), shelf, newId)).toThrow(/8 MB/);
  });
});

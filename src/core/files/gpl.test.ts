import AnyPalette from 'anypalette';
import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink } from '../../testing/resolvedRecipes';
import { rowsOfGpl, writeGpl } from './gpl';
import { compareAll } from './inkImport';

test('an independent reader finds every name and colour of the palette', async () => {
  const theirs = await new Promise<ArrayLike<{ name: string; toString(): string }>>((resolve, reject) =>
    AnyPalette.loadPalette(
      { data: writeGpl('Tollgate shelf', DEMO_INKS), fileExt: 'gpl' },
      (error: Error | null, palette: ArrayLike<{ name: string; toString(): string }>) =>
        error ? reject(error) : resolve(palette),
    ),
  );
  const channels = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
  expect(Array.from(theirs, ({ name }) => name)).toEqual(DEMO_INKS.map(({ name }) => name));
  expect(Array.from(theirs, (colour) => colour.toString().match(/\d+/g)?.slice(0, 3).map(Number))).toEqual(
    DEMO_INKS.map(({ overWhite }) => channels(overWhite)),
  );
});

test('an ink on the shelf keeps its kind and family; faulty rows are told with their line', () => {
  const shelf = [{ ...ink('Heron', '#445566', 'dye'), family: 'Birds' }];
  const text =
    'GIMP Palette\r\nName: x\r\n# note\r\n 10  20 300\tToo bright\r\n170 187 204\tHeron\r\n1 2 3\r\n';
  const { changed, fresh, faulty } = compareAll(rowsOfGpl(text, shelf), shelf, () => 'new');
  expect(changed[0]?.after).toEqual({ ...shelf[0], overWhite: '#aabbcc' });
  expect(fresh).toMatchObject([{ name: '#010203', overWhite: '#010203', kind: 'hybrid' }]);
  expect(faulty).toMatchObject([{ line: 4 }]);
  expect(() => rowsOfGpl('name,over_white', shelf)).toThrow('begins with');
});

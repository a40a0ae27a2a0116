import { createColumnHelper } from '@tanstack/react-table';
import { expect, test } from 'vitest';
import { sortRows } from './sortRows';

interface Jar {
  readonly name: string;
  readonly left: number;
}

const column = createColumnHelper<Jar>();
const COLUMNS = [
  column.accessor(({ name }) => name, { id: 'name' }),
  column.accessor(({ left }) => left, { id: 'left' }),
  column.display({ id: 'picture' }),
];
const JARS: readonly Jar[] = [
  { name: 'Kiln 10', left: 3 },
  { name: 'écru', left: 12 },
  { name: 'Kiln 9', left: 3 },
  { name: 'Ash', left: 0 },
];
const namesBy = (id: string, desc = false) => sortRows(JARS, COLUMNS, [{ id, desc }]).map(({ name }) => name);

test('names go as they are read, with figures as figures and accents beside their letters', () => {
  expect(namesBy('name')).toEqual(['Ash', 'écru', 'Kiln 9', 'Kiln 10']);
  expect(namesBy('name', true)).toEqual(['Kiln 10', 'Kiln 9', 'écru', 'Ash']);
});

test('figures go by their size, and what is alike stays in its order either way', () => {
  expect(namesBy('left')).toEqual(['Ash', 'Kiln 10', 'Kiln 9', 'écru']);
  expect(namesBy('left', true)).toEqual(['écru', 'Kiln 10', 'Kiln 9', 'Ash']);
});

test('a column without values, or none, leaves the order as it is, and the rows given stay as they were', () => {
  const asGiven = JARS.map(({ name }) => name);
  expect(namesBy('picture')).toEqual(asGiven);
  expect(namesBy('gone')).toEqual(asGiven);
  expect(sortRows(JARS, COLUMNS, []).map(({ name }) => name)).toEqual(asGiven);
  namesBy('name');
  expect(JARS.map(({ name }) => name)).toEqual(asGiven);
});

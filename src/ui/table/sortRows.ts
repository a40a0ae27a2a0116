import type { ColumnDef, SortingState } from '@tanstack/react-table';
import { nameOrder } from '../../core/base/names';

/** A column of a table that tells a value of each of its rows. */
// biome-ignore lint/suspicious/noExplicitAny: the package's own type for columns of values of several sorts
export type Column<Item> = ColumnDef<Item, any>;

/**
 * Rows in the order of a column's values: words as names are, all else as figures; rows of the same value, and those of a
 * column that is not there, stay in the order in which they are given.
 */
export function sortRows<Item>(
  rows: readonly Item[],
  columns: readonly Column<Item>[],
  sorting: SortingState,
): Item[] {
  const [by] = sorting;
  const column = columns.find(({ id }) => id !== undefined && id === by?.id);
  if (!by || !column || !('accessorFn' in column)) return [...rows];
  const { accessorFn } = column;
  const turned = by.desc ? -1 : 1;
  return rows
    .map((row, i) => ({ row, value: accessorFn(row, i) as unknown }))
    .sort((p, q) => turned * byValue(p.value, q.value))
    .map(({ row }) => row);
}

const byValue = (p: unknown, q: unknown): number =>
  typeof p === 'string' ? nameOrder(p, String(q)) : Number(p) - Number(q);

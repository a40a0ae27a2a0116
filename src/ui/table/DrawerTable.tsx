import {
  type ColumnDef,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  type Row,
  type RowSelectionState,
  type SortingState,
  useReactTable,
  type VisibilityState,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Popover } from 'radix-ui';
import { memo, type ReactNode, useRef, useState } from 'react';
import { nameOrder } from '../../core/base/names';
import { Button } from '../Button';
import { Checkbox } from '../Checkbox';

interface Props<Item extends { readonly id: string }> {
  readonly label: string;
  /** What a row is called, for its box. */
  readonly nameOf: (row: Item) => string;
  readonly rows: readonly Item[];
  // biome-ignore lint/suspicious/noExplicitAny: the package's own type for columns of values of several sorts
  readonly columns: readonly ColumnDef<Item, any>[];
  /** How it is sorted until a header is pressed. */
  readonly sorted: SortingState;
  /** Columns that are not seen until they are asked for. */
  readonly hidden: readonly string[];
  /** What can be done with the rows that are taken. */
  readonly actions: (taken: readonly Item[], drop: () => void) => ReactNode;
  readonly rowHeight?: number;
}

/** Words as names are, figures as figures. */
const byValue = <Item,>(one: Row<Item>, other: Row<Item>, column: string): number => {
  const [p, q] = [one.getValue(column), other.getValue(column)];
  return typeof p === 'string' ? nameOrder(p, String(q)) : Number(p) - Number(q);
};

/**
 * A drawer as a list: headers that sort, columns chosen, several rows taken at once. Only rows in sight are drawn, so a
 * thousand scroll like ten.
 */
export function DrawerTable<Item extends { readonly id: string }>(props: Props<Item>) {
  const { label, nameOf, rows, columns, hidden, actions, rowHeight = 44 } = props;
  const [sorting, setSorting] = useState(props.sorted);
  const [rowSelection, setRowSelection] = useState<RowSelectionState>({});
  const [columnVisibility, setColumnVisibility] = useState<VisibilityState>(() =>
    Object.fromEntries(hidden.map((id) => [id, false])),
  );
  const table = useReactTable<Item>({
    data: rows as Item[],
    columns: columns as ColumnDef<Item>[],
    getRowId: ({ id }) => id,
    state: { sorting, rowSelection, columnVisibility },
    onSortingChange: setSorting,
    onRowSelectionChange: setRowSelection,
    onColumnVisibilityChange: setColumnVisibility,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    defaultColumn: { sortingFn: byValue },
  });
  const all = table.getRowModel().rows;
  // Rows that are gone, or filtered away, are not taken.
  const taken = all.filter((row) => row.getIsSelected()).map(({ original }) => original);
  const box = useRef<HTMLDivElement>(null);
  const lines = useVirtualizer({
    count: all.length,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 10,
  });
  const seen = lines.getVirtualItems();
  const above = seen[0]?.start ?? 0;
  const below = lines.getTotalSize() - (seen.at(-1)?.end ?? 0);
  const width = table.getVisibleLeafColumns().length + 1;
  const shownColumns = table
    .getVisibleLeafColumns()
    .map(({ id }) => id)
    .join(' ');
  return (
    <>
      <div className="flex min-h-11 flex-wrap items-center gap-2 border-y border-line px-4 py-1">
        <p aria-live="polite" className="mr-2 w-20 text-mute">
          {taken.length === 0 ? 'None taken' : `${taken.length} taken`}
        </p>
        {actions(taken, () => setRowSelection({}))}
        <span className="ml-auto">
          <ColumnChoice
            columns={table
              .getAllLeafColumns()
              .filter((column) => column.getCanHide())
              .map((column) => ({
                label: String(column.columnDef.header),
                isSeen: column.getIsVisible(),
                see: (on) => column.toggleVisibility(on),
              }))}
          />
        </span>
      </div>
      <div ref={box} className="min-h-96 flex-1 overflow-auto">
        <table
          aria-label={label}
          aria-rowcount={all.length + 1}
          className="w-full table-fixed border-collapse"
          // Columns keep their widths whatever rows are in sight; a narrow page scrolls.
          style={{ minWidth: table.getTotalSize() + BOX }}
        >
          <colgroup>
            <col style={{ width: BOX }} />
            {table.getVisibleLeafColumns().map((column) => (
              <col key={column.id} style={{ width: column.getSize() }} />
            ))}
          </colgroup>
          <thead className="sticky top-0 z-10 bg-sheet">
            <tr>
              <th scope="col" className="w-10 pl-4 text-left">
                <Checkbox
                  aria-label={`Take every one of ${label.toLowerCase()}`}
                  checked={all.length > 0 && taken.length === all.length}
                  onChange={({ target }) => table.toggleAllRowsSelected(target.checked)}
                />
              </th>
              {table.getFlatHeaders().map(({ id, column, getContext }) => {
                const way = column.getIsSorted();
                return (
                  <th
                    key={id}
                    scope="col"
                    aria-sort={way === 'asc' ? 'ascending' : way === 'desc' ? 'descending' : 'none'}
                    className="text-left"
                  >
                    {column.getCanSort() ? (
                      <button
                        type="button"
                        onClick={column.getToggleSortingHandler()}
                        className="inline-flex min-h-9 w-full items-center gap-1 px-2 font-semibold whitespace-nowrap hover:bg-field focus-visible:outline-offset-[-2px]"
                      >
                        {flexRender(column.columnDef.header, getContext())}
                        {way === 'asc' && <ArrowDown size={13} aria-hidden="true" />}
                        {way === 'desc' && <ArrowUp size={13} aria-hidden="true" />}
                      </button>
                    ) : (
                      <span className="sr-only">{flexRender(column.columnDef.header, getContext())}</span>
                    )}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {above > 0 && (
              <tr style={{ height: above }}>
                <td colSpan={width} />
              </tr>
            )}
            {seen.map(({ index }) => {
              const row = all[index];
              return (
                row && (
                  <Line
                    key={row.id}
                    row={row as unknown as AnyRow}
                    name={nameOf(row.original)}
                    index={index}
                    height={rowHeight}
                    isTaken={row.getIsSelected()}
                    seen={shownColumns}
                  />
                )
              );
            })}
            {below > 0 && (
              <tr style={{ height: below }}>
                <td colSpan={width} />
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </>
  );
}

/** Room for the box that takes a row, px. */
const BOX = 40;

type AnyRow = Row<{ readonly id: string }>;

interface LineProps {
  readonly row: AnyRow;
  readonly name: string;
  readonly index: number;
  readonly height: number;
  readonly isTaken: boolean;
  /** Which columns are seen: another row is drawn for others. */
  readonly seen: string;
}

/** One row; it is drawn once, however far the list is scrolled. */
const Line = memo(function Line({ row, name, index, height, isTaken }: LineProps) {
  return (
    <tr
      aria-rowindex={index + 2}
      style={{ height }}
      className={`border-b border-line ${isTaken ? 'bg-field' : 'bg-pane hover:bg-sheet'}`}
    >
      <td className="pl-4">
        <Checkbox
          aria-label={`Take ${name}`}
          checked={isTaken}
          onChange={({ target }) => row.toggleSelected(target.checked)}
        />
      </td>
      {row.getVisibleCells().map((cell) => (
        <td key={cell.id} className="truncate px-2">
          {flexRender(cell.column.columnDef.cell, cell.getContext())}
        </td>
      ))}
    </tr>
  );
});

interface Choice {
  readonly label: string;
  readonly isSeen: boolean;
  readonly see: (on: boolean) => void;
}

/** Which columns are seen. */
const ColumnChoice = ({ columns }: { readonly columns: readonly Choice[] }) => (
  <Popover.Root>
    <Popover.Trigger asChild>
      <Button look="bare">Columns</Button>
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content
        align="end"
        sideOffset={4}
        aria-label="Columns"
        className="z-40 space-y-1.5 rounded-[3px] border border-line bg-sheet p-3 shadow-xl"
      >
        {columns.map(({ label, isSeen, see }) => (
          <div key={label}>
            <Checkbox label={label} checked={isSeen} onChange={({ target }) => see(target.checked)} />
          </div>
        ))}
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
);

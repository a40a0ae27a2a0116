import {
  flexRender,
  getCoreRowModel,
  type Row,
  type SortingState,
  useReactTable,
  type VisibilityState,
} from '@tanstack/react-table';
import { type Range, useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Popover } from 'radix-ui';
import { memo, type ReactNode, useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { useAsLeft, useScrolledAsLeft } from '../asLeft';
import { Button } from '../Button';
import { besideText } from '../besideText';
import { Checkbox } from '../Checkbox';
import { FLOATING } from '../floating';
import { listBox } from '../listBox';
import { useIsPrinted } from '../useIsPrinted';
import { type Column, sortRows } from './sortRows';

interface Props<Item extends { readonly id: string }> {
  readonly label: string;
  /** What a row is called, for its box. */
  readonly nameOf: (row: Item) => string;
  readonly rows: readonly Item[];
  readonly columns: readonly Column<Item>[];
  /** How it is sorted until a header is pressed. */
  readonly sorted: SortingState;
  /** Columns that are not seen until they are asked for. */
  readonly hidden: readonly string[];
  /** What can be done with the rows that are taken. */
  readonly actions: (taken: readonly Item[], drop: () => void) => ReactNode;
  /** Px of usual text. */
  readonly rowHeight?: number;
}

/**
 * A drawer as a list: headers that sort, columns chosen, several rows taken at once. Only rows in sight are made and drawn,
 * so a thousand open and scroll like ten; on paper there are all.
 */
export function DrawerTable<Item extends { readonly id: string }>(props: Props<Item>) {
  const { label, nameOf, rows, columns, hidden, actions } = props;
  const rowHeight = besideText(props.rowHeight ?? 44);
  const [sorting, setSorting] = useAsLeft(`${label}, sorted`, props.sorted);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(NONE);
  const [columnVisibility, setColumnVisibility] = useAsLeft<VisibilityState>(`${label}, columns`, () =>
    Object.fromEntries(hidden.map((id) => [id, false])),
  );
  const all = useMemo(() => sortRows(rows, columns, sorting), [rows, columns, sorting]);
  // Rows that are gone, or filtered away, are not taken.
  const taken = useMemo(() => all.filter(({ id }) => chosen.has(id)), [all, chosen]);
  const take = useCallback(
    (id: string, on: boolean) =>
      setChosen((now) => new Set(on ? [...now, id] : [...now].filter((one) => one !== id))),
    [],
  );
  const { box, first, end, above, below } = useDrawn(label, all.length, rowHeight);
  const table = useReactTable<Item>({
    data: useMemo(() => all.slice(first, end), [all, first, end]),
    columns: columns as Column<Item>[],
    getRowId: ({ id }) => id,
    state: { sorting, columnVisibility },
    onSortingChange: setSorting,
    onColumnVisibilityChange: setColumnVisibility,
    getCoreRowModel: getCoreRowModel(),
    manualSorting: true,
    autoResetAll: false,
  });
  const width = table.getVisibleLeafColumns().length + 1;
  const shownColumns = table
    .getVisibleLeafColumns()
    .map(({ id }) => id)
    .join(' ');
  return (
    <>
      <div className="flex min-h-11 flex-wrap items-center gap-2 border-y border-line px-4 py-1 print:hidden">
        <p aria-live="polite" className="mr-2 w-24 text-mute">
          {taken.length === 0 ? 'None selected' : `${taken.length} selected`}
        </p>
        {actions(taken, () => setChosen(NONE))}
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
      <div ref={box} className="min-h-96 flex-1 overflow-auto print:min-h-0 print:overflow-visible">
        <table
          aria-label={label}
          aria-rowcount={all.length + 1}
          className="w-full table-fixed border-collapse print:min-w-0! print:table-auto"
          // Columns keep their widths whatever rows are in sight; a narrow page scrolls.
          style={{ minWidth: besideText(table.getTotalSize()) + BOX }}
        >
          <colgroup>
            <col style={{ width: BOX }} />
            {table.getVisibleLeafColumns().map((column) => (
              <col key={column.id} style={{ width: besideText(column.getSize()) }} />
            ))}
          </colgroup>
          <thead className="sticky top-0 z-10 break-inside-avoid bg-sheet print:static">
            <tr>
              <th scope="col" className="w-10 pl-4 text-left">
                <Checkbox
                  aria-label={`Select all ${label.toLowerCase()}`}
                  checked={all.length > 0 && taken.length === all.length}
                  onChange={({ target }) =>
                    setChosen(target.checked ? new Set(all.map(({ id }) => id)) : NONE)
                  }
                />
              </th>
              {table.getFlatHeaders().map(({ id, column, getContext }) => {
                const way = column.getIsSorted();
                return (
                  <th
                    key={id}
                    scope="col"
                    aria-sort={way === 'asc' ? 'ascending' : way === 'desc' ? 'descending' : 'none'}
                    className={`text-left ${onPaper(column)}`}
                  >
                    {column.getCanSort() ? (
                      <>
                        <button
                          type="button"
                          onClick={column.getToggleSortingHandler()}
                          className="inline-flex min-h-9 w-full items-center gap-1 px-2 font-semibold whitespace-nowrap hover:bg-field focus-visible:outline-offset-[-2px] print:hidden"
                        >
                          {flexRender(column.columnDef.header, getContext())}
                          {way === 'asc' && <ArrowDown size={13} aria-hidden="true" />}
                          {way === 'desc' && <ArrowUp size={13} aria-hidden="true" />}
                        </button>
                        {/* Chromium repeats a head on each page only where no button is in it. */}
                        <span className="hidden px-2 font-semibold print:inline">
                          {flexRender(column.columnDef.header, getContext())}
                        </span>
                      </>
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
            {table.getRowModel().rows.map((row, i) => (
              <Line
                key={row.id}
                row={row as unknown as AnyRow}
                columns={columns}
                name={nameOf(row.original)}
                index={first + i}
                height={rowHeight}
                isTaken={chosen.has(row.id)}
                onTake={take}
                seen={shownColumns}
              />
            ))}
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

/**
 * Which of a list's rows are drawn, [first, end): those around what is in sight; on paper all of them. How high the rest
 * is, above and below, px.
 */
function useDrawn(label: string, count: number, rowHeight: number) {
  const box = useRef<HTMLDivElement>(null);
  const initialOffset = useScrolledAsLeft(label, box);
  const lines = useVirtualizer({
    initialOffset,
    count,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    ...listBox,
    // What lies out of sight follows once what is in sight is there.
    overscan: useDeferredValue(OVERSCAN, 0),
    rangeExtractor: inChunks,
  });
  const isPrinted = useIsPrinted();
  const seen = lines.getVirtualItems();
  if (isPrinted) return { box, first: 0, end: count, above: 0, below: 0 };
  const first = seen[0]?.index ?? 0;
  return {
    box,
    first,
    end: first + seen.length,
    above: seen[0]?.start ?? 0,
    below: lines.getTotalSize() - (seen.at(-1)?.end ?? 0),
  };
}

const NONE: ReadonlySet<string> = new Set();

/** Rows drawn ahead of those in sight, either way. */
const OVERSCAN = 10;
/** Rows come and go so many at a time: few frames of a scroll have any to lay out. */
const CHUNK = 8;

/** The rows that are made: those in sight and around them, to whole chunks. */
function inChunks({ startIndex, endIndex, overscan, count }: Range): number[] {
  const first = Math.floor(Math.max(startIndex - overscan, 0) / CHUNK) * CHUNK;
  const end = Math.min(Math.ceil((endIndex + overscan + 1) / CHUNK) * CHUNK, count);
  return Array.from({ length: end - first }, (_, i) => first + i);
}

/** A column by which nothing can be sorted has what can be done with a row, and that cannot be done on paper. */
const onPaper = (column: { readonly getCanSort: () => boolean }): string =>
  column.getCanSort() ? '' : 'print:hidden';

/** Room for the box that takes a row, px. */
const BOX = 40;

type AnyRow = Row<{ readonly id: string }>;

interface LineProps {
  readonly row: AnyRow;
  /** What is told of a row: it is drawn anew where others are told. */
  readonly columns: unknown;
  readonly name: string;
  readonly index: number;
  readonly height: number;
  readonly isTaken: boolean;
  readonly onTake: (id: string, on: boolean) => void;
  /** Which columns are seen: another row is drawn for others. */
  readonly seen: string;
}

const sameLine = ({ row, ...was }: LineProps, { row: next, ...is }: LineProps): boolean =>
  row.original === next.original && shallowEqual(was, is);

/** One row; it is drawn once, however far the list is scrolled. */
const Line = memo(
  ({ row, name, index, height, isTaken, onTake }: LineProps) => (
    <tr
      aria-rowindex={index + 2}
      style={{ height }}
      className={`break-inside-avoid border-b border-line print:h-8! ${isTaken ? 'bg-field' : 'bg-pane hover:bg-sheet'}`}
    >
      <td className="pl-4">
        <Checkbox
          aria-label={`Select ${name}`}
          checked={isTaken}
          onChange={({ target }) => onTake(row.id, target.checked)}
        />
      </td>
      {row.getVisibleCells().map((cell) => (
        <td key={cell.id} className={`truncate px-2 print:whitespace-normal ${onPaper(cell.column)}`}>
          {flexRender(cell.column.columnDef.cell, cell.getContext())}
        </td>
      ))}
    </tr>
  ),
  sameLine,
);

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
        collisionPadding={8}
        aria-label="Columns"
        className={`space-y-1.5 ${FLOATING}`}
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

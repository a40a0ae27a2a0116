import { createColumnHelper } from '@tanstack/react-table';
import { type ReactNode, useMemo } from 'react';
import { downloadTable } from '../../app/download';
import { useOnce } from '../../app/once';
import { useDatabase } from '../../app/session';
import { TagMenu } from '../../app/TagMenu';
import { useTags } from '../../app/useTags';
import { nameOrder } from '../../core/base/names';
import { hueDegrees } from '../../core/materials/colour/lab';
import { plainColour } from '../../core/materials/colour/plainWords';
import { INK_DEPTHS, type Ink } from '../../core/materials/ink/ink';
import { INK_KIND_IDS, INK_KINDS } from '../../core/materials/ink/kinds';
import type { DriedInk } from '../../core/readings/driedShelf';
import { changeRows } from '../../data/changes';
import { removeInks, saveInks } from '../../data/shelf';
import { useAsLeft } from '../../ui/asLeft';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { NoneMatches } from '../../ui/NoneMatches';
import { useNotify } from '../../ui/Notices';
import { SearchField } from '../../ui/SearchField';
import { Segmented } from '../../ui/Segmented';
import { Select } from '../../ui/Select';
import { DrawerTable } from '../../ui/table/DrawerTable';
import { ALL_INKS, familiesOf, filterShelf, type ShelfFilter } from './filterShelf';

interface Props {
  readonly inks: readonly Ink[];
  readonly dried: readonly DriedInk[];
  readonly onEdit: (ink: Ink) => void;
  readonly onRemove: (ink: Ink) => void;
}

/** The inks as a list: searched, filtered, sorted by any column, several taken at once. */
export function InkDrawer({ inks, dried, onEdit, onRemove }: Props) {
  const tags = useTags('ink');
  const [filter, setFilter] = useAsLeft<ShelfFilter>('Inks, narrowed', ALL_INKS);
  const change = (part: Partial<ShelfFilter>) => setFilter((now) => ({ ...now, ...part }));
  const driedById = useMemo(() => new Map(dried.map((one) => [one.ink.id, one])), [dried]);
  const shown = useMemo(
    () => filterShelf(inks, driedById, tags.tagsOf, filter),
    [inks, driedById, tags, filter],
  );
  const families = useMemo(() => [...new Set(inks.map(({ family }) => family))].sort(nameOrder), [inks]);
  const several = useMemo(() => familiesOf(inks, filter.family), [inks, filter.family]);
  const known = useMemo(() => tags.among(inks.map(({ id }) => id)), [tags, inks]);
  const rows = useMemo(
    () => shown.map((ink) => ({ id: ink.id, ink, dried: driedById.get(ink.id), tags: tags.tagsOf(ink.id) })),
    [shown, driedById, tags],
  );
  const columns = useColumns(onEdit, onRemove);
  return (
    <>
      <search className="flex flex-wrap items-center gap-2 px-4 py-2">
        <SearchField
          label="Search by name, colour, line, note or tag"
          hint="Name, colour, line, note or tag"
          value={filter.text}
          onChange={(text) => change({ text })}
        />
        {several.length > 0 && (
          <Select
            label="Family"
            value={filter.family}
            options={[
              { value: '', label: 'all families' },
              ...several.map((family) => ({ value: family, label: family })),
            ]}
            onChange={(family) => change({ family })}
          />
        )}
        <Select<ShelfFilter['kind']>
          label="Kind"
          value={filter.kind}
          options={[
            { value: '', label: 'all kinds' },
            ...INK_KIND_IDS.map((id) => ({ value: id, label: INK_KINDS[id].label })),
          ]}
          onChange={(kind) => change({ kind })}
        />
        {known.length > 0 && (
          <Select
            label="Tag"
            value={filter.tag}
            options={[{ value: '', label: 'any tag' }, ...known.map((tag) => ({ value: tag, label: tag }))]}
            onChange={(tag) => change({ tag })}
          />
        )}
        <Segmented<ShelfFilter['owned']>
          label="Owned or wished for"
          value={filter.owned}
          onChange={(owned) => change({ owned })}
          options={[
            { value: 'all', label: 'all' },
            { value: 'owned', label: 'owned' },
            { value: 'wished', label: 'wished for' },
          ]}
        />
        <p role="status" className="ml-auto text-mute">
          {shown.length} of {inks.length}
        </p>
      </search>
      {inks.length === 0 ? (
        <p className="px-4 py-6">
          The shelf is empty. Add an ink, import a table or a palette, or read a swatch sheet.
        </p>
      ) : shown.length === 0 ? (
        <NoneMatches onAll={() => setFilter(ALL_INKS)}>
          No ink matches. Clear the search, or add the ink.
        </NoneMatches>
      ) : (
        <DrawerTable
          label="Inks"
          nameOf={({ ink }) => ink.name}
          rows={rows}
          columns={columns}
          sorted={[
            { id: 'family', desc: false },
            { id: 'depth', desc: false },
          ]}
          hidden={['hue', 'line', 'note']}
          actions={(taken, drop) => (
            <Taken
              inks={taken.map(({ ink }) => ink)}
              tags={<TagMenu ids={taken.map(({ id }) => id)} known={known} tags={tags} />}
              families={families}
              onDone={drop}
            />
          )}
        />
      )}
    </>
  );
}

interface Row {
  readonly id: string;
  readonly ink: Ink;
  /** Undefined for what is only stamped. */
  readonly dried: DriedInk | undefined;
  readonly tags: readonly string[];
}

function useColumns(onEdit: Props['onEdit'], onRemove: Props['onRemove']) {
  return useMemo(() => {
    const column = createColumnHelper<Row>();
    return [
      column.accessor(({ ink }) => ink.name, {
        id: 'name',
        header: 'Name',
        size: 220,
        enableHiding: false,
        cell: ({ row: { original } }) => (
          <span className="flex items-center gap-2.5">
            <span
              aria-hidden="true"
              className="size-7 shrink-0 rounded-[2px] border border-black/20"
              style={{ backgroundColor: original.dried?.hex ?? original.ink.overWhite }}
            />
            <span className="min-w-0">
              <span className="block truncate font-semibold">{original.ink.name}</span>
              {original.ink.wished && <span className="block text-small text-mute">wished for</span>}
            </span>
          </span>
        ),
      }),
      column.accessor(({ dried }) => (dried ? plainColour(dried.lab) : 'stamped'), {
        id: 'colour',
        header: 'Colour',
        size: 220,
        cell: ({ getValue, row }) => (
          <span className="colour-name" title={row.original.dried?.colour.name}>
            {getValue()}
          </span>
        ),
      }),
      column.accessor(({ ink }) => ink.family, { id: 'family', header: 'Family', size: 120 }),
      column.accessor(({ ink }) => INK_DEPTHS.indexOf(ink.depth), {
        id: 'depth',
        header: 'Depth',
        size: 90,
        cell: ({ row }) => row.original.ink.depth,
      }),
      column.accessor(({ ink }) => INK_KINDS[ink.kind].label, { id: 'kind', header: 'Kind', size: 100 }),
      column.accessor(({ dried }) => dried?.lab.l ?? 0, {
        id: 'lightness',
        header: 'L*',
        size: 70,
        sortDescFirst: true,
        cell: ({ row }) => (row.original.dried ? Math.round(row.original.dried.lab.l) : ''),
      }),
      column.accessor(({ dried }) => (dried ? hueDegrees(dried.lab) : 0), {
        id: 'hue',
        header: 'Hue',
        size: 70,
        cell: ({ row, getValue }) => (row.original.dried ? `${Math.round(getValue())}°` : ''),
      }),
      column.accessor(({ ink }) => ink.line ?? '', { id: 'line', header: 'Line' }),
      column.accessor(({ ink }) => ink.note ?? '', { id: 'note', header: 'Note' }),
      column.accessor(({ tags }) => tags.join(', '), { id: 'tags', header: 'Tags' }),
      column.display({
        id: 'do',
        header: 'To do',
        size: 170,
        enableHiding: false,
        cell: ({ row: { original } }) => (
          <span className="flex justify-end gap-1">
            <Button
              look="bare"
              aria-label={`Change ${original.ink.name}`}
              onClick={() => onEdit(original.ink)}
            >
              Change
            </Button>
            <Button
              look="bare"
              className="text-mute"
              aria-label={`Take off ${original.ink.name}`}
              onClick={() => onRemove(original.ink)}
            >
              Take off
            </Button>
          </span>
        ),
      }),
    ];
  }, [onEdit, onRemove]);
}

interface TakenProps {
  readonly inks: readonly Ink[];
  readonly tags: ReactNode;
  readonly families: readonly string[];
  readonly onDone: () => void;
}

/** What can be done with several inks at once. */
function Taken({ inks, tags, families, onDone }: TakenProps) {
  const db = useDatabase();
  const notify = useNotify();
  const none = inks.length === 0;
  const told = `${inks.length} ${inks.length === 1 ? 'ink' : 'inks'}`;
  const move = useOnce(async (change: (ink: Ink) => Ink, where: string) => {
    const { undo } = await changeRows(
      db.inks,
      inks.map(({ id }) => id),
      change,
    );
    notify({ text: `${told} moved to ${where}.`, undo: () => void undo() });
    onDone();
  });
  const exportThem = async () => {
    const { writeInksCsv } = await import('../../core/files/inksCsv');
    downloadTable('inks.csv', writeInksCsv(inks));
  };
  const remove = useOnce(async () => {
    const gone = await removeInks(
      db,
      inks.map(({ id }) => id),
    );
    const stay = inks.length - gone.length;
    notify({
      text: `${gone.length} off the shelf.${stay > 0 ? ` ${stay} stay: recipes are made with them.` : ''}`,
      undo: () => void saveInks(db, gone),
    });
    onDone();
  });
  return (
    <>
      {tags}
      <Menu
        disabled={none}
        items={[
          { label: 'owned', onSelect: () => void move(({ wished: _, ...ink }) => ink, 'owned') },
          {
            label: 'wished for',
            onSelect: () => void move((ink) => ({ ...ink, wished: true }), 'wished for'),
          },
          'line',
          ...families.map((family) => ({
            label: `family ${family}`,
            onSelect: () => void move((ink) => ({ ...ink, family }), family),
          })),
        ]}
      >
        Move to …
      </Menu>
      <Button disabled={none} onClick={() => void exportThem()}>
        Export
      </Button>
      <Button disabled={none} onClick={() => void remove()}>
        Take off
      </Button>
    </>
  );
}

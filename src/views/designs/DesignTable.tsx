import { createColumnHelper } from '@tanstack/react-table';
import { strToU8, zipSync } from 'fflate';
import { useMemo } from 'react';
import { download } from '../../app/download';
import { useOnce } from '../../app/once';
import { useDatabase } from '../../app/session';
import { TagMenu } from '../../app/TagMenu';
import { takeAll } from '../../app/takeAll';
import { useTags } from '../../app/useTags';
import { formatBare, formatFine, formatLength, type Unit } from '../../core/base/length';
import { fileNameOf, freeName } from '../../core/base/names';
import { writeDesignSvg } from '../../core/files/designSvg';
import type { Design } from '../../core/materials/design/design';
import { isOwnDesign } from '../../core/materials/design/own';
import { removeDesign } from '../../data/designs';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';
import { DrawerTable } from '../../ui/table/DrawerTable';
import { DesignDrawing } from './DesignDrawing';
import { DESIGN_USE_LABELS } from './useLabels';

interface Props {
  readonly designs: readonly Design[];
  /** How fine their lines are, mm, as far as they are measured. */
  readonly finest: ReadonlyMap<string, number>;
  readonly unit: Unit;
  readonly onEdit: (design: Design) => void;
}

/** The folder of designs as a list. */
export function DesignTable({ designs, finest, unit, onEdit }: Props) {
  const db = useDatabase();
  const notify = useNotify();
  const tags = useTags('design');
  const known = useMemo(() => tags.among(designs.map(({ id }) => id)), [tags, designs]);
  const columns = useMemo(() => {
    const column = createColumnHelper<Design>();
    return [
      column.accessor(({ name }) => name, {
        id: 'name',
        header: 'Name',
        size: 240,
        enableHiding: false,
        cell: ({ row: { original } }) => (
          <span className="flex items-center gap-2.5">
            <DesignDrawing design={original} className="size-9 shrink-0" />
            {isOwnDesign(original.id) ? (
              <span className="px-1.5 font-semibold">{original.name}</span>
            ) : (
              <Button look="bare" className="font-semibold" onClick={() => onEdit(original)}>
                {original.name}
              </Button>
            )}
          </span>
        ),
      }),
      column.accessor(({ use }) => DESIGN_USE_LABELS[use], { id: 'use', header: 'Use' }),
      column.accessor(({ width, height }) => width * height, {
        id: 'size',
        header: 'Size',
        cell: ({ row: { original } }) =>
          `${formatBare(original.width, unit)} × ${formatLength(original.height, unit)}`,
      }),
      column.accessor(({ id }) => finest.get(id) ?? 0, {
        id: 'finest',
        header: 'Finest line',
        cell: ({ getValue }) => (getValue() > 0 ? formatFine(getValue(), unit) : 'measuring …'),
      }),
      column.accessor(({ id }) => (isOwnDesign(id) ? 'comes along' : 'mine'), {
        id: 'whose',
        header: 'Whose',
      }),
      column.accessor(({ id }) => tags.tagsOf(id).join(', '), { id: 'tags', header: 'Tags' }),
    ];
  }, [unit, finest, onEdit, tags]);
  const takeAway = useOnce(async (taken: readonly Design[]) => {
    const { gone, left } = await takeAll(taken, ({ id }) => removeDesign(db, id));
    notify({
      text: `${gone.length} gone.${left > 0 ? ` ${left} stay: recipes are made with them.` : ''}`,
      undo: () => void db.designs.bulkPut([...gone]),
    });
  });
  return (
    <DrawerTable
      label="Designs"
      nameOf={({ name }) => name}
      rows={designs}
      columns={columns}
      sorted={[{ id: 'name', desc: false }]}
      hidden={['whose']}
      actions={(taken, drop) => {
        const own = taken.filter(({ id }) => !isOwnDesign(id));
        return (
          <>
            <TagMenu ids={taken.map(({ id }) => id)} known={known} tags={tags} />
            <Button
              disabled={taken.length === 0}
              onClick={() => download('designs.zip', 'application/zip', zipOf(taken))}
            >
              Export
            </Button>
            <Button
              disabled={own.length === 0}
              title="Those that come along stay"
              onClick={() => void takeAway(own).then(drop)}
            >
              Take away
            </Button>
          </>
        );
      }}
    />
  );
}

/** Designs as SVG files in a zip, each by its name. */
function zipOf(designs: readonly Design[]): Uint8Array {
  const taken = new Set<string>();
  const files: Record<string, Uint8Array> = {};
  for (const design of designs) {
    const name = freeName(fileNameOf(design.name), taken);
    taken.add(name);
    files[`${name}.svg`] = strToU8(writeDesignSvg(design));
  }
  return zipSync(files);
}

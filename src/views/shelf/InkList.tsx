import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useRef } from 'react';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import type { DriedInk } from '../../core/readings/driedShelf';
import { Button } from '../../ui/Button';

interface Props {
  readonly inks: readonly Ink[];
  readonly dried: ReadonlyMap<string, DriedInk>;
  readonly onEdit: (ink: Ink) => void;
  readonly onRemove: (ink: Ink) => void;
}

const ROW = 48;

/** The inks in rows; only those in sight are drawn, so a thousand scroll like ten. */
export function InkList({ inks, dried, onEdit, onRemove }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: inks.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  return (
    <div ref={box} className="min-h-96 flex-1 overflow-y-auto px-4 pb-4">
      <ul aria-label="Inks" className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const ink = inks[index];
          return (
            ink && (
              <InkRow
                key={ink.id}
                ink={ink}
                dried={dried.get(ink.id)}
                place={`${index + 1}`}
                count={inks.length}
                start={start}
                onEdit={onEdit}
                onRemove={onRemove}
              />
            )
          );
        })}
      </ul>
    </div>
  );
}

interface RowProps extends Pick<Props, 'onEdit' | 'onRemove'> {
  readonly ink: Ink;
  readonly dried: DriedInk | undefined;
  readonly place: string;
  readonly count: number;
  readonly start: number;
}

const InkRow = memo(function InkRow({ ink, dried, place, count, start, onEdit, onRemove }: RowProps) {
  return (
    <li
      aria-posinset={Number(place)}
      aria-setsize={count}
      className="absolute inset-x-0 grid grid-cols-[3rem_minmax(0,1fr)_auto] items-center gap-x-3 border-b border-line bg-pane pr-2 md:grid-cols-[3rem_minmax(0,1.2fr)_minmax(0,1.4fr)_8rem_7rem_auto]"
      style={{ height: ROW, transform: `translateY(${start}px)` }}
    >
      <span aria-hidden="true" className="h-full" style={{ backgroundColor: dried?.hex ?? ink.overWhite }} />
      <span className="min-w-0">
        <span className="block truncate font-semibold">{ink.name}</span>
        <span className="block truncate text-small text-mute">
          {[ink.line, ink.wished ? 'wished for' : undefined, ink.note].filter(Boolean).join(' · ')}
        </span>
      </span>
      <span className="colour-name hidden truncate md:block">{dried?.colour.name}</span>
      <span className="hidden md:block">{INK_KINDS[ink.kind].label}</span>
      <span className="hidden text-mute md:block">
        {dried ? `L* ${Math.round(dried.lab.l)}` : 'stamped'}
        {` · ${ink.depth}`}
      </span>
      <span className="flex gap-1">
        <Button aria-label={`Change ${ink.name}`} onClick={() => onEdit(ink)}>
          Change
        </Button>
        <Button look="bare" aria-label={`Take ${ink.name} off the shelf`} onClick={() => onRemove(ink)}>
          Take off
        </Button>
      </span>
    </li>
  );
});

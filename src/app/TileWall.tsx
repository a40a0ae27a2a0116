import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useDeferredValue, useRef } from 'react';
import { useScrolledAsLeft } from '../ui/asLeft';
import { besideText } from '../ui/besideText';
import { listBox } from '../ui/listBox';
import { useSize } from './useSize';

interface Props<Item extends { readonly id: string }> {
  readonly label: string;
  readonly items: readonly Item[];
  /** Width a tile asks for and height it takes, both with the room around it, px of usual text. */
  readonly tile: { readonly width: number; readonly height: number };
  readonly className?: string;
  readonly children: (item: Item) => ReactNode;
}

/** Lines of tiles drawn ahead of those in sight, either way. */
const OVERSCAN = 2;

/** Room at the wall's sides, px. */
const SIDES = 16;

/**
 * Things side by side as tiles of one size; only those in sight are drawn, so five thousand scroll like ten. The same go on
 * paper, one after another: the pictures of the rest would not be there in time.
 */
export function TileWall<Item extends { readonly id: string }>(props: Props<Item>) {
  const { label, items, tile, className = '', children } = props;
  const box = useRef<HTMLDivElement>(null);
  const { width: measured } = useSize(box);
  // Before it is laid out, it is taken to be as large as the page: its tiles are made with it, not once it is measured.
  const width = measured || innerWidth;
  const height = besideText(tile.height);
  const columns = Math.max(Math.floor((width - SIDES) / besideText(tile.width)), 1);
  const initialOffset = useScrolledAsLeft(`${label}, as pictures`, box);
  const lines = useVirtualizer({
    initialOffset,
    count: Math.ceil(items.length / columns),
    getScrollElement: () => box.current,
    estimateSize: () => height,
    ...listBox,
    // What lies out of sight follows once what is in sight is there.
    overscan: useDeferredValue(OVERSCAN, 0),
  });
  return (
    <div
      ref={box}
      className={`min-h-96 flex-1 overflow-y-auto px-2 print:min-h-0 print:overflow-visible ${className}`}
    >
      <ul aria-label={label} className="relative print:h-auto!" style={{ height: lines.getTotalSize() }}>
        {lines.getVirtualItems().flatMap(({ index, start }) =>
          items.slice(index * columns, (index + 1) * columns).map((item, i) => (
            <li
              key={item.id}
              aria-posinset={index * columns + i + 1}
              aria-setsize={items.length}
              className="absolute p-2 print:static! print:inline-block print:break-inside-avoid print:align-top"
              style={{
                top: start,
                left: `${(i * 100) / columns}%`,
                width: `${100 / columns}%`,
                height,
              }}
            >
              {children(item)}
            </li>
          )),
        )}
      </ul>
    </div>
  );
}

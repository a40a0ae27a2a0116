import { createColumnHelper } from '@tanstack/react-table';
import { useMemo } from 'react';
import { useOnce } from '../../app/once';
import { useDatabase } from '../../app/session';
import { TagMenu } from '../../app/TagMenu';
import { takeAll } from '../../app/takeAll';
import { useTags } from '../../app/useTags';
import { formatBare, formatLength, type Unit } from '../../core/base/length';
import type { Card } from '../../core/materials/card/card';
import { FINISHES } from '../../core/materials/card/finishes';
import { labOfHex } from '../../core/materials/colour/hex';
import { plainColour } from '../../core/materials/colour/plainWords';
import { LastCard, removeCard } from '../../data/cards';
import { InUse } from '../../data/inUse';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';
import { DrawerTable } from '../../ui/table/DrawerTable';

interface Props {
  readonly cards: readonly Card[];
  readonly unit: Unit;
  readonly onEdit: (card: Card) => void;
}

/** The drawer of cards as a list. */
export function CardTable({ cards, unit, onEdit }: Props) {
  const db = useDatabase();
  const notify = useNotify();
  const tags = useTags('card');
  const known = useMemo(() => tags.among(cards.map(({ id }) => id)), [tags, cards]);
  const columns = useMemo(() => {
    const column = createColumnHelper<Card>();
    return [
      column.accessor(({ name }) => name, {
        id: 'name',
        header: 'Name',
        size: 280,
        enableHiding: false,
        cell: ({ row: { original } }) => (
          <span className="flex items-center gap-2.5">
            <span
              aria-hidden="true"
              className="size-7 shrink-0 border border-black/20"
              style={{ backgroundColor: original.colour }}
            />
            <Button look="bare" className="font-semibold" onClick={() => onEdit(original)}>
              {original.name}
            </Button>
          </span>
        ),
      }),
      column.accessor(({ colour }) => plainColour(labOfHex(colour)), {
        id: 'colour',
        header: 'Colour',
        cell: ({ getValue }) => <span className="colour-name">{getValue()}</span>,
      }),
      column.accessor(({ finish }) => FINISHES[finish].label, { id: 'finish', header: 'Finish' }),
      column.accessor(({ grammage }) => grammage, {
        id: 'weight',
        header: 'Weight',
        cell: ({ getValue }) => `${getValue()} g/m²`,
      }),
      column.accessor(({ sheet }) => (sheet ? sheet.width * sheet.height : 0), {
        id: 'sheet',
        header: 'Sheet',
        cell: ({ row: { original } }) =>
          original.sheet &&
          `${formatBare(original.sheet.width, unit)} × ${formatLength(original.sheet.height, unit)}`,
      }),
      column.accessor(({ stock }) => stock ?? -1, {
        id: 'stock',
        header: 'Sheets left',
        cell: ({ row: { original } }) => original.stock ?? '',
      }),
      column.accessor(({ id }) => tags.tagsOf(id).join(', '), { id: 'tags', header: 'Tags' }),
      column.accessor(({ note }) => note ?? '', { id: 'note', header: 'Note' }),
    ];
  }, [unit, onEdit, tags]);
  const takeOut = useOnce(async (taken: readonly Card[]) => {
    const { gone, left } = await takeAll(
      taken,
      (card) => removeCard(db, card.id),
      (error) => error instanceof InUse || error instanceof LastCard,
    );
    notify({
      text: `${gone.length} out of the drawer.${left > 0 ? ` ${left} stay: recipes lie on them, or it is the last.` : ''}`,
      undo: () => void db.cards.bulkPut([...gone]),
    });
  });
  return (
    <DrawerTable
      label="Cards"
      nameOf={({ name }) => name}
      rows={cards}
      columns={columns}
      sorted={[{ id: 'name', desc: false }]}
      hidden={['note']}
      actions={(taken, drop) => (
        <>
          <TagMenu ids={taken.map(({ id }) => id)} known={known} tags={tags} />
          <Button disabled={taken.length === 0} onClick={() => void takeOut(taken).then(drop)}>
            Take out
          </Button>
        </>
      )}
    />
  );
}

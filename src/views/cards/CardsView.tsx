import { useState } from 'react';
import { useOnce } from '../../app/once';
import { type Shelf, useDatabase, useShelf } from '../../app/session';
import { AS, AS_OPTIONS, type As, useAddressed } from '../../app/useAddressed';
import type { Card } from '../../core/materials/card/card';
import { LastCard, removeCard } from '../../data/cards';
import { keepRow } from '../../data/changes';
import { InUse } from '../../data/inUse';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';
import { PageHeader } from '../../ui/PageHeader';
import { Segmented } from '../../ui/Segmented';
import { CardForm } from './CardForm';
import { CardTable } from './CardTable';
import { CardTile } from './CardTile';
import { CutView } from './CutView';
import { OnAllCards } from './OnAllCards';

/** The maker's cardstock, and how a recipe looks and fits on each of it. */
export function CardsView() {
  const shelf = useShelf();
  if (!shelf) return <p className="p-6 text-mute">Opening the drawer …</p>;
  return <Drawer shelf={shelf} />;
}

function Drawer({ shelf }: { readonly shelf: Shelf }) {
  const db = useDatabase();
  const notify = useNotify();
  const unit = useAppSelector(({ view }) => view.unit);
  const [side, setSide] = useAddressed('side', ['drawer', 'recipe', 'cutting']);
  const [as, setAs] = useAddressed<As>('as', [...AS]);
  const [edited, setEdited] = useState<Card | 'new'>();

  const save = async (card: Card) => {
    const from = edited === 'new' ? undefined : edited;
    const undo = await keepRow(db.cards, card, from);
    setEdited(undefined);
    notify({
      text: from ? `${card.name} is changed.` : `${card.name} is in the drawer.`,
      undo: () => void (undo ? undo() : remove(card)),
    });
  };
  const remove = useOnce(async (card: Card) => {
    try {
      await removeCard(db, card.id);
      notify({ text: `${card.name} is out of the drawer.`, undo: () => void keepRow(db.cards, card) });
    } catch (error) {
      if (error instanceof LastCard)
        notify({ text: `${card.name} stays: it is the last card, and inks are dried on one.` });
      else if (error instanceof InUse)
        notify({
          text: `${card.name} stays: it is under ${error.by.join(', ')}. Give these another card first.`,
        });
      else throw error;
    }
  });
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <PageHeader title="Cards">
        <Segmented
          label="What to see"
          value={side}
          onChange={setSide}
          options={[
            { value: 'drawer', label: `Drawer, ${shelf.cards.length}` },
            { value: 'recipe', label: 'One recipe on all cards' },
            { value: 'cutting', label: 'Cut a batch' },
          ]}
        />
        {side === 'drawer' && (
          <Segmented<As> label="How they are seen" value={as} onChange={setAs} options={AS_OPTIONS} />
        )}
        <Button look="strong" className="ml-auto" onClick={() => setEdited('new')}>
          Add a card
        </Button>
      </PageHeader>
      {side === 'cutting' && <CutView shelf={shelf} />}
      {side === 'recipe' && <OnAllCards shelf={shelf} />}
      {side === 'drawer' && as === 'list' && <CardTable cards={shelf.cards} unit={unit} onEdit={setEdited} />}
      {side === 'drawer' && as === 'pictures' && (
        <ul
          aria-label="Cards"
          className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] content-start gap-4 overflow-y-auto p-4"
        >
          {shelf.cards.map((card) => (
            <CardTile key={card.id} card={card} unit={unit} onEdit={setEdited} onRemove={remove} />
          ))}
        </ul>
      )}
      {edited && (
        <CardForm
          card={edited === 'new' ? undefined : edited}
          unit={unit}
          onSave={save}
          onClose={() => setEdited(undefined)}
        />
      )}
    </main>
  );
}

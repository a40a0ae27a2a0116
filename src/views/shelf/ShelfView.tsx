import { lazy, Suspense, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { CardSelect } from '../../app/CardSelect';
import { download, downloadTable } from '../../app/download';
import { useOnce } from '../../app/once';
import { type Shelf, useDatabase, useShelf } from '../../app/session';
import { useAddressed } from '../../app/useAddressed';
import { useDriedShelf } from '../../app/useDriedShelf';
import { useFileDrop } from '../../app/useFileDrop';
import { freeName, nameOrder } from '../../core/base/names';
import { bareGround } from '../../core/engine/blend';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { inksOfReadings, type NamedReading } from '../../core/materials/ink/newInks';
import { usualCard } from '../../core/recipe/newRecipe';
import { keepRow } from '../../data/changes';
import { InUse } from '../../data/inUse';
import { removeInk, restoreInks, saveInks } from '../../data/shelf';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { useNotify } from '../../ui/Notices';
import { PageHeader } from '../../ui/PageHeader';
import { Segmented } from '../../ui/Segmented';
import { GapsPlane } from './GapsPlane';
import { InkDrawer } from './InkDrawer';
import { InkForm } from './InkForm';
import { TableImport } from './TableImport';
import { TwinsList } from './TwinsList';

const SwatchReader = lazy(() => import('../../app/sampling/SwatchReader'));

/** What the maker owns and wishes for. */
export function ShelfView() {
  const shelf = useShelf();
  if (!shelf) return <p className="p-6 text-mute">Reading your shelf …</p>;
  return <ShelfPage shelf={shelf} />;
}

type Side = 'inks' | 'twins' | 'gaps';

function ShelfPage({ shelf }: { readonly shelf: Shelf }) {
  const db = useDatabase();
  const notify = useNotify();
  const [side, setSide] = useAddressed<Side>('side', ['inks', 'twins', 'gaps']);
  const [cardId, setCardId] = useState(usualCard(shelf.cards)?.id);
  const [asked] = useSearchParams();
  const [edited, setEdited] = useState<Ink | 'new' | undefined>(() =>
    asked.has('new') ? 'new' : shelf.inks.find(({ id }) => id === asked.get('ink')),
  );
  const [importing, setImporting] = useState<'asked' | File>();
  const drop = useFileDrop({
    takes: 'a table or a palette of inks',
    onFiles: ([file]) => setImporting(file),
  });
  const [sampling, setSampling] = useState(false);
  const card = shelf.cards.find(({ id }) => id === cardId) ?? shelf.cards[0];

  const save = async (ink: Ink) => {
    const from = edited === 'new' ? undefined : edited;
    const undo = await keepRow(db.inks, ink, from);
    setEdited(undefined);
    notify({
      text: from ? `${ink.name} is changed.` : `${ink.name} is on the shelf.`,
      undo: () => void (undo ? undo() : remove(ink)),
    });
  };
  const keepAll = async (inks: readonly Ink[]) => {
    const before = await saveInks(db, inks);
    setImporting(undefined);
    notify({
      text: `${inks.length} ${inks.length === 1 ? 'ink is' : 'inks are'} kept.`,
      undo: () => void restoreInks(db, inks, before),
    });
  };
  const exportAll = async () => {
    const { writeInksCsv } = await import('../../core/files/inksCsv');
    downloadTable('inks.csv', writeInksCsv(shelf.inks));
  };
  const exportPalette = async () => {
    const { writeGpl } = await import('../../core/files/gpl');
    download('inks.gpl', 'text/plain', writeGpl('Tint Ladder shelf', shelf.inks));
  };
  const addRead = async (readings: readonly NamedReading[]) => {
    const names = shelf.inks.map(({ name }) => name);
    setSampling(false);
    await keepAll(inksOfReadings(readings, names, () => crypto.randomUUID()));
  };
  const remove = useOnce(async (ink: Ink) => {
    try {
      await removeInk(db, ink.id);
      notify({ text: `${ink.name} is off the shelf.`, undo: () => void keepRow(db.inks, ink) });
    } catch (error) {
      if (!(error instanceof InUse)) throw error;
      notify({
        text: `${ink.name} stays: it is laid in ${error.by.join(', ')}. Put another ink there first.`,
      });
    }
  });
  if (!card) return <p className="p-6">The shelf has no card to dry inks on.</p>;
  return (
    <main {...drop.getRootProps({ role: 'main' })} className="flex min-h-0 flex-1 flex-col">
      <PageHeader title="Inks">
        <Segmented<Side>
          label="What to see"
          value={side}
          onChange={setSide}
          options={[
            { value: 'inks', label: `Inks, ${shelf.inks.length}` },
            { value: 'twins', label: 'Twins', hint: 'Inks that dry to nearly one colour' },
            {
              value: 'gaps',
              label: 'Gaps',
              hint: 'Where the shelf is empty, and which ink would add the most',
            },
          ]}
        />
        <div className="ml-auto flex min-w-0 items-center gap-2">
          <span className="text-mute">dried on</span>
          <CardSelect cards={shelf.cards} value={card.id} onChange={setCardId} />
        </div>
        <Menu
          items={[
            { label: 'As a table', onSelect: () => void exportAll() },
            { label: 'As a palette', onSelect: () => void exportPalette() },
          ]}
        >
          Export
        </Menu>
        <Button onClick={() => setImporting('asked')}>Import</Button>
        <Button onClick={() => setSampling(true)}>From a swatch sheet</Button>
        <Button look="strong" onClick={() => setEdited('new')}>
          Add an ink
        </Button>
      </PageHeader>
      <ShelfSide
        side={side}
        shelf={shelf}
        card={card}
        onEdit={setEdited}
        onRemove={remove}
        onWish={(ink) => {
          const name = freeName(ink.name, new Set(shelf.inks.map((one) => one.name)));
          void save({ ...ink, id: crypto.randomUUID(), name, family: name });
        }}
      />
      {edited && (
        <InkForm
          ink={edited === 'new' ? undefined : edited}
          families={[...new Set(shelf.inks.map(({ family }) => family))].sort(nameOrder)}
          onSave={save}
          onClose={() => setEdited(undefined)}
        />
      )}
      {sampling && (
        <Suspense fallback={null}>
          <SwatchReader purpose="many" onUse={addRead} onClose={() => setSampling(false)} />
        </Suspense>
      )}
      {importing && (
        <TableImport
          inks={shelf.inks}
          {...(importing !== 'asked' && { dropped: importing })}
          onKeep={keepAll}
          onClose={() => setImporting(undefined)}
        />
      )}
    </main>
  );
}

interface SideProps {
  readonly side: Side;
  readonly shelf: Shelf;
  readonly card: Card;
  readonly onEdit: (ink: Ink) => void;
  readonly onRemove: (ink: Ink) => void;
  readonly onWish: (ink: Ink) => void;
}

function ShelfSide({ side, shelf, card, onEdit, onRemove, onWish }: SideProps) {
  const dried = useDriedShelf(
    shelf.inks,
    useMemo(() => bareGround(card), [card]),
  );
  if (side === 'twins') return <TwinsList dried={dried} onEdit={onEdit} onRemove={onRemove} />;
  if (side === 'gaps') return <GapsPlane inks={shelf.inks} dried={dried} card={card} onWish={onWish} />;
  return <InkDrawer inks={shelf.inks} dried={dried} onEdit={onEdit} onRemove={onRemove} />;
}

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { CardSelect } from '../../app/CardSelect';
import { download } from '../../app/download';
import { swatchesAtDesk } from '../../app/log/standIn';
import { useDeskWork } from '../../app/log/useDeskWork';
import { today } from '../../app/log/useLogActions';
import { useDatabase, useShelf } from '../../app/session';
import { useFileDrop } from '../../app/useFileDrop';
import { nameOrder } from '../../core/base/names';
import { counted, percentOf } from '../../core/base/words';
import {
  farthestOff,
  predictedFields,
  type Swatch,
  swatchId,
  swatchOf,
  withSwatch,
} from '../../core/keep/swatches/book';
import { FIELD_IDS, FIELDS, swatchPages } from '../../core/keep/swatches/page';
import type { RowReading } from '../../core/keep/swatches/readPage';
import type { Card } from '../../core/materials/card/card';
import { hexOfLab, labOfHex } from '../../core/materials/colour/hex';
import { type Ink, isBare } from '../../core/materials/ink/ink';
import { changeRows } from '../../data/changes';
import { putSwatches } from '../../data/swatches';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { tellDay } from '../../ui/dates';
import { Menu } from '../../ui/Menu';
import { useNotify } from '../../ui/Notices';
import { Select } from '../../ui/Select';
import { logWorker, paperWorker } from '../../workers/client';
import { Patch } from './PhotoReader';

/** On darker cards, L*, a page's black marks are not told from the card. */
const MARKS_SHOW = 55;

/** The swatch book: pages to print, the page read back at once, and what was predicted and read of each ink on each card. */
export default function SwatchesSide() {
  const shelf = useShelf();
  const db = useDatabase();
  const swatches = useLiveQuery(() => db.swatches.toArray(), [db]);
  const [cardId, setCardId] = useState<string>();
  const [family, setFamily] = useState('');
  const [page, setPage] = useState(0);
  if (!shelf || !swatches) return <p className="p-6 text-mute">Opening the swatch book …</p>;
  const pale = shelf.cards.filter((one) => labOfHex(one.colour).l >= MARKS_SHOW);
  const palest = pale.toSorted((p, q) => labOfHex(q.colour).l - labOfHex(p.colour).l)[0];
  const card = pale.find(({ id }) => id === cardId) ?? palest;
  const inks = shelf.inks.filter(
    (ink) => !ink.wished && !isBare(ink) && (family === '' || ink.family === family),
  );
  const pages = swatchPages(inks);
  const at = Math.min(page, pages.length - 1);
  const families = [...new Set(shelf.inks.map((ink) => ink.family))].sort(nameOrder);
  if (!card || pages.length === 0)
    return (
      <p className="p-6">Add an ink and a pale card first: the page’s black marks have to be seen on it.</p>
    );
  const rowsOf = new Set(pages[at]?.rows.map(({ inkId }) => inkId));
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <CardSelect cards={pale} value={card.id} label="Card of the swatches" onChange={setCardId} />
        <Select
          label="Family of inks"
          value={family}
          options={[
            { value: '', label: 'all inks owned' },
            ...families.map((value) => ({ value, label: value })),
          ]}
          onChange={(next) => {
            setFamily(next);
            setPage(0);
          }}
        />
        <Select
          label="Page"
          value={String(at)}
          options={pages.map((_, i) => ({ value: String(i), label: `page ${i + 1} of ${pages.length}` }))}
          onChange={(next) => setPage(Number(next))}
        />
        <PageWork key={`${card.id} ${family} ${at}`} inks={inks} card={card} page={at} />
      </div>
      <Book inks={inks.filter(({ id }) => rowsOf.has(id))} card={card} swatches={swatches} />
    </div>
  );
}

interface PageProps {
  readonly inks: readonly Ink[];
  readonly card: Card;
  readonly page: number;
}

/** Printing a page, and reading it back. */
function PageWork({ inks, card, page }: PageProps) {
  const db = useDatabase();
  const notify = useNotify();
  const { busy, problem, during } = useDeskWork();
  const [read, setRead] = useState<readonly RowReading[]>();
  const readPhoto = async (file: File): Promise<string | undefined> => {
    const laid = swatchPages(inks)[page];
    const taken = await logWorker().takePhoto(file);
    if ('refused' in taken) return taken.refused;
    if (!laid) return undefined;
    const answer = await logWorker().readSwatchPage(taken, laid, card, inks);
    if ('problem' in answer) return answer.problem;
    setRead(answer.rows);
    return undefined;
  };
  const paper = useAppSelector(({ view }) => view.paper);
  const drop = useFileDrop({
    takes: 'a photograph of a filled page',
    onFiles: ([file]) => void during('Reading the page …', () => readPhoto(file)),
  });
  const take = async (rows: readonly RowReading[]) => {
    const byId = new Map(rows.map((row) => [row.inkId, swatchOf(row, card.id, today())]));
    const bookBefore = await putSwatches(db, [...byId.values()]);
    const { count, undo } = await changeRows(db.inks, [...byId.keys()], (ink) => {
      const swatch = byId.get(ink.id);
      return swatch ? withSwatch(ink, swatch) : ink;
    });
    setRead(undefined);
    notify({
      text: `${counted(count, 'ink')} taken from the page: colour, second ground and how far water lifts.`,
      undo: () => void Promise.all([undo(), bookBefore.undo()]),
    });
  };
  return (
    <div {...drop.getRootProps()} className="contents">
      <input {...drop.getInputProps({ 'aria-label': 'Photograph of a filled swatch page' })} />
      <Button
        title={`On ${paper}; Desk settings change it. A page is read by its marks, whatever it was printed on.`}
        disabled={busy !== undefined}
        onClick={() =>
          void during('Laying the pages out …', async () => {
            const pages = await paperWorker().swatchPages(inks, card, today(), paper);
            download('swatches.pdf', 'application/pdf', pages);
            return undefined;
          })
        }
      >
        Print the pages
      </Button>
      <Button look="strong" disabled={busy !== undefined} onClick={drop.open}>
        Read the filled page
      </Button>
      <Menu
        disabled={busy !== undefined}
        items={[
          {
            label: 'Fill and photograph it at the simulated desk',
            onSelect: () =>
              void during('The simulated desk fills the page …', async () =>
                readPhoto(await swatchesAtDesk(inks, card, page)),
              ),
          },
        ]}
      >
        Without a desk at hand
      </Menu>
      {busy && (
        <span role="status" className="text-mute">
          {busy}
        </span>
      )}
      {problem && (
        <p role="alert" className="w-full max-w-xl border-l-2 border-text pl-3">
          {problem}
        </p>
      )}
      {read && (
        <ReadPage
          rows={read}
          inks={inks}
          onTake={(rows) => void take(rows)}
          onLeave={() => setRead(undefined)}
        />
      )}
    </div>
  );
}

interface ReadProps {
  readonly rows: readonly RowReading[];
  readonly inks: readonly Ink[];
  readonly onTake: (rows: readonly RowReading[]) => void;
  readonly onLeave: () => void;
}

/** What was read of a page, to be looked over before it is taken. */
function ReadPage({ rows, inks, onTake, onLeave }: ReadProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(
    () => new Set(rows.filter(({ doubt }) => doubt).map(({ inkId }) => inkId)),
  );
  const taken = rows.filter(({ inkId }) => !left.has(inkId));
  return (
    <section aria-label="What was read" className="my-2 w-full border-y border-line bg-pane p-3">
      <ul className="divide-y divide-line">
        {rows.map((row) => {
          const ink = inks.find(({ id }) => id === row.inkId);
          return (
            <li key={row.inkId} className="flex flex-wrap items-center gap-3 py-1">
              <Checkbox
                aria-label={`Take ${row.name}`}
                checked={!left.has(row.inkId)}
                onChange={({ target }) =>
                  setLeft(
                    (now) =>
                      new Set(
                        target.checked ? [...now].filter((id) => id !== row.inkId) : [...now, row.inkId],
                      ),
                  )
                }
              />
              <span className="w-32">{row.name}</span>
              <span className="flex items-center gap-1 text-mute">
                was {ink && <Patch hex={ink.overWhite} />} reads <Patch hex={row.overWhite} /> over black{' '}
                <Patch hex={row.overBlack} />
              </span>
              <span className="text-mute">
                {row.doubt ??
                  `a drop takes ${percentOf(row.lifts.atOnce)}, after a minute ${percentOf(row.lifts.waited)}`}
              </span>
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex gap-2">
        <Button look="strong" disabled={taken.length === 0} onClick={() => onTake(taken)}>
          Take {counted(taken.length, 'ink')}
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </section>
  );
}

interface BookProps {
  readonly inks: readonly Ink[];
  readonly card: Card;
  readonly swatches: readonly Swatch[];
}

/** One page of the book: each ink's fields as predicted, and below as they were read. */
function Book({ inks, card, swatches }: BookProps) {
  const rows = useMemo(() => {
    return inks.map((ink) => {
      const read = swatches.find(({ id }) => id === swatchId(ink.id, card.id));
      const said = predictedFields(ink, card);
      return { ink, read, said };
    });
  }, [inks, card, swatches]);
  return (
    <section
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      aria-label="Book of swatches"
      className="overflow-x-auto"
    >
      <table className="w-full min-w-[44rem] max-w-5xl">
        <caption className="sr-only">Swatches on {card.name}: predicted above, read below</caption>
        <thead className="text-left text-small text-mute">
          <tr>
            <th scope="col">Ink</th>
            {FIELD_IDS.map((id) => (
              <th key={id} scope="col" className="pr-2 align-bottom">
                {FIELDS[id].label}
              </th>
            ))}
            <th scope="col" className="text-right">
              off, ΔE00
            </th>
            <th scope="col" className="pl-3">
              read
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ ink, read, said }) => (
            <tr key={ink.id} className="border-t border-line">
              <th scope="row" className="pr-3 text-left font-normal">
                {ink.name}
              </th>
              {FIELD_IDS.map((id) => (
                <td key={id} className="py-1 pr-2">
                  <span
                    className="block h-4 w-20"
                    style={{ background: hexOfLab(said[id]) }}
                    title="predicted"
                  />
                  <span
                    className={`block h-4 w-20 ${read ? '' : 'border border-line border-dashed'}`}
                    style={read ? { background: hexOfLab(read.fields[id]) } : {}}
                    title={read ? 'read' : 'not read yet'}
                  />
                </td>
              ))}
              <td className="text-right tabular-nums">{read ? farthestOff(said, read).toFixed(1) : '–'}</td>
              <td className="pl-3 text-mute">{read ? tellDay(read.date) : 'not yet'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

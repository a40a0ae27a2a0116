import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useDeferredValue, useMemo, useState } from 'react';
import { bringInDemoLog } from '../../app/log/demoLog';
import { useLogActions } from '../../app/log/useLogActions';
import { usePanels } from '../../app/log/usePanels';
import { readFile } from '../../app/readFile';
import { useDatabase, useShelf } from '../../app/session';
import { useAddressed } from '../../app/useAddressed';
import { useFileDrop } from '../../app/useFileDrop';
import { counted } from '../../core/base/words';
import { type Fault, FileError } from '../../core/files/fileError';
import { LOG_FILE_LIMIT } from '../../core/files/limits';
import { comparesLadders, filterLog, type LogFilter, WHOLE_LOG } from '../../core/keep/log/filterLog';
import type { MadePanel } from '../../core/keep/log/made';
import { resolveAnyway } from '../../core/recipe/resolved';
import { logPanels, removePanels } from '../../data/panels';
import { useAppSelector } from '../../store/hooks';
import { useAsLeft } from '../../ui/asLeft';
import { Button } from '../../ui/Button';
import Faults from '../../ui/Faults';
import { useNotify } from '../../ui/Notices';
import { PageHeader } from '../../ui/PageHeader';
import { Segmented } from '../../ui/Segmented';
import { LogFilters } from './LogFilters';
import { LogForm } from './LogForm';
import { PanelWall } from './PanelWall';
import { useComparison } from './useComparison';

const Lessons = lazy(() => import('./LessonsSide'));
const Figures = lazy(() => import('./FiguresSide'));

const Swatches = lazy(() => import('./SwatchesSide'));
const Pads = lazy(() => import('./PadsSide'));

const SIDES = ['panels', 'lessons', 'swatches', 'pads', 'figures'] as const;
type Side = (typeof SIDES)[number];
const SIDE_OPTIONS = [
  { value: 'panels', label: 'Panels' },
  { value: 'lessons', label: 'What they teach' },
  { value: 'swatches', label: 'Swatch book' },
  { value: 'pads', label: 'Pads and brushes' },
  { value: 'figures', label: 'In figures' },
] as const;

/** Panels that were made: a wall of them, what they teach, and what they come to in figures. */
export function LogView() {
  const panels = usePanels();
  if (!panels) return <p className="p-6 text-mute">Reading your log …</p>;
  return <Log panels={panels} />;
}

function Log({ panels }: { readonly panels: readonly MadePanel[] }) {
  const db = useDatabase();
  const notify = useNotify();
  const [side, setSide] = useAddressed<Side>('side', [...SIDES]);
  const [isAdding, setAdding] = useState(false);
  const [refusal, setRefusal] = useState<{ fileName: string; faults: readonly Fault[] }>();
  const bringIn = async (file: File) => {
    try {
      const read = await readFile(file, LOG_FILE_LIMIT, (door, bytes) => door.readLog(bytes));
      const added = await logPanels(db, read);
      notify({
        text: `${counted(added.length, 'panel')} brought in.`,
        undo: () =>
          void removePanels(
            db,
            added.map(({ id }) => id),
          ),
      });
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      setRefusal({ fileName: file.name, faults: error.faults });
    }
  };
  const drop = useFileDrop({
    takes: 'a log that was exported here; a photograph is taken by its panel',
    accept: { 'application/json': ['.json'] },
    onFiles: ([file]) => void bringIn(file),
  });
  return (
    <main {...drop.getRootProps({ role: 'main' })} className="flex min-h-0 flex-1 flex-col">
      <input {...drop.getInputProps({ 'aria-label': 'Log file to import' })} />
      <PageHeader title="Log">
        <Segmented<Side> label="Sides of the log" value={side} onChange={setSide} options={SIDE_OPTIONS} />
        <Button look="bare" className="ml-auto" onClick={drop.open}>
          Import
        </Button>
        <Button look="bare" disabled={panels.length === 0} onClick={() => void exportLog(panels)}>
          Export
        </Button>
        <Button look="strong" onClick={() => setAdding(true)}>
          Log a panel by hand
        </Button>
      </PageHeader>
      {side === 'panels' && <Panels panels={panels} />}
      <Suspense fallback={<p className="p-6 text-mute">Opening …</p>}>
        {side === 'lessons' && <Lessons panels={panels} />}
        {side === 'swatches' && <Swatches />}
        {side === 'pads' && <Pads panels={panels} />}
        {side === 'figures' && <Figures panels={panels} />}
      </Suspense>
      {isAdding && <LogForm onClose={() => setAdding(false)} />}
      {refusal && <Faults {...refusal} onClose={() => setRefusal(undefined)} />}
    </main>
  );
}

async function exportLog(panels: readonly MadePanel[]): Promise<void> {
  const [{ writeLogFile }, { download }] = await Promise.all([
    import('../../core/files/logFile'),
    import('../../app/download'),
  ]);
  download('log.json', 'application/json', writeLogFile(panels));
}

function Panels({ panels }: { readonly panels: readonly MadePanel[] }) {
  const [filter, setFilter] = useAsLeft<LogFilter>('Log, narrowed', WHOLE_LOG);
  const inHand = useInHand();
  const asked = useDeferredValue(filter);
  const comparison = useComparison(panels, comparesLadders(asked));
  const isComparing = comparesLadders(asked) && !comparison.isReady;
  const shown = useMemo(
    () => filterLog(panels, isComparing ? { ...asked, sort: 'latest' } : asked, inHand),
    [panels, asked, inHand, isComparing],
  );
  if (panels.length === 0)
    return (
      <div className="max-w-md p-6">
        Nothing is logged yet. Finish a panel at the desk and log it with one press, or log one by hand: its
        number, photograph and readings are kept, and teach the pictures to come.
        <DemoLog />
      </div>
    );
  return (
    <>
      <LogFilters
        panels={panels}
        filter={filter}
        inHand={inHand?.recipe.name}
        told={
          isComparing
            ? `Comparing, ${comparison.done} of ${panels.length} …`
            : `${shown.length} of ${panels.length}`
        }
        onChange={setFilter}
      />
      {shown.length === 0 ? (
        <p className="max-w-md p-6">No panel matches. Ask for less.</p>
      ) : (
        <PanelWall panels={shown} />
      )}
    </>
  );
}

/** The log of the demo's pottery, to look at and to learn from. */
function DemoLog() {
  const db = useDatabase();
  const notify = useNotify();
  const { learn } = useLogActions();
  const [state, setState] = useState<'waiting' | 'failed'>();
  const bringIn = async () => {
    setState('waiting');
    const undo = await bringInDemoLog(db).catch(() => undefined);
    if (!undo) return setState('failed');
    // What it teaches counts at once, as it did at that desk.
    await learn();
    notify({
      text: 'The demo’s log is here: panels, photographs, swatches, pads and brushes.',
      undo: () => void undo(),
    });
  };
  return (
    <p className="mt-4">
      <Button disabled={state === 'waiting'} onClick={() => void bringIn()}>
        {state === 'waiting' ? 'Bringing it in …' : 'Look at the demo’s log'}
      </Button>
      {state === 'failed' && (
        <span role="alert" className="mt-2 block border-l-2 border-text pl-3">
          It could not be fetched: the server does not answer. Start it with npm start, and press again.
        </span>
      )}
    </p>
  );
}

/** The recipe in hand, or else the one changed last: what likeness is told to. */
function useInHand() {
  const db = useDatabase();
  const shelf = useShelf();
  const draft = useAppSelector(({ draft: { recipe } }) => recipe);
  const last = useLiveQuery(() => db.recipes.orderBy('updatedAt').last(), [db]);
  const recipe = draft ?? last?.recipe;
  return useMemo(() => (recipe && shelf ? resolveAnyway(recipe, shelf) : undefined), [recipe, shelf]);
}

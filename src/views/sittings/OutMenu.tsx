import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { download, downloadTable } from '../../app/download';
import { today } from '../../app/log/useLogActions';
import { usePrint } from '../../app/panel/printing';
import { useDatabase } from '../../app/session';
import { usePaperWork } from '../../app/usePaperWork';
import { counted } from '../../core/base/words';
import type { SittingRow } from '../../core/files/sittingRows';
import { inkOf, type KnownSitting, numberOf, operationOf, tellLine } from '../../core/make/sitting/known';
import { layOutOf, shortOf } from '../../core/make/sitting/layOut';
import type { SittingOutlay } from '../../core/make/sitting/outlay';
import { panelsOf, tellBrushes } from '../../core/make/sitting/record';
import type { Plan, Planned } from '../../core/make/sitting/sitting';
import { letterOf } from '../../core/sheet/brushes';
import { removeSittings, saveSittings } from '../../data/sittings';
import { useAppSelector } from '../../store/hooks';
import { tellDay } from '../../ui/dates';
import { Menu } from '../../ui/Menu';
import { useNotify } from '../../ui/Notices';
import { copyOf } from './sittingActions';

interface Props {
  readonly known: KnownSitting;
  readonly plan: Plan;
  readonly outlay: SittingOutlay | undefined;
  readonly origin: string;
}

/** What can be done with the whole of a sitting: taken out, printed, copied, taken away. */
export default function OutMenu({ known, plan, outlay, origin }: Props) {
  const { record } = known;
  const db = useDatabase();
  const navigate = useNavigate();
  const notify = useNotify();
  const { unit, paper } = useAppSelector(({ view }) => view);
  const { make, progress } = usePaperWork('Making the PDF', 'The PDF could not be made. Try again.');
  const name = record.name.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'sitting';
  const outlaid = useOnceThere(outlay);
  const printPage = usePrint();
  const rows = () =>
    plan.lines.toSorted((p, q) => p.start - q.start || p.hand - q.hand).map((line) => rowOf(known, line));
  const pdf = () =>
    make(async (worker, onProgress) => {
      const reckoned = await outlaid();
      const print = {
        name: record.name,
        told: toldOf(known),
        origin,
        makespan: plan.makespan,
        rows: rows(),
        layOut: layOutOf(known.sitting, plan, reckoned),
        paper,
      };
      const recipes = known.lots.filter(({ lot }) => lot.count > 0).map(({ resolved }) => resolved);
      // Which brush works when, and which is washed, the plan says.
      const maker = { ...known.maker, owned: {} };
      const bytes = await worker.sitting(print, recipes, unit, maker, onProgress);
      download(`${name}.pdf`, 'application/pdf', bytes);
    });
  const csv = async () => {
    const { writeSittingCsv } = await import('../../core/files/sittingRows');
    downloadTable(`${name}.csv`, writeSittingCsv(rows(), origin));
  };
  const calendar = async () => {
    const { writeSittingCalendar } = await import('../../core/files/sittingRows');
    const reckoned = await outlaid();
    const before = [
      ...shortOf(reckoned),
      ...reckoned.inks.filter(({ isDry }) => isDry).map((ink) => `Re-ink ${ink.name}.`),
    ];
    const text = writeSittingCalendar({ record, makespan: plan.makespan, panels: panelsOf(record), before });
    download(`${name}.ics`, 'text/calendar', text);
  };
  const json = async () => {
    const { writeSittingFile } = await import('../../core/files/sittingFile');
    const lots = known.lots.map(({ resolved, lot }) => ({ resolved, count: lot.count }));
    download(`${name}.json`, 'application/json', writeSittingFile(record, lots));
  };
  const keep = async (copy: ReturnType<typeof copyOf>, text: string) => {
    await saveSittings(db, [copy]);
    notify({ text, undo: () => void removeSittings(db, [copy.id]) });
    navigate(`/sittings/${copy.id}`);
  };
  const remove = async () => {
    const gone = await removeSittings(db, [record.id]);
    navigate('/sittings');
    notify({ text: `${record.name} is taken away.`, undo: () => void saveSittings(db, gone) });
  };
  if (progress) return progress;
  return (
    <Menu
      items={[
        { label: 'PDF with its sheets', onSelect: () => void pdf() },
        { label: 'Print', onSelect: () => void printPage(outlay ? undefined : outlaid()) },
        { label: 'Table (CSV)', onSelect: () => void csv() },
        ...(record.pattern ? [] : [{ label: 'Calendar (iCalendar)', onSelect: () => void calendar() }]),
        { label: 'File (JSON)', onSelect: () => void json() },
        'line',
        {
          label: record.pattern ? 'Begin it today' : 'Copy to today',
          onSelect: () =>
            void keep(copyOf(record, { date: today() }), 'It stands in your sittings for today.'),
        },
        ...(record.pattern
          ? []
          : [
              {
                label: 'Keep as a pattern',
                onSelect: () =>
                  void keep(
                    copyOf(record, 'pattern'),
                    'It is kept as a pattern, to be begun on any evening.',
                  ),
              },
            ]),
        'line',
        { label: 'Take this sitting away', onSelect: () => void remove() },
      ]}
    >
      Sitting …
    </Menu>
  );
}

/** Waits for a value that is still being found out. */
function useOnceThere<T>(value: T | undefined): () => Promise<T> {
  const waiting = useRef<((value: T) => void)[]>([]);
  useEffect(() => {
    if (value === undefined) return;
    for (const resolve of waiting.current) resolve(value);
    waiting.current = [];
  }, [value]);
  return () =>
    value === undefined ? new Promise((resolve) => waiting.current.push(resolve)) : Promise.resolve(value);
}

function rowOf(known: KnownSitting, line: Planned): SittingRow {
  const { does, start, end, hand, brush, mat } = line;
  const rest = does === 'operation' ? (operationOf(known, line)?.rest?.min ?? 0) : 0;
  const colour = inkOf(known, line)?.overWhite;
  return {
    does,
    start,
    end,
    hand,
    panel: numberOf(known, line),
    recipe: known.lots[line.group]?.resolved.recipe.name ?? '',
    work: tellLine(known, line),
    ...(brush === undefined ? {} : { brush: letterOf(brush) }),
    ...(mat === undefined ? {} : { mat: mat + 1 }),
    ...(rest > 0 ? { dryAt: end + rest } : {}),
    ...(colour ? { colour } : {}),
  };
}

/** When it is and what is at hand, in a sentence. */
function toldOf({ record }: KnownSitting): string {
  const { atHand, start, date, pattern } = record;
  return `${counted(panelsOf(record), 'panel')}, ${pattern ? 'any evening' : tellDay(date)} from ${start}; ${counted(atHand.mats, 'mat')}, ${tellBrushes(atHand.brushes)}, room for ${atHand.places} to dry.`;
}

import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useDatabase, useShelf } from '../../app/session';
import { counted, named } from '../../core/base/words';
import { lastEnd } from '../../core/make/sitting/begun';
import { washingUp } from '../../core/make/sitting/brushwork';
import type { KnownSitting } from '../../core/make/sitting/known';
import type { SheetsOf, SittingRecord, SittingRun } from '../../core/make/sitting/record';
import { momentOf } from '../../core/make/sitting/run';
import { letterOf } from '../../core/sheet/brushes';
import { describeMinutes } from '../../core/sheet/times';
import { endSitting, reopenSitting } from '../../data/sittings';
import { Button } from '../../ui/Button';
import { tellMoment } from '../../ui/dates';
import { useNotify } from '../../ui/Notices';
import { NumberField } from '../../ui/NumberField';
import { useOutlay } from './useOutlay';

interface Props {
  readonly record: SittingRecord;
  readonly run: SittingRun;
  readonly known: KnownSitting;
}

const MOST_SHEETS = 1000;

/** After the last piece: what was made, and what it took out of the drawer. */
export function EndOfSitting({ record, run, known }: Props) {
  const db = useDatabase();
  const shelf = useShelf();
  const navigate = useNavigate();
  const notify = useNotify();
  const outlay = useOutlay(known);
  const [typed, setTyped] = useState<Readonly<Record<string, number>>>({});
  const nameOf = (cardId: string) => shelf?.cards.find(({ id }) => id === cardId)?.name ?? cardId;
  const made = Object.keys(run.logged).length;
  const { brushes, minutes } = washingUp(known.sitting, run.lines);
  const over = momentOf(run, lastEnd(run.lines));
  // What the plan reserved is at hand at once.
  const planned = record.reserves ?? outlay?.used;
  const used = (planned ?? []).map(
    ({ cardId, sheets }): SheetsOf => ({ cardId, sheets: typed[cardId] ?? sheets }),
  );
  const end = async () => {
    await endSitting(db, record.id, Date.now(), used);
    notify({
      text: 'The sitting is ended, and its sheets are taken off the stock.',
      undo: () => void reopenSitting(db, record.id),
    });
    navigate(`/sittings/${record.id}`);
  };
  return (
    <section aria-label="The end" className="max-w-2xl space-y-4 bg-sheet p-8 text-xl">
      <h2 className="heading text-4xl">
        {counted(made, 'panel')} made, from {tellMoment(run.begunAt, over)} to {tellMoment(over, over)}
      </h2>
      <p>
        {run.out.length > 0 ? `${counted(run.out.length, 'panel')} taken out. ` : ''}
        {made > 0 && (
          <>
            Each is in{' '}
            <Link to="/log" className="underline underline-offset-4">
              the log
            </Link>{' '}
            with the time its steps took; the pads know what was laid.
          </>
        )}
      </p>
      {run.endedAt !== undefined ? (
        <>
          <ul>
            {(run.used ?? []).map(({ cardId, sheets }) => (
              <li key={cardId}>
                {counted(sheets, 'sheet')} of {nameOf(cardId)} taken from the drawer.
              </li>
            ))}
          </ul>
          <Link to={`/sittings/${record.id}`} className="underline underline-offset-4">
            The evening as it went
          </Link>
        </>
      ) : (
        <>
          {brushes.length > 0 && (
            <p>
              Wash {named('brush', brushes.map(letterOf))}, about {describeMinutes(minutes)}: what stays on
              one spoils the next blend.
            </p>
          )}
          {used.map(({ cardId, sheets }) => (
            <p key={cardId} className="flex items-center gap-3 text-lg">
              <NumberField
                label={`Sheets of ${nameOf(cardId)} used`}
                value={sheets}
                min={0}
                max={MOST_SHEETS}
                onValue={(value) => setTyped((all) => ({ ...all, [cardId]: Math.round(value) }))}
              />
              {sheets === 1 ? 'sheet' : 'sheets'} of {nameOf(cardId)} used
            </p>
          ))}
          <Button
            look="strong"
            className="min-h-14 px-6 text-xl"
            disabled={!planned}
            onClick={() => void end()}
          >
            End the sitting
          </Button>
        </>
      )}
    </section>
  );
}

import { useLiveQuery } from 'dexie-react-hooks';
import { Star } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useLogActions } from '../../app/log/useLogActions';
import { usePanels } from '../../app/log/usePanels';
import { useDatabase } from '../../app/session';
import { cleanName } from '../../core/base/names';
import { MADE_LIMITS, type MadePanel, RATINGS, resolveMade } from '../../core/keep/log/made';
import { Button } from '../../ui/Button';
import { tellDay } from '../../ui/dates';
import { Menu } from '../../ui/Menu';
import { PageTitle } from '../../ui/PageTitle';
import { TypedField } from '../../ui/TypedField';
import { MadeAndPredicted } from './MadeAndPredicted';
import { OnwardList } from './OnwardList';
import { PanelNotes } from './PanelNotes';
import { ReadingsList } from './ReadingsList';

/** One panel that was made: as it was predicted and as it came out, what was read, and what is said of it. */
export function PanelPage() {
  const { panelId = '' } = useParams();
  const db = useDatabase();
  // An object around it: a panel that is gone is undefined, and so is one that is not read yet.
  const found = useLiveQuery(async () => ({ panel: await db.panels.get(panelId) }), [db, panelId]);
  if (!found) return <p className="p-6 text-mute">Opening the panel …</p>;
  if (!found.panel)
    return (
      <main className="p-6">
        <PageTitle of="That panel is not in the log" />
        <h1 className="heading text-title">That panel is not in the log</h1>
        <p className="my-3">It was taken out, or never was here.</p>
        <Link to="/log" className="underline underline-offset-4">
          To the log
        </Link>
      </main>
    );
  return <Page key={found.panel.id} panel={found.panel} />;
}

function Page({ panel }: { readonly panel: MadePanel }) {
  const actions = useLogActions();
  const { made } = panel;
  const resolved = useMemo(() => (made ? resolveMade(made) : undefined), [made]);
  const rename = (typed: string): string | undefined => {
    const name = cleanName(typed);
    if (name === '' || name.length > MADE_LIMITS.name) return 'A name has 1 to 120 letters.';
    void actions.change(panel, { name });
    return undefined;
  };
  const changes = panel.changes ?? [];
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line bg-pane px-4 py-2">
        <Link to="/log" className="text-mute underline underline-offset-4">
          Log
        </Link>
        <PageTitle of={`No ${panel.number}, ${panel.name}`} />
        <h1 className="heading flex items-center gap-2 text-title">
          <span className="tabular-nums">No {panel.number}</span>
          <TypedField
            label="Name of the panel"
            shown={panel.name}
            onCommit={rename}
            className="field-sizing-content max-w-[60vw] truncate min-w-[min(20rem,60vw)]"
          />
        </h1>
        <span className="text-mute">made {tellDay(panel.date)}</span>
        <Rating panel={panel} onRate={(rating) => void actions.change(panel, { rating })} />
        <Button
          look="bare"
          aria-pressed={panel.favourite === true}
          onClick={() => void actions.change(panel, { favourite: !panel.favourite })}
        >
          <Star size={15} aria-hidden="true" fill={panel.favourite ? 'currentColor' : 'none'} /> Best of its
          sitting
        </Button>
        <span className="ml-auto flex gap-2">
          {resolved && (
            <>
              <Button look="strong" onClick={() => void actions.again(panel, false)}>
                Again
              </Button>
              {changes.length > 0 && (
                <Button onClick={() => void actions.again(panel, true)}>Again, with the change</Button>
              )}
            </>
          )}
          <Menu items={[{ label: 'Take out of the log', onSelect: () => void actions.remove([panel]) }]}>
            More
          </Menu>
        </span>
      </header>
      <div className="grid min-h-0 flex-1 content-start gap-6 overflow-y-auto p-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="min-w-0 space-y-6">
          <MadeAndPredicted panel={panel} resolved={resolved} />
          {resolved && panel.readings.length > 0 && <ReadingsList panel={panel} resolved={resolved} />}
          {resolved && <OnwardList resolved={resolved} />}
          <Series panel={panel} />
        </div>
        <PanelNotes panel={panel} />
      </div>
    </main>
  );
}

function Rating({
  panel: { rating = 0 },
  onRate,
}: {
  readonly panel: MadePanel;
  readonly onRate: (rating: number) => void;
}) {
  const marks = Array.from({ length: RATINGS.max }, (_, i) => i + 1);
  return (
    <fieldset className="flex items-center gap-0.5">
      <legend className="sr-only">Rating</legend>
      {marks.map((mark) => (
        <label
          key={mark}
          className="grid size-6 cursor-pointer place-items-center has-focus-visible:outline-2"
        >
          <input
            type="radio"
            name="rating"
            value={mark}
            aria-label={`${mark} of ${RATINGS.max}`}
            checked={rating === mark}
            onChange={() => onRate(mark)}
            className="sr-only"
          />
          <span
            aria-hidden="true"
            className={`block size-3.5 rotate-45 border border-text ${mark <= rating ? 'bg-text' : ''}`}
          />
        </label>
      ))}
    </fieldset>
  );
}

/** Other panels of the same recipe: a series of tries, before and after. */
function Series({ panel }: { readonly panel: MadePanel }) {
  const panels = usePanels();
  const id = panel.made?.recipe.id;
  const tries = (panels ?? [])
    .filter((one) => one.name === panel.name || (id !== undefined && one.made?.recipe.id === id))
    .toSorted((p, q) => p.number - q.number);
  if (tries.length < 2) return null;
  return (
    <section aria-label="Tries of it">
      <h2 className="heading mb-2">Tries of it</h2>
      <ol className="flex flex-wrap gap-3">
        {tries.map((one) => (
          <li key={one.id}>
            <Link
              to={`/log/${one.id}`}
              aria-current={one.id === panel.id ? 'true' : undefined}
              className="block border-b-2 border-transparent px-1 pb-1 aria-[current]:border-text"
            >
              No {one.number}, {tellDay(one.date)}
              {one.rating ? `, rated ${one.rating}` : ''}
              {one.differently && (
                <span className="block max-w-48 truncate text-small text-mute">then: {one.differently}</span>
              )}
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}

import { lazy, Suspense, useEffect, useId, useMemo, useRef, useState } from 'react';
import { useLogActions } from '../../app/log/useLogActions';
import { useDatabase } from '../../app/session';
import { readNumber } from '../../core/base/typed';
import { counted } from '../../core/base/words';
import { CHANGE_IDS, CHANGES, type ChangeId, type NextTime, tellChange } from '../../core/keep/log/changes';
import { inkNamesOf, MADE_LIMITS, type MadePanel, resolveMade } from '../../core/keep/log/made';
import { TROUBLE_IDS, TROUBLE_NAMES } from '../../core/keep/log/troubles';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { RUNS } from '../../core/recipe/runs/runs';
import { compileSheet } from '../../core/sheet/compile';
import { addTiming } from '../../data/timings';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Select } from '../../ui/Select';
import { Guesses } from './Guesses';

const TroubleFinder = lazy(() => import('../../app/trouble/TroubleFinder'));

/** What the maker says of a panel: who it was for, what went wrong, what would be done differently. */
export function PanelNotes({ panel }: { readonly panel: MadePanel }) {
  const { change } = useLogActions();
  const troubles = panel.troubles ?? [];
  const [isFinding, setFinding] = useState(false);
  const resolved = useMemo(() => panel.made && resolveMade(panel.made), [panel.made]);
  const set = (part: Partial<MadePanel>) => void change(panel, part);
  return (
    <aside aria-label="Notes on this panel" className="space-y-4">
      {isFinding && resolved && (
        <Suspense fallback={null}>
          <TroubleFinder
            resolved={resolved}
            action="Note it in the log"
            onFound={(trouble, found) => {
              setFinding(false);
              const isNew =
                found &&
                !(panel.changes ?? []).some(({ id, inkId }) => id === found.id && inkId === found.inkId);
              set({
                troubles: [...new Set([...troubles, trouble])],
                ...(isNew ? { changes: [...(panel.changes ?? []), found] } : {}),
              });
            }}
            onClose={() => setFinding(false)}
          />
        </Suspense>
      )}
      <p>
        {inkNamesOf(panel).join(', ')}
        {panel.made && (
          <span className="block text-mute">
            {RUNS[panel.made.recipe.run.id].label} on {panel.made.card.name}
          </span>
        )}
      </p>
      <Text
        label="Who it was for, or where it went"
        value={panel.occasion ?? ''}
        most={MADE_LIMITS.occasion}
        onKeep={(occasion) => set({ occasion })}
      />
      <Text
        label="Tags, with commas between"
        value={(panel.tags ?? []).join(', ')}
        most={MADE_LIMITS.tags * MADE_LIMITS.tag}
        onKeep={(text) => set({ tags: tagsOf(text) })}
      />
      <Guesses panel={panel} />
      <fieldset>
        <legend className="mb-1 font-semibold">What went wrong</legend>
        {panel.made && (
          <Button className="mb-1" onClick={() => setFinding(true)}>
            Find the cause by what is seen
          </Button>
        )}
        <div className="grid grid-cols-1 gap-x-3 sm:grid-cols-2 lg:grid-cols-1">
          {TROUBLE_IDS.map((id) => (
            <Checkbox
              key={id}
              label={TROUBLE_NAMES[id]}
              checked={troubles.includes(id)}
              onChange={({ target }) =>
                set({ troubles: target.checked ? [...troubles, id] : troubles.filter((one) => one !== id) })
              }
            />
          ))}
        </div>
      </fieldset>
      <Text
        label="What I would do differently"
        value={panel.differently ?? ''}
        most={MADE_LIMITS.differently}
        rows={2}
        onKeep={(differently) => set({ differently })}
      />
      {panel.made && <NextTimes panel={panel} onChange={(changes) => set({ changes })} />}
      {resolved && <DryTime panel={panel} resolved={resolved} />}
      <Text
        label="Note"
        value={panel.note ?? ''}
        most={MADE_LIMITS.note}
        rows={3}
        onKeep={(note) => set({ note })}
      />
      {panel.times && panel.times.length > 0 && (
        <section aria-label="Times">
          <h2 className="mb-1 font-semibold">
            {counted(Math.round(panel.times.reduce((sum, { minutes }) => sum + minutes, 0)), 'minute')}
          </h2>
          <ol className="text-small">
            {panel.times.map(({ key, title, minutes }) => (
              <li key={key} className="flex justify-between gap-3">
                <span className="min-w-0 truncate">{title}</span>
                <span className="text-mute tabular-nums">{minutes.toFixed(1)} min</span>
              </li>
            ))}
          </ol>
        </section>
      )}
    </aside>
  );
}

const tagsOf = (text: string): string[] =>
  [...new Set(text.split(',').map((tag) => tag.trim().slice(0, MADE_LIMITS.tag)))]
    .filter(Boolean)
    .slice(0, MADE_LIMITS.tags);

/** How long a panel took to dry: the next sheets reckon with it. */
function DryTime({ panel, resolved }: { readonly panel: MadePanel; readonly resolved: ResolvedRecipe }) {
  const db = useDatabase();
  const { change } = useLogActions();
  const id = useId();
  const expected = useMemo(() => compileSheet(resolved, 'mm').dryMinutes, [resolved]);
  const keep = (typed: string) => {
    const minutes = readNumber(typed) ?? 0;
    if (minutes <= 0 || minutes > MADE_LIMITS.minutes.max || minutes === panel.dryMinutes) return;
    void change(panel, { dryMinutes: minutes });
    if (expected > 0) void addTiming(db, 'airDry', minutes / expected);
  };
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block font-semibold">
        Dry after, minutes
      </label>
      <input
        id={id}
        inputMode="decimal"
        defaultValue={panel.dryMinutes ?? ''}
        placeholder={`usually ${Math.round(expected)}`}
        onBlur={({ target }) => keep(target.value)}
        className="frame min-h-7 w-full px-2 placeholder:text-mute"
      />
    </div>
  );
}

interface NextTimesProps {
  readonly panel: MadePanel;
  readonly onChange: (changes: readonly NextTime[]) => void;
}

/** Changes that the recipe knows how to make, to be made the next time. */
function NextTimes({ panel, onChange }: NextTimesProps) {
  const inks = panel.made?.inks ?? [];
  const changes = panel.changes ?? [];
  const nameOf = (id: string) => inks.find((ink) => ink.id === id)?.name ?? 'an ink';
  const offered = CHANGE_IDS.flatMap((id): NextTime[] =>
    CHANGES[id].ofInk ? inks.map((ink) => ({ id, inkId: ink.id })) : [{ id }],
  );
  const keyOf = ({ id, inkId = '' }: NextTime) => `${id} ${inkId}`;
  const add = (key: string) => {
    const [id, inkId] = key.split(' ') as [ChangeId, string?];
    onChange([...changes, inkId ? { id, inkId } : { id }]);
  };
  return (
    <div>
      <p className="mb-1 font-semibold">Next time</p>
      <ul className="mb-1">
        {changes.map((one) => (
          <li key={keyOf(one)} className="flex items-center justify-between">
            {tellChange(one, nameOf)}
            <Button
              look="bare"
              aria-label={`Not ${tellChange(one, nameOf)}`}
              onClick={() => onChange(changes.filter((other) => keyOf(other) !== keyOf(one)))}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      <Select
        label="A change for the next time"
        value=""
        options={[
          { value: '', label: 'add a change …' },
          ...offered
            .filter((one) => !changes.some((other) => keyOf(other) === keyOf(one)))
            .map((one) => ({ value: keyOf(one), label: tellChange(one, nameOf) })),
        ]}
        onChange={(key) => key && add(key)}
        width="w-full"
      />
    </div>
  );
}

interface TextProps {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly rows?: number;
  readonly onKeep: (text: string) => void;
}

/** A text that is kept when it is left, and when the page is. */
function Text({ label, value, most, rows = 1, onKeep }: TextProps) {
  const id = useId();
  const [typed, setTyped] = useState(value);
  const latest = useRef({ typed, value, onKeep });
  latest.current = { typed, value, onKeep };
  const keep = () => {
    const now = latest.current;
    const text = now.typed.trim().slice(0, most);
    if (text !== now.value) now.onKeep(text);
  };
  useEffect(() => setTyped(value), [value]);
  useEffect(() => () => keepLatest(latest.current, most), [most]);
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block font-semibold">
        {label}
      </label>
      <textarea
        id={id}
        rows={rows}
        maxLength={most}
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={keep}
        className="frame w-full px-2 py-1"
      />
    </div>
  );
}

function keepLatest(
  {
    typed,
    value,
    onKeep,
  }: { readonly typed: string; readonly value: string; readonly onKeep: (text: string) => void },
  most: number,
): void {
  const text = typed.trim().slice(0, most);
  if (text !== value) onKeep(text);
}

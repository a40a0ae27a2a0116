import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { download } from '../../app/download';
import { today } from '../../app/log/useLogActions';
import { useOnce } from '../../app/once';
import { useDatabase, useShelf } from '../../app/session';
import { cleanName } from '../../core/base/names';
import type { MadePanel } from '../../core/keep/log/made';
import {
  DUE,
  isPadKnown,
  OWN_TOOL_LIMITS,
  type OwnTool,
  type PadState,
  padStates,
  padWord,
  TOOL_KINDS,
  tellPad,
} from '../../core/keep/pads/pad';
import { reinkPad, removeTool, restorePad, saveTool } from '../../data/pads';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { tellDay } from '../../ui/dates';
import { InkDot } from '../../ui/InkDot';
import { useNotify } from '../../ui/Notices';
import { Select } from '../../ui/Select';
import { paperWorker } from '../../workers/client';

/** Pads by how dry they are guessed to be, with their re-inking; and brushes and daubers with what they hold. */
export default function PadsSide({ panels }: { readonly panels: readonly MadePanel[] }) {
  const db = useDatabase();
  const shelf = useShelf();
  const pads = useLiveQuery(() => db.pads.toArray(), [db]);
  const tools = useLiveQuery(() => db.tools.toArray(), [db]);
  const paper = useAppSelector(({ view }) => view.paper);
  const [usedOnly, setUsedOnly] = useState(true);
  const states = useMemo(
    () => (shelf && pads ? padStates(shelf.inks, pads, panels, today()) : []),
    [shelf, pads, panels],
  );
  const used = states.filter(({ inked, panels: laid }) => inked !== undefined || laid > 0);
  const shown = usedOnly && used.length > 0 ? used : states;
  const due = states.filter(({ dryness }) => dryness >= DUE);
  const remind = async () => {
    const { writePadReminders } = await import('../../core/files/padReminders');
    download('pads.ics', 'text/calendar', writePadReminders(states, new Date()));
  };
  const print = async () => {
    const held = new Map((shelf?.inks ?? []).map((ink) => [ink.name, ink.overWhite]));
    const labels = [
      ...(tools ?? []).map(({ label, holds = '' }) => {
        const colour = held.get(holds);
        return { text: label, under: holds, ...(colour ? { colour } : {}) };
      }),
      ...shown.map(({ ink }) => ({ text: ink.name, under: 'pad', colour: ink.overWhite })),
    ];
    download('labels.pdf', 'application/pdf', await paperWorker().labels(labels, paper));
  };
  return (
    <div className="grid min-h-0 flex-1 content-start gap-8 overflow-y-auto p-4 lg:grid-cols-2">
      <section aria-label="Pads">
        <div className="mb-2 flex flex-wrap items-center gap-3">
          <h2 className="heading">Pads</h2>
          <p className="text-mute">
            {due.length === 0
              ? 'None is due.'
              : `${due.length} due: ${due
                  .slice(0, 4)
                  .map(({ ink }) => ink.name)
                  .join(', ')}${due.length > 4 ? ' …' : ''}`}
          </p>
          <Button className="ml-auto" disabled={used.length === 0} onClick={() => void remind()}>
            Remind me by calendar
          </Button>
          <Button disabled={shown.length === 0} onClick={() => void print()}>
            Labels to print
          </Button>
        </div>
        <Checkbox
          label="Only pads that were used or re-inked"
          checked={usedOnly}
          onChange={({ target }) => setUsedOnly(target.checked)}
        />
        <ul className="mt-2 divide-y divide-line border-y border-line">
          {shown.map((state) => (
            <PadRow key={state.ink.id} state={state} />
          ))}
        </ul>
      </section>
      <OwnTools tools={tools ?? []} />
    </div>
  );
}

/** So dry a pad is shown as empty. */
const EMPTY = 1.3;

function PadRow({ state }: { readonly state: PadState }) {
  const db = useDatabase();
  const notify = useNotify();
  const { ink, dryness } = state;
  const isKnown = isPadKnown(state);
  const left = Math.round(100 * Math.min(1, Math.max(0, 1 - dryness / EMPTY)));
  const reink = useOnce(async () => {
    const before = await reinkPad(db, ink.id, today());
    notify({ text: `${ink.name} re-inked today.`, undo: () => void restorePad(db, ink.id, before) });
  });
  return (
    <li className="flex flex-wrap items-center gap-3 py-1.5">
      <InkDot ink={ink} className="size-5" />
      <span className="min-w-40 flex-1">
        {ink.name}
        <span className="block text-small text-mute">{tellPad(state)}</span>
      </span>
      {isKnown && (
        <span aria-hidden="true" className="block h-2 w-20 border border-text">
          <span className="block h-full bg-text" style={{ width: `${left}%` }} />
        </span>
      )}
      <span className={isKnown ? 'w-10' : ''}>{isKnown ? padWord(dryness) : 'not known'}</span>
      <Button aria-label={`${ink.name} is re-inked today`} onClick={() => void reink()}>
        Re-inked today
      </Button>
    </li>
  );
}

/** Brushes and daubers of one's own: what each is called, what it last held, when it was washed. */
function OwnTools({ tools }: { readonly tools: readonly OwnTool[] }) {
  const db = useDatabase();
  const shelf = useShelf();
  const notify = useNotify();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<OwnTool['kind']>('brush');
  const name = cleanName(label);
  const canAdd = name !== '' && name.length <= OWN_TOOL_LIMITS.label && tools.length < OWN_TOOL_LIMITS.tools;
  const add = useOnce(async () => {
    if (!canAdd) return;
    await saveTool(db, { id: crypto.randomUUID(), kind, label: name });
    setLabel('');
  });
  const wash = useOnce(async (tool: OwnTool) => {
    const { holds: _, ...rest } = tool;
    await saveTool(db, { ...rest, washed: today() });
    notify({ text: `${tool.label} is washed.`, undo: () => void saveTool(db, tool) });
  });
  const takeAway = useOnce(async (tool: OwnTool) => {
    await removeTool(db, tool);
    notify({ text: `${tool.label} is taken away.`, undo: () => void saveTool(db, tool) });
  });
  return (
    <section aria-label="Brushes and daubers">
      <h2 className="heading mb-2">Brushes and daubers</h2>
      <form
        className="mb-2 flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <Select
          label="Kind"
          value={kind}
          options={TOOL_KINDS.map((value) => ({ value, label: value }))}
          onChange={setKind}
        />
        <input
          aria-label="What is written on it"
          placeholder="What is written on it"
          maxLength={OWN_TOOL_LIMITS.label}
          value={label}
          onChange={({ target }) => setLabel(target.value)}
          className="frame min-h-7 flex-1 px-2 placeholder:text-mute"
        />
        <Button type="submit" disabled={!canAdd}>
          Add
        </Button>
      </form>
      {tools.length === 0 ? (
        <p className="max-w-md text-mute">
          None yet. A brush that is known by name holds one ink’s family, and is washed when it changes.
        </p>
      ) : (
        <ul className="divide-y divide-line border-y border-line">
          {tools.map((tool) => (
            <li key={tool.id} className="flex flex-wrap items-center gap-2 py-1.5">
              <span className="min-w-32 flex-1">
                {tool.label} <span className="text-mute">{tool.kind}</span>
                <span className="block text-small text-mute">
                  {tool.washed ? `washed ${tellDay(tool.washed)}` : 'never washed'}
                </span>
              </span>
              <Select
                label={`What ${tool.label} holds`}
                value={tool.holds ?? ''}
                options={[
                  { value: '', label: 'holds nothing' },
                  ...(shelf?.inks ?? []).map((ink) => ({ value: ink.name, label: ink.name })),
                ]}
                onChange={(holds) => {
                  const { holds: _, ...rest } = tool;
                  void saveTool(db, holds ? { ...rest, holds } : rest);
                }}
              />
              <Button aria-label={`${tool.label} is washed today`} onClick={() => void wash(tool)}>
                Washed today
              </Button>
              <Button look="bare" aria-label={`Take ${tool.label} away`} onClick={() => void takeAway(tool)}>
                ×
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

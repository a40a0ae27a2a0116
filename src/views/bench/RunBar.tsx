import { memo, useCallback, useMemo } from 'react';
import type { Ink } from '../../core/ink/ink';
import { INK_KINDS } from '../../core/ink/kinds';
import {
  addOver,
  copyRun,
  copyShares,
  removeOver,
  reverse,
  setOver,
  setRun,
  setRunParams,
  shareEqually,
} from '../../core/ladder/edit';
import type { Recipe } from '../../core/ladder/recipe';
import { OVER_IDS, OVERS, type Over } from '../../core/over/over';
import type { Readings } from '../../core/readings/readings';
import { RUN_IDS, RUNS, type RunId } from '../../core/run/run';
import { TOOL_IDS, TOOLS, type ToolId } from '../../core/tool/tools';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { Segmented } from '../../ui/Segmented';
import type { Shelf } from '../session';
import { InkChoice } from '../trios/InkChoice';
import { ParamFields } from './ParamFields';
import { type Edit, orderedBy } from './useBench';
import { useOtherRecipe } from './useOtherRecipe';

interface Props {
  readonly run: Recipe['run'];
  readonly overs: Recipe['overs'];
  readonly tool: ToolId;
  readonly shelf: Shelf;
  readonly readings: Readings;
  readonly edit: Edit;
}

/** How the ladder lies, what lies over it and what it is laid with, with all their numbers. */
export const RunBar = memo(function RunBar({ run, overs, tool, shelf, readings, edit }: Props) {
  const inks = useMemo(() => shelf.inks.filter(({ kind }) => INK_KINDS[kind].blends), [shelf.inks]);
  return (
    <>
      <RunRow
        runId={run.id}
        laid={overs.map(({ id }) => id).join(' ')}
        tool={tool}
        readings={readings}
        edit={edit}
      />
      {(RUNS[run.id].params.length > 0 || overs.length > 0) && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5">
          {RUNS[run.id].params.length > 0 && (
            <ParamFields
              of={RUNS[run.id].label}
              specs={RUNS[run.id].params}
              params={run.params}
              onChange={(params, gesture) => edit((recipe) => setRunParams(recipe, params), gesture)}
            />
          )}
          {overs.map((over) => (
            <OverFields key={over.id} over={over} inks={inks} edit={edit} />
          ))}
        </div>
      )}
    </>
  );
});

interface RowProps extends Pick<Props, 'tool' | 'readings' | 'edit'> {
  readonly runId: RunId;
  /** What lies over the ladder already, by its ids: a text, so that a number that changes draws nothing anew. */
  readonly laid: string;
}

/** What can be chosen about the run; it stays as it is while one of the numbers moves. */
const RunRow = memo(function RunRow({ runId, laid, tool, readings, edit }: RowProps) {
  const darkest = useMemo(
    () => readings.rungs.reduce((dark, rung) => (rung.lab.l < dark.lab.l ? rung : dark)).ink.id,
    [readings],
  );
  const { ask, dialog } = useOtherRecipe();
  return (
    <>
      <div data-tour="run" className="flex flex-wrap items-center gap-2">
        <Segmented<RunId>
          label="How the ladder lies"
          value={runId}
          onChange={(id) => edit((recipe) => setRun(recipe, id))}
          options={RUN_IDS.map((id) => ({ value: id, label: RUNS[id].label, hint: RUNS[id].explains }))}
        />
        <select
          aria-label="Laid with"
          value={tool}
          onChange={({ target }) => edit((recipe) => ({ ...recipe, tool: target.value as ToolId }))}
          className="frame min-h-7 max-w-full px-1 py-0.5"
        >
          {TOOL_IDS.map((id) => (
            <option key={id} value={id}>
              {TOOLS[id].label}
            </option>
          ))}
        </select>
        <Menu
          items={OVER_IDS.map((id) => ({
            label: OVERS[id].label,
            hint: OVERS[id].explains,
            disabled: laid.split(' ').includes(id),
            onSelect: () => edit((recipe) => addOver(recipe, id, darkest)),
          }))}
        >
          Lay over it
        </Menu>
        <Menu
          items={[
            { label: 'Light to dark, pale at the top', onSelect: () => edit(orderedBy(readings, 'top')) },
            { label: 'Light to dark, pale at the foot', onSelect: () => edit(orderedBy(readings, 'foot')) },
            { label: 'Reverse', onSelect: () => edit(reverse) },
            { label: 'Equal shares', onSelect: () => edit(shareEqually) },
            'line',
            {
              label: 'Take the run of another recipe',
              onSelect: () =>
                ask('Take the run, its tool and what lies over it from', (from) =>
                  edit((to) => copyRun(to, from)),
                ),
            },
            {
              label: 'Take the shares of another recipe',
              onSelect: () =>
                ask(
                  'Take shares and joints from',
                  (from) => edit((to) => copyShares(to, from)),
                  ({ rungs }) => rungs.length === readings.rungs.length,
                ),
            },
          ]}
        >
          Arrange
        </Menu>
      </div>
      {dialog}
    </>
  );
});

interface OverProps extends Pick<Props, 'edit'> {
  readonly over: Over;
  readonly inks: readonly Ink[];
}

/** What lies over the ladder: its ink, its numbers, and the way to take it off. */
const OverFields = memo(function OverFields({ over: { id, inkId, params }, inks, edit }: OverProps) {
  const { label, params: specs } = OVERS[id];
  const name = label.toLowerCase();
  const setOverInk = useCallback(
    (next: string) => edit((recipe) => setOver(recipe, id, { inkId: next })),
    [edit, id],
  );
  return (
    <fieldset className="flex flex-wrap items-center gap-1.5 border-l-2 border-text pl-2">
      <legend className="sr-only">{label}</legend>
      <span className="font-semibold">{label}</span>
      <span className="w-34">
        <InkChoice label={`Ink of the ${name}`} inks={inks} value={inkId} onChange={setOverInk} />
      </span>
      <ParamFields
        of={label}
        specs={specs}
        params={params}
        onChange={(next, gesture) => edit((recipe) => setOver(recipe, id, { params: next }), gesture)}
      />
      <Button
        look="bare"
        aria-label={`Take the ${name} off`}
        onClick={() => edit((recipe) => removeOver(recipe, id))}
      >
        ×
      </Button>
    </fieldset>
  );
});

import { memo } from 'react';
import { ParamFields } from '../../app/ParamFields';
import { type Edit, orderedBy } from '../../app/useBench';
import type { Card } from '../../core/materials/card/card';
import type { Readings } from '../../core/readings/readings';
import {
  copyRun,
  copyShares,
  reverse,
  setRun,
  setRunParams,
  shareEqually,
} from '../../core/recipe/editLadder';
import type { Recipe } from '../../core/recipe/recipe';
import { RUN_IDS, RUNS, type RunId } from '../../core/recipe/runs/runs';
import { TOOL_IDS, TOOLS, type ToolId } from '../../core/recipe/tools/tools';
import { Menu } from '../../ui/Menu';
import { Segmented } from '../../ui/Segmented';
import { Select } from '../../ui/Select';
import { useOtherRecipe } from './useOtherRecipe';

interface Props {
  readonly cards: readonly Card[];
  readonly alsoOn: Recipe['alsoOn'];
  readonly run: Recipe['run'];
  readonly panel: Recipe['panel'];
  readonly tool: ToolId;
  readonly readings: Readings;
  readonly edit: Edit;
}

/** How the ladder lies and what it is laid with, with all their numbers. */
export const RunBar = memo(function RunBar({ run, panel, tool, cards, alsoOn, readings, edit }: Props) {
  return (
    <>
      <RunRow runId={run.id} {...{ tool, cards, alsoOn, readings, edit }} />
      {Object.keys(RUNS[run.id].params).length > 0 && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5">
          <ParamFields
            of={RUNS[run.id].label}
            specs={RUNS[run.id].params}
            params={run.params}
            panel={panel}
            onChange={(params, gesture) => edit((recipe) => setRunParams(recipe, params), gesture)}
          />
        </div>
      )}
    </>
  );
});

interface RowProps extends Pick<Props, 'tool' | 'cards' | 'alsoOn' | 'readings' | 'edit'> {
  readonly runId: RunId;
}

/** What can be chosen about the run; it stays as it is while one of the numbers moves. */
const RunRow = memo(function RunRow({ runId, tool, cards, alsoOn, readings, edit }: RowProps) {
  const { ask, dialog } = useOtherRecipe();
  return (
    <>
      <div data-tour="run" className="flex flex-wrap items-center gap-2">
        <Segmented<RunId>
          label="How the ladder lies"
          value={runId}
          onChange={(id) => edit((recipe) => setRun(recipe, id))}
          options={RUN_IDS.map((id) => ({ value: id, label: RUNS[id].label, hint: RUNS[id].description }))}
        />
        <Select<ToolId>
          label="Laid with"
          value={tool}
          options={TOOL_IDS.map((id) => ({ value: id, label: TOOLS[id].label }))}
          onChange={(next) => edit((recipe) => ({ ...recipe, tool: next }))}
        />
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
                ask('Take the run, its tool and its passes from', (from) => edit((to) => copyRun(to, from))),
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
        <Select
          label="Laid at the same time on"
          value={alsoOn ?? ''}
          options={[
            { value: '', label: 'one panel' },
            ...cards.map(({ id, name }) => ({ value: id, label: `and on ${name}` })),
          ]}
          onChange={(id) =>
            edit(({ alsoOn: _, ...recipe }) => (id === '' ? recipe : { ...recipe, alsoOn: id }))
          }
          width="w-30"
        />
      </div>
      {dialog}
    </>
  );
});

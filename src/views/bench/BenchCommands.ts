import { useMemo } from 'react';
import { type Command, useCommands } from '../../app/commands';
import { orderedBy, readingsHere } from '../../app/readingsHere';
import type { Edit } from '../../app/useBench';
import { reverse, setRun, shareEqually } from '../../core/recipe/editLadder';
import { PASS_KIND_IDS, PASS_KINDS, type PassKindId } from '../../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { RUN_IDS, RUNS } from '../../core/recipe/runs/runs';
import { redone, undone } from '../../store/draft';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { closer, type Look } from './look';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly edit: Edit;
  readonly onAdd: (kind: PassKindId) => void;
  readonly onSeen: () => void;
  readonly onExport: () => void;
  /** To the sheet, or to the desk. */
  readonly onGo: (where: 'sheet' | 'desk') => void;
  readonly look: Look;
  readonly onLook: (change: Partial<Look>) => void;
}

/** What can be done to the recipe on the bench, by name and by key. */
export function BenchCommands({ resolved, edit, onAdd, onSeen, onExport, onGo, look, onLook }: Props) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const readings = readingsHere(resolved);
  useCommands(
    useMemo<readonly Command[]>(() => {
      const turn = () =>
        dispatch(viewSet({ wetness: store.getState().view.wetness === 'wet' ? 'dry' : 'wet' }));
      return [
        { id: 'undo', label: 'Undo', group: 'Change', key: 'Ctrl+z', run: () => dispatch(undone()) },
        { id: 'redo', label: 'Redo', group: 'Change', key: 'Ctrl+Shift+z', run: () => dispatch(redone()) },
        {
          id: 'redo-y',
          label: 'Redo, the other key',
          group: 'Change',
          key: 'Ctrl+y',
          run: () => dispatch(redone()),
        },
        {
          id: 'seen',
          label: 'Will it be seen?',
          also: 'contrast greeting legible',
          group: 'Panel',
          key: 's',
          run: onSeen,
        },
        {
          id: 'loupe',
          label: 'Loupe on or off',
          also: 'magnifier read colour',
          group: 'Panel',
          key: 'l',
          run: () => onLook({ loupe: !look.loupe }),
        },
        { id: 'zoom-in', label: 'Zoom in', group: 'Panel', key: '+', run: () => onLook(closer(look, 1)) },
        { id: 'zoom-out', label: 'Zoom out', group: 'Panel', key: '-', run: () => onLook(closer(look, -1)) },
        {
          id: 'sheet',
          label: 'Print the order of work',
          also: 'full sheet pdf steps',
          group: 'Recipe',
          key: 'p',
          run: () => onGo('sheet'),
        },
        {
          id: 'export',
          label: 'Export this recipe as a file',
          also: 'save json share send',
          group: 'Recipe',
          run: onExport,
        },
        {
          id: 'desk',
          label: 'Work step by step',
          also: 'desk make start begin',
          group: 'Recipe',
          run: () => onGo('desk'),
        },
        { id: 'wet', label: 'Wet or dried', group: 'Panel', key: 'w', run: turn },
        ...RUN_IDS.map((id) => ({
          id: `run-${id}`,
          label: `Run: ${RUNS[id].label.toLowerCase()}`,
          group: 'Ladder',
          run: () => edit((recipe) => setRun(recipe, id)),
        })),
        ...PASS_KIND_IDS.map((id) => ({
          id: `pass-${id}`,
          label: `Add a pass: ${PASS_KINDS[id].label.toLowerCase()}`,
          group: 'Passes',
          run: () => onAdd(id),
        })),
        {
          id: 'top',
          label: 'Light to dark, pale at the top',
          group: 'Ladder',
          run: () => edit(orderedBy(readings, 'top')),
        },
        {
          id: 'foot',
          label: 'Light to dark, pale at the foot',
          group: 'Ladder',
          run: () => edit(orderedBy(readings, 'foot')),
        },
        { id: 'reverse', label: 'Reverse', group: 'Ladder', key: 'r', run: () => edit(reverse) },
        { id: 'equal', label: 'Equal shares', group: 'Ladder', run: () => edit(shareEqually) },
      ];
    }, [readings, edit, onAdd, onSeen, onExport, onGo, look, onLook, dispatch, store]),
  );
  return null;
}

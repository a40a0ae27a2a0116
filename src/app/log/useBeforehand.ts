import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { inkNamesOf, type MadePanel } from '../../core/keep/log/made';
import { TROUBLE_IDS, TROUBLE_NAMES } from '../../core/keep/log/troubles';
import { DUE, padStates, tellPad } from '../../core/keep/pads/pad';
import { oftenWrong } from '../../core/keep/trouble/findCauses';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useDatabase } from '../session';
import { today } from './useLogActions';
import { usePanels } from './usePanels';

/** What the log and the pads say before work on a recipe begins: pads that are due, and what often goes wrong with its inks. */
export function useBeforehand(resolved: ResolvedRecipe): readonly string[] {
  const db = useDatabase();
  const panels = usePanels();
  const pads = useLiveQuery(() => db.pads.toArray(), [db]);
  return useMemo(() => (panels && pads ? beforehand(resolved, panels, pads) : []), [resolved, panels, pads]);
}

function beforehand(
  { inks, passInks }: ResolvedRecipe,
  panels: readonly MadePanel[],
  pads: Parameters<typeof padStates>[1],
): readonly string[] {
  const own = [...new Map([...inks, ...passInks].map((ink) => [ink.id, ink])).values()];
  const due = padStates(own, pads, panels, today()).filter(({ dryness }) => dryness >= DUE);
  const names = new Set(own.map(({ name }) => name));
  const alike = panels.filter((panel) => inkNamesOf(panel).some((name) => names.has(name)));
  const often = oftenWrong(TROUBLE_IDS, (trouble) => ({
    times: alike.filter(({ troubles }) => troubles?.includes(trouble)).length,
    of: alike.length,
  }));
  return [
    ...due.map((state) => `Re-ink ${state.ink.name} first: ${tellPad(state)}.`),
    ...often.map(
      ({ trouble, times, of }) => `With these inks, ${times} of ${of} panels had ${TROUBLE_NAMES[trouble]}.`,
    ),
  ];
}

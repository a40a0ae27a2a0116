import { useLiveQuery } from 'dexie-react-hooks';
import type { Assembly, MatLayer } from '../core/make/cutting/pieces';
import { readSetting } from '../data/settings';
import { useDatabase } from './session';

/** A mat as it is chosen: which one it is stays, whatever is taken off. */
export interface ChosenMat extends MatLayer {
  readonly id: string;
}

/** What a maker chooses about a batch of cards; the panel comes from the recipe. */
export interface Cutting extends Omit<Assembly, 'panel' | 'panelCardId'> {
  readonly mats: readonly ChosenMat[];
  /** Keep the grain alike in all pieces. */
  readonly grain: boolean;
}

/** Under this key the last assembly is remembered. */
export const CUTTING_SETTING = 'cutting';

const STARTING: Cutting = {
  cards: 12,
  oversize: 0,
  mats: [{ id: 'm1', margin: 3, cardId: 'black' }],
  base: { margin: 5, cardId: 'smooth-white', fold: 'side' },
  greeting: undefined,
  grain: false,
};

/** What is remembered, where it once left out what it has now. */
function cuttingOf(remembered: unknown): Cutting {
  const choices: Cutting = { ...STARTING, ...(remembered as Partial<Cutting> | undefined) };
  return { ...choices, mats: choices.mats.map((mat, i) => ({ ...mat, id: mat.id ?? `m${i + 1}` })) };
}

/** How cards are put together, as it was last chosen; undefined until it has been read. */
export function useCutting(): Cutting | undefined {
  const db = useDatabase();
  return useLiveQuery(async () => cuttingOf(await readSetting(db, CUTTING_SETTING)), [db]);
}

import { scaleJoints, setShare } from '../../recipe/editLadder';
import type { Recipe } from '../../recipe/recipe';

/** A change for the next time that a recipe knows how to make. */
export const CHANGE_IDS = [
  'widerJoints',
  'narrowerJoints',
  'roomFor',
  'lessOf',
  'paleFirst',
  'darkFirst',
  'byBrush',
] as const;
export type ChangeId = (typeof CHANGE_IDS)[number];

export interface NextTime {
  readonly id: ChangeId;
  /** Of which ink, where it is one ink's. */
  readonly inkId?: string;
}

/** So much wider or narrower a joint becomes; so much of the run an ink gains or loses. */
const WIDER = 1.4;
const MORE = 1.25;

/** What a change is called; whether it is one ink's. */
export const CHANGES: Readonly<Record<ChangeId, { readonly label: string; readonly ofInk: boolean }>> = {
  widerJoints: { label: 'wider joints', ofInk: false },
  narrowerJoints: { label: 'narrower joints', ofInk: false },
  roomFor: { label: 'more room for', ofInk: true },
  lessOf: { label: 'less of', ofInk: true },
  paleFirst: { label: 'lay pale to dark', ofInk: false },
  darkFirst: { label: 'lay dark to pale', ofInk: false },
  byBrush: { label: 'by brush', ofInk: false },
};

function shared(recipe: Recipe, inkId: string | undefined, times: number): Recipe {
  const at = recipe.rungs.findIndex((rung) => rung.inkId === inkId);
  const share = recipe.rungs[at]?.share;
  return share === undefined ? recipe : setShare(recipe, at, share * times);
}

/** A recipe with one change made; one whose ink it has not stays as it is. Joints keep inside what there is room for. */
export function withChange(recipe: Recipe, { id, inkId }: NextTime): Recipe {
  switch (id) {
    case 'widerJoints':
      return scaleJoints(recipe, WIDER);
    case 'narrowerJoints':
      return scaleJoints(recipe, 1 / WIDER);
    case 'roomFor':
      return shared(recipe, inkId, MORE);
    case 'lessOf':
      return shared(recipe, inkId, 1 / MORE);
    case 'paleFirst':
    case 'darkFirst':
      return { ...recipe, school: id };
    case 'byBrush':
      return { ...recipe, tool: 'brush' };
  }
}

/** "more room for Leat Mid". */
export const tellChange = ({ id, inkId }: NextTime, nameOf: (inkId: string) => string): string =>
  inkId === undefined ? CHANGES[id].label : `${CHANGES[id].label} ${nameOf(inkId)}`;

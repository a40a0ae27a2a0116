import { percentOf } from '../base/words';
import { areaCurveOf } from '../engine/areaCurve';
import { scaleJoints, settle } from '../recipe/editLadder';
import { bandsOf, type Recipe } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { perceivedShares, potencies } from './perceived';

/** Shares that are seen as wanted within this part of the panel are right. */
export const CLOSE_ENOUGH = 0.01;

/** A recipe laid so that what is seen is what was wanted, or as near as it goes. */
export interface SolvedShares {
  readonly recipe: Recipe;
  /** What will be seen of each rung. */
  readonly perceived: readonly number[];
  /** The largest miss, as a part of the panel. */
  readonly off: number;
  /** Why it is off by more than a hundredth, and what would help; undefined where it is not. */
  readonly why: string | undefined;
}

const ROUNDS = 14;
/** So many rounds may come no nearer. */
const PATIENCE = 3;
/** How much joints are narrowed from one attempt to the next; fewer where every point of the panel is looked at anew. */
const NARROWING = { bands: { times: 0.75, attempts: 10 }, patches: { times: 0.4, attempts: 4 } } as const;

/** The shares a maker wants to see: their own, or equal ones. */
export const wantedShares = ({ rungs, wanted }: Recipe): readonly number[] =>
  wanted ?? rungs.map(() => 1 / rungs.length);

/**
 * Lays the ladder so that the wanted shares are seen. Each border is moved by what its sides lack, round after round;
 * where joints are too wide to leave room for that they are narrowed, all alike.
 *
 * @param wanted  parts of the panel, one a rung, summing to 1
 */
export function solveShares(resolved: ResolvedRecipe, wanted: readonly number[]): SolvedShares {
  let best: { recipe: Recipe; perceived: readonly number[]; off: number } | undefined;
  const { times, attempts } = NARROWING[bandsOf(resolved.recipe) ? 'bands' : 'patches'];
  for (let attempt = 0; attempt < attempts; attempt++) {
    const found = withJoints(resolved, wanted, times ** attempt);
    if (!best || found.off < best.off - 1e-4) best = found;
    if (best.off <= CLOSE_ENOUGH / 2) break;
  }
  const { recipe, perceived, off } = best as NonNullable<typeof best>;
  return {
    recipe,
    perceived,
    off,
    why: off <= CLOSE_ENOUGH ? undefined : describeMiss(resolved, wanted, perceived),
  };
}

/** @param times  joints are so many times as wide, 0…1 */
function withJoints(resolved: ResolvedRecipe, wanted: readonly number[], times: number) {
  const from = times === 1 ? resolved.recipe : scaleJoints(resolved.recipe, times);
  const { alongOf } = areaCurveOf(from);
  const whole = alongOf(1);
  let laid = [...wanted];
  let bestIn = 0;
  let best: { recipe: Recipe; perceived: readonly number[]; off: number } | undefined;
  for (let round = 0; round < ROUNDS; round++) {
    const recipe = laidAs(from, laid, (part) => alongOf(part) / whole);
    const perceived = perceivedShares({ ...resolved, recipe });
    const lacks = wanted.map((share, i) => share - (perceived[i] as number));
    const off = Math.max(...lacks.map(Math.abs));
    if (!best || off < best.off) {
      best = { recipe, perceived, off };
      bestIn = round;
    }
    if (off < CLOSE_ENOUGH / 4 || round - bestIn >= PATIENCE) break;
    const gain = round < 6 ? 0.9 : 0.5;
    const next = laid.map((share, i) => Math.max(share + gain * (lacks[i] as number), LEAST_LAID));
    const sum = next.reduce((total, share) => total + share, 0);
    laid = next.map((share) => share / sum);
  }
  return best as NonNullable<typeof best>;
}

/** No ink is laid on less than this part of the panel. */
const LEAST_LAID = 0.01;

/** The recipe with these parts of the panel laid, its joints as wide as there is room for. */
function laidAs(recipe: Recipe, laid: readonly number[], shareOfRun: (part: number) => number): Recipe {
  let area = 0;
  let before = 0;
  const rungs = recipe.rungs.map((rung, i) => {
    area += laid[i] as number;
    const border = i === recipe.rungs.length - 1 ? 1 : bandsOf(recipe) ? shareOfRun(area) : area;
    const share = border - before;
    before = border;
    return { ...rung, share };
  });
  return settle({ ...recipe, rungs });
}

function describeMiss(
  resolved: ResolvedRecipe,
  wanted: readonly number[],
  perceived: readonly number[],
): string {
  const lacks = wanted.map((share, i) => share - (perceived[i] as number));
  const worst = lacks.reduce((at, lack, i) => (Math.abs(lack) > Math.abs(lacks[at] as number) ? i : at), 0);
  const ink = resolved.inks[worst];
  const held = `${ink?.name} shows ${percentOf(perceived[worst] ?? 0)} at best, not ${percentOf(wanted[worst] ?? 0)}`;
  const help = 'Ask for less of it, or take an ink away.';
  if (!bandsOf(resolved.recipe))
    return `${held}: on patches every ink has places of its own, however little is wanted of it. ${help}`;
  const { description } = potencies(resolved)[worst] ?? { description: '' };
  return `${held}: it ${description} in its joints and every ink needs some room to be solid. ${help}`;
}

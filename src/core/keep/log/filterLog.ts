import { memoOf } from '../../base/memo';
import { searched, searchedWords } from '../../base/searched';
import { deltaE00 } from '../../materials/colour/difference';
import type { Lab } from '../../materials/colour/lab';
import { alongLadder } from '../../readings/alongLadder';
import { PASS_KINDS } from '../../recipe/passes/passes';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { RUNS } from '../../recipe/runs/runs';
import { inkNamesOf, type MadePanel, resolveMade } from './made';
import { TROUBLE_NAMES, type TroubleId } from './troubles';

/** In which order panels are shown. */
export const LOG_SORTS = {
  latest: 'made last',
  rating: 'best rated',
  like: 'most like the recipe in hand',
  unlike: 'most unlike the others',
} as const;
export type LogSort = keyof typeof LOG_SORTS;

/** What panels are looked for by; empty texts and undefined ask for nothing. */
export interface LogFilter {
  /** Every word has to be found in what is written of a panel. */
  readonly text: string;
  /** Names of inks that all have to be on it: one for an ink, three for a trio. */
  readonly inks: readonly string[];
  readonly family: string;
  readonly tag: string;
  readonly trouble: TroubleId | '';
  readonly rating: number;
  readonly favourite: boolean;
  /** Days as `2026-05-01`, both included. */
  readonly from: string;
  readonly to: string;
  readonly sort: LogSort;
}

export const WHOLE_LOG: LogFilter = {
  text: '',
  inks: [],
  family: '',
  tag: '',
  trouble: '',
  rating: 0,
  favourite: false,
  from: '',
  to: '',
  sort: 'latest',
};

/** Colours of a ladder at even steps, ends included; undefined where it has no one way along it, or no recipe. */
export const STEPS_ALONG = 7;
const ladderColours = (resolved: ResolvedRecipe): readonly Lab[] | undefined =>
  alongLadder(resolved, STEPS_ALONG)?.map(({ lab }) => lab);
const madeColours = memoOf((panel: MadePanel) =>
  panel.made ? ladderColours(resolveMade(panel.made)) : undefined,
);

/** Works out what likeness to a panel is told by, half a millisecond's work; it is done once. */
export const workOutLadder = (panel: MadePanel): void => void madeColours(panel);

/** Whether panels are put in an order that takes the ladders of all of them. */
export const comparesLadders = ({ sort }: LogFilter): boolean => sort === 'like' || sort === 'unlike';

/** What is written of a panel, as it is searched. */
const writtenOf = memoOf((panel: MadePanel): string =>
  searched(
    [
      `no ${panel.number}`,
      panel.name,
      panel.occasion ?? '',
      panel.note ?? '',
      panel.differently ?? '',
      ...inkNamesOf(panel),
      ...(panel.made
        ? [
            panel.made.card.name,
            RUNS[panel.made.recipe.run.id].label,
            ...panel.made.recipe.passes
              .filter(({ enabled }) => enabled)
              .map(({ kind }) => PASS_KINDS[kind].label),
          ]
        : []),
      ...(panel.tags ?? []),
      ...(panel.troubles ?? []).map((trouble) => TROUBLE_NAMES[trouble]),
    ].join(' '),
  ),
);

const familiesOf = memoOf(
  (panel: MadePanel) => new Set((panel.made?.inks ?? []).map(({ family }) => family)),
);

/**
 * The panels that match, in order.
 *
 * @param inHand  the ladder that likeness is told to
 */
export function filterLog(
  panels: readonly MadePanel[],
  filter: LogFilter,
  inHand?: ResolvedRecipe,
): readonly MadePanel[] {
  const words = searchedWords(filter.text);
  const found = panels.filter((panel) => {
    if (filter.favourite && !panel.favourite) return false;
    if ((panel.rating ?? 0) < filter.rating) return false;
    if (filter.from && panel.date < filter.from) return false;
    if (filter.to && panel.date > filter.to) return false;
    if (filter.trouble && !panel.troubles?.includes(filter.trouble)) return false;
    if (filter.tag && !panel.tags?.includes(filter.tag)) return false;
    if (filter.family && !familiesOf(panel).has(filter.family)) return false;
    if (filter.inks.length > 0) {
      const names = inkNamesOf(panel);
      if (!filter.inks.every((name) => names.includes(name))) return false;
    }
    if (words.length === 0) return true;
    const written = writtenOf(panel);
    return words.every((word) => written.includes(word));
  });
  return sorted(found, filter.sort, inHand);
}

function sorted(
  panels: readonly MadePanel[],
  sort: LogSort,
  inHand: ResolvedRecipe | undefined,
): readonly MadePanel[] {
  if (sort === 'rating')
    return panels.toSorted((p, q) => (q.rating ?? 0) - (p.rating ?? 0) || q.number - p.number);
  if (sort === 'like' && inHand) {
    const wanted = ladderColours(inHand);
    const off = new Map(panels.map((panel) => [panel, unlikeness(wanted, madeColours(panel))]));
    return panels.toSorted((p, q) => (off.get(p) ?? 0) - (off.get(q) ?? 0));
  }
  if (sort === 'unlike') {
    const lonely = loneliness(panels);
    return panels.toSorted((p, q) => (lonely.get(q) ?? 0) - (lonely.get(p) ?? 0));
  }
  return panels.toSorted((p, q) => q.number - p.number);
}

/** Mean ΔE00 along two ladders, whichever way round they are nearer; without end where one has no way along it. */
export function unlikeness(p: readonly Lab[] | undefined, q: readonly Lab[] | undefined): number {
  if (!p || !q) return Number.POSITIVE_INFINITY;
  const mean = (other: readonly Lab[]) =>
    p.reduce((sum, lab, i) => sum + deltaE00(lab, other[i] ?? lab), 0) / p.length;
  return Math.min(mean(q), mean(q.toReversed()));
}

/** How unlike the nearest other each panel is: by plain distances in L*a*b*, since only their order counts. */
function loneliness(panels: readonly MadePanel[]): ReadonlyMap<MadePanel, number> {
  const ladders = panels.map(madeColours);
  const size = STEPS_ALONG * 3;
  const flat = Float64Array.from(
    ladders.flatMap(
      (ladder) => ladder?.flatMap(({ l, a, b }) => [l, a, b]) ?? Array.from({ length: size }, () => 0),
    ),
  );
  const nearest = new Float64Array(panels.length).fill(Number.POSITIVE_INFINITY);
  for (let i = 0; i < panels.length; i++) {
    if (!ladders[i]) continue;
    for (let j = 0; j < i; j++) {
      if (!ladders[j]) continue;
      const limit = Math.max(nearest[i] ?? 0, nearest[j] ?? 0);
      let sum = 0;
      for (let k = 0; k < size && sum < limit; k++) {
        const off = (flat[i * size + k] as number) - (flat[j * size + k] as number);
        sum += off * off;
      }
      if (sum < (nearest[i] as number)) nearest[i] = sum;
      if (sum < (nearest[j] as number)) nearest[j] = sum;
    }
  }
  return new Map(panels.map((panel, i) => [panel, ladders[i] ? (nearest[i] as number) : -1]));
}

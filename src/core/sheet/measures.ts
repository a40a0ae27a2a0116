import { gridOf } from '../base/grid';
import { formatBare, formatLength, type Millimetres, type Unit } from '../base/length';
import { areasOf, coverageOf, GRID } from '../engine/coverage';
import { lieOf, overlaps, patchesOf, type Recipe, type Stretch, stretches } from '../recipe/recipe';
import type { Lie, Patches, Point } from '../recipe/runs/runs';

/** The work of a recipe in measured words, on whatever run it lies. */
export interface Measures {
  /** What to mark on the panel before any ink, with where from. */
  readonly marks: string;
  /** Where one rung's ink lies solid and, unless it stops there, how far it fades. */
  readonly lay: (rung: number, fades?: boolean) => string;
  /** Where two rungs meet. */
  readonly join: (one: number, other: number) => string;
  /** Which rungs meet, the lower number first. */
  readonly meetings: readonly (readonly [number, number])[];
  /** The part of the panel each rung covers. */
  readonly areas: ArrayLike<number>;
}

/** Sheet, readings and labels ask for the same recipe's measures: they are taken once. */
const taken = new WeakMap<Recipe, Map<Unit, Measures>>();

/** A recipe's measures, written in `unit`; remembered as long as the recipe is. */
export function measuresOf(recipe: Recipe, unit: Unit): Measures {
  const byUnit = taken.get(recipe) ?? new Map<Unit, Measures>();
  taken.set(recipe, byUnit);
  const lie = lieOf(recipe);
  const measures =
    byUnit.get(unit) ??
    (lie ? bandMeasures(recipe, lie, unit) : patchMeasures(recipe, patchesOf(recipe) as Patches, unit));
  byUnit.set(unit, measures);
  return measures;
}

function bandMeasures(recipe: Recipe, lie: Lie, unit: Unit): Measures {
  const laps = overlaps(recipe);
  const extents = stretches(recipe);
  const bare = (along: Millimetres) => formatBare(lie.markOf(along), unit);
  const crossed = (along: Millimetres): string => {
    const crossings = lie.crossings?.(along) ?? [];
    return crossings.length > 0
      ? ` (${crossings.map(({ edge, at }) => `${edge} ${formatBare(at, unit)}`).join(', ')})`
      : '';
  };
  const places = laps
    .flatMap(({ start, end }) => [start, end])
    .sort((p, q) => lie.markOf(p) - lie.markOf(q))
    .map((along) => bare(along) + crossed(along));
  return {
    marks: `Mark ${lie.measuredFrom}: ${places.join(', ')} ${unit}.`,
    lay: (rung, fades = true) => {
      const [solid, fading] = tellStretch(lie, extents[rung] as Stretch, rung, recipe.rungs.length, unit);
      return fades ? `${solid}; fade ${fading}.` : `${solid}.`;
    },
    join: (one, other) => {
      const lap = laps[Math.min(one, other)];
      const [from = 0, to = 0] = [lap?.start ?? 0, lap?.end ?? 0].map(lie.markOf).sort((p, q) => p - q);
      return `${formatBare(from, unit)} to ${formatLength(to, unit)}`;
    },
    meetings: laps.map((_, i) => [i, i + 1] as const),
    areas: lie.level && lie.toward.x === 0 ? recipe.rungs.map(({ share }) => share) : areasOf(recipe),
  };
}

/** "Solid 63 to 77 mm" and "up to nothing by 107, down to nothing by 37". */
function tellStretch(
  lie: Lie,
  extent: Stretch,
  rung: number,
  rungs: number,
  unit: Unit,
): [solid: string, fades: string] {
  const mark = (along: Millimetres) => formatBare(lie.markOf(along), unit);
  const [isFirst, isLast] = [rung === 0, rung === rungs - 1];
  const [low, high] = [extent.solidFrom, extent.solidTo].sort((p, q) => lie.markOf(p) - lie.markOf(q)) as [
    number,
    number,
  ];
  const solid = isFirst
    ? `Solid from ${mark(extent.solidTo)} ${unit} to ${lie.start.place}`
    : isLast
      ? `Solid from ${lie.end.place} to ${mark(extent.solidFrom)} ${unit}`
      : `Solid ${mark(low)} to ${mark(high)} ${unit}`;
  const fades = [
    ...(isFirst ? [] : [`${lie.start.toward} to nothing by ${mark(extent.from)}`]),
    ...(isLast ? [] : [`${lie.end.toward} to nothing by ${mark(extent.to)}`]),
  ];
  return [solid, fades.join(', ')];
}

/** Parts below and above which an ink counts as faded out and as solid. */
const FADED = 0.02;
const SOLID = 0.98;

function patchMeasures(recipe: Recipe, patches: Patches, unit: Unit): Measures {
  const coverage = coverageOf(recipe);
  const parts = new Float64Array(recipe.rungs.length);
  const partAt = (rung: number, { x, y }: Point): number => {
    coverage(x, y, parts);
    return parts[rung] as number;
  };
  /** How far from a place toward the nearest place of another ink its own is solid, and where it has faded out. */
  const reachOf = (place: Patches['places'][number]): { solid: Millimetres; faded: Millimetres } => {
    const others = patches.places.filter(({ rung }) => rung !== place.rung);
    const distance = (to: Point) => Math.hypot(to.x - place.x, to.y - place.y);
    const nearest = others.reduce(
      (best, other) => (distance(other) < distance(best) ? other : best),
      others[0] as Point,
    );
    const whole = distance(nearest);
    const at = (far: Millimetres): Point => ({
      x: place.x + ((nearest.x - place.x) * far) / whole,
      y: place.y + ((nearest.y - place.y) * far) / whole,
    });
    const until = (part: number): Millimetres => {
      let far = 0;
      while (far < whole && partAt(place.rung, at(far)) > part) far += 0.5;
      return far;
    };
    return { solid: until(SOLID), faded: until(FADED) };
  };
  const meets = new Map<string, readonly [number, number]>();
  for (const [x, y] of gridOf(recipe.panel, GRID)) {
    coverage(x, y, parts);
    for (let one = 0; one < parts.length; one++)
      for (let other = one + 1; other < parts.length; other++)
        if ((parts[one] as number) > 0.2 && (parts[other] as number) > 0.2)
          meets.set(`${one} ${other}`, [one, other]);
  }
  const few = patches.places.length <= 5;
  const told = (place: Patches['places'][number]): string =>
    few ? place.name : `${formatBare(place.x, unit)}/${formatBare(recipe.panel.height - place.y, unit)}`;
  return {
    marks: few
      ? `Nothing to mark: inks are measured from ${patches.places.map(({ name }) => name.replace(/^the /, '')).join(', ')}.`
      : `Dot the middles of the patches lightly in pencil, or lay them by eye from the picture; they are told from the left / from the foot, ${unit}.`,
    lay: (rung) => {
      const own = patches.places.filter((place) => place.rung === rung);
      const reaches = own.map(reachOf);
      const mean = (key: 'solid' | 'faded') =>
        reaches.reduce((sum, reach) => sum + reach[key], 0) / reaches.length;
      const from = few
        ? `From ${own.map(told).join(' and from ')}`
        : `${own.length} patches at ${own.map(told).join(', ')}`;
      return `${from}: solid to about ${formatBare(mean('solid'), unit)}, fade to nothing by ${formatLength(mean('faded'), unit)}.`;
    },
    join: () => `${formatLength(patches.soft, unit)} wide`,
    meetings: [...meets.values()].sort((p, q) => p[0] - q[0] || p[1] - q[1]),
    areas: recipe.rungs.map(({ share }) => share),
  };
}

import type { Point } from '../base/geometry';
import { formatBare, formatLength, type Millimetres, type Unit } from '../base/length';
import { type Coverage, coverageOf } from '../engine/coverage';
import type { Recipe } from '../recipe/recipe';
import type { PatchLayout, PatchPlace } from '../recipe/runs/definition';
import type { MeasuredWords } from './measuredWords';

/** Parts below and above which an ink counts as faded out and as solid. */
const FADED = 0.02;
const SOLID = 0.98;
/** Up to so many places each has a name of its own; more are told by where they lie. */
const FEW = 5;
/** How finely a fade is followed, mm. */
const STEP = 0.5;

/** The work on patches: where each ink starts from, and how far it is solid and fades on average. */
export function patchWords(recipe: Recipe, { places, soft }: PatchLayout, unit: Unit): MeasuredWords {
  const reachOf = reachReader(recipe, places);
  const few = places.length <= FEW;
  const nameOf = ({ name, x, y }: PatchPlace): string =>
    few ? name : `${formatBare(x, unit)}/${formatBare(recipe.panel.height - y, unit)}`;
  return {
    marks: few
      ? `Nothing to mark: inks are measured from ${places.map(({ name }) => name.replace(/^the /, '')).join(', ')}.`
      : `Dot the middles of the patches lightly in pencil, or lay them by eye from the picture; they are told from the left / from the foot, ${unit}.`,
    lay: (rung) => {
      const own = places.filter((place) => place.rung === rung);
      const reaches = own.map(reachOf);
      const mean = (key: keyof Reach) => reaches.reduce((sum, reach) => sum + reach[key], 0) / reaches.length;
      const from = few
        ? `From ${own.map(nameOf).join(' and from ')}`
        : `${own.length} patches at ${own.map(nameOf).join(', ')}`;
      return `${from}: solid to about ${formatBare(mean('solid'), unit)}, fade to nothing by ${formatLength(mean('faded'), unit)}.`;
    },
    join: () => `${formatLength(soft, unit)} wide`,
    areas: recipe.rungs.map(({ share }) => share),
  };
}

/** How far from its place an ink is solid, and where it has faded out. */
interface Reach {
  readonly solid: Millimetres;
  readonly faded: Millimetres;
}

/** Follows an ink from its place toward the nearest place of another. */
function reachReader(recipe: Recipe, places: readonly PatchPlace[]): (place: PatchPlace) => Reach {
  const coverage: Coverage = coverageOf(recipe);
  const parts = new Float64Array(recipe.rungs.length);
  return (place) => {
    const distance = (to: Point) => Math.hypot(to.x - place.x, to.y - place.y);
    const [nearest] = places
      .filter(({ rung }) => rung !== place.rung)
      .toSorted((p, q) => distance(p) - distance(q));
    if (!nearest) return { solid: 0, faded: 0 };
    const whole = distance(nearest);
    const partAt = (far: Millimetres): number => {
      const on = far / whole;
      coverage(place.x + (nearest.x - place.x) * on, place.y + (nearest.y - place.y) * on, parts);
      return parts[place.rung] ?? 0;
    };
    const until = (part: number): Millimetres => {
      let far = 0;
      while (far < whole && partAt(far) > part) far += STEP;
      return far;
    };
    return { solid: until(SOLID), faded: until(FADED) };
  };
}

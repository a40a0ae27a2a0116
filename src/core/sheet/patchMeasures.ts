import type { Point } from '../base/geometry';
import { formatBare, formatLength, type Millimetres, type Unit } from '../base/length';
import { listed, percentOf } from '../base/words';
import { type Coverage, coverageOf } from '../engine/coverage';
import type { Recipe } from '../recipe/recipe';
import type { PatchLayout, PatchPlace } from '../recipe/runs/definition';
import type { MeasuredWords } from './measuredWords';

/** Parts below and above which an ink counts as faded out and as solid. */
const FADED = 0.02;
const SOLID = 0.98;
/** An ink with more patches than this has them counted: a longer list is not read at work. */
const LISTED = 9;
/** How finely a fade is followed, mm. */
const STEP = 0.5;

/** The work on patches: where each ink starts from, and how far it is solid and fades on average. */
export function patchWords(recipe: Recipe, layout: PatchLayout, unit: Unit): MeasuredWords {
  const { places, soft, turning } = layout;
  const reachOf = reachReader(recipe, places);
  const named = places.flatMap(({ name }) => (name === undefined ? [] : [name]));
  const nameOf = ({ name, x, y }: PatchPlace): string =>
    name ?? `(${formatBare(x, unit)}, ${formatBare(recipe.panel.height - y, unit)})`;
  const ownOf = (rung: number) => places.filter((place) => place.rung === rung);
  const isListed = (own: readonly PatchPlace[]) => own.length <= LISTED;
  const wide = () => `${formatLength(soft, unit)} wide`;
  const byEye =
    'Nothing to mark on the card: lay the patches by eye from the picture, or prick their middles through it.';
  return {
    marks:
      named.length > 0
        ? `Nothing to mark: inks are measured from ${listed(named)}.`
        : recipe.rungs.some((_, rung) => isListed(ownOf(rung)))
          ? `${byEye} They are told as (from the left, from the foot), in ${unit === 'mm' ? 'mm' : 'inches'}.`
          : byEye,
    given: [],
    lay: (rung, extent) => {
      const own = ownOf(rung);
      const reaches = own.map(reachOf);
      const mean = (key: keyof Reach) => reaches.reduce((sum, reach) => sum + reach[key], 0) / reaches.length;
      const from =
        named.length > 0
          ? `From ${own.map(nameOf).join(' and from ')}`
          : `${own.length === 1 ? 'One patch' : `${own.length} patches`}${isListed(own) ? ` at ${own.map(nameOf).join(', ')}` : ', where the picture has them'}`;
      const solid = formatBare(mean('solid'), unit);
      const isDot = solid === formatBare(0, unit);
      if (extent !== 'faded')
        return `${from}: ${isDot ? 'solid on the spot alone' : `solid to about ${solid} ${unit}`}; stop short of where it meets another.`;
      const faded = `to nothing by ${formatLength(mean('faded'), unit)}.`;
      return isDot
        ? `${from}: fade from there on, ${faded}`
        : `${from}: solid to about ${solid}, fade ${faded}`;
    },
    join: wide,
    ownHalf: (one) =>
      `the side of ${named.length > 0 ? listed(ownOf(one).map(nameOf)) : 'its own patches'}, half of ${wide()}`,
    within: (_one, _other, part) => `${percentOf(part)} of the way through it`,
    extent: () => undefined,
    landing: (rung) => densest(recipe, ownOf(rung), rung),
    // Where inks have several places each, their joins run every way.
    isUpright: (one, other) => {
      const [p, q] = [ownOf(one), ownOf(other)];
      if (!p[0] || !q[0] || p.length + q.length > 2) return false;
      return Math.abs(p[0].x - q[0].x) > Math.abs(p[0].y - q[0].y);
    },
    turning: (rung) => ownOf(rung)[0]?.turning ?? turning,
    areas: recipe.rungs.map(({ share }) => share),
  };
}

/** Of an ink's places the one where there is most of it. */
function densest(recipe: Recipe, places: readonly Point[], rung: number): Point {
  const coverage = coverageOf(recipe);
  const parts = new Float64Array(recipe.rungs.length);
  const partAt = ({ x, y }: Point): number => {
    coverage(x, y, parts);
    return parts[rung] ?? 0;
  };
  const inside = places.map(({ x, y }) => ({ x, y }));
  return inside.toSorted((p, q) => partAt(q) - partAt(p))[0] ?? { x: 0, y: 0 };
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

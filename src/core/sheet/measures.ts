import { formatBare, formatLength, type Unit } from '../base/length';
import { memo } from '../base/memo';
import { areasOf } from '../engine/coverage';
import { bandsOf, type InkExtent, inkExtents, jointSpans, patchesOf, type Recipe } from '../recipe/recipe';
import type { BandGeometry } from '../recipe/runs/definition';
import type { MeasuredWords } from './measuredWords';
import { patchWords } from './patchMeasures';

/** A recipe's measures, written in `unit`; sheet, readings and labels ask for the same ones. */
export const measuredWords = memo(8, (recipe: Recipe, unit: Unit): MeasuredWords => {
  const patches = patchesOf(recipe);
  if (patches) return patchWords(recipe, patches, unit);
  const bands = bandsOf(recipe);
  if (!bands) throw new Error(`the run ${recipe.run.id} lies neither in bands nor in patches`);
  return bandWords(recipe, bands, unit);
});

function bandWords(recipe: Recipe, bands: BandGeometry, unit: Unit): MeasuredWords {
  const spans = jointSpans(recipe);
  const extents = inkExtents(recipe);
  const crossed = (along: number): string => {
    const crossings = bands.crossings?.(along) ?? [];
    return crossings.length > 0
      ? ` (${crossings.map(({ edge, at }) => `${edge} ${formatBare(at, unit)}`).join(', ')})`
      : '';
  };
  const places = spans
    .flatMap(({ start, end }) => [start, end])
    .sort((p, q) => bands.markOf(p) - bands.markOf(q))
    .map((along) => formatBare(bands.markOf(along), unit) + crossed(along));
  return {
    marks: `Mark ${bands.measuredFrom}: ${places.join(', ')} ${unit}.`,
    lay: (rung, fades = true) => {
      const extent = extents[rung];
      if (!extent) return '';
      const last = recipe.rungs.length - 1;
      const solid = describeSolid(bands, extent, rung === 0, rung === last, unit);
      return fades
        ? `${solid}; fade ${describeFades(bands, extent, rung === 0, rung === last, unit)}.`
        : `${solid}.`;
    },
    join: (one, other) => {
      const { start = 0, end = 0 } = spans[Math.min(one, other)] ?? {};
      const [from = 0, to = 0] = [start, end].map(bands.markOf).sort((p, q) => p - q);
      return `${formatBare(from, unit)} to ${formatLength(to, unit)}`;
    },
    areas:
      bands.isHorizontal && bands.toward.x === 0 ? recipe.rungs.map(({ share }) => share) : areasOf(recipe),
  };
}

/** "Solid 63 to 77 mm". */
function describeSolid(
  bands: BandGeometry,
  { solidFrom, solidTo }: InkExtent,
  isFirst: boolean,
  isLast: boolean,
  unit: Unit,
): string {
  const mark = (along: number) => formatBare(bands.markOf(along), unit);
  if (isFirst) return `Solid from ${mark(solidTo)} ${unit} to ${bands.start.place}`;
  if (isLast) return `Solid from ${bands.end.place} to ${mark(solidFrom)} ${unit}`;
  const rises = bands.markOf(solidFrom) <= bands.markOf(solidTo);
  const [low, high] = rises ? [solidFrom, solidTo] : [solidTo, solidFrom];
  return `Solid ${mark(low)} to ${mark(high)} ${unit}`;
}

/** "up to nothing by 107, down to nothing by 37". */
function describeFades(
  bands: BandGeometry,
  { from, to }: InkExtent,
  isFirst: boolean,
  isLast: boolean,
  unit: Unit,
): string {
  const mark = (along: number) => formatBare(bands.markOf(along), unit);
  return [
    ...(isFirst ? [] : [`${bands.start.toward} to nothing by ${mark(from)}`]),
    ...(isLast ? [] : [`${bands.end.toward} to nothing by ${mark(to)}`]),
  ].join(', ');
}

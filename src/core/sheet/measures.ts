import { formatBare, formatPlace, type Millimetres, type Unit } from '../base/length';
import { memo } from '../base/memo';
import { areasOf } from '../engine/coverage';
import { bandsOf, type InkExtent, inkExtents, jointSpans, patchesOf, type Recipe } from '../recipe/recipe';
import type { BandGeometry, WorkPiece } from '../recipe/runs/definition';
import type { GivenMark, LayExtent, MeasuredWords } from './measuredWords';
import { patchWords } from './patchMeasures';

/** A recipe's measures, written in `unit`; sheet, readings and labels ask for the same ones. */
export const measuredWords = memo(
  8,
  (recipe: Recipe, unit: Unit, piece: WorkPiece = 'panel'): MeasuredWords => {
    const patches = patchesOf(recipe);
    if (patches) return patchWords(recipe, patches, unit);
    const bands = bandsOf(recipe);
    if (!bands) throw new Error(`the run ${recipe.run.id} lies neither in bands nor in patches`);
    return bandWords(recipe, bands, unit, piece);
  },
);

/** The marks of a ladder in order along the run, as they are given and called. */
export function givenMarks(recipe: Recipe, bands: BandGeometry, unit: Unit): GivenMark[] {
  const alongs = jointSpans(recipe).flatMap(({ start, end }) => [start, end]);
  const figures = alongs.map((along) => bands.markedAt(along)[0].at);
  return alongs.map((along, i) => ({
    name: bands.bordersAre
      ? `${bands.bordersAre} ${i + 1}`
      : formatPlace(figures[i] as number, figures, unit),
    along,
    places: bands.markedAt(along).map(({ on, from, at, pointAt }) => ({
      ...(on ? { on } : {}),
      from,
      at,
      point: pointAt(at),
    })),
  }));
}

/** "left edge, from the foot: line 1 98.5, line 2 60; top, from the left: line 1 20": marks by the line they are on. */
function byLine(given: readonly GivenMark[], unit: Unit): string {
  const lines = new Map<string, string[]>();
  for (const { name, places } of given)
    for (const { on, from, at } of places) {
      const line = `${on ?? ''}, from the ${from}`;
      lines.set(line, [...(lines.get(line) ?? []), `${name} at ${formatBare(at, unit)}`]);
    }
  return [...lines].map(([line, marks]) => `${line}: ${marks.join(', ')}`).join('; ');
}

/** Where marks go: on what lies round the panel, since pencil shows for good under a pale ink. */
const onScrap = (piece: WorkPiece): string => `Mark on scrap laid under the ${piece}, not on the card`;

function describeMarks(
  given: readonly GivenMark[],
  bands: BandGeometry,
  recipe: Recipe,
  unit: Unit,
  piece: WorkPiece,
): string {
  if (!bands.bordersAre) {
    const atOf = ({ places }: GivenMark) => places[0]?.at ?? 0;
    const upward = given.toSorted((p, q) => atOf(p) - atOf(q));
    const from = given[0]?.places[0]?.from ?? 'foot';
    return `${onScrap(piece)}, from the ${from}: ${upward.map(({ name }) => name).join(', ')} ${unit}.`;
  }
  const { middle, shape } = bands;
  const centre = middle
    ? `Centre ${formatBare(middle.x, unit)} from the left, ${formatBare(recipe.panel.height - middle.y, unit)} from the foot. `
    : '';
  const run = shape ? `${shape} ` : '';
  return `In ${unit === 'mm' ? 'mm' : 'inches'}. ${centre}${run}${onScrap(piece)}: ${byLine(given, unit)}.`;
}

function bandWords(recipe: Recipe, bands: BandGeometry, unit: Unit, piece: WorkPiece): MeasuredWords {
  const spans = jointSpans(recipe);
  const extents = inkExtents(recipe);
  const given = givenMarks(recipe, bands, unit);
  const nameOf = (joint: number, end: 'start' | 'end'): string =>
    given[2 * joint + (end === 'start' ? 0 : 1)]?.name ?? '';
  const named = bands.bordersAre !== undefined;
  /** "63 to 77 mm", the lower figure first; "line 1 to line 2". */
  const range = (from: Millimetres, to: Millimetres, names: readonly [string, string]): string => {
    if (named) return `${names[0]} to ${names[1]}`;
    const rises = (bands.markedAt(from)[0].at ?? 0) <= (bands.markedAt(to)[0].at ?? 0);
    return `${rises ? names.join(' to ') : names.toReversed().join(' to ')} ${unit}`;
  };
  const told = (along: Millimetres): string => {
    const { from, at, on } = bands.markedAt(along)[0];
    return `${formatBare(at, unit)} ${unit} from the ${from}${named && on ? `, ${on}` : ''}`;
  };
  const spanOf = (one: number, other: number) => {
    const joint = Math.min(one, other);
    return { joint, span: spans[joint] ?? { start: 0, end: 0 } };
  };
  const words = wordsOfLaying(recipe, bands, unit, nameOf);
  return {
    marks: describeMarks(given, bands, recipe, unit, piece),
    given,
    lay: words,
    join: (one, other) => {
      const { joint, span } = spanOf(one, other);
      return range(span.start, span.end, [nameOf(joint, 'start'), nameOf(joint, 'end')]);
    },
    ownHalf: (one, other) => {
      const { joint, span } = spanOf(one, other);
      const near = nameOf(joint, one < other ? 'start' : 'end');
      const middle = (span.start + span.end) / 2;
      return `from ${near}${named ? '' : ` ${unit}`} to the middle of the join, ${told(middle)}`;
    },
    within: (one, other, part) => {
      const { span } = spanOf(one, other);
      return told(span.start + (one < other ? part : 1 - part) * (span.end - span.start));
    },
    extent: (rung) => extents[rung],
    landing: (rung) => {
      const { solidFrom, solidTo } = extents[rung] ?? { solidFrom: 0, solidTo: 0 };
      const { at, pointAt } = bands.markedAt((solidFrom + solidTo) / 2)[0];
      return pointAt(at);
    },
    isUpright: () => Math.abs(bands.toward.x) > Math.abs(bands.toward.y),
    turning: () => bands.turning(piece),
    areas: bands.isHorizontal ? recipe.rungs.map(({ share }) => share) : areasOf(recipe),
  };
}

/** Where each rung's ink is laid, in words. */
function wordsOfLaying(
  recipe: Recipe,
  bands: BandGeometry,
  unit: Unit,
  nameOf: (joint: number, end: 'start' | 'end') => string,
): MeasuredWords['lay'] {
  const extents = inkExtents(recipe);
  const last = recipe.rungs.length - 1;
  const measured = (name: string): string => (bands.bordersAre ? name : `${name} ${unit}`);
  const solid = (rung: number, { solidFrom, solidTo }: InkExtent): string => {
    if (rung === 0) return `Solid from ${bands.start.place} to ${measured(nameOf(0, 'start'))}`;
    if (rung === last) return `Solid from ${bands.end.place} to ${measured(nameOf(last - 1, 'end'))}`;
    const names = [nameOf(rung - 1, 'end'), nameOf(rung, 'start')];
    const rises = bands.bordersAre || bands.markedAt(solidFrom)[0].at <= bands.markedAt(solidTo)[0].at;
    const range = measured((rises ? names : names.toReversed()).join(' to '));
    return bands.bordersAre ? `Solid from ${range}` : `Solid ${range}`;
  };
  const fades = (rung: number, toward: readonly number[]): string =>
    [
      ...(toward.includes(rung - 1)
        ? [`${bands.start.toward} to nothing by ${nameOf(rung - 1, 'start')}`]
        : []),
      ...(toward.includes(rung + 1) ? [`${bands.end.toward} to nothing by ${nameOf(rung, 'end')}`] : []),
    ].join(', ');
  const endings: Readonly<Record<LayExtent, (rung: number, toward: readonly number[]) => string>> = {
    faded: (rung) =>
      `; fade ${fades(
        rung,
        [rung - 1, rung + 1].filter((other) => other >= 0 && other <= last),
      )}.`,
    'to the middle': () => '; stop there with an edge that is soft.',
    solid: (rung, toward) =>
      toward.length > 0
        ? `; fade ${fades(rung, toward)}; on the other side stop short of the join.`
        : '; stop short of the join.',
  };
  return (rung, extent, toward = []) => {
    const reach = extents[rung];
    return reach ? solid(rung, reach) + endings[extent](rung, toward) : '';
  };
}

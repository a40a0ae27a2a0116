import { formatBare, formatLength, type Unit } from '../../base/length';
import type { Cut, CutPlan, CutSheet, Placed } from './cutPlan';
import type { Assembly } from './pieces';

/** One cut as it is read at the trimmer: "Down at 101 mm from the left; left: 2 × panel, right: offcut". */
export function describeCut({ way, at, before, after }: Cut, unit: Unit): string {
  const length = formatLength(at, unit);
  return way === 'across'
    ? `Across at ${length} from the top; above: ${before}, below: ${after}`
    : `Down at ${length} from the left; left: ${before}, right: ${after}`;
}

/** The line a piece is scored along, on the sheet; none where it is not folded. */
export function scoreOf({ x, y, width, height, score }: Placed): Pick<Cut, 'from' | 'to'> | undefined {
  if (!score) return undefined;
  const [middle, level] = [x + width / 2, y + height / 2];
  return score === 'down'
    ? { from: { x: middle, y }, to: { x: middle, y: y + height } }
    : { from: { x, y: level }, to: { x: x + width, y: level } };
}

/** How far down a piece its name stands, as a part of its height: not on the line it is scored along. */
export const nameAt = ({ score }: Placed): number => (score === 'across' ? 0.4 : 0.5);

/** Where the pieces of a sheet are scored, each kind told once. */
export function describeScores(placed: readonly Placed[], unit: Unit): string[] {
  const lines = placed.flatMap(({ name, width, height, score }) => {
    if (!score) return [];
    const side = score === 'down' ? width : height;
    return [`Score at ${formatLength(side / 2, unit)}, the middle of ${formatLength(side, unit)}: ${name}`];
  });
  return [...new Set(lines)];
}

/** That a greeting strip is larger than the panel it lies on; undefined where it is not. */
export function describeOverhang(
  { panel, greeting }: Pick<Assembly, 'panel' | 'greeting'>,
  unit: Unit,
): string | undefined {
  if (!greeting || (greeting.width <= panel.width && greeting.height <= panel.height)) return undefined;
  const [side, more] =
    greeting.width > panel.width ? (['width', 'wider'] as const) : (['height', 'higher'] as const);
  return `The strip is ${more} than the panel, ${formatLength(greeting[side], unit)} on ${formatLength(panel[side], unit)}, and stands out beyond it.`;
}

/** Sheets that are cut alike. */
export interface AlikeSheets {
  /** Their places among the plan's sheets, counted from 0. */
  readonly places: readonly [number, ...number[]];
  /** How each of them is cut. */
  readonly sheet: CutSheet;
  /** "Sheet 3", or "Sheets 1 to 4, 6". */
  readonly name: string;
}

/** A plan's sheets by how they are cut, each way once, in the order of the first of each. */
export function sheetsAlike({ sheets }: CutPlan): AlikeSheets[] {
  const byPlace = new Map<string, Pick<AlikeSheets, 'places' | 'sheet'>>();
  for (const [i, sheet] of sheets.entries()) {
    const place = JSON.stringify(sheet.placed);
    const before = byPlace.get(place);
    byPlace.set(place, { places: before ? [...before.places, i] : [i], sheet });
  }
  return [...byPlace.values()].map(({ places, sheet }) => ({
    places,
    sheet,
    name: `${places.length === 1 ? 'Sheet' : 'Sheets'} ${describeRuns(places.map((place) => place + 1))}`,
  }));
}

/** Rising numbers with what follows on each other drawn together: "1 to 4, 6". */
function describeRuns(numbers: readonly number[]): string {
  const runs: [from: number, to: number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && last[1] + 1 === number) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from} to ${to}`)).join(', ');
}

/** A plan as text: each way its sheets are cut, cut by cut. */
export function cutText(plan: CutPlan, unit: Unit): string {
  const { sheet, sheets, waste } = plan;
  const head = `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'} of ${formatBare(sheet.width, unit)} × ${formatLength(sheet.height, unit)}, ${Math.round(waste * 100)} % waste. Each cut goes right through the piece in hand.`;
  return [
    head,
    ...sheetsAlike(plan).map(({ name, sheet: { placed, cuts } }) =>
      [
        name,
        ...cuts.map((cut, k) => `  ${k + 1}. ${describeCut(cut, unit)}`),
        ...describeScores(placed, unit).map((line) => `  ${line}`),
      ].join('\n'),
    ),
    'Blades cut: keep fingers behind the guard, cut on a mat, and follow the trimmer maker’s own sheet.',
  ].join('\n\n');
}

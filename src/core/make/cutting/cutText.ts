import { formatBare, formatLength, type Unit } from '../../base/length';
import type { Cut, CutPlan } from './cutPlan';

/** One cut as it is read at the trimmer. */
export const describeCut = ({ way, at, gives }: Cut, unit: Unit): string =>
  `${way === 'across' ? 'Across' : 'Down'} at ${formatLength(at, unit)} from the ${way === 'across' ? 'top' : 'left'}: ${gives}`;

/** Sheets that are cut alike. */
export interface AlikeSheets {
  /** Their places among the plan's sheets, counted from 0. */
  readonly places: readonly number[];
  /** "Sheet 3", or "Sheets 1 to 4, 6". */
  readonly name: string;
}

/** A plan's sheets by how they are cut, each way once, in the order of the first of each. */
export function sheetsAlike({ sheets }: CutPlan): AlikeSheets[] {
  const byPlace = new Map<string, number[]>();
  for (const [i, { placed }] of sheets.entries()) {
    const place = JSON.stringify(placed);
    byPlace.set(place, [...(byPlace.get(place) ?? []), i]);
  }
  return [...byPlace.values()].map((places) => ({
    places,
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

/** A plan as text: sheet by sheet, cut by cut. */
export function cutText({ sheet, sheets, waste }: CutPlan, unit: Unit): string {
  const head = `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'} of ${formatBare(sheet.width, unit)} × ${formatLength(sheet.height, unit)}, ${Math.round(waste * 100)} % waste. Each cut goes right through the piece in hand.`;
  return [
    head,
    ...sheets.map(({ cuts }, i) =>
      [`Sheet ${i + 1}`, ...cuts.map((cut, k) => `  ${k + 1}. ${describeCut(cut, unit)}`)].join('\n'),
    ),
    'Blades cut: keep fingers behind the guard, cut on a mat, and follow the trimmer maker’s own sheet.',
  ].join('\n\n');
}

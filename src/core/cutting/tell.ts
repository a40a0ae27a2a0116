import { formatBare, formatLength, type Unit } from '../panel/measure';
import type { Cut, CutPlan } from './cutPlan';

/** One cut as it is read at the trimmer. */
export const tellCut = ({ way, at, gives }: Cut, unit: Unit): string =>
  `${way === 'across' ? 'Across' : 'Down'} at ${formatLength(at, unit)} from the ${way === 'across' ? 'top' : 'left'}: ${gives}`;

/** A plan as text: sheet by sheet, cut by cut. */
export function cutText({ sheet, sheets, waste }: CutPlan, unit: Unit): string {
  const head = `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'} of ${formatBare(sheet.width, unit)} × ${formatLength(sheet.height, unit)}, ${Math.round(waste * 100)} % waste. Each cut goes right through the piece in hand.`;
  return [
    head,
    ...sheets.map(({ cuts }, i) =>
      [`Sheet ${i + 1}`, ...cuts.map((cut, k) => `  ${k + 1}. ${tellCut(cut, unit)}`)].join('\n'),
    ),
    'Blades cut: keep fingers behind the guard, cut on a mat, and follow the trimmer maker’s own sheet.',
  ].join('\n\n');
}

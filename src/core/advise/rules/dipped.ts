import { setRun } from '../../recipe/editLadder';
import { isPrinted } from '../../recipe/laying';
import type { Run } from '../../recipe/runs/definition';
import { RUNS } from '../../recipe/runs/runs';
import { TOOLS } from '../../recipe/tools/tools';
import type { Fix, Rule } from './definition';

/**
 * A card that is to be dipped into a glow, into corners or patches: it can be dipped from its ends alone. Or a stamp: its
 * rubber is inked with what holds ink. Common practice.
 */
export const dipped: Rule = {
  id: 'dipped',
  check: ({ resolved: { recipe } }) => {
    const { id } = recipe.run;
    const run: Run = RUNS[id];
    const isFromEnds = run.layout === 'bands' && !run.laidFromMiddle;
    if (!TOOLS[recipe.tool].soaks) return [];
    const takeBrush: Fix = {
      label: 'Take a blending brush',
      apply: (current) => ({ ...current, tool: 'brush' }),
    };
    if (isPrinted(recipe))
      return [
        {
          key: 'dipped stamp',
          message: 'A stamp is inked and printed: it cannot be dipped. Take a brush, or the pad itself.',
          fix: takeBrush,
          others: [{ label: 'Take the pad', apply: (current) => ({ ...current, tool: 'pad' }) }],
        },
      ];
    if (isFromEnds) return [];
    return [
      {
        key: `dipped ${id}`,
        message: `A card is dipped from its ends: it cannot be dipped into a ${run.phrase}. Lay it straight, or take a brush.`,
        fix: { label: 'Lay it straight', apply: (current) => setRun(current, 'straight') },
        others: [takeBrush],
      },
    ];
  },
};

import { listed } from '../../base/words';
import { isBare, liftsOf } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** Of which less than this part comes off with water, an ink hardly shows that it was wetted; common practice. */
const HARDLY = 0.5;

/** Water stamped, dropped or wiped on inks that water does not move: little is to be seen of it. */
export const littleLifted: Rule = {
  id: 'littleLifted',
  check: ({ resolved: { recipe, inks } }) => {
    const laid = inks.filter((ink) => !isBare(ink));
    const firm = laid.filter((ink) => liftsOf(ink) < HARDLY);
    // Where one of them gives way, there is something to see.
    if (laid.length === 0 || firm.length < laid.length) return [];
    const kinds = listed([...new Set(firm.map(({ kind }) => `${INK_KINDS[kind].label}s`))]);
    return passesInOrder(recipe)
      .filter(({ kind }) => PASS_KINDS[kind].lifts)
      .map((pass) => ({
        key: `little ${pass.id} ${kinds}`,
        message: `${PASS_KINDS[pass.kind].label}: water takes little of ${kinds}. It shows on dyes; on these expect a hint, or work longer.`,
      }));
  },
};

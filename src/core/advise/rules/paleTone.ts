import { listed } from '../../base/words';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** From this lightness on, L*, a second film of the same ink is hardly seen. By eye. */
const PALE = 78;

/** Tone on tone on a pale band: a second film of the same pale ink hardly shows. */
export const paleTone: Rule = {
  id: 'paleTone',
  check: ({ resolved: { recipe }, readings }) => {
    const pale = readings.rungs.filter(({ lab, ink }) => lab.l >= PALE && ink.kind !== 'bare');
    if (pale.length === 0) return [];
    const names = listed(pale.map(({ ink }) => ink.name));
    return passesInOrder(recipe)
      .filter(({ kind }) => PASS_KINDS[kind].sameInks)
      .map((pass) => ({
        key: `tone ${pass.id} ${names}`,
        message: `${PASS_KINDS[pass.kind].label}: on ${names} it will hardly show. Keep the stamp on the deeper bands, or ink it there with the next depth.`,
      }));
  },
};

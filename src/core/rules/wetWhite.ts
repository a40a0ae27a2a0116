import type { Rule } from './rule';

/** Fluorescent ink laid wet on white: it pushes the white about and sinks. */
export const wetWhite: Rule = {
  id: 'wetWhite',
  check: ({ kit: { inks } }) =>
    inks.slice(1).flatMap((second, i) => {
      const first = inks[i];
      const kinds = [first?.kind, second.kind];
      if (!kinds.includes('fluorescent') || !kinds.includes('white')) return [];
      const glowing = first?.kind === 'fluorescent' ? first : second;
      return [
        {
          key: `wet white ${i}`,
          told: `${glowing.name} laid wet on white pushes it about and sinks. Lay the white alone and let it dry before.`,
        },
      ];
    }),
};

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { ink } from '../../testing/resolvedRecipes';
import { addWet, clearStack, countLayers, dryStack, makeStack, thinStack } from './stack';

const palette = [ink('Gorse', '#f8d46f'), ink('Leat', '#009aab'), ink('Skerry', '#005487')];

/** What a hand does to one point of a panel. */
const deed = fc.oneof(
  fc.record({ does: fc.constant('lay' as const), ink: fc.nat(2), coats: fc.integer({ min: -1, max: 4 }) }),
  fc.record({ does: fc.constant('dry' as const) }),
  fc.record({ does: fc.constant('thin' as const), ink: fc.nat(2), leaves: fc.constantFrom(0, 0.25, 1) }),
  fc.record({ does: fc.constant('clear' as const) }),
);

test('whatever is done, layers are what was laid between two dryings, thinned by what took of them', () => {
  fc.assert(
    fc.property(fc.array(deed, { maxLength: 30 }), (deeds) => {
      const stack = makeStack(palette, 31);
      // The same, as a list of layers that anybody can follow.
      let layers: number[][] = [];
      let wet: number[] | undefined;
      for (const one of deeds) {
        if (one.does === 'lay') {
          addWet(stack, one.ink, one.coats);
          if (one.coats > 0) {
            wet ??= [0, 0, 0];
            wet[one.ink] = (wet[one.ink] ?? 0) + one.coats;
          }
        } else if (one.does === 'dry') {
          dryStack(stack);
          if (wet) layers.push(wet);
          wet = undefined;
        } else if (one.does === 'thin') {
          thinStack(stack, (at) => (at === one.ink ? one.leaves : 1));
          for (const layer of wet ? [...layers, wet] : layers)
            layer[one.ink] = (layer[one.ink] ?? 0) * one.leaves;
        } else {
          clearStack(stack);
          layers = [];
          wet = undefined;
        }
      }
      const all = wet ? [...layers, wet] : layers;
      expect(stack).toMatchObject({ inks: 3, dried: layers.length, wet: wet !== undefined });
      expect(countLayers(stack)).toBe(all.length);
      expect([...stack.amounts.subarray(0, 3 * all.length)]).toEqual(all.flat());
      // What lies above is empty: the next ink finds nothing there.
      expect(stack.amounts.subarray(3 * all.length).every((coats) => coats === 0)).toBe(true);
    }),
  );
});

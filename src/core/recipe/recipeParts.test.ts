import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { panelSampler } from '../engine/probe';
import { groundOfCard } from '../materials/card/card';
import { deltaE00 } from '../materials/colour/difference';
import type { Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import { BARE } from '../materials/ink/ink';
import { driedColour } from '../materials/ink/laid';
import { differencesBetween } from './differences';
import { addRung, copyRun, copyShares, reverse, setRun, setRunParams, setShare } from './editLadder';
import { addPass, addPlacement } from './editPasses';
import type { Pass } from './passes/passes';
import type { ResolvedRecipe } from './resolved';
import { RUN_IDS } from './runs/runs';

const inks = [ink('Gorse', '#f2c230'), ink('Thrift', '#e2568f'), ink('Tarn', '#1f4f7a')];
const dark = ink('Sloe', '#393060');
const resolved = resolvedOf(inks);

describe('reading one point of the panel', () => {
  test('where an ink is solid it is that ink’s dried colour, whole', () => {
    const { lab, inks: there } = panelSampler(resolved)(40, 2);
    expect(there).toEqual([{ ink: inks[0], coats: 1 }]);
    expect(deltaE00(lab, driedColour(inks[0] ?? BARE, groundOfCard(WHITE_CARD)))).toBeLessThan(1e-4);
  });

  test('in a joint both inks are told, the more of them first, and sum to a coat', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RUN_IDS),
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (id, x, y) => {
          const { inks: there } = panelSampler({ ...resolved, recipe: setRun(resolved.recipe, id) })(x, y);
          expect(there.reduce((sum, { coats }) => sum + coats, 0)).toBeGreaterThan(0.96);
          expect(there.map(({ coats }) => coats)).toEqual(
            there.map(({ coats }) => coats).sort((p, q) => q - p),
          );
        },
      ),
    );
  });

  test('under a horizon the ink over it is told too; on bare card nothing is', () => {
    const over = withPass(resolved, 'horizon', { ink: dark });
    expect(panelSampler(over)(40, 95).inks.map(({ ink: { name } }) => name)).toEqual(['Tarn', 'Sloe']);
    const faded = resolvedOf([inks[2] ?? dark, BARE]);
    expect(panelSampler(faded)(40, 99).inks).toEqual([]);
    expect(panelSampler(faded)(40, 99).lab.l).toBeGreaterThan(97);
  });
});

describe('numbers of a run', () => {
  test('numbers of a run are held in their ranges, and no other is kept', () => {
    const glow = setRunParams(setRun(resolved.recipe, 'glow'), { x: -40, oval: 1e9, tilt: 3 });
    expect(glow.run.params).toEqual({ x: 0, y: 55, oval: 200 });
  });
});

test('another recipe’s run comes with its passes and tool; its shares only where it has as many rungs', () => {
  const other = {
    ...setShare(addPass(setRun(resolvedOf(inks).recipe, 'slant'), 'edge', { inkId: 'Sloe' }), 1, 0.6),
    tool: 'foam' as const,
  };
  const taken = copyRun(resolved.recipe, other);
  expect(taken).toMatchObject({ run: other.run, passes: other.passes, tool: 'foam' });
  expect(taken.rungs).toEqual(
    resolved.recipe.rungs.map((rung) => ({ ...rung, share: expect.closeTo(rung.share, 6) })),
  );
  expect(copyShares(resolved.recipe, other).rungs[1]?.share).toBeCloseTo(0.6, 6);
  expect(copyShares(resolvedOf(inks.slice(0, 2)).recipe, other)).toEqual(resolvedOf(inks.slice(0, 2)).recipe);
});

test('wishes are for as many rungs as there are: with another number they are gone', () => {
  const wished = { ...resolved.recipe, wanted: [0.5, 0.3, 0.2] };
  expect(addRung(wished, 1, 'Sloe').wanted).toBeUndefined();
});

test('two states are told apart in words, by the names a maker knows, and alike ones in none', () => {
  const stamped = withPass(
    withPass(resolved, 'silhouette', { ink: dark, design: OWN_DESIGNS[0] as Design }),
    'edge',
    {
      ink: dark,
    },
  );
  const [silhouette, edge] = stamped.recipe.passes as [Pass, Pass];
  const other: ResolvedRecipe = {
    ...stamped,
    card: { ...WHITE_CARD, id: '5e1f', name: 'kraft 280 g/m²' },
    designs: OWN_DESIGNS,
    recipe: {
      ...setShare(setRun(stamped.recipe, 'glow'), 0, 0.5),
      cardId: '5e1f',
      school: 'middleOut',
      passes: [
        { ...edge, enabled: false },
        { ...silhouette, designId: OWN_DESIGNS[1]?.id as string },
      ] as Pass[],
    },
  };
  const told = differencesBetween(stamped, other, 'mm');
  for (const line of [
    'Run: Straight → Glow',
    'Order of laying: pale first → middle out',
    `Card: ${WHITE_CARD.name} → kraft 280 g/m²`,
    'Share of rung 1: 33 % → 50 %',
    `Silhouette: Design: ${OWN_DESIGNS[0]?.name} → ${OWN_DESIGNS[1]?.name}`,
    'Edge: Sloe → off',
    'Order of passes: Silhouette, Edge → Edge, Silhouette',
  ])
    expect(told).toContain(line);
  expect(differencesBetween(resolved, stamped, 'mm')).toContain('Edge: none → Sloe');
  const both = { ...stamped, recipe: addPlacement(stamped.recipe, silhouette.id) };
  expect(differencesBetween(both, stamped, 'mm')).toEqual([
    expect.stringMatching(/^Silhouette: (.+) twice → \1$/),
  ]);
  expect(differencesBetween(other, other, 'mm')).toEqual([]);
  // A stamp taken off and laid anew elsewhere is no more the same.
  const [placement] = silhouette.placements;
  const anew = {
    ...silhouette,
    placements: [{ ...placement, id: 'p9', params: { ...placement?.params, x: 20 } }],
  };
  expect(
    differencesBetween(
      stamped,
      { ...stamped, recipe: { ...stamped.recipe, passes: [anew as Pass, edge] } },
      'mm',
    ),
  ).toEqual([expect.stringMatching(/^Silhouette: /)]);
});

test('what a ruler or an eye can tell apart is never said to be alike', () => {
  const withNotes = (notes: Record<string, string>) => ({
    ...resolved,
    recipe: { ...resolved.recipe, notes },
  });
  expect(differencesBetween(resolved, withNotes({ 'lay r1': 'less of it' }), 'mm')).toEqual([
    'Note: none → “less of it”',
  ]);
  const long = 'a lighter hand at the top, and the second brush for all that comes after';
  expect(differencesBetween(withNotes({ a: long }), withNotes({ a: `${long} it` }), 'mm')).toEqual([
    'Note: “a lighter hand at the top, and the second brush for all that …” → the same beginning, another end',
  ]);
  // Half a millimetre of a panel 99 mm high, or less, is no whole per cent.
  const moved = (by: number) => ({ ...resolved, recipe: setShare(resolved.recipe, 0, 1 / 3 + by / 99) });
  expect(differencesBetween(moved(0), moved(0.1), 'mm')).toEqual(
    expect.arrayContaining([expect.stringMatching(/^Share of rung 1: 33\.3 % → 33\.4 %$/)]),
  );
});

test('turned round, the wishes go with their rungs, and the joints with theirs', () => {
  const wished = { ...resolved.recipe, wanted: [0.5, 0.3, 0.2], joints: [{ width: 4 }, { width: 9 }] };
  const turned = reverse(wished);
  expect(turned.wanted).toEqual([0.2, 0.3, 0.5]);
  expect(turned.rungs.map(({ inkId }) => inkId)).toEqual(wished.rungs.map(({ inkId }) => inkId).toReversed());
  expect(turned.joints).toEqual(wished.joints.toReversed());
});

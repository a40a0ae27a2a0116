import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ink, kitOf, WHITE_CARD } from '../../testing/kits';
import { groundOfCard } from '../card/card';
import { BARE } from '../ink/ink';
import { driedColour } from '../ink/laid';
import { RUN_IDS } from '../run/run';
import { differencesBetween } from './differences';
import {
  addOver,
  addRung,
  copyRun,
  copyShares,
  removeOver,
  setOver,
  setRun,
  setRunParams,
  setShare,
} from './edit';
import { readPlace } from './place';

const inks = [ink('Gorse', '#f2c230'), ink('Thrift', '#e2568f'), ink('Tarn', '#1f4f7a')];
const dark = ink('Sloe', '#393060');
const kit = kitOf(inks);

describe('reading one point of the panel', () => {
  test('where an ink is solid it is that ink’s dried colour, whole', () => {
    const { lab, inks: there } = readPlace(kit, 40, 2);
    expect(there).toEqual([{ ink: inks[0], coats: 1 }]);
    expect(lab).toEqual(driedColour(inks[0] ?? BARE, groundOfCard(WHITE_CARD)));
  });

  test('in a joint both inks are told, the more of them first, and sum to a coat', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RUN_IDS),
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (id, x, y) => {
          const { inks: there } = readPlace({ ...kit, recipe: setRun(kit.recipe, id) }, x, y);
          expect(there.reduce((sum, { coats }) => sum + coats, 0)).toBeGreaterThan(0.96);
          expect(there.map(({ coats }) => coats)).toEqual(
            there.map(({ coats }) => coats).sort((p, q) => q - p),
          );
        },
      ),
    );
  });

  test('under a horizon the ink over it is told too; on bare card nothing is', () => {
    const over = { ...kit, recipe: addOver(kit.recipe, 'horizon', 'Sloe'), overInks: [dark] };
    expect(readPlace(over, 40, 95).inks.map(({ ink: { name } }) => name)).toEqual(['Tarn', 'Sloe']);
    const faded = kitOf([inks[2] ?? dark, BARE]);
    expect(readPlace(faded, 40, 99).inks).toEqual([]);
    expect(readPlace(faded, 40, 99).lab.l).toBeGreaterThan(97);
  });
});

describe('what lies over the ladder, as it is edited', () => {
  test('of each kind there is one; a number is held in its range; taken off it is gone', () => {
    const once = addOver(kit.recipe, 'edge', 'Sloe');
    expect(addOver(once, 'edge', 'Tarn').overs).toHaveLength(1);
    expect(setOver(once, 'edge', { params: { depth: 900 } }).overs[0]?.params).toEqual({ depth: 60 });
    expect(setOver(once, 'edge', { inkId: 'Tarn' }).overs[0]).toMatchObject({
      inkId: 'Tarn',
      params: once.overs[0]?.params,
    });
    expect(removeOver(once, 'edge').overs).toEqual([]);
  });

  test('numbers of a run are held in their ranges, and no other is kept', () => {
    const glow = setRunParams(setRun(kit.recipe, 'glow'), { x: -40, oval: 1e9, tilt: 3 });
    expect(glow.run.params).toEqual({ x: 0, y: 55, oval: 200 });
  });
});

test('another recipe’s run comes with its overs and tool; its shares only where it has as many rungs', () => {
  const other = {
    ...setShare(addOver(setRun(kitOf(inks).recipe, 'slant'), 'edge', 'Sloe'), 1, 0.6),
    tool: 'foam' as const,
  };
  const taken = copyRun(kit.recipe, other);
  expect(taken).toMatchObject({ run: other.run, overs: other.overs, tool: 'foam' });
  expect(taken.rungs).toEqual(
    kit.recipe.rungs.map((rung) => ({ ...rung, share: expect.closeTo(rung.share, 6) })),
  );
  expect(copyShares(kit.recipe, other).rungs[1]?.share).toBeCloseTo(0.6, 6);
  expect(copyShares(kitOf(inks.slice(0, 2)).recipe, other)).toEqual(kitOf(inks.slice(0, 2)).recipe);
});

test('wishes are for as many rungs as there are: with another number they are gone', () => {
  const wished = { ...kit.recipe, wanted: [0.5, 0.3, 0.2] };
  expect(addRung(wished, 1, 'Sloe').wanted).toBeUndefined();
});

test('two states are told apart in words, and alike ones in none', () => {
  const other = addOver(setShare(setRun(kit.recipe, 'glow'), 0, 0.5), 'edge', 'Sloe');
  const told = differencesBetween(kit.recipe, other, [...inks, dark], 'mm');
  expect(told).toContain('Run: Straight → Glow');
  expect(told).toContain('Share of rung 1: 33 % → 50 %');
  expect(told).toContain('Edge: none → Sloe');
  expect(differencesBetween(other, other, inks, 'mm')).toEqual([]);
});

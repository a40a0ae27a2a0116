import { describe, expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import { groundOfCard } from '../materials/card/card';
import { deltaE00 } from '../materials/colour/difference';
import { setShare } from '../recipe/editLadder';
import { enablePass, setPlacement } from '../recipe/editPasses';
import { resolve } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { bareGround, blendGround, groundReflectance, solidColour } from './blend';

const [gorse, tarn] = [ink('Gorse', '#f2c230'), ink('Tarn', '#1f4f7a')] as const;
const white = ink('Slip', '#fdfdfb', 'white');
const resolved = resolvedOf([gorse, tarn]);
const onBlack = resolvedOf([gorse, tarn], BLACK_CARD);
const based = (dried: 'dried' | 'wet') => withPass(onBlack, 'whiteBase', { ink: white, params: { dried } });

describe('what a ladder is read on', () => {
  test('is the bare card and one coat for a brush; a pad lays more, and every colour is deeper', () => {
    expect(blendGround(resolved)).toEqual(bareGround(resolved.card));
    const pad = blendGround({ ...resolved, recipe: { ...resolved.recipe, tool: 'pad' } });
    expect(pad.coats).toBe(TOOLS.pad.coats);
    expect(pad.coats).toBeGreaterThan(1);
    expect(solidColour(gorse, pad).l).toBeLessThan(solidColour(gorse, blendGround(resolved)).l);
  });

  test('is white where a base has dried; where it is wet the white is part of the mixture', () => {
    const [dried, wet] = [blendGround(based('dried')), blendGround(based('wet'))];
    expect(dried.wet).toEqual([]);
    expect(wet.wet.map(({ ink: { id } }) => id)).toEqual(['Slip']);
    expect(wet.dried).toEqual(groundOfCard(BLACK_CARD));
    expect(groundReflectance(dried)).toEqual(dried.dried);
    // Colour that sinks into wet white is paler than colour that lies on it.
    expect(deltaE00(solidColour(gorse, dried), solidColour(gorse, wet))).toBeGreaterThan(5);
    expect(
      blendGround({ ...onBlack, recipe: enablePass(based('wet').recipe, 'whiteBase-1', false) }),
    ).toEqual(bareGround(BLACK_CARD));
  });
});

test('stays the same value while marks are moved and while what lies over the blend is', () => {
  const framed = withPass(based('dried'), 'edge', { ink: tarn });
  const ground = blendGround(framed);
  expect(blendGround({ ...framed, recipe: setShare(framed.recipe, 0, 0.4) })).toBe(ground);
  const deeper = setPlacement(framed.recipe, 'edge-1', 'p1', { params: { depth: 20 } });
  expect(blendGround({ ...framed, recipe: deeper })).toBe(ground);
});

test('what a recipe resolves to keeps its lists while only the recipe changes', () => {
  const materials = { inks: [gorse, tarn, white], cards: [resolved.card], designs: [] };
  const [one, other] = [0.4, 0.5].map((share) => resolve(setShare(resolved.recipe, 0, share), materials));
  expect(other?.inks).toBe(one?.inks);
  expect(other?.designs).toBe(one?.designs);
  expect(resolve(resolved.recipe, { ...materials, inks: [gorse] })).toBeUndefined();
});

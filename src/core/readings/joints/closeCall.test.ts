import { describe, expect, test } from 'vitest';
import { ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import type { Hex } from '../../materials/colour/hex';
import { hexOfLab, labOfHex } from '../../materials/colour/hex';
import { closeCallsOf, isCloseCall, verdictOf } from './closeCall';

const ground = bareGround(WHITE_CARD);
const moved = (hex: Hex, change: { l?: number; a?: number; b?: number }): Hex => {
  const { l, a, b } = labOfHex(hex);
  return hexOfLab({ l: l + (change.l ?? 0), a: a + (change.a ?? 0), b: b + (change.b ?? 0) });
};
const yellow = ink('Gorse', '#f2c230');
const blue = ink('Leat', '#1c86b0');
const red = ink('Rowan', '#c0202a');
const green = ink('Sallow', '#2f7d3a');

describe('a verdict near its edge', () => {
  test('is none where neither swatch, read two units off in any part, would change it', () => {
    for (const [first, second] of [
      [yellow, blue],
      [red, green],
    ] as const) {
      const said = verdictOf(first, second, ground);
      const tries = (['l', 'a', 'b'] as const).flatMap((key) =>
        [-2, 2].flatMap((by) => [
          verdictOf({ ...first, overWhite: moved(first.overWhite, { [key]: by }) }, second, ground),
          verdictOf(first, { ...second, overWhite: moved(second.overWhite, { [key]: by }) }, ground),
        ]),
      );
      expect(isCloseCall(first, second, ground)).toBe(tries.some((other) => other !== said));
    }
  });

  test('lies on every way from one verdict to another', () => {
    // From a red that muddies with green to a yellow that does not: somewhere between, the verdict turns.
    const steps = Array.from({ length: 41 }, (_, i) => {
      const part = i / 40;
      const [from, to] = [labOfHex(red.overWhite), labOfHex(yellow.overWhite)];
      const mid = (key: 'l' | 'a' | 'b') => from[key] + (to[key] - from[key]) * part;
      return ink(`step ${i}`, hexOfLab({ l: mid('l'), a: mid('a'), b: mid('b') }));
    });
    const verdicts = steps.map((step) => verdictOf(step, green, ground));
    expect(new Set(verdicts).size).toBeGreaterThan(1);
    const turns = verdicts.flatMap((verdict, i) => (i > 0 && verdict !== verdicts[i - 1] ? [i] : []));
    // A step is about two units: at each turn one of the two that meet there is a close call.
    for (const i of turns)
      expect(
        [i - 1, i].some((at) => isCloseCall(steps[at] as typeof red, green, ground)),
        `at ${i}`,
      ).toBe(true);
  });

  test('is one where either swatch alone would turn it, the upper one’s or the lower one’s', () => {
    const from = labOfHex(red.overWhite);
    const to = labOfHex(yellow.overWhite);
    const decidedBy = new Set<string>();
    for (let i = 0; i <= 20; i++) {
      const mid = (key: 'l' | 'a' | 'b') => from[key] + ((to[key] - from[key]) * i) / 20;
      const step = ink(`step ${i}`, hexOfLab({ l: mid('l'), a: mid('a'), b: mid('b') }));
      for (const [first, second] of [
        [step, green],
        [green, step],
      ] as const) {
        const said = verdictOf(first, second, ground);
        const turns = (which: 0 | 1): boolean =>
          (['l', 'a', 'b'] as const).some((key) =>
            [-2, 2].some((by) => {
              const pair = [first, second] as const;
              const other = { ...pair[which], overWhite: moved(pair[which].overWhite, { [key]: by }) };
              return verdictOf(which ? first : other, which ? other : second, ground) !== said;
            }),
          );
        const [byFirst, bySecond] = [turns(0), turns(1)];
        expect(isCloseCall(first, second, ground), `${first.name}, ${second.name}`).toBe(byFirst || bySecond);
        if (byFirst !== bySecond) decidedBy.add(byFirst ? 'first' : 'second');
      }
    }
    expect(decidedBy).toEqual(new Set(['first', 'second']));
  });

  test('is told for each joint of a ladder, in its order', () => {
    const ladder = [yellow, blue, green, red];
    expect(closeCallsOf(ladder, ground)).toEqual(
      ladder.slice(1).map((second, joint) => isCloseCall(ladder[joint] as typeof red, second, ground)),
    );
    expect(closeCallsOf([yellow], ground)).toEqual([]);
  });
});

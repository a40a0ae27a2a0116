import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { chroma } from '../../materials/colour/lab';
import { INK_KINDS } from '../../materials/ink/kinds';
import { driedColour } from '../../materials/ink/laid';
import { bridgeBetween, type Middle, quietPair } from './bridges';

const shelf = DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].blends).slice(0, 30);
const red = ink('red', '#b3262f');
const green = ink('green', '#5b8f3a');
const dried = (one: (typeof shelf)[number]) => driedColour(one, groundOfCard(WHITE_CARD));

describe('middles between two ends', () => {
  const bridged = () => bridgeBetween(red, green, [...shelf, red, green], WHITE_CARD);
  const spoilt = ({ joints }: Middle) =>
    joints.filter(({ verdict: { kind } }) => kind === 'mud' || kind === 'too alike').length;

  test('are all inks but the ends, those without mud first', () => {
    const { middles } = bridged();
    expect(middles.map(({ ink: { id } }) => id).toSorted()).toEqual(shelf.map(({ id }) => id).toSorted());
    const counts = middles.map(spoilt);
    expect(counts).toEqual(counts.toSorted((p, q) => p - q));
    expect(new Set(counts).size).toBeGreaterThan(1);
  });

  test('begin and end where the ends do, and meet in the middle', () => {
    const { middles } = bridged();
    for (const { ink: middle, joints } of middles.slice(0, 6)) {
      const [first, second] = joints;
      expect(deltaE00(first.stations[0]?.lab ?? dried(green), dried(red))).toBeLessThan(0.5);
      expect(deltaE00(first.stations.at(-1)?.lab ?? dried(green), dried(middle))).toBeLessThan(0.5);
      expect(deltaE00(second.stations[0]?.lab ?? dried(red), dried(middle))).toBeLessThan(0.5);
      expect(deltaE00(second.stations.at(-1)?.lab ?? dried(red), dried(green))).toBeLessThan(0.5);
    }
  });

  test('tell the dullest place that is walked over, and the best keep more colour than none at all', () => {
    const { direct, middles, needsNone } = bridged();
    for (const { dullest, joints } of middles)
      expect(dullest).toBe(
        Math.min(...joints.flatMap(({ stations }) => stations.map(({ lab }) => chroma(lab)))),
      );
    const without = Math.min(...direct.stations.map(({ lab }) => chroma(lab)));
    expect(middles[0]?.dullest).toBeGreaterThan(without);
    expect(needsNone).toBe(false);
  });

  test('are ranked the same whichever way the pair is told', () => {
    const { middles } = bridged();
    const back = bridgeBetween(green, red, shelf, WHITE_CARD).middles;
    expect(back.slice(0, 3).map(({ ink: { id } }) => id)).toEqual(
      middles.slice(0, 3).map(({ ink: { id } }) => id),
    );
    expect(spoilt(back[0] as Middle)).toBe(spoilt(middles[0] as Middle));
  });
});

test('what quiets a pair is duller than it, not lost beside it, and what they mix to, drawn toward grey, comes before a bar', () => {
  const loud = [ink('Kilnfire', '#f26522'), ink('Thrift', '#e4007c')] as const;
  const found = quietPair(...loud, [...shelf, ...loud], WHITE_CARD);
  expect(found.length).toBeGreaterThan(3);
  const [p, q] = loud.map(dried) as [ReturnType<typeof dried>, ReturnType<typeof dried>];
  const before = (chroma(p) + chroma(q)) / 2;
  for (const { ink: third, before: told, after } of found) {
    const lab = dried(third);
    expect(told).toBeCloseTo(before, 9);
    expect(after).toBeCloseTo((chroma(p) + chroma(q) + chroma(lab)) / 3, 9);
    expect(after).toBeLessThan(before);
    expect(Math.min(deltaE00(lab, p), deltaE00(lab, q))).toBeGreaterThanOrEqual(10);
  }
  const thirds = [ink('charcoal', '#3a3a3a'), ink('dusty rose', '#a87474'), ink('pale blue', '#a9c3d6')];
  expect(quietPair(...loud, thirds, WHITE_CARD).map((one) => one.ink.name)).toEqual([
    'dusty rose',
    'pale blue',
    'charcoal',
  ]);
  expect(found.some(({ ink: { id } }) => loud.some((one) => one.id === id))).toBe(false);
});

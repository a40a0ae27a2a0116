import { describe, expect, test } from 'vitest';
import { BLACK_CARD, ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import type { Hex } from '../../materials/colour/hex';
import type { InkKindId } from '../../materials/ink/kinds';
import { driedColour } from '../../materials/ink/laid';
import { describeVerdict, judgeJoint, namesOnTheWay, STATIONS, type VerdictKind, walkJoint } from './joint';

const SWATCH = {
  red: '#b3262f',
  green: '#5b8f3a',
  blue: '#1f4f7a',
  orange: '#e8762c',
  yellow: '#f2c230',
  violet: '#6b3fa0',
  pink: '#e2568f',
  turquoise: '#2a8f8a',
  mint: '#7fd0bf',
  brown: '#5a3a28',
} as const satisfies Record<string, Hex>;
type Swatch = keyof typeof SWATCH;

const white = bareGround(WHITE_CARD);
const walk = (first: Swatch, second: Swatch, kind: InkKindId) =>
  walkJoint(ink(first, SWATCH[first], kind), ink(second, SWATCH[second], kind), white);

describe('what the trade says of a pair, and the names on the way (common practice)', () => {
  const FACTS: [Swatch, Swatch, InkKindId, VerdictKind, string[]][] = [
    ['red', 'green', 'dye', 'mud', ['reddish orange', 'brown', 'yellowish brown']],
    ['red', 'green', 'hybrid', 'mud', ['reddish brown']],
    ['blue', 'orange', 'dye', 'mud', ['bluish gray', 'olive gray', 'yellowish brown']],
    ['blue', 'orange', 'hybrid', 'mud', ['olive green']],
    ['yellow', 'violet', 'dye', 'mud', ['light yellowish brown', 'light reddish brown']],
    ['yellow', 'violet', 'hybrid', 'mud', ['light reddish brown', 'grayish red']],
    [
      'pink',
      'blue',
      'dye',
      'new colour',
      ['reddish purple', 'strong purple', 'moderate violet', 'purplish blue'],
    ],
    ['pink', 'blue', 'hybrid', 'new colour', ['reddish purple', 'strong purple', 'moderate violet']],
    ['blue', 'yellow', 'dye', 'new colour', ['grayish green', 'yellowish green', 'yellow green']],
    ['blue', 'yellow', 'hybrid', 'new colour', ['moderate green', 'strong yellowish green']],
    ['red', 'yellow', 'dye', 'new colour', ['reddish orange', 'strong orange']],
    ['red', 'yellow', 'hybrid', 'new colour', ['reddish orange', 'strong orange']],
    ['pink', 'turquoise', 'dye', 'new colour', ['reddish purple', 'grayish purple', 'grayish blue']],
    ['pink', 'turquoise', 'hybrid', 'new colour', ['reddish purple', 'grayish purple', 'grayish blue']],
    ['mint', 'orange', 'dye', 'new colour', ['greenish yellow', 'yellowish brown', 'moderate orange']],
    ['mint', 'orange', 'hybrid', 'new colour', ['greenish yellow']],
    ['red', 'brown', 'dye', 'clean run', ['deep red', 'reddish brown']],
    ['red', 'brown', 'hybrid', 'clean run', ['deep red', 'reddish brown']],
    ['orange', 'brown', 'dye', 'clean run', ['brownish orange', 'strong brown']],
    ['orange', 'brown', 'hybrid', 'clean run', ['brownish orange', 'strong brown']],
  ];
  test.each(FACTS)('%s and %s, %s: %s', (first, second, kind, verdict, names) => {
    const stations = walk(first, second, kind);
    expect(judgeJoint(stations).kind).toBe(verdict);
    const met = namesOnTheWay(stations);
    for (const name of names) expect(met.some((other) => other.endsWith(name))).toBe(true);
  });
});

test('red and green are mud on kraft too, where the strong red pushes the dull stretch to one side (common practice)', () => {
  const kraft = bareGround({ ...WHITE_CARD, colour: '#b08d64', finish: 'kraft' });
  const joint = walkJoint(ink('red', '#9c1a2b'), ink('green', '#3d8342'), kraft);
  expect(judgeJoint(joint).kind).toBe('mud');
});

test('pink and turquoise make a quieter new colour (common practice)', () => {
  expect(judgeJoint(walk('pink', 'turquoise', 'dye')).quieter).toBe(true);
  expect(judgeJoint(walk('pink', 'blue', 'dye')).quieter).toBe(false);
});

test('on black a yellow dye vanishes, a hybrid is soft and a pigment shows (common practice)', () => {
  const black = groundOfCard(BLACK_CARD);
  const lightness = (kind: InkKindId) => driedColour(ink('yellow', SWATCH.yellow, kind), black).l;
  expect(lightness('dye')).toBeLessThan(21);
  expect(lightness('hybrid')).toBeGreaterThan(45);
  expect(lightness('hybrid')).toBeLessThan(60);
  expect(lightness('pigment')).toBeGreaterThan(65);
});

test('an even mix of pink and blue sits nearer the blue in every kind: the blue is stronger (common practice)', () => {
  for (const kind of ['dye', 'hybrid', 'pigment'] as const) {
    const stations = walk('pink', 'blue', kind);
    const even = stations[(STATIONS - 1) / 2];
    const [pink, blue] = [stations[0], stations[STATIONS - 1]];
    if (!even || !pink || !blue) throw new Error('the walk is too short');
    expect(deltaE00(even.lab, blue.lab)).toBeLessThan(deltaE00(even.lab, pink.lab));
  }
});

test('a joint ends in its own two inks, and reads the same backwards', () => {
  const there = walk('pink', 'blue', 'hybrid');
  const back = walk('blue', 'pink', 'hybrid').toReversed();
  expect(there.map(({ lab }) => lab.l)).toEqual(back.map(({ lab }) => expect.closeTo(lab.l, 9)));
  expect(there[0]?.lab).toEqual(driedColour(ink('pink', SWATCH.pink), groundOfCard(WHITE_CARD)));
});

test('two inks that dry alike are told so, and a jump inside a joint is pointed at', () => {
  const stations = walkJoint(ink('one', '#b3262f'), ink('other', '#b42a32'), white);
  expect(judgeJoint(stations).kind).toBe('too alike');
  const jumpy = walkJoint(ink('weak', '#fdf6e0'), ink('strong', '#101018', 'dye'), white);
  const { abrupt } = judgeJoint([jumpy[0], jumpy[8], jumpy[9], jumpy[12]].filter((s) => s !== undefined));
  expect(abrupt).toBeDefined();
  expect(judgeJoint(walk('red', 'yellow', 'dye')).abrupt).toBeUndefined();
});

test('the verdict says what, where and what to do', () => {
  const told = describeVerdict(judgeJoint(walk('red', 'green', 'hybrid')));
  expect(told.headline).toMatch(/^Mud: .*brown|olive/);
  expect(told.reason).toContain('middle ink');
});

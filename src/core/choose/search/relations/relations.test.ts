import { describe, expect, test } from 'vitest';
import { ink, WHITE_CARD } from '../../../../testing/resolvedRecipes';
import { groundOfCard } from '../../../materials/card/card';
import { chroma, hueDegrees, type Lab } from '../../../materials/colour/lab';
import { ALIKE, dryInks, emptyPairTable, MUD, NO_NOUN, VERDICTS } from '../pairs/pairTable';
import { nounAt } from './measures';
import { RELATIONS, type RelationId } from './relations';

/** An ink as relations read it: lightness, chroma, hue in degrees and the noun of its name. */
interface Read {
  readonly l: number;
  readonly c: number;
  readonly h: number;
  readonly noun: string;
}
/** What becomes of a joint. */
interface JointRead {
  readonly verdict: (typeof VERDICTS)[number];
  readonly difference: number;
  readonly dullest: number;
  readonly fresh?: string;
  readonly freshChroma: number;
}

const CLEAN: JointRead = { verdict: 'clean run', difference: 40, dullest: 30, freshChroma: 0 };

/** The score of three inks: first, middle and last, with the joints between them as they are told. */
function scoreOf(
  relation: RelationId,
  inks: readonly [Read, Read, Read],
  { ab = CLEAN, bc = CLEAN, ac = CLEAN }: { ab?: JointRead; bc?: JointRead; ac?: JointRead } = {},
): number {
  const labs = inks.map(({ l, c, h }): Lab => {
    const angle = (h * Math.PI) / 180;
    return { l, a: c * Math.cos(angle), b: c * Math.sin(angle) };
  });
  const pairs = emptyPairTable(3);
  for (const [i, j, joint] of [
    [0, 1, ab],
    [1, 2, bc],
    [0, 2, ac],
  ] as const)
    for (const at of [i * 3 + j, j * 3 + i]) {
      pairs.verdict[at] = VERDICTS.indexOf(joint.verdict);
      pairs.difference[at] = joint.difference;
      pairs.dullest[at] = joint.dullest;
      pairs.fresh[at] = joint.fresh === undefined ? NO_NOUN : nounAt(joint.fresh);
      pairs.freshChroma[at] = joint.freshChroma;
    }
  const dried = {
    inks: inks.map((_, i) => ink(`ink ${i}`, '#808080')),
    labs,
    ground: groundOfCard(WHITE_CARD),
    lightness: Float64Array.from(labs, ({ l }) => l),
    chroma: Float64Array.from(labs, chroma),
    hue: Float64Array.from(labs, hueDegrees),
    noun: Uint8Array.from(inks, ({ noun }) => nounAt(noun)),
  };
  return RELATIONS[relation].scorer({ dried, pairs })(0, 1, 2);
}

const read = (l: number, c: number, h: number, noun = 'blue'): Read => ({ l, c, h, noun });
const joint = (change: Partial<JointRead>): JointRead => ({ ...CLEAN, ...change });

test('verdicts stand in tables by their names', () => {
  expect([VERDICTS[MUD], VERDICTS[ALIKE]]).toEqual(['mud', 'too alike']);
});

describe('tonal: better in one thing and alike in all others scores higher', () => {
  const tonal = (hues: readonly [number, number, number], lights: readonly [number, number, number]) =>
    scoreOf('tonal', [
      read(lights[0], 40, hues[0]),
      read(lights[1], 40, hues[1]),
      read(lights[2], 40, hues[2]),
    ]);

  test('nearer in hue', () => {
    expect(tonal([240, 240, 240], [80, 60, 40])).toBeGreaterThan(tonal([240, 250, 240], [80, 60, 40]));
    expect(tonal([240, 250, 240], [80, 60, 40])).toBeGreaterThan(tonal([240, 250, 260], [80, 60, 40]));
    expect(tonal([240, 254, 270], [80, 60, 40])).toBe(0);
    // Across the seam of the circle, too.
    expect(tonal([355, 0, 5], [80, 60, 40])).toBeCloseTo(tonal([240, 245, 250], [80, 60, 40]), 9);
  });
  test('more evenly spaced, and farther from pale to dark', () => {
    expect(tonal([240, 240, 240], [80, 60, 40])).toBeGreaterThan(tonal([240, 240, 240], [80, 68, 40]));
    expect(tonal([240, 240, 240], [80, 60, 40])).toBeGreaterThan(tonal([240, 240, 240], [75, 60, 45]));
  });
  test('nothing where a step is hardly one, or an ink has no colour', () => {
    expect(tonal([240, 240, 240], [80, 75, 40])).toBe(0);
    expect(scoreOf('tonal', [read(80, 40, 240), read(60, 7, 240), read(40, 40, 240)])).toBe(0);
  });
});

describe('a neighbour run', () => {
  const run = (
    h: readonly [number, number, number],
    c = 40,
    l: readonly [number, number, number] = [80, 60, 40],
    ab = CLEAN,
  ) => scoreOf('neighbours', [read(l[0], c, h[0]), read(l[1], c, h[1]), read(l[2], c, h[2])], { ab });

  test('even steps round the circle score higher, more colour does, even lightness does', () => {
    expect(run([60, 100, 140])).toBeGreaterThan(run([60, 85, 140]));
    expect(run([60, 100, 140])).toBeGreaterThan(run([60, 100, 140], 25));
    expect(run([60, 100, 140])).toBeGreaterThan(run([60, 100, 140], 40, [80, 72, 40]));
  });
  test('there and back is no run, nor is one of alike hues, half the circle, or mud in either joint', () => {
    expect(run([60, 100, 70])).toBe(0);
    expect(run([60, 70, 110])).toBe(0);
    expect(run([60, 130, 200])).toBe(0);
    expect(run([60, 100, 140], 40, [80, 60, 40], joint({ verdict: 'mud' }))).toBe(0);
    const mudLast = { bc: joint({ verdict: 'mud' }) };
    expect(scoreOf('neighbours', [read(80, 40, 60), read(60, 40, 100), read(40, 40, 140)], mudLast)).toBe(0);
  });
});

describe('a bridge', () => {
  const ends = [read(70, 50, 100), read(60, 45, 160), read(40, 50, 260)] as const;
  const muddy = joint({ verdict: 'mud', dullest: 8 });
  const bridged = (ab: Partial<JointRead>, bc: Partial<JointRead>, ac: JointRead = muddy) =>
    scoreOf('bridge', ends, { ab: joint({ dullest: 35, ...ab }), bc: joint({ dullest: 35, ...bc }), ac });

  test('the more colour it keeps on both sides the better, by its duller joint', () => {
    expect(bridged({}, {})).toBeGreaterThan(bridged({ dullest: 25 }, {}));
    expect(bridged({ dullest: 25 }, {})).toBeCloseTo(bridged({}, { dullest: 25 }), 9);
  });
  test('one that turns to mud on either side, or is one of its ends, is none', () => {
    expect([bridged({ verdict: 'mud' }, {}), bridged({}, { verdict: 'mud' })]).toEqual([0, 0]);
    expect([bridged({ verdict: 'too alike' }, {}), bridged({}, { verdict: 'too alike' })]).toEqual([0, 0]);
  });
  test('ends that stay colourful need none; dull ones are not worth one', () => {
    expect(bridged({}, {}, joint({ dullest: 40 }))).toBe(0);
    expect(bridged({}, {}, joint({ dullest: 20 }))).toBeGreaterThan(0);
    const dull = [read(70, 19, 100), read(60, 45, 160), read(40, 50, 260)] as const;
    expect(scoreOf('bridge', dull, { ac: muddy })).toBe(0);
  });
});

describe('contrast with a new colour', () => {
  const inks = [read(80, 60, 90, 'yellow'), read(60, 50, 250, 'blue'), read(50, 50, 340, 'red')] as const;
  const green = joint({ verdict: 'new colour', fresh: 'green', freshChroma: 50, difference: 60 });
  const violet = joint({ verdict: 'new colour', fresh: 'violet', freshChroma: 50, difference: 60 });
  const made = (ab: JointRead, bc: JointRead) => scoreOf('newColour', inks, { ab, bc });

  test('two new colours beat one, a stronger one a weaker, inks farther apart nearer ones', () => {
    expect(made(green, violet)).toBeGreaterThan(made(green, CLEAN));
    expect(made(green, violet)).toBeGreaterThan(made({ ...green, freshChroma: 30 }, violet));
    expect(made(green, violet)).toBeGreaterThan(made({ ...green, difference: 40 }, violet));
  });
  test('the same one twice counts once, and one that the third ink has, or a muddy one, not at all', () => {
    expect(made(green, { ...violet, fresh: 'green' })).toBeCloseTo(
      made(green, { ...CLEAN, difference: 60 }),
      9,
    );
    expect(made({ ...green, fresh: 'red' }, { ...CLEAN, difference: 60 })).toBe(0);
    expect(made({ ...green, fresh: 'brown' }, { ...CLEAN, difference: 60 })).toBe(0);
    expect([made({ ...green, verdict: 'mud' }, violet), made(green, { ...violet, verdict: 'mud' })]).toEqual([
      0, 0,
    ]);
  });
});

describe('quieted', () => {
  const quieted = (loud: number, third: number, noun = 'brown', ab = CLEAN, bc = CLEAN) =>
    scoreOf('quieted', [read(60, loud, 0), read(55, third, 60, noun), read(50, loud, 120)], { ab, bc });

  test('louder ends, a quieter third, and a brown or a grey score higher', () => {
    expect(quieted(60, 15)).toBeGreaterThan(quieted(50, 12.5));
    expect(quieted(60, 15)).toBeGreaterThan(quieted(60, 25));
    expect(quieted(60, 15)).toBeGreaterThan(quieted(60, 15, 'blue'));
    expect(quieted(60, 15)).toBeGreaterThan(quieted(60, 15, 'brown', joint({ difference: 20 })));
  });
  test('a third that is loud itself, ends that are not, and one taken for an end are none', () => {
    expect([quieted(60, 34), quieted(39, 10)]).toEqual([0, 0]);
    expect(quieted(60, 15, 'brown', CLEAN, joint({ verdict: 'too alike' }))).toBe(0);
  });
});

describe('three primaries', () => {
  const [yellow, red, blue] = [
    read(80, 60, 90, 'yellow'),
    read(45, 50, 20, 'red'),
    read(40, 45, 260),
  ] as const;
  const makes = (fresh: string, freshChroma = 40) => joint({ verdict: 'new colour', fresh, freshChroma });
  const six = { ab: makes('orange'), bc: makes('green'), ac: makes('violet') };

  test('orange, green and violet are all counted, whichever side the red is on', () => {
    const all = scoreOf('primaries', [red, yellow, blue], six);
    expect(all).toBeGreaterThan(scoreOf('primaries', [red, yellow, blue], { ...six, ac: CLEAN }));
    expect(all).toBeGreaterThan(
      scoreOf('primaries', [red, yellow, blue], { ...six, ab: makes('orange', 20) }),
    );
    expect(scoreOf('primaries', [blue, yellow, red], { ab: six.bc, bc: six.ab, ac: six.ac })).toBeCloseTo(
      all,
      9,
    );
    const pale = { ...yellow, c: 40 };
    expect(all).toBeGreaterThan(scoreOf('primaries', [red, pale, blue], six));
  });
  test('without the orange or the green, or without a yellow in the middle, there are none', () => {
    expect(scoreOf('primaries', [red, yellow, blue], { ...six, ab: CLEAN })).toBe(0);
    expect(
      scoreOf('primaries', [red, yellow, blue], { ...six, bc: joint({ verdict: 'mud', fresh: 'green' }) }),
    ).toBe(0);
    expect(scoreOf('primaries', [yellow, red, blue], six)).toBe(0);
    expect(scoreOf('primaries', [red, yellow, red], six)).toBe(0);
  });
});

describe('light three and one dark', () => {
  const PALE = { gorse: '#f8d46f', thrift: '#f4b8c8', haar: '#dfe6e8', weir: '#9fd8d4' } as const;
  const shelf = (names: readonly (keyof typeof PALE)[], dark = '#201c4a', kind: 'dye' | 'pigment' = 'dye') =>
    dryInks(
      [...names.map((name) => ink(name, PALE[name])), ink('dark', dark as '#201c4a', kind)],
      WHITE_CARD,
    );
  const scored = (dried: ReturnType<typeof dryInks>, alike = false) => {
    const pairs = emptyPairTable(dried.inks.length);
    pairs.verdict.fill(alike ? ALIKE : 0);
    return RELATIONS.lightAndDark.scorer({ dried, pairs })(0, 1, 2);
  };

  test('a darker top coat reads better; a colourless three scores lower; a pigment is no top coat', () => {
    const three = scored(shelf(['gorse', 'thrift', 'weir']));
    expect(three).toBeGreaterThan(scored(shelf(['gorse', 'thrift', 'weir'], '#4a4a7a')));
    expect(three).toBeGreaterThan(scored(shelf(['gorse', 'thrift', 'haar'])));
    expect(scored(shelf(['gorse', 'thrift', 'weir'], '#201c4a', 'pigment'))).toBe(0);
  });
  test('inks taken for each other are no three', () => {
    expect(scored(shelf(['gorse', 'thrift', 'weir']), true)).toBe(0);
  });
});

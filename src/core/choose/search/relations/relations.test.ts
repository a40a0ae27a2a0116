import { describe, expect, test } from 'vitest';
import { ink, WHITE_CARD } from '../../../../testing/resolvedRecipes';
import { groundOfCard } from '../../../materials/card/card';
import { chroma, hueDegrees, type Lab } from '../../../materials/colour/lab';
import { NOUNS } from '../pairs/nounLattice';
import { ALIKE, dryInks, emptyPairTable, MUD, VERDICTS } from '../pairs/pairTable';
import { fall, soft, wayRound } from './measures';
import { RELATION_IDS, RELATIONS, type RelationId, scorerOf } from './relations';

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
  readonly flow: number;
  readonly live: number;
  readonly wide: number;
  readonly newHue: number;
  readonly newChroma: number;
  readonly bow: number;
}

const CLEAN: JointRead = {
  verdict: 'clean run',
  difference: 40,
  dullest: 40,
  flow: 0.6,
  live: 0,
  wide: 0,
  newHue: 0,
  newChroma: 0,
  bow: 0,
};
type Joints = { readonly ab?: JointRead; readonly bc?: JointRead; readonly ac?: JointRead };

/** Three inks on a shelf of their own, with the joints between them as they are told. */
function shelfOf(inks: readonly [Read, Read, Read], { ab = CLEAN, bc = CLEAN, ac = CLEAN }: Joints = {}) {
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
      for (const figure of ['difference', 'dullest', 'flow', 'live', 'wide', 'newHue', 'newChroma'] as const)
        pairs[figure][at] = joint[figure];
      pairs.bow[at] = i < j === at < j * 3 + i ? joint.bow : -joint.bow;
      pairs.mixA[at] = ((labs[i]?.a ?? 0) + (labs[j]?.a ?? 0)) / 2;
      pairs.mixB[at] = ((labs[i]?.b ?? 0) + (labs[j]?.b ?? 0)) / 2;
    }
  const dried = {
    inks: inks.map((_, i) => ink(`ink ${i}`, '#808080')),
    labs,
    places: Uint16Array.from(inks, (_, place) => place),
    ground: groundOfCard(WHITE_CARD),
    lightness: Float64Array.from(labs, ({ l }) => l),
    chroma: Float64Array.from(labs, chroma),
    hue: Float64Array.from(labs, hueDegrees),
    noun: Uint8Array.from(inks, ({ noun }) => NOUNS.indexOf(noun)),
    worth: Float64Array.from(inks, () => 1),
  };
  return { dried, pairs };
}

/** The score of three inks: first, middle and last. */
const scoreOf = (relation: RelationId, inks: readonly [Read, Read, Read], joints: Joints = {}): number =>
  scorerOf(relation, shelfOf(inks, joints))(0, 1, 2);

const read = (l: number, c: number, h: number, noun = 'blue'): Read => ({ l, c, h, noun });
const joint = (change: Partial<JointRead>): JointRead => ({ ...CLEAN, ...change });

test('verdicts stand in tables by their names', () => {
  expect([VERDICTS[MUD], VERDICTS[ALIKE]]).toEqual(['mud', 'too alike']);
});

describe('what scores are put together from', () => {
  test('more is always more, and never full; nearer is always nearer', () => {
    for (const [less, more] of [
      [1, 2],
      [20, 40],
      [400, 900],
    ] as const) {
      expect(soft(more, 20)).toBeGreaterThan(soft(less, 20));
      expect(fall(less, 20)).toBeGreaterThan(fall(-more, 20));
    }
    expect([soft(-3, 20), soft(20, 20), fall(20, 20), soft(1e6, 20) < 1]).toEqual([0, 0.5, 0.5, true]);
  });

  test('the way round is the short one, but for opposite hues whose own mixture goes by the other side', () => {
    // A gold and a blue: the short way is by rose, but they mix to green.
    expect(wayRound(86, 283, 0.3)).toBeCloseTo(197);
    expect(wayRound(86, 283, -0.3)).toBeCloseTo(-163);
    expect(wayRound(86, 283, 0.05)).toBeCloseTo(-163);
    // Red and green are not so far apart that their mixture could say.
    expect(wayRound(26, 142, -0.3)).toBeCloseTo(116);
    expect(wayRound(350, 30, 0)).toBeCloseTo(40);
  });

  test('each relation says of three inks, with their names and figures, why they belong together', () => {
    const judged = shelfOf([read(80, 50, 60), read(60, 50, 100), read(40, 50, 140)]);
    for (const id of RELATION_IDS) expect(RELATIONS[id].tell(judged, 0, 1, 2)).toMatch(/^[A-Z].*\.$/);
    expect(RELATIONS.tonal.tell(judged, 0, 1, 2)).toContain('hues within 80°, 20 and 20 darker');
    const overlaps = shelfOf([read(80, 50, 60), read(60, 50, 100), read(40, 50, 140)], {
      ab: joint({ wide: 0.5 }),
      bc: joint({ wide: 0.3 }),
    });
    expect(RELATIONS.newColour.tell(overlaps, 0, 1, 2)).toBe(
      'Overlaps make a colour of their own over 5 tenths of the joint of ink 0 and ink 1, and over 3 tenths of the joint of ink 1 and ink 2.',
    );
  });
});

test('three of which one is lost on the card fit as much less; with mud in a joint, none do', () => {
  const depths = [read(80, 40, 240), read(60, 40, 240), read(40, 40, 240)] as const;
  const shelf = shelfOf(depths);
  const lost = { ...shelf, dried: { ...shelf.dried, worth: Float64Array.of(1, 1, 0.25) } };
  const whole = scoreOf('tonal', depths);
  expect(whole).toBeGreaterThan(0);
  expect(scorerOf('tonal', lost)(0, 1, 2)).toBeCloseTo(whole / 4, 9);
  const muddy = joint({ verdict: 'mud' });
  expect([scoreOf('tonal', depths, { ab: muddy }), scoreOf('tonal', depths, { bc: muddy })]).toEqual([0, 0]);
  // What the ends alone would do is no joint of theirs.
  expect(scoreOf('tonal', depths, { ac: muddy })).toBe(whole);
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
    expect(tonal([240, 254, 281], [80, 60, 40])).toBe(0);
    // Across the seam of the circle, too.
    expect(tonal([355, 0, 5], [80, 60, 40])).toBeCloseTo(tonal([240, 245, 250], [80, 60, 40]), 9);
  });
  test('more evenly spaced, and farther from pale to dark', () => {
    expect(tonal([240, 240, 240], [80, 60, 40])).toBeGreaterThan(tonal([240, 240, 240], [80, 68, 40]));
    expect(tonal([240, 240, 240], [80, 60, 40])).toBeGreaterThan(tonal([240, 240, 240], [75, 60, 45]));
  });
  test('colourful in step, and evenly from one to the next', () => {
    const depths = (c: readonly [number, number, number], ab = CLEAN) =>
      scoreOf('tonal', [read(80, c[0], 240), read(60, c[1], 240), read(40, c[2], 240)], { ab });
    expect(depths([40, 40, 40])).toBeGreaterThan(depths([15, 40, 40]));
    expect(depths([40, 40, 40])).toBeGreaterThan(depths([40, 20, 40]));
    expect(depths([40, 40, 40])).toBeGreaterThan(depths([40, 40, 40], joint({ flow: 0.3 })));
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
  test('there and back is no run, nor is one of alike hues, or half the circle', () => {
    expect(run([60, 100, 70])).toBe(0);
    expect(run([60, 70, 110])).toBe(0);
    expect(run([60, 135, 200])).toBe(0);
  });
});

describe('a bridge', () => {
  const ends = (middle = read(55, 45, 160)) => [read(70, 50, 100), middle, read(40, 50, 220)] as const;
  const muddy = joint({ verdict: 'mud', dullest: 8 });
  const bridged = (
    ab: Partial<JointRead> = {},
    bc: Partial<JointRead> = {},
    ac: JointRead = muddy,
    inks = ends(),
  ) => scoreOf('bridge', inks, { ab: joint({ dullest: 35, ...ab }), bc: joint({ dullest: 35, ...bc }), ac });

  test('the more colour it keeps on both sides the better, by its duller joint', () => {
    expect(bridged()).toBeGreaterThan(bridged({ dullest: 25 }));
    expect(bridged({ dullest: 25 })).toBeCloseTo(bridged({}, { dullest: 25 }), 9);
  });
  test('half way round, half way down, and by even joints is best', () => {
    expect(bridged()).toBeGreaterThan(bridged({}, {}, muddy, ends(read(55, 45, 130))));
    expect(bridged()).toBeGreaterThan(bridged({}, {}, muddy, ends(read(68, 45, 160))));
    expect(bridged()).toBeGreaterThan(bridged({ difference: 15 }));
    expect(bridged()).toBeGreaterThan(bridged({}, {}, muddy, ends(read(55, 45, 160, 'olive'))));
  });
  test('on the other side of the circle, or far paler than both, it is none', () => {
    expect(bridged({}, {}, muddy, ends(read(55, 45, 300)))).toBe(0);
    expect(bridged({}, {}, muddy, ends(read(92, 45, 160)))).toBe(0);
  });
  test('is told by what its ends come to alone, and the dullest place of either joint with it', () => {
    const told = (ab: number, bc: number) =>
      RELATIONS.bridge.tell(
        shelfOf(ends(), { ab: joint({ dullest: ab }), bc: joint({ dullest: bc }), ac: muddy }),
        0,
        1,
        2,
      );
    expect(told(31, 42)).toBe('Alone the ends fall to chroma 8; by way of ink 1 never below 31.');
    expect(told(42, 33)).toContain('never below 33.');
  });
  test('ends that stay colourful need none; dull ones are not worth one', () => {
    expect(bridged({}, {}, joint({ dullest: 40 }))).toBe(0);
    expect(bridged({}, {}, joint({ dullest: 20 }))).toBeGreaterThan(0);
    const dull = [read(70, 24, 100), read(55, 45, 160), read(40, 50, 220)] as const;
    expect(scoreOf('bridge', dull, { ac: muddy })).toBe(0);
  });
});

describe('contrast with a new colour', () => {
  const inks = [read(80, 60, 90, 'yellow'), read(60, 50, 250, 'blue'), read(50, 50, 340, 'red')] as const;
  const made = { verdict: 'new colour', live: 20, wide: 0.6, newChroma: 45 } as const;
  const green = joint({ ...made, newHue: 160 });
  const violet = joint({ ...made, newHue: 300 });
  const scored = (ab: JointRead, bc: JointRead, three = inks as readonly [Read, Read, Read]) =>
    scoreOf('newColour', three, { ab, bc });

  test('two new colours beat one, a livelier one a weaker, inks farther apart nearer ones', () => {
    expect(scored(green, violet)).toBeGreaterThan(scored(green, CLEAN));
    expect(scored(green, violet)).toBeGreaterThan(scored({ ...green, live: 10 }, violet));
    expect(scored(green, violet)).toBeGreaterThan(scored({ ...green, difference: 20 }, violet));
  });
  test('the same one twice counts once; a narrow one, one the third ink has, not at all', () => {
    expect(scored(green, { ...violet, newHue: 160 })).toBeCloseTo(scored(green, CLEAN), 9);
    expect(scored({ ...green, wide: 0.2 }, CLEAN)).toBe(0);
    expect(scored({ ...green, newHue: 340 }, CLEAN)).toBe(0);
  });
  test('a brown among the three, or a middle so dark that it swallows its joints, spoils it', () => {
    const [yellow, blue, red] = inks;
    expect(scored(green, violet, [yellow, blue, { ...red, noun: 'brown' }])).toBe(0);
    const dark = [yellow, { ...blue, l: 30 }, { ...red, l: 10 }] as const;
    const mid = [yellow, { ...blue, l: 50 }, { ...red, l: 20 }] as const;
    expect(scored(green, violet, mid)).toBeGreaterThan(scored(green, violet, dark));
  });
});

describe('quieted', () => {
  const quieted = (loud: number, third = read(58, 0.28 * loud, 60, 'brown'), joints: Joints = {}) =>
    scoreOf('quieted', [read(70, loud, 0), third, read(50, loud, 120)], joints);

  test('louder ends, a dusty third between them, near to what they mix to, score higher', () => {
    expect(quieted(60)).toBeGreaterThan(quieted(45));
    expect(quieted(60)).toBeGreaterThan(quieted(60, read(58, 2, 60)));
    expect(quieted(60)).toBeGreaterThan(quieted(60, read(52, 16.8, 60)));
    expect(quieted(60)).toBeGreaterThan(quieted(60, read(58, 16.8, 240)));
    expect(quieted(60)).toBeGreaterThan(quieted(60, undefined, { ab: joint({ difference: 10 }) }));
  });
  test('a black bar between them, a third that is loud itself, ends that are not or near in hue are none', () => {
    expect(quieted(60, read(20, 5, 60))).toBe(0);
    expect([quieted(60, read(58, 34, 60)), quieted(37)]).toEqual([0, 0]);
    expect(scoreOf('quieted', [read(70, 60, 0), read(58, 17, 30), read(50, 60, 50)])).toBe(0);
  });
  test('a joint is worth judging beside a loud, clear ink only: with a dusty one, or a second loud one far off in hue', () => {
    const joined = (one: Read, other: Read) => {
      const { dried } = shelfOf([one, other, read(50, 0, 0)]);
      return RELATIONS.quieted.joins?.(dried)(0, 1);
    };
    const withWhite = shelfOf([read(60, 60, 0), read(90, 5, 60), read(50, 0, 0)]).dried;
    const whites = withWhite.inks.map((one, i) => (i === 1 ? { ...one, kind: 'white' as const } : one));
    expect(RELATIONS.quieted.joins?.({ ...withWhite, inks: whites })(0, 1)).toBe(false);
    const [loud, dusty] = [read(60, 60, 0), read(58, 15, 60)];
    expect([joined(loud, dusty), joined(dusty, loud), joined(loud, read(50, 55, 120))]).toEqual([
      true,
      true,
      true,
    ]);
    expect(joined(loud, read(50, 55, 30))).toBe(false);
    expect(joined(loud, read(58, 34, 60))).toBe(false);
    expect(joined(read(60, 37, 0), read(58, 8, 60))).toBe(false);
    expect(joined(read(60, 60, 60, 'brown'), dusty)).toBe(false);
    expect(joined(loud, read(50, 55, 120, 'olive'))).toBe(false);
  });
});

describe('three primaries', () => {
  const [yellow, red, blue] = [
    read(85, 60, 90, 'yellow'),
    read(50, 55, 15, 'red'),
    read(50, 45, 250),
  ] as const;
  const makes = (newHue: number, live = 20) => joint({ verdict: 'new colour', live, wide: 0.6, newHue });
  const six = { ab: makes(55), bc: makes(150), ac: makes(310) };

  test('orange, green and violet are all counted, whichever side the red is on', () => {
    const all = scoreOf('primaries', [red, yellow, blue], six);
    expect(all).toBeGreaterThan(scoreOf('primaries', [red, yellow, blue], { ...six, ac: CLEAN }));
    expect(all).toBeGreaterThan(scoreOf('primaries', [red, yellow, blue], { ...six, ab: makes(55, 8) }));
    expect(scoreOf('primaries', [blue, yellow, red], { ab: six.bc, bc: six.ab, ac: six.ac })).toBeCloseTo(
      all,
      9,
    );
    expect(all).toBeGreaterThan(scoreOf('primaries', [red, { ...yellow, c: 35 }, blue], six));
  });
  test('without the orange or the green, or without a pale yellow in the middle, there are none', () => {
    expect(scoreOf('primaries', [red, yellow, blue], { ...six, ab: CLEAN })).toBe(0);
    expect(scoreOf('primaries', [red, yellow, blue], { ...six, bc: CLEAN })).toBe(0);
    expect(scoreOf('primaries', [yellow, red, blue], six)).toBe(0);
    expect(scoreOf('primaries', [red, yellow, red], six)).toBe(0);
    expect(scoreOf('primaries', [red, { ...yellow, l: 60 }, blue], six)).toBe(0);
  });
  test('the yellow is given more room than the others', () => {
    const { shares } = RELATIONS.primaries;
    expect(shares?.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(shares?.[1]).toBeGreaterThan(shares?.[0] ?? 1);
  });
});

describe('light three and one dark', () => {
  const PALE = {
    gorse: '#f8d46f',
    thrift: '#f4b8c8',
    haar: '#e6e4e0',
    weir: '#9fd8d4',
    fawn: '#f6c78f',
  } as const;
  const shelf = (names: readonly (keyof typeof PALE)[], dark = '#201c4a', kind: 'dye' | 'pigment' = 'dye') =>
    dryInks(
      [...names.map((name) => ink(name, PALE[name])), ink('dark', dark as '#201c4a', kind)],
      WHITE_CARD,
    );
  const scored = (dried: ReturnType<typeof dryInks>) => {
    const pairs = emptyPairTable(dried.inks.length);
    pairs.verdict.fill(0);
    pairs.flow.fill(1);
    pairs.dullest.fill(40);
    return scorerOf('lightAndDark', { dried: { ...dried, worth: new Float64Array(4).fill(1) }, pairs })(
      0,
      1,
      2,
    );
  };

  test('a darker top coat reads better; a colourless three, or one of alike hues, is none; a pigment is no top coat', () => {
    const three = scored(shelf(['gorse', 'thrift', 'weir']));
    expect(three).toBeGreaterThan(scored(shelf(['gorse', 'thrift', 'weir'], '#4a4a7a')));
    expect(scored(shelf(['gorse', 'thrift', 'haar']))).toBe(0);
    expect(scored(shelf(['gorse', 'fawn', 'weir']))).toBe(0);
    expect(scored(shelf(['gorse', 'thrift', 'weir'], '#201c4a', 'pigment'))).toBe(0);
  });
});

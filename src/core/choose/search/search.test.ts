import { readFileSync } from 'node:fs';
import { inflateRawSync } from 'node:zlib';
import fc from 'fast-check';
import { beforeEach, describe, expect, test } from 'vitest';
import { DEMO_CARDS } from '../../../data/demo/cards';
import { DEMO_INKS } from '../../../data/demo/inks';
import { STANDARD_1912 } from '../../../testing/colourSets';
import { ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { seededRandom } from '../../base/random';
import { bareGround } from '../../engine/blend';
import { groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { type Hex, labOfHex } from '../../materials/colour/hex';
import { chroma, hueDegrees, type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
import type { Ink } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { driedColour, laidReflectance } from '../../materials/ink/laid';
import { brewMiddle } from '../../readings/joints/brew';
import { judgeJoint, MUDDY, type Station, walkJoint, walkOnWhite } from '../../readings/joints/joint';
import { DARK_UP_TO } from '../../readings/legibility/topCoat';
import { presenceOf } from '../../readings/presence';
import { HUE_SECTORS, hueSector } from '../shelf/gaps';
import { bridgeBetween, quietPair } from './bridges';
import { foldTrios } from './foldTrios';
import { type Mood, moodTest } from './moods/mood';
import { OWN_MOODS } from './moods/moods';
import { NOUNS, nounLattice } from './pairs/nounLattice';
import { dryInks, emptyPairTable, pairJudge, UNJUDGED, VERDICTS } from './pairs/pairTable';
import { LIGHT_FROM, topCoatsOf } from './pairs/topCoats';
import { NO_CONSTRAINTS, type Trio, type TrioQuery, trioKey } from './query';
import type { Judged } from './relations/definition';
import { RELATION_IDS, RELATIONS, type RelationId, scorerOf } from './relations/relations';
import { pagesOf } from './trioPages';
import { mergeResults, searchTrios, wantedJoints } from './trios';

function judged(inks: readonly Ink[], card = WHITE_CARD): Judged {
  const dried = dryInks(inks, card);
  const pairs = emptyPairTable(inks.length);
  const judge = pairJudge(dried, card);
  for (let row = 0; row < inks.length; row++) judge(row, pairs);
  return { dried, pairs };
}

const standardInks = STANDARD_1912.map(({ name, hex }, i) =>
  ink(name, hex as Hex, (['hybrid', 'dye', 'pigment'] as const)[i % 3]),
);
const blendable = DEMO_INKS.filter(({ kind }) => kind !== 'detail');
// Judged anew for every test, or those that put faults into the judging would not know which tests it matters to.
let demo: Judged;
beforeEach(() => {
  demo = judged(blendable);
});
const isWithin = (hue: number, from: number, to: number): boolean => hue >= from && hue <= to;
const named = (name: string): Ink => {
  const found = blendable.find((one) => one.name === name);
  if (!found) throw new Error(`the demo has no ${name}`);
  return found;
};

/** Runs a search to its end. */
function search(shelf: Judged, change: Partial<TrioQuery>) {
  const running = searchTrios(shelf, {
    relation: 'tonal',
    constraints: NO_CONSTRAINTS,
    sort: 'fit',
    seed: 1,
    keep: 200,
    ...change,
  });
  while (running.step());
  return running.result();
}

test('the prepared lattice is what would be worked out, and says the same of every colour', () => {
  const packed = inflateRawSync(readFileSync('src/workers/nouns.bin'));
  const names = new Int16Array(packed.buffer, packed.byteOffset, packed.byteLength / 2).slice();
  const [bare, prepared] = [nounLattice(), nounLattice()];
  // Another size would be left aside without a word.
  expect(names.filter((name) => name >= 0).length).toBeGreaterThan(300_000);
  prepared.prepare(names);
  const draw = seededRandom(11);
  for (let i = 0; i < 4000; i++) {
    const [l, a, b] = [100 * draw(), 160 * (draw() - 0.5), 160 * (draw() - 0.5)];
    expect(prepared.nounOf({ l, a, b })).toBe(bare.nounOf({ l, a, b }));
  }
});

test('nouns from the lattice are those of the designations, over the 1912 standard', () => {
  const { nounOf } = nounLattice();
  const wrong = STANDARD_1912.filter(({ hex }) => {
    const lab = driedColour(ink('any', hex as Hex), groundOfCard(WHITE_CARD));
    return NOUNS[nounOf(lab)] !== nameColour(lab).noun;
  });
  // One of 1,117 when this was written.
  expect(wrong.length).toBeLessThanOrEqual(2);
});

test('colours that lie beyond the lattice have the noun of its nearest edge', () => {
  const { nounOf } = nounLattice();
  for (const [beyond, edge] of [
    [
      { l: -8, a: 5, b: 4 },
      { l: 0, a: 5, b: 4 },
    ],
    [
      { l: 140, a: 3, b: 3 },
      { l: 101, a: 3, b: 3 },
    ],
    [
      { l: 50, a: -300, b: 40 },
      { l: 50, a: -131, b: 40 },
    ],
    [
      { l: 50, a: 300, b: 40 },
      { l: 50, a: 131, b: 40 },
    ],
    [
      { l: 50, a: 30, b: -300 },
      { l: 50, a: 30, b: -131 },
    ],
    [
      { l: 50, a: 30, b: 300 },
      { l: 50, a: 30, b: 131 },
    ],
  ] as const)
    expect(NOUNS[nounOf(beyond)]).toBe(NOUNS[nounOf(edge)]);
});

test.each(['smooth-white', 'kraft', 'black'])(
  'the pair table says what walking and judging each joint on %s says',
  (id) => {
    const card = DEMO_CARDS.find((one) => one.id === id) ?? WHITE_CARD;
    const inks = standardInks.filter((_, i) => i % 23 === 0);
    const { dried, pairs } = judged(inks, card);
    let joints = 0;
    let agreed = 0;
    for (let i = 0; i < inks.length; i++)
      for (let j = i + 1; j < inks.length; j++) {
        const [first, second] = [dried.inks[i] as Ink, dried.inks[j] as Ink];
        const stations = walkJoint(first, second, bareGround(card));
        // Mud is judged on white, whatever the card.
        const onWhite = walkOnWhite(first, second, bareGround(card), stations);
        joints++;
        if (VERDICTS[pairs.verdict[i * inks.length + j] ?? 0] === judgeJoint(stations, onWhite).kind)
          agreed++;
        const dullest = Math.min(...stations.slice(1, -1).map(({ lab }) => chroma(lab)));
        expect(pairs.dullest[i * inks.length + j]).toBeCloseTo(dullest, 3);
      }
    // A new colour that only touches a border of two designations may be named either way by the lattice.
    expect(agreed / joints).toBeGreaterThan(0.99);
  },
);

test('the search finds exactly what three plain loops find', () => {
  const shelf = fc.uniqueArray(fc.nat(standardInks.length - 1), { minLength: 4, maxLength: 14 });
  const constraints = fc.record({
    palestAtLeast: fc.integer({ min: 0, max: 80 }),
    darkestAtMost: fc.integer({ min: 30, max: 100 }),
    spacingAtLeast: fc.integer({ min: 0, max: 15 }),
    noDull: fc.boolean(),
  });
  fc.assert(
    fc.property(shelf, fc.constantFrom(...RELATION_IDS), constraints, (picked, relation, asked) => {
      const here = judged(picked.map((i) => standardInks[i] as Ink));
      const found = search(here, { relation, constraints: { ...NO_CONSTRAINTS, ...asked }, keep: 1000 });
      const plain = plainSearch(here, relation, asked);
      expect(found.count).toBe(plain.length);
      expect(found.best.map(({ fit }) => fit)).toEqual(plain);
    }),
    { numRuns: 60 },
  );
});

/** The fits of all trios that meet the constraints, best first, by three loops over all arrangements. */
function plainSearch(
  here: Judged,
  relation: RelationId,
  asked: { palestAtLeast: number; darkestAtMost: number; spacingAtLeast: number; noDull: boolean },
): number[] {
  const { lightness } = here.dried;
  const n = lightness.length;
  const l = (i: number) => lightness[i] ?? 0;
  const isDull = (i: number, j: number) => VERDICTS[here.pairs.verdict[i * n + j] ?? 0] === 'dulls';
  const { anyMiddle } = RELATIONS[relation];
  const score = scorerOf(relation, here);
  const fits: number[] = [];
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      for (let k = j + 1; k < n; k++) {
        if (l(i) < asked.palestAtLeast || l(k) > asked.darkestAtMost) continue;
        if (Math.min(l(i) - l(j), l(j) - l(k)) < asked.spacingAtLeast) continue;
        const arrangements = anyMiddle
          ? [
              [i, j, k],
              [j, i, k],
              [i, k, j],
            ]
          : [[i, j, k]];
        const scores = arrangements.map(([a = 0, m = 0, b = 0]) =>
          asked.noDull && (isDull(a, m) || isDull(m, b)) ? 0 : score(a, m, b),
        );
        const fit = Math.max(...scores);
        if (fit > 0) fits.push(fit);
      }
  return fits.sort((p, q) => q - p);
}

describe('constraints', () => {
  const ids = (trio: { first: number; middle: number; last: number }) =>
    [trio.first, trio.middle, trio.last].map((i) => demo.dried.inks[i]?.id ?? '');

  test('an ink that must be in it is in every trio, one that must not is in none', () => {
    const { best } = search(demo, {
      relation: 'newColour',
      constraints: { ...NO_CONSTRAINTS, mustContain: ['gorse-pale'], mustNotContain: ['leat-mid'] },
    });
    expect(best.length).toBeGreaterThan(10);
    for (const trio of best) {
      expect(ids(trio)).toContain('gorse-pale');
      expect(ids(trio)).not.toContain('leat-mid');
    }
  });

  test('of owned inks alone none is wished for; without that, wished ones count like any other', () => {
    const wishedAll = judged(blendable.map((one, i) => ({ ...one, wished: i % 2 === 0 })));
    const wishedIn = (ownedOnly: boolean) =>
      search(wishedAll, { relation: 'newColour', constraints: { ...NO_CONSTRAINTS, ownedOnly } }).best.filter(
        ({ first, middle, last }) =>
          [first, middle, last].some((place) => wishedAll.dried.inks[place]?.wished === true),
      ).length;
    expect(wishedIn(true)).toBe(0);
    expect(wishedIn(false)).toBeGreaterThan(50);
    expect(
      search(demo, { relation: 'newColour', constraints: { ...NO_CONSTRAINTS, ownedOnly: true } }).best,
    ).toEqual(search(demo, { relation: 'newColour' }).best);
  });

  test('without dull joins: of all that fit those are left that no joint dulls, as each is judged alone', () => {
    const found = (noDull: boolean) =>
      search(demo, {
        relation: 'newColour',
        constraints: { ...NO_CONSTRAINTS, noDull },
        keep: 20_000,
      }).best.map(ids);
    const ground = bareGround(WHITE_CARD);
    const inkOf = (id: string | undefined) => blendable.find((one) => one.id === id) as Ink;
    const dulls = (trio: readonly string[]) =>
      [0, 1].some(
        (at) => judgeJoint(walkJoint(inkOf(trio[at]), inkOf(trio[at + 1]), ground)).kind === 'dulls',
      );
    const all = found(false);
    const clear = all.filter((trio) => !dulls(trio));
    expect(clear.length).toBeLessThan(0.95 * all.length);
    expect(found(true)).toEqual(clear);
  });

  test('of the kinds asked for alone, beside an ink that was asked for by name', () => {
    const kindsIn = (constraints: Partial<TrioQuery['constraints']>) => {
      const { best } = search(demo, {
        relation: 'newColour',
        constraints: { ...NO_CONSTRAINTS, ...constraints },
      });
      expect(best.length).toBeGreaterThan(3);
      return new Set(
        best.flatMap(({ first, middle, last }) =>
          [first, middle, last].map((place) => demo.dried.inks[place]?.kind),
        ),
      );
    };
    expect(kindsIn({ kinds: ['hybrid'] })).toEqual(new Set(['hybrid']));
    const dye = blendable.find(({ kind }) => kind === 'dye') as Ink;
    expect(kindsIn({ kinds: ['hybrid'], mustContain: [dye.id] })).toEqual(new Set(['hybrid', 'dye']));
  });

  test('a trio that has been made is left out, whatever the order it was made in', () => {
    const [top] = search(demo, { relation: 'tonal' }).best;
    if (!top) throw new Error('nothing tonal on the demo shelf');
    const made = trioKey(ids(top).toReversed());
    const { best } = search(demo, {
      relation: 'tonal',
      constraints: { ...NO_CONSTRAINTS, notAmong: [made] },
    });
    expect(best.map((trio) => trioKey(ids(trio)))).not.toContain(made);
  });

  test('one that must be in it and one trio that was made are both heeded', () => {
    const [top] = search(demo, { relation: 'tonal' }).best.map(ids);
    if (!top) throw new Error('nothing tonal on the demo shelf');
    const { best } = search(demo, {
      relation: 'tonal',
      constraints: { ...NO_CONSTRAINTS, mustContain: top.slice(0, 1), notAmong: [trioKey(top)] },
    });
    expect(best.length).toBeGreaterThan(3);
    for (const found of best.map(ids)) {
      expect(found).toContain(top[0]);
      expect(trioKey(found)).not.toBe(trioKey(top));
    }
  });

  test('of a mood are found all the trios that suit it, and no others', () => {
    const all = search(demo, { relation: 'neighbours', keep: 20_000 });
    expect(all.best).toHaveLength(all.count);
    for (const id of ['autumn', 'night']) {
      const mood = OWN_MOODS.find((one) => one.id === id) as Mood;
      const suits = moodTest(mood, demo.dried);
      const found = search(demo, {
        relation: 'neighbours',
        constraints: { ...NO_CONSTRAINTS, mood },
        keep: 20_000,
      });
      expect(found.best.length).toBeGreaterThan(10);
      expect(found.best).toEqual(
        all.best.filter(({ first, middle, last }) => {
          const [i = 0, j = 0, k = 0] = [first, middle, last].toSorted((p, q) => p - q);
          return suits(i, j, k);
        }),
      );
    }
  });

  test('every ink has one of the hues asked for', () => {
    const [yellow, blue] = [HUE_SECTORS.indexOf('yellow'), HUE_SECTORS.indexOf('blue')];
    const { best } = search(demo, {
      relation: 'newColour',
      constraints: { ...NO_CONSTRAINTS, hues: [yellow, blue] },
    });
    expect(best.length).toBeGreaterThan(5);
    for (const { first, middle, last } of best)
      for (const place of [first, middle, last])
        expect([yellow, blue]).toContain(hueSector(demo.dried.labs[place] as Lab));
  });

  test('far from what is kept: the mean difference, palest with palest, as counted by hand', () => {
    const [kept] = search(demo, { relation: 'tonal' }).best.map(ids);
    if (!kept) throw new Error('nothing tonal on the demo shelf');
    const constraints = { ...NO_CONSTRAINTS, kept: [kept], farFromKept: 12 };
    const { best } = search(demo, { relation: 'tonal', constraints, sort: 'unlikeKept' });
    const byLightness = (trio: readonly string[]) =>
      demo.dried.inks.flatMap(({ id }, i) => (trio.includes(id) ? [demo.dried.labs[i] as Lab] : []));
    const from = byLightness(kept);
    for (const trio of best) {
      const apart = byLightness(ids(trio)).map((lab, i) => deltaE00(lab, from[i] as Lab));
      expect(trio.rank).toBeCloseTo(apart.reduce((sum, d) => sum + d, 0) / 3, 3);
      expect(trio.rank).toBeGreaterThanOrEqual(12);
    }
    expect(best.map(({ rank }) => rank)).toEqual(best.map(({ rank }) => rank).sort((p, q) => q - p));
    // In whichever order one was kept; and one with an ink that is no longer there is passed over.
    const [first, ...others] = kept;
    const also = {
      ...constraints,
      kept: [
        [...others, first as string],
        [...others, 'gone'],
      ],
    };
    expect(search(demo, { relation: 'tonal', constraints: also, sort: 'unlikeKept' }).best).toEqual(best);
  });

  test('two that share one shelf find between them what one finds', () => {
    const query = {
      relation: 'newColour',
      constraints: NO_CONSTRAINTS,
      sort: 'fit',
      seed: 1,
      keep: 50,
    } as const;
    let next = 0;
    const turn = () => next++;
    const [one, other] = [searchTrios(demo, query, turn), searchTrios(demo, query, turn)];
    for (let going = true; going; ) {
      const [p, q] = [one.step(), other.step()];
      going = p || q;
    }
    expect(mergeResults([one.result(), other.result()], 50)).toEqual(search(demo, query));
  });

  test('one family gives depths of one colour, mixed families never three of one', () => {
    const family = (trio: Parameters<typeof ids>[0]) =>
      new Set([trio.first, trio.middle, trio.last].map((i) => demo.dried.inks[i]?.family)).size;
    for (const trio of search(demo, { constraints: { ...NO_CONSTRAINTS, families: 'same' } }).best)
      expect(family(trio)).toBe(1);
    for (const trio of search(demo, { constraints: { ...NO_CONSTRAINTS, families: 'mixed' } }).best)
      expect(family(trio)).toBeGreaterThan(1);
  });

  test('the same seed draws the same trios, another seed others', () => {
    const draw = (seed: number) =>
      search(demo, { relation: 'newColour', sort: 'chance', seed }).best.slice(0, 20).map(ids);
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });

  test('folding loses no trio, and no two that are told are alike', () => {
    const { best } = search(demo, { relation: 'tonal' });
    const folded = foldTrios(best, demo);
    expect(folded.reduce((sum, { alike }) => sum + 1 + alike.length, 0)).toBe(best.length);
    expect(folded[0]?.rank).toBe(best[0]?.rank);
    expect(folded.length).toBeLessThan(best.length);
    const near = (p: number, q: number): boolean =>
      p === q || deltaE00(demo.dried.labs[p] as Lab, demo.dried.labs[q] as Lab) < 9;
    const isAlike = (one: Trio, other: Trio): boolean =>
      near(one.middle, other.middle) &&
      ((near(one.first, other.first) && near(one.last, other.last)) ||
        (near(one.first, other.last) && near(one.last, other.first)));
    folded.forEach((one, i) => {
      for (const other of folded.slice(0, i)) expect(isAlike(one, other)).toBe(false);
      for (const other of one.alike) expect(isAlike(one, other)).toBe(true);
    });
  });
});

describe('what the trade advises (common practice)', () => {
  const red = ink('red', '#b3262f');
  const green = ink('green', '#5b8f3a');

  test('red goes to green by yellow or orange, blue to gold by green, orange to blue by green', () => {
    const usual = blendable.filter(({ kind }) => INK_KINDS[kind].isUsual);
    const led = (one: Ink, other: Ink) => {
      const { needsNone, middles } = bridgeBetween(one, other, usual, WHITE_CARD);
      expect(needsNone).toBe(false);
      return middles
        .slice(0, 3)
        .map(({ joints: [{ stations }] }) => hueDegrees((stations.at(-1) as Station).lab));
    };
    expect(bridgeBetween(red, green, usual, WHITE_CARD).direct.verdict.kind).toBe('mud');
    for (const hue of led(red, green)) expect(isWithin(hue, 50, 100)).toBe(true);
    for (const hue of led(named('Tarn Deep'), named('Gorse Mid'))) expect(isWithin(hue, 110, 225)).toBe(true);
    for (const hue of led(named('Kilnfire Mid'), named('Skerry Mid')))
      expect(isWithin(hue, 110, 225)).toBe(true);
  });

  test('on kraft what shows comes first; what is lost there comes all the same where it is asked for', () => {
    const kraft = DEMO_CARDS.find(({ id }) => id === 'kraft') ?? WHITE_CARD;
    const there = judged(
      blendable.filter(({ kind }) => INK_KINDS[kind].isUsual),
      kraft,
    );
    const bare = labOfSpectrum(groundOfCard(kraft));
    const isLost = (place: number) => presenceOf(there.dried.labs[place] as Lab, bare) === 'vanishes';
    const lostIn = ({ first, middle, last }: Trio) => [first, middle, last].filter(isLost);
    for (const relation of ['tonal', 'neighbours'] as const) {
      const { best } = search(there, { relation });
      expect(best.slice(0, 12).flatMap(lostIn)).toEqual([]);
      expect(best.some((trio) => lostIn(trio).length > 0)).toBe(true);
    }
    const [lost] = there.dried.inks.filter((_, place) => isLost(place));
    const asked = search(there, { constraints: { ...NO_CONSTRAINTS, mustContain: [lost?.id ?? ''] } });
    expect(asked.best.length).toBeGreaterThan(0);
    const shows = ({ ink }: { ink: Ink }) => !isLost(there.dried.inks.indexOf(ink));
    const between = bridgeBetween(named('Hawberry Pale'), named('Alder Deep'), there.dried.inks, kraft);
    expect(between.middles.slice(0, 3).filter((middle) => !shows(middle))).toEqual([]);
  });

  test('what goes between two loud inks is no brown and no olive where the shelf has a colour', () => {
    const usual = blendable.filter(({ kind }) => INK_KINDS[kind].isUsual);
    const opposites = [
      ['Hawberry Mid', 'Alder Mid'],
      ['Hawberry Mid', 'Alder Deep'],
      ['Saggar Mid', 'Skerry Mid'],
      ['Saggar Deep', 'Skerry Deep'],
    ] as const;
    for (const [one, other] of opposites) {
      const [best] = bridgeBetween(named(one), named(other), usual, WHITE_CARD).middles;
      const { noun } = best?.joints[0].stations.at(-1)?.colour ?? { noun: '' };
      expect(MUDDY.has(noun), `${one} to ${other} by ${best?.ink.name}`).toBe(false);
    }
  });

  test('red and yellow need no bridge', () => {
    expect(bridgeBetween(red, ink('yellow', '#f2c230'), blendable, WHITE_CARD).needsNone).toBe(true);
  });

  test('a brown or a grey is offered to quiet a loud pair', () => {
    const [quietest, ...others] = quietPair(
      named('Kilnfire Mid'),
      named('Thrift Mid'),
      blendable,
      WHITE_CARD,
    );
    expect(quietest?.after).toBeLessThan(quietest?.before ?? 0);
    const families = [quietest, ...others.slice(0, 9)].map(
      (quieting) => quieting && nameColour(quieting.lab).noun,
    );
    expect(families.some((noun) => noun === 'gray' || noun === 'brown')).toBe(true);
  });

  test('light three and one dark: pale inks under, a dark dye or hybrid over, read at the worst place', () => {
    const { best } = search(demo, { relation: 'lightAndDark' });
    const coats = topCoatsOf(demo.dried);
    expect(best.length).toBeGreaterThan(20);
    for (const { first, middle, last } of best.slice(0, 50)) {
      const { dark, reads } = coats.best(first, middle, last);
      expect(reads).toBeGreaterThan(3);
      expect(['dye', 'hybrid']).toContain(demo.dried.inks[dark]?.kind);
      for (const place of [first, middle, last])
        expect(demo.dried.lightness[place]).toBeGreaterThan((demo.dried.lightness[dark] ?? 0) + 15);
    }
    const isDark = (place: number) => (demo.dried.lightness[place] ?? 0) <= DARK_UP_TO;
    const buffs = (place: number) => demo.dried.inks[place]?.kind !== 'pigment';
    const places = [...demo.dried.inks.keys()];
    expect(coats.darks).toEqual(places.filter((place) => isDark(place) && buffs(place)));
    expect(places.some((place) => isDark(place) && !buffs(place))).toBe(true);
    // Under a dark coat only what is pale is seen: a mid-tone among the three spoils it.
    for (const place of places)
      expect(coats.best(place, place, place).reads > 0).toBe(
        (demo.dried.lightness[place] ?? 0) >= LIGHT_FROM,
      );
  });

  test('a strong ink takes more of the joint, and lies darker alone', () => {
    const ground = bareGround(WHITE_CARD);
    const [pale, dark] = [ink('pale', '#f2c230'), ink('dark', '#1f4f7a')];
    const half = (strength: number) => walkJoint(pale, { ...dark, strength }, ground)[6]?.lab.l ?? 0;
    expect(half(2)).toBeLessThan(half(1));
    expect(half(0.5)).toBeGreaterThan(half(1));
    const alone = (strength: number) => driedColour({ ...dark, strength }, groundOfCard(WHITE_CARD)).l;
    expect(alone(1.5)).toBeLessThan(alone(1));
  });

  test('three primaries give orange, green and violet in the joints', () => {
    const three = judged([ink('red', '#d8343c'), ink('yellow', '#f2c230'), ink('blue', '#1f6fb4')]);
    expect(search(three, { relation: 'primaries' }).count).toBe(1);
    const made = [...three.pairs.newHue].filter((_, at) => (three.pairs.live[at] ?? 0) > 0);
    for (const [from, to] of [
      [25, 88],
      [95, 210],
      [270, 360],
    ] as const)
      expect(made.some((hue) => hue >= from && hue <= to)).toBe(true);
  });

  test('the brewed middle is as far from one end as from the other, and has more of the weaker ink', () => {
    const ground = groundOfCard(WHITE_CARD);
    const [pink, blue] = [ink('pink', '#e2568f'), ink('blue', '#1f4f7a')];
    const { mix, parts, lab } = brewMiddle(pink, blue, bareGround(WHITE_CARD));
    expect(deltaE00(lab, driedColour(pink, ground))).toBeCloseTo(deltaE00(lab, driedColour(blue, ground)), 3);
    expect(mix).toBeLessThan(0.45);
    expect(parts[0]).toBeGreaterThan(parts[1]);
    const laid = [
      { ink: pink, coats: 1 - mix },
      { ink: blue, coats: mix },
    ];
    expect(labOfSpectrum(laidReflectance(laid, ground))).toEqual(lab);
  });
});

test('complementary ends lose less chroma by way of a spectral middle, over the 1912 standard', () => {
  // Ends opposite in hue and colourful; the middle is the standard's most colourful ink between them in hue.
  const { dried, pairs } = judged(
    STANDARD_1912.map(({ name, hex }) => ink(name, hex as Hex))
      .filter(({ overWhite }) => chroma(labOfHex(overWhite)) > 35)
      .filter((_, i) => i % 3 === 0),
  );
  const colourful = [...dried.chroma.keys()];
  let ends = 0;
  let helped = 0;
  for (const p of colourful)
    for (const q of colourful) {
      const turn = ((dried.hue[q] ?? 0) - (dried.hue[p] ?? 0) + 360) % 360;
      if (turn < 150 || turn > 210) continue;
      const between = colourful.filter((m) => {
        const part = ((dried.hue[m] ?? 0) - (dried.hue[p] ?? 0) + 360) % 360;
        return part > 0.35 * turn && part < 0.65 * turn;
      });
      const n = pairs.count;
      const by = (m: number) => Math.min(pairs.dullest[p * n + m] ?? 0, pairs.dullest[m * n + q] ?? 0);
      if (between.length === 0) continue;
      ends++;
      if (Math.max(...between.map(by)) > (pairs.dullest[p * n + q] ?? 0)) helped++;
    }
  expect(ends).toBeGreaterThan(50);
  expect(helped / ends).toBeGreaterThan(0.95);
});

test('two inks that a relation does not join have their joint in no three that fit, in whatever order', () => {
  const { inks } = demo.dried;
  for (const id of RELATION_IDS) {
    const { joins, scorer, anyMiddle } = RELATIONS[id];
    if (!joins) continue;
    const [joined, score] = [joins(demo.dried), scorer(demo)];
    const fits: string[] = [];
    for (let i = 0; i < inks.length; i++)
      for (let j = i + 1; j < inks.length; j++) {
        expect(joined(j, i), `${id}: ${j} ${i}`).toBe(joined(i, j));
        for (let k = j + 1; k < inks.length; k++) {
          const areNeighbours = joined(i, j) && joined(j, k);
          if (anyMiddle ? areNeighbours && joined(i, k) : areNeighbours) continue;
          const orders = anyMiddle ? [score(i, j, k), score(j, i, k), score(i, k, j)] : [score(i, j, k)];
          if (orders.some((fit) => fit > 0)) fits.push(`${id}: ${i} ${j} ${k}`);
        }
      }
    expect(fits).toEqual([]);
  }
});

describe('a search with only the joints judged that it reads', () => {
  const dried = dryInks(blendable, WHITE_CARD);
  const n = dried.inks.length;
  const judgeRow = pairJudge(dried, WHITE_CARD);
  const query = (relation: RelationId, constraints = NO_CONSTRAINTS): TrioQuery => ({
    relation,
    constraints,
    sort: 'fit',
    seed: 1,
    keep: 200,
  });
  /** A table with the joints of these queries judged, one after the other. */
  const tableFor = (...queries: readonly TrioQuery[]) => {
    const pairs = emptyPairTable(n);
    for (const one of queries)
      for (let row = 0; row < n; row++) judgeRow(row, pairs, row + 1, n, wantedJoints(dried, one));
    return pairs;
  };
  const unjudged = ({ verdict }: Judged['pairs']) =>
    verdict.filter((code) => code === UNJUDGED).length / (n * (n - 1));

  test('finds what is found with all of them, and tells how far the inks of any two are apart', () => {
    const blues = { ...NO_CONSTRAINTS, hues: [5, 6], mustContain: [dried.inks[20]?.id ?? ''], noDull: true };
    for (const id of RELATION_IDS)
      for (const constraints of [NO_CONSTRAINTS, blues]) {
        const pairs = tableFor(query(id, constraints));
        expect(pairs.difference).toEqual(demo.pairs.difference);
        const found = search({ dried, pairs }, query(id, constraints));
        expect(found).toEqual(search(demo, query(id, constraints)));
        const pages = [
          pagesOf(found.best, { dried, pairs }, query(id)),
          pagesOf(found.best, demo, query(id)),
        ];
        expect(pages[0]?.next()).toEqual(pages[1]?.next());
      }
  });

  test('leaves most joints unjudged, the fewer inks may be used the more; the rest follow when they are asked for', () => {
    expect(unjudged(tableFor(query('tonal')))).toBeGreaterThan(0.6);
    for (const id of RELATION_IDS) expect(unjudged(tableFor(query(id))), id).toBeGreaterThan(0.2);
    const few = query('tonal', { ...NO_CONSTRAINTS, hues: [1] });
    expect(unjudged(tableFor(few))).toBeGreaterThan(0.9);
    const pairs = tableFor(few, query('bridge'));
    for (let row = 0; row < n; row++) judgeRow(row, pairs);
    expect({ ...pairs, verdict: 0 }).toEqual({ ...demo.pairs, verdict: 0 });
    expect(unjudged(pairs)).toBe(0);
    expect(pairs.verdict).toEqual(demo.pairs.verdict);
  });
});

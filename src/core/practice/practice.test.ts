import fc from 'fast-check';
import { sampleRankCorrelation } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { MM_AN_INCH, parseLength } from '../base/length';
import { seededRandom } from '../base/random';
import type { Card } from '../materials/card/card';
import { deltaE00 } from '../materials/colour/difference';
import { labOfHex } from '../materials/colour/hex';
import { NEEDS } from '../readings/legibility/contrast';
import { EXERCISE_IDS, type Item } from './exercises/definition';
import { EXERCISES } from './exercises/exercises';
import { judge, rankCorrelation } from './judge';
import { practiseNext, progressOf, regionsOf, tellRegions, weakPairs } from './progress';
import { afterAsking, askNext, type KnownThing, LATELY, makeItem } from './schedule';
import { shelfToPractise } from './shelf';
import { chanceOf, nextLevel, thresholdOf } from './threshold';
import type { Trial } from './trial';

const [card] = DEMO_CARDS;
if (!card) throw new Error('the demo has no card');
const shelf = shelfToPractise(DEMO_INKS, card, 'mm');

const trialOf = (item: Item, isRight: boolean, at = 0): Trial => ({
  at,
  exercise: item.exercise,
  key: item.key,
  level: item.level,
  isRight,
  score: isRight ? 1 : 0,
  inks: item.inks,
  hues: item.hues,
});

/** Simulated eyes; four hundred of them say the same to a per cent. */
const EYES = 80;

describe('an eye', () => {
  /** How far off the threshold is after so many judgements of a simulated eye, as a part of the truth. */
  function offAfter(trials: number, seed: number, guess: number): number {
    const draw = seededRandom(seed);
    const scale = { least: 1.5, most: 40, start: 10, guess };
    const truth = Math.exp(Math.log(2.5) + draw() * Math.log(8));
    const lapse = 0.05 * draw();
    const judged: { level: number; isRight: boolean }[] = [];
    for (let i = 0; i < trials; i++) {
      const level = nextLevel(judged, scale, draw);
      judged.push({ level, isRight: draw() < chanceOf(level, truth, guess, 3, lapse) });
    }
    return Math.abs(thresholdOf(judged, scale).at / truth - 1);
  }

  test.each([0.5, 0.25, 1 / 15])(
    'of known threshold and slips is found to 15 %% at the median after forty answers, guessing %s',
    (guess) => {
      const middle = (trials: number) =>
        Array.from({ length: EYES }, (_, seed) => offAfter(trials, seed + 1, guess)).toSorted(
          (p, q) => p - q,
        )[EYES / 2] ?? 1;
      const off = middle(40);
      expect(off).toBeLessThan(0.15);
      expect(off).toBeLessThan(middle(10));
    },
  );

  test('is asked smaller differences when it is right and larger when it is not, within what the model is sure of', () => {
    const { darker } = EXERCISES;
    const afterTwelve = (isRight: boolean) =>
      thresholdOf(
        Array.from({ length: 12 }, () => ({ level: 8, isRight })),
        darker,
      ).at;
    expect(afterTwelve(true)).toBeLessThan(8);
    expect(afterTwelve(false)).toBeGreaterThan(8);
    expect(nextLevel([], darker, () => 0.9)).toBeGreaterThanOrEqual(darker.least);
  });
});

describe('items', () => {
  test('of every exercise are made of the demo’s shelf; the right answer is right, and another is not', () => {
    for (const id of EXERCISE_IDS) {
      const item = Array.from({ length: 30 }, (_, seed) => makeItem(id, shelf, [], seed)).find((one) => one);
      expect(item, id).toBeDefined();
      if (!item) continue;
      expect(judge(item, item.right)).toMatchObject({ isRight: true, score: 1 });
      const other =
        item.mode === 'place'
          ? item.right.map((at) => at + item.length / 3)
          : item.right.map((at) => (at + 1) % item.options.length);
      if (item.mode !== 'pick' || item.right.length === 1) expect(judge(item, other).isRight, id).toBe(false);
      expect(judge(item, other).score).toBeLessThan(1);
      expect(item.lesson.reason.length + item.lesson.tryIt.length).toBeGreaterThan(20);
    }
  });

  test('are told in what the maker measures in, and right where they say', () => {
    const inInches = { ...shelf, lengths: 'in' } as const;
    for (const id of ['marks', 'thirds', 'border'] as const)
      for (let seed = 0; seed < 10; seed++) {
        const [mm, inches] = [shelf, inInches].map((lengths) => makeItem(id, lengths, [], seed));
        if (!mm || !inches) continue;
        expect(inches.key).toBe(mm.key);
        expect(`${inches.asks} ${inches.lesson.numbers}`).toMatch(/ in\b/);
        expect(`${inches.asks} ${inches.lesson.numbers}`).not.toMatch(/ mm\b/);
        for (const [i, right] of inches.right.entries())
          expect(Math.abs(right - (mm.right[i] ?? 0))).toBeLessThan(MM_AN_INCH / 32 + 1e-9);
        if (id !== 'marks' || inches.mode !== 'place') continue;
        // Up from the foot, as a sheet tells it.
        const told = /edge to ([\d/ ]+) in; .* by ([\d/ ]+)\.”/.exec(inches.asks) ?? [];
        expect(told.slice(1).map((one) => inches.length - (parseLength(one, 'in') ?? 0))).toEqual(
          inches.right,
        );
      }
  });

  test('ask of no ink that nobody can see: white is practised on kraft, and not on white', () => {
    const onCard = (colour: Card['colour']) => shelfToPractise(DEMO_INKS, { ...card, colour }, 'mm').inks;
    const isWhite = ({ ink }: (typeof shelf.inks)[number]) => ink.kind === 'white';
    expect(onCard('#ffffff').some(isWhite)).toBe(false);
    expect(onCard('#8c6f4e').some(isWhite)).toBe(true);
  });

  test('say what the bench says: a greeting is lettering, and every wrong middle greys a join', () => {
    for (let seed = 1; seed < 40; seed++) {
      const greeting = makeItem('greeting', shelf, [], seed);
      const [, ratio] =
        /^Contrast ([\d.]+) to 1; a greeting needs 4\.5\.$/.exec(greeting?.lesson.numbers ?? '') ?? [];
      if (Math.abs(Number(ratio) - NEEDS.lettering) > 0.05)
        expect(greeting?.right).toEqual([Number(ratio) > NEEDS.lettering ? 0 : 1]);
      const middle = makeItem('middle', shelf, [], seed);
      for (const wrong of middle?.lesson.numbers.split('; ') ?? []) expect(wrong).toMatch(/mud|dulls/);
    }
  });

  test('are never trivial or ambiguous: right and next lie farther apart than the model is unsure', () => {
    const labAt = (item: Item, place: number) => {
      const face = item.mode === 'place' ? undefined : item.options[place]?.face;
      return face?.kind === 'swatch' ? labOfHex(face.hex) : undefined;
    };
    fc.assert(
      fc.property(
        fc.constantFrom('values', 'darker', 'wet', 'twins', 'greeting', 'stronger'),
        fc.integer({ min: 1, max: 1e6 }),
        (id, seed) => {
          const item = makeItem(id as 'values', shelf, [], seed);
          if (!item) return;
          expect(item.level).toBeGreaterThanOrEqual(EXERCISES[id as 'values'].least);
          if (item.mode === 'place') return;
          expect(
            new Set(item.options.map(({ face }) => (face?.kind === 'swatch' ? face.hex : ''))).size,
          ).toBe(id === 'greeting' ? 1 : item.options.length);
          if (id === 'wet') {
            const right = labAt(item, item.right[0] ?? 0);
            item.options.forEach((_, place) => {
              const other = labAt(item, place);
              if (right && other && !item.right.includes(place))
                expect(deltaE00(right, other)).toBeGreaterThan(1.5);
            });
          }
          if (id === 'darker') {
            const [one, other] = [labAt(item, item.right[0] ?? 0), labAt(item, 1 - (item.right[0] ?? 0))];
            expect((other?.l ?? 0) - (one?.l ?? 0)).toBeGreaterThan(1);
          }
        },
      ),
      { numRuns: 120 },
    );
  });

  test('follow the difference that is wanted, and the same seed makes the same', () => {
    const levels = (wanted: number) =>
      Array.from(
        { length: 20 },
        (_, seed) => EXERCISES.darker.make(shelf, wanted, seededRandom(seed + 1))?.level ?? 0,
      );
    const mean = (list: number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;
    expect(mean(levels(3))).toBeLessThan(5);
    expect(mean(levels(25))).toBeGreaterThan(18);
    expect(makeItem('join', shelf, [], 7)).toEqual(makeItem('join', shelf, [], 7));
  });

  test('are not answered by always pressing the same', () => {
    const asTwo = (item: Item | undefined) =>
      item?.mode === 'pick' && item.options.length === 2 ? [item] : [];
    const of = EXERCISE_IDS.filter((id) => asTwo(makeItem(id, shelf, [], 1)).length > 0);
    const picked = of.flatMap((id) =>
      [EXERCISES[id].least, EXERCISES[id].start].map((level) => {
        const draw = seededRandom(8);
        const items = Array.from({ length: 40 }).flatMap(() => asTwo(EXERCISES[id].make(shelf, level, draw)));
        return { id, level, first: items.filter(({ right }) => right[0] === 0).length / items.length };
      }),
    );
    expect(picked.length).toBe(6);
    expect(picked.filter(({ first }) => first < 0.3 || first > 0.7)).toEqual([]);
  });
  test('of an empty shelf are not made, and nothing is asked', () => {
    const none = { ...shelf, inks: [] };
    for (const id of EXERCISE_IDS) if (id !== 'thirds') expect(makeItem(id, none, [], 3), id).toBeUndefined();
    expect(askNext(none, { trials: [], known: [] }, ['darker', 'join'], 0, seededRandom(1))).toBeUndefined();
  });
});

test('an order is scored by rank correlation, as a reference library has it', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 3, maxLength: 6 }), (some) => {
      // Ranks of what was chosen, as places.
      const sorted = some.toSorted((p, q) => p - q);
      const order = some.map((one) => sorted.indexOf(one));
      expect(rankCorrelation(order)).toBeCloseTo(
        sampleRankCorrelation(
          order,
          order.map((_, i) => i),
        ),
        9,
      );
    }),
  );
});

describe('a practice', () => {
  test('asks what is due first, what was missed sooner than what was known, and nothing twice in a row', () => {
    const asked = { key: 'join a b', exercise: 'join' as const, seed: 5 };
    const missed = afterAsking(undefined, asked, false, 0);
    const known = afterAsking(undefined, asked, true, 0);
    expect(missed.due).toBeLessThan(known.due);
    expect(afterAsking(known, asked, true, known.due).due - known.due).toBeGreaterThan(known.due);
    const trials: Trial[] = [];
    const draw = seededRandom(3);
    for (let i = 0; i < 30; i++) {
      const next = askNext(shelf, { trials, known: [] }, ['darker', 'thirds', 'greeting'], i, draw);
      if (!next) throw new Error('nothing is asked');
      expect(trials.slice(-3).map(({ key }) => key)).not.toContain(next.item.key);
      trials.push(trialOf(next.item, true, i));
    }
    for (const id of ['darker', 'thirds', 'greeting'])
      expect(trials.filter(({ exercise }) => exercise === id).length).toBeGreaterThan(6);
    const item = makeItem('join', shelf, [], 11);
    if (!item) throw new Error('no join is asked');
    const due = {
      ...afterAsking(undefined, { key: item.key, exercise: 'join', seed: 11 }, false, 0),
      due: 1,
    };
    expect(askNext(shelf, { trials, known: [due] }, ['join'], 10, () => 0.1)?.item.key).toBe(item.key);
  });

  test('hangs on the latest answers alone', () => {
    const ids = ['darker', 'thirds', 'greeting'] as const;
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.integer(), (count, seed) => {
        const draw = seededRandom(seed);
        const trials = Array.from({ length: count }, (_, at): Trial => {
          const exercise = ids[Math.floor(3 * draw() ** 2)] ?? 'darker';
          const level = 1 + 10 * draw();
          return { at, exercise, key: `${at}`, level, isRight: draw() < 0.7, score: 1, inks: [], hues: [] };
        });
        const own = (id: string) => trials.filter(({ exercise }) => exercise === id).slice(-LATELY.each);
        const latest = new Set([...trials.slice(-LATELY.all), ...ids.flatMap(own)]);
        const ask = (some: readonly Trial[]) =>
          askNext(shelf, { trials: some, known: [] }, ids, 0, seededRandom(seed));
        expect(ask(trials.filter((one) => latest.has(one)))).toEqual(ask(trials));
      }),
      { numRuns: 15 },
    );
  });

  test('goes on where the clock ran ahead and was put back: what was asked then is asked now, and kept', () => {
    const item = makeItem('join', shelf, [], 11);
    if (!item) throw new Error('no join is asked');
    const asked = { key: item.key, exercise: 'join' as const, seed: 11 };
    const [day, ahead] = [86_400_000, 400 * 86_400_000];
    const known = afterAsking(afterAsking(undefined, asked, true, ahead), asked, true, ahead + day);
    for (const now of [0, ahead, ahead + day - 1]) {
      expect(askNext(shelf, { trials: [], known: [known] }, ['join'], now, () => 0.1)?.item.key).toBe(
        item.key,
      );
      for (const isRight of [true, false]) {
        // Out of a backup moments come as text.
        const read: KnownThing = JSON.parse(JSON.stringify(known));
        const after = afterAsking(read, asked, isRight, now);
        expect(after).toEqual(afterAsking(known, asked, isRight, now));
        expect(after.due).toBeGreaterThan(now);
        expect(after.due).toBeLessThan(now + 40 * day);
      }
    }
  });

  test('shows better eyes as smaller thresholds, by day and by hue, and says what to practise', () => {
    const day = (at: number) => `2026-11-${String(10 + at).padStart(2, '0')}`;
    const eye = (at: number, threshold: number, hue: number, seed: number): Trial[] => {
      const draw = seededRandom(seed);
      return Array.from({ length: 30 }, () => {
        const level = 1.5 + 14 * draw();
        const isRight = draw() < chanceOf(level, threshold, 0.5);
        return {
          at,
          exercise: 'darker',
          key: '',
          level,
          isRight,
          score: 1,
          inks: ['Sloe', 'Leat'],
          hues: [hue],
        };
      });
    };
    const trials = [...eye(0, 9, 4, 1), ...eye(5, 3, 4, 2), ...eye(5, 11, 9, 3)];
    const [first, last] =
      progressOf([...eye(0, 9, 4, 1), ...eye(5, 3, 4, 2), ...eye(6, 3, 4, 4)], day)
        .find(({ exercise }) => exercise.id === 'darker')
        ?.days.filter((_, i, all) => i === 0 || i === all.length - 1) ?? [];
    expect(last?.value).toBeLessThan(first?.value ?? 0);
    expect(regionsOf('darker', trials).map(({ hue }) => hue)).toEqual(['green', 'violet']);
    expect(tellRegions('darker', trials)).toMatch(
      /^You can tell \d+\.\d L\* apart in green, \d+\.\d in violet\.$/,
    );
    expect(practiseNext(progressOf(trials, day))?.exercise.id).not.toBe('darker');
    const missed = (isRight: boolean): Trial => ({
      at: 0,
      exercise: 'join',
      key: '',
      level: 1,
      isRight,
      score: 0,
      inks: ['A', 'B'],
      hues: [],
    });
    expect(weakPairs([missed(false), missed(true), missed(false)])).toEqual([
      { inks: ['A', 'B'], missed: 2, of: 3 },
    ]);
    expect(weakPairs([missed(true), missed(true), missed(false)])).toEqual([]);
  });
});

test('of years of days as many are looked back on as a curve can show, with the first and the last', () => {
  const trials = Array.from({ length: 700 }, (_, at): Trial => {
    const isRight = at % 3 > 0;
    return { at, exercise: 'darker', key: '', level: 4, isRight, score: 1, inks: [], hues: [] };
  });
  const darker = (count: number) =>
    progressOf(trials.slice(0, count), String).find(({ exercise }) => exercise.id === 'darker');
  // The first five days have too few answers to say anything.
  const days = darker(700)?.days ?? [];
  expect(days.length).toBeGreaterThan(50);
  expect(days.length).toBeLessThanOrEqual(60);
  expect(days.at(-1)).toEqual({ day: '699', value: darker(700)?.now });
  expect(darker(50)?.days.map(({ day }) => day)).toEqual(Array.from({ length: 45 }, (_, i) => String(i + 5)));
  const gaps = days.slice(1).map(({ day }, i) => Number(day) - Number(days[i]?.day));
  expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
});

test('how an eye stood on a day is what its answers until then say, whatever order they are kept in; a day is asked once an answer', () => {
  const answers = fc.array(
    fc.record({
      at: fc.integer({ min: 0, max: 9 }),
      exercise: fc.constantFrom('darker' as const, 'join' as const),
      isRight: fc.boolean(),
      level: fc.integer({ min: 2, max: 20 }),
    }),
    { maxLength: 60 },
  );
  fc.assert(
    fc.property(answers, (told) => {
      const trials = told.map(
        (one): Trial => ({ ...one, key: '', score: one.isRight ? 1 : 0, inks: [], hues: [] }),
      );
      let asked = 0;
      const dayOf = (at: number): string => {
        asked++;
        return `day ${at}`;
      };
      const progress = progressOf(trials, dayOf);
      expect(asked).toBe(trials.length);
      for (const { exercise, days, now, right, trials: count } of progress) {
        const own = trials.filter((trial) => trial.exercise === exercise.id);
        expect([count, right]).toEqual([own.length, own.filter(({ isRight }) => isRight).length]);
        for (const { day, value } of days) {
          const until = own.filter(({ at }) => `day ${at}` <= day);
          const then = progressOf(until, (at) => `day ${at}`).find((one) => one.exercise.id === exercise.id);
          expect(value).toBe(then?.now);
        }
        if (own.length > 0 && now !== undefined) expect(days.at(-1)?.value).toBe(now);
      }
    }),
    { numRuns: 40 },
  );
});

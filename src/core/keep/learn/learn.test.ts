import fc from 'fast-check';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import { learnTrial } from '../../../testing/learnTrial';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { lightOf } from '../../engine/mixing';
import { addWet, makeStack } from '../../engine/stack';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { type Lab, labOfXyz, xyzOfLinearRgb } from '../../materials/colour/lab';
import { BANDS, flatSpectrum } from '../../materials/colour/spectrum';
import { filmOfInk } from '../../materials/ink/ink';
import { spectrumModes } from '../../materials/ink/modes';
import { madeOf } from '../log/made';
import { cardLessons } from './cardTint';
import { factorise, solve, square } from './cholesky';
import { dryBackLessons } from './dryBack';
import type { PanelEvidence, Reading } from './evidence';
import { evidenceOf } from './fromLog';
import { filmSlopes, INK_PARAMS, inkPrior, paramsOf, valuesOf } from './inkParams';
import { lessonsOf, tellTaught, withLesson } from './lessons';
import { layingOf, predict } from './predict';
import { lchWeights, weighed } from './residual';
import { placeColour, trustOf } from './tell';

const WHITE = flatSpectrum(1);
const CARD = flatSpectrum(0.88);
const unit = fc.double({ min: -1.5, max: 1.5, noNaN: true });
const paramsArb = fc.array(unit, { minLength: INK_PARAMS, maxLength: INK_PARAMS });

test('the modes are the leading eigenvectors of their covariance, by an independent library', () => {
  const covariance = Matrix.zeros(BANDS, BANDS).apply(function (this: Matrix, i: number, j: number) {
    this.set(i, j, 1.6 * Math.exp(-0.5 * (((i - j) * 10) / 40) ** 2));
  });
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(covariance);
  const order = realEigenvalues.map((value, i) => ({ value, i })).sort((p, q) => q.value - p.value);
  spectrumModes().forEach((mode, m) => {
    const { value = 0, i = 0 } = order[m] ?? {};
    const theirs = eigenvectorMatrix.getColumn(i).map((one) => one * Math.sqrt(value));
    const way = Math.sign(theirs.reduce((sum, one, band) => sum + one * (mode[band] ?? 0), 0));
    mode.forEach((one, band) => {
      expect(one).toBeCloseTo(way * (theirs[band] ?? 0), 5);
    });
  });
});

test('a factorised matrix solves its equations', () => {
  fc.assert(
    fc.property(
      fc.array(unit, { minLength: 36, maxLength: 36 }),
      fc.array(unit, { minLength: 6, maxLength: 6 }),
      (flat, b) => {
        const half = new Matrix(Array.from({ length: 6 }, (_, i) => flat.slice(6 * i, 6 * i + 6)));
        const whole = half.mmul(half.transpose()).add(Matrix.eye(6));
        const factor = square(6);
        factor.at.set(whole.to1DArray());
        factorise(factor);
        const x = Float64Array.from(b);
        solve(factor, x);
        whole
          .mmul(Matrix.columnVector([...x]))
          .to1DArray()
          .forEach((value, i) => {
            expect(value).toBeCloseTo(b[i] ?? 0, 8);
          });
      },
    ),
  );
});

test('small differences, weighted, are what CIEDE2000 makes of them', () => {
  const colour = fc.record({
    l: fc.double({ min: 10, max: 95, noNaN: true }),
    a: fc.double({ min: -60, max: 60, noNaN: true }),
    b: fc.double({ min: -60, max: 60, noNaN: true }),
  });
  fc.assert(
    fc.property(colour, fc.tuple(unit, unit, unit), (lab, [l, a, b]) => {
      fc.pre(Math.hypot(lab.a, lab.b) > 3 && Math.hypot(l, a, b) > 0.2);
      const off = [0.2 * l, 0.2 * a, 0.2 * b];
      const weights = lchWeights(lab);
      const told = Math.hypot(...[0, 1, 2].map((row) => weighed(weights, row, (i) => off[i] ?? 0)));
      const really = deltaE00(lab, { l: lab.l + 0.2 * l, a: lab.a + 0.2 * a, b: lab.b + 0.2 * b });
      expect(Math.abs(told / really - 1)).toBeLessThan(0.08);
    }),
  );
});

test('a film learned of is the film its ink has with the same values taught', () => {
  const one = ink('Leat', '#2a6f8a');
  fc.assert(
    fc.property(paramsArb, (params) => {
      const prior = inkPrior(one);
      const { film } = filmSlopes(prior, params);
      const taught = { ...valuesOf(prior, params), doubt: [], panels: 1, at: '' };
      const laid = filmOfInk({ ...one, taught });
      for (let band = 0; band < BANDS; band++) {
        expect(film.absorption[band]).toBeCloseTo(laid.absorption[band] ?? 0, 6);
        expect(film.scattering[band]).toBeCloseTo(laid.scattering[band] ?? 0, 9);
      }
      paramsOf(prior, taught).forEach((value, i) => {
        expect(value).toBeCloseTo(params[i] ?? 0, 9);
      });
    }),
  );
});

test('what is said of how a colour answers to each unknown is what trying it out says', () => {
  const inks = [ink('Gorse', '#e3b20f'), ink('Leat', '#2a6f8a', 'pigment')];
  const priors = inks.map(inkPrior);
  const laying = layingOf(
    { layers: [[{ ink: inks[1] as never, coats: 0.6 }], inks.map((one) => ({ ink: one, coats: 0.5 }))] },
    (one) => inks.indexOf(one),
    ({ overWhite }) => labOfHex(overWhite).l,
  );
  fc.assert(
    fc.property(paramsArb, paramsArb, fc.tuple(unit, unit, unit), (first, second, hand) => {
      const both = [...first, ...second];
      const at = (params: readonly number[], hands: readonly number[]) =>
        predict(
          laying,
          CARD,
          (i) => filmSlopes(priors[i] as never, params.slice(i * INK_PARAMS, (i + 1) * INK_PARAMS)),
          { inks: [0, 1], params: hands },
        );
      const here = at(both, hand);
      const places = laying.inks;
      const step = 1e-4;
      const tried = (list: readonly number[], i: number, by: number) =>
        list.map((value, j) => (i === j ? value + by : value));
      const slopeOf = (of: (by: number) => ReturnType<typeof at>) =>
        (['l', 'a', 'b'] as const).map((c) => (of(step).lab[c] - of(-step).lab[c]) / (2 * step));
      places.forEach((place, order) => {
        for (let p = 0; p < INK_PARAMS; p++) {
          const slope = slopeOf((by) => at(tried(both, place * INK_PARAMS + p, by), hand));
          slope.forEach((value, c) => {
            expect(here.byInks[c]?.[order * INK_PARAMS + p]).toBeCloseTo(value, 1);
          });
        }
      });
      hand.forEach((_, h) => {
        slopeOf((by) => at(both, tried(hand, h, by))).forEach((value, c) => {
          expect(here.byHand[c]?.[h]).toBeCloseTo(value, 1);
        });
      });
    }),
    { numRuns: 8 },
  );
});

describe('on hidden inks of a generator that shares nothing with what is thought of them', () => {
  const all = (panelsAnInk: number, noise: number, misread = 0) => {
    const runs = [1, 2].map((seed) => learnTrial({ kind: 'edges', seed, panelsAnInk, noise, misread }));
    const middle = (of: readonly number[]) => of.toSorted((p, q) => p - q)[Math.floor(of.length / 2)] ?? 0;
    const held = runs.flatMap((run) => run.held);
    return {
      before: middle(runs.flatMap((run) => run.before)),
      after: middle(runs.flatMap((run) => run.after)),
      held: held.filter(Boolean).length / held.length,
      strengthOff: middle(runs.flatMap((run) => run.strengths.map(Math.abs))),
    };
  };

  test('joints never logged are told better with every panel, and a reader teaches more than a photograph', () => {
    const [one, three, photograph] = [all(1, 0.5), all(3, 0.5), all(3, 2)];
    expect(one.before).toBeGreaterThan(3);
    expect(one.after).toBeLessThan(1.3);
    expect(three.after).toBeLessThan(0.8);
    expect(photograph.after).toBeLessThan(1.25);
    expect(three.after).toBeLessThan(photograph.after);
  });

  test('one reading in ten far off hardly matters', () => {
    expect(all(3, 0.5, 0.1).after).toBeLessThan(1.15 * all(3, 0.5).after);
  });

  test('its bands hold about two of three, and strength is found to within a tenth', () => {
    const three = all(3, 0.5);
    expect(three.held).toBeGreaterThan(0.6);
    expect(three.held).toBeLessThan(0.82);
    expect(three.strengthOff).toBeLessThan(0.1);
  });
});

describe('lessons', () => {
  const pale = ink('Gorse', '#e3b20f');
  const dark = ink('Leat', '#2a6f8a');
  /** Panels laid by a hand that lays Leat so many times as strong as its swatch. */
  const laidWith = (strength: number, panels: number): PanelEvidence[] =>
    Array.from({ length: panels }, () => ({
      readings: [1, 0.75, 0.5, 0.25].map((part) => {
        const layers = [
          [
            { ink: dark, coats: part },
            { ink: pale, coats: 1 - part },
          ],
        ];
        const really = layers.map((layer) =>
          layer.map(({ ink: one, coats }) => ({ ink: one === dark ? { ...dark, strength } : one, coats })),
        );
        return { layers, ground: CARD, lab: placeColour({ layers: really, ground: CARD }), noise: 0.5 };
      }),
    }));

  test('a heavy hand is told as one, in words, and the next panel is predicted by it', () => {
    const { inks, before, after } = lessonsOf(laidWith(1.4, 4), new Date('2026-05-01'));
    const lesson = inks.find((one) => one.ink.id === dark.id);
    expect(lesson?.taught.strength).toBeGreaterThan(1.25);
    expect(lesson?.taught.strength).toBeLessThan(1.55);
    expect(lesson && tellTaught(dark, lesson.taught)).toMatch(
      /^Leat lays 1\.[345] times as strong as its swatch says/,
    );
    expect(lesson && tellTaught(dark, lesson.taught)).toMatch(/from 4 panels\.$/);
    expect(after.median).toBeLessThan(before.median / 3);
    const taught = withLesson(dark, lesson);
    const half = (one: typeof dark) => ({ layers: [[{ ink: one, coats: 0.6 }]], ground: CARD });
    const truth = placeColour(half({ ...dark, strength: 1.4 }));
    expect(deltaE00(placeColour(half(taught)), truth)).toBeLessThan(
      deltaE00(placeColour(half(dark)), truth) / 2,
    );
    expect(trustOf(half(taught))).toBeLessThan(trustOf(half(dark)));
  });

  test('more panels make it surer', () => {
    const trust = [1, 3, 9].map((panels) => {
      const { inks } = lessonsOf(laidWith(1.4, panels), new Date());
      const known = inks.map((lesson) => withLesson(lesson.ink, lesson));
      return trustOf({ layers: [known.map((one) => ({ ink: one, coats: 0.5 }))], ground: WHITE });
    });
    expect(trust[1]).toBeLessThan(trust[0] ?? 0);
    expect(trust[2]).toBeLessThan(trust[1] ?? 0);
  });

  test('switched off stays switched off, and counts as the swatch', () => {
    const { inks } = lessonsOf(laidWith(1.4, 3), new Date());
    const lesson = inks.find((one) => one.ink.id === dark.id);
    const on = withLesson(dark, lesson);
    const off = withLesson({ ...on, taught: { ...on.taught, off: true } as never }, lesson);
    expect(off.taught?.off).toBe(true);
    expect(filmOfInk(off)).toEqual(filmOfInk(dark));
  });

  test('whatever was read, nothing is taken that makes past panels worse', () => {
    const wild = fc.record({ l: fc.double({ min: 5, max: 95, noNaN: true }), a: unit, b: unit });
    fc.assert(
      fc.property(fc.array(wild, { minLength: 1, maxLength: 4 }), (colours) => {
        const readings = colours.map(({ l, a, b }, i) => ({
          layers: [[{ ink: i % 2 ? pale : dark, coats: 1 }]],
          ground: CARD,
          lab: { l, a: 40 * a, b: 40 * b },
          noise: 0.5,
        }));
        const { before, after, inks } = lessonsOf([{ readings }], new Date());
        expect(after.median).toBeLessThanOrEqual(before.median + 0.06);
        for (const one of inks) if (one.isTaken) expect(one.after).toBeLessThanOrEqual(one.before + 0.05);
      }),
      { numRuns: 20 },
    );
  });
});

test('how far an ink dries back is learned from wet readings of it alone', () => {
  const leat = ink('Leat', '#5a9fa8', 'dye');
  const seen = (dryBack: number, coats: number) => {
    const one = { ...leat, dryBack };
    const stack = makeStack([one], 1);
    addWet(stack, 0, coats);
    return labOfXyz(xyzOfLinearRgb(lightOf([one], WHITE, 'wet')(stack)));
  };
  const panel = (dryBack: number, count: number) => ({
    id: 'p',
    number: 1,
    date: '2026-05-01',
    name: 'wet',
    readings: Array.from({ length: count }, (_, i) => ({
      layers: [[{ ink: 'Leat', coats: 0.6 + 0.2 * i }]],
      lab: seen(dryBack, 0.6 + 0.2 * i),
      source: 'reader' as const,
      noise: 0.5,
      wet: true,
    })),
  });
  for (const dryBack of [0.05, 0.18, 0.4])
    expect(dryBackLessons([panel(dryBack, 3)], [leat])[0]?.dryBack).toBeCloseTo(dryBack, 1);
  expect(dryBackLessons([panel(0.3, 2)], [leat])).toEqual([]);
  expect(evidenceOf([panel(0.3, 3)], [leat]).panels).toEqual([]);
});

test('an ink of which only the swatch is known is trusted as far as inks are usually off, alone and mixed', () => {
  const [pale, dark] = [ink('Gorse', '#e3b20f'), ink('Leat', '#2a6f8a')];
  const alone = trustOf({ layers: [[{ ink: pale, coats: 1 }]], ground: CARD });
  const mixed = trustOf({
    layers: [
      [
        { ink: pale, coats: 0.5 },
        { ink: dark, coats: 0.5 },
      ],
    ],
    ground: CARD,
  });
  // A median of about ΔE00 5 is what the trials with nothing fed back find.
  for (const trust of [alone, mixed]) {
    expect(trust).toBeGreaterThan(1.5);
    expect(trust).toBeLessThan(12);
  }
});

test('a card’s own tint is the middle of its bare places, read with a reader; a photograph says nothing of it', () => {
  const made = madeOf(resolvedOf([ink('Gorse', '#e3b20f'), ink('Leat', '#2a6f8a')]));
  const panel = (labs: readonly Lab[], source: 'reader' | 'photograph') => ({
    id: 'p',
    number: 1,
    date: '2026-05-01',
    name: 'bare',
    made,
    readings: labs.map((lab) => ({ layers: [], lab, source, noise: 0.5 })),
  });
  const cream = { l: 95, a: 0.5, b: 7 };
  const labs = [cream, { ...cream, b: 7.2 }, { l: 40, a: 0, b: 0 }];
  const [lesson] = cardLessons([panel(labs, 'reader')], [made.card]);
  expect(deltaE00(labOfHex(lesson?.colour ?? '#000000'), cream)).toBeLessThan(0.5);
  expect(cardLessons([panel(labs, 'photograph')], [made.card])).toEqual([]);
  expect(cardLessons([panel([cream], 'reader')], [made.card])).toEqual([]);
  expect(evidenceOf([panel(labs, 'reader')], made.inks).panels).toEqual([]);
});

test('the swatch book’s paler fields make an ink surer', () => {
  const leat = ink('Leat', '#2a6f8a');
  const reading = (coats: number, noise: number, strength = 1) => ({
    layers: [[{ ink: leat, coats }]],
    ground: CARD,
    lab: placeColour({ layers: [[{ ink: { ...leat, strength }, coats }]], ground: CARD }),
    noise,
  });
  const panels = [{ readings: [reading(1, 2, 1.4), reading(0.6, 2, 1.4)] }];
  const trust = (strips: readonly Reading[]) => {
    const [lesson] = lessonsOf(panels, new Date(), undefined, strips).inks;
    return trustOf({ layers: [[{ ink: withLesson(leat, lesson), coats: 0.4 }]], ground: CARD });
  };
  expect(trust([reading(0.5, 1), reading(0.25, 1)])).toBeLessThan(trust([]));
});

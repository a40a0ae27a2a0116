import fc from 'fast-check';
import { inverse, Matrix, solve } from 'ml-matrix';
import { expect, test } from 'vitest';
import { INK_PARAMS } from './inkParams';
import { covariance, doubtOf, normalEquations, type Row } from './normal';

const HAND = 2;
const INKS = 3;
const numbers = (length: number, most = 2) =>
  fc
    .array(fc.double({ min: -most, max: most, noNaN: true }), { minLength: length, maxLength: length })
    .map((values) => Float64Array.from(values));
/** A reading of these inks. */
const rowOf = (inks: readonly number[]): fc.Arbitrary<Row> =>
  fc.record({
    weight: fc.double({ min: 0.1, max: 3, noNaN: true }),
    inks: fc.constant(inks),
    residuals: numbers(3),
    byInks: fc.tuple(...[0, 1, 2].map(() => numbers(inks.length * INK_PARAMS))),
    byHand: fc.tuple(...[0, 1, 2].map(() => numbers(HAND))),
  });
const SWATCHES = [[0], [2]] as const;
const PANELS = [
  [0, 1],
  [2, 1],
] as const;
const problems = fc.record({
  params: numbers(INKS * INK_PARAMS),
  hands: fc.tuple(...PANELS.map(() => numbers(HAND))),
  swatches: fc.tuple(...SWATCHES.map(rowOf)),
  panels: fc.tuple(...PANELS.map((inks) => fc.tuple(rowOf(inks), rowOf(inks.slice(0, 1))))),
  damping: fc.constantFrom(0, 0.5),
});

type Problem = typeof problems extends fc.Arbitrary<infer P> ? P : never;

/** The same equations all at once: unknowns of the inks, then of each panel's hand. */
function dense({ params, hands, swatches, panels, damping }: Problem) {
  const size = INKS * INK_PARAMS + PANELS.length * HAND;
  const matrix = Matrix.eye(size).mul(1 + damping);
  const wanted = Matrix.columnVector([...params, ...hands.flatMap((hand) => [...hand])]).mul(-1);
  const add = ({ weight, inks, residuals, byInks, byHand }: Row, panel?: number) => {
    for (let c = 0; c < 3; c++) {
      const slopes = Matrix.zeros(size, 1);
      inks.forEach((ink, k) => {
        for (let p = 0; p < INK_PARAMS; p++)
          slopes.set(ink * INK_PARAMS + p, 0, byInks[c]?.[k * INK_PARAMS + p] ?? 0);
      });
      if (panel !== undefined)
        for (let h = 0; h < HAND; h++)
          slopes.set(INKS * INK_PARAMS + panel * HAND + h, 0, byHand[c]?.[h] ?? 0);
      matrix.add(slopes.mmul(slopes.transpose()).mul(weight));
      wanted.sub(slopes.mul(weight * (residuals[c] ?? 0)));
    }
  };
  for (const row of swatches) add(row);
  panels.forEach((rows, panel) => {
    for (const row of rows) add(row, panel);
  });
  return { matrix, wanted };
}

const ours = ({ params, hands, swatches, panels, damping }: Problem) => {
  const equations = normalEquations(INKS, damping);
  equations.start(params);
  for (const row of swatches) equations.addInks(row);
  panels.forEach((rows, i) => {
    equations.addPanel(rows, PANELS[i] ?? [], hands[i] ?? new Float64Array(HAND));
  });
  return equations;
};

test('a step that eliminates each panel’s hand first is the step of all equations at once, by a general library', () => {
  fc.assert(
    fc.property(problems, (problem) => {
      const { matrix, wanted } = dense(problem);
      const theirs = solve(matrix, wanted).to1DArray();
      const { inks, hands } = ours(problem).step();
      [...inks, ...hands.flatMap((hand) => [...hand])].forEach((value, i) => {
        expect(value).toBeCloseTo(theirs[i] ?? 0, 6);
      });
    }),
    { numRuns: 40 },
  );
});

test('how sure the inks are is their part of the whole inverse, the hands’ own doubt taken into it', () => {
  fc.assert(
    fc.property(problems, (problem) => {
      const whole = inverse(dense(problem).matrix);
      const precision = ours(problem).precision();
      for (let ink = 0; ink < INKS; ink++) {
        const kept = doubtOf(precision, ink);
        let at = 0;
        for (let i = 0; i < INK_PARAMS; i++)
          for (let j = 0; j <= i; j++)
            expect(kept[at++]).toBeCloseTo(whole.get(ink * INK_PARAMS + i, ink * INK_PARAMS + j), 6);
        expect(at).toBe(kept.length);
      }
      // Of a function of several unknowns: their sum.
      const all = new Float64Array(INKS * INK_PARAMS).fill(1);
      const sum = whole.subMatrix(0, all.length - 1, 0, all.length - 1).sum();
      expect(covariance(precision, [all])[0]?.[0]).toBeCloseTo(sum, 5);
    }),
    { numRuns: 20 },
  );
});

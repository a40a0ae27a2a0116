import { labOfHex } from '../../materials/colour/hex';
import type { Lab } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import { type Ink, isBare, SWATCH_GROUND } from '../../materials/ink/ink';
import type { Square } from './cholesky';
import type { PanelEvidence, Reading } from './evidence';
import { type FilmSlopes, filmSlopes, INK_PARAMS, type InkPrior, inkPrior } from './inkParams';
import { normalEquations, type Row } from './normal';
import { type Laying, layingOf, type PanelHand, predict } from './predict';
import { lossOf, turned, weighed, weightOf, weightsFor } from './residual';
import { swatchWeights } from './swatch';

/** Steps of damped Gauss–Newton at the most, and the fall of the loss that ends them before. */
const MAX_STEPS = 12;
const SETTLED = 1e-3;

/** What is known after the readings: the likeliest values of the inks, and how sure they are. */
export interface Learned {
  /** Each with the panels it was read on. */
  readonly inks: readonly {
    readonly prior: InkPrior;
    readonly params: Float64Array;
    readonly panels: number;
  }[];
  /** How far joints crept on each panel, in standard deviations. */
  readonly creeps: readonly number[];
  readonly precision: Square;
  /** Steps it took. */
  readonly steps: number;
}

/** What was read, ready to be compared: weights of its residuals, and its laying. */
interface Judged {
  readonly laying: Laying;
  readonly ground: Spectrum;
  readonly lab: Lab;
  readonly weights: Float64Array;
}

/**
 * The likeliest strength, scattering and hidden spectrum of each ink after all readings (maximum a posteriori), with each
 * panel's hand beside them. The loss is heavy-tailed, so that a misread hardly pulls; the swatch itself is a reading at a
 * strength of one, without which the hidden spectrum would eat the strength.
 *
 * @param strips  more readings of inks laid as strong as their swatches, one ink each; those on no panel are passed over
 * @param onStep  told after each step, with the part done, 0…1; may throw to stop
 * Source of the steps: K. Levenberg, Q. Appl. Math. 2 (1944) 164; of the weights: K. L. Lange, R. J. A. Little,
 * J. M. G. Taylor, J. Am. Stat. Assoc. 84 (1989) 881.
 */
export function learn(
  panels: readonly PanelEvidence[],
  onStep: (done: number) => void = () => {},
  strips: readonly Reading[] = [],
): Learned {
  const inks = inksOf(panels);
  const priors = inks.map(inkPrior);
  const placeOf = placesOf(inks);
  const swatches = inks.map((ink): Judged => {
    const lab = labOfHex(ink.overWhite);
    const laying = layingOf({ layers: [[{ ink, coats: 1 }]] }, placeOf, lightnessOf);
    return { laying, ground: SWATCH_GROUND, lab, weights: swatchWeights(ink, lab) };
  });
  const known = strips.flatMap((strip): Judged[] => {
    const laying = layingOf(strip, placeOf, lightnessOf);
    if (laying.inks.length !== 1 || laying.inks[0] === -1) return [];
    return [{ laying, ground: strip.ground, lab: strip.lab, weights: weightsFor(strip.lab, strip.noise) }];
  });
  const asSwatches = [...swatches, ...known];
  const judged = panels.map(({ readings }) => {
    const each = readings.filter(isOfInk).map(
      (reading): Judged => ({
        laying: layingOf(reading, placeOf, lightnessOf),
        ground: reading.ground,
        lab: reading.lab,
        weights: weightsFor(reading.lab, reading.noise),
      }),
    );
    return { each, inks: [...new Set(each.flatMap(({ laying }) => laying.inks))] };
  });

  let params = new Float64Array(inks.length * INK_PARAMS);
  let hands = judged.map((panel) => new Float64Array(1 + panel.inks.length));
  let now = weigh(params, hands);
  let damping = 0;
  let steps = 0;
  while (steps < MAX_STEPS) {
    const equations = equationsAt(now, params, hands, damping, weightOf);
    const { inks: inkStep, hands: handSteps } = equations.step();
    const nextParams = params.map((value, i) => value + (inkStep[i] ?? 0));
    const nextHands = hands.map((hand, p) => hand.map((value, i) => value + (handSteps[p]?.[i] ?? 0)));
    const next = weigh(nextParams, nextHands);
    steps++;
    onStep(steps / (MAX_STEPS + 1));
    const fall = now.loss - next.loss;
    if (Number.isFinite(next.loss) && fall >= 0) {
      [params, hands, now] = [nextParams, nextHands, next];
      damping = damping < 0.02 ? 0 : damping / 8;
      if (fall < SETTLED * (1 + Math.abs(now.loss) * SETTLED)) break;
    } else damping = Math.max(damping * 8, 0.1);
  }
  // How sure it is: no reading counts for more than its noise says, however near it happens to lie.
  const sure = equationsAt(now, params, hands, 0, (squares) => Math.min(weightOf(squares), 1));
  return {
    inks: inks.map((_, i) => ({
      prior: priors[i] as InkPrior,
      params: params.slice(i * INK_PARAMS, (i + 1) * INK_PARAMS),
      panels: judged.filter((panel) => panel.inks.includes(i)).length,
    })),
    creeps: hands.map((hand) => hand[0] ?? 0),
    precision: sure.precision(),
    steps,
  };

  /** All readings predicted at these values, and the loss. */
  function weigh(at: Float64Array, handsAt: readonly Float64Array[]) {
    const paramsAt = (ink: number) => at.subarray(ink * INK_PARAMS, (ink + 1) * INK_PARAMS);
    const films = priors.map((prior, ink) => filmSlopes(prior, paramsAt(ink)));
    const own = priors.map((prior, ink) => filmSlopes(prior, paramsAt(ink), true));
    let loss = half(at) + handsAt.reduce((sum, hand) => sum + half(hand), 0);
    const compared = (one: Judged, filmOf: readonly FilmSlopes[], hand?: PanelHand) => {
      const found = compare(one, filmOf, hand);
      loss += lossOf(found.squares);
      return found;
    };
    const ofSwatches = asSwatches.map((one) => compared(one, own));
    const ofPanels = judged.map((panel, p) =>
      panel.each.map((one) =>
        compared(one, films, { inks: panel.inks, params: handsAt[p] ?? new Float64Array(0) }),
      ),
    );
    return { loss, ofSwatches, ofPanels };
  }

  function equationsAt(
    { ofSwatches, ofPanels }: ReturnType<typeof weigh>,
    at: Float64Array,
    handsAt: readonly Float64Array[],
    damped: number,
    weight: (squares: number) => number,
  ) {
    const equations = normalEquations(inks.length, damped);
    equations.start(at);
    const row = ({ squares, ...compared }: Compared): Row => ({ ...compared, weight: weight(squares) });
    for (const compared of ofSwatches) equations.addInks(row(compared));
    ofPanels.forEach((compared, p) => {
      equations.addPanel(compared.map(row), judged[p]?.inks ?? [], handsAt[p] ?? new Float64Array(0));
    });
    return equations;
  }
}

interface Compared extends Omit<Row, 'weight'> {
  /** Sum of its squared residuals. */
  readonly squares: number;
}

function compare(
  { laying, ground, lab, weights }: Judged,
  films: readonly FilmSlopes[],
  hand?: PanelHand,
): Compared {
  const predicted = predict(laying, ground, (ink) => films[ink] as FilmSlopes, hand);
  const off = [predicted.lab.l - lab.l, predicted.lab.a - lab.a, predicted.lab.b - lab.b];
  const residuals = [0, 1, 2].map((c) => weighed(weights, c, (i) => off[i] ?? 0));
  return {
    inks: laying.inks,
    residuals,
    byInks: turned(weights, predicted.byInks),
    byHand: turned(weights, predicted.byHand),
    squares: residuals.reduce((sum, r) => sum + r * r, 0),
  };
}

const half = (values: Float64Array): number => values.reduce((sum, value) => sum + value * value, 0) / 2;

const lightnessOf = ({ overWhite }: Ink): number => labOfHex(overWhite).l;
const isOfInk = ({ layers }: Reading): boolean =>
  layers.some((layer) => layer.some(({ coats }) => coats > 0));

/** Every ink that was read, once, in the order it is first met. Bare card is no ink. */
function inksOf(panels: readonly PanelEvidence[]): readonly Ink[] {
  const met = new Map<string, Ink>();
  for (const { readings } of panels)
    for (const { layers } of readings)
      for (const layer of layers)
        for (const { ink, coats } of layer)
          if (coats > 0 && !isBare(ink) && !met.has(ink.id)) met.set(ink.id, ink);
  return [...met.values()];
}

function placesOf(inks: readonly Ink[]): (ink: Ink) => number {
  const places = new Map(inks.map(({ id }, i) => [id, i]));
  return ({ id }) => places.get(id) ?? -1;
}

import { seededRandom } from '../core/base/random';
import type { PanelEvidence, Reading } from '../core/keep/learn/evidence';
import { lessonsOf, withLesson } from '../core/keep/learn/lessons';
import { placeColour, trustOf } from '../core/keep/learn/tell';
import { deltaE00 } from '../core/materials/colour/difference';
import type { Lab } from '../core/materials/colour/lab';
import { flatSpectrum } from '../core/materials/colour/spectrum';
import type { Ink } from '../core/materials/ink/ink';
import { type HiddenInk, type HiddenKind, hiddenColour, hiddenInks, normalOf } from './hiddenInks';

/** What is fed back of hidden inks, and what is asked of them afterwards. */
export interface TrialPlan {
  readonly kind: HiddenKind;
  readonly seed: number;
  readonly inks?: number;
  /** Panels that each ink is on, three inks a panel. */
  readonly panelsAnInk: number;
  /** Root mean square ΔE00 of the readings, as told to the learner and as it is. */
  readonly noise: number;
  /** Part of the readings that are wrong by ΔE00 15. */
  readonly misread?: number;
}

/** ΔE00 of joints that were never logged, laid as the sheet says; and whether one laid by a hand lies in its band. */
export interface TrialResult {
  readonly before: readonly number[];
  readonly after: readonly number[];
  readonly held: readonly boolean[];
  /** Told strength over the true one, natural logarithm. */
  readonly strengths: readonly number[];
}

const CARD = flatSpectrum(0.9);

export function learnTrial({
  kind,
  seed,
  inks = 12,
  panelsAnInk,
  noise,
  misread = 0,
}: TrialPlan): TrialResult {
  const draw = seededRandom(seed * 7919 + 13);
  const hidden = hiddenInks(kind, inks, seed);
  const joined = new Set<string>();
  const panels: PanelEvidence[] = [];
  for (let round = 0; round < panelsAnInk; round++) {
    const order = shuffled(hidden, draw);
    for (let i = 0; i + 2 < order.length; i += 3)
      panels.push(panelOf(order.slice(i, i + 3), joined, draw, noise, misread));
  }
  const { inks: lessons } = lessonsOf(panels, new Date(0));
  const taught = new Map(
    hidden.map(({ ink }) => [
      ink,
      withLesson(
        ink,
        lessons.find((lesson) => lesson.ink.id === ink.id),
      ),
    ]),
  );
  const result = { before: [] as number[], after: [] as number[], held: [] as boolean[] };
  for (let i = 0; i < inks; i++)
    for (let j = i + 1; j < inks; j++) {
      const [p, q] = [hidden[i] as HiddenInk, hidden[j] as HiddenInk].toSorted(
        (one, other) => lightness(other) - lightness(one),
      ) as [HiddenInk, HiddenInk];
      if (joined.has(pairKey(p, q))) continue;
      for (const part of [0.25, 0.5, 0.75]) {
        const portions = [
          { ...p, coats: part },
          { ...q, coats: 1 - part },
        ];
        const truth = hiddenColour(portions, CARD);
        const place = (as: (ink: Ink) => Ink) => ({
          layers: [portions.map(({ ink, coats }) => ({ ink: as(ink), coats }))],
          ground: CARD,
        });
        const told = place((ink) => taught.get(ink) ?? ink);
        const predicted = placeColour(told);
        result.before.push(deltaE00(truth, placeColour(place((ink) => ink))));
        result.after.push(deltaE00(truth, predicted));
        const made = laidBy(handOf([p, q], draw), [
          [p, part],
          [q, 1 - part],
        ]);
        result.held.push(deltaE00(made, predicted) <= trustOf(told));
      }
    }
  const strengths = hidden.map(({ ink, strength }) =>
    Math.log((taught.get(ink)?.taught?.strength ?? 1) / strength),
  );
  return { ...result, strengths };
}

const pairKey = (p: HiddenInk, q: HiddenInk) => [p.ink.id, q.ink.id].sort().join(' ');

/** A ladder of three: its solids and the middles of its joints, laid by a hand of its own. */
function panelOf(
  three: readonly HiddenInk[],
  joined: Set<string>,
  draw: () => number,
  noise: number,
  misread: number,
): PanelEvidence {
  const ordered = three.toSorted((p, q) => lightness(q) - lightness(p));
  const [pale, mid, dark] = ordered as [HiddenInk, HiddenInk, HiddenInk];
  joined.add(pairKey(pale, mid));
  joined.add(pairKey(mid, dark));
  const hand = handOf(three, draw);
  const places: (readonly [HiddenInk, number])[][] = [
    [[pale, 1]],
    [
      [pale, 0.5],
      [mid, 0.5],
    ],
    [[mid, 1]],
    [
      [mid, 0.5],
      [dark, 0.5],
    ],
    [[dark, 1]],
  ];
  const readings = places.map((parts): Reading => {
    const isWrong = draw() < misread;
    const lab = nudged(laidBy(hand, parts), isWrong ? 15 : noise, draw, isWrong);
    return { layers: [parts.map(([{ ink }, coats]) => ({ ink, coats }))], ground: CARD, lab, noise };
  });
  return { readings };
}

/** A hand on one day: how far joints creep toward the darker ink (logit), and how heavily it lays each. */
interface Hand {
  readonly creep: number;
  readonly loads: ReadonlyMap<HiddenInk, number>;
}

const handOf = (inks: readonly HiddenInk[], draw: () => number): Hand => ({
  creep: CREEP * normalOf(draw),
  loads: new Map(inks.map((one) => [one, Math.exp(LOAD * normalOf(draw))])),
});
const CREEP = 0.2;
const LOAD = 0.05;

/** What a hand makes of one ink, or of two, the paler first. */
function laidBy({ creep, loads }: Hand, parts: readonly (readonly [HiddenInk, number])[]): Lab {
  const [, second] = parts;
  const dark = second ? crossed(second[1], creep) : 0;
  const crept = second ? [1 - dark, dark] : [1];
  return hiddenColour(
    parts.map(([one], i) => ({ film: one.film, coats: (crept[i] ?? 0) * (loads.get(one) ?? 1) })),
    CARD,
  );
}

const lightness = ({ film }: HiddenInk): number => hiddenColour([{ film, coats: 1 }], CARD).l;
const crossed = (part: number, shift: number): number =>
  1 / (1 + Math.exp(-Math.log(part / (1 - part)) - shift));

/** A colour off by so much ΔE00: in each of its parts on average, or, misread, as a whole in one direction. */
function nudged(lab: Lab, by: number, draw: () => number, isWrong: boolean): Lab {
  const direction = [normalOf(draw), normalOf(draw), normalOf(draw)] as const;
  const step = (size: number): Lab => ({
    l: lab.l + size * direction[0],
    a: lab.a + size * direction[1],
    b: lab.b + size * direction[2],
  });
  const length = Math.hypot(...direction);
  const wanted = isWrong ? by : (by * length) / Math.sqrt(3);
  // ΔE00 is near straight on this length: one correction is enough.
  const first = wanted / Math.max(length, 1e-9);
  return step((first * wanted) / Math.max(deltaE00(lab, step(first)), 1e-9));
}

function shuffled<T>(list: readonly T[], draw: () => number): T[] {
  const left = [...list];
  return list.map(() => left.splice(Math.floor(draw() * left.length), 1)[0] as T);
}

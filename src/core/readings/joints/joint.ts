import { type BlendGround, blended, groundReflectance } from '../../engine/blend';
import { deltaE00, hueApart } from '../../materials/colour/difference';
import { COLOURLESS, chroma, hueDegrees, type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { type ColourName, nameColour } from '../../materials/colour/names';
import { aPlainColour, plainColour } from '../../materials/colour/plainWords';
import { flatSpectrum } from '../../materials/colour/spectrum';
import type { Ink } from '../../materials/ink/ink';
import { type Dullness, findDullness, findFresh, GREYS } from './judge';

/** A place inside a joint: how much of it is the second ink, and the colour it dries to. */
export interface Station {
  /** 0 is all first ink, 1 all second. */
  readonly mix: number;
  readonly lab: Lab;
  readonly colour: ColourName;
}

export const VERDICT_KINDS = ['too alike', 'mud', 'dulls', 'new colour', 'clean run'] as const;
export type VerdictKind = (typeof VERDICT_KINDS)[number];

/** What becomes of a joint, with the colours that say so. */
export interface Verdict {
  readonly kind: VerdictKind;
  /** The station that decided: the dullest one, the new colour at its farthest from both rungs, or the middle. */
  readonly decidedBy: Station;
  /** Where one step makes more than half of the joint's whole change, the two stations of it. */
  readonly abrupt?: readonly [Station, Station];
  /** The middle is much less colourful than either ink. */
  readonly quieter: boolean;
}

/** An odd number, so that one station is the even mix; at least 9. */
export const STATIONS = 13;

/** Two dried colours nearer than this look like one ink. CIEDE2000. */
export const TOO_ALIKE = 5;

/** What a brown, an olive or a grey is called. */
export const MUDDY: ReadonlySet<string> = new Set([
  'brown',
  'olive',
  'olive brown',
  'olive green',
  'olive gray',
  'gray',
]);
/** Depths of one colour lie nearer than this in hue, degrees: what is named on the way is no colour of its own. */
export const ONE_HUE = 20;
/** A middle with less than this part of the weaker rung's chroma is called quieter. */
export const QUIETER = 0.7;

/** The joint from one ink to the next in even steps of mixture, as it dries on the ground. Both ends included. */
export function walkJoint(first: Ink, second: Ink, ground: BlendGround, stations = STATIONS): Station[] {
  return Array.from({ length: stations }, (_, i) => {
    const mix = i / (stations - 1);
    const laid = [
      { ink: first, coats: 1 - mix },
      { ink: second, coats: mix },
    ];
    const lab = labOfSpectrum(blended(laid, ground));
    return { mix, lab, colour: nameColour(lab) };
  });
}

/** Card this pale, L*, and no more coloured than this, C*, is white enough to judge mud on. */
const WHITE_CARD = { l: 85, chroma: 10 } as const;
/** The white that mud is judged on: a usual card's. */
export const WHITE: BlendGround['dried'] = flatSpectrum(0.95);

/** Whether what lies under a blend is white, or nearly. */
export const isWhiteGround = (ground: Lab): boolean =>
  ground.l >= WHITE_CARD.l && chroma(ground) <= WHITE_CARD.chroma;

/**
 * The same joint as it would dry on white. The eye makes allowance for a tinted card, and the trade's verdict on a pair
 * does not change with it: so mud is judged there, and what the card itself does to an ink is told apart.
 */
export function walkOnWhite(
  first: Ink,
  second: Ink,
  ground: BlendGround,
  walked: readonly Station[],
): readonly Station[] {
  if (isWhiteGround(labOfSpectrum(groundReflectance(ground)))) return walked;
  return walkJoint(first, second, { dried: WHITE, wet: [], coats: ground.coats });
}

/**
 * Judges a walked joint.
 *
 * *Too alike*: the rungs dry to colours closer than ΔE00 5. *Mud*: a stretch of it greys toward rose, brown or olive,
 * and is dark there; *dulls*: it does and stays pale. *New colour*: the widest hue on the way that neither rung has.
 * *Clean run*: none of these, or depths of one hue. See `judge.ts` for the thresholds.
 *
 * @param onWhite  the same stations as they would dry on white, where the card is another
 */
export function judgeJoint(stations: readonly Station[], onWhite: readonly Station[] = stations): Verdict {
  const first = stations[0] as Station;
  const last = stations[stations.length - 1] as Station;
  const middle = stations[(stations.length - 1) >> 1] as Station;
  const weaker = Math.min(chroma(first.lab), chroma(last.lab));
  const shared = {
    ...abruptStep(stations),
    quieter: Math.min(...stations.slice(1, -1).map(({ lab }) => chroma(lab))) < QUIETER * weaker,
  };
  if (deltaE00(first.lab, last.lab) < TOO_ALIKE) return { kind: 'too alike', decidedBy: middle, ...shared };
  const dullness: Dullness = { at: -1, isMud: false };
  findDullness(
    onWhite.map(({ lab }) => lab),
    dullness,
  );
  const dull = stations[dullness.at];
  if (dull) return { kind: dullness.isMud ? 'mud' : 'dulls', decidedBy: dull, ...shared };
  const fresh = isOneHue(first.lab, last.lab) ? undefined : stations[freshStation(stations)];
  if (fresh) return { kind: 'new colour', decidedBy: fresh, ...shared };
  return { kind: 'clean run', decidedBy: middle, ...shared };
}

const isOneHue = (p: Lab, q: Lab): boolean =>
  Math.min(chroma(p), chroma(q)) > COLOURLESS && hueApart(hueDegrees(p), hueDegrees(q)) < ONE_HUE;

function freshStation(stations: readonly Station[]): number {
  const [first, last] = [stations[0] as Station, stations[stations.length - 1] as Station];
  return findFresh(
    stations.map(({ lab, colour: { noun } }) =>
      chroma(lab) < COLOURLESS || GREYS.has(noun) ? first.colour.noun : noun,
    ),
    stations.slice(1).map(({ lab }, i) => deltaE00((stations[i] as Station).lab, lab)),
    stations.map(({ lab }) => Math.min(deltaE00(lab, first.lab), deltaE00(lab, last.lab))),
  );
}

function abruptStep(stations: readonly Station[]): { abrupt?: readonly [Station, Station] } {
  const steps = stations.slice(1).map((to, i) => {
    const from = stations[i] as Station;
    return { from, to, size: deltaE00(from.lab, to.lab) };
  });
  const whole = steps.reduce((sum, { size }) => sum + size, 0);
  const jump = steps.find(({ size }) => size > whole / 2);
  return jump ? { abrupt: [jump.from, jump.to] } : {};
}

/** The names met on the way from one rung to the other, each once, in order, the rungs' own left out. */
export function namesOnTheWay(stations: readonly Station[]): string[] {
  const ends = [stations[0]?.colour.name, stations[stations.length - 1]?.colour.name];
  const met = stations.map(({ colour }) => colour.name).filter((name) => !ends.includes(name));
  return [...new Set(met)];
}

/** The verdict as it is told to the maker: a headline, and a sentence with its reason and what to do. */
export function describeVerdict(verdict: Verdict): { headline: string; reason: string } {
  const { kind, decidedBy, quieter, abrupt } = verdict;
  const colour = plainColour(decidedBy.lab);
  const aColour = aPlainColour(decidedBy.lab);
  const words = {
    'too alike': {
      headline: 'Too alike',
      reason: `Both dry to ${aColour}, or nearly; the joint will hardly be seen.`,
    },
    mud: {
      headline: `Mud: ${colour}`,
      reason: `Passes through ${aColour}, duller than either ink. Put a middle ink between, or keep the joint narrow.`,
    },
    dulls: {
      headline: `Dulls: ${colour}`,
      reason: `Greys on the way to ${aColour}, softer than either ink. Keep the joint narrow, or put a middle ink between.`,
    },
    'new colour': {
      headline: `New colour: ${colour}`,
      reason: `The overlap makes ${aColour} that neither ink has${quieter ? ', with a quieter stretch on the way' : ''}.`,
    },
    'clean run': {
      headline: 'Clean run',
      reason: `Passes through ${aColour}${quieter ? ', quieter than either ink' : ''}.`,
    },
  }[kind];
  const jump = abrupt
    ? ` Abrupt: most of the change falls between ${aPlainColour(abrupt[0].lab)} and ${aPlainColour(abrupt[1].lab)}.`
    : '';
  return { headline: words.headline, reason: words.reason + jump };
}

import { type BlendGround, blended } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { chroma, type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { type ColourName, nameColour } from '../../materials/colour/names';
import type { Ink } from '../../materials/ink/ink';

/** A place inside a joint: how much of it is the second ink, and the colour it dries to. */
export interface Station {
  /** 0 is all first ink, 1 all second. */
  readonly mix: number;
  readonly lab: Lab;
  readonly colour: ColourName;
}

export type VerdictKind = 'too alike' | 'mud' | 'new colour' | 'clean run';

/** What becomes of a joint, with the colours that say so. */
export interface Verdict {
  readonly kind: VerdictKind;
  /** The station that decided: the muddy one, the new colour at its most colourful, or the middle. */
  readonly decidedBy: Station;
  /** Where one step makes more than half of the joint's whole change, the two stations of it. */
  readonly abrupt?: readonly [Station, Station];
  /** No mud, but the joint passes through a brown, olive or grey: it does best narrow. */
  readonly keepNarrow: boolean;
  /** The middle is much less colourful than either ink. */
  readonly quieter: boolean;
}

/** An odd number, so that one station is the even mix; at least 9. */
export const STATIONS = 13;

/** Two dried colours nearer than this look like one ink. CIEDE2000. */
export const TOO_ALIKE = 5;

export const MUDDY: ReadonlySet<string> = new Set([
  'brown',
  'olive',
  'olive brown',
  'olive green',
  'olive gray',
  'gray',
]);
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

/**
 * Judges a walked joint.
 *
 * *Too alike*: the rungs dry to colours closer than ΔE00 5. *Mud*: in the middle half there is a stretch (two
 * stations or more) of brown, olive or grey, neither rung is one, and it is less colourful than both; or such a
 * colour is all that is new anywhere on the way. *New colour*: a hue on the way that neither rung has. *Clean run*: none of these. Rule and thresholds: common practice.
 */
export function judgeJoint(stations: readonly Station[]): Verdict {
  const first = stations[0] as Station;
  const last = stations[stations.length - 1] as Station;
  const middle = stations[(stations.length - 1) >> 1] as Station;
  const onTheWay = stations.slice(1, -1);
  const chromas = [chroma(first.lab), chroma(last.lab)];
  const weaker = Math.min(...chromas);
  const isRungHue = ({ colour }: Station) =>
    colour.noun === first.colour.noun || colour.noun === last.colour.noun;
  const rungIsMuddy = MUDDY.has(first.colour.noun) || MUDDY.has(last.colour.noun);

  const muddy = rungIsMuddy ? [] : onTheWay.filter(({ colour }) => MUDDY.has(colour.noun));
  const dull = muddy.filter(({ lab }) => chroma(lab) < weaker);
  const isMud = (station: Station) => dull.includes(station) && inMiddleHalf(station.mix);
  // One station alone is a flick of it that no eye finds; two neighbours are a stretch.
  const stretch = stations.filter(
    (s, i) => isMud(s) && stations.some((t, k) => Math.abs(k - i) === 1 && isMud(t)),
  );
  const fresh = mostChroma(onTheWay.filter((station) => !isRungHue(station) && !dull.includes(station)));
  const mud = leastChroma(stretch) ?? (fresh ? undefined : leastChroma(dull));
  const shared = {
    ...abruptStep(stations),
    keepNarrow: !mud && muddy.length > 0,
    quieter: Math.min(...onTheWay.map(({ lab }) => chroma(lab))) < QUIETER * weaker,
  };
  if (deltaE00(first.lab, last.lab) < TOO_ALIKE) return { kind: 'too alike', decidedBy: middle, ...shared };
  if (mud) return { kind: 'mud', decidedBy: mud, ...shared };
  if (fresh) return { kind: 'new colour', decidedBy: fresh, ...shared };
  return { kind: 'clean run', decidedBy: middle, ...shared };
}

const inMiddleHalf = (mix: number): boolean => mix >= 0.25 && mix <= 0.75;

const leastChroma = (stations: readonly Station[]): Station | undefined =>
  stations.toSorted((p, q) => chroma(p.lab) - chroma(q.lab))[0];
const mostChroma = (stations: readonly Station[]): Station | undefined =>
  stations.toSorted((p, q) => chroma(q.lab) - chroma(p.lab))[0];

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
  const { kind, decidedBy, keepNarrow, quieter, abrupt } = verdict;
  const name = decidedBy.colour.name;
  const words = {
    'too alike': {
      headline: 'Too alike',
      reason: `Both dry to about the same ${name}; the joint will hardly be seen.`,
    },
    mud: {
      headline: `Mud: ${decidedBy.colour.hue}`,
      reason: `Passes through ${name}, duller than either ink. Put a middle ink between, or keep the joint narrow.`,
    },
    'new colour': {
      headline: `New colour: ${decidedBy.colour.hue}`,
      reason: `The overlap makes a ${name} that neither ink has${quieter ? ', with a quieter stretch on the way' : ''}.`,
    },
    'clean run': {
      headline: 'Clean run',
      reason: `Goes over by ${name}${quieter ? ', quieter than either ink' : ''}.`,
    },
  }[kind];
  const narrow = keepNarrow && kind !== 'too alike' ? ' Keep it narrow.' : '';
  const jump = abrupt
    ? ` Abrupt: most of the change falls between ${abrupt[0].colour.name} and ${abrupt[1].colour.name}.`
    : '';
  return { headline: words.headline, reason: words.reason + narrow + jump };
}

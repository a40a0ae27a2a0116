import { hueApart } from '../../materials/colour/difference';
import { MUDDY } from '../../readings/joints/joint';
import { NOUNS } from './nounLattice';
import { type DriedInks, NO_NOUN, type PairTable, VERDICTS } from './pairTable';
import { LIGHT_FROM, topCoatsOf } from './topCoats';

export type RelationId =
  | 'tonal'
  | 'neighbours'
  | 'bridge'
  | 'newColour'
  | 'quieted'
  | 'primaries'
  | 'lightAndDark';

/** The shelf and its joints, as relations read them. */
export interface Judged {
  readonly dried: DriedInks;
  readonly pairs: PairTable;
}

/**
 * One way three inks can belong together. Adding a relation is adding one of these.
 * Inks are numbers into the dried shelf; `middle` lies between the other two on the panel.
 */
export interface Relation {
  readonly id: RelationId;
  readonly label: string;
  /** What the score weighs, in a sentence. */
  readonly explains: string;
  /**
   * Whether any of the three may lie in the middle (a bridge does, whatever its lightness), or only the one between
   * the others in lightness.
   */
  readonly anyMiddle: boolean;
  /** Reads the shelf once and gives back the score. */
  readonly scorer: (judged: Judged) => Score;
}

/** How well three inks fit, 0…1; 0 where they do not belong together so. */
export type Score = (first: number, middle: number, last: number) => number;

const MUD = VERDICTS.indexOf('mud');
const ALIKE = VERDICTS.indexOf('too alike');
const muddyNoun = Uint8Array.from(NOUNS, (noun) => (MUDDY.has(noun) ? 1 : 0));

/** Below this chroma a colour has no hue to compare. */
const COLOURLESS = 8;

/** How even two gaps are: the smaller over the larger, 0…1. */
const even = (p: number, q: number): number => {
  const larger = Math.max(p, q);
  return larger <= 0 ? 0 : Math.max(Math.min(p, q), 0) / larger;
};

/** A value from 0 at `from` to 1 at `to`, held inside. */
const rise = (value: number, from: number, to: number): number =>
  value <= from ? 0 : value >= to ? 1 : (value - from) / (to - from);

const tonal: Relation = {
  id: 'tonal',
  label: 'Tonal',
  explains: 'Three depths of one colour: near in hue, evenly spaced in lightness, far from pale to dark.',
  anyMiddle: false,
  scorer:
    ({ dried: { hue, chroma, lightness } }) =>
    (first, middle, last) => {
      const p = lightness[first] as number;
      const q = lightness[last] as number;
      const m = lightness[middle] as number;
      const gap = Math.min(p - m, m - q);
      if (gap < 6) return 0;
      if (Math.min(chroma[first] as number, chroma[middle] as number, chroma[last] as number) < COLOURLESS)
        return 0;
      const apart = Math.max(
        hueApart(hue[first] as number, hue[middle] as number),
        hueApart(hue[middle] as number, hue[last] as number),
        hueApart(hue[first] as number, hue[last] as number),
      );
      return (1 - rise(apart, 4, 28)) * (0.4 + 0.6 * even(p - m, m - q)) * rise(p - q, 12, 50);
    },
};

const neighbours: Relation = {
  id: 'neighbours',
  label: 'Neighbour run',
  explains: 'Next-door hues that step round the circle one way, evenly, with no mud between.',
  anyMiddle: false,
  scorer:
    ({ dried: { hue, chroma, lightness }, pairs }) =>
    (first, middle, last) => {
      const a = first * pairs.count + middle;
      const b = middle * pairs.count + last;
      if (pairs.verdict[a] === MUD || pairs.verdict[b] === MUD) return 0;
      const p = hue[first] as number;
      const m = hue[middle] as number;
      const q = hue[last] as number;
      const up = hueApart(p, m);
      const down = hueApart(m, q);
      const whole = hueApart(p, q);
      // One way round: the two steps add up to the whole.
      if (up < 12 || down < 12 || Math.abs(up + down - whole) > 1 || whole > 130) return 0;
      const colourful = Math.min(chroma[first] as number, chroma[middle] as number, chroma[last] as number);
      const steps = even(
        (lightness[first] as number) - (lightness[middle] as number),
        (lightness[middle] as number) - (lightness[last] as number),
      );
      return (0.3 + 0.7 * even(up, down)) * rise(colourful, 10, 45) * (0.5 + 0.5 * steps);
    },
};

const bridge: Relation = {
  id: 'bridge',
  label: 'Bridge',
  explains: 'Two ends that would turn to mud or go dull, and a middle that keeps both joints colourful.',
  anyMiddle: true,
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const n = pairs.count;
      const ends = first * n + last;
      const a = first * n + middle;
      const b = middle * n + last;
      const { chroma } = dried;
      const weaker = Math.min(chroma[first] as number, chroma[last] as number);
      if (weaker < 20 || pairs.verdict[a] === ALIKE || pairs.verdict[b] === ALIKE) return 0;
      if (pairs.verdict[a] === MUD || pairs.verdict[b] === MUD) return 0;
      const without = pairs.dullest[ends] as number;
      if (pairs.verdict[ends] !== MUD && without > 0.7 * weaker) return 0;
      const withIt = Math.min(pairs.dullest[a] as number, pairs.dullest[b] as number);
      return rise(withIt - without, 0, 35) * rise(withIt, 8, 40);
    },
};

const newColour: Relation = {
  id: 'newColour',
  label: 'Contrast with a new colour',
  explains: 'Inks far apart whose overlaps make colourful hues that none of the three has.',
  anyMiddle: false,
  scorer: ({ dried: { noun }, pairs }) => {
    const { count: n, verdict, fresh, freshChroma, difference } = pairs;
    // Of a joint alone, once for all trios it stands in.
    const worth = freshChroma.map((chroma, at) => {
      const hue = fresh[at] as number;
      return hue === NO_NOUN || muddyNoun[hue] === 1 ? 0 : rise(chroma, 8, 85);
    });
    return (first, middle, last) => {
      const a = first * n + middle;
      const b = middle * n + last;
      if (verdict[a] === MUD || verdict[b] === MUD) return 0;
      const p = fresh[a] === noun[last] ? 0 : (worth[a] as number);
      const q = fresh[b] === noun[first] ? 0 : (worth[b] as number);
      if (p + q === 0) return 0;
      const both = fresh[a] === fresh[b] ? Math.max(p, q) : p + q;
      return (both / 2) * rise((difference[a] as number) + (difference[b] as number), 20, 130);
    };
  },
};

const quieted: Relation = {
  id: 'quieted',
  label: 'Quieted',
  explains: 'Two loud inks pulled together by a brown, a grey or a dusty third.',
  anyMiddle: true,
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const { chroma, noun } = dried;
      const p = chroma[first] as number;
      const q = chroma[last] as number;
      const third = chroma[middle] as number;
      const loud = Math.min(p, q);
      if (loud < 40 || third > 0.55 * loud) return 0;
      const a = first * pairs.count + middle;
      const b = middle * pairs.count + last;
      if (pairs.verdict[a] === ALIKE || pairs.verdict[b] === ALIKE) return 0;
      const dusty = muddyNoun[noun[middle] as number] === 1 ? 1 : 0.8;
      const apart = Math.min(pairs.difference[a] as number, pairs.difference[b] as number);
      return rise(loud, 30, 70) * (1 - third / loud) * dusty * rise(apart, 10, 35);
    },
};

const nounAt = (noun: string): number => NOUNS.indexOf(noun);
const [ORANGE, GREEN, VIOLET, PURPLE, BLUE] = ['orange', 'green', 'violet', 'purple', 'blue'].map(nounAt);
const REDS = new Set(['red', 'pink'].map(nounAt));
const YELLOWS = new Set(['yellow', 'orange yellow'].map(nounAt));
const ORANGES = new Set([ORANGE, nounAt('orange yellow')]);
const GREENS = new Set([GREEN, nounAt('yellow green')]);
const VIOLETS = new Set([VIOLET, PURPLE]);

const primaries: Relation = {
  id: 'primaries',
  label: 'Three primaries make six',
  explains:
    'Yellow in the middle, red and blue beside it: orange and green in the joints, violet where they meet.',
  anyMiddle: true,
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const { noun, chroma } = dried;
      if (!YELLOWS.has(noun[middle] as number)) return 0;
      const p = noun[first] as number;
      const q = noun[last] as number;
      const [red, blue] =
        REDS.has(p) && q === BLUE ? [first, last] : REDS.has(q) && p === BLUE ? [last, first] : [-1, -1];
      if (red < 0) return 0;
      const n = pairs.count;
      const makes = (at: number, wanted: ReadonlySet<number | undefined>): number =>
        wanted.has(pairs.fresh[at]) && pairs.verdict[at] !== MUD
          ? rise(pairs.freshChroma[at] as number, 0, 50)
          : 0;
      const orange = makes(red * n + middle, ORANGES);
      const green = makes(middle * n + blue, GREENS);
      if (orange === 0 || green === 0) return 0;
      const violet = makes(red * n + blue, VIOLETS);
      return ((orange + green + violet) / 3) * rise(chroma[middle] as number, 20, 60);
    },
};

const lightAndDark: Relation = {
  id: 'lightAndDark',
  label: 'Light three and one dark',
  explains:
    'Three pale inks under a clear resist and one dark over all: scored by how clearly the worst of the three reads.',
  anyMiddle: false,
  scorer: ({ dried, pairs }) => {
    const { lightness, chroma } = dried;
    const { best, darks } = topCoatsOf(dried);
    return (first, middle, last) => {
      const darkest = Math.min(
        lightness[first] as number,
        lightness[middle] as number,
        lightness[last] as number,
      );
      if (darkest < LIGHT_FROM || darks.length === 0) return 0;
      const n = pairs.count;
      for (const at of [first * n + middle, middle * n + last])
        if (pairs.verdict[at] === MUD || pairs.verdict[at] === ALIKE) return 0;
      const colourful = Math.min(chroma[first] as number, chroma[middle] as number, chroma[last] as number);
      return rise(best(first, middle, last).reads, 2, 12) * (0.4 + 0.6 * rise(colourful, 8, 40));
    };
  },
};

export const RELATIONS: Readonly<Record<RelationId, Relation>> = {
  tonal,
  neighbours,
  bridge,
  newColour,
  quieted,
  primaries,
  lightAndDark,
};
export const RELATION_IDS = Object.keys(RELATIONS) as readonly RelationId[];

import { memoOf } from '../../base/memo';
import { deltaE00, MAX_LIGHTNESS_WEIGHT } from './difference';
import type { Lab } from './lab';
import { COLOUR_NAMES, type ColourName, centroidOf } from './names';

/**
 * What a maker says for the designation's modifiers; `moderate` and `medium` go without saying. Modifiers: K. L. Kelly and
 * D. B. Judd, NBS Special Publication 440 (1976); the words for them: common practice.
 */
const PLAIN: Readonly<Record<string, string>> = {
  vivid: 'bright',
  brilliant: 'bright',
  strong: 'strong',
  deep: 'deep',
  'very deep': 'very deep',
  'very light': 'pale',
  light: 'light',
  moderate: '',
  medium: '',
  dark: 'dark',
  'very dark': 'very dark',
  pale: 'pale',
  'very pale': 'very pale',
  grayish: 'dull',
  'light grayish': 'pale dull',
  'dark grayish': 'dark dull',
  blackish: 'blackish',
};

/** Two nouns nearer to each other than this, seen from a colour, could both be its own, CIEDE2000. */
const BETWEEN = 2;

/**
 * A colour in a maker's plain words, with nothing before them: `dull green`, `between orange and brown`. The designation
 * proper is `nameColour`.
 */
export const plainColour = memoOf((lab: Lab): string => {
  const { own, other } = twoNouns(lab);
  const colour = COLOUR_NAMES[own.name] as ColourName;
  const { noun } = COLOUR_NAMES[other.name] as ColourName;
  return other.off - own.off < BETWEEN && !shareWord(colour.noun, noun)
    ? `between ${ours(colour.noun)} and ${ours(noun)}`
    : plainName(colour);
});

/** The same with its article, where it takes one: `a dull green`, `an olive`, `something between orange and brown`. */
export function aPlainColour(lab: Lab): string {
  const plain = plainColour(lab);
  if (plain.startsWith('between ')) return `something ${plain}`;
  return `${/^[aeio]/.test(plain) ? 'an' : 'a'} ${plain}`;
}

/** A designation in the same words, without asking what else is near: for a thousand at once. */
export function plainName({ name, hue }: ColourName): string {
  const modifier = name.slice(0, name.length - hue.length).trim();
  return ours(`${PLAIN[modifier] ?? modifier} ${hue}`.trim());
}

const ours = (words: string): string =>
  words
    .replaceAll('gray', 'grey')
    .replaceAll('orange yellow', 'golden yellow')
    .replaceAll('yellow green', 'yellow-green');

/** Orange and orange yellow, green and olive green: nothing lies between them. */
const shareWord = (one: string, other: string): boolean =>
  one.split(' ').some((word) => other.split(' ').includes(word));

/** A designation by its place in `COLOUR_NAMES`, and its CIEDE2000 from a colour. */
interface Near {
  readonly name: number;
  readonly off: number;
}

/** The nearest designation, and the nearest of those with another noun. */
function twoNouns(lab: Lab): { readonly own: Near; readonly other: Near } {
  let own: Near = { name: -1, off: Number.POSITIVE_INFINITY };
  let other = own;
  const nounOf = ({ name }: Near): string | undefined => COLOUR_NAMES[name]?.noun;
  COLOUR_NAMES.forEach(({ noun }, name) => {
    const centroid = centroidOf(name);
    // CIEDE2000 is never less than this.
    if (Math.abs(centroid.l - lab.l) / MAX_LIGHTNESS_WEIGHT >= other.off) return;
    const off = deltaE00(lab, centroid);
    if (off < own.off) {
      if (noun !== nounOf(own)) other = own;
      own = { name, off };
    } else if (off < other.off && noun !== nounOf(own)) other = { name, off };
  });
  return { own, other };
}

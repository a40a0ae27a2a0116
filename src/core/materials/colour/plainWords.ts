import { deltaE00 } from './difference';
import type { Lab } from './lab';
import { COLOUR_NAMES, type ColourName, centroidOf, nameColour } from './names';

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
export function plainColour(lab: Lab): string {
  const colour = nameColour(lab);
  const other = nextNoun(lab, colour.noun);
  const own = nearestOf(lab, colour.noun);
  return other && other.off - own < BETWEEN && !shareWord(colour.noun, other.noun)
    ? `between ${ours(colour.noun)} and ${ours(other.noun)}`
    : plainDesignation(colour);
}

/** The same with its article, where it takes one: `a dull green`, `an olive`, `something between orange and brown`. */
export function aPlainColour(lab: Lab): string {
  const plain = plainColour(lab);
  if (plain.startsWith('between ')) return `something ${plain}`;
  return `${/^[aeio]/.test(plain) ? 'an' : 'a'} ${plain}`;
}

function plainDesignation({ name, hue }: ColourName): string {
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

const nearestOf = (lab: Lab, noun: string): number =>
  Math.min(...COLOUR_NAMES.flatMap((name, i) => (name.noun === noun ? [deltaE00(lab, centroidOf(i))] : [])));

/** The nearest noun other than a colour's own, and how far its nearest designation is. */
function nextNoun(lab: Lab, own: string): { readonly noun: string; readonly off: number } | undefined {
  return COLOUR_NAMES.flatMap(({ noun }, i) =>
    noun === own ? [] : [{ noun, off: deltaE00(lab, centroidOf(i)) }],
  ).reduce((best, one) => (one.off < best.off ? one : best));
}

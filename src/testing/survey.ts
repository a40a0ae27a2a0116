import { labOfHex } from '../core/materials/colour/hex';
import { nameColour } from '../core/materials/colour/names';
import { SURVEY_949 } from './colourSets';

/** Basic colour words as people say them, and the family each stands for. */
const FAMILY_OF_WORD: Readonly<Record<string, string>> = {
  red: 'red',
  orange: 'orange',
  yellow: 'yellow',
  green: 'green',
  blue: 'blue',
  purple: 'purple',
  violet: 'purple',
  pink: 'pink',
  brown: 'brown',
  grey: 'grey',
  gray: 'grey',
  black: 'black',
  white: 'white',
};

/** Families of a designation's noun; a noun that stands between two families belongs to both. */
const FAMILIES_OF_NOUN: Readonly<Record<string, readonly string[]>> = {
  'yellow green': ['yellow', 'green'],
  'orange yellow': ['orange', 'yellow'],
  olive: ['green', 'brown'],
  'olive green': ['green'],
  'olive brown': ['brown'],
  'olive gray': ['grey', 'green'],
  'olive black': ['black'],
  violet: ['purple'],
  gray: ['grey'],
};

/** A colour people named with a basic word, and what it is called here. */
export interface Surveyed {
  readonly said: readonly string[];
  readonly noun: string;
  /** Whether the noun is of a family that was said. */
  readonly agrees: boolean;
}

/** Every surveyed name with a basic colour word in it, held against the nearest designation of its colour. */
export function surveyNames(): Surveyed[] {
  return SURVEY_949.flatMap(({ name, hex }) => {
    const said = name
      .toLowerCase()
      .split(/[^a-z]+/)
      .flatMap((word) => FAMILY_OF_WORD[word] ?? []);
    if (said.length === 0) return [];
    const { noun } = nameColour(labOfHex(hex));
    const families = FAMILIES_OF_NOUN[noun] ?? [noun];
    return [{ said, noun, agrees: families.some((family) => said.includes(family)) }];
  });
}

/** The confusion table as Markdown: a row a family that was said last, a column a noun. */
export function confusionTable(surveyed: readonly Surveyed[]): string {
  const nouns = [...new Set(surveyed.map(({ noun }) => noun))].sort();
  const rows = [...new Set(Object.values(FAMILY_OF_WORD))];
  const cells = rows.map((row) => {
    const own = surveyed.filter(({ said }) => said.at(-1) === row);
    const counts = nouns.map((noun) => own.filter((one) => one.noun === noun).length || '');
    const agreeing = own.filter(({ agrees }) => agrees).length;
    return `| **${row}** | ${counts.join(' | ')} | ${agreeing} of ${own.length} |`;
  });
  return [`| said | ${nouns.join(' | ')} | agree |`, `|${'---|'.repeat(nouns.length + 2)}`, ...cells].join(
    '\n',
  );
}

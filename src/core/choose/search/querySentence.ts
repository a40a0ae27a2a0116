import { capitalised, listed } from '../../base/words';
import { INK_KINDS } from '../../materials/ink/kinds';
import { HUE_SECTORS } from '../shelf/gaps';
import { allowsKind, BLENDED_KINDS, type Constraints, SORTS, type TrioQuery } from './query';
import { RELATIONS } from './relations/relations';

/** What of a search its sentence says, and a maker can change there. */
export type QueryPart =
  | 'relation'
  | 'own'
  | 'tag'
  | 'with'
  | 'without'
  | 'dull'
  | 'card'
  | 'mood'
  | 'made'
  | 'far'
  | 'families'
  | 'kinds'
  | 'hues'
  | 'lightness'
  | 'sort';

/** The words for a part of the search, and what joins them to those before. */
export interface QueryPiece {
  readonly before: string;
  readonly text: string;
  readonly part: QueryPart;
}

/** What a sentence says beside the query itself. */
export interface QueryWords {
  readonly cardName: string;
  /** The maker's own tag that its inks have; undefined for any. */
  readonly tag?: string | undefined;
  /** Whether trios that recipes are made of are left out. */
  readonly notMade: boolean;
  readonly nameOf: (inkId: string) => string;
}

/**
 * The search in one sentence, in pieces with a full stop after them: "Tonal trios of inks I own, with Leat Mid, without
 * dull joins, on smooth white, the most fitting first." What asks nothing is not said, but for the four that are always.
 */
export function querySentence(
  { relation, constraints, sort }: TrioQuery,
  words: QueryWords,
): readonly QueryPiece[] {
  const { mustContain, mustNotContain, ownedOnly, noDull, mood, farFromKept, families, kinds, hues } =
    constraints;
  const pieces: readonly (QueryPiece | false)[] = [
    { before: '', text: capitalised(RELATIONS[relation].phrase), part: 'relation' },
    { before: ' of ', text: ownedOnly ? 'inks I own' : 'all inks', part: 'own' },
    words.tag !== undefined && { before: ' tagged ', text: words.tag, part: 'tag' },
    kinds.length > 0 && {
      before: ', ',
      text: `${listed(BLENDED_KINDS.filter((kind) => allowsKind(constraints, kind)).map((kind) => INK_KINDS[kind].label))} only`,
      part: 'kinds',
    },
    mustContain.length > 0 && {
      before: ', with ',
      text: listed(mustContain.map(words.nameOf)),
      part: 'with',
    },
    mustNotContain.length > 0 && {
      before: ', without ',
      text: listed(mustNotContain.map(words.nameOf), 'or'),
      part: 'without',
    },
    noDull && { before: ', ', text: 'without dull joins', part: 'dull' },
    families !== 'any' && {
      before: ', ',
      text: families === 'same' ? 'of one family' : 'of several families',
      part: 'families',
    },
    hues.length > 0 && {
      before: ', in ',
      text: listed(
        hues.map((hue) => HUE_SECTORS[hue] ?? 'greys'),
        'or',
      ),
      part: 'hues',
    },
    isLightnessAsked(constraints) && { before: ', ', text: lightnessWords(constraints), part: 'lightness' },
    mood !== undefined && { before: ', in the mood of ', text: mood.name, part: 'mood' },
    words.notMade && { before: ', ', text: 'not made before', part: 'made' },
    farFromKept > 0 && { before: ', ', text: 'unlike those I keep', part: 'far' },
    { before: ', on ', text: words.cardName, part: 'card' },
    { before: ', ', text: SORTS[sort].phrase, part: 'sort' },
  ];
  return pieces.filter((piece) => piece !== false);
}

const isLightnessAsked = ({ palestAtLeast, darkestAtMost, spacingAtLeast }: Constraints): boolean =>
  palestAtLeast > 0 || darkestAtMost < 100 || spacingAtLeast > 0;

const lightnessWords = ({ palestAtLeast, darkestAtMost, spacingAtLeast }: Constraints): string => {
  const limits = [
    ...(palestAtLeast > 0 ? [`palest at least ${palestAtLeast}`] : []),
    ...(darkestAtMost < 100 ? [`darkest at most ${darkestAtMost}`] : []),
    ...(spacingAtLeast > 0 ? [`steps of at least ${spacingAtLeast}`] : []),
  ];
  return `${listed(limits)} L*`;
};

/** The query without what a part asks. */
export const withoutPart = (constraints: Constraints, part: QueryPart): Constraints => ({
  ...constraints,
  ...(CLEARED[part] ?? {}),
});

/** What asks nothing, by part; the parts that are always said have none. */
const CLEARED: Readonly<Partial<Record<QueryPart, Partial<Constraints>>>> = {
  with: { mustContain: [] },
  without: { mustNotContain: [] },
  dull: { noDull: false },
  mood: { mood: undefined },
  far: { farFromKept: 0 },
  families: { families: 'any' },
  kinds: { kinds: [] },
  hues: { hues: [] },
  lightness: { palestAtLeast: 0, darkestAtMost: 100, spacingAtLeast: 0 },
};

/**
 * A text as it is searched: in small letters, without accents, letters of any width and figures of any height alike, and
 * without what is in it for its direction alone; so that `creme g/m2` finds "Crème, g/m²".
 *
 * Source: Unicode Standard Annex 15, compatibility decomposition.
 */
export const searched = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f\u2066-\u2069]/g, '')
    // A sharp s is two, small or large, and a sigma is the same within a word as at its end.
    .toLowerCase()
    .toUpperCase()
    .toLowerCase()
    .replaceAll('ς', 'σ');

/** The words that are looked for; every one has to be met. */
export const searchedWords = (text: string): string[] => searched(text).split(/\s+/).filter(Boolean);

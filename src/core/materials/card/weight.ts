import type { Card } from './card';

/** Below this a card curls and cockles once wetted, and from this on it lies flat, g/m²; common practice. */
export const CURLS_BELOW = 200;
export const LIES_FLAT_FROM = 270;

/** What water does to a card of this weight; nothing where it lies flat. */
export const curlOf = ({ grammage }: Card): string[] =>
  grammage < CURLS_BELOW
    ? [`${grammage} g/m² is thin: it curls once wetted. ${LIES_FLAT_FROM} g/m² and up lies flat.`]
    : [];

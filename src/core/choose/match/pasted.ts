import { type Hex, parseColour } from '../../materials/colour/hex';
import { COLOUR_COUNT } from './mainColours';

/** Colours read from pasted text, or what is wrong with it. */
export type Pasted = { readonly colours: readonly Hex[] } | { readonly problem: string };

/** Reads colours a line or comma each: `#2a8f8a`, `2a8f8a` or L*, a* and b*. */
export function readPasted(text: string): Pasted {
  const pieces = text
    .split(/[\n,;]+/)
    .flatMap((line) => {
      const words = line.trim().split(/\s+/);
      return words.length > 1 && words.every((word) => parseColour(word)) ? words : [line.trim()];
    })
    .filter((piece) => piece !== '');
  const colours: Hex[] = [];
  for (const piece of pieces) {
    const colour = parseColour(piece);
    if (!colour)
      return { problem: `"${piece.slice(0, 40)}" is not a colour: # and six digits, or L* a* b*.` };
    if (!colours.includes(colour)) colours.push(colour);
  }
  if (colours.length < COLOUR_COUNT.least || colours.length > COLOUR_COUNT.most)
    return {
      problem: `Paste ${COLOUR_COUNT.least} to ${COLOUR_COUNT.most} different colours; there are ${colours.length}.`,
    };
  return { colours };
}

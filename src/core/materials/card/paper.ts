import { plainSigns } from '../../base/typed';

/** One pound avoirdupois in grams, and one inch in metres; both by definition. */
const GRAMS_A_POUND = 453.59237;
const METRES_AN_INCH = 0.0254;

/** A basis is the sheet of which 500 are weighed, in inches. */
export const BASES = { cover: [20, 26], text: [25, 38] } as const;
export type Basis = keyof typeof BASES;

/** Grammage in g/m² of paper sold by the pound: the weight of 500 sheets of the basis size, over their area. */
export function grammageOfPounds(pounds: number, basis: Basis): number {
  const [width, height] = BASES[basis];
  return (pounds * GRAMS_A_POUND) / (500 * width * height * METRES_AN_INCH ** 2);
}

/** Pounds of a basis for a grammage: the inverse of `grammageOfPounds`. */
export const poundsOfGrammage = (grammage: number, basis: Basis): number =>
  grammage / grammageOfPounds(1, basis);

/**
 * A weight as makers write it: `350`, `350 gsm`, `130 lb`, `130 lb cover`, `80 lb text`. A bare number is g/m², pounds
 * are cover unless they say text.
 *
 * @returns g/m², or undefined when it is no weight
 */
export function parseGrammage(text: string): number | undefined {
  const match = /^(\d+(?:[.,]\d+)?)\s*(gsm|g\/m2|g\/m²|g|lbs?|#)?\s*(cover|text)?$/i.exec(
    plainSigns(text).trim(),
  );
  if (!match) return undefined;
  const [, figure = '', unit = 'g', basis = 'cover'] = match;
  const value = Number(figure.replace(',', '.'));
  if (/^(lb|#)/i.test(unit)) return grammageOfPounds(value, basis.toLowerCase() as Basis);
  return match[3] ? undefined : value;
}

/** ISO 216 A sizes in mm, width and height: A0 is 1 m² at 1 : √2, and each next is half of the one before, rounded down. */
export function isoASize(n: number): readonly [width: number, height: number] {
  let [width, height] = [841, 1189];
  for (let k = 0; k < n; k++) [width, height] = [Math.floor(height / 2), width];
  return [width, height];
}

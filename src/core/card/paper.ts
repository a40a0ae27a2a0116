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

/** ISO 216 A sizes in mm, width and height: A0 is 1 m² at 1 : √2, and each next is half of the one before, rounded down. */
export function isoASize(n: number): readonly [width: number, height: number] {
  let [width, height] = [841, 1189];
  for (let k = 0; k < n; k++) [width, height] = [Math.floor(height / 2), width];
  return [width, height];
}

/** From 0 to 1 as t goes from 0 to 1, level at both ends. Source: the cubic Hermite step. */
export const smoothStep = (t: number): number => t * t * (3 - 2 * t);

/** The ink of a fade that is left after the part t of it, 0…1 each: lifted pressure falls off softly at both ends. */
export const fade = (t: number): number => 1 - smoothStep(t);

/** Where along a fade an amount of ink is left, 0…1 each: the inverse of `fade`. Source: the cubic's closed form. */
export const fadeInverse = (left: number): number => 0.5 - Math.sin(Math.asin(1 - 2 * (1 - left)) / 3);

/** A fade laid with a harder tool: the same middle, over a shorter stretch. */
export function hardFade(t: number, hardness: number): number {
  const u = 0.5 + (t - 0.5) * hardness;
  return u <= 0 ? 1 : u >= 1 ? 0 : fade(u);
}

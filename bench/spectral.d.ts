/** The registry package carries no types; only what the bench calls is described. */
declare module 'spectral.js' {
  export class Color {
    constructor(css: string);
    readonly XYZ: readonly number[];
  }
  export function mix(...parts: readonly (readonly [Color, number])[]): Color;
}

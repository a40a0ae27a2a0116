/** The registry package carries no types; only what a test calls is described. */
declare module 'anypalette' {
  const AnyPalette: {
    loadPalette(
      options: { data: string; fileExt: string },
      done: (error: Error | null, palette: ArrayLike<{ name: string; toString(): string }>) => void,
    ): void;
  };
  export default AnyPalette;
}

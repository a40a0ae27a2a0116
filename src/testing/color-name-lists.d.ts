/** The registry package carries no types; only what the tests read is described. */
declare module 'color-name-lists' {
  const colourNameLists: { readonly lists: Readonly<Record<string, unknown>> };
  export default colourNameLists;
}

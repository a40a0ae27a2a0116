/**
 * What the window is called while a view is open: what is told of a tab, of a place in the history, of a page that is printed
 * to a file, and first of all to whoever does not see it (WCAG 2.4.2).
 */
export const PageTitle = ({ of }: { readonly of: string }) => <title>{`${of} · Tint Ladder`}</title>;

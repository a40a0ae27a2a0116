/** Names made here leave room, within what a name may have, for what is added to them. */
export const LONGEST_NAME = 100;

/** "Dusk", or "Dusk (2)" when there is a Dusk already, and so on. */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  const stem = name.replace(/ \(\d+\)$/, '').slice(0, LONGEST_NAME);
  let count = 2;
  while (taken.has(`${stem} (${count})`)) count++;
  return `${stem} (${count})`;
}

/** A name as a file may bear it: small letters and figures, joined by dashes. */
export const fileNameOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '') || 'recipe';

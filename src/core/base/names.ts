/** Names made here leave room, within what a name may have, for what is added to them. */
export const LONGEST_NAME = 100;

/** Names in order, figures in them as numbers, whatever the browser's language: the page is English. */
export const nameOrder: (one: string, other: string) => number = new Intl.Collator('en', { numeric: true })
  .compare;

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

/** Control characters, marks of direction, joiners of nothing, halves of letters, and what is no character at all. */
const UNSEEN = /[\p{Cc}\p{Cs}\p{Cn}\p{Co}\u200b\u200e\u200f\u202a-\u202e\u2060-\u2069\ufeff]/gu;

/** A name as it may stand in a list, a file and a drawing: what nobody sees is left out of it, gaps are single spaces,
 * and its letters are put together, as file names of some systems are not. */
export const cleanName = (name: string): string =>
  name.replace(/\s/g, ' ').replace(UNSEEN, '').replace(/ +/g, ' ').trim().normalize('NFC');

/** A thing with its name clean; without one that can be seen it is called by what is left to call it. */
export const withCleanName = <Thing extends { readonly name: string }>(thing: Thing): Thing => {
  const name = cleanName(thing.name);
  return name === thing.name ? thing : { ...thing, name: name || 'without a name' };
};

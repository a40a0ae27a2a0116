import { nameOrder } from '../../core/base/names';
import { searched, searchedWords } from '../../core/base/searched';
import { nearColour, spokenColour } from '../../core/choose/shelf/colourWord';
import { plainColour } from '../../core/materials/colour/plainWords';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS, type InkKindId } from '../../core/materials/ink/kinds';
import type { DriedInk } from '../../core/readings/driedShelf';

export interface ShelfFilter {
  readonly text: string;
  /** Empty for all. */
  readonly family: string;
  /** Empty for all. */
  readonly kind: InkKindId | '';
  readonly owned: 'all' | 'owned' | 'wished';
  /** Empty for all. */
  readonly tag: string;
}

export const ALL_INKS: ShelfFilter = { text: '', family: '', kind: '', owned: 'all', tag: '' };

/** Families to choose from, in order: of several inks, since one ink alone is found by its name. The chosen one stays. */
export function familiesOf(inks: readonly Ink[], chosen: string): string[] {
  const counts = new Map<string, number>();
  for (const { family } of inks) counts.set(family, (counts.get(family) ?? 0) + 1);
  return [...counts.keys()]
    .filter((family) => (counts.get(family) ?? 0) > 1 || family === chosen)
    .sort(nameOrder);
}

/**
 * The inks that match, as they stand on the shelf. Every word of the text must be found somewhere in what is written of an
 * ink; or what is typed is a colour, and the ink looks like it.
 */
export function filterShelf(
  inks: readonly Ink[],
  dried: ReadonlyMap<string, DriedInk>,
  tagsOf: (id: string) => readonly string[],
  { text, family, kind, owned, tag }: ShelfFilter,
): Ink[] {
  const words = searchedWords(text);
  const spoken = spokenColour(text);
  const like = new Set(spoken ? nearColour(spoken, [...dried.values()]).map(({ ink }) => ink.id) : []);
  return inks.filter((ink) => {
    if (family && ink.family !== family) return false;
    if (kind && ink.kind !== kind) return false;
    if (owned !== 'all' && (ink.wished ?? false) !== (owned === 'wished')) return false;
    if (tag && !tagsOf(ink.id).includes(tag)) return false;
    if (words.length === 0) return true;
    const seen = dried.get(ink.id);
    const written = searched(
      [
        ink.name,
        ink.line,
        ink.note,
        INK_KINDS[ink.kind].label,
        seen?.colour.name,
        seen && plainColour(seen.lab),
        ...tagsOf(ink.id),
      ].join(' '),
    );
    return like.has(ink.id) || words.every((word) => written.includes(word));
  });
}

import { hueDegrees } from '../../core/materials/colour/lab';
import { INK_DEPTHS, type Ink } from '../../core/materials/ink/ink';
import { INK_KINDS, type InkKindId } from '../../core/materials/ink/kinds';
import type { DriedInk } from '../../core/readings/driedShelf';

export type SortBy = 'name' | 'family' | 'lightness' | 'hue' | 'kind';

export const SORT_LABELS: Readonly<Record<SortBy, string>> = {
  name: 'name',
  family: 'family and depth',
  lightness: 'lightness, pale first',
  hue: 'hue',
  kind: 'kind',
};

export const SORTS = Object.keys(SORT_LABELS) as readonly SortBy[];

export interface ShelfFilter {
  readonly text: string;
  /** Empty for all. */
  readonly family: string;
  /** Empty for all. */
  readonly kind: InkKindId | '';
  readonly owned: 'all' | 'owned' | 'wished';
  readonly sort: SortBy;
}

export const ALL_INKS: ShelfFilter = { text: '', family: '', kind: '', owned: 'all', sort: 'family' };

/** The inks that match, in order. Every word of the text must be found somewhere in what is written of an ink. */
export function filterShelf(
  inks: readonly Ink[],
  dried: ReadonlyMap<string, DriedInk>,
  { text, family, kind, owned, sort }: ShelfFilter,
): Ink[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = inks.filter((ink) => {
    if (family && ink.family !== family) return false;
    if (kind && ink.kind !== kind) return false;
    if (owned !== 'all' && (ink.wished ?? false) !== (owned === 'wished')) return false;
    const written = [ink.name, ink.line, ink.note, INK_KINDS[ink.kind].label, dried.get(ink.id)?.colour.name]
      .join(' ')
      .toLowerCase();
    return words.every((word) => written.includes(word));
  });
  const lightness = (ink: Ink) => dried.get(ink.id)?.lab.l ?? 0;
  const hue = (ink: Ink) => hueDegrees(dried.get(ink.id)?.lab ?? { l: 0, a: 0, b: 0 });
  const byName = (p: Ink, q: Ink) => p.name.localeCompare(q.name);
  const orders: Readonly<Record<SortBy, (p: Ink, q: Ink) => number>> = {
    name: byName,
    family: (p, q) =>
      p.family.localeCompare(q.family) || INK_DEPTHS.indexOf(p.depth) - INK_DEPTHS.indexOf(q.depth),
    lightness: (p, q) => lightness(q) - lightness(p),
    hue: (p, q) => hue(p) - hue(q),
    kind: (p, q) => p.kind.localeCompare(q.kind) || byName(p, q),
  };
  return found.sort(orders[sort]);
}

import { expect, test } from 'vitest';
import { bareGround } from '../../core/engine/blend';
import { dryShelf } from '../../core/readings/driedShelf';
import { DEMO_INKS } from '../../data/demo/inks';
import { WHITE_CARD } from '../../testing/resolvedRecipes';
import { ALL_INKS, familiesOf, filterShelf } from './filterShelf';

const dried = new Map(dryShelf(DEMO_INKS, bareGround(WHITE_CARD)).map((one) => [one.ink.id, one]));
const tagsOf = (id: string) => (id.startsWith('gorse') ? ['autumn'] : []);
const found = (change: Partial<typeof ALL_INKS>) =>
  filterShelf(DEMO_INKS, dried, tagsOf, { ...ALL_INKS, ...change });

test('every word must be found, in the name, the kind, the note or the colour’s name', () => {
  expect(found({ text: 'gorse' })).toHaveLength(3);
  expect(found({ text: 'GORSE pale' }).map(({ id }) => id)).toEqual(['gorse-pale']);
  const greens = found({ text: 'green dye' });
  expect(greens.length).toBeGreaterThan(0);
  expect(greens.every(({ kind }) => kind === 'dye')).toBe(true);
  expect(found({ text: 'gorse dye' })).toHaveLength(0);
  expect(found({ kind: 'fluorescent' })).toHaveLength(4);
});

test('a colour people speak of finds the inks that look like it, and a tag those that have it', () => {
  const turquoise = found({ text: 'turquoise' });
  expect(turquoise.length).toBeGreaterThan(0);
  expect(turquoise.every(({ id }) => Math.abs((dried.get(id)?.lab.a ?? 0) + 35) < 30)).toBe(true);
  expect(found({ tag: 'autumn' }).map(({ family }) => family)).toEqual(['Gorse', 'Gorse', 'Gorse']);
  expect(found({ text: 'autumn pale' }).map(({ id }) => id)).toEqual(['gorse-pale']);
});

test('owned and wished for are told apart', () => {
  const some = DEMO_INKS.map((ink, i) => (i < 5 ? { ...ink, wished: true } : ink));
  expect(filterShelf(some, dried, tagsOf, { ...ALL_INKS, owned: 'wished' })).toHaveLength(5);
  expect(filterShelf(some, dried, tagsOf, { ...ALL_INKS, owned: 'owned' })).toHaveLength(67);
});

test('families to choose from are those of several inks, in order; the chosen one stays though it has one ink left', () => {
  const families = familiesOf(DEMO_INKS, '');
  expect(families).toContain('Gorse');
  expect(families).toEqual([...families].sort((p, q) => p.localeCompare(q, 'en')));
  const [one, , ...others] = DEMO_INKS.filter(({ family }) => family === 'Gorse');
  const few = DEMO_INKS.filter((ink) => ink.family !== 'Gorse' || ink === one);
  expect(others.length).toBeGreaterThan(0);
  expect(familiesOf(few, '')).not.toContain('Gorse');
  expect(familiesOf(few, 'Gorse')).toContain('Gorse');
  expect(familiesOf(DEMO_INKS.slice(0, 1), '')).toEqual([]);
});

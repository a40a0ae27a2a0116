import 'fake-indexeddb/auto';
import { describe, expect, test } from 'vitest';
import { madeOf } from '../core/keep/log/made';
import { LATELY } from '../core/practice/schedule';
import type { Trial } from '../core/practice/trial';
import { ink, resolvedOf } from '../testing/resolvedRecipes';
import { Database } from './database';
import { listGone, putBack } from './gone';
import { listPanels, logPanels } from './panels';
import { clearPractice, keepAnswer, listTrials, readLately, restorePractice } from './practice';
import { removeInks, restoreInks, saveInks } from './shelf';
import { readTags, setFavourite, setTag, TAG_LIMITS } from './tags';

let count = 0;
const freshDb = () => new Database(`drawers-${count++}`);

describe('tags', () => {
  const tagsOf = async (db: Database, id: string) => (await readTags(db, 'ink')).get(id)?.tags ?? [];

  test('are written on several things at once, once each, in order, and taken off alone', async () => {
    const db = freshDb();
    for (const tag of ['fair', ' autumn ', 'fair', '   '])
      await setTag(db, 'ink', ['leat-mid', 'weir'], tag, true);
    expect(await tagsOf(db, 'leat-mid')).toEqual(['autumn', 'fair']);
    await setTag(db, 'ink', ['leat-mid'], 'fair', false);
    expect(await tagsOf(db, 'leat-mid')).toEqual(['autumn']);
    expect(await tagsOf(db, 'weir')).toEqual(['autumn', 'fair']);
  });

  test('are cut where they are too long, and a thing that is full of them gets no more', async () => {
    const db = freshDb();
    await setTag(db, 'ink', ['a'], 'x'.repeat(2 * TAG_LIMITS.letters), true);
    expect((await tagsOf(db, 'a'))[0]).toHaveLength(TAG_LIMITS.letters);
    for (let i = 0; i < TAG_LIMITS.many + 3; i++) await setTag(db, 'ink', ['b'], `tag ${i}`, true);
    expect(await tagsOf(db, 'b')).toHaveLength(TAG_LIMITS.many);
    expect(await tagsOf(db, 'b')).not.toContain(`tag ${TAG_LIMITS.many}`);
  });

  test('of one drawer are no other’s, and a change is taken back with nothing else', async () => {
    const db = freshDb();
    await setTag(db, 'ink', ['a'], 'fair', true);
    await setTag(db, 'card', ['a'], 'thin', true);
    expect(await tagsOf(db, 'a')).toEqual(['fair']);
    await setTag(db, 'ink', ['c'], 'dusk', true);
    const changed = await setTag(db, 'ink', ['a', 'b', 'c'], 'dusk', true);
    expect(changed).toEqual(['a', 'b']);
    // What is written on them meanwhile stays.
    await setFavourite(db, 'ink', ['b'], true);
    await setTag(db, 'ink', ['a'], 'warm', true);
    await setTag(db, 'ink', changed, 'dusk', false);
    expect(await tagsOf(db, 'a')).toEqual(['fair', 'warm']);
    expect((await readTags(db, 'ink')).get('b')).toMatchObject({ tags: [], isFavourite: true });
    expect(await tagsOf(db, 'c')).toEqual(['dusk']);
    expect(await setTag(db, 'ink', ['a', 'c'], 'dusk', false)).toEqual(['c']);
  });
});

describe('practice', () => {
  const trial = (at: number, isRight: boolean): Trial => ({
    at,
    exercise: 'darker',
    key: 'leat weir',
    level: 4,
    isRight,
    score: isRight ? 1 : 0,
    inks: ['leat', 'weir'],
    hues: [3],
  });

  test('every answer is kept, in the order of time; what is known or not comes due later once it was known', async () => {
    const db = freshDb();
    await keepAnswer(db, trial(2000, true), true, 7);
    await keepAnswer(db, trial(1000, false), false, 7);
    const { trials, known } = await readLately(db, []);
    expect(trials.map(({ at }) => at)).toEqual([1000, 2000]);
    expect(known).toMatchObject([{ key: 'leat weir', seed: 7 }]);
    await keepAnswer(db, trial(3000, false), true, 8);
    const again = (await readLately(db, [])).known;
    expect(again).toHaveLength(1);
    expect(again[0]?.seed).toBe(8);
    expect(again[0]?.due).toBeGreaterThan(3000);
  });

  test('of years of answers a question is made of the latest, of all and of each exercise that is wished for', async () => {
    const db = freshDb();
    const all = Array.from({ length: 300 }, (_, i): Trial => {
      const exercise = i < 100 ? 'darker' : i % 3 === 0 ? 'thirds' : 'join';
      return { ...trial(i, i % 2 === 0), exercise };
    });
    await db.practice.bulkAdd(all);
    const lately = (await readLately(db, ['darker', 'thirds'])).trials;
    const at = (some: readonly Trial[]) => some.map((one) => one.at);
    const of = (id: string) => all.filter(({ exercise }) => exercise === id).slice(-LATELY.each);
    const wanted = new Set(at([...all.slice(-LATELY.all), ...of('darker'), ...of('thirds')]));
    expect(at(lately)).toEqual([...wanted].sort((p, q) => p - q));
    expect(await listTrials(db)).toHaveLength(300);
  });

  test('is forgotten whole, and comes back whole', async () => {
    const db = freshDb();
    for (const at of [1, 2, 3]) await keepAnswer(db, trial(at, true), true, at);
    const before = await readLately(db, []);
    const forgotten = await clearPractice(db);
    expect(await readLately(db, [])).toEqual({ trials: [], known: [] });
    await restorePractice(db, forgotten);
    expect(await readLately(db, [])).toEqual(before);
  });
});

test('a long log is listed whole, the last panel first, whatever numbers are missing from it', async () => {
  const db = freshDb();
  const made = madeOf(resolvedOf([ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')]));
  const panels = Array.from({ length: 501 }, (_, i) => ({
    id: '',
    number: i,
    date: '2026-10-01',
    name: `Panel ${i}`,
    made,
    readings: [],
  }));
  await logPanels(db, panels);
  await db.panels.where('number').between(200, 310).delete();
  const numbers = (await listPanels(db)).map(({ number }) => number);
  expect(numbers).toEqual(
    (await db.panels.orderBy('number').reverse().toArray()).map(({ number }) => number),
  );
  expect(numbers).toHaveLength(501 - 110);
  expect(numbers[0]).toBe(501);
});

describe('what was taken off the shelf', () => {
  test('is remembered as it was, and put back where nothing stands in its place by now', async () => {
    const db = freshDb();
    const free = [ink('Spare', '#336699'), ink('Other', '#663399')];
    await saveInks(db, free);
    const gone = await removeInks(db, ['Spare', 'Other', 'nowhere']);
    expect(gone.map(({ id }) => id)).toEqual(['Spare', 'Other']);
    expect((await listGone(db)).inks.map(({ id }) => id).toSorted()).toEqual(['Other', 'Spare']);
    await saveInks(db, [{ ...ink('Other', '#112233'), name: 'A newer other' }]);
    await putBack(db, [
      { of: 'ink', id: 'Spare' },
      { of: 'ink', id: 'Other' },
      { of: 'card', id: 'never there' },
    ]);
    expect(await db.inks.get('Spare')).toEqual(free[0]);
    expect((await db.inks.get('Other'))?.name).toBe('A newer other');
  });

  test('stays where a recipe is made of it, and only that', async () => {
    const db = freshDb();
    const [recipe] = await db.recipes.toArray();
    const used = recipe?.recipe.rungs[0]?.inkId ?? '';
    const all = (await db.inks.toArray()).map(({ id }) => id);
    const gone = await removeInks(db, all);
    expect(gone.map(({ id }) => id)).not.toContain(used);
    expect(gone.length).toBeGreaterThan(30);
    await restoreInks(db, [], gone);
    expect((await db.inks.toArray()).map(({ id }) => id).toSorted()).toEqual(all.toSorted());
  });
});

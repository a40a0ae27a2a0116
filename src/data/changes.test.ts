import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { carried, changeRows, keepRow } from './changes';
import { Database } from './database';

/** Rows of up to four fields, each of them there or not, with few values, so that they often agree. */
const row = fc.dictionary(
  fc.constantFrom('name', 'colour', 'tags', 'kind'),
  fc.constantFrom<unknown>('a', 'b', 0, ['a'], ['b'], { a: 1 }),
  { maxKeys: 4 },
);

describe('a change carried over to a row that may have changed meanwhile', () => {
  test('done where nothing else changed gives what was meant, and taken back what was there', () => {
    fc.assert(
      fc.property(row, row, (before, after) => {
        expect(carried(before, before, after)).toEqual(after);
        expect(carried(after, after, before, true)).toEqual(before);
      }),
    );
  });

  test('leaves each field that it did not change; taken back, also those that were changed since', () => {
    fc.assert(
      fc.property(row, row, row, (from, to, now) => {
        const [done, back] = [carried(now, from, to), carried(now, from, to, true)];
        for (const field of ['name', 'colour', 'tags', 'kind']) {
          const isSame = (p: unknown, q: unknown) => JSON.stringify(p) === JSON.stringify(q);
          const isChanged = !isSame(from[field], to[field]);
          expect(done[field]).toEqual(isChanged ? to[field] : now[field]);
          expect(back[field]).toEqual(isChanged && isSame(now[field], from[field]) ? to[field] : now[field]);
        }
      }),
    );
  });
});

describe('rows of the drawers', () => {
  const open = async () => {
    const db = new Database(`changes-${Math.random()}`);
    const [one, two] = await db.inks.limit(2).toArray();
    if (!one || !two) throw new Error('the demo has inks');
    return { db, one, two };
  };

  test('what is learned or moved keeps what the maker changed meanwhile, and so does taking it back', async () => {
    const { db, one, two } = await open();
    await db.inks.put({ ...one, name: 'Renamed while it was learned' });
    const { count, undo } = await changeRows(db.inks, [one.id, two.id, 'no such ink'], (ink) => ({
      ...ink,
      dryBack: 0.5,
    }));
    expect(count).toBe(2);
    expect(await db.inks.get(one.id)).toEqual({
      ...one,
      name: 'Renamed while it was learned',
      dryBack: 0.5,
    });
    await db.inks.update(two.id, { overWhite: '#123456' });
    await undo();
    expect(await db.inks.get(one.id)).toEqual({ ...one, name: 'Renamed while it was learned' });
    expect(await db.inks.get(two.id)).toEqual({ ...two, overWhite: '#123456' });
  });

  test('what was taken off since does not come back with an undo', async () => {
    const { db, one, two } = await open();
    const { undo } = await changeRows(db.inks, [one.id, two.id], (ink) => ({ ...ink, wished: true }));
    await db.inks.delete(one.id);
    await undo();
    expect(await db.inks.get(one.id)).toBeUndefined();
    expect(await db.inks.get(two.id)).toEqual(two);
  });

  test('a form saved keeps what another tab changed; one whose row is gone brings it back', async () => {
    const { db, one } = await open();
    await db.inks.update(one.id, { wished: true });
    const undo = await keepRow(db.inks, { ...one, name: ' Tarn  Deep ' }, one);
    expect(await db.inks.get(one.id)).toEqual({ ...one, wished: true, name: 'Tarn Deep' });
    await undo?.();
    expect(await db.inks.get(one.id)).toEqual({ ...one, wished: true });
    await db.inks.delete(one.id);
    expect(await keepRow(db.inks, { ...one, name: 'Back' }, one)).toBeUndefined();
    expect(await db.inks.get(one.id)).toEqual({ ...one, name: 'Back' });
  });
});

import 'fake-indexeddb/auto';
import { beforeEach, expect, test } from 'vitest';
import { newSitting, type SittingRecord } from '../core/make/sitting/record';
import { beginRun } from '../core/make/sitting/run';
import { Database } from './database';
import {
  changeSitting,
  endSitting,
  listSittings,
  logOfSitting,
  readSitting,
  removeSittings,
  reopenSitting,
  saveSittings,
} from './sittings';

let db: Database;
let nth = 0;
const begun: SittingRecord = {
  ...newSitting('s1', 'Sunday', '2026-11-29'),
  run: beginRun(1_764_000_000_000, []),
};
const panel = { date: '2026-11-29', name: 'One', readings: [] };

beforeEach(async () => {
  db = new Database(`sittings ${++nth}`);
  await saveSittings(db, [begun]);
});

test('a panel that is done is logged once, however often it is told, and the sitting knows which it is', async () => {
  await Promise.all([logOfSitting(db, 's1', '0 0', panel), logOfSitting(db, 's1', '0 0', panel)]);
  await logOfSitting(db, 's1', '0 1', panel);
  const logged = (await readSitting(db, 's1'))?.run?.logged ?? {};
  expect(await db.panels.count()).toBe(2);
  expect((await db.panels.bulkGet(Object.values(logged))).map((one) => one?.number).toSorted()).toEqual([
    1, 2,
  ]);
});

test('the end takes of each card at most what is there, once, and opened again it gives exactly that back', async () => {
  const stockOf = async (id: string) => (await db.cards.get(id))?.stock;
  const [smooth, black] = [await stockOf('smooth-white'), await stockOf('black')];
  const used = [
    { cardId: 'smooth-white', sheets: 5 },
    { cardId: 'black', sheets: (black ?? 0) + 100 },
    { cardId: 'none-such', sheets: 3 },
  ];
  await endSitting(db, 's1', 1, used);
  await endSitting(db, 's1', 2, used);
  expect(await stockOf('smooth-white')).toBe((smooth ?? 0) - 5);
  expect(await stockOf('black')).toBe(0);
  expect((await readSitting(db, 's1'))?.run?.endedAt).toBe(1);
  await reopenSitting(db, 's1');
  expect([await stockOf('smooth-white'), await stockOf('black')]).toEqual([smooth, black]);
  expect((await readSitting(db, 's1'))?.run?.endedAt).toBeUndefined();
});

test('a damaged sitting costs itself: the others are listed; what is changed, taken away and put back is whole', async () => {
  await db.sittings.put({ id: 'bad', date: '2026-01-01', lots: 'none' } as unknown as SittingRecord);
  expect((await listSittings(db)).map(({ id }) => id)).toEqual(['s1']);
  expect(await readSitting(db, 'bad')).toBeUndefined();
  const before = await changeSitting(db, 's1', (now) => ({ ...now, name: 'Monday' }));
  expect([before?.name, (await readSitting(db, 's1'))?.name]).toEqual(['Sunday', 'Monday']);
  expect(await changeSitting(db, 'gone', (now) => now)).toBeUndefined();
  const gone = await removeSittings(db, ['s1']);
  expect(await listSittings(db)).toEqual([]);
  await saveSittings(db, gone);
  expect((await readSitting(db, 's1'))?.name).toBe('Monday');
});

import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { mapStorage } from '../testing/mapStorage';
import { Database } from './database';
import { writeMark } from './mark';
import { askForRoom } from './room';
import { SCHEMA } from './schema';
import { isFull, isStorageError, openStorage, type StorageFault, stillStands } from './storage';

afterEach(() => {
  vi.unstubAllGlobals();
});

let count = 0;
const freshName = () => `storage-${count++}`;
const opened = async (db: Database) => {
  const told: StorageFault[] = [];
  const isUsable = await openStorage(db, (fault) => told.push(fault));
  return { isUsable, told };
};
const noRoom = () => new DOMException('no room', 'QuotaExceededError');
const NEWEST = Math.max(...SCHEMA.map(({ version }) => version));

describe('opening the storage', () => {
  test('a first visit is usable, fresh, and told nothing', async () => {
    const db = new Database(freshName());
    expect(await opened(db)).toEqual({ isUsable: true, told: [] });
    expect(db.isFresh).toBe(true);
    expect(await stillStands(db)).toBe(true);
  });

  test('where there was data before, an empty database is a loss: it is told, and no demo is sown over it', async () => {
    vi.stubGlobal('localStorage', mapStorage());
    writeMark({ recipes: 12 });
    const name = freshName();
    const { isUsable, told } = await opened(new Database(name));
    expect(isUsable).toBe(false);
    expect(told).toMatchObject([{ kind: 'lost', mark: { recipes: 12 } }]);
    // Nor is it taken for an opened one the next time.
    expect((await indexedDB.databases()).map((one) => one.name)).not.toContain(name);
    expect((await opened(new Database(name))).told).toMatchObject([{ kind: 'lost' }]);
  });

  test('what a newer version made is left alone', async () => {
    const name = freshName();
    const newer = new Database(name, [
      ...SCHEMA,
      { version: NEWEST + 1, title: 'later', stores: { later: 'id' } },
    ]);
    await newer.open();
    newer.close();
    const db = new Database(name);
    expect(await opened(db)).toEqual({ isUsable: false, told: [{ kind: 'newer' }] });
    expect(db.isOpen()).toBe(false);
  });

  test('an open tab goes quiet when another upgrades, and stays so', async () => {
    const name = freshName();
    const db = new Database(name);
    const told: StorageFault[] = [];
    await openStorage(db, (fault) => told.push(fault));
    const newer = new Database(name, [
      ...SCHEMA,
      { version: NEWEST + 1, title: 'later', stores: { later: 'id' } },
    ]);
    await newer.open();
    expect(told).toEqual([{ kind: 'newer' }]);
    await expect(db.inks.count()).rejects.toBeInstanceOf(Dexie.DexieError);
    newer.close();
  });

  test('a database that was taken away under an open tab is a loss where there was data', async () => {
    vi.stubGlobal('localStorage', mapStorage());
    const name = freshName();
    const db = new Database(name);
    await db.open();
    db.close();
    writeMark({ recipes: 4 });
    const again = new Database(name);
    const told: StorageFault[] = [];
    await openStorage(again, (fault) => told.push(fault));
    await Dexie.delete(name);
    expect(told).toMatchObject([{ kind: 'lost', mark: { recipes: 4 } }]);
    expect(await stillStands(again)).toBe(false);
  });

  test('a browser that refuses is told with its reason, a full one as full, none at all as none', async () => {
    for (const [error, fault] of [
      [new DOMException('private window', 'SecurityError'), { kind: 'refused' }],
      [noRoom(), { kind: 'full' }],
    ] as const) {
      const db = new Database(freshName());
      vi.spyOn(db, 'open').mockRejectedValue(error);
      expect(await opened(db)).toMatchObject({ isUsable: false, told: [fault] });
    }
    vi.stubGlobal('indexedDB', undefined);
    const { told } = await opened(new Database(freshName()));
    expect(told).toEqual([{ kind: 'refused', reason: 'this browser has no storage for pages' }]);
  });
});

test('a full disk is known by what is inside an error; a fault of ours is never the storage’s', () => {
  expect(isFull(noRoom())).toBe(true);
  expect(isFull(new Dexie.AbortError('aborted', noRoom()))).toBe(true);
  expect(isFull(Object.assign(new Error('No space left on device'), {}))).toBe(true);
  const round = new Error('round') as Error & { inner?: unknown };
  round.inner = round;
  expect(isFull(round)).toBe(false);
  expect(isFull('quota')).toBe(false);
  expect(isStorageError(new Dexie.ConstraintError('twice'))).toBe(true);
  expect(isStorageError(noRoom())).toBe(true);
  expect(isStorageError(new TypeError('x is undefined'))).toBe(false);
});

describe('asking for room', () => {
  const LARGE = { text: 'x'.repeat(400_000) };
  /** A cache that takes so many bytes, and what was done with it. */
  function stubCache(takes: number) {
    const done: string[] = [];
    vi.stubGlobal('navigator', {});
    vi.stubGlobal('caches', {
      open: async (name: string) => {
        done.push(`open ${name}`);
        return {
          put: async (_: string, response: Response) => {
            const { size } = await response.blob();
            done.push(`put ${size}`);
            if (size > takes) throw noRoom();
          },
        };
      },
      delete: async (name: string) => done.push(`delete ${name}`),
    });
    return done;
  }
  const stubEstimate = (quota: number, usage: number) =>
    vi.stubGlobal('navigator', { storage: { estimate: async () => ({ quota, usage }) } });

  test('little is written without asking', async () => {
    const done = stubCache(0);
    await askForRoom([{ name: 'a recipe' }]);
    expect(done).toEqual([]);
  });

  test('much is tried beside the database, several times its size, and taken away again', async () => {
    const done = stubCache(1e9);
    await askForRoom(LARGE);
    expect(done).toHaveLength(3);
    expect(Number(done[1]?.replace('put ', ''))).toBeGreaterThan(4 * 400_000);
    expect(done[2]).toMatch(/^delete /);
  });

  test('where the browser reckons there is none, or the trial finds none, it is refused and nothing stays', async () => {
    const done = stubCache(1e6);
    await expect(askForRoom(LARGE)).rejects.toMatchObject({ name: 'QuotaExceededError' });
    expect(done.at(-1)).toMatch(/^delete /);
    const untouched = stubCache(1e9);
    stubEstimate(10e6, 9.5e6);
    await expect(askForRoom(LARGE)).rejects.toMatchObject({ name: 'QuotaExceededError' });
    expect(untouched).toEqual([]);
    stubEstimate(100e6, 9.5e6);
    await expect(askForRoom(LARGE)).resolves.toBeUndefined();
  });

  test('pictures count by their bytes', async () => {
    const done = stubCache(1e9);
    await askForRoom([{ id: 'a', bytes: new Uint8Array(3_000_000) }]);
    const tried = Number(done[1]?.replace('put ', ''));
    expect(tried).toBeGreaterThanOrEqual(6_000_000);
    expect(tried).toBeLessThan(6_300_000);
  });
});

import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { expect, test } from 'vitest';
import {
  BACKUP_TABLE_IDS,
  photosIn,
  type Row,
  readBackup,
  type Workshop,
  writeBackup,
} from '../core/files/backup';
import { compareWorkshops } from '../core/files/backupChanges';
import { FileError } from '../core/files/fileError';
import { afterAsking } from '../core/practice/schedule';
import type { Trial } from '../core/practice/trial';
import { Database } from './database';
import { keepTrio } from './kept';
import { reinkPad } from './pads';
import { listPanels, logPanel, removePanels, restorePanels, tidyPhotos } from './panels';
import { listTrials } from './practice';
import { renameRecipe } from './recipes';
import { setTag } from './tags';
import { addTiming } from './timings';
import { mergeWorkshop, readWorkshop, replaceWorkshop, withPhotos } from './workshop';

let count = 0;
const freshDb = () => new Database(`workshop-${count++}`);
const MADE = new Date('2026-11-27T10:00:00Z');
const filled = async () => {
  const db = freshDb();
  const [ink, other, third] = await db.inks.toArray();
  if (!ink || !other || !third) throw new Error('the demo is not whole');
  await keepTrio(db, [ink, other, third], 'smooth-white');
  await setTag(db, 'ink', [ink.id], 'autumn', true);
  const bytes = Uint8Array.of(82, 73, 70, 70, 0, 255, 1, 2);
  await logPanel(db, LOGGED, [{ id: 'picture', type: 'image/webp', bytes, width: 3, height: 4 }]);
  await db.pads.put({ inkId: ink.id, reinked: ['2026-01-03'] });
  return db;
};
/** A panel made without the application, with a photograph. */
const LOGGED = {
  date: '2026-05-01',
  name: 'By hand',
  inkNames: ['Gorse'],
  readings: [{ at: { x: 1, y: 2 }, lab: { l: 50, a: 0, b: 0 }, source: 'reader', noise: 0.5 }] as const,
  photos: [{ id: 'picture' }],
};
const photoOf = (db: Database) => async (id: string) =>
  (await db.photos.get(id)) as unknown as Row | undefined;
const packed = async (db: Database, workshop?: Workshop) =>
  writeBackup(workshop ?? (await readWorkshop(db)), photoOf(db), MADE);
const backupOf = async (db: Database, workshop?: Workshop) => (await packed(db, workshop)).file;
const filesOf = async (backup: Blob) => unzipSync(new Uint8Array(await backup.arrayBuffer()));
const zipped = (files: Record<string, Uint8Array>) => new Blob([zipSync(files) as Uint8Array<ArrayBuffer>]);
const faultsOf = async (backup: Blob) => {
  try {
    await readBackup(backup);
  } catch (error) {
    if (error instanceof FileError) return error.faults;
    throw error;
  }
  return [];
};

test('everything goes out and comes in the same on another machine, and a second time nothing is new', async () => {
  const db = await filled();
  const backup = await backupOf(db);
  const { head, workshop } = await readBackup(backup);
  expect(head.counts).toMatchObject({
    inks: 72,
    cards: 8,
    recipes: 4,
    kept: 1,
    tags: 1,
    panels: 1,
    photos: 1,
  });
  const elsewhere = freshDb();
  const rows = compareWorkshops(await readWorkshop(elsewhere), workshop).photos.fresh;
  await withPhotos(elsewhere, { rows, photosIn: (some) => photosIn(backup, some) }, () =>
    replaceWorkshop(elsewhere, workshop),
  );
  expect(await readWorkshop(elsewhere)).toEqual(await readWorkshop(db));
  expect(await elsewhere.photos.toArray()).toEqual(await db.photos.toArray());
  const changes = compareWorkshops(await readWorkshop(elsewhere), workshop);
  for (const table of BACKUP_TABLE_IDS) {
    expect(changes[table].fresh).toEqual([]);
    expect(changes[table].changed).toEqual([]);
  }
});

test('photographs that come in with something that fails, or is stopped, are taken away again', async () => {
  const db = await filled();
  const backup = await backupOf(db);
  const { workshop } = await readBackup(backup);
  const here = freshDb();
  const before = await readWorkshop(here);
  const coming = { rows: workshop.photos, photosIn: (some: readonly Row[]) => photosIn(backup, some) };
  const full = new DOMException('no room', 'QuotaExceededError');
  await expect(withPhotos(here, coming, () => Promise.reject(full))).rejects.toBe(full);
  expect(await readWorkshop(here)).toEqual(before);

  // Stopped while a worker is at a piece, and never answers.
  const stop = new AbortController();
  const stopped = withPhotos(
    here,
    { ...coming, photosIn: () => new Promise(() => {}), signal: stop.signal },
    () => replaceWorkshop(here, workshop),
  );
  stop.abort(new Error('stopped'));
  await expect(stopped).rejects.toThrow('stopped');
  expect(await readWorkshop(here)).toEqual(before);
});

test('a record that would not be read again lies apart, is told with its place, and keeps no other from being read', async () => {
  const db = await filled();
  const all = await readWorkshop(db);
  expect((await packed(db)).apart).toEqual([]);
  const times = [{ key: 'lay', title: 'Gorse', minutes: 4320 }];
  const lying: Workshop = {
    ...all,
    panels: [...all.panels, { ...LOGGED, id: 'lying', number: 2, times }],
    recipes: all.recipes.map((row, i) => (i === 0 ? { ...row, recipe: { name: 'half' } } : row)),
  };
  const { file, apart } = await packed(db, lying);
  expect(apart.map(({ what, name, place }) => [what, name, place])).toEqual([
    ['recipes', 'half', expect.stringMatching(/^recipes\.json\[0\]\./)],
    ['panels made', 'By hand', 'panels.json[1].times[0].minutes'],
  ]);
  const { workshop } = await readBackup(file);
  expect(workshop.panels).toEqual(all.panels);
  expect(workshop.recipes).toHaveLength(all.recipes.length - 1);
  const left = JSON.parse(strFromU8((await filesOf(file))['apart.json'] ?? new Uint8Array()));
  expect(left).toMatchObject({ panels: [{ id: 'lying', times }], recipes: [{ recipe: { name: 'half' } }] });
});

test('many photographs go out and in one at a time and piece by piece, and say how far they are', async () => {
  const count = 40;
  const pictures = new Map(
    Array.from({ length: count }, (_, i) => [
      `photo-${i}`,
      {
        id: `photo-${i}`,
        type: 'image/jpeg',
        width: 10,
        height: 10,
        bytes: new Uint8Array(1_000_000).fill(i),
      },
    ]),
  );
  const empty = await readWorkshop(freshDb());
  let held = 0;
  const told: number[] = [];
  const { file: backup } = await writeBackup(
    { ...empty, photos: [...pictures.keys()].map((id) => ({ id })) },
    async (id) => {
      held++;
      return pictures.get(id);
    },
    MADE,
    (part) => told.push(part),
  );
  expect(held).toBe(count);
  expect(told.length).toBeGreaterThan(count);
  expect(told).toEqual(told.toSorted((p, q) => p - q));
  expect(told.at(-1)).toBeLessThanOrEqual(1);
  const { workshop } = await readBackup(backup);
  expect(workshop.photos).toHaveLength(count);
  const piece = await photosIn(backup, workshop.photos);
  // About 16 MB at once, however many there are.
  expect(piece.length).toBe(16);
  expect(piece[7]?.id).toBe('photo-7');
  expect(Buffer.compare(piece[7]?.bytes as Uint8Array, pictures.get('photo-7')?.bytes as Uint8Array)).toBe(0);
});

test('merged, what is new comes in, and of what is on both sides the one that is wanted stays', async () => {
  const there = await filled();
  await renameRecipe(there, 'kiln-mouth', 'Theirs');
  const incoming = await readWorkshop(there);
  for (const [wanted, name] of [
    ['mine', 'Mine'],
    ['theirs', 'Theirs'],
  ] as const) {
    const here = freshDb();
    await renameRecipe(here, 'kiln-mouth', 'Mine');
    const revision = (await here.recipes.get('kiln-mouth'))?.revision ?? 0;
    const before = await readWorkshop(here);
    const changes = compareWorkshops(before, incoming);
    expect(changes.kept.fresh).toHaveLength(1);
    // The others are the same, though they were stored at another moment.
    expect(changes.recipes.changed.map(({ id }) => id)).toEqual(['kiln-mouth']);
    await mergeWorkshop(here, changes, wanted);
    const stored = await here.recipes.get('kiln-mouth');
    expect(stored?.recipe.name).toBe(name);
    if (wanted === 'theirs') expect(stored?.revision).toBeGreaterThan(revision);
    expect(await here.kept.count()).toBe(1);
    // And taken back as if nothing had been.
    await replaceWorkshop(here, before);
    await tidyPhotos(here);
    expect(await readWorkshop(here)).toEqual(before);
  }
});

test('answers of practice and times from elsewhere come beside those that are here: their numbers say nothing', async () => {
  const answer = (at: number): Trial => ({
    at,
    exercise: 'darker',
    key: 'leat weir',
    level: 4,
    isRight: true,
    score: 1,
    inks: ['leat', 'weir'],
    hues: [3],
  });
  const [here, there] = [freshDb(), freshDb()];
  await here.practice.bulkAdd([answer(1), answer(2), answer(3)]);
  await there.practice.bulkAdd([answer(2), answer(5)]);
  await addTiming(there, 'layBand', 4);
  const incoming = await readBackup(await backupOf(there));
  const changes = compareWorkshops(await readWorkshop(here), incoming.workshop);
  expect(changes.practice).toMatchObject({ same: 1, changed: [], fresh: [{ at: 5 }] });
  expect(changes.timings).toMatchObject({ changed: [], fresh: [{ work: 'layBand' }] });
  await mergeWorkshop(here, changes, 'mine');
  expect((await listTrials(here)).map(({ at }) => at)).toEqual([1, 2, 3, 5]);
  const again = compareWorkshops(await readWorkshop(here), incoming.workshop);
  expect([again.practice.fresh, again.timings.fresh]).toEqual([[], []]);
});

test('re-inkings of both are noted, and what is practised stands as it was asked last, whichever is wanted', async () => {
  const asked = { key: 'join a b', exercise: 'join' as const, seed: 5 };
  const day = 86_400_000;
  const [early, late] = [
    afterAsking(undefined, asked, true, day),
    afterAsking(undefined, asked, false, 9 * day),
  ];
  for (const [own, other] of [
    [early, late],
    [late, early],
  ]) {
    const [here, there] = [freshDb(), freshDb()];
    for (const date of ['2026-03-01', '2026-05-01']) await reinkPad(here, 'leat', date);
    for (const date of ['2026-04-01', '2026-05-01']) await reinkPad(there, 'leat', date);
    await reinkPad(there, 'weir', '2026-04-02');
    if (own) await here.known.put(own);
    if (other) await there.known.put(other);
    const { workshop } = await readBackup(await backupOf(there));
    const changes = compareWorkshops(await readWorkshop(here), workshop);
    expect(changes.pads).toMatchObject({ same: 0, changed: [] });
    expect(changes.known.fresh).toHaveLength(own === early ? 1 : 0);
    await mergeWorkshop(here, changes, 'mine');
    expect(await here.pads.get('leat')).toEqual({
      inkId: 'leat',
      reinked: ['2026-03-01', '2026-04-01', '2026-05-01'],
    });
    expect((await here.pads.get('weir'))?.reinked).toEqual(['2026-04-02']);
    expect((await here.known.get(asked.key))?.due).toBe(late.due);
    const again = compareWorkshops(await readWorkshop(here), workshop);
    expect([again.pads, again.known]).toMatchObject([
      { fresh: [], same: 2 },
      { fresh: [], same: 1 },
    ]);
  }
});

test('a backup that is wrong is refused with the place, the first twenty faults and the count of the rest', async () => {
  const workshop = await readWorkshop(freshDb());
  const files = await filesOf(await backupOf(freshDb(), workshop));
  const broken = strToU8(JSON.stringify(workshop.inks.map((ink) => ({ ...ink, kind: 'gold leaf' }))));
  const faults = await faultsOf(zipped({ ...files, 'inks.json': broken }));
  expect(faults).toHaveLength(21);
  expect(faults[0]?.place).toBe('inks.json[0].kind');
  expect(faults[20]?.problem).toBe('And 52 more faults.');
  const { 'cards.json': _, ...without } = files;
  expect((await faultsOf(zipped(without)))[0]).toMatchObject({ place: 'cards.json' });
  const newer = strToU8('{"format":"tint-ladder/backup","version":9,"recipeVersion":5}');
  expect((await faultsOf(zipped({ ...files, 'manifest.json': newer })))[0]?.problem).toContain(
    'newer Tint Ladder',
  );
  expect((await faultsOf(new Blob(['hello'])))[0]?.problem).toContain('not a zip');
});

test('a backup made to hold up whoever reads it is given up soon', async () => {
  const files = await filesOf(await backupOf(freshDb()));
  const json = (value: unknown) => strToU8(JSON.stringify(value));
  const crowd = json(Array.from({ length: 5000 }, (_, i) => ({ id: `ink-${i}` })));
  expect((await faultsOf(zipped({ ...files, 'inks.json': crowd }))).at(-1)?.problem).toBe(
    'And at least 980 more faults.',
  );
  // One picture named a thousand times is unpacked once.
  const photo = { id: 'p', type: 'image/png', width: 1, height: 1 };
  const often = {
    ...files,
    'photos.json': json(Array(2000).fill(photo)),
    'photos/p.png': new Uint8Array(2_000_000),
  };
  const told: number[] = [];
  await readBackup(zipped(often), (part) => told.push(part));
  expect(told).toEqual([1]);
  const bomb = { ...often, 'photos/p.png': new Uint8Array(50_000_001) };
  expect(await faultsOf(zipped(bomb))).toEqual([
    { place: 'photos/p.png', problem: 'It is too large: at most 50 MB are read.' },
  ]);
});

test('a backup cut short or with bytes changed is refused, or says the same; it never throws anything else', async () => {
  const backup = await backupOf(await filled());
  const whole = new Uint8Array(await backup.arrayBuffer());
  await fc.assert(
    fc.asyncProperty(fc.nat(whole.length - 1), fc.integer({ min: 1, max: 255 }), async (at, by) => {
      const changed = Uint8Array.from(whole);
      changed[at] = ((changed[at] ?? 0) + by) % 256;
      await faultsOf(new Blob([changed]));
      expect(await faultsOf(new Blob([whole.subarray(0, at)]))).not.toEqual([]);
    }),
    { numRuns: 12 },
  );
});

test('a backup of before panels were logged is read, with none of them', async () => {
  const files = await filesOf(await backupOf(await filled()));
  const head = JSON.parse(strFromU8(files['manifest.json'] ?? new Uint8Array()));
  for (const name of Object.keys(files)) if (/^(panels|photos|pads)/.test(name)) delete files[name];
  const older = zipped({ ...files, 'manifest.json': strToU8(JSON.stringify({ ...head, version: 1 })) });
  expect((await readBackup(older)).workshop.panels).toEqual([]);
});

test('a backup whose photograph is missing or damaged is refused with its place', async () => {
  const backup = await backupOf(await filled());
  const { 'photos/picture.webp': picture, ...files } = await filesOf(backup);
  expect(await faultsOf(zipped(files))).toEqual([
    { place: 'photos/picture.webp', problem: expect.stringContaining('missing') },
  ]);
  // The picture's own bytes stand in the zip as they are; one of them changes on the way.
  const bytes = new Uint8Array(await backup.arrayBuffer());
  const at = bytes.findIndex((_, i) => picture?.every((value, k) => bytes[i + k] === value) ?? false);
  bytes[at] = 1;
  expect(await faultsOf(new Blob([bytes]))).toEqual([
    { place: 'photos/picture.webp', problem: expect.stringContaining('Copy it again') },
  ]);
});

test('panels get running numbers, come back as they were, and take their photographs with them only when tidied', async () => {
  const db = await filled();
  const [first] = await listPanels(db);
  expect((await logPanel(db, LOGGED)).number).toBe(2);
  const gone = await removePanels(
    db,
    (await listPanels(db)).map(({ id }) => id),
  );
  expect(await db.photos.count()).toBe(1);
  await restorePanels(db, gone);
  expect(await tidyPhotos(db)).toBe(0);
  expect((await listPanels(db)).map(({ number }) => number)).toEqual([2, 1]);
  expect((await listPanels(db))[1]).toEqual(first);
  await removePanels(
    db,
    gone.map(({ id }) => id),
  );
  expect(await tidyPhotos(db)).toBe(1);
});

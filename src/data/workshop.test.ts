import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { expect, test } from 'vitest';
import {
  BACKUP_TABLE_IDS,
  compareWorkshops,
  readBackup,
  type Workshop,
  writeBackup,
} from '../core/files/backup';
import { FileError } from '../core/files/fileError';
import { Database } from './database';
import { keepTrio } from './kept';
import { listPanels, logPanel, removePanels, restorePanels, tidyPhotos } from './panels';
import { renameRecipe } from './recipes';
import { setTag } from './tags';
import { mergeWorkshop, readWorkshop, replaceWorkshop } from './workshop';

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
const faultsOf = (bytes: Uint8Array) => {
  try {
    readBackup(bytes);
  } catch (error) {
    if (error instanceof FileError) return error.faults;
    throw error;
  }
  return [];
};

test('everything goes out and comes in the same on another machine, and a second time nothing is new', async () => {
  const workshop = await readWorkshop(await filled());
  const { head, workshop: back } = readBackup(writeBackup(workshop, MADE));
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
  await replaceWorkshop(elsewhere, back);
  expect(await readWorkshop(elsewhere)).toEqual(workshop);
  const changes = compareWorkshops(await readWorkshop(elsewhere), back);
  for (const table of BACKUP_TABLE_IDS) {
    expect(changes[table].fresh).toEqual([]);
    expect(changes[table].changed).toEqual([]);
  }
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
    expect(changes.recipes.changed.map(({ id }) => id)).toContain('kiln-mouth');
    await mergeWorkshop(here, changes, wanted);
    const stored = await here.recipes.get('kiln-mouth');
    expect(stored?.recipe.name).toBe(name);
    if (wanted === 'theirs') expect(stored?.revision).toBeGreaterThan(revision);
    expect(await here.kept.count()).toBe(1);
    // And taken back as if nothing had been.
    await replaceWorkshop(here, before);
    expect(await readWorkshop(here)).toEqual(before);
  }
});

test('a backup that is wrong is refused with the place, the first twenty faults and the count of the rest', async () => {
  const workshop = await readWorkshop(freshDb());
  const broken: Workshop = { ...workshop, inks: workshop.inks.map((ink) => ({ ...ink, kind: 'gold leaf' })) };
  const faults = faultsOf(writeBackup(broken, MADE));
  expect(faults).toHaveLength(21);
  expect(faults[0]?.place).toBe('inks.json[0].kind');
  expect(faults[20]?.problem).toBe('And 52 more faults.');
  const files = unzipSync(writeBackup(workshop, MADE));
  const { 'cards.json': _, ...without } = files;
  expect(faultsOf(zipSync(without))[0]).toMatchObject({ place: 'cards.json' });
  const newer = strToU8('{"format":"tint-ladder/backup","version":9,"recipeVersion":5}');
  expect(faultsOf(zipSync({ ...files, 'manifest.json': newer }))[0]?.problem).toContain('newer Tint Ladder');
  expect(faultsOf(strToU8('hello'))[0]?.problem).toContain('no zip');
});

test('a backup cut short or with bytes changed is refused, or says the same; it never throws anything else', async () => {
  const whole = writeBackup(await readWorkshop(freshDb()), MADE);
  fc.assert(
    fc.property(fc.nat(whole.length - 1), fc.integer({ min: 1, max: 255 }), (at, by) => {
      const changed = Uint8Array.from(whole);
      changed[at] = ((changed[at] ?? 0) + by) % 256;
      faultsOf(changed);
      faultsOf(whole.subarray(0, at));
    }),
    { numRuns: 12 },
  );
});

test('a backup of before panels were logged is read, with none of them', async () => {
  const files = unzipSync(writeBackup(await readWorkshop(await filled()), MADE));
  const head = JSON.parse(strFromU8(files['manifest.json'] ?? new Uint8Array()));
  for (const name of Object.keys(files)) if (/^(panels|photos|pads)/.test(name)) delete files[name];
  const older = zipSync({ ...files, 'manifest.json': strToU8(JSON.stringify({ ...head, version: 1 })) });
  expect(readBackup(older).workshop.panels).toEqual([]);
});

test('a backup whose photograph is missing is refused with its place', async () => {
  const { 'photos/picture.webp': _, ...files } = unzipSync(
    writeBackup(await readWorkshop(await filled()), MADE),
  );
  expect(faultsOf(zipSync(files))).toEqual([
    { place: 'photos/picture.webp', problem: expect.stringContaining('missing') },
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

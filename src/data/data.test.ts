import { freeName } from '../core/base/names';
import { resolve } from '../core/recipe/resolved';
import { paceFrom, USUAL_PACE } from '../core/sheet/times';
import { LastCard, removeCard } from './cards';
import { addTiming, clearTimings, readPace } from './timings';
import { listVersions, nameVersion, removeVersion, restoreVersion } from './versions';
import 'fake-indexeddb/auto';
import { describe, expect, test } from 'vitest';
import { OWN_DESIGNS } from '../core/materials/design/own';
import { setShare } from '../core/recipe/editLadder';
import { ink, resolvedOf, withPass } from '../testing/resolvedRecipes';
import { keepRow } from './changes';
import { Database } from './database';
import { listDesigns, removeDesign } from './designs';
import { dropTrio, keepTrio, listKept, restoreTrio } from './kept';
import {
  addRecipe,
  ChangedElsewhere,
  importRecipe,
  importRecipes,
  listRecipes,
  removeRecipe,
  restoreRecipe,
  saveRecipe,
} from './recipes';
import { SCHEMA, type SchemaVersion } from './schema';
import { readSetting, writeSetting } from './settings';
import { removeInk, restoreInks, saveInks } from './shelf';

let count = 0;
const materials = async (db: Database) => ({
  inks: await db.inks.toArray(),
  cards: await db.cards.toArray(),
  designs: await listDesigns(db),
});
/** A record as no database can hold it: functions are not cloned. */
const unstorable = <T extends object>(record: T): T => Object.assign(record, { draw: () => {} });
const freshDb = () => new Database(`test-${count++}`);

describe('the demo', () => {
  test('has 72 inks, eight cards and four recipes, each with all it needs', async () => {
    const db = freshDb();
    const [inks, cards, recipes] = [await db.inks.toArray(), await db.cards.toArray(), await listRecipes(db)];
    expect(inks).toHaveLength(72);
    expect(new Set(inks.map(({ name }) => name)).size).toBe(72);
    expect(cards).toHaveLength(8);
    expect(recipes).toHaveLength(4);
    for (const { recipe } of recipes)
      expect(resolve(recipe, { inks, cards, designs: OWN_DESIGNS })).toBeDefined();
  });
});

test('all recipes are listed once, whatever their ids begin with, the one changed last first', async () => {
  const db = freshDb();
  const [demo] = await listRecipes(db);
  if (!demo) throw new Error('no demo recipe');
  const ids = ['\u0001', '39', '4', '4f', '7f', '8', 'bz', 'c', 'C', 'kiln', 'é', '\uffff\uffff'];
  await db.recipes.clear();
  await db.recipes.bulkAdd(
    ids.map((id, i) => ({
      ...demo,
      id,
      recipe: { ...demo.recipe, id },
      updatedAt: 1e12 + ((7 * i) % ids.length),
    })),
  );
  const listed = await listRecipes(db);
  expect(listed.map(({ id }) => id).toSorted()).toEqual(ids.toSorted());
  const times = listed.map(({ updatedAt }) => updatedAt);
  expect(times).toEqual(times.toSorted((p, q) => q - p));
});

describe('saving', () => {
  test('counts up, and refuses to overwrite what another tab saved', async () => {
    const db = freshDb();
    const record = (await listRecipes(db))[0];
    if (!record) throw new Error('no demo recipe');
    const mine = setShare(record.recipe, 0, 0.5);
    expect((await saveRecipe(db, mine, record.revision)).revision).toBe(2);
    const theirs = setShare(record.recipe, 0, 0.2);
    await expect(saveRecipe(db, theirs, record.revision)).rejects.toBeInstanceOf(ChangedElsewhere);
    expect((await db.recipes.get(record.id))?.recipe.rungs[0]?.share).toBeCloseTo(0.5, 9);
  });

  test('a removed recipe comes back as it was', async () => {
    const db = freshDb();
    const before = await listRecipes(db);
    const removed = await removeRecipe(db, 'kiln-mouth');
    expect(await listRecipes(db)).toHaveLength(3);
    if (removed) await restoreRecipe(db, removed);
    expect(await listRecipes(db)).toEqual(before);
  });

  test('a copy gets a name of its own', async () => {
    expect(freeName('Dusk', new Set(['Dusk', 'Dusk (2)']))).toBe('Dusk (3)');
    expect(freeName('Dusk (2)', new Set(['Dusk (2)']))).toBe('Dusk (3)');
    const db = freshDb();
    const record = (await listRecipes(db))[0];
    if (!record) throw new Error('no demo recipe');
    const copy = await addRecipe(db, record.recipe);
    expect(copy.id).not.toBe(record.id);
    expect(copy.recipe.name).toBe(`${record.recipe.name} (2)`);
  });
});

test('an ink leaves the shelf only when no recipe is made of it', async () => {
  const db = freshDb();
  await expect(removeInk(db, 'gorse-pale')).rejects.toMatchObject({
    by: ['Kiln-opening invitation, run 2', 'Running glaze, a resist'],
  });
  expect(await db.inks.count()).toBe(72);
  await removeInk(db, 'haar-pale');
  expect(await db.inks.get('haar-pale')).toBeUndefined();
});

test('many inks come all or not at all, and taking them back leaves the shelf as it was', async () => {
  const db = freshDb();
  const before = await db.inks.toArray();
  const [changed] = before;
  if (!changed) throw new Error('the shelf is empty');
  const incoming = [
    { ...changed, overWhite: '#123456' as const },
    { ...changed, id: 'new', name: 'New' },
  ];
  const replaced = await saveInks(db, incoming);
  expect(replaced).toEqual([changed]);
  expect(await db.inks.get(changed.id)).toMatchObject({ overWhite: '#123456' });
  expect(await db.inks.count()).toBe(before.length + 1);
  await restoreInks(db, incoming, replaced);
  expect(await db.inks.toArray()).toEqual(before);
  // One that cannot be stored takes the others with it.
  const broken = unstorable({ ...changed, id: 'broken' });
  await expect(saveInks(db, [{ ...changed, overWhite: '#654321' }, broken])).rejects.toThrow();
  expect(await db.inks.toArray()).toEqual(before);
});

test('what is remembered under a key is the last that was written there', async () => {
  const db = freshDb();
  expect(await readSetting(db, 'pace')).toBeUndefined();
  await writeSetting(db, 'pace', { band: 2 });
  await writeSetting(db, 'pace', { band: 3 });
  expect(await readSetting(db, 'pace')).toEqual({ band: 3 });
});

test('a kept trio is one whatever its order, and comes back as it was', async () => {
  const db = freshDb();
  const inks = (await db.inks.toArray()).slice(0, 3);
  const kept = await keepTrio(db, inks, 'kraft');
  await keepTrio(db, inks.toReversed(), 'black');
  expect(await listKept(db)).toEqual([kept]);
  await dropTrio(db, kept.id);
  expect(await listKept(db)).toEqual([]);
  await restoreTrio(db, kept);
  expect(await listKept(db)).toEqual([kept]);
});

describe('bringing a recipe in', () => {
  const resolved = resolvedOf([ink('Heron', '#556677'), ink('Plover', '#ddccaa')]);

  test('brings its inks and card to a shelf that lacks them', async () => {
    const db = freshDb();
    const { recipe } = await importRecipe(db, resolved);
    expect(resolve(recipe, await materials(db))?.inks).toEqual(resolved.inks);
    expect(await db.inks.count()).toBe(74);
    await importRecipe(db, resolved);
    expect(await db.inks.count()).toBe(74);
  });

  test('tells how far it is, and what is stopped in the midst leaves nothing behind', async () => {
    const db = freshDb();
    const before = [await db.recipes.count(), await db.inks.count()];
    const stop = new AbortController();
    const parts: number[] = [];
    const reach = (part: number) => {
      parts.push(part);
      if (part > 0.4) stop.abort();
    };
    const many = Array.from({ length: 8 }, () => resolved);
    await expect(importRecipes(db, many, { signal: stop.signal, reach })).rejects.toThrow(/abort/i);
    expect(parts).toEqual([1 / 8, 2 / 8, 3 / 8, 4 / 8]);
    expect([await db.recipes.count(), await db.inks.count()]).toEqual(before);
  });

  test('leaves an ink of the same id but another colour alone', async () => {
    const db = freshDb();
    await importRecipe(db, resolved);
    const { recipe } = await importRecipe(
      db,
      resolvedOf([ink('Heron', '#ff0000'), ink('Plover', '#ddccaa')]),
    );
    expect((await db.inks.get('Heron'))?.overWhite).toBe('#556677');
    const used = resolve(recipe, await materials(db))?.inks[0];
    expect(used).toMatchObject({ overWhite: '#ff0000', name: 'Heron (from file)' });
  });

  test('brings what many recipes ask for once, and gives each recipe a name of its own', async () => {
    const db = freshDb();
    await importRecipe(db, resolved);
    const red = resolvedOf([ink('Heron', '#ff0000'), ink('Plover', '#ddccaa')]);
    const records = await importRecipes(db, [red, resolved, red, red]);
    expect(await db.inks.count()).toBe(75);
    const asked = records.map(({ recipe }) => recipe.rungs[0]?.inkId);
    expect(asked[1]).toBe('Heron');
    expect(new Set([asked[0], asked[2], asked[3]]).size).toBe(1);
    expect(asked[0]).not.toBe('Heron');
    expect(records.map(({ recipe }) => recipe.name)).toEqual([
      'Test (2)',
      'Test (3)',
      'Test (4)',
      'Test (5)',
    ]);
  });

  test('leaves nothing behind when a part of it fails', async () => {
    const db = freshDb();
    await db.open();
    const broken = { ...resolved, card: unstorable({ ...resolved.card, id: 'broken' }) };
    await expect(importRecipe(db, broken)).rejects.toThrow();
    expect(await db.inks.count()).toBe(72);
    expect(await db.recipes.count()).toBe(4);
  });
});

test('a design stays while a recipe is made with it; the maker’s own come after those that ship', async () => {
  const db = freshDb();
  const star = { id: 'star', name: 'Star', use: 'image', width: 20, height: 20, shapes: [] } as const;
  await keepRow(db.designs, star);
  expect((await listDesigns(db)).at(-1)).toEqual(star);
  const resolved = withPass(resolvedOf([ink('Heron', '#556677'), ink('Plover', '#ddccaa')]), 'mask', {
    design: star,
  });
  await importRecipe(db, resolved);
  await expect(removeDesign(db, 'star')).rejects.toMatchObject({ by: ['Test'] });
  // Another design of that id comes in beside it.
  const { recipe } = await importRecipe(db, { ...resolved, designs: [{ ...star, width: 30 }] });
  expect(recipe.passes[0]?.designId).not.toBe('star');
  expect(resolve(recipe, await materials(db))?.designs[0]).toMatchObject({
    width: 30,
    name: 'Star (from file)',
  });
  await db.recipes.clear();
  await removeDesign(db, 'star');
  expect(await db.designs.count()).toBe(1);
});

test('named states of a recipe are kept apart from other recipes’, the last one first, and come back', async () => {
  const db = freshDb();
  const [one, other] = await listRecipes(db);
  if (!one || !other) throw new Error('the demo has too few recipes');
  await nameVersion(db, one.recipe, 'first try');
  await new Promise((resolve) => setTimeout(resolve, 5));
  await nameVersion(db, { ...one.recipe, name: 'changed' }, 'second try');
  await nameVersion(db, other.recipe, 'elsewhere');
  const versions = await listVersions(db, one.id);
  expect(versions.map(({ name }) => name)).toEqual(['second try', 'first try']);
  const [second] = versions;
  if (!second) throw new Error('nothing was named');
  await removeVersion(db, second.id);
  expect(await listVersions(db, one.id)).toHaveLength(1);
  await restoreVersion(db, second);
  expect((await listVersions(db, one.id))[0]?.recipe.name).toBe('changed');
});

test('what only a named state is made with stays too, until that state or its recipe is gone', async () => {
  const db = freshDb();
  const star = { id: 'star', name: 'Star', use: 'image', width: 20, height: 20, shapes: [] } as const;
  const resolved = withPass(resolvedOf([ink('Heron', '#556677'), ink('Plover', '#ddccaa')]), 'mask', {
    design: star,
  });
  const { id, recipe, revision } = await importRecipe(db, resolved);
  const state = await nameVersion(db, recipe, 'With the star');
  const [first] = recipe.rungs;
  if (!first) throw new Error('no rung');
  await saveRecipe(
    db,
    {
      ...recipe,
      cardId: 'linen',
      passes: [],
      rungs: recipe.rungs.map((rung) => ({ ...rung, inkId: 'haar-pale' })),
    },
    revision,
  );
  const by = [`${recipe.name} as “With the star”`];
  await expect(removeInk(db, first.inkId)).rejects.toMatchObject({ by });
  await expect(removeDesign(db, 'star')).rejects.toMatchObject({ by });
  await expect(removeCard(db, recipe.cardId)).rejects.toMatchObject({ by });
  await removeVersion(db, state.id);
  await removeDesign(db, 'star');
  await restoreVersion(db, state);
  await removeRecipe(db, id);
  await removeInk(db, first.inkId);
  expect(await db.inks.get(first.inkId)).toBeUndefined();
});

test('a card stays while a recipe lies on it, and the last one always', async () => {
  const db = freshDb();
  await expect(removeCard(db, 'smooth-white')).rejects.toThrow(/Kiln-opening/);
  await removeCard(db, 'linen');
  expect(await db.cards.get('linen')).toBeUndefined();
  await db.recipes.clear();
  for (const { id } of (await db.cards.toArray()).slice(1)) await removeCard(db, id);
  await expect(removeCard(db, (await db.cards.toArray())[0]?.id ?? '')).rejects.toThrow(LastCard);
});

test('timings add up to a pace, of which the latest count, and can be forgotten', async () => {
  const db = freshDb();
  for (const minutes of [4, 2, 3]) await addTiming(db, 'goBack', minutes);
  expect(await readPace(db)).toEqual({ ...USUAL_PACE, goBack: 3 });
  for (const minutes of [9, 9, 9, 9, 9, 1, 1, 1, 1]) await addTiming(db, 'goBack', minutes);
  await addTiming(db, 'brew', 5);
  expect(await readPace(db)).toEqual(paceFrom(await db.timings.toArray()));
  expect(await readPace(db)).toEqual({ ...USUAL_PACE, goBack: 1, brew: 5 });
  await clearTimings(db);
  expect(await readPace(db)).toEqual(USUAL_PACE);
});

describe('migrations', () => {
  /** Opens a database at one version of a schema, as an older program would have, and closes it again. */
  async function leaveAt(name: string, schema: readonly SchemaVersion[], version: number): Promise<void> {
    const db = new Database(
      name,
      schema.filter((step) => step.version <= version),
    );
    await db.open();
    db.close();
  }

  test('versions count up from 1 without a gap', () => {
    expect(SCHEMA.map(({ version }) => version)).toEqual(SCHEMA.map((_, i) => i + 1));
  });

  test.each(SCHEMA.map(({ version, title }) => [version, title] as const))(
    'everything saved at version %i (%s) opens at the newest',
    async (version) => {
      const name = `migrated-from-${version}`;
      await leaveAt(name, SCHEMA, version);
      const db = new Database(name);
      expect(await db.inks.count()).toBe(72);
      expect((await listRecipes(db))[0]?.recipe.rungs.length).toBeGreaterThanOrEqual(2);
    },
  );

  test('a recipe saved before runs had numbers opens straight, by brush', async () => {
    const name = 'before-runs';
    await leaveAt(name, SCHEMA, 2);
    const old = new Database(
      name,
      SCHEMA.filter(({ version }) => version <= 2),
    );
    await old.recipes.toCollection().modify((record: { recipe: unknown }) => {
      const { run: _, passes: __, tool: ___, ...recipe } = record.recipe as Record<string, unknown>;
      record.recipe = { ...recipe, run: 'straight', school: 'paleFirst' };
    });
    old.close();
    const db = new Database(name);
    for (const { recipe } of await listRecipes(db))
      expect(recipe).toMatchObject({
        run: { id: 'straight', params: {} },
        passes: [],
        tool: 'brush',
        school: 'paleFirst',
      });
  });

  test('recipes and named versions saved before passes open with them', async () => {
    const name = 'before-passes';
    const older = SCHEMA.filter(({ version }) => version <= 3);
    await leaveAt(name, SCHEMA, 3);
    const old = new Database(name, older);
    const overs = [{ id: 'edge', inkId: 'sloe-deep', params: { depth: 12 } }];
    await old.recipes.toCollection().modify((record: { recipe: unknown }) => {
      const { passes: _, ...recipe } = record.recipe as Record<string, unknown>;
      record.recipe = { ...recipe, overs, notes: { 'over edge': 'twice' } };
    });
    const [record] = await old.recipes.toArray();
    if (!record) throw new Error('no demo recipe');
    await nameVersion(old, record.recipe, 'then');
    old.close();
    const db = new Database(name);
    const passes = [
      { id: 'edge', kind: 'edge', on: true, placements: [{ inkId: 'sloe-deep', params: { depth: 12 } }] },
    ];
    for (const { recipe } of [...(await listRecipes(db)), ...(await listVersions(db, record.id))]) {
      expect(recipe).toMatchObject({ passes, notes: { 'pass edge 0': 'twice' } });
      expect(recipe).not.toHaveProperty('overs');
    }
    expect(await listDesigns(db)).toHaveLength(OWN_DESIGNS.length);
  });

  test('a further version would upgrade every record once', async () => {
    const next: SchemaVersion[] = [
      ...SCHEMA,
      {
        version: SCHEMA.length + 1,
        title: 'a trial step',
        stores: {},
        upgrade: async (transaction) => {
          await transaction.table('cards').toCollection().modify({ stock: 0 });
        },
      },
    ];
    await leaveAt('migrated-on', SCHEMA, SCHEMA.length);
    const db = new Database('migrated-on', next);
    expect((await db.cards.toArray()).every((card) => 'stock' in card)).toBe(true);
  });
});

test('inks of passes come in under their new ids, too, where another ink is here under theirs', async () => {
  const db = freshDb();
  const [heron, plover] = [ink('Heron', '#556677'), ink('Plover', '#ddccaa')];
  const edged = (tarn: string) =>
    withPass(resolvedOf([heron, plover]), 'edge', { ink: ink('Tarn', tarn as '#133f7c') });
  await importRecipe(db, edged('#133f7c'));
  const { recipe } = await importRecipe(db, edged('#aa0000'));
  const laid = resolve(recipe, await materials(db));
  expect(laid?.passInks).toMatchObject([{ name: 'Tarn (from file)', overWhite: '#aa0000' }]);
  expect((await db.inks.get('Tarn'))?.overWhite).toBe('#133f7c');
});

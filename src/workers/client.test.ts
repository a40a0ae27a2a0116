import { beforeEach, expect, test, vi } from 'vitest';
import { setShare } from '../core/recipe/editLadder';
import { type ResolvedRecipe, resolve } from '../core/recipe/resolved';
import { DEMO_CARDS } from '../data/demo/cards';
import { DEMO_INKS } from '../data/demo/inks';
import { DEMO_RECIPES } from '../data/demo/recipes';
import type { Work } from './client';

/** How long painters say that they worked, ms. */
let took: number;
/** After how many rows they give a picture up; never where left out. */
let rowsPainted: number | undefined;
/** What each painter was asked, in order. */
type Asked = readonly [what: string, place: string, details?: unknown];
let painters: Asked[][];
let workers: EventTarget[];

vi.mock('comlink', () => ({
  wrap: () => {
    const asked: Asked[] = [];
    painters.push(asked);
    const note =
      (what: string) =>
      (place: string, details?: unknown): Promise<unknown> => {
        asked.push([what, place, details]);
        const pixels = rowsPainted === undefined ? new Uint8ClampedArray(4) : null;
        return Promise.resolve({ width: 1, height: rowsPainted ?? 1, pixels, took });
      };
    return Object.fromEntries(
      ['setMaterials', 'forget', 'paint', 'panelSampler'].map((what) => [what, note(what)]),
    );
  },
}));

const materials = { inks: DEMO_INKS, cards: DEMO_CARDS, designs: [] };
const [recipe] = DEMO_RECIPES;
const resolvedWith = (share: number): ResolvedRecipe => {
  const resolved = recipe && resolve(setShare(recipe, 0, share), materials);
  if (!resolved) throw new Error('the demo is not whole');
  return resolved;
};
const size = { wetness: 'dry', width: 330, height: 426 } as const;
const asked = (painter: number) => painters[painter]?.map(([what, place]) => `${what} ${place}`);

beforeEach(() => {
  painters = [];
  took = 1;
  rowsPainted = undefined;
  vi.resetModules();
  workers = [];
  vi.stubGlobal(
    'Worker',
    class extends EventTarget {
      terminate = vi.fn();
      constructor() {
        super();
        workers.push(this);
      }
    },
  );
  vi.stubGlobal('navigator', { hardwareConcurrency: 4 });
});

test('card and inks go to a painter once, then the recipe alone, until they are others', async () => {
  const { paint } = await import('./client');
  await paint('bench', resolvedWith(0.3), size);
  await paint('bench', resolvedWith(0.31), size);
  expect(asked(0)).toEqual(['setMaterials bench', 'paint bench', 'paint bench']);
  expect(painters[0]?.[0]?.[2]).not.toHaveProperty('recipe');
  const kraft = DEMO_CARDS.find(({ id }) => id !== recipe?.cardId);
  if (!kraft) throw new Error('there is one card only');
  await paint('bench', { ...resolvedWith(0.31), card: kraft }, size);
  expect(asked(0)?.slice(3)).toEqual(['setMaterials bench', 'paint bench']);
});

test('each place has its own, and is forgotten when it is gone', async () => {
  const { forgetPlace, paint } = await import('./client');
  await paint('bench', resolvedWith(0.3), size);
  await paint('list', resolvedWith(0.3), size);
  forgetPlace('bench');
  forgetPlace('bench');
  await paint('bench', resolvedWith(0.3), size);
  expect(asked(0)).toEqual([
    'setMaterials bench',
    'paint bench',
    'setMaterials list',
    'paint list',
    'forget bench',
    'setMaterials bench',
    'paint bench',
  ]);
});

test('a second painter is started by the hand, paints what is in hand, and then takes the lower half', async () => {
  const { paint, readyForDragging } = await import('./client');
  const rows = () => painters.map((messages) => messages.findLast(([what]) => what === 'paint')?.[2]);
  readyForDragging();
  expect(painters).toHaveLength(0);
  expect(await paint('bench', resolvedWith(0.3), size)).toHaveLength(1);
  readyForDragging();
  readyForDragging();
  // Until it is as warm as the first, nobody waits for it.
  const [alone] = [paint('bench', resolvedWith(0.31), size)];
  expect(rows()).toMatchObject([{ rows: { from: 0, to: 426 } }, size]);
  expect(rows()[1]).not.toHaveProperty('rows');
  expect(await alone).toHaveLength(1);
  expect(await paint('bench', resolvedWith(0.32), size)).toHaveLength(2);
  expect(rows()).toMatchObject([{ rows: { from: 0, to: 213 } }, { rows: { from: 213, to: 426 } }]);
  await paint('small', resolvedWith(0.3), { ...size, width: 60, height: 80 });
  expect(asked(1)).toEqual(['setMaterials bench', 'paint bench', 'paint bench']);
});

test('on two cores only what takes long is shared: the page itself wants one of them', async () => {
  vi.stubGlobal('navigator', { hardwareConcurrency: 2 });
  const { paint, readyForDragging } = await import('./client');
  await paint('bench', resolvedWith(0.3), size);
  readyForDragging();
  await paint('bench', resolvedWith(0.31), size);
  expect(await paint('bench', resolvedWith(0.32), size)).toHaveLength(1);
  took = 20;
  expect(await paint('bench', resolvedWith(0.33), size)).toHaveLength(1);
  expect(await paint('bench', resolvedWith(0.34), size)).toHaveLength(2);
  took = 2;
  expect(await paint('bench', resolvedWith(0.35), size)).toHaveLength(2);
  expect(await paint('bench', resolvedWith(0.36), size)).toHaveLength(1);
});

test('what was worked on a picture is told, even where it was given up', async () => {
  const { paint } = await import('./client');
  const told: Work[] = [];
  for (const rows of [undefined, 3, 0]) {
    rowsPainted = rows;
    await paint('bench', resolvedWith(0.3), size, (work) => told.push(work));
  }
  expect(told).toEqual([
    { pixels: 1, took },
    { pixels: 3, took },
  ]);
});

test('what is gone is not painted for nobody', async () => {
  const { forgetPlace, paint, readyForDragging } = await import('./client');
  await paint('bench', resolvedWith(0.3), size);
  forgetPlace('bench');
  readyForDragging();
  expect(painters).toHaveLength(1);
});

test('the first change by keys starts it, too; what is only painted otherwise, or on one core, does not', async () => {
  const { paint } = await import('./client');
  const resolved = resolvedWith(0.3);
  await paint('bench', resolved, size);
  await paint('bench', resolved, { ...size, isPlain: true });
  await paint('list', resolvedWith(0.31), size);
  expect(painters).toHaveLength(1);
  vi.stubGlobal('navigator', { hardwareConcurrency: 1 });
  await paint('list', resolvedWith(0.32), size);
  expect(painters).toHaveLength(1);
  vi.stubGlobal('navigator', { hardwareConcurrency: 4 });
  await paint('list', resolvedWith(0.33), size);
  expect(painters).toHaveLength(2);
});

test('a point is read by the first painter, from what it has of the place', async () => {
  const { paint, readyForDragging, samplerFor } = await import('./client');
  await paint('bench', resolvedWith(0.3), size);
  readyForDragging();
  await samplerFor('bench', resolvedWith(0.3));
  expect(asked(0)).toEqual(['setMaterials bench', 'paint bench', 'panelSampler bench']);
});

test('small pictures wait while something is pressed elsewhere, too', async () => {
  const page = new EventTarget();
  vi.stubGlobal('addEventListener', page.addEventListener.bind(page));
  vi.useFakeTimers();
  try {
    const { paint, paintQuietly } = await import('./client');
    await paint('bench', resolvedWith(0.3), size);
    void paintQuietly('step', resolvedWith(0.3), { ...size, width: 40, height: 50 });
    await vi.advanceTimersByTimeAsync(300);
    page.dispatchEvent(new Event('click'));
    await vi.advanceTimersByTimeAsync(300);
    expect(asked(0)).not.toContain('paint step');
    await vi.advanceTimersByTimeAsync(200);
    expect(asked(0)).toContain('paint step');
  } finally {
    vi.useRealTimers();
  }
});

test('small pictures wait until the hand rests, and one that is no longer wanted is not painted', async () => {
  vi.useFakeTimers();
  try {
    const { paint, paintQuietly } = await import('./client');
    await paint('bench', resolvedWith(0.3), size);
    const first = paintQuietly('step', resolvedWith(0.3), { ...size, width: 40, height: 50 });
    const second = paintQuietly('step', resolvedWith(0.31), { ...size, width: 40, height: 50 });
    await vi.advanceTimersByTimeAsync(300);
    // The hand moves on: they wait anew, and neither painter has been asked for them.
    await paint('bench', resolvedWith(0.32), size);
    await vi.advanceTimersByTimeAsync(300);
    const places = () => painters.flat().filter(([, place]) => place === 'step');
    expect(places()).toEqual([]);
    await vi.advanceTimersByTimeAsync(200);
    expect(await first).toBeNull();
    expect(await second).toHaveLength(1);
    expect(places().map(([what]) => what)).toEqual(['setMaterials', 'paint']);
    expect(painters).toHaveLength(2);
  } finally {
    vi.useRealTimers();
  }
});

test('a painter that failed is used no more: the other one paints, or another that is told everything', async () => {
  const { paint } = await import('./client');
  await paint('bench', resolvedWith(0.3), size);
  workers[0]?.dispatchEvent(new Event('error'));
  expect(await paint('bench', resolvedWith(0.31), size)).toHaveLength(1);
  expect(asked(0)).toEqual(['setMaterials bench', 'paint bench']);
  expect(asked(1)).toEqual(['setMaterials bench', 'paint bench']);
  // A hand that goes on has a second one painting beside it.
  await paint('bench', resolvedWith(0.32), size);
  await vi.waitFor(async () => expect(await paint('bench', resolvedWith(0.33), size)).toHaveLength(2));
  workers[1]?.dispatchEvent(new Event('error'));
  expect(await paint('bench', resolvedWith(0.34), size)).toHaveLength(1);
  expect(asked(2)?.at(-1)).toBe('paint bench');
});

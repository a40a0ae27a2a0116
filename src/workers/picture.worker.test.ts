import { beforeEach, expect, test, vi } from 'vitest';
import type { PictureRequest } from '../core/picture/paint';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { resolveAnyway } from '../core/recipe/resolved';
import { DEMO_CARDS } from '../data/demo/cards';
import { DEMO_INKS } from '../data/demo/inks';
import { DEMO_RECIPES } from '../data/demo/recipes';
import type { PaintRequest, PictureDoor } from './picture.worker';

let door: PictureDoor;
vi.mock('comlink', () => ({
  expose: (exposed: PictureDoor) => {
    door = exposed;
  },
  transfer: <T>(value: T): T => value,
}));

// Node reads a port a thousand messages in a row before it looks at anything else; a browser does not.
vi.mock('./breathe', () => ({ breathe: () => new Promise((resolve) => setImmediate(resolve)) }));

const painted: ResolvedRecipe[] = [];
vi.mock('../core/picture/paint', async (original) => {
  const { createPainter } = await original<typeof import('../core/picture/paint')>();
  return {
    createPainter: () => {
      const prepare = createPainter();
      return (request: PictureRequest) => {
        painted.push(request.resolved);
        return prepare(request);
      };
    },
  };
});

const [demo] = DEMO_RECIPES;
if (!demo) throw new Error('there is no demo recipe');
const { recipe, ...materials } = resolveAnyway(demo, { inks: DEMO_INKS, cards: DEMO_CARDS, designs: [] });

/** Asks for a picture that takes several looks round. */
function ask(place: string, size: Partial<PaintRequest> = {}): ReturnType<PictureDoor['paint']> {
  door.setMaterials(place, materials);
  return door.paint(place, { recipe, wetness: 'dry', width: 300, height: 400, ...size });
}

beforeEach(async () => {
  vi.resetModules();
  await import('./picture.worker');
});

test('places are painted one after another, in the order in which they ask', async () => {
  const done: string[] = [];
  const asked = ['first', 'second', 'third'].map((place, i) =>
    // The later the smaller: side by side the last would be done first.
    ask(place, { height: 400 - 150 * i }).then(() => done.push(place)),
  );
  await Promise.all(asked);
  expect(done).toEqual(['first', 'second', 'third']);
});

test('what waits is given up when a newer request comes or its place is gone, and always answered', async () => {
  const waiting = [ask('drag'), ask('drag'), ask('gone'), ask('stays')];
  door.forget('gone');
  const [older, newer, gone, stays] = await Promise.all(waiting);
  expect([older, gone]).toMatchObject([
    { pixels: null, height: 0 },
    { pixels: null, height: 0 },
  ]);
  expect(newer?.height).toBe(400);
  expect(stays?.height).toBe(400);
});

test('a long one under way makes room for a newer one, and says how far it came', async () => {
  const long = ask('drag', { height: 4000 });
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect((await ask('drag')).pixels).not.toBeNull();
  const { pixels, height, took } = await long;
  expect(pixels).toBeNull();
  expect(height).toBeGreaterThan(0);
  expect(height).toBeLessThan(4000);
  expect(took).toBeGreaterThan(0);
});

test('what is under way when its place goes is finished: somebody may come back for it', async () => {
  const painting = ask('left');
  await new Promise((resolve) => setTimeout(resolve, 20));
  door.forget('left');
  expect((await painting)?.width).toBe(300);
  await expect(door.paint('left', { recipe, wetness: 'dry', width: 3, height: 4 })).rejects.toThrow('left');
});

test('steps of one recipe at many places are painted from the same values, though each came as a copy of its own', async () => {
  painted.length = 0;
  for (const place of ['blend', 'coat', 'check']) {
    door.setMaterials(place, structuredClone(materials));
    await door.paint(place, { recipe: structuredClone(recipe), wetness: 'dry', width: 3, height: 4 });
  }
  const [blend, coat, check] = painted;
  for (const part of ['recipe', 'card', 'inks', 'designs'] as const) {
    expect(coat?.[part]).toBe(blend?.[part]);
    expect(check?.[part]).toBe(blend?.[part]);
  }
});

import { expose, type ProxyMarked, proxy, transfer } from 'comlink';
import type { Millimetres } from '../core/base/length';
import { shareWith } from '../core/base/share';
import type { Wetness } from '../core/engine/mixing';
import type { Sample } from '../core/engine/probe';
import type { Progress } from '../core/engine/progress';
import { createPainter, type Picture, type Rows } from '../core/picture/paint';
import { newRecipe } from '../core/recipe/newRecipe';
import type { Recipe } from '../core/recipe/recipe';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { breathe } from './breathe';

/** How long the worker paints before it looks whether a newer request has come, in ms. */
const SLICE = 12;
const ROWS = 16;
/** A picture with no more than this left to do is finished, or a steady drag would never show one. In ms. */
const WORTH_FINISHING = 50;

/** What a place's pictures are made of besides the recipe. It seldom changes, so it is sent apart. */
export type PlaceMaterials = Omit<ResolvedRecipe, 'recipe'>;

/** What is to be painted for a place that has its materials. */
export interface PaintRequest {
  readonly recipe: Recipe;
  readonly wetness: Wetness;
  /** Size of the whole picture, pixels. */
  readonly width: number;
  readonly height: number;
  /** How far the work has come; the finished panel where left out. */
  readonly progress?: Progress | undefined;
  /** Which rows of it; all where left out. */
  readonly rows?: Rows;
  /** The colours alone, without grain and gloss. */
  readonly isPlain?: boolean;
}

/** A picture, and how long it was worked on, ms. */
export interface Painted extends Picture {
  readonly took: number;
}

/** What was given up for a newer one: how many rows of it were painted, and how long that took, ms. */
export interface GivenUp {
  readonly pixels: null;
  readonly width: number;
  readonly height: number;
  readonly took: number;
}

/** What a request for a picture comes to. */
export type Painting = Painted | GivenUp;

/** A place on the screen that shows a panel. */
interface Place {
  materials: PlaceMaterials;
  /** The last recipe it showed: its unchanged parts stay the same values, by which the painter remembers. */
  recipe?: Recipe;
  /** Its newest request. */
  newest: number;
  /** Whether it is no longer on the screen. */
  isGone?: boolean;
}

const places = new Map<string, Place>();
/**
 * What was last painted with, at any place: the steps of one recipe stand at two dozen, and what is the same in them stays
 * the same value, which the painter remembers by.
 */
let latest: { materials?: PlaceMaterials; recipe?: Recipe } = {};
const prepare = createPainter();

const known = (place: string): Place => {
  const found = places.get(place);
  if (!found) throw new Error(`no materials have come for ${place}`);
  return found;
};

/** The recipe of a place, made of the same values as its last one, or the last of all, where it says the same. */
function resolvedAt(place: Place, recipe: Recipe): ResolvedRecipe {
  place.recipe = shareWith(place.recipe ?? latest.recipe, recipe);
  latest = { materials: place.materials, recipe: place.recipe };
  return { recipe: place.recipe, ...place.materials };
}

/** Panels are painted one after another: the first of many is there when its own work is done, not when all is. */
let turn: Promise<unknown> = Promise.resolve();

async function paintNow(place: Place, mine: number, { recipe, ...request }: PaintRequest): Promise<Painting> {
  const { width } = request;
  // In a drag several requests may be waiting already: let them in, so that only the last is painted.
  await breathe();
  if (place.newest !== mine || place.isGone) return { pixels: null, width, height: 0, took: 0 };
  const begun = performance.now();
  const { picture, paintRows } = prepare({ resolved: resolvedAt(place, recipe), ...request });
  const { from, to } = request.rows ?? { from: 0, to: request.height };
  let since = performance.now();
  let took = since - begun;
  for (let row = from; row < to; row += ROWS) {
    paintRows(row, Math.min(row + ROWS, to));
    if (performance.now() - since < SLICE) continue;
    took += performance.now() - since;
    await breathe();
    const height = Math.min(row + ROWS, to) - from;
    const left = (took * (to - from - height)) / height;
    if (place.newest !== mine && left > WORTH_FINISHING) return { pixels: null, width, height, took };
    since = performance.now();
  }
  took += performance.now() - since;
  return transfer({ ...picture, took }, [picture.pixels.buffer]);
}

const door = {
  /** Takes the card, the inks and the designs of a place, for all that is asked of it from now on. */
  setMaterials(place: string, materials: PlaceMaterials): void {
    const before = places.get(place);
    const shared = shareWith(before?.materials ?? latest.materials, materials);
    latest = { ...latest, materials: shared };
    if (before) before.materials = shared;
    else places.set(place, { materials: shared, newest: 0 });
  },

  /** Lets go of a place that is no longer on the screen: what waits to be painted for it is given up. */
  forget(name: string): void {
    const place = places.get(name);
    if (place) place.isGone = true;
    places.delete(name);
  },

  /**
   * Paints a panel for one place on the screen. A newer request for the place makes a long one give up, and skips those
   * still waiting.
   *
   * @returns the picture, its pixels transferred, or what was done of it when it was given up
   */
  async paint(name: string, request: PaintRequest): Promise<Painting> {
    const place = known(name);
    const mine = ++place.newest;
    const painting = turn.then(() => paintNow(place, mine, request));
    turn = painting.catch(() => {});
    return painting;
  },

  /** What reads a place's dried panel at a point; here, where its designs have been measured for the picture. */
  async panelSampler(
    place: string,
    recipe: Recipe,
  ): Promise<((x: Millimetres, y: Millimetres) => Sample) & ProxyMarked> {
    const { panelSampler } = await import('../core/engine/probe');
    return proxy(panelSampler(resolvedAt(known(place), recipe)));
  },
};

/** Painted once into nothing while the page opens: the first real picture finds the code warm. */
function warmUp(): void {
  const pale = {
    id: 'pale',
    name: 'pale',
    family: 'pale',
    depth: 'pale',
    kind: 'hybrid',
    overWhite: '#f8d46f',
  } as const;
  const dark = {
    id: 'dark',
    name: 'dark',
    family: 'dark',
    depth: 'deep',
    kind: 'dye',
    overWhite: '#005487',
  } as const;
  const card = { id: 'white', name: 'white', colour: '#fcfbf8', finish: 'smooth', grammage: 300 } as const;
  const recipe = newRecipe('warming', [pale, dark], card);
  const resolved = { recipe, card, inks: [pale, dark], passInks: [], designs: [] };
  prepare({ resolved, wetness: 'dry', width: 8, height: 8, isPlain: true }).paintRows(0, 8);
}
warmUp();

export type PictureDoor = typeof door;
expose(door);

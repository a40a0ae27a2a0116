import { expose, type ProxyMarked, proxy, transfer } from 'comlink';
import type { Millimetres } from '../core/base/length';
import type { Place } from '../core/engine/probe';
import type { Progress } from '../core/engine/progress';
import type { Wetness } from '../core/materials/ink/laid';
import { type Picture, preparePicture, type Rows } from '../core/picture/paint';
import type { Kit } from '../core/recipe/recipe';
import { STRAIGHT } from '../core/recipe/runs/runs';
import { breathe } from './breathe';

/** How long the worker paints before it looks whether a newer request has come, in ms. */
const SLICE = 12;
const ROWS = 16;
/** A picture that is done sooner than this is finished, or a steady drag would never show one. In ms. */
const WORTH_FINISHING = 50;

const WARMING: Kit = {
  recipe: {
    id: 'warming',
    name: 'warming',
    cardId: 'white',
    panel: { width: 8, height: 8 },
    run: STRAIGHT,
    passes: [],
    tool: 'brush',
    school: 'paleFirst',
    rungs: [
      { inkId: 'pale', share: 0.5 },
      { inkId: 'dark', share: 0.5 },
    ],
    joints: [{ width: 4 }],
  },
  card: { id: 'white', name: 'white', colour: '#fcfbf8', finish: 'smooth', grammage: 300 },
  inks: [
    { id: 'pale', name: 'pale', family: 'pale', depth: 'pale', kind: 'hybrid', overWhite: '#f8d46f' },
    { id: 'dark', name: 'dark', family: 'dark', depth: 'deep', kind: 'dye', overWhite: '#005487' },
  ],
  passInks: [],
  designs: [],
};

/** The newest request of each place that shows a picture. */
const newest = new Map<string, number>();

const door = {
  /**
   * Paints a panel for one place on the screen.
   *
   * @param place  names the place; a newer request for it makes a long one give up, and skips those still waiting
   * @param progress  how far the work has come; the finished panel where left out
   * @param rows  which rows of it; all where left out
   * @returns the picture, its pixels transferred; null when it was given up
   */
  async paint(
    place: string,
    kit: Kit,
    wetness: Wetness,
    width: number,
    height: number,
    progress?: Progress,
    rows: Rows = { from: 0, to: height },
  ): Promise<Picture | null> {
    const mine = (newest.get(place) ?? 0) + 1;
    newest.set(place, mine);
    // In a drag several requests may be waiting already: let them in, so that only the last is painted.
    await breathe();
    if (newest.get(place) !== mine) return null;
    const { picture, paintRows } = preparePicture(kit, wetness, width, height, progress, rows);
    const begun = performance.now();
    let since = begun;
    for (let row = rows.from; row < rows.to; row += ROWS) {
      paintRows(row, Math.min(row + ROWS, rows.to));
      if (performance.now() - since < SLICE) continue;
      await breathe();
      if (newest.get(place) !== mine && performance.now() - begun > WORTH_FINISHING) return null;
      since = performance.now();
    }
    return transfer(picture, [picture.pixels.buffer]);
  },
  /** What reads the dried panel at a point; here, where its designs have been measured for the picture. */
  async placeReader(kit: Kit): Promise<((x: Millimetres, y: Millimetres) => Place) & ProxyMarked> {
    const { placeReader } = await import('../core/engine/probe');
    return proxy(placeReader(kit));
  },
};

// Painted once into nothing while the page opens: the first real picture finds the code warm.
preparePicture(WARMING, 'dry', 8, 8).paintRows(0, 8);

export type PictureDoor = typeof door;
expose(door);

import { coverageOnGrid } from '../engine/coverage';
import type { LayerProgram } from '../engine/layers';
import type { Wetness } from '../engine/mixing';
import type { Progress } from '../engine/progress';
import { stackHasher } from '../engine/stack';
import { groundOfCard } from '../materials/card/card';
import type { Ink } from '../materials/ink/ink';
import type { ResolvedRecipe } from '../recipe/resolved';
import { MASK_OF, type RegionMask } from './regions';
import { type Ground, SHADE, shadesOf } from './shades';
import type { Surface } from './surface/surface';

/** Colours on an even grid of nodes over the panel, its edges included. */
export interface ColourField {
  readonly columns: number;
  readonly rows: number;
  readonly ground: Ground;
  /** The grid of one region, with the four corners of a square in it: `SHADE` values a node. */
  readonly cornersOf: (region: RegionMask, column: number, row: number) => Float32Array;
}

/** The nodes of one region. */
interface RegionGrid {
  readonly signal: Float32Array;
  /** What lies at each node, as a number that tells it from all else; −1 where nobody has looked. */
  readonly contents: Float64Array;
  /** The state of each node, by `NodeCache.state`, that it was looked at in. */
  readonly visited: Int32Array;
  /** The field that last saw to each square, by its first node. */
  readonly servedBy: Int32Array;
  /** On which side of each border. */
  readonly inside: Uint8Array;
}

/**
 * What is known of the nodes of one tiling, for inks on a card. It outlives its field: while a mark is dragged most of
 * the panel stays as it was, and while a pass is dragged so do most of the films.
 */
interface NodeCache {
  readonly belongsTo: Belongs;
  /** What besides the blend decides what lies at a node, compared by identity. */
  passes: readonly unknown[];
  /** The field that looked here last. */
  usedBy: number;
  /** Parts of the rungs' inks at each node. */
  readonly parts: Float64Array;
  /** Changes whenever something at a node may have: its parts, or any pass. */
  readonly state: Int32Array;
  /** The field that last compared each node's parts. */
  readonly checkedBy: Int32Array;
  readonly grids: Map<RegionMask, RegionGrid>;
  /** Colours by what lies there: where one ink is solid there are many places alike. */
  readonly colours: Map<number, Float32Array>;
}

/** What nodes belong to: a tiling, the card and the inks. */
interface Belongs {
  readonly columns: number;
  readonly rows: number;
  readonly wetness: Wetness;
  readonly cardColour: string;
  readonly borders: number;
  readonly rungs: number;
  readonly palette: readonly Ink[];
  /** How uneven it is laid: colours are held to their mean by it. */
  readonly spread: number;
  readonly bareShare: number;
}

/** The caches used last are kept: a joint that grows narrow asks for more nodes, and soon for fewer again. */
const MAX_KEPT = 4;
/** So many regions are remembered; a panel with more begins anew. */
const MAX_GRIDS = 512;
const MAX_COLOURS = 20_000;

const sameList = (p: readonly unknown[], q: readonly unknown[]): boolean =>
  p.length === q.length && p.every((part, i) => part === q[i]);

const belongTogether = (p: Belongs, q: Belongs): boolean =>
  p.columns === q.columns &&
  p.rows === q.rows &&
  p.wetness === q.wetness &&
  p.cardColour === q.cardColour &&
  p.borders === q.borders &&
  p.rungs === q.rungs &&
  p.spread === q.spread &&
  p.bareShare === q.bareShare &&
  sameList(p.palette, q.palette);

const emptyCache = (belongsTo: Belongs, passes: readonly unknown[]): NodeCache => {
  const count = belongsTo.columns * belongsTo.rows;
  return {
    belongsTo,
    passes,
    usedBy: 0,
    parts: new Float64Array(count * belongsTo.rungs).fill(-1),
    state: new Int32Array(count),
    checkedBy: new Int32Array(count),
    grids: new Map(),
    colours: new Map(),
  };
};

/** What is asked of a field. */
interface FieldRequest {
  readonly resolved: ResolvedRecipe;
  readonly wetness: Wetness;
  readonly progress: Progress;
  readonly program: LayerProgram;
  /** Left out, nothing is uneven. */
  readonly surface: Surface | undefined;
  readonly columns: number;
  readonly rows: number;
}

/**
 * What makes fields, one after another. Blends are smooth, so spectra are computed at the nodes and a picture
 * interpolates between them; borders are sharp, so each region has a grid of its own, and only as much of it as is asked
 * for. What one field found out the next one goes on from.
 */
export function fieldMaker(): (request: FieldRequest) => ColourField {
  const kept: NodeCache[] = [];
  let fields = 0;
  const cacheFor = (belongsTo: Belongs, passes: readonly unknown[]): NodeCache => {
    const at = kept.findIndex((one) => belongTogether(one.belongsTo, belongsTo));
    const cache = kept[at] ?? emptyCache(belongsTo, passes);
    if (at >= 0) kept.splice(at, 1);
    kept.unshift(cache);
    if (kept.length > MAX_KEPT) kept.pop();
    if (!sameList(cache.passes, passes)) {
      cache.passes = passes;
      for (let node = 0; node < cache.state.length; node++) cache.state[node]++;
    }
    return cache;
  };
  return (request) => {
    const { columns, rows } = request;
    const visitor = nodeVisitor(request);
    const cacheHere = () => cacheFor(belongingOf(request), passesOf(request));
    let field = ++fields;
    let cache = cacheHere();
    cache.usedBy = field;
    const cornersOf = (region: RegionMask, column: number, row: number): Float32Array => {
      // Another picture may have been painted between two rows of this one: then all is to be compared again.
      if (cache.usedBy !== field) {
        field = ++fields;
        cache = cacheHere();
        cache.usedBy = field;
      }
      const grid = visitor.gridOf(cache, region);
      const first = row * columns + column;
      if (grid.servedBy[first] === field) return grid.signal;
      grid.servedBy[first] = field;
      for (const node of [first, first + 1, first + columns, first + columns + 1])
        visitor.visit(cache, grid, node, field);
      return grid.signal;
    };
    return { columns, rows, ground: visitor.ground, cornersOf };
  };
}

const belongingOf = ({ resolved, wetness, program, surface, columns, rows }: FieldRequest): Belongs => ({
  columns,
  rows,
  wetness,
  cardColour: resolved.card.colour,
  borders: program.borders.length,
  rungs: resolved.inks.length,
  palette: program.palette,
  spread: surface?.spread ?? 0,
  bareShare: surface?.bareShare ?? 0,
});

/** What besides the parts of the rungs' inks decides what lies at a node. */
function passesOf({ resolved: { recipe, designs }, progress, program }: FieldRequest): readonly unknown[] {
  const { panel, tool, passes, rungs, joints, run } = recipe;
  // A piece shows the blend of another place.
  const elsewhere = program.shrinks < 1 ? [rungs, joints, run] : [];
  const done = [progress.laid.join(), progress.passes, progress.placings];
  return [panel.width, panel.height, tool, passes, ...designs, ...done, ...elsewhere];
}

/** Looks at nodes: what lies there, and which colour that is. */
function nodeVisitor({ resolved, wetness, progress, program, surface, columns, rows }: FieldRequest) {
  const { panel, rungs } = resolved.recipe;
  const coverage = coverageOnGrid(resolved.recipe, progress, columns, rows);
  const stack = program.stack();
  const { ground, shade } = shadesOf(program.palette, groundOfCard(resolved.card), wetness, stack, surface);
  const hash = stackHasher();
  const [stepX, stepY] = [panel.width / (columns - 1), panel.height / (rows - 1)];
  const count = columns * rows;
  const parts = new Float64Array(rungs.length);
  let flags: Uint8Array = new Uint8Array(0);
  const inside = (border: number): boolean => flags[border] === 1;

  /** Compares the blend at a node with what it was. */
  const compare = (cache: NodeCache, node: number, field: number): void => {
    coverage(node, parts);
    const from = node * parts.length;
    let same = true;
    for (let rung = 0; rung < parts.length; rung++)
      if (cache.parts[from + rung] !== parts[rung]) {
        cache.parts[from + rung] = parts[rung];
        same = false;
      }
    if (!same) cache.state[node]++;
    cache.checkedBy[node] = field;
  };
  const compute = (cache: NodeCache, contents: number): Float32Array => {
    const found = new Float32Array(SHADE);
    shade(stack, found, 0);
    if (cache.colours.size >= MAX_COLOURS) cache.colours.clear();
    cache.colours.set(contents, found);
    return found;
  };
  const look = (cache: NodeCache, { signal, contents, visited }: RegionGrid, node: number): void => {
    program.layAt((node % columns) * stepX, Math.floor(node / columns) * stepY, inside, stack);
    const here = hash(stack);
    if (here !== contents[node]) {
      signal.set(cache.colours.get(here) ?? compute(cache, here), SHADE * node);
      contents[node] = here;
    }
    visited[node] = cache.state[node];
  };
  return {
    ground,
    gridOf: (cache: NodeCache, region: RegionMask): RegionGrid => {
      const there = cache.grids.get(region);
      if (there) return there;
      if (cache.grids.size >= MAX_GRIDS) cache.grids.clear();
      const grid = {
        signal: new Float32Array(SHADE * count),
        contents: new Float64Array(count).fill(-1),
        visited: new Int32Array(count).fill(-1),
        servedBy: new Int32Array(count),
        inside: Uint8Array.from(program.borders, (_, i) => Math.floor(region / MASK_OF[i]) % 2),
      };
      cache.grids.set(region, grid);
      return grid;
    },
    visit: (cache: NodeCache, grid: RegionGrid, node: number, field: number): void => {
      flags = grid.inside;
      if (cache.checkedBy[node] !== field) compare(cache, node, field);
      if (grid.visited[node] !== cache.state[node]) look(cache, grid, node);
    },
  };
}

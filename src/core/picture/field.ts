import { coverageOf } from '../engine/coverage';
import { type Work, workOf } from '../engine/layers';
import { lightOf } from '../engine/mixing';
import type { Progress } from '../engine/progress';
import { layersOf, type Stack } from '../engine/stack';
import { groundOfCard } from '../materials/card/card';
import { signOf } from '../materials/design/distance';
import type { Wetness } from '../materials/ink/laid';
import type { Kit } from '../recipe/recipe';
import { type Side, WEIGHT_OF } from './regions';
import { fineSignalOf } from './signal';

/** Colours on an even grid of nodes over the panel, its edges included. */
export interface Field {
  readonly columns: number;
  readonly rows: number;
  /**
   * The grid of one side, with the four corners of a square in it: 8-bit signal, not yet rounded, three values a node.
   */
  readonly cornersOf: (side: Side, column: number, row: number) => Float32Array;
}

/** The nodes of one side. */
interface Grid {
  readonly signal: Float32Array;
  /** What lies at each node, as a number that tells it from all else; -1 where nobody has looked. */
  readonly lies: Float64Array;
  /** The state of each node, by `Nodes.state`, that it was looked at in. */
  readonly seen: Int32Array;
  /** The field that last saw to each square, by its first node. */
  readonly servedBy: Int32Array;
  /** On which side of each border. */
  readonly inside: Uint8Array;
}

/**
 * What is known of the nodes of one tiling, for inks on a card. It outlives its field: while a mark is dragged most of
 * the panel stays as it was, and while a pass is dragged so do most of the films.
 */
interface Nodes {
  /** What besides the blend decides what lies at a node. */
  passes: string;
  /** The field that looked here last. */
  usedBy: number;
  /** Parts of the rungs' inks at each node. */
  readonly parts: Float64Array;
  /** Changes whenever something at a node may have: its parts, or any pass. */
  readonly state: Int32Array;
  /** The field that last compared each node's parts. */
  readonly checkedBy: Int32Array;
  readonly grids: Map<Side, Grid>;
  /** Colours by what lies there: where one ink is solid there are many places alike. */
  readonly colours: Map<number, readonly [r: number, g: number, b: number]>;
}
/** Those used last, the last one last: a joint that grows narrow asks for more nodes, and soon for fewer again. */
const kept = new Map<string, Nodes>();
const MOST_KEPT = 4;
let fields = 0;
/** So many sides are remembered; a panel with more begins anew. */
const MOST_GRIDS = 512;
const MOST_COLOURS = 20_000;

function nodesFor(key: string, passes: string, count: number, rungs: number): Nodes {
  const nodes = kept.get(key) ?? {
    passes,
    usedBy: 0,
    parts: new Float64Array(count * rungs).fill(-1),
    state: new Int32Array(count),
    checkedBy: new Int32Array(count),
    grids: new Map<Side, Grid>(),
    colours: new Map(),
  };
  kept.delete(key);
  kept.set(key, nodes);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value as string);
  if (nodes.passes !== passes) {
    nodes.passes = passes;
    for (let node = 0; node < count; node++) nodes.state[node] = (nodes.state[node] as number) + 1;
  }
  return nodes;
}

/**
 * The panel's colours as a field. Blends are smooth, so spectra are computed at the nodes and a picture interpolates
 * between them; borders are sharp, so each side of them has a grid of its own, and only as much of it as is asked for.
 */
export function fieldOf(
  kit: Kit,
  wetness: Wetness,
  progress: Progress,
  { columns, rows }: { readonly columns: number; readonly rows: number },
  work: Work = workOf(kit, progress),
): Field {
  const { panel, rungs } = kit.recipe;
  const colourOf = lightOf(work.palette, groundOfCard(kit.card), wetness);
  const coverage = coverageOf(kit.recipe, progress);
  const stack = work.stack();
  const [stepX, stepY] = [panel.width / (columns - 1), panel.height / (rows - 1)];
  const count = columns * rows;
  let field = ++fields;
  const nodesHere = (): Nodes =>
    nodesFor(keyOf(kit, wetness, columns, rows, work), passesOf(kit, progress, work), count, rungs.length);
  let nodes = nodesHere();
  nodes.usedBy = field;
  const parts = new Float64Array(rungs.length);
  let flags: Uint8Array = new Uint8Array(0);
  const inside = (border: number): boolean => flags[border] === 1;

  /** Compares the blend at a node with what it was. */
  const check = (node: number): void => {
    coverage((node % columns) * stepX, Math.floor(node / columns) * stepY, parts);
    const from = node * parts.length;
    let same = true;
    for (let rung = 0; rung < parts.length; rung++)
      if (nodes.parts[from + rung] !== parts[rung]) {
        nodes.parts[from + rung] = parts[rung] as number;
        same = false;
      }
    if (!same) nodes.state[node] = (nodes.state[node] as number) + 1;
    nodes.checkedBy[node] = field;
  };
  const compute = (here: number): readonly [number, number, number] => {
    const { r, g, b } = colourOf(stack);
    const found = [fineSignalOf(r), fineSignalOf(g), fineSignalOf(b)] as const;
    if (nodes.colours.size >= MOST_COLOURS) nodes.colours.clear();
    nodes.colours.set(here, found);
    return found;
  };
  const look = ({ signal, lies, seen }: Grid, node: number): void => {
    work.at((node % columns) * stepX, Math.floor(node / columns) * stepY, inside, stack);
    const here = told(stack);
    if (here !== lies[node]) {
      const [r, g, b] = nodes.colours.get(here) ?? compute(here);
      signal[3 * node] = r;
      signal[3 * node + 1] = g;
      signal[3 * node + 2] = b;
      lies[node] = here;
    }
    seen[node] = nodes.state[node] as number;
  };
  const gridOf = (side: Side): Grid => {
    const there = nodes.grids.get(side);
    if (there) return there;
    if (nodes.grids.size >= MOST_GRIDS) nodes.grids.clear();
    const grid = {
      signal: new Float32Array(3 * count),
      lies: new Float64Array(count).fill(-1),
      seen: new Int32Array(count).fill(-1),
      servedBy: new Int32Array(count),
      inside: Uint8Array.from(work.borders, (_, i) => Math.floor(side / (WEIGHT_OF[i] as number)) % 2),
    };
    nodes.grids.set(side, grid);
    return grid;
  };
  const see = (grid: Grid, node: number): void => {
    if (nodes.checkedBy[node] !== field) check(node);
    if (grid.seen[node] !== nodes.state[node]) look(grid, node);
  };
  const cornersOf = (side: Side, column: number, row: number): Float32Array => {
    // Another picture may have been painted between two rows of this one: then all is to be compared again.
    if (nodes.usedBy !== field) {
      field = ++fields;
      nodes = nodesHere();
      nodes.usedBy = field;
    }
    const grid = gridOf(side);
    const first = row * columns + column;
    if (grid.servedBy[first] === field) return grid.signal;
    grid.servedBy[first] = field;
    flags = grid.inside;
    see(grid, first);
    see(grid, first + 1);
    see(grid, first + columns);
    see(grid, first + columns + 1);
    return grid.signal;
  };
  return { columns, rows, cornersOf };
}

/** What grids belong to: a tiling, the card and the inks. */
const keyOf = (kit: Kit, wetness: Wetness, columns: number, rows: number, work: Work): string =>
  JSON.stringify([
    columns,
    rows,
    wetness,
    kit.card.colour,
    work.borders.length,
    kit.inks.length,
    work.palette.map(({ kind, overWhite, overBlack, dryBack, potency }) => [
      kind,
      overWhite,
      overBlack,
      dryBack,
      potency,
    ]),
  ]);

/** What besides the parts of the rungs' inks decides what lies at a node. */
function passesOf({ recipe, designs }: Kit, progress: Progress, work: Work): string {
  const { panel, tool, passes, rungs, joints, run } = recipe;
  // A piece shows the blend of another place.
  const elsewhere = work.shrinks < 1 ? [rungs, joints, run] : [];
  return JSON.stringify([
    panel,
    tool,
    passes,
    designs.map(signOf),
    progress.laid,
    progress.passes,
    progress.placings,
    elsewhere,
  ]);
}

const BITS = new Float64Array(1);
const HALVES = new Uint32Array(BITS.buffer);

/**
 * What lies at a point as one number of 53 bits, at least 0: the same for the same stack, and for two others so hardly
 * ever that no picture will show it. Source of the mixing: FNV-1a's prime and xorshift, from memory.
 */
function told(stack: Stack): number {
  const { amounts, inks } = stack;
  const layers = layersOf(stack);
  let one = 0x811c9dc5 ^ layers ^ (stack.wet ? 0x100 : 0);
  let other = 0x9747b28c;
  for (let i = 0; i < layers * inks; i++) {
    const amount = amounts[i] as number;
    if (amount === 0) continue;
    BITS[0] = amount;
    one = Math.imul(one ^ (HALVES[0] as number) ^ i, 0x01000193);
    one = Math.imul(one ^ (HALVES[1] as number), 0x01000193);
    other = Math.imul(other ^ (HALVES[1] as number) ^ (i << 8), 0x5bd1e995);
    other = Math.imul(other ^ (other >>> 15) ^ (HALVES[0] as number), 0x5bd1e995);
    one ^= one >>> 13;
  }
  return (one >>> 0) * 0x200000 + (other >>> 11);
}

import type { Wetness } from '../ink/laid';
import { coverageOf } from '../ladder/coverage';
import type { Kit } from '../ladder/recipe';
import { OVERS, type OverLie } from '../over/over';
import { mixColour } from './mix';
import type { Progress } from './progress';
import { fineSignalOf } from './signal';

/** Colours on an even grid over the panel, its edges included: 8-bit signal, not yet rounded, three values a node. */
export interface Field {
  readonly columns: number;
  readonly rows: number;
  readonly signal: Float32Array;
}

/** The nodes of a field, and the rows of them that are needed; the others stay empty. */
export interface Nodes {
  readonly columns: number;
  readonly rows: number;
  readonly needed: { readonly from: number; readonly to: number };
}

/** What is laid over the ladder with a sharp border, and the panel's colours where it lies and where it does not. */
export interface Fields {
  readonly without: Field;
  readonly sharp?: {
    readonly field: Field;
    readonly isUnder: (x: number, y: number) => boolean;
    readonly level: boolean;
  };
}

/**
 * The panel's colours as fields: blends are smooth, so spectra are computed at the nodes and a picture interpolates
 * between them. Sharp borders are kept out of the fields and drawn as masks between two of them.
 */
export function fieldsOf(kit: Kit, wetness: Wetness, progress: Progress, nodes: Nodes): Fields {
  const { overs, panel } = kit.recipe;
  const lies = overs.map(({ id, params }) => OVERS[id].on(panel, params));
  const isSharp = overs.map(({ id }, i) => OVERS[id].sharp && i < progress.overs);
  const fieldWith = (sharp: boolean): Field =>
    fieldOf(kit, wetness, progress, nodes, (i, x, y) =>
      isSharp[i] ? (sharp ? 1 : 0) : (lies[i] as OverLie).coverAt(x, y),
    );
  const masks = lies.filter((_, i) => isSharp[i]);
  if (masks.length === 0) return { without: fieldWith(false) };
  return {
    without: fieldWith(false),
    sharp: {
      field: fieldWith(true),
      isUnder: (x, y) => masks.some(({ coverAt }) => coverAt(x, y) >= 0.5),
      level: masks.every(({ level }) => level),
    },
  };
}

function fieldOf(
  kit: Kit,
  wetness: Wetness,
  progress: Progress,
  { columns, rows, needed }: Nodes,
  coverAt: (over: number, x: number, y: number) => number,
): Field {
  const { panel, rungs, overs } = kit.recipe;
  const coverage = coverageOf(kit.recipe);
  const colourOf = mixColour(kit, wetness, progress);
  const parts = new Float64Array(rungs.length);
  const covers = new Float64Array(overs.length);
  const signal = new Float32Array(columns * rows * 3);
  /** Places where one ink lies solid look alike, and there are many; neighbours on a level run do too. */
  const solids = new Map<number, readonly [number, number, number]>();
  const before = { parts: new Float64Array(rungs.length), covers: new Float64Array(overs.length), at: -1 };
  for (let row = needed.from, at = needed.from * columns * 3; row < needed.to; row++) {
    const y = (row / (rows - 1)) * panel.height;
    for (let column = 0; column < columns; column++, at += 3) {
      const x = (column / (columns - 1)) * panel.width;
      coverage(x, y, parts);
      let plain = true;
      for (let over = 0; over < covers.length; over++) {
        const cover = coverAt(over, x, y);
        covers[over] = cover;
        if (cover > 0) plain = false;
      }
      const solid = plain ? parts.indexOf(1) : -1;
      const known = solid >= 0 ? solids.get(solid) : undefined;
      if (known) {
        signal.set(known, at);
        continue;
      }
      if (before.at >= 0 && same(parts, before.parts) && same(covers, before.covers)) {
        signal.copyWithin(at, before.at, before.at + 3);
        continue;
      }
      const { r, g, b } = colourOf(parts, covers);
      const found = [fineSignalOf(r), fineSignalOf(g), fineSignalOf(b)] as const;
      if (solid >= 0) solids.set(solid, found);
      signal.set(found, at);
      before.parts.set(parts);
      before.covers.set(covers);
      before.at = at;
    }
  }
  return { columns, rows, signal };
}

function same(p: Float64Array, q: Float64Array): boolean {
  for (let i = 0; i < p.length; i++) if (p[i] !== q[i]) return false;
  return true;
}

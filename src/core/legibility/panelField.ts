import { groundOfCard } from '../card/card';
import { xyzOfSpectrum } from '../colour/lab';
import type { Spectrum } from '../colour/spectrum';
import type { Kit } from '../ladder/recipe';
import type { Millimetres } from '../panel/measure';
import { reflectanceOf } from '../panel/mix';
import { finished } from '../panel/progress';
import { layersOf } from '../pass/stack';
import { workOf } from '../pass/work';

/** The dried panel on an even grid of cells, each told by the reflectance of its middle. */
export interface PanelField {
  readonly columns: number;
  readonly rows: number;
  /** A cell's size, mm. */
  readonly cell: { readonly width: Millimetres; readonly height: Millimetres };
  /** Reflectance of each cell, row by row. */
  readonly spectra: readonly Spectrum[];
  /** Relative luminance of each cell, 0…1. */
  readonly luminance: Float64Array;
}

/** Cells along the longer side: each about 3 mm on a usual panel. */
const CELLS = 46;

/** Reads the whole dried panel, with every pass. */
export function panelField(kit: Kit, cells = CELLS): PanelField {
  const { recipe, card } = kit;
  const { width, height } = recipe.panel;
  const longer = Math.max(width, height);
  const [columns, rows] = [width, height].map((side) => Math.max(Math.round((cells * side) / longer), 6)) as [
    number,
    number,
  ];
  const work = workOf(kit, finished(recipe));
  const stack = work.stack();
  const reflectanceAt = reflectanceOf(work.palette, groundOfCard(card));
  const cell = { width: width / columns, height: height / rows };
  const known = new Map<string, Spectrum>();
  const at = (column: number, row: number): Spectrum => {
    const [across, down] = [(column + 0.5) * cell.width, (row + 0.5) * cell.height];
    work.at(across, down, (border) => (work.borders[border]?.(across, down) ?? 0) > 0, stack);
    // A straight run looks alike along a row, and a solid ink everywhere.
    const key = stack.amounts.subarray(0, layersOf(stack) * stack.inks).join(' ');
    const found = known.get(key) ?? reflectanceAt(stack);
    known.set(key, found);
    return found;
  };
  const spectra = Array.from({ length: columns * rows }, (_, i) => at(i % columns, Math.floor(i / columns)));
  return {
    columns,
    rows,
    cell,
    spectra,
    luminance: Float64Array.from(spectra, (one) => xyzOfSpectrum(one).y),
  };
}

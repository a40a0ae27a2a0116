import { type Cells, cellsOf, middlesOf } from '../../base/grid';
import type { Millimetres } from '../../base/length';
import { workOf } from '../../engine/layers';
import { reflectanceOf } from '../../engine/mixing';
import { finished } from '../../engine/progress';
import { layersOf } from '../../engine/stack';
import { groundOfCard } from '../../materials/card/card';
import { xyzOfSpectrum } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import type { Kit } from '../../recipe/recipe';

/** The dried panel on an even grid of cells, each told by the reflectance of its middle. */
export interface PanelField {
  readonly cells: Cells;
  /** Reflectance of each cell, row by row. */
  readonly spectra: readonly Spectrum[];
  /** Relative luminance of each cell, 0…1. */
  readonly luminance: Float64Array;
}

/** Cells along the longer side: each about 3 mm on a usual panel. */
const CELLS = 46;

/** Reads the whole dried panel, with every pass. */
export function panelField(kit: Kit, most = CELLS): PanelField {
  const { recipe, card } = kit;
  const cells = cellsOf(recipe.panel, most);
  const work = workOf(kit, finished(recipe));
  const stack = work.stack();
  const reflectanceAt = reflectanceOf(work.palette, groundOfCard(card));
  const known = new Map<string, Spectrum>();
  const at = (x: Millimetres, y: Millimetres): Spectrum => {
    work.at(x, y, (border) => (work.borders[border]?.(x, y) ?? 0) > 0, stack);
    // A straight run looks alike along a row, and a solid ink everywhere.
    const key = stack.amounts.subarray(0, layersOf(stack) * stack.inks).join(' ');
    const found = known.get(key) ?? reflectanceAt(stack);
    known.set(key, found);
    return found;
  };
  const spectra = middlesOf(cells).map(([x, y]) => at(x, y));
  return {
    cells,
    spectra,
    luminance: Float64Array.from(spectra, (one) => xyzOfSpectrum(one).y),
  };
}

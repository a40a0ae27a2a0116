import { type Cells, cellsOf, middlesOf } from '../../base/grid';
import { probePanel } from '../../engine/probe';
import { countLayers } from '../../engine/stack';
import { xyzOfSpectrum } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import type { ResolvedRecipe } from '../../recipe/resolved';

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
export function panelField(resolved: ResolvedRecipe, most = CELLS): PanelField {
  const cells = cellsOf(resolved.recipe.panel, most);
  const probe = probePanel(resolved);
  const known = new Map<string, Spectrum>();
  const spectra = middlesOf(cells).map(([x, y]) => {
    const stack = probe.stackAt(x, y);
    // A straight run looks alike along a row, and a solid ink everywhere.
    const contents = stack.amounts.subarray(0, countLayers(stack) * stack.inks).join(' ');
    const found = known.get(contents) ?? probe.reflectanceOf(stack);
    known.set(contents, found);
    return found;
  });
  return { cells, spectra, luminance: Float64Array.from(spectra, (one) => xyzOfSpectrum(one).y) };
}

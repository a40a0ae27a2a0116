import { groundOfCard } from '../card/card';
import { xyzOfSpectrum } from '../colour/lab';
import type { Spectrum } from '../colour/spectrum';
import { type Laid, laidReflectance } from '../ink/laid';
import { coverageOf } from '../ladder/coverage';
import type { Kit } from '../ladder/recipe';
import { OVERS } from '../over/over';

/** The dried panel on an even grid of cells, each told by the reflectance of its middle. */
export interface PanelField {
  readonly columns: number;
  readonly rows: number;
  /** mm from the left and from the top to the middle of a cell's column and row. */
  readonly x: (column: number) => number;
  readonly y: (row: number) => number;
  /** Reflectance of each cell, row by row. */
  readonly spectra: readonly Spectrum[];
  /** Relative luminance of each cell, 0…1. */
  readonly luminance: Float64Array;
}

/** Cells along the longer side: each about 3 mm on a usual panel. */
const CELLS = 46;

/** Reads the whole dried panel, with all that lies over the ladder. */
export function panelField(kit: Kit, cells = CELLS): PanelField {
  const { recipe, card, inks, overInks } = kit;
  const { width, height } = recipe.panel;
  const longer = Math.max(width, height);
  const [columns, rows] = [width, height].map((side) => Math.max(Math.round((cells * side) / longer), 6)) as [
    number,
    number,
  ];
  const bare = groundOfCard(card);
  const coverage = coverageOf(recipe);
  const lies = recipe.overs.map(({ id, params }) => ({
    ...OVERS[id].on(recipe.panel, params),
    onto: OVERS[id].onto,
  }));
  const parts = new Float64Array(inks.length);
  const x = (column: number) => ((column + 0.5) / columns) * width;
  const y = (row: number) => ((row + 0.5) / rows) * height;
  const known = new Map<string, Spectrum>();
  const at = (column: number, row: number): Spectrum => {
    coverage(x(column), y(row), parts);
    const covers = lies.map(({ coverAt }) => coverAt(x(column), y(row)));
    // A straight run looks alike along a row, and a solid ink everywhere.
    const key = `${parts.join(' ')} ${covers.join(' ')}`;
    const found = known.get(key);
    if (found) return found;
    const laid = (onto: 'wet' | 'dried'): Laid[] =>
      covers.flatMap((coats, i) => {
        const ink = overInks[i];
        return ink && coats > 0 && lies[i]?.onto === onto ? [{ ink, coats }] : [];
      });
    const ladder = inks.flatMap((ink, i) =>
      (parts[i] as number) > 0 ? [{ ink, coats: parts[i] as number }] : [],
    );
    let reflectance = laidReflectance([...ladder, ...laid('wet')], bare, 'dry');
    for (const film of laid('dried')) reflectance = laidReflectance([film], reflectance, 'dry');
    known.set(key, reflectance);
    return reflectance;
  };
  const spectra = Array.from({ length: columns * rows }, (_, i) => at(i % columns, Math.floor(i / columns)));
  return {
    columns,
    rows,
    x,
    y,
    spectra,
    luminance: Float64Array.from(spectra, (one) => xyzOfSpectrum(one).y),
  };
}

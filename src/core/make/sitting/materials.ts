import { gridOf } from '../../base/grid';
import { probePanel } from '../../engine/probe';
import { countLayers } from '../../engine/stack';
import { isBare } from '../../materials/ink/ink';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { contextsOf, placedPasses, type ResolvedRecipe } from '../../recipe/resolved';

/** What one panel takes of an ink. */
export interface InkUse {
  readonly inkId: string;
  readonly name: string;
  /** Area of full coats, cm². */
  readonly coated: number;
}

/** What one panel takes of powder or paste. */
export interface ThingUse {
  readonly thing: string;
  readonly unit: 'g' | 'ml';
  readonly amount: number;
}

/** What one panel takes, without what stays in brushes and on the mat. */
export interface PanelUse {
  readonly inks: readonly InkUse[];
  readonly things: readonly ThingUse[];
}

/** Points along the longer side at which areas are counted. */
const GRID = 60;
const MM2_A_M2 = 1e6;
const MM2_A_CM2 = 100;

/** Ink of a full coat, ml a m², with what stays in the brush, on the mat and on the paper; from memory. */
export const ML_A_COAT = 12;
/** A bottle of ink, ml; from memory. */
export const BOTTLE_ML = 15;

/** What is laid on one panel: of each ink the area in full coats, of powder and paste what their designs cover. */
export function panelUse(resolved: ResolvedRecipe): PanelUse {
  const { recipe } = resolved;
  const { program, stackAt } = probePanel(resolved);
  const points = gridOf(recipe.panel, GRID);
  const each = (recipe.panel.width * recipe.panel.height) / points.length;
  const coats = new Float64Array(program.palette.length);
  for (const [x, y] of points) {
    const stack = stackAt(x, y);
    for (let layer = 0; layer < countLayers(stack); layer++)
      for (let ink = 0; ink < stack.inks; ink++)
        coats[ink] = (coats[ink] ?? 0) + (stack.amounts[layer * stack.inks + ink] ?? 0);
  }
  const own = new Set([...resolved.inks, ...resolved.passInks].map(({ id }) => id));
  const panels = resolved.alsoOn ? 2 : 1;
  const inks = program.palette.flatMap((ink, i): InkUse[] => {
    const coated = ((coats[i] ?? 0) * each * panels) / MM2_A_CM2;
    return own.has(ink.id) && !isBare(ink) && coated > 0 ? [{ inkId: ink.id, name: ink.name, coated }] : [];
  });
  const things = new Map<string, ThingUse>();
  for (const pass of recipe.passes) {
    const kind = PASS_KINDS[pass.kind];
    if (!kind.takes) continue;
    const places = placedPasses(resolved, pass);
    contextsOf(resolved, pass).forEach(({ params }, i) => {
      const taken = kind.takes?.(params);
      const border = places[i]?.borders[0];
      if (!taken) return;
      const covered = points.filter(([x, y]) => !border || border(x, y) > 0).length * each * panels;
      const amount = (covered / MM2_A_M2) * taken.perSquareMetre;
      const before = things.get(taken.thing)?.amount ?? 0;
      things.set(taken.thing, { thing: taken.thing, unit: taken.unit, amount: before + amount });
    });
  }
  return { inks, things: [...things.values()] };
}

/** So many panels of several recipes together; the same ink and the same thing add up. */
export function usedTogether(lots: readonly { readonly use: PanelUse; readonly count: number }[]): PanelUse {
  const inks = new Map<string, InkUse>();
  const things = new Map<string, ThingUse>();
  for (const { use, count } of lots) {
    if (count <= 0) continue;
    for (const ink of use.inks)
      inks.set(ink.inkId, { ...ink, coated: (inks.get(ink.inkId)?.coated ?? 0) + ink.coated * count });
    for (const thing of use.things)
      things.set(thing.thing, {
        ...thing,
        amount: (things.get(thing.thing)?.amount ?? 0) + thing.amount * count,
      });
  }
  return { inks: [...inks.values()], things: [...things.values()] };
}

/** Ink for an area of full coats, ml. @param perCoat  ml a m² of one coat */
export const millilitres = (coated: number, perCoat = ML_A_COAT): number => (coated / 1e4) * perCoat;

/** How many more such panels one bottle of the ink will do. */
export const bottleDoes = (coatedOnOne: number, perCoat = ML_A_COAT): number =>
  coatedOnOne > 0 ? Math.floor(BOTTLE_ML / millilitres(coatedOnOne, perCoat)) : Number.POSITIVE_INFINITY;

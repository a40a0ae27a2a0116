import type { Ink } from '../materials/ink/ink';

/** What lies at one point, layer on layer from the card up: coats of each ink of a palette. The last may be wet. */
export interface LayerStack {
  readonly inks: number;
  /** Coats by layer and ink. */
  readonly amounts: Float64Array;
  /** Layers that have dried. */
  dried: number;
  /** Whether a wet one lies on them. */
  wet: boolean;
}

/** @param layers the most that will ever lie on each other */
export const makeStack = (palette: readonly Ink[], layers: number): LayerStack => ({
  inks: palette.length,
  amounts: new Float64Array(palette.length * (layers + 1)),
  dried: 0,
  wet: false,
});

export const countLayers = ({ dried, wet }: LayerStack): number => dried + (wet ? 1 : 0);

export function clearStack(stack: LayerStack): void {
  stack.amounts.fill(0, 0, stack.inks * countLayers(stack));
  stack.dried = 0;
  stack.wet = false;
}

/** Adds an ink to what is wet. */
export function addWet(stack: LayerStack, ink: number, coats: number): void {
  if (coats <= 0) return;
  const at = stack.dried * stack.inks + ink;
  stack.amounts[at] = stack.amounts[at] + coats;
  stack.wet = true;
}

/** What is wet dries: the next ink begins a layer. */
export function dryStack(stack: LayerStack): void {
  if (!stack.wet) return;
  stack.dried++;
  stack.wet = false;
}

/** Leaves of each ink in every layer so much, 1 being all of it. */
export function thinStack(stack: LayerStack, leaves: (ink: number) => number): void {
  const layers = countLayers(stack);
  for (let ink = 0; ink < stack.inks; ink++) {
    const part = leaves(ink);
    for (let layer = 0; layer < layers; layer++) {
      const at = layer * stack.inks + ink;
      stack.amounts[at] = stack.amounts[at] * part;
    }
  }
}

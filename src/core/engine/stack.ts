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

/**
 * Tells stacks apart by one number of 53 bits, at least 0: the same for the same stack, and for two others so hardly
 * ever that no picture will show it, nor a reading. Source of the mixing: FNV-1a's prime and xorshift, from memory.
 */
export function stackHasher(): (stack: LayerStack) => number {
  const bits = new Float64Array(1);
  const halves = new Uint32Array(bits.buffer);
  return (stack) => {
    const { amounts, inks } = stack;
    const layers = countLayers(stack);
    let one = 0x811c9dc5 ^ layers ^ (stack.wet ? 0x100 : 0);
    let other = 0x9747b28c;
    for (let i = 0; i < layers * inks; i++) {
      if (amounts[i] === 0) continue;
      bits[0] = amounts[i];
      one = Math.imul(one ^ halves[0] ^ i, 0x01000193);
      one = Math.imul(one ^ halves[1], 0x01000193);
      other = Math.imul(other ^ halves[1] ^ (i << 8), 0x5bd1e995);
      other = Math.imul(other ^ (other >>> 15) ^ halves[0], 0x5bd1e995);
      one ^= one >>> 13;
    }
    return (one >>> 0) * 0x200000 + (other >>> 11);
  };
}

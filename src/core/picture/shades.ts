import { lightOf, type Wetness } from '../engine/mixing';
import type { LayerStack } from '../engine/stack';
import type { LinearRgb } from '../materials/colour/lab';
import type { Spectrum } from '../materials/colour/spectrum';
import type { Ink } from '../materials/ink/ink';
import { lightOfByte, srgbByteOf } from './signal';
import { MOST_MORE } from './surface/details';
import type { Surface } from './surface/surface';

/**
 * What is known of a place beside its grain, in so many numbers: its colour, three of 8-bit signal not yet rounded; how each
 * of them goes with the grain, three by its first power and three by its second; and how much of the grain a coat is that is
 * not of the grain's own, such as a drop takes.
 */
export const SHADE = 10;

/** So much thicker and thinner a place is asked for to learn how its colour goes with the coat. */
const ASIDE = MOST_MORE;
/** How a colour goes with the coat is told from every so-manieth band. */
const EVERY = 4;
/** So much grainier a coat gets as it is lifted to nothing. By eye. */
const GRAINIER = 1.4;
/** Whatever is bare beside it, a place keeps this part of its own light. */
const KEPT = 0.4;

/** The signal of what lies under all ink: what is bare shows it. */
export type Ground = readonly [r: number, g: number, b: number];

export interface Shades {
  readonly ground: Ground;
  /** Fills in the shade of what lies at a place. */
  readonly shade: (stack: LayerStack, into: Float32Array, at: number) => void;
}

/**
 * How colours go with the coat, so that unevenness is unevenness of the ink: laid u coats more or less for each that lies
 * there, a place has the signal C + S·u + Q·u², which is right at its own coat and where it is a third thicker or thinner.
 * Farther off a parabola that fell soon rises again.
 * The less lies there, the grainier it is: S and Q have that in them.
 * C is such that the place keeps its mean colour with its grain and its bare specks.
 *
 * @param surface  left out, nothing is uneven
 */
export function shadesOf(
  palette: readonly Ink[],
  ground: Spectrum,
  wetness: Wetness,
  stack: LayerStack,
  surface: Pick<Surface, 'spread' | 'bareShare'> | undefined,
): Shades {
  const colourOf = lightOf(palette, ground, wetness);
  const roughlyOf = lightOf(palette, ground, wetness, EVERY);
  const bare = colourOf(stack);
  const bareSignal: Ground = [srgbByteOf(bare.r), srgbByteOf(bare.g), srgbByteOf(bare.b)];
  const aside: LayerStack = { ...stack, amounts: stack.amounts.slice() };
  return {
    ground: bareSignal,
    shade: (lies, into, at) => {
      const light = colourOf(lies);
      if (!surface) {
        into[at] = srgbByteOf(light.r);
        into[at + 1] = srgbByteOf(light.g);
        into[at + 2] = srgbByteOf(light.b);
        return;
      }
      const coats = scaleStack(lies, 1 + ASIDE, aside);
      if (coats === 0) {
        into.fill(0, at, at + SHADE);
        into.set(bareSignal, at);
        return;
      }
      const rough = roughlyOf(lies);
      const thicker = roughlyOf(aside);
      scaleStack(lies, 1 - ASIDE, aside);
      const thinner = roughlyOf(aside);
      const grainier = 1 + GRAINIER * Math.max(1 - coats, 0);
      const node = NODE * surface.spread;
      for (let channel = 0; channel < 3; channel++) {
        const whole = channelOf(light, channel);
        const flat = srgbByteOf(channelOf(rough, channel));
        const more = srgbByteOf(channelOf(thicker, channel)) - flat;
        const less = srgbByteOf(channelOf(thinner, channel)) - flat;
        const slope = (grainier * (more - less)) / (2 * ASIDE);
        const bend = (grainier * grainier * (more + less)) / (2 * ASIDE * ASIDE);
        const inked = between(whole, channelOf(bare, channel), surface.bareShare);
        const colour = srgbByteOf(inked);
        const mean =
          (4 * lightOfByte(colour) +
            lightOfByte(colour + slope * node + bend * node * node) +
            lightOfByte(colour - slope * node + bend * node * node)) /
          6;
        into[at + channel] = 2 * colour - srgbByteOf(mean);
        into[at + 3 + channel] = slope;
        into[at + 6 + channel] = bend;
      }
      into[at + 9] = 1 / grainier;
    },
  };
}

/** Three coats whose mean, with weights 1, 4 and 1, is that of all in a normal distribution. Source: Gauss–Hermite quadrature. */
const NODE = Math.sqrt(3);

const channelOf = ({ r, g, b }: LinearRgb, channel: number): number =>
  channel === 0 ? r : channel === 1 ? g : b;

/** The light of the inked part of a place which, with its bare part, has this one. */
const between = (whole: number, bare: number, bareShare: number): number =>
  Math.max((whole - bareShare * bare) / (1 - bareShare), KEPT * whole);

/** Fills in a stack with every film so many times as thick. Returns the coats that lay there together. */
function scaleStack(from: LayerStack, times: number, into: LayerStack): number {
  into.dried = from.dried;
  into.wet = from.wet;
  let coats = 0;
  for (let i = 0; i < from.amounts.length; i++) {
    const amount = from.amounts[i];
    coats += amount;
    into.amounts[i] = amount * times;
  }
  return coats;
}

import type { DriedInks } from '../pairs/pairTable';
import { defineRelation } from './definition';
import { fall, flowOf, soft } from './measures';

/** Hue in degrees and the least chroma of each; the yellow is pale, too. Thresholds here are by eye. */
const YELLOW = { from: 72, to: 108, chroma: 30, lightness: 66 };
const RED = { from: 335, to: 42, chroma: 35 };
const BLUE = { from: 205, to: 300, chroma: 20 };
/** Hue of what each joint is to make. */
const ORANGE = { from: 25, to: 88 };
const GREEN = { from: 95, to: 210 };
const VIOLET = { from: 270, to: 365 };
/** What makes a new colour half as lively as it could be; violet, where red and blue do not touch, counts less. */
const LIVE = { joint: 15, violet: 8, withoutViolet: 0.15 };

/** Whether a hue lies from one to another, upward; across 0 where `to` is the smaller or beyond 360. */
const isWithin = (hue: number, { from, to }: { readonly from: number; readonly to: number }): boolean =>
  to > 360
    ? hue >= from || hue <= to - 360
    : from <= to
      ? hue >= from && hue <= to
      : hue >= from || hue <= to;

/** Which of the three an ink is. */
const [IS_NONE, IS_YELLOW, IS_RED, IS_BLUE] = [0, 1, 2, 3];

const primariesOf = ({ hue, chroma, lightness }: DriedInks): Uint8Array =>
  Uint8Array.from(hue, (degrees, ink) => {
    const [c, l] = [chroma[ink], lightness[ink]];
    if (isWithin(degrees, YELLOW) && c >= YELLOW.chroma && l >= YELLOW.lightness) return IS_YELLOW;
    if (isWithin(degrees, RED) && c > RED.chroma) return IS_RED;
    return isWithin(degrees, BLUE) && c > BLUE.chroma ? IS_BLUE : IS_NONE;
  });

export const primaries = defineRelation({
  id: 'primaries',
  label: 'Three primaries make six',
  phrase: 'trios of primaries',
  description:
    'A pale yellow in the middle with more room, red and blue beside it: orange and green in the joints, violet where they meet.',
  anyMiddle: true,
  middleAtMost: 7,
  shares: [0.32, 0.36, 0.32],
  joins: (dried) => {
    const primary = primariesOf(dried);
    return (one, other) =>
      primary[one] !== primary[other] && primary[one] !== IS_NONE && primary[other] !== IS_NONE;
  },
  scorer: ({ dried, pairs }) => {
    const { hue, chroma, lightness } = dried;
    const { count, live, newHue } = pairs;
    const primary = primariesOf(dried);
    return (first, middle, last) => {
      if (primary[middle] !== IS_YELLOW) return 0;
      const red = primary[first] === IS_RED ? first : last;
      const blue = red === first ? last : first;
      if (primary[red] !== IS_RED || primary[blue] !== IS_BLUE) return 0;
      if (lightness[middle] < Math.max(lightness[first], lightness[last])) return 0;
      const a = red * count + middle;
      const b = middle * count + blue;
      const made = (at: number, wanted: typeof ORANGE, half: number): number =>
        isWithin(newHue[at], wanted) ? soft(live[at], half) : 0;
      const violet = made(red * count + blue, VIOLET, LIVE.violet);
      const six =
        made(a, ORANGE, LIVE.joint) *
        made(b, GREEN, LIVE.joint * (2 / 3)) *
        (LIVE.withoutViolet + (1 - LIVE.withoutViolet) * violet);
      const beyond = (over: number) => Math.max(0, over);
      return (
        Math.cbrt(six) *
        soft(chroma[middle] - 25, 25) *
        fall(beyond(hue[middle] - 88), 16) *
        soft(lightness[middle] - 60, 12) *
        soft(lightness[middle] - Math.max(lightness[red], lightness[blue]), 12) *
        flowOf(pairs, a, b) *
        fall(lightness[red] - lightness[blue], 25) *
        fall(((hue[red] + 180) % 360) - 180 - 15, 35) *
        fall(hue[blue] - 245, 40)
      );
    };
  },
  tell: () =>
    'Orange, green and violet appear where they meet; the yellow is palest, so it has a little more room.',
});

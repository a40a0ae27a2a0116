import { layered, smoothNoise } from '../../base/noise';
import { LINEAR } from '../../choose/photo/pixels';
import { linearRgbOfHex } from '../../materials/colour/hex';
import { type LinearRgb, srgbSignal } from '../../materials/colour/lab';
import { type Ink, isBare } from '../../materials/ink/ink';
import { type Picture, paintPanel } from '../../picture/paint';
import { jointSpans, runLength } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { withChange } from '../log/changes';
import type { TroubleId } from '../log/troubles';

/** What a fault does to the light of a place: x and y in parts of the panel, 0…1. */
type Fault = (light: LinearRgb, x: number, y: number) => LinearRgb;

/** What a fault is painted with. */
interface Scene {
  readonly resolved: ResolvedRecipe;
  readonly card: LinearRgb;
  /** The middle of the joint that is looked at, from the top, 0…1, and how wide it is. */
  readonly joint: { readonly at: number; readonly width: number };
  readonly inks: readonly LinearRgb[];
}

const SEED = 5;
const fine = smoothNoise(1, SEED);
const patches = layered(smoothNoise(1, SEED + 1));

const mix = (p: LinearRgb, q: LinearRgb, part: number): LinearRgb => ({
  r: p.r + part * (q.r - p.r),
  g: p.g + part * (q.g - p.g),
  b: p.b + part * (q.b - p.b),
});
const dimmed = ({ r, g, b }: LinearRgb, by: number): LinearRgb => ({ r: r * by, g: g * by, b: b * by });
/** As if so much more of the same ink lay there: light goes through it once more. */
const deeper = ({ r, g, b }: LinearRgb, by: number): LinearRgb => ({ r: r ** by, g: g ** by, b: b ** by });
const bump = (distance: number, width: number): number => Math.exp(-((distance / width) ** 2));
const BROWN: LinearRgb = { r: 0.2, g: 0.13, b: 0.07 };

/** The faults that are seen in pixels; the others are recipes that went wrong, painted as such. */
const FAULTS: Readonly<Partial<Record<TroubleId, (scene: Scene) => Fault>>> = {
  hardLine:
    ({ joint }) =>
    (light, x, y) => {
      const arc = joint.at + 0.06 * Math.sin(3 * x + 0.6);
      const below = y > arc && y < arc + 0.16;
      return below ? deeper(light, 1 + 0.7 * Math.exp(-(y - arc) / 0.05)) : light;
    },
  disc:
    ({ joint, inks }) =>
    (light, x, y) => {
      const far = Math.hypot(x - 0.6, (y - joint.at) * 1.25);
      return far < 0.13 ? mix(light, inks.at(-1) ?? light, 0.75) : light;
    },
  muddyBand:
    ({ joint }) =>
    (light, _, y) =>
      mix(light, BROWN, 0.75 * bump(y - joint.at, Math.max(joint.width, 0.12) * 0.6)),
  wetSplotches: () => (light, x, y) => deeper(light, 1.25 + 0.55 * patches(5 * x, 6 * y)),
  drySplotches: () => (light, x, y) => {
    const patch = patches(7 * x, 8 * y);
    return patch > 0
      ? deeper(light, 1 + 1.2 * Math.min(patch, 0.5))
      : mix(light, { r: 1, g: 1, b: 1 }, Math.min(-0.5 * patch, 0.2));
  },
  specks:
    ({ card }) =>
    (light, x, y) =>
      fine(70 * x, 85 * y) > 0.62 ? mix(light, card, 0.85) : light,
  creeping:
    ({ inks }) =>
    (light, x, y) =>
      mix(light, inks.at(-1) ?? light, 0.55 * bump(y - 0.16, 0.1) * Math.max(0, 0.4 + patches(3 * x, 3 * y))),
  fingerprints: () => (light, x, y) => {
    const [u, v] = [(x - 0.72) / 0.13, (y - 0.24) / 0.16];
    const far = Math.hypot(u, v);
    return far < 1 ? deeper(light, 1 + 0.8 * Math.max(0, Math.sin(16 * far + 2 * u)) * (1 - far)) : light;
  },
  waterMarks:
    ({ card }) =>
    (light, x, y) => {
      for (const [cx, cy, size] of [
        [0.3, 0.35, 0.13],
        [0.62, 0.62, 0.17],
        [0.75, 0.25, 0.07],
      ] as const) {
        const far = Math.hypot(x - cx, (y - cy) * 1.25) / size;
        if (far < 0.9) return mix(light, card, 0.35);
        if (far < 1.08) return deeper(light, 1.5);
      }
      return light;
    },
  curl: () => (light, x, y) =>
    dimmed(light, 1 - 0.5 * Math.abs(x - 0.5) ** 1.2 - 0.12 * Math.sin(9 * y) * Math.abs(x - 0.5)),
  lostResist:
    ({ card }) =>
    (light, x, y) =>
      isInDesign(x, y) ? mix(light, card, 0.08) : light,
  clinging:
    ({ card }) =>
    (light, x, y) =>
      isInDesign(x, y) ? mix(mix(light, card, 0.75), light, 0.5 + 0.5 * patches(12 * x, 12 * y)) : light,
  greyWhite: () => (light, x, y) =>
    isInDesign(x, y) ? mix(light, { r: 0.45, g: 0.45, b: 0.45 }, 0.8) : light,
  unreadable: () => (light, x, y) => (isInGreeting(x, y) ? deeper(light, 1.25) : light),
};

/** A leaf with its stem, standing for whatever design there is. */
function isInDesign(x: number, y: number): boolean {
  const [u, v] = [(x - 0.5) / 0.3, (y - 0.5) / 0.3];
  const isLeaf = Math.abs(u) < 0.75 * Math.cos((v * Math.PI) / 2) && Math.abs(v) < 1;
  const isRib = Math.abs(u) < 0.05 || Math.abs(((v + 4) % 0.4) - Math.abs(u) * 0.5) < 0.05;
  return isLeaf && !isRib;
}

/** Lines of writing. */
function isInGreeting(x: number, y: number): boolean {
  const line = [0.42, 0.52, 0.62].some((at) => Math.abs(y - at) < 0.022);
  return line && x > 0.2 && x < 0.8 && Math.sin(55 * x) > -0.55;
}

/** A recipe that went wrong in a way that painting it shows. */
function wrongly(trouble: TroubleId, resolved: ResolvedRecipe): ResolvedRecipe {
  const { recipe, inks } = resolved;
  const stronger = (ink: Ink, by: number): Ink => {
    const { taught, ...rest } = ink;
    return taught
      ? { ...rest, taught: { ...taught, strength: taught.strength * by } }
      : { ...rest, strength: (ink.strength ?? 1) * by };
  };
  if (trouble === 'heavyHand')
    return { ...resolved, inks: inks.map((ink) => (isBare(ink) ? ink : stronger(ink, 1.9))) };
  if (trouble === 'inkGone') {
    const middle = recipe.rungs[Math.floor(recipe.rungs.length / 2)];
    return middle ? { ...resolved, recipe: shrunk(recipe, middle.inkId) } : resolved;
  }
  if (trouble === 'noRoom') {
    const last = recipe.rungs.at(-1);
    return last ? { ...resolved, recipe: shrunk(recipe, last.inkId) } : resolved;
  }
  return resolved;
}

const shrunk = (recipe: ResolvedRecipe['recipe'], inkId: string) => {
  let now = recipe;
  for (let i = 0; i < 6; i++) now = withChange(now, { id: 'lessOf', inkId });
  return now;
};

/** This recipe with a fault, as it is seen. */
export function faultPicture(
  trouble: TroubleId,
  resolved: ResolvedRecipe,
  width: number,
  height: number,
): Picture {
  const painted = paintPanel(wrongly(trouble, resolved), 'dry', width, height);
  const fault = FAULTS[trouble]?.(sceneOf(resolved));
  if (!fault) return painted;
  const pixels = new Uint8ClampedArray(painted.pixels);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4;
      const [r = 0, g = 0, b = 0] = [0, 1, 2].map((c) => LINEAR[pixels[at + c] ?? 0] ?? 0);
      const seen = fault({ r, g, b }, x / width, y / height);
      pixels[at] = 255 * srgbSignal(seen.r);
      pixels[at + 1] = 255 * srgbSignal(seen.g);
      pixels[at + 2] = 255 * srgbSignal(seen.b);
    }
  return { width, height, pixels };
}

function sceneOf(resolved: ResolvedRecipe): Scene {
  const { recipe, card, inks } = resolved;
  const spans = jointSpans(recipe);
  const span = spans[Math.floor(spans.length / 2)] ?? { start: 0, end: 0 };
  const length = runLength(recipe);
  return {
    resolved,
    card: linearRgbOfHex(card.colour),
    joint: { at: (span.start + span.end) / 2 / length, width: (span.end - span.start) / length },
    inks: inks.map(({ overWhite }) => linearRgbOfHex(overWhite)),
  };
}

import type { Size } from '../../base/geometry';
import type { Millimetres } from '../../base/length';
import { layered, roughNoise, smoothNoise } from '../../base/noise';
import { LINEAR } from '../../choose/photo/pixels';
import { linearRgbOfHex } from '../../materials/colour/hex';
import { type LinearRgb, srgbSignal } from '../../materials/colour/lab';
import { OWN_DESIGNS } from '../../materials/design/own';
import { type Border, borderOf } from '../../materials/design/placement';
import { type Ink, isBare } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { type Picture, paintPanel } from '../../picture/paint';
import { addPass } from '../../recipe/editPasses';
import { jointSpans, type Recipe, runLength } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { withChange } from '../log/changes';
import type { TroubleId } from '../log/troubles';

/** What a fault does to the light of a place, mm from the panel's top left corner. */
type Fault = (light: LinearRgb, x: Millimetres, y: Millimetres) => LinearRgb;

/** What a fault is painted with. */
interface Scene {
  readonly panel: Size;
  readonly card: LinearRgb;
  /** The middle of the joint that is looked at, from the top, and how wide it is, mm. */
  readonly joint: { readonly at: Millimetres; readonly width: Millimetres };
  readonly inks: readonly LinearRgb[];
}

const SEED = 5;
/** Grain of a card that a stroke passes over; beads of ink; how an edge wanders; how a thumb presses. All by eye. */
const flecks = smoothNoise(0.7, SEED);
const beads = roughNoise(1.4, SEED + 4);
const wander = roughNoise(5, SEED + 2);
const presses = smoothNoise(3.5, SEED + 3);
/** Over a panel, in parts of it. */
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
/** How much of a place is covered, 0…1, by how far inside something it lies, over so many mm about its edge. */
const within = (inside: Millimetres, soft: Millimetres = 0.5): number =>
  Math.min(Math.max(inside / soft + 0.5, 0), 1);
const BROWN: LinearRgb = { r: 0.2, g: 0.13, b: 0.07 };
const GREY: LinearRgb = { r: 0.45, g: 0.45, b: 0.45 };

/** The faults that are seen in pixels; the others are recipes that went wrong, painted as such. */
const FAULTS: Readonly<Partial<Record<TroubleId, (scene: Scene) => Fault>>> = {
  hardLine:
    ({ joint, panel: { width, height } }) =>
    (light, x, y) => {
      const arc = joint.at + 0.06 * height * Math.sin((3 * x) / width + 0.6);
      const below = y - arc + 0.5 * wander(x, y);
      const line = 0.7 * Math.exp(-Math.max(below, 0) / (0.05 * height)) * within(0.16 * height - below, 6);
      return mix(light, deeper(light, 1 + line), within(below));
    },
  disc:
    ({ joint, inks, panel: { width, height } }) =>
    (light, x, y) => {
      const inside =
        0.12 * width - Math.hypot(x - 0.6 * width, y - joint.at + 0.05 * height) + 0.8 * wander(x, y);
      // It stands dark, darkest where the rim of the tool came down.
      const lies = 0.76 + 0.1 * presses(x, y) + 0.08 * bump(inside - 1.4, 1.2);
      return mix(light, inks.at(-1) ?? light, within(inside, 1.4) * lies);
    },
  muddyBand:
    ({ joint, panel: { height } }) =>
    (light, x, y) =>
      mix(light, BROWN, 0.75 * bump(y - joint.at + wander(x, y), 0.6 * Math.max(joint.width, 0.12 * height))),
  wetSplotches:
    ({ panel: { width, height } }) =>
    (light, x, y) =>
      deeper(light, 1.25 + 0.55 * patches((5 * x) / width, (6 * y) / height)),
  drySplotches:
    ({ panel: { width, height } }) =>
    (light, x, y) => {
      const patch = patches((7 * x) / width, (8 * y) / height);
      return patch > 0
        ? deeper(light, 1 + 1.2 * Math.min(patch, 0.5))
        : mix(light, { r: 1, g: 1, b: 1 }, Math.min(-0.5 * patch, 0.2));
    },
  specks:
    ({ card, panel: { width, height } }) =>
    (light, x, y) =>
      mix(
        light,
        card,
        0.85 * within(flecks(x, y) + 0.5 * patches((4 * x) / width, (5 * y) / height) - 0.7, 0.2),
      ),
  creeping:
    ({ inks, panel: { width, height } }) =>
    (light, x, y) => {
      const stray = Math.max(0, 0.4 + patches((3 * x) / width, (3 * y) / height));
      return mix(light, inks.at(-1) ?? light, 0.55 * stray * bump(y - 0.16 * height, 0.1 * height));
    },
  fingerprints: ({ panel: { width, height } }) => {
    const prints = [
      fingerprint(0.7 * width, 0.24 * height, 14),
      fingerprint(0.03 * width, 0.66 * height, -50),
    ];
    return (light, x, y) => deeper(light, 1 + prints.reduce((sum, print) => sum + print(x, y), 0));
  },
  curl:
    ({ panel: { width, height } }) =>
    (light, x, y) => {
      const aside = Math.abs(x / width - 0.5);
      return dimmed(light, 1 - 0.5 * aside ** 1.2 - 0.12 * Math.sin((9 * y) / height) * aside);
    },
  lostResist: ({ card, panel }) => {
    const leaf = leafOn(panel);
    return (light, x, y) => mix(light, card, 0.08 * within(leaf(x, y)));
  },
  clinging: ({ card, panel }) => {
    const leaf = leafOn(panel);
    return (light, x, y) => {
      const sticks = 0.12 + 0.75 * within(beads(x, y) + patches(0.1 * x, 0.1 * y) - 0.15, 0.5);
      return mix(light, mix(card, light, sticks), within(leaf(x, y)));
    };
  },
  greyWhite: ({ panel }) => {
    const leaf = leafOn(panel);
    return (light, x, y) => mix(light, GREY, (0.8 + 0.1 * wander(x, y)) * within(leaf(x, y)));
  },
  unreadable: ({ panel }) => {
    const writing = writingOn(panel);
    return (light, x, y) => mix(light, deeper(light, 1.25), within(writing(x, y)));
  },
};

/** A leaf, standing for whatever design there is. */
function leafOn({ width, height }: Size): Border {
  const leaf = OWN_DESIGNS.find(({ id }) => id === 'pressed-leaf');
  if (!leaf) throw new Error('the leaf is among the designs no more');
  const scale = Math.min((0.5 * width) / leaf.width, (0.7 * height) / leaf.height);
  return borderOf(leaf, { middle: { x: width / 2, y: height / 2 }, scale, turn: 8, flip: false });
}

/** How much more ink the ridges of a finger or thumb have taken or left, turned by so many degrees. */
function fingerprint(middleX: Millimetres, middleY: Millimetres, turn: number) {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return (x: Millimetres, y: Millimetres): number => {
    const [dx, dy] = [x - middleX, y - middleY];
    const [across, down] = [dx * cos + dy * sin, dy * cos - dx * sin];
    const inside = 10 - Math.hypot(1.25 * across, down) + 1.2 * wander(x, y);
    if (inside < -1) return 0;
    // Ridges go round a whorl below the middle and lie over it as arches. Their true half millimetre no screen would show.
    const whorl = Math.hypot(1.3 * across, down < 1 ? 0.75 * (down - 1) : 1.3 * (down - 1));
    const ridge = 0.5 + 0.5 * Math.sin((2 * Math.PI * (whorl + 0.5 * presses(x, y))) / 1.5);
    return 0.75 * ridge * within(inside, 3) * (0.7 + 0.45 * presses(y, x));
  };
}

/** Three lines of writing, as far as it can be told from so far. */
function writingOn({ width, height }: Size): Border {
  const lines = [0.42, 0.52, 0.62].map((at) => at * height);
  const size = 0.017 * height;
  return (x, y) => {
    const line = lines.find((at) => Math.abs(y - at) < 3 * size);
    if (line === undefined || Math.abs(x / width - 0.5) > 0.3) return -1;
    // No two lines have the same letters, nor the same room between words.
    const along = (x + 2.3 * line) / size;
    if (Math.sin(0.32 * along) < -0.8) return -1;
    const letters = 1.6 * along + Math.sin(0.7 * along);
    const [stroke, steep] = [Math.sin(letters), 1.6 * Math.cos(letters)];
    return 0.35 * size - Math.abs(y - line - size * stroke) / Math.hypot(1, steep);
  };
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
  // Left to dry, and on inks that water does lift: on others there are no such marks.
  if (trouble === 'waterMarks')
    return {
      ...resolved,
      recipe: splashed(recipe),
      inks: inks.map((ink) =>
        isBare(ink) || INK_KINDS[ink.kind].lifts > 0.4 ? ink : { ...ink, kind: 'dye' },
      ),
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

/** Where a recipe can take no more passes its drops lie on the blend alone. */
function splashed(recipe: Recipe): Recipe {
  const water = { params: { after: 'dried', drops: 9, distance: 120, seed: 10 } };
  const wet = addPass(recipe, 'splash', water);
  return wet === recipe ? addPass({ ...recipe, passes: [] }, 'splash', water) : wet;
}

const shrunk = (recipe: Recipe, inkId: string): Recipe => {
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
  const { panel } = resolved.recipe;
  const [across, down] = [panel.width / width, panel.height / height];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4;
      const [r = 0, g = 0, b = 0] = [0, 1, 2].map((c) => LINEAR[pixels[at + c] ?? 0] ?? 0);
      const seen = fault({ r, g, b }, (x + 0.5) * across, (y + 0.5) * down);
      pixels[at] = 255 * srgbSignal(seen.r);
      pixels[at + 1] = 255 * srgbSignal(seen.g);
      pixels[at + 2] = 255 * srgbSignal(seen.b);
    }
  return { width, height, pixels };
}

function sceneOf(resolved: ResolvedRecipe): Scene {
  const { recipe, card, inks } = resolved;
  const spans = jointSpans(recipe);
  const down = recipe.panel.height / runLength(recipe);
  const span = spans[Math.floor(spans.length / 2)] ?? { start: 0, end: 0 };
  return {
    panel: recipe.panel,
    card: linearRgbOfHex(card.colour),
    joint: { at: ((span.start + span.end) / 2) * down, width: (span.end - span.start) * down },
    inks: inks.map(({ overWhite }) => linearRgbOfHex(overWhite)),
  };
}

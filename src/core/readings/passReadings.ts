import { cellsOf, gridOf, middlesOf } from '../base/grid';
import type { Millimetres } from '../base/length';
import { param } from '../base/params';
import { designOf, liesOf, workOf } from '../engine/layers';
import { lightOf } from '../engine/mixing';
import { finished } from '../engine/progress';
import type { Stack } from '../engine/stack';
import { groundOfCard } from '../materials/card/card';
import { deltaE00 } from '../materials/colour/difference';
import type { Lab, LinearRgb } from '../materials/colour/lab';
import { labOfXyz, xyzOfLinearRgb } from '../materials/colour/lab';
import { finestLine } from '../materials/design/fineness';
import type { Border } from '../materials/design/placement';
import type { Ink } from '../materials/ink/ink';
import { setPlacements } from '../recipe/editPasses';
import { PASS_KINDS, type Pass, type PassKindId } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/passesInOrder';
import type { Kit } from '../recipe/recipe';
import type { Point } from '../recipe/runs/runs';
import { contrastOf, NEEDS } from './legibility/contrast';

/** How clearly a pass's design stands out from what lies beside it, on the finished panel. */
export interface DesignContrast {
  /** Contrast ratio at its worst place. */
  readonly least: number;
  readonly worst: Point;
  /** Width and height of the cells in whose middles it was read, mm. */
  readonly cell: { readonly width: Millimetres; readonly height: Millimetres };
  /** Ratios in the middles of an even grid of cells, those inside the design. */
  readonly places: readonly (Point & { readonly ratio: number })[];
}

/** What a pass does to the finished, dried panel. */
export interface PassReading {
  readonly id: string;
  /** The part of the panel, 0…1, whose colour it changes visibly. */
  readonly touches: number;
  /** How far it changes it there on average, CIEDE2000. */
  readonly changes: number;
  /** Absent where it has no design. */
  readonly contrast?: DesignContrast;
  /** How a silhouette that does not read would read better; absent where none of the shelf's stamps does. */
  readonly better?: Stamping;
  /** The finest lines of its design as it is drawn, mm. */
  readonly finest?: Millimetres;
  /** Two of its impressions that lie over each other, and by how much of the smaller one. */
  readonly overlap?: { readonly pair: readonly [number, number]; readonly part: number };
}

/** An ink to stamp in, and how much of it: white may take several impressions over each other. */
export interface Stamping {
  readonly ink: Ink;
  /** Per cent of one impression. */
  readonly strength: number;
}

/** Points along the panel's longer side at which passes are read. */
const POINTS = 40;
/** A change smaller than this is not seen on card, CIEDE2000. */
const SEEN = 1.5;
/** Less than this of the smaller impression is no overlap. */
const OVERLAPS = 0.02;

/**
 * Reads every pass that is on. Some tens of milliseconds for a full recipe, and designs are measured: for a worker.
 *
 * @param shelf  what could be stamped in instead
 */
export const passReadings = (kit: Kit, shelf: readonly Ink[]): PassReading[] => {
  const after = coloursOf(kit);
  return passesInOrder(kit.recipe).map((pass): PassReading => {
    const before = coloursOf({
      ...kit,
      recipe: { ...kit.recipe, passes: kit.recipe.passes.filter(({ id }) => id !== pass.id) },
    });
    const changed = after.map((lab, i) => deltaE00(lab, before[i] as Lab)).filter((far) => far >= SEEN);
    const design = designOf(kit, pass);
    const contrast = hasImage(pass) ? designContrast(kit, pass.id) : undefined;
    const overlap = overlapOf(kit, pass);
    const better =
      pass.kind === 'silhouette' && contrast && contrast.least < NEEDS['bold shape']
        ? betterStamping(kit, pass, contrast.least, shelf)
        : undefined;
    return {
      id: pass.id,
      touches: changed.length / after.length,
      changes: changed.length === 0 ? 0 : changed.reduce((sum, far) => sum + far, 0) / changed.length,
      ...(contrast ? { contrast } : {}),
      ...(better ? { better } : {}),
      ...(design
        ? {
            finest:
              (finestLine(design) *
                Math.min(...pass.placements.map(({ params }) => param(params, 'width', design.width)))) /
              design.width,
          }
        : {}),
      ...(overlap ? { overlap } : {}),
    };
  });
};

function coloursOf(kit: Kit): Lab[] {
  const work = workOf(kit, finished(kit.recipe));
  const stack = work.stack();
  const light = lightOf(work.palette, groundOfCard(kit.card), 'dry');
  return gridOf(kit.recipe.panel, POINTS).map(([x, y]) => {
    work.at(x, y, (border) => (work.borders[border] as Border)(x, y) > 0, stack);
    return labOfXyz(xyzOfLinearRgb(light(stack)));
  });
}

/** Luminance 0…1 of linear light. */
const luminanceOf = (rgb: LinearRgb): number => xyzOfLinearRgb(rgb).y;

/**
 * Contrast of a pass's design with what would lie there without it: of a resist the kept ground with the coat around it,
 * of a silhouette the image with its ground. Undefined where the design lies off the panel, or bears none.
 *
 * @param most  cells along the panel's longer side
 */
export function designContrast(whole: Kit, passId: string, most = 90): DesignContrast | undefined {
  const kit = withoutLaterImages(whole, passId);
  const work = workOf(kit, finished(kit.recipe));
  const own = work.owners.flatMap((owner, border) => (owner === passId ? [border] : []));
  if (own.length === 0) return undefined;
  const stack: Stack = work.stack();
  const light = lightOf(work.palette, groundOfCard(kit.card), 'dry');
  const { panel } = kit.recipe;
  const cells = cellsOf(panel, most);
  // A line finer than the grid is met where it comes within half a cell of a middle.
  const near = Math.max(cells.width, cells.height) / 2;
  const places = middlesOf(cells).flatMap(([x, y]) => {
    const sides = work.borders.map((border) => border(x, y));
    if (!own.some((border) => (sides[border] as number) > -near)) return [];
    const seen = (inside: boolean): number => {
      work.at(
        x,
        y,
        (border) => {
          const far = sides[border] as number;
          return own.includes(border) ? inside && far > -near : far > 0;
        },
        stack,
      );
      return luminanceOf(light(stack));
    };
    return [{ x, y, ratio: contrastOf(seen(true), seen(false)) }];
  });
  const [first] = places;
  if (!first) return undefined;
  const worst = places.reduce((low, place) => (place.ratio < low.ratio ? place : low), first);
  const { width, height } = cells;
  return { least: worst.ratio, worst: { x: worst.x, y: worst.y }, cell: { width, height }, places };
}

/** Impressions over each other, per cent: white may need two or three, black does not (common practice). */
const IMPRESSIONS = { detail: [100], white: [100, 200, 300] } as const;
/** By less than this as a contrast ratio nothing is gained. */
const GAINS = 0.1;

/** The fewest impressions in black or white that read everywhere; where none does, those that come nearest, if nearer. */
function betterStamping(kit: Kit, pass: Pass, least: number, shelf: readonly Ink[]): Stamping | undefined {
  const tried = shelf
    .filter(({ wished }) => !wished)
    .flatMap((ink) =>
      ink.kind === 'detail' || ink.kind === 'white'
        ? IMPRESSIONS[ink.kind].map((strength) => ({ ink, strength }))
        : [],
    )
    .toSorted((p, q) => p.strength - q.strength)
    .map(({ ink, strength }) => {
      const recipe = setPlacements(kit.recipe, pass.id, { inkId: ink.id, params: { strength } });
      const stamped = { ...kit, recipe, passInks: [...kit.passInks, ink] };
      return { ink, strength, least: designContrast(stamped, pass.id)?.least ?? 0 };
    })
    .filter((one) => one.least > least + GAINS);
  const best =
    tried.find((one) => one.least >= NEEDS['bold shape']) ?? tried.toSorted((p, q) => q.least - p.least)[0];
  return best && { ink: best.ink, strength: best.strength };
}

/** What is laid over a design as a thing of its own: where it hides the design, that is not for want of contrast. */
const IMAGES: readonly PassKindId[] = ['silhouette', 'greetingStrip', 'penDots'];

function withoutLaterImages(kit: Kit, passId: string): Kit {
  const { passes } = kit.recipe;
  const at = passes.findIndex(({ id }) => id === passId);
  const kept = passes.filter(({ kind }, i) => i <= at || !IMAGES.includes(kind));
  return { ...kit, recipe: { ...kit.recipe, passes: kept } };
}

/** Whether it shows something that is to stand out from what lies beside it; an edge stencil's ink fades into it. */
export const hasImage = ({ kind, designId }: Pass): boolean =>
  kind === 'greetingStrip' || (designId !== undefined && kind !== 'edgeStencil');

/** The two placements of a pass whose designs cover each other most. */
function overlapOf(kit: Kit, pass: Pass): PassReading['overlap'] {
  if (pass.placements.length < 2 || PASS_KINDS[pass.kind].placements.noun !== 'impression') return undefined;
  const borders = liesOf(kit, pass).flatMap(({ borders: [own] }) => own ?? []);
  const points = gridOf(kit.recipe.panel, 70);
  const within = borders.map((border) => points.map(([x, y]) => border(x, y) > 0));
  let found: PassReading['overlap'];
  within.forEach((one, i) => {
    within.slice(i + 1).forEach((other, k) => {
      const both = one.filter((inside, point) => inside && other[point]).length;
      const smaller = Math.min(one.filter(Boolean).length, other.filter(Boolean).length);
      const part = smaller === 0 ? 0 : both / smaller;
      if (part > OVERLAPS && part > (found?.part ?? 0)) found = { pair: [i, i + 1 + k], part };
    });
  });
  return found;
}

/** A pass's reading in a few words. */
export function tellPassReading({ kind }: Pass, { touches, changes, contrast }: PassReading): string {
  if (touches === 0 && kind !== 'heatSet') return 'changes nothing that is seen';
  if (kind === 'heatSet') return 'what follows lies on it';
  const size = changes < 5 ? 'a hint' : changes < 15 ? 'clearly' : 'strongly';
  return [
    `${Math.max(Math.round(touches * 100), 1)} % of the panel, ${size}`,
    ...(contrast && kind !== 'greetingStrip' ? [`${contrast.least.toFixed(1)} : 1 at its worst place`] : []),
  ].join(' · ');
}

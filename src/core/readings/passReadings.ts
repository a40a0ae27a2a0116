import type { Point, Size } from '../base/geometry';
import { type Cells, cellsOf, gridOf, middlesOf } from '../base/grid';
import type { Millimetres } from '../base/length';
import { isChoice, type ParamSpec } from '../base/params';
import { type PanelProbe, probePanel } from '../engine/probe';
import { deltaE00 } from '../materials/colour/difference';
import { type Lab, xyzOfLinearRgb } from '../materials/colour/lab';
import { finestLine } from '../materials/design/fineness';
import type { Ink } from '../materials/ink/ink';
import { setPlacements } from '../recipe/editPasses';
import { PASS_KINDS, type Pass, placementsOf } from '../recipe/passes/passes';
import type { silhouette } from '../recipe/passes/silhouette';
import { passesInOrder } from '../recipe/recipe';
import { designOf, placedPasses, type ResolvedRecipe } from '../recipe/resolved';
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
  /** How a stamped image that does not read would read better; absent where none of the shelf's stamps does. */
  readonly better?: Stamping;
  /** The finest lines of its design as it is drawn, mm. */
  readonly finest?: Millimetres;
  /** Two of its placements that lie over each other, and by how much of the smaller one. */
  readonly overlap?: { readonly pair: readonly [number, number]; readonly part: number };
  /** Its placements, by their ids, of which nothing lies on the panel; absent where there are none. */
  readonly off?: readonly string[];
}

/** An ink to stamp in, and how much of it: white may take several impressions over each other. */
export interface Stamping {
  readonly ink: Ink;
  /** Per cent of one impression. */
  readonly strength: number;
  /** Its contrast at the worst place. */
  readonly least: number;
}

/** Points along the panel's longer side at which passes are read. */
const POINTS = 40;
/** A change smaller than this is not seen on card, CIEDE2000. */
const VISIBLE = 1.5;

/**
 * Reads every pass that is on. Some tens of milliseconds for a full recipe, and designs are measured: for a worker.
 *
 * @param shelf  what could be stamped in instead
 */
export const passReadings = (resolved: ResolvedRecipe, shelf: readonly Ink[]): PassReading[] => {
  const after = probePanel(resolved);
  const points = gridOf(resolved.recipe.panel, POINTS);
  const now = labsAt(after, points);
  return passesInOrder(resolved.recipe).map((pass): PassReading => {
    const before = probePanel(withoutPass(resolved, pass.id));
    const met = visibleChanges(now, labsAt(before, points));
    const marks = met.length === 0 ? marksOf(after, pass.id, resolved.recipe.panel) : undefined;
    const changed = marks ? visibleChanges(labsAt(after, marks.some), labsAt(before, marks.some)) : met;
    const part = marks ? marks.part / Math.max(marks.some.length, 1) : 1 / points.length;
    const contrast = standsOut(pass) ? designContrast(resolved, pass.id) : undefined;
    const better =
      contrast && PASS_KINDS[pass.kind].ink === 'stamped' && contrast.least < NEEDS['bold shape']
        ? betterStamping(resolved, pass, contrast.least, shelf)
        : undefined;
    const finest = finestOf(resolved, pass);
    const overlap = overlapOf(resolved, pass);
    const off = offPanel(resolved, pass);
    return {
      id: pass.id,
      touches: part * changed.length,
      changes: changed.length === 0 ? 0 : changed.reduce((sum, far) => sum + far, 0) / changed.length,
      ...(contrast ? { contrast } : {}),
      ...(better ? { better } : {}),
      ...(finest === undefined ? {} : { finest }),
      ...(overlap ? { overlap } : {}),
      ...(off.length > 0 ? { off } : {}),
    };
  });
};

const withoutPass = (resolved: ResolvedRecipe, passId: string): ResolvedRecipe => ({
  ...resolved,
  recipe: { ...resolved.recipe, passes: resolved.recipe.passes.filter(({ id }) => id !== passId) },
});

type Places = ReturnType<typeof gridOf>;
const labsAt = ({ labAt }: PanelProbe, places: Places): Lab[] => places.map(([x, y]) => labAt(x, y));

/** How far colours changed where that is seen, CIEDE2000. */
const visibleChanges = (now: readonly Lab[], before: readonly Lab[]): number[] =>
  now.flatMap((lab, i) => {
    const was = before[i];
    const far = was ? deltaE00(lab, was) : 0;
    return far >= VISIBLE ? [far] : [];
  });

/** Points along the panel's longer side at which marks are looked for that the others miss, and how many of those are read. */
const OF_MARKS = { points: 400, read: 200 } as const;

/** Places inside a pass's borders, be they as small as the dots of a pen: some of them, and which part of the panel all are. */
function marksOf({ program }: PanelProbe, passId: string, panel: Size) {
  const own = program.borders.filter((_, border) => program.owners[border] === passId);
  const points = own.length > 0 ? gridOf(panel, OF_MARKS.points) : [];
  const inside = points.filter(([x, y]) => own.some((border) => border(x, y) > 0));
  const step = Math.ceil(inside.length / OF_MARKS.read);
  return { some: inside.filter((_, i) => i % step === 0), part: inside.length / Math.max(points.length, 1) };
}

/** The finest line of a pass's design as its narrowest placement draws it; undefined without a design. */
function finestOf(resolved: ResolvedRecipe, pass: Pass): Millimetres | undefined {
  const design = designOf(resolved, pass);
  if (!design) return undefined;
  const widths = placementsOf(pass).map(({ params }) => Number(params.width ?? design.width));
  return (finestLine(design) * Math.min(...widths)) / design.width;
}

/**
 * Contrast of a pass's design with what would lie there without it: of a resist the kept ground with the coat around it,
 * of a silhouette the image with its ground. Undefined where the design lies off the panel, or bears none.
 *
 * @param most  cells along the panel's longer side
 */
export function designContrast(whole: ResolvedRecipe, passId: string, most = 90): DesignContrast | undefined {
  const resolved = withoutLaterImages(whole, passId);
  const probe = probePanel(resolved);
  const { borders, owners } = probe.program;
  const own = new Set(owners.flatMap((owner, border) => (owner === passId ? [border] : [])));
  if (own.size === 0) return undefined;
  const cells = cellsOf(resolved.recipe.panel, most);
  // A line finer than the grid is met where it comes within half a cell of a middle.
  const near = Math.max(cells.width, cells.height) / 2;
  const places = middlesOf(cells).flatMap(([x, y]) => {
    const far = borders.map((border) => border(x, y));
    if (![...own].some((border) => (far[border] ?? 0) > -near)) return [];
    const luminance = (inside: boolean): number => {
      const sideOf = (border: number): boolean => {
        const distance = far[border] ?? 0;
        return own.has(border) ? inside && distance > -near : distance > 0;
      };
      return xyzOfLinearRgb(probe.lightAt(x, y, sideOf)).y;
    };
    return [{ x, y, ratio: contrastOf(luminance(true), luminance(false)) }];
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

/**
 * The fewest impressions in black or white that read everywhere; where none does, those that come nearest, if nearer.
 *
 * @param most  of `designContrast`: fewer cells are quicker
 */
export function betterStamping(
  resolved: ResolvedRecipe,
  pass: Pass,
  least: number,
  shelf: readonly Ink[],
  most?: number,
): Stamping | undefined {
  const tried = shelf
    .filter(({ wished }) => !wished)
    .flatMap((ink) =>
      ink.kind === 'detail' || ink.kind === 'white'
        ? IMPRESSIONS[ink.kind].map((strength) => ({ ink, strength }))
        : [],
    )
    .toSorted((p, q) => p.strength - q.strength)
    .map(({ ink, strength }) => {
      const change = { inkId: ink.id, params: { strength } };
      const recipe = setPlacements<typeof silhouette>(resolved.recipe, pass.id, change);
      const stamped = { ...resolved, recipe, passInks: [...resolved.passInks, ink] };
      return { ink, strength, least: designContrast(stamped, pass.id, most)?.least ?? 0 };
    })
    .filter((one) => one.least > least + GAINS);
  const best =
    tried.find((one) => one.least >= NEEDS['bold shape']) ?? tried.toSorted((p, q) => q.least - p.least)[0];
  return best;
}

/** The recipe without what is laid later as a thing of its own: where that hides a design, it is meant to. */
function withoutLaterImages(resolved: ResolvedRecipe, passId: string): ResolvedRecipe {
  const { passes } = resolved.recipe;
  const at = passes.findIndex(({ id }) => id === passId);
  const kept = passes.filter(({ kind }, i) => i <= at || !PASS_KINDS[kind].standsAlone);
  return { ...resolved, recipe: { ...resolved.recipe, passes: kept } };
}

/** Whether it shows something that is to stand out from what lies beside it. */
export const standsOut = ({ kind, designId }: Pass): boolean =>
  PASS_KINDS[kind].standsOut ?? designId !== undefined;

/** Less than this of the smaller placement is no overlap. */
const OVERLAPS = 0.02;
/** Points along the panel's longer side at which placements are held over each other. */
const OVERLAP_POINTS = 70;

/** The two placements of a stamp whose images cover each other most. */
function overlapOf(resolved: ResolvedRecipe, pass: Pass): PassReading['overlap'] {
  if (pass.placements.length < 2 || PASS_KINDS[pass.kind].placements.noun !== 'impression') return undefined;
  const points = gridOf(resolved.recipe.panel, OVERLAP_POINTS);
  const within = placedPasses(resolved, pass).flatMap(({ borders: [own] }) =>
    own ? [points.map(([x, y]) => own(x, y) > 0)] : [],
  );
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

/** A cell is looked at nearer in so many rows of so many points. */
const FINER = 8;
const finer = ([x, y]: readonly [Millimetres, Millimetres], { width, height }: Cells) =>
  gridOf({ width, height }, FINER).map(
    ([across, down]) => [x - width / 2 + across, y - height / 2 + down] as const,
  );

/** The placements of a pass, by their ids, whose borders the panel does not meet, nor what is laid beyond them. */
export function offPanel(resolved: ResolvedRecipe, pass: Pass): string[] {
  const specs = Object.values<ParamSpec>(PASS_KINDS[pass.kind].params);
  if (!specs.some((spec) => !isChoice(spec) && spec.isPlaceAlong)) return [];
  const cells = cellsOf(resolved.recipe.panel, POINTS);
  const middles = middlesOf(cells);
  // What is finer than the grid is met wherever in a cell it lies.
  const near = Math.hypot(cells.width, cells.height) / 2;
  const laid = placedPasses(resolved, pass);
  return placementsOf(pass).flatMap(({ id }, i) => {
    const { borders = [], effects = [] } = laid[i] ?? {};
    if (borders.length === 0) return [];
    const covers = effects.flatMap((effect) => (effect.kind === 'dry' ? [] : [effect.coverAt]));
    const isBare = ([x, y]: (typeof middles)[number], slack: Millimetres): boolean =>
      covers.every((coverAt) => coverAt(x, y, (border) => (borders[border]?.(x, y) ?? 0) > -slack) === 0);
    // What is laid along an edge may be finer than the grid: where one runs, it is looked for nearer.
    const isEdge = ([x, y]: (typeof middles)[number]): boolean =>
      borders.some((border) => Math.abs(border(x, y)) <= near);
    const isNowhere =
      middles.every((middle) => isBare(middle, near)) &&
      middles.filter(isEdge).every((middle) => finer(middle, cells).every((point) => isBare(point, 0)));
    // What keeps ink off round its design does so all over.
    const isOff = isNowhere || middles.every(([x, y]) => borders.every((border) => border(x, y) <= -near));
    return isOff ? [id] : [];
  });
}

/** Below these, CIEDE2000, a pass is a hint, and a clear change. */
const SIZES = { hint: 5, clear: 15 } as const;

/** A pass's reading in a few words. */
export function describePassReading(
  { kind }: Pass,
  { touches, changes, contrast, off }: PassReading,
): string {
  const { sets, design, unseen } = PASS_KINDS[kind];
  if (sets) return 'what follows lies on it';
  if (touches === 0) return (!off && unseen) || 'changes nothing that is seen';
  const size = changes < SIZES.hint ? 'a hint' : changes < SIZES.clear ? 'clearly' : 'strongly';
  const part = touches < 0.005 ? 'less than 1 %' : `${Math.round(touches * 100)} %`;
  return [
    `${part} of the panel, ${size}`,
    ...(contrast && design ? [`${contrast.least.toFixed(1)} : 1 at its worst place`] : []),
  ].join(' · ');
}

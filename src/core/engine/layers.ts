import type { Millimetres } from '../base/length';
import type { Border } from '../materials/design/placement';
import { BARE, type Ink, liftsOf } from '../materials/ink/ink';
import type { InkKindId } from '../materials/ink/kinds';
import type { Effect, GuardEffect, Inside } from '../recipe/passes/effects';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import type { SurfaceDetail } from '../recipe/passes/surface';
import { contextsOf, placedPasses, type ResolvedRecipe } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { coverageOf } from './coverage';
import { type Progress, passesDone } from './progress';
import { addWet, clearStack, dryStack, type LayerStack, makeStack, thinStack } from './stack';

/** All that is done to a panel up to some progress, as what lies at each of its points. */
export interface LayerProgram {
  /** Every ink it takes: the rungs' first, in run order. */
  readonly palette: readonly Ink[];
  /** Every sharp border; between them all is smooth. The same border of the same placement is the same function. */
  readonly borders: readonly Border[];
  /** The pass each border belongs to, by its id. */
  readonly owners: readonly string[];
  /** How passes change the surface near their borders; in the order of work. */
  readonly details: readonly BorderDetail[];
  /** Over how many mm each smooth part fades. */
  readonly blends: readonly Millimetres[];
  /** Whether the blend has dried under what was laid over it. */
  readonly isBlendDry: boolean;
  /** The smallest the ladder lies anywhere, to its size on the panel: 1 or less. */
  readonly shrinks: number;
  /** An empty stack with room for all of it. */
  readonly stack: () => LayerStack;
  /**
   * Lays everything at one point.
   *
   * @param inside  on which side of each border the point counts as lying
   */
  readonly layAt: (x: Millimetres, y: Millimetres, inside: Inside, stack: LayerStack) => void;
  /** Lays what comes before the blend, at a point outside every border: what the blend lies on all over. */
  readonly layUnder: (stack: LayerStack) => void;
}

/** A detail of the surface with the border it follows. */
export interface BorderDetail {
  readonly along: Border;
  readonly detail: SurfaceDetail;
  /** Pieces of card that were laid over it later. */
  readonly under: readonly Border[];
  /** Images that were stamped over it later: their ink lies on it evenly. */
  readonly stampedOver: readonly Border[];
}

/** One effect of one placement, with its place among all of them. */
interface Operation {
  readonly effect: Effect;
  /** Of a film its ink, as a place in the palette; −1 where it has none. */
  readonly ink: number;
  /** The pass it belongs to, counted in the order of work. */
  readonly pass: number;
  /** Its place among all operations, in the order of work. */
  readonly turn: number;
  /** Where its own borders begin among all of them. */
  readonly offset: number;
}

/** An operation with what keeps it off. */
interface Guarded extends Operation {
  readonly guards: readonly Guard[];
}
type Guard = Operation & { readonly effect: GuardEffect };

/** What is to be done before the blend and over it, and all that is needed for it. */
interface Plan {
  readonly under: readonly Operation[];
  readonly over: readonly Operation[];
  /** How many passes lie under the blend. */
  readonly passesUnder: number;
  readonly palette: readonly Ink[];
  readonly borders: readonly Border[];
  readonly owners: readonly string[];
  readonly details: readonly BorderDetail[];
  readonly blends: readonly Millimetres[];
  readonly shrinks: number;
}

const isUnder = ({ kind }: Pass): boolean => PASS_KINDS[kind].stage === 'under';

function plan(resolved: ResolvedRecipe, progress: Progress): Plan {
  const { recipe, inks } = resolved;
  const passes = passesDone(recipe, progress);
  const palette: Ink[] = [...inks];
  const borders: Border[] = [];
  const owners: string[] = [];
  const details: BorderDetail[] = [];
  const blends: Millimetres[] = [];
  let shrinks = 1;
  let turn = 0;
  const inkAt = (ink: Ink | undefined): number => {
    if (!ink) return -1;
    const known = palette.indexOf(ink, inks.length);
    return known >= 0 ? known : palette.push(ink) - 1;
  };
  const operationsOf = (of: readonly Pass[], first: number): Operation[] =>
    of.flatMap((pass, i) => {
      const contexts = contextsOf(resolved, pass);
      return placedPasses(resolved, pass).flatMap((placed, placement) => {
        const offset = borders.length;
        borders.push(...placed.borders);
        owners.push(...placed.borders.map(() => pass.id));
        const [own] = placed.borders;
        const lays = (what: Effect['kind']): boolean => placed.effects.some(({ kind }) => kind === what);
        const isStamped = PASS_KINDS[pass.kind].design?.use === 'image' && lays('film');
        if (own && (lays('piece') || isStamped))
          for (const [at, below] of details.entries())
            details[at] = isStamped
              ? { ...below, stampedOver: [...below.stampedOver, own] }
              : { ...below, under: [...below.under, own] };
        for (const detail of placed.surface ?? []) {
          const along = placed.borders[detail.border];
          if (along) details.push({ along, detail, under: [], stampedOver: [] });
        }
        if (placed.blend !== undefined) blends.push(placed.blend);
        shrinks = Math.min(shrinks, placed.shrinks ?? 1);
        return placed.effects.map((effect) => ({
          effect,
          ink: effect.kind === 'film' ? inkAt(effect.ink ?? contexts[placement]?.ink) : -1,
          pass: first + i,
          turn: turn++,
          offset,
        }));
      });
    });
  const passesUnder = passes.filter(isUnder).length;
  const under = operationsOf(passes.filter(isUnder), 0);
  const over = operationsOf(
    passes.filter((pass) => !isUnder(pass)),
    passesUnder,
  );
  return { under, over, passesUnder, palette, borders, owners, details, blends, shrinks };
}

const isGuard = (operation: Operation): operation is Guard => operation.effect.kind === 'guard';

/** Each operation with the guards laid by earlier passes that still hold when it is done. */
function withGuards({ under, over, passesUnder }: Plan) {
  const firstDry = over.findIndex(({ effect }) => effect.kind === 'dry');
  const driesAt = firstDry < 0 ? over.length : firstDry;
  /** @param place  counts from the first operation after the blend; −1 before that */
  const holding = (guards: readonly Guard[], pass: number, place: number): readonly Guard[] =>
    guards.filter(({ effect: { lasts }, pass: laidIn }) => {
      if (lasts === 'for good') return true;
      return lasts === 'until dry' ? place <= driesAt : pass <= laidIn + lasts;
    });
  const guardsUnder = under.filter(isGuard);
  const earlierThan = (operations: readonly Operation[], place: number, pass: number) =>
    operations.slice(0, place).filter((other): other is Guard => isGuard(other) && other.pass < pass);
  return {
    before: under.map(
      (operation, i): Guarded => ({
        ...operation,
        guards: holding(earlierThan(under, i, operation.pass), operation.pass, -1),
      }),
    ),
    blend: holding(guardsUnder, passesUnder, -1),
    after: over.map(
      (operation, i): Guarded => ({
        ...operation,
        guards: holding([...guardsUnder, ...earlierThan(over, i, operation.pass)], operation.pass, i),
      }),
    ),
  };
}

/** The point in hand, while a program lays it. */
interface Site {
  x: Millimetres;
  y: Millimetres;
  inside: Inside;
  stack: LayerStack;
  /** The turn of the last piece laid over it: what was guarded under that is out of reach. */
  laidOver: number;
}

/** A panel's work up to some progress, made ready to be laid at any of its points. */
export function compileLayers(resolved: ResolvedRecipe, progress: Progress): LayerProgram {
  const { recipe, inks } = resolved;
  const planned = plan(resolved, progress);
  const { palette, borders, owners, details, blends, shrinks } = planned;
  const { before, blend, after } = withGuards(planned);
  const makeSiteStack = () => makeStack(palette, before.length + after.length + 1);
  const lay = layer(resolved, progress, palette, makeSiteStack());
  const coverage = coverageOf(recipe, progress);
  const parts = new Float64Array(inks.length);
  const ladder = { parts, coats: TOOLS[recipe.tool].coats };
  return {
    palette,
    borders,
    owners,
    details,
    blends,
    isBlendDry: planned.over.some(({ effect }) => effect.kind === 'dry'),
    shrinks,
    stack: makeSiteStack,
    layAt: (x, y, inside, stack) => {
      lay.begin(x, y, inside, stack);
      for (const operation of before) lay.operation(operation, ladder);
      coverage(x, y, parts);
      lay.ladder(parts, ladder.coats, blend);
      for (const operation of after) lay.operation(operation, ladder);
    },
    layUnder: (stack) => {
      lay.begin(0, 0, () => false, stack);
      for (const operation of before) lay.operation(operation, ladder);
    },
  };
}

/** How an operation whose borders begin at an offset asks the point in hand. One function each: there are millions of questions. */
function sidesOf(site: Site): (offset: number) => Inside {
  const sides = new Map<number, Inside>();
  return (offset) => {
    const known = sides.get(offset);
    if (known) return known;
    const side: Inside = (border) => site.inside(offset + border);
    sides.set(offset, side);
    return side;
  };
}

/** What lays operations at the point in hand. It works on one point at a time, and makes no values on the way. */
function layer(
  { recipe, inks }: ResolvedRecipe,
  progress: Progress,
  palette: readonly Ink[],
  stack: LayerStack,
) {
  const site: Site = { x: 0, y: 0, inside: () => false, stack, laidOver: -1 };
  const coverage = coverageOf(recipe, progress);
  const shown = new Float64Array(inks.length);
  const kinds = palette.map(({ kind }) => kind);
  const sideOf = sidesOf(site);
  const coverOf = (effect: Exclude<Effect, { kind: 'dry' }>, offset: number): number =>
    effect.coverAt(site.x, site.y, sideOf(offset));
  /** The part of an ink of some kind that stays where guards lie. */
  const stays = (guards: readonly Guard[], kind: InkKindId): number => {
    let part = 1;
    for (const { effect, offset, turn } of guards) {
      if (turn < site.laidOver) continue;
      const cover = coverOf(effect, offset);
      if (cover > 0) part *= 1 - cover * effect.keepsOff(kind);
    }
    return part;
  };
  const ladder = (parts: Float64Array, coats: number, guards: readonly Guard[]): void => {
    for (let rung = 0; rung < parts.length; rung++) {
      const part = parts[rung] as number;
      if (part <= 0 || !progress.laid[rung]) continue;
      const kept = guards.length > 0 ? stays(guards, kinds[rung] as InkKindId) : 1;
      addWet(site.stack, rung, coats * part * kept);
    }
  };
  return {
    begin: (x: Millimetres, y: Millimetres, inside: Inside, empty: LayerStack): void => {
      site.x = x;
      site.y = y;
      site.inside = inside;
      site.stack = empty;
      site.laidOver = -1;
      clearStack(empty);
    },
    ladder,
    /** @param whole  the ladder as it lies at this point, and how many coats a tool lays */
    operation: (
      { effect, ink, offset, guards, turn }: Guarded,
      whole: { readonly parts: Float64Array; readonly coats: number },
    ): void => {
      if (effect.kind === 'guard') return;
      if (effect.kind === 'dry') {
        dryStack(site.stack);
        return;
      }
      const cover = coverOf(effect, offset);
      if (cover === 0) return;
      switch (effect.kind) {
        case 'film':
          if (ink >= 0) addWet(site.stack, ink, cover * stays(guards, kinds[ink] as InkKindId));
          break;
        case 'ladder':
          ladder(whole.parts, cover * whole.coats, guards);
          break;
        case 'thin': {
          // Water wipes off wherever dye does.
          const wetted = cover * stays(guards, 'dye');
          thinStack(site.stack, (one) => 1 - wetted * liftsOf(palette[one] ?? BARE));
          break;
        }
        case 'piece': {
          const from = effect.shows(site.x, site.y);
          coverage(from.x, from.y, shown);
          clearStack(site.stack);
          site.laidOver = turn;
          ladder(shown, whole.coats, []);
          break;
        }
      }
    },
  };
}

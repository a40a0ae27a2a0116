import type { Millimetres } from '../base/length';
import type { Design } from '../materials/design/design';
import { signOf } from '../materials/design/distance';
import type { Border } from '../materials/design/placement';
import type { Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import type { Effect, GuardEffect, Inside, PassLie } from '../recipe/passes/effects';
import { PASS_KINDS, type Pass, type Placement, type Scene } from '../recipe/passes/passes';
import type { Kit } from '../recipe/recipe';
import { TOOLS } from '../recipe/tools/tools';
import { coverageOf } from './coverage';
import { type Progress, passesDone } from './progress';
import { addWet, clearStack, dryStack, makeStack, type Stack, thinStack } from './stack';

/** All that is done to a panel, as what lies at each of its points. */
export interface Work {
  /** Every ink it takes: the rungs' first, in run order. */
  readonly palette: readonly Ink[];
  /** Every sharp border; between them all is smooth. */
  readonly borders: readonly Border[];
  /** What decides where each border runs: the same for the same border. */
  readonly borderKeys: readonly string[];
  /** The pass each border belongs to, by its id. */
  readonly owners: readonly string[];
  /** Over how many mm each smooth part fades. */
  readonly blends: readonly Millimetres[];
  /** The smallest the ladder lies anywhere, to its size on the panel: 1 or less. */
  readonly shrinks: number;
  /** An empty stack with room for all of it. */
  readonly stack: () => Stack;
  /**
   * Lays everything at one point.
   *
   * @param inside  on which side of each border the point counts as lying
   */
  readonly at: (x: Millimetres, y: Millimetres, inside: Inside, stack: Stack) => void;
}

/** What a placement of a pass is laid with and on. */
function sceneOf(kit: Kit, pass: Pass, { inkId, params }: Placement): Scene {
  const ink = inkId === undefined ? undefined : kit.passInks.find(({ id }) => id === inkId);
  const design = designOf(kit, pass);
  return { panel: kit.recipe.panel, params, ...(ink ? { ink } : {}), ...(design ? { design } : {}) };
}

export const designOf = ({ designs }: Kit, { designId }: Pass): Design | undefined =>
  designId === undefined ? undefined : designs.find(({ id }) => id === designId);

export const scenesOf = (kit: Kit, pass: Pass): Scene[] =>
  pass.placements.map((placement) => sceneOf(kit, pass, placement));

/** The placements of a pass on the kit's panel. */
export const liesOf = (kit: Kit, pass: Pass): PassLie[] =>
  scenesOf(kit, pass).map((scene) => PASS_KINDS[pass.kind].on(scene));

/** One effect of one placement, with its place among all of them. */
interface Operation {
  readonly effect: Effect;
  readonly ink: number;
  readonly pass: number;
  /** Its place among all operations, in the order of work. */
  readonly turn: number;
  /** On which side of its own borders a point lies. */
  readonly inside: Inside;
  /** What keeps it off. */
  readonly guards: readonly (Operation & { readonly effect: GuardEffect })[];
}

/** A panel's work up to some progress. */
export function workOf(kit: Kit, progress: Progress): Work {
  const { recipe, inks } = kit;
  const passes = passesDone(recipe, progress);
  const palette: Ink[] = [...inks];
  const borders: Border[] = [];
  const borderKeys: string[] = [];
  const owners: string[] = [];
  const blends: Millimetres[] = [];
  let shrinks = 1;
  /** What the caller says of the point in hand. */
  let side: Inside = () => false;
  let turns = 0;
  const inkAt = (ink: Ink | undefined): number => {
    if (!ink) return -1;
    const known = palette.indexOf(ink, inks.length);
    return known >= 0 ? known : palette.push(ink) - 1;
  };

  const operationsOf = (of: readonly Pass[], first: number): Operation[] =>
    of.flatMap((pass, i) =>
      scenesOf(kit, pass).flatMap((scene) => {
        const lie = PASS_KINDS[pass.kind].on(scene);
        const offset = borders.length;
        borders.push(...lie.borders);
        owners.push(...lie.borders.map(() => pass.id));
        const key = `${pass.kind} ${JSON.stringify(scene.params)} ${scene.design ? signOf(scene.design) : ''}`;
        borderKeys.push(...lie.borders.map((_, border) => `${key} ${border}`));
        if (lie.blend !== undefined) blends.push(lie.blend);
        shrinks = Math.min(shrinks, lie.shrinks ?? 1);
        return lie.effects.map((effect) => ({
          effect,
          ink: effect.does === 'film' ? inkAt(effect.ink ?? scene.ink) : -1,
          pass: first + i,
          turn: turns++,
          inside: (border: number) => side(offset + border),
          guards: [],
        }));
      }),
    );
  const isUnder = ({ kind }: Pass) => PASS_KINDS[kind].stage === 'under';
  const under = operationsOf(passes.filter(isUnder), 0);
  const over = operationsOf(
    passes.filter((pass) => !isUnder(pass)),
    passes.filter(isUnder).length,
  );
  const firstDry = over.findIndex(({ effect }) => effect.does === 'dry');
  const driesAt = firstDry < 0 ? over.length : firstDry;

  /** The guards laid before an operation that still hold there; `at` counts from the first after the blend. */
  const guardsAt = (before: readonly Operation[], pass: number, at: number): Operation['guards'] =>
    before.filter((operation): operation is Operation & { readonly effect: GuardEffect } => {
      const { effect } = operation;
      if (effect.does !== 'guard') return false;
      if (effect.lasts === 'for good') return true;
      return effect.lasts === 'until dry' ? at <= driesAt : pass <= operation.pass + effect.lasts;
    });
  const guarded = (operations: readonly Operation[], before: readonly Operation[], fromBlend: boolean) =>
    operations.map((operation, i) => ({
      ...operation,
      guards: guardsAt(
        [...before, ...operations.slice(0, i).filter(({ pass }) => pass < operation.pass)],
        operation.pass,
        fromBlend ? i : -1,
      ),
    }));
  const before = guarded(under, [], false);
  const ladderGuards = guardsAt(under, passes.filter(isUnder).length, -1);
  const after = guarded(over, under, true);

  const coverage = coverageOf(recipe, progress);
  const { coats } = TOOLS[recipe.tool];
  const parts = new Float64Array(inks.length);
  const shown = new Float64Array(inks.length);
  const kindOf = palette.map(({ kind }) => kind);

  /** The last piece laid over the point in hand: what was guarded under it is out of reach. */
  let laidOver = -1;
  /** The part of an ink of some kind that stays where guards lie. */
  const stays = (guards: Operation['guards'], kind: Ink['kind'], x: number, y: number): number => {
    let part = 1;
    for (const { effect, inside, turn } of guards) {
      if (turn < laidOver) continue;
      const cover = effect.coverAt(x, y, inside);
      if (cover > 0) part *= 1 - cover * effect.keepsOff(kind);
    }
    return part;
  };
  const kindAt = (ink: number) => kindOf[ink] as Ink['kind'];
  const layLadder = (
    stack: Stack,
    amounts: Float64Array,
    much: number,
    guards: Operation['guards'],
    x: number,
    y: number,
  ): void => {
    for (let rung = 0; rung < amounts.length; rung++)
      if ((amounts[rung] as number) > 0 && progress.laid[rung])
        addWet(
          stack,
          rung,
          much * (amounts[rung] as number) * (guards.length > 0 ? stays(guards, kindAt(rung), x, y) : 1),
        );
  };
  const work = (
    { effect, ink, inside, guards, turn }: Operation,
    x: number,
    y: number,
    stack: Stack,
  ): void => {
    switch (effect.does) {
      case 'dry':
        dryStack(stack);
        break;
      case 'film': {
        const cover = ink < 0 ? 0 : effect.coverAt(x, y, inside);
        if (cover > 0) addWet(stack, ink, cover * stays(guards, kindAt(ink), x, y));
        break;
      }
      case 'ladder': {
        const cover = effect.coverAt(x, y, inside);
        if (cover > 0) layLadder(stack, parts, cover * coats, guards, x, y);
        break;
      }
      case 'thin': {
        const cover = effect.coverAt(x, y, inside);
        if (cover === 0) break;
        // Water wipes off wherever dye does.
        const wetted = cover * stays(guards, 'dye', x, y);
        thinStack(stack, (one) => 1 - wetted * INK_KINDS[kindAt(one)].lifts);
        break;
      }
      case 'piece':
        if (effect.coverAt(x, y, inside) > 0) {
          const from = effect.shows(x, y);
          coverage(from.x, from.y, shown);
          clearStack(stack);
          laidOver = turn;
          layLadder(stack, shown, coats, [], x, y);
        }
        break;
      case 'guard':
        break;
    }
  };

  return {
    palette,
    borders,
    borderKeys,
    owners,
    blends,
    shrinks,
    stack: () => makeStack(palette, before.length + after.length + 1),
    at: (x, y, inside, stack) => {
      side = inside;
      laidOver = -1;
      clearStack(stack);
      for (const operation of before) work(operation, x, y, stack);
      coverage(x, y, parts);
      layLadder(stack, parts, coats, ladderGuards, x, y);
      for (const operation of after) work(operation, x, y, stack);
    },
  };
}

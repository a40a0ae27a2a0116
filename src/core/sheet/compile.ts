import type { Unit } from '../base/length';
import type { Ink } from '../materials/ink/ink';
import type { Danger } from '../recipe/passes/definition';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/recipe';
import { contextsOf, type ResolvedRecipe } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { type BrushUse, brushesFor } from './brushes';
import { CAUTIONS } from './cautions';
import { clearDesk, type Desk, type DryJoint, type Job, type Setting, type Step, settingOf } from './desk';
import { brew, check, dry, goBack, lay, layPass, prepare } from './jobs';
import { layingOrder } from './schoolChoice';
import { describeMinutes, type Pace, USUAL_PACE } from './times';

/** The order of work for one panel. */
export interface Sheet {
  readonly steps: readonly Step[];
  /** Sum of the steps with the brush in hand. */
  readonly workMinutes: number;
  /** Waiting for ink to dry in air. */
  readonly dryMinutes: number;
  readonly warnings: readonly DryJoint[];
  /** Cautions, each said once. */
  readonly cautions: readonly string[];
}

/**
 * Compiles the order of work. Every figure comes from the recipe's geometry, written in `unit`: each ink is laid
 * solid well away from the join, faded by lifting pressure, and after each new ink its neighbours go back over the
 * joins.
 *
 * @param pace  minutes each piece of work takes this maker
 */
export function compileSheet(resolved: ResolvedRecipe, unit: Unit, pace: Pace = USUAL_PACE): Sheet {
  const setting = settingOf(resolved, unit, pace);
  const passes = passesInOrder(resolved.recipe).map((pass) => ({ pass, inks: brushedInks(resolved, pass) }));
  const isUnder = ({ pass }: { readonly pass: Pass }) => PASS_KINDS[pass.kind].stage === 'under';
  const [under, over] = [passes.filter(isUnder), passes.filter((one) => !isUnder(one))];
  const order = layingOrder(resolved);
  const ladder = order.flatMap((rung) => resolved.inks[rung] ?? []);
  const uses = brushesFor([
    ...under.flatMap(({ inks }) => inks),
    ...ladder,
    ...over.flatMap(({ inks }) => inks),
  ]);
  /** Gives out the uses of brushes in the order they were reckoned in. */
  const take = takeFrom(uses);
  const jobs: readonly Job[] = [
    prepare,
    ...under.map(({ pass, inks }, i) => layPass(pass, i, take(inks.length))),
    ...ladderJobs(setting, order, take(order.length), new Set(uses.map(({ brush }) => brush.letter)).size),
    ...over.map(({ pass, inks }, i) => layPass(pass, under.length + i, take(inks.length))),
    dry('end'),
    check(uses),
  ];
  return sheetOf(jobs.reduce<Desk>((desk, job) => job(desk, setting), clearDesk(setting)));
}

const takeFrom = (uses: readonly BrushUse[]): ((count: number) => readonly BrushUse[]) => {
  const left = [...uses];
  return (count) => left.splice(0, count);
};

/** The blend: each ink laid and its neighbours gone back over it, or two ends and a middle brewed from them. */
function ladderJobs(
  { resolved, school, neighbours }: Setting,
  order: readonly number[],
  uses: readonly BrushUse[],
  brushes: number,
): Job[] {
  const laid = order.flatMap((rung, turn) => {
    const use = uses[turn];
    return use ? [{ rung, use }] : [];
  });
  const [first, last] = laid;
  if (school.brews && first && last && laid.length === 2 && resolved.inks.length === 2)
    return [
      lay(first.rung, first.use, true, false),
      lay(last.rung, last.use, false, false),
      brew(first.rung, last.rung, brushes),
      goBack(first.rung, last.rung, first.use.brush),
      goBack(last.rung, first.rung, last.use.brush),
    ];
  const meet = (p: number, q: number) =>
    neighbours.some(([lower, upper]) => lower === Math.min(p, q) && upper === Math.max(p, q));
  return laid.flatMap(({ rung, use }, turn) => [
    lay(rung, use, turn === 0, true),
    ...laid
      .slice(0, turn)
      .filter((other) => meet(other.rung, rung))
      .toSorted((p, q) => p.rung - q.rung)
      .map((other) => goBack(other.rung, rung, other.use.brush)),
  ]);
}

/** The inks of a pass that are brushed on, one a placement; what is stamped needs no brush. */
const brushedInks = (resolved: ResolvedRecipe, pass: Pass): Ink[] =>
  PASS_KINDS[pass.kind].ink === 'stamped' ? [] : contextsOf(resolved, pass).flatMap(({ ink }) => ink ?? []);

const sheetOf = ({ steps, warnings, clock, dangers }: Desk): Sheet => ({
  steps,
  warnings,
  workMinutes: clock,
  dryMinutes: steps.reduce((sum, { kind, minutes }) => sum + (kind === 'dry' ? (minutes ?? 0) : 0), 0),
  cautions: (Object.keys(CAUTIONS) as Danger[])
    .filter((danger) => dangers.has(danger))
    .map((danger) => CAUTIONS[danger]),
});

/** The sheet as plain text, a numbered step a paragraph. */
export function sheetText(resolved: ResolvedRecipe, unit: Unit, pace: Pace = USUAL_PACE): string {
  const sheet = compileSheet(resolved, unit, pace);
  const { noun } = TOOLS[resolved.recipe.tool];
  const steps = sheet.steps.map((step, i) => {
    const brush = step.brush ? ` [${noun} ${step.brush.letter}: ${step.brush.label}]` : '';
    const time = step.minutes ? ` (${describeMinutes(step.minutes)})` : '';
    const note = step.note ? [`Note: ${step.note}`] : [];
    return [`${i + 1}. ${step.title}${brush}${time}`, step.work, ...step.care, ...note].join('\n   ');
  });
  return [
    resolved.recipe.name,
    `${settingOf(resolved, unit, pace).school.label}. Work ${describeMinutes(sheet.workMinutes)}, then dry ${describeMinutes(sheet.dryMinutes)}.`,
    ...sheet.warnings.map(({ message }) => `Mind: ${message}`),
    ...steps,
    ...sheet.cautions,
  ].join('\n\n');
}

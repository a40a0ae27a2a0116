import { listed } from '../../base/words';
import { INK_KINDS, setsInBrush } from '../../materials/ink/kinds';
import { isPrinted } from '../../recipe/laying';
import { isOneOfAKind } from '../../recipe/passes/words';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { TOOLS } from '../../recipe/tools/tools';
import { compileSheet, type Maker, type Sheet } from '../../sheet/compile';
import type { Step } from '../../sheet/desk';
import { heatInstead } from '../../sheet/passPieces';
import { describeMinutes, USUAL_PACE } from '../../sheet/times';
import type { BrushWish, Operation, PanelGroup } from './sitting';

/** Kinds of steps in which ink is blended into ink: between two of them a join is open. */
const BLENDED: readonly Step['kind'][] = ['lay', 'go back', 'brew'];
/** Steps in which nobody's hands are timed by the sheet take this long, minutes; from memory. */
const UNTIMED = 0.5;
/** What has to follow at once may wait no longer, minutes. */
const AT_ONCE = 0.5;

/** How what is wet is dried: as the sheet says, or all of it one way. */
export type Drying = 'sheet' | 'air' | 'heat';

/** A group whose operations are steps of a sheet. */
export interface SheetGroup extends PanelGroup {
  /** The step that each operation is, told as it is dried here. */
  readonly steps: readonly Step[];
  /** What the sheet asks for beside card, inks and brushes. */
  readonly tools: readonly string[];
  /** What of the work can hurt. */
  readonly dangers: Sheet['dangers'];
}

/**
 * So many panels of a recipe as a planner sees them: the sheet's steps, the wipe of the mat told apart from the laying, and
 * drying in air as waiting without hands. A next ink begins while the one before is open, as does what is done to wet ink, and
 * going back ends while it is. A ladder that is printed holds its stamp until then.
 */
export function groupOf(
  resolved: ResolvedRecipe,
  count: number,
  { drying = 'sheet', maker }: { readonly drying?: Drying; readonly maker?: Maker } = {},
): SheetGroup {
  // Brushes are shared out over the evening by its plan, not over one panel by its sheet.
  const sheet = compileSheet(resolved, 'mm', maker && { ...maker, owned: {} });
  const operations: Operation[] = [];
  const own: Step[] = [];
  const steps = sheet.steps.map((step) => driedAs(step, drying, resolved, maker));
  const onStamp = isPrinted(resolved.recipe)
    ? steps.flatMap(({ once, needs }) => (once ? needs.filter(isOneOfAKind) : []))
    : [];
  steps.forEach((step, i) => {
    if (step.kind === 'prepare') return;
    if (step.waits === 'air') {
      const before = operations.at(-1);
      if (before)
        operations[operations.length - 1] = {
          ...before,
          rest: { min: (before.rest?.min ?? 0) + (step.minutes ?? 0) },
        };
      return;
    }
    const wiped = step.deeds.reduce((sum, deed) => sum + (deed.does === 'wipe mat' ? deed.minutes : 0), 0);
    const next = steps[i + 1];
    // Going back is with what the brush still holds, and a touch comes from the pad: no ink is taken from a mat.
    const takesInk =
      step.ink !== undefined && step.deeds.some((deed) => deed.does === 'load' && deed.load === 'full');
    const isOpen = next?.whileWet || (BLENDED.includes(step.kind) && next && BLENDED.includes(next.kind));
    const open =
      isOpen && (step.ink ? openAfter(step.ink.kind, steps.slice(i + 1)) : step.whileWet && AT_ONCE);
    const brush = brushOf(step, resolved);
    own.push(step);
    const things = BLENDED.includes(step.kind) ? onStamp : step.needs.filter(isOneOfAKind);
    operations.push({
      name: step.title,
      minutes: Math.max((step.minutes ?? UNTIMED) - wiped, 0.1),
      ...(takesInk && step.ink ? { ink: step.ink.name } : {}),
      ...(brush ? { brush } : {}),
      ...(step.waits === 'heat' ? { heat: true } : {}),
      ...(things.length > 0 ? { things } : {}),
      ...(step.once ? { once: true } : {}),
      ...(open ? { rest: { max: open } } : {}),
    });
  });
  const inHand = new Set(own.flatMap(({ needs }) => needs));
  // What only drying in air offers as a way out of it is not laid out where all is dried in air.
  const offered = steps.flatMap(({ waits, needs }) => (drying === 'air' && waits === 'air' ? needs : []));
  const tools = sheet.steps.flatMap(({ layOut = [] }) =>
    layOut.flatMap(({ group, thing }) =>
      group === 'Tools' && (inHand.has(thing) || !offered.includes(thing)) ? [thing] : [],
    ),
  );
  return { name: resolved.recipe.name, count, operations, steps: own, tools, dangers: sheet.dangers };
}

/** A step that only dries, dried that way; what heat would spoil keeps its air. */
function driedAs(
  step: Step,
  drying: Drying,
  { inks, passInks }: ResolvedRecipe,
  maker: Maker | undefined,
): Step {
  if (step.kind !== 'dry' || drying === 'sheet' || step.waits === drying || step.noHeat) return step;
  const pace = maker?.pace ?? USUAL_PACE;
  const slowest = Math.max(...[...inks, ...passInks].map(({ kind }) => INK_KINDS[kind].airDryMinutes));
  if (drying === 'air') return { ...step, waits: drying, minutes: slowest * pace.airDry };
  return {
    ...step,
    title: 'Dry with the heat tool',
    work: `Face then back, about ${describeMinutes(pace.heatDry)}, until nothing of it is damp.`,
    // What the sheet offers in place of air is what is done here.
    care: step.care.filter((line) => line !== heatInstead(pace)),
    waits: drying,
    minutes: pace.heatDry,
  };
}

/** What the step's brush has to hold: the colour it is kept for, or the mixture that is brewed in it. */
function brushOf(step: Step, { recipe }: ResolvedRecipe): BrushWish | undefined {
  if (!step.brush) return undefined;
  const tool = TOOLS[recipe.tool];
  const loaded = step.deeds.find((deed) => deed.does === 'load');
  const inks = loaded?.does === 'load' ? loaded.inks : step.ink ? [step.ink] : [];
  const kind = inks[0]?.kind ?? step.ink?.kind;
  const set = kind ? INK_KINDS[kind].brushSet : 'none';
  return {
    holds: inks.length > 1 ? listed(inks.map(({ name }) => name)) : step.brush.label,
    set: tool.countedAs === 'daubers' ? `${set}, daubers` : set,
    ...(setsInBrush(set) ? { sets: true } : {}),
  };
}

/**
 * How long after a step what follows it may wait, minutes: going back has to end while the ink is open, and of several
 * things that are done to it while it is wet the last has to begin so, each coming at once after the one before.
 */
function openAfter(kind: keyof typeof INK_KINDS, [next, ...later]: readonly Step[]): number {
  const open = INK_KINDS[kind].openMinutes;
  if (next?.kind === 'go back') return Math.max(open - (next.minutes ?? 0), AT_ONCE);
  const firstDry = later.findIndex(({ whileWet }) => !whileWet);
  const wetWork = next?.whileWet ? [next, ...later.slice(0, firstDry < 0 ? later.length : firstDry)] : [];
  const taken = wetWork.slice(0, -1).reduce((sum, { minutes = UNTIMED }) => sum + minutes + AT_ONCE, 0);
  return Math.max(open - taken, AT_ONCE);
}

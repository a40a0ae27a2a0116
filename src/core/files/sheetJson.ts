import type { Unit } from '../base/length';
import type { ResolvedRecipe } from '../recipe/resolved';
import { compileSheet, type Maker } from '../sheet/compile';
import type { Step } from '../sheet/desk';

/** Minutes to the second, mm to the hundredth: finer is told to nobody. */
const rounded = (value: number, places: number): number => Number(value.toFixed(places));

/** A step as other tools read it. Minutes are numbers; marks are mm, in from the left or up from the foot. */
const stepOf = (step: Step) => ({
  key: step.key,
  kind: step.kind,
  title: step.title,
  work: step.work,
  care: step.care,
  ink: step.ink?.name ?? null,
  brush: step.brush ?? null,
  minutes: step.minutes === undefined ? null : rounded(step.minutes, 2),
  waits: step.waits ?? null,
  begins: rounded(step.begins, 2),
  marks: step.marks.flatMap(({ name, places }) =>
    places.map(({ on, from, at }) => ({ name, on: on ?? null, from, mm: rounded(at, 2) })),
  ),
  layOut: step.layOut ?? [],
  note: step.note ?? null,
});

/** The order of work as data: a list of steps, with what the sheet says as a whole. */
export function sheetJson(resolved: ResolvedRecipe, unit: Unit, maker: Maker = {}): string {
  const { steps, workMinutes, dryMinutes, remarks, cautions } = compileSheet(resolved, unit, maker);
  return JSON.stringify(
    {
      format: 'tint-ladder/sheet',
      version: 1,
      recipe: resolved.recipe.name,
      unit,
      workMinutes: rounded(workMinutes, 2),
      dryMinutes: rounded(dryMinutes, 2),
      remarks,
      cautions,
      steps: steps.map(stepOf),
    },
    null,
    2,
  );
}

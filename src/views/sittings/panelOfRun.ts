import { today } from '../../app/log/useLogActions';
import { type MadePanel, madeOf } from '../../core/keep/log/made';
import { keyOf } from '../../core/make/sitting/begun';
import type { SittingRun } from '../../core/make/sitting/record';
import type { Planned } from '../../core/make/sitting/sitting';
import type { KnownSitting } from './lots';

/** A panel as the log has it, where that line was its last; with the time each of its steps took. */
export function panelOfRun(
  known: KnownSitting,
  run: SittingRun,
  line: Planned,
): Omit<MadePanel, 'id' | 'number'> | undefined {
  const lot = known.lots[line.group];
  if (!lot || line.operation < lot.group.operations.length - 1) return undefined;
  const own = run.lines.filter(
    (one) => one.does === 'operation' && !one.spoiled && keyOf(one) === keyOf(line),
  );
  const times = own.flatMap(({ operation, start, end }) => {
    const step = lot.group.steps[operation];
    return step ? [{ key: step.key, title: step.title, minutes: Number((end - start).toFixed(2)) }] : [];
  });
  return {
    date: today(),
    name: lot.resolved.recipe.name,
    occasion: known.record.name,
    made: madeOf(lot.resolved),
    readings: [],
    ...(times.length > 0 ? { times } : {}),
  };
}

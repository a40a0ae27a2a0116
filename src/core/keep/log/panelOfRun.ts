import { keyOf } from '../../make/sitting/begun';
import type { KnownSitting } from '../../make/sitting/known';
import type { SittingRun } from '../../make/sitting/record';
import type { Planned } from '../../make/sitting/sitting';
import { type MadePanel, madeOf } from './made';
import { stepTimes } from './stepTime';

/**
 * A panel as the log has it, where that line of a run was its last; with the time each of its steps took.
 *
 * @param date  of the day it was done, `2026-11-29`
 */
export function panelOfRun(
  known: Pick<KnownSitting, 'lots' | 'record'>,
  run: SittingRun,
  line: Planned,
  date: string,
): Omit<MadePanel, 'id' | 'number'> | undefined {
  const lot = known.lots[line.group];
  if (!lot || line.operation < lot.group.operations.length - 1) return undefined;
  const own = run.lines.filter(
    (one) => one.does === 'operation' && !one.spoiled && keyOf(one) === keyOf(line),
  );
  const times = own.flatMap(({ operation, start, end }) => {
    const step = lot.group.steps[operation];
    return step ? stepTimes(step, end - start) : [];
  });
  return {
    date,
    name: lot.resolved.recipe.name,
    occasion: known.record.name,
    made: madeOf(lot.resolved),
    readings: [],
    ...(times.length > 0 ? { times } : {}),
  };
}

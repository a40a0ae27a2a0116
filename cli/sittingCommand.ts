import { readFile } from 'node:fs/promises';
import { FileError } from '../src/core/files/fileError';
import { readSittingFile, type SittingFile } from '../src/core/files/sittingFile';
import { whatWouldHelp } from '../src/core/make/sitting/help';
import { type PlannedSitting, planSitting } from '../src/core/make/sitting/plan';
import { type Plan, whyNot } from '../src/core/make/sitting/sitting';
import { letterOf } from '../src/core/sheet/brushes';
import { Mistake } from './mistake';

interface SittingOptions {
  readonly seconds: string;
  readonly json: boolean;
}

/** So many rounds at the most, however many seconds there are. */
const MOST_STEPS = 100_000;
/** Rounds that each thing more at hand is tried with. */
const HELP_STEPS = 30;

/** A plan of an evening: what is done to which panel when, how good that is, and what would help. */
export async function sittingText(
  path: string | undefined,
  { seconds, json }: SittingOptions,
): Promise<string> {
  if (!path) throw new Mistake('Name the sitting (JSON).');
  const limit = Number(seconds);
  if (!(limit > 0 && limit <= 600)) throw new Mistake('--seconds must be a number above 0, at most 600');
  const file = await readFile(path, 'utf8').then(
    (text) => {
      try {
        return readSittingFile(text);
      } catch (error) {
        if (error instanceof FileError) throw new Mistake(`${path}: ${error.message}`);
        throw error;
      }
    },
    (error) => {
      throw new Mistake(`${path}: cannot be read (${error.code})`);
    },
  );
  const { sitting } = file;
  const why = whyNot(sitting);
  if (why) throw new Mistake(`${path}: ${why}`);
  const until = performance.now() + limit * 1000;
  const planned = planOrMistake(path, () =>
    planSitting(sitting, { steps: MOST_STEPS, isOver: () => performance.now() > until }),
  );
  return json ? JSON.stringify(output(file, planned), null, 2) : told(file, planned);
}

function planOrMistake<T>(path: string, plan: () => T): T {
  try {
    return plan();
  } catch (error) {
    if (error instanceof RangeError) throw new Mistake(`${path}: ${error.message}`);
    throw error;
  }
}

const endOf = (plan: Plan | undefined): number | null => (plan ? rounded(plan.makespan) : null);
const rounded = (minutes: number): number => Number(minutes.toFixed(2));

function output({ sitting: { groups, atHand }, start }: SittingFile, { plan, bound, naive }: PlannedSitting) {
  return {
    format: 'tint-ladder/plan',
    version: 1,
    start,
    makespan: rounded(plan.makespan),
    bound: rounded(bound),
    wipes: plan.wipes,
    washes: plan.washes,
    waiting: rounded(plan.waiting),
    naive: {
      panelAfterPanel: endOf(naive.panelAfterPanel),
      stageByStage: endOf(naive.stageByStage),
      inFours: endOf(naive.inFours),
    },
    atHand,
    lines: plan.lines.map(({ does, group, panel, operation, hand, mat, brush, start: from, end }) => ({
      does,
      panel: `${groups[group]?.name} ${panel + 1}`,
      operation: groups[group]?.operations[operation]?.name,
      hand,
      mat: mat ?? null,
      brush: brush === undefined ? null : letterOf(brush),
      start: rounded(from),
      end: rounded(end),
    })),
  };
}

/** The hour of day so many minutes after a start, `19:42`. */
function hourAfter(start: string, minutes: number): string {
  const [hours = 0, past = 0] = start.split(':').map(Number);
  const at = Math.round(hours * 60 + past + minutes);
  return `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

function told({ sitting, start, finish }: SittingFile, { plan, bound, naive }: PlannedSitting): string {
  const { groups } = sitting;
  const over = (100 * (plan.makespan / bound - 1)).toFixed(1);
  const done = groups.flatMap(({ count, operations }, group) =>
    Array.from({ length: count }, (_, panel) => {
      const last = plan.lines.findLast(
        (line) => line.group === group && line.panel === panel && line.does === 'operation',
      );
      return (last?.end ?? 0) + (operations.at(-1)?.rest?.min ?? 0);
    }),
  );
  const help = whatWouldHelp(sitting, plan, { steps: HELP_STEPS });
  return [
    `${done.length} panels from ${start} to ${hourAfter(start, plan.makespan)}: ${Math.round(plan.makespan)} minutes, ${plan.wipes} wipes of a mat and ${plan.washes} washes of a brush, at most ${over} % over the least there can be.`,
    ...(naive.panelAfterPanel
      ? [
          `Panel after panel it would take ${Math.round(naive.panelAfterPanel.makespan)} minutes${naive.stageByStage ? `, stage by stage ${Math.round(naive.stageByStage.makespan)}` : ''}${naive.inFours ? `, four at a time ${Math.round(naive.inFours.makespan)}` : ''}.`,
        ]
      : []),
    ...(finish === undefined
      ? []
      : [
          `By ${finish}, ${done.filter((end) => hourAfter(start, end) <= finish).length} of ${done.length} are done.`,
        ]),
    ...help.map(({ what, saves }) => `With ${what}: ${Math.round(saves)} minutes less.`),
    ...plan.lines.map(({ does, group, panel, operation, mat, brush, start: from }) => {
      const work = groups[group]?.operations[operation];
      const where = `${mat === undefined ? '' : `, mat ${mat + 1}`}${brush === undefined ? '' : `, brush ${letterOf(brush)}`}`;
      if (does === 'wash') return `${hourAfter(start, from)}  wash brush ${letterOf(brush ?? 0)}`;
      return `${hourAfter(start, from)}  ${does === 'wipe' ? `wipe mat ${(mat ?? 0) + 1}` : `${groups[group]?.name} ${panel + 1}: ${work?.name}${where}`}`;
    }),
  ].join('\n');
}

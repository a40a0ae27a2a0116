import { format } from 'date-fns';
import { dayOf } from '../../base/day';
import { counted } from '../../base/words';
import type { Maker } from '../../sheet/compile';
import type { Minutes } from '../../sheet/times';
import type { DoneLine } from './begun';
import type { Drying } from './fromSheet';
import {
  type AtHand,
  type Break,
  type PanelGroup,
  SITTING_LIMITS,
  type Sitting,
  USUAL_TABLE,
  type Wants,
} from './sitting';
import type { Token } from './works';

/** So many panels of one recipe. */
export interface Lot {
  readonly id: string;
  readonly recipeId: string;
  readonly count: number;
}

/** A sitting as it is kept: what is to be made with what, when, and how far it has come. */
export interface SittingRecord {
  readonly id: string;
  readonly name: string;
  /** `2026-11-27`. */
  readonly date: string;
  /** `19:00`. */
  readonly start: string;
  /** The hour it is wished to be done by; before the start it is the next morning's. */
  readonly finish?: string;
  readonly breaks: readonly { readonly id: string; readonly at: string; readonly minutes: Minutes }[];
  readonly lots: readonly Lot[];
  readonly atHand: AtHand;
  readonly drying: Drying;
  readonly wants: Wants;
  /** Whether whole cards are put together, as in Cards, Cutting. */
  readonly putsTogether: boolean;
  /** Kept to be begun again, with no day of its own. */
  readonly pattern?: true;
  /** Whole sheets it takes of each card, for others that would use them. */
  readonly reserves?: readonly SheetsOf[];
  readonly run?: SittingRun;
}

export interface SheetsOf {
  readonly cardId: string;
  readonly sheets: number;
}

/** What a run was begun with, and stays with: a recipe changed meanwhile, or a pace grown quicker, is for the next one. */
export interface BegunWith {
  readonly maker: Maker;
  /** Each lot's recipe as a file has it. */
  readonly recipes: readonly { readonly lotId: string; readonly file: string }[];
}

/** A while in which nobody was at the desk, in minutes of the run; one without an end lasts still. */
export interface Away {
  readonly from: Minutes;
  readonly to?: Minutes;
}

/** How far a sitting has come, as it was worked. */
export interface SittingRun {
  readonly with: BegunWith;
  /** When it was begun, ms since 1970. Its minutes count from there. */
  readonly begunAt: number;
  readonly lines: readonly DoneLine[];
  /** Panels taken out, by their keys. */
  readonly out: readonly string[];
  /** What is to come, in order. */
  readonly order: readonly Token[];
  /** The log's entry of each panel that is done, by its key. */
  readonly logged: Readonly<Record<string, string>>;
  /** When it was left and taken up again, in order. */
  readonly away?: readonly Away[];
  readonly endedAt?: number;
  /** What was taken from the drawer at its end. */
  readonly used?: readonly SheetsOf[];
}

export const RECORD_LIMITS = {
  name: 120,
  lots: 20,
  count: 200,
  breaks: 6,
  breakMinutes: 240,
  sittings: 2000,
  away: 1000,
} as const;

/** Brushes set out where nothing else is said; from memory. */
const USUAL_BRUSHES = { 'dye and hybrid': 5, pigment: 3 } as const;

/**
 * "5 brushes for dye and hybrid, 3 brushes for pigment, 2 daubers for dye and hybrid".
 *
 * @param tell  a count with what it is of, as it is written there
 */
export function tellBrushes(
  brushes: AtHand['brushes'],
  tell: (count: number, one: string, many: string) => string = counted,
): string {
  const sets = Object.entries(brushes);
  if (sets.length === 0) return 'as many brushes as it takes';
  return sets
    .map(([set, count]) => {
      const [inks = '', isDauber] = set.split(', ');
      return `${isDauber ? tell(count, 'dauber', 'daubers') : tell(count, 'brush', 'brushes')} for ${inks}`;
    })
    .join(', ');
}

export const newSitting = (id: string, name: string, date: string): SittingRecord => ({
  id,
  name,
  date,
  start: '19:00',
  breaks: [],
  lots: [],
  atHand: { ...USUAL_TABLE, brushes: USUAL_BRUSHES, places: 8 },
  drying: 'sheet',
  wants: 'early',
  putsTogether: false,
});

const DAY = 24 * 60;
const minutesOf = (clock: string): Minutes => {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return hours * 60 + minutes;
};

/** Minutes from one hour of day to another; after midnight where that is earlier. */
export const minutesBetween = (start: string, clock: string): Minutes =>
  (minutesOf(clock) - minutesOf(start) + DAY) % DAY;

/** The hour of day so many minutes after a start, `19:42`. */
export function clockAfter(start: string, minutes: Minutes): string {
  const at = Math.round(minutesOf(start) + minutes);
  return `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(((at % 60) + 60) % 60).padStart(2, '0')}`;
}

/** The hour of day of a moment, by this machine's clock. */
export const clockOf = (moment: number): string => format(moment, 'HH:mm');

/** The day and the hour from which a sitting's minutes count: when it was begun, or is to begin. */
export const beginsOn = ({
  date,
  start,
  run,
}: Pick<SittingRecord, 'date' | 'start' | 'run'>): Pick<SittingRecord, 'date' | 'start'> =>
  run ? { date: dayOf(run.begunAt), start: clockOf(run.begunAt) } : { date, start };

export const originOf = (record: Pick<SittingRecord, 'date' | 'start' | 'run'>): string =>
  beginsOn(record).start;

const breaksOf = (record: SittingRecord): Break[] =>
  record.breaks
    .map(({ at, minutes }) => ({ start: minutesBetween(originOf(record), at), minutes }))
    .toSorted((p, q) => p.start - q.start);

/** Breaks as they are planned, and when nobody was there: a break that falls into that is none of its own. */
function restsOf(record: SittingRecord): Break[] {
  const gone = (record.run?.away ?? []).flatMap(({ from, to }): Break[] =>
    to === undefined ? [] : [{ start: from, minutes: to - from }],
  );
  const own = breaksOf(record).filter(
    ({ start, minutes }) =>
      !gone.some((one) => start < one.start + one.minutes && start + minutes > one.start),
  );
  return [...own, ...gone].toSorted((p, q) => p.start - q.start);
}

/** What a planner is told of a kept sitting, with its panels as it sees them, one group a lot. */
export const sittingOf = (record: SittingRecord, groups: readonly PanelGroup[]): Sitting => ({
  groups,
  atHand: record.atHand,
  breaks: restsOf(record),
  wants: record.wants,
});

/** How a sitting stands on a day: an evening that has passed without being begun has gone by. */
export type Stand = 'under way' | 'to come' | 'gone by' | 'pattern' | 'done';

/** @param today  `2026-12-02` */
export function standOf({ pattern, run, date }: SittingRecord, today: string): Stand {
  if (pattern) return 'pattern';
  if (run) return run.endedAt === undefined ? 'under way' : 'done';
  return date < today ? 'gone by' : 'to come';
}

export const panelsOf = ({ lots }: Pick<SittingRecord, 'lots'>): number =>
  lots.reduce((sum, { count }) => sum + count, 0);

/** Why a sitting is not even tried to be planned, and what to change; undefined where nothing is wrong. */
export function whyNotPlanned(record: SittingRecord): string | undefined {
  const panels = panelsOf(record);
  if (record.lots.length === 0) return 'It has no panels yet: add a recipe, and say how many.';
  if (panels === 0) return 'It has no panels: raise the count of a recipe.';
  if (panels > SITTING_LIMITS.panels)
    return `${panels} panels are too many for one plan, at most ${SITTING_LIMITS.panels}: lower a count, or make sittings of them.`;
  const breaks = breaksOf(record);
  const over = breaks.find(
    ({ start, minutes }, i) => start + minutes > (breaks[i + 1]?.start ?? Number.POSITIVE_INFINITY),
  );
  if (over)
    return `Two breaks overlap, one of ${counted(over.minutes, 'minute')} and the one after: move one of them.`;
  return undefined;
}

import { differenceInCalendarDays, parseISO } from 'date-fns';
import { nameOrder } from '../../base/names';
import { counted } from '../../base/words';
import { type Ink, isBare } from '../../materials/ink/ink';
import { TOOLS } from '../../recipe/tools/tools';
import type { MadePanel } from '../log/made';

/** What is kept of one ink's pad. */
export interface Pad {
  readonly inkId: string;
  /** Days it was re-inked on, `2026-05-01`, rising. */
  readonly reinked: readonly string[];
}

/** Days that are kept of a pad: the latest. */
export const MOST_REINKED = 1000;

/** A brush or dauber of one's own. */
export interface OwnTool {
  readonly id: string;
  readonly kind: 'brush' | 'dauber' | 'foam';
  /** What is written on it. */
  readonly label: string;
  /** Name of the ink it last held. */
  readonly holds?: string;
  /** The day it was last washed. */
  readonly washed?: string;
}
export const TOOL_KINDS = ['brush', 'dauber', 'foam'] as const satisfies readonly OwnTool['kind'][];
export const OWN_TOOL_LIMITS = { label: 60, holds: 120, tools: 500 } as const;

/** How a pad stands today. */
export interface PadState {
  readonly ink: Ink;
  /** The day it was last re-inked; undefined where that was never noted. */
  readonly inked: string | undefined;
  readonly days: number | undefined;
  /** Panels laid with it since, and the area of full coats, cm². */
  readonly panels: number;
  readonly area: number;
  /** How dry it is guessed to be: 0 fresh, 1 to be re-inked. */
  readonly dryness: number;
}

/**
 * A pad is dry after half a year of much use, or after a year of little; blending drinks it sooner: after so many cm² of
 * full coats. The times are common practice, the area from memory.
 */
const LASTS = { often: 182, seldom: 365, area: 6000 } as const;
/** A pad used on so many panels a month is used much. */
const OFTEN = 1;

/** From here on a pad is said to be due. */
export const DUE = 0.9;

/** How each pad stands: of inks that are laid from one. */
export function padStates(
  inks: readonly Ink[],
  pads: readonly Pad[],
  log: readonly MadePanel[],
  today: string,
): PadState[] {
  const inkings = new Map(pads.map(({ inkId, reinked }) => [inkId, reinked.at(-1)]));
  return inks
    .filter((ink) => !ink.wished && !isBare(ink))
    .map((ink) => {
      const inked = inkings.get(ink.id);
      const since = log.filter(({ date }) => inked === undefined || date >= inked);
      const laid = since.map((panel) => areaOf(panel, ink)).filter((area) => area > 0);
      const area = laid.reduce((sum, one) => sum + one, 0);
      // A day that is still to come, by a clock that was wrong, is today.
      const days =
        inked === undefined
          ? undefined
          : Math.max(differenceInCalendarDays(parseISO(today), parseISO(inked)), 0);
      return { ink, inked, days, panels: laid.length, area, dryness: drynessOf(days, laid.length, area) };
    })
    .toSorted((p, q) => q.dryness - p.dryness || nameOrder(p.ink.name, q.ink.name));
}

function drynessOf(days: number | undefined, panels: number, area: number): number {
  const byUse = area / LASTS.area;
  if (days === undefined) return byUse;
  const often = panels / Math.max(days / 30, 1) >= OFTEN;
  return Math.max(days / (often ? LASTS.often : LASTS.seldom), byUse);
}

/** Area of full coats of an ink on a panel, cm². */
function areaOf({ made, inkNames }: MadePanel, ink: Ink): number {
  if (!made) return inkNames?.includes(ink.name) ? USUAL_PANEL / Math.max(inkNames.length, 1) : 0;
  const { recipe } = made;
  const share = recipe.rungs
    .filter(({ inkId }) => inkId === ink.id)
    .reduce((sum, rung) => sum + rung.share, 0);
  return (share * recipe.panel.width * recipe.panel.height * TOOLS[recipe.tool].coats) / 100;
}
/** A usual panel, cm². */
const USUAL_PANEL = 150;

/** "last re-inked 7 months ago, 12 panels since". */
export function tellPad({ inked, days, panels }: PadState): string {
  const since = panels === 0 ? 'unused since' : `${counted(panels, 'panel')} since`;
  if (inked === undefined || days === undefined)
    return panels === 0 ? 're-inking never noted' : `re-inking never noted, ${panels} on the log`;
  const ago = days < 45 ? `${counted(days, 'day')} ago` : `${counted(Math.round(days / 30.4), 'month')} ago`;
  return `last re-inked ${days === 0 ? 'today' : ago}, ${since}`;
}

/** How dry a pad will be guessed to be after so much more of it, cm² of full coats. */
export const drynessAfter = ({ dryness }: PadState, coated: number): number => dryness + coated / LASTS.area;

/** Ink that goes into a pad at a re-inking, ml; from memory. */
const REFILL_ML = 1.5;
/** Less laid between re-inkings than this, cm², says nothing of what a coat takes; and what a coat can take, ml a m². */
const TELLING = { area: 2000, least: 2, most: 80 } as const;

/** What a coat takes at this desk, ml a m², by how much was laid from one re-inking to the next; undefined where too little was noted. */
export function inkPerCoat(
  inks: readonly Ink[],
  pads: readonly Pad[],
  log: readonly MadePanel[],
): { readonly perCoat: number; readonly refills: number } | undefined {
  let [area, refills] = [0, 0];
  for (const { inkId, reinked } of pads) {
    const ink = inks.find(({ id }) => id === inkId);
    if (!ink) continue;
    reinked.slice(1).forEach((day, i) => {
      const before = reinked[i] ?? day;
      const laid = log.filter(({ date }) => date >= before && date < day);
      const own = laid.reduce((sum, panel) => sum + areaOf(panel, ink), 0);
      if (own <= 0) return;
      area += own;
      refills++;
    });
  }
  if (area < TELLING.area) return undefined;
  const perCoat = (refills * REFILL_ML) / (area / 1e4);
  return { perCoat: Math.min(Math.max(perCoat, TELLING.least), TELLING.most), refills };
}

/** In a word, as a shape beside it says too. */
export const padWord = (dryness: number): 'fresh' | 'good' | 'due' | 'dry' =>
  dryness >= 1.3 ? 'dry' : dryness >= DUE ? 'due' : dryness >= 0.35 ? 'good' : 'fresh';

/** Whether it can be told how a pad stands: by when it was re-inked, or by how much was laid with it alone. */
export const isPadKnown = ({ inked, dryness }: PadState): boolean => inked !== undefined || dryness >= DUE;

/** The day a pad will be due if it goes on as it did; undefined where its last re-inking is not known. */
export function dueDay({ inked, days, dryness }: PadState): Date | undefined {
  if (inked === undefined || days === undefined) return undefined;
  const lasts = dryness > 0 && days > 0 ? days / dryness : LASTS.seldom;
  const due = parseISO(inked);
  due.setDate(due.getDate() + Math.round(Math.min(lasts, LASTS.seldom)));
  return due;
}

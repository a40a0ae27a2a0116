import { chroma, hueDegrees } from '../../../materials/colour/lab';
import { HUE_SECTORS, hueSector } from '../../shelf/gaps';
import { muddyNoun } from '../pairs/jointFigures';
import type { DriedInks } from '../pairs/pairTable';

export type HueSector = (typeof HUE_SECTORS)[number];

/**
 * What a mood is stated by: figures of three inks as they dry. Chroma and lightness are C* and L*; liveliness is chroma as
 * the eye takes it; warmth goes from −100, cool, to 100, warm.
 */
export const MOOD_FIGURES = {
  dullest: { label: 'Liveliness of the dullest', min: 0, max: 150 },
  liveliness: { label: 'Mean liveliness', min: 0, max: 150 },
  loudest: { label: 'Liveliness of the loudest', min: 0, max: 150 },
  chroma: { label: 'Mean chroma', min: 0, max: 130 },
  strongest: { label: 'Chroma of the strongest', min: 0, max: 130 },
  palest: { label: 'Lightness of the palest', min: 0, max: 100 },
  lightness: { label: 'Mean lightness', min: 0, max: 100 },
  darkest: { label: 'Lightness of the darkest', min: 0, max: 100 },
  contrast: { label: 'From pale to dark', min: 0, max: 100 },
  warmth: { label: 'Warmth', min: -100, max: 100 },
} as const;
export type MoodFigure = keyof typeof MOOD_FIGURES;
export const MOOD_FIGURE_IDS = Object.keys(MOOD_FIGURES) as readonly MoodFigure[];

/** Some of the inks have one of these hues, and at least so much chroma. */
export interface MoodNeed {
  readonly hues: readonly HueSector[];
  readonly chroma: number;
  /** How many of the three. */
  readonly count: number;
}

/** A mood or an occasion, as properties of colours that can be read, changed and added to. */
export interface Mood {
  readonly id: string;
  readonly name: string;
  readonly limits: Readonly<Partial<Record<MoodFigure, { readonly min?: number; readonly max?: number }>>>;
  /** Hues every ink has, greys apart; empty for any. */
  readonly hues: readonly HueSector[];
  readonly needs: readonly MoodNeed[];
  /** Whether browns, olives and greys may be in it. */
  readonly drab: boolean;
}

export const MOOD_LIMITS = { name: 60, needs: 4, moods: 100 } as const;

/** Teals and blues look livelier than their chroma: it counts for so much more between these hues. By eye. */
const COOL = { from: 165, to: 265, times: 1.5 } as const;
/** The hue that is warmest, degrees. By eye. */
const WARMEST = 60;
/** Of less chroma an ink is a grey, and goes with any hues. */
const GREY_BELOW = 14;

/** Whether three inks, by their numbers, are of a mood. */
export function moodTest(mood: Mood, { labs, lightness, noun }: DriedInks) {
  const chromas = Float64Array.from(labs, chroma);
  const lively = Float64Array.from(labs, (lab, i) => {
    const hue = hueDegrees(lab);
    return chromas[i] * (hue >= COOL.from && hue <= COOL.to ? COOL.times : 1);
  });
  const warm = Float64Array.from(
    labs,
    (lab, i) => chromas[i] * Math.cos(((hueDegrees(lab) - WARMEST) * Math.PI) / 180),
  );
  const sectors = labs.map(hueSector);
  const isIn = (hues: readonly HueSector[]) => {
    const wanted = new Set(hues.map((hue) => HUE_SECTORS.indexOf(hue)));
    return Uint8Array.from(sectors, (sector) => (sector !== undefined && wanted.has(sector) ? 1 : 0));
  };
  const inHues = isIn(mood.hues);
  const fitsAlone = Uint8Array.from(labs, (_, i) => {
    if (!mood.drab && muddyNoun[noun[i]] === 1) return 0;
    return mood.hues.length === 0 || inHues[i] === 1 || chromas[i] < GREY_BELOW ? 1 : 0;
  });
  const needs = mood.needs.map(({ hues, chroma: least, count }) => {
    const there = isIn(hues);
    return { there: there.map((is, i) => (is === 1 && chromas[i] >= least ? 1 : 0)), count };
  });
  const limits = MOOD_FIGURE_IDS.flatMap((id) => {
    const { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = mood.limits[id] ?? {};
    return mood.limits[id] ? [{ id, min, max }] : [];
  });
  const mean = (of: Float64Array, i: number, j: number, k: number): number => (of[i] + of[j] + of[k]) / 3;
  const most = (of: Float64Array, i: number, j: number, k: number): number => Math.max(of[i], of[j], of[k]);
  const least = (of: Float64Array, i: number, j: number, k: number): number => Math.min(of[i], of[j], of[k]);
  const figures: Readonly<Record<MoodFigure, (i: number, j: number, k: number) => number>> = {
    dullest: (i, j, k) => least(lively, i, j, k),
    liveliness: (i, j, k) => mean(lively, i, j, k),
    loudest: (i, j, k) => most(lively, i, j, k),
    chroma: (i, j, k) => mean(chromas, i, j, k),
    strongest: (i, j, k) => most(chromas, i, j, k),
    palest: (i, j, k) => most(lightness, i, j, k),
    lightness: (i, j, k) => mean(lightness, i, j, k),
    darkest: (i, j, k) => least(lightness, i, j, k),
    contrast: (i, j, k) => most(lightness, i, j, k) - least(lightness, i, j, k),
    warmth: (i, j, k) => (100 * mean(warm, i, j, k)) / Math.max(mean(chromas, i, j, k), 1e-9),
  };
  return (i: number, j: number, k: number): boolean => {
    if (fitsAlone[i] === 0 || fitsAlone[j] === 0 || fitsAlone[k] === 0) return false;
    for (const { there, count } of needs) if (there[i] + there[j] + there[k] < count) return false;
    for (const { id, min, max } of limits) {
      const figure = figures[id](i, j, k);
      if (figure < min || figure > max) return false;
    }
    return true;
  };
}

/** What a mood asks, in a sentence. */
export function describeMood({ limits, hues, needs, drab }: Mood): string {
  const ranges = MOOD_FIGURE_IDS.flatMap((id) => {
    const { min, max } = limits[id] ?? {};
    const label = MOOD_FIGURES[id].label.replace(/^./, (letter) => letter.toLowerCase());
    if (min !== undefined && max !== undefined) return [`${label} ${told(min)} to ${told(max)}`];
    if (min !== undefined) return [`${label} at least ${told(min)}`];
    return max !== undefined ? [`${label} at most ${told(max)}`] : [];
  });
  const wanted = needs.map(
    ({ hues: some, chroma: least, count }) =>
      `${COUNTS[count] ?? count} of ${some.join(' or ')}${least > 0 ? `, chroma ${least} and up` : ''}`,
  );
  const parts = [
    ...ranges,
    ...(hues.length > 0 ? [`every ink of ${hues.join(', ')}, or a grey`] : []),
    ...wanted,
    ...(drab ? [] : ['no brown, olive or grey']),
  ];
  if (parts.length === 0) return 'Asks nothing yet.';
  const all = parts.join('; ');
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}.`;
}
const told = (value: number): string => String(value).replace('-', '−');
const COUNTS: Readonly<Record<number, string>> = { 1: 'one', 2: 'two', 3: 'all three' };

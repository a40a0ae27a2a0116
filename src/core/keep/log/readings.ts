import type { LoggedReading } from './made';

/** A reading, and its place among those of its panel, from 0. */
export interface PlacedReading {
  readonly place: number;
  readonly reading: LoggedReading;
}

/** Which of some readings still stand where they stood: one that is gone has left its place to another. */
export const stillThere = (
  readings: readonly LoggedReading[],
  some: readonly PlacedReading[],
): PlacedReading[] => some.filter(({ place, reading }) => isSame(readings[place], reading));

export const withoutReadings = (
  readings: readonly LoggedReading[],
  gone: readonly PlacedReading[],
): LoggedReading[] => readings.filter((_, place) => !gone.some((one) => one.place === place));

/** Readings that come back where they stood, the first first; what was read meanwhile stays, behind them. */
export const withReadings = (
  readings: readonly LoggedReading[],
  back: readonly PlacedReading[],
): LoggedReading[] =>
  back.reduce<LoggedReading[]>((all, { place, reading }) => all.toSpliced(place, 0, reading), [...readings]);

const isSame = (p: LoggedReading | undefined, q: LoggedReading): boolean =>
  JSON.stringify(p) === JSON.stringify(q);

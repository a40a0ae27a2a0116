import { quantile } from 'd3-array';
import { deltaE00 } from '../../materials/colour/difference';
import type { Lab } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import type { LoggedReading, MadePanel } from '../log/made';
import { finder, panelPlaces } from './fromLog';
import { countsFor } from './residual';
import { placeColour, trustOf } from './tell';

/** A dried reading of a panel beside what was said of its place, and what is said of it now. */
export interface ComparedReading extends Pick<LoggedReading, 'lab' | 'source'> {
  readonly at: NonNullable<LoggedReading['at']>;
  /** Its place among the panel's readings, from 0. */
  readonly place: number;
  readonly said: Lab;
  readonly told: Lab;
  /** How far what was read lies from either, ΔE00. */
  readonly offThen: number;
  readonly offNow: number;
  /** See `trustOf`. */
  readonly within: number;
  /** Whether it is so far off that it teaches hardly anything. */
  readonly isFarOff: boolean;
}

/** A reading that counts less than this part of a usual one is told as far off. By eye. */
const HARDLY = 0.1;

/** The dried readings of a panel that were taken at places of it; none where its recipe is not known. */
export function comparedReadings({ made, readings }: MadePanel, shelf: readonly Ink[]): ComparedReading[] {
  if (!made) return [];
  const then = panelPlaces(made, ({ id }) => made.inks.find((ink) => ink.id === id));
  const now = panelPlaces(made, finder(shelf));
  return readings.flatMap(({ at, lab, source, noise, wet }, place): ComparedReading[] => {
    if (!at || wet) return [];
    const here = now(at.x, at.y);
    const [said, told] = [placeColour(then(at.x, at.y)), placeColour(here)];
    const [offThen, offNow] = [deltaE00(said, lab), deltaE00(told, lab)];
    const isFarOff = countsFor(offNow, noise) < HARDLY;
    return [{ at, place, lab, source, said, told, offThen, offNow, within: trustOf(here), isFarOff }];
  });
}

/** How far readings are off at the median, ΔE00, then and now; undefined where there is none. */
export const mediansOff = (
  compared: readonly ComparedReading[],
): Pick<ComparedReading, 'offThen' | 'offNow'> | undefined => {
  const offThen = quantile(compared, 0.5, (one) => one.offThen);
  const offNow = quantile(compared, 0.5, (one) => one.offNow);
  return offThen === undefined || offNow === undefined ? undefined : { offThen, offNow };
};

import { freeName } from '../../base/names';
import type { Hex } from '../colour/hex';
import type { Ink } from './ink';

/** A colour that was read off a swatch, and what the maker calls it. */
export interface NamedReading {
  readonly name: string;
  readonly hex: Hex;
}

/** New inks of a swatch sheet, under names not `taken`; kind and family are the maker's to set afterwards. */
export function inksOfReadings(
  readings: readonly NamedReading[],
  taken: readonly string[],
  newId: () => string,
): Ink[] {
  const names = new Set(taken);
  return readings.map(({ name, hex }) => {
    const free = freeName(name.trim(), names);
    names.add(free);
    return { id: newId(), name: free, family: free, depth: 'mid', kind: 'hybrid', overWhite: hex };
  });
}

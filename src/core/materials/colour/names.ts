import { deltaE00, MAX_LIGHTNESS_WEIGHT } from './difference';
import { labOfHex } from './hex';
import { ISCC_NBS_CENTROIDS } from './isccNbsCentroids';
import type { Lab } from './lab';

/** A colour's ISCC–NBS designation. */
export interface ColourName {
  /** The whole designation: `moderate yellowish green`. */
  readonly name: string;
  /** Its hue part: `yellowish green`, `olive brown`, `bluish gray`. */
  readonly hue: string;
  /** The noun of the hue: `green`, `brown`, `olive green`, `gray`. */
  readonly noun: string;
}

const MODIFIERS =
  /^(vivid|brilliant|strong|deep|very deep|very light|light|moderate|dark|very dark|very pale|pale|grayish|light grayish|dark grayish|blackish|medium) /;

function colourName(name: string): ColourName {
  let hue = name;
  while (MODIFIERS.test(hue)) hue = hue.replace(MODIFIERS, '');
  // "bluish green" is a green; "olive green", "yellow green" and "orange yellow" are hues of their own.
  const noun = hue.replace(/^(\w+ish) /, '');
  return { name, hue, noun };
}

const CENTROIDS = ISCC_NBS_CENTROIDS.map(([name, hex]) => ({
  lab: labOfHex(hex),
  colour: colourName(name),
})).sort((p, q) => p.lab.l - q.lab.l);

/** All 267 designations, dark to light. */
export const COLOUR_NAMES: readonly ColourName[] = CENTROIDS.map(({ colour }) => colour);

/** Centroid of the designation at this index of `COLOUR_NAMES`. */
export const centroidOf = (index: number): Lab => (CENTROIDS[index] as (typeof CENTROIDS)[number]).lab;

/** The ISCC–NBS designation whose centroid is nearest by CIEDE2000. */
export const nameColour = (lab: Lab): ColourName => COLOUR_NAMES[nearestName(lab)] as ColourName;

/**
 * Index, in `COLOUR_NAMES`, of the ISCC–NBS designation whose centroid is nearest by CIEDE2000.
 *
 * Exact: it walks outward from the colour's own lightness and stops where the lightness alone is farther than
 * the best found, which CIEDE2000 can never undercut.
 */
export function nearestName(lab: Lab): number {
  let up = firstAtLeast(lab.l);
  let down = up - 1;
  let best = Number.POSITIVE_INFINITY;
  let found = 0;
  const consider = (index: number): boolean => {
    const centroid = CENTROIDS[index];
    if (!centroid || Math.abs(centroid.lab.l - lab.l) / MAX_LIGHTNESS_WEIGHT >= best) return false;
    const difference = deltaE00(lab, centroid.lab);
    if (difference < best) {
      best = difference;
      found = index;
    }
    return true;
  };
  let searchUp = true;
  let searchDown = true;
  while (searchUp || searchDown) {
    if (searchUp) searchUp = consider(up++);
    if (searchDown) searchDown = consider(down--);
  }
  return found;
}

function firstAtLeast(l: number): number {
  let low = 0;
  let high = CENTROIDS.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((CENTROIDS[middle]?.lab.l ?? 0) < l) low = middle + 1;
    else high = middle;
  }
  return low;
}

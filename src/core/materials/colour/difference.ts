import type { Lab } from './lab';

const DEG = Math.PI / 180;
const POW25_7 = 25 ** 7;

/**
 * Colour difference CIEDE2000 between two Lab colours, with kL = kC = kH = 1. About 1 is just seen side by side.
 *
 * Written out over plain numbers, because a joint table asks for millions of them.
 * Source: G. Sharma, W. Wu, E. N. Dalal, Color Res. Appl. 30 (2005) 21; ISO/CIE 11664-6.
 */
export function deltaE00(first: Lab, second: Lab): number {
  const c1 = Math.sqrt(first.a * first.a + first.b * first.b);
  const c2 = Math.sqrt(second.a * second.a + second.b * second.b);
  const cMean7 = pow7((c1 + c2) / 2);
  const g = 1.5 - 0.5 * Math.sqrt(cMean7 / (cMean7 + POW25_7));
  const a1 = first.a * g;
  const a2 = second.a * g;
  const cp1 = Math.sqrt(a1 * a1 + first.b * first.b);
  const cp2 = Math.sqrt(a2 * a2 + second.b * second.b);
  const l50 = ((first.l + second.l) / 2 - 50) ** 2;
  const l = (second.l - first.l) / (1 + (0.015 * l50) / Math.sqrt(20 + l50));
  const cpMean = (cp1 + cp2) / 2;
  const c = (cp2 - cp1) / (1 + 0.045 * cpMean);
  const both = cp1 * cp2;
  // A grey has no hue to differ in; so near to one, the quotients below would lose their digits.
  if (both < HUELESS) return Math.sqrt(l * l + c * c);

  // Hues as directions: their sine and cosine come from the coordinates, with no angle computed.
  const dot = a1 * a2 + first.b * second.b;
  const cross = a1 * second.b - a2 * first.b;
  let cosMean = a1 / cp1 + a2 / cp2;
  let sinMean = first.b / cp1 + second.b / cp2;
  const length = Math.sqrt(cosMean * cosMean + sinMean * sinMean);
  let dH: number;
  if (length > 1e-7) {
    cosMean /= length;
    sinMean /= length;
    const size = dot > 0 ? Math.abs(cross) * Math.sqrt(2 / (both + dot)) : Math.sqrt(2 * (both - dot));
    dH = cross < 0 ? -size : size;
  } else {
    // Opposite hues have two means; the formula takes the mean of the two angles in 0…360°.
    const [h1, h2] = [hue(a1, first.b), hue(a2, second.b)];
    cosMean = Math.cos(((h1 + h2) / 2) * DEG);
    sinMean = Math.sin(((h1 + h2) / 2) * DEG);
    dH = 2 * Math.sqrt(both) * (h2 > h1 ? 1 : -1);
  }
  const h = dH / (1 + 0.015 * cpMean * hueWeight(cosMean, sinMean));
  return Math.sqrt(l * l + c * c + h * h + rotation(cpMean, cosMean, sinMean) * c * h);
}

/** The formula's R_T, which turns the ellipses of blues; beyond 130° from 275° it is under 1e-10. */
function rotation(cpMean: number, cosMean: number, sinMean: number): number {
  if (sinMean > 0 && cosMean > -0.76) return 0;
  const off = (hue(cosMean, sinMean) - 275) / 25;
  const cpMean7 = pow7(cpMean);
  return -2 * Math.sqrt(cpMean7 / (cpMean7 + POW25_7)) * Math.sin(60 * DEG * Math.exp(-off * off));
}

/** CIEDE2000 can never be less than the difference of L* over this: its lightness weight is at most 1.747. */
export const MAX_LIGHTNESS_WEIGHT = 1 + (0.015 * 2500) / Math.sqrt(2520);

/** Product of two chromas below which there is no hue to speak of. */
const HUELESS = 1e-12;

const pow7 = (c: number): number => {
  const c2 = c * c;
  return c2 * c2 * c2 * c;
};

const [COS30, SIN30] = [Math.cos(30 * DEG), Math.sin(30 * DEG)];
const [COS6, SIN6] = [Math.cos(6 * DEG), Math.sin(6 * DEG)];
const [COS63, SIN63] = [Math.cos(63 * DEG), Math.sin(63 * DEG)];

/**
 * The formula's T: 1 − 0.17 cos(h − 30°) + 0.24 cos 2h + 0.32 cos(3h + 6°) − 0.20 cos(4h − 63°), from the cosine and
 * sine of h.
 */
function hueWeight(c1: number, s1: number): number {
  const c2 = 2 * c1 * c1 - 1;
  const s2 = 2 * s1 * c1;
  const c3 = c1 * c2 - s1 * s2;
  const s3 = s1 * c2 + c1 * s2;
  const c4 = 2 * c2 * c2 - 1;
  const s4 = 2 * s2 * c2;
  return (
    1 -
    0.17 * (c1 * COS30 + s1 * SIN30) +
    0.24 * c2 +
    0.32 * (c3 * COS6 - s3 * SIN6) -
    0.2 * (c4 * COS63 + s4 * SIN63)
  );
}

function hue(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const degrees = Math.atan2(b, a) / DEG;
  return degrees < 0 ? degrees + 360 : degrees;
}

/** How far two hue angles are from each other, 0…180 degrees. */
export const hueApart = (p: number, q: number): number => {
  const apart = Math.abs(p - q);
  return apart > 180 ? 360 - apart : apart;
};

/**
 * The colour difference before CIEDE2000, for steps that are only compared with each other: a tenth of the work. The
 * first colour is the reference. Source: CIE 116-1995, with kL = kC = kH = 1 and the constants for graphic arts.
 */
export function deltaE94(reference: Lab, other: Lab): number {
  const c = Math.sqrt(reference.a * reference.a + reference.b * reference.b);
  const dL = reference.l - other.l;
  const dC = c - Math.sqrt(other.a * other.a + other.b * other.b);
  const [da, db] = [reference.a - other.a, reference.b - other.b];
  const dH2 = Math.max(da * da + db * db - dC * dC, 0);
  const sC = 1 + 0.045 * c;
  const sH = 1 + 0.015 * c;
  return Math.sqrt(dL * dL + (dC / sC) ** 2 + dH2 / (sH * sH));
}

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
  const g = 0.5 * (1 - Math.sqrt(cMean7 / (cMean7 + POW25_7)));
  const a1 = first.a * (1 + g);
  const a2 = second.a * (1 + g);
  const cp1 = Math.sqrt(a1 * a1 + first.b * first.b);
  const cp2 = Math.sqrt(a2 * a2 + second.b * second.b);
  const h1 = hue(a1, first.b);
  const h2 = hue(a2, second.b);
  const colourless = cp1 * cp2 === 0;

  let dh = 0;
  if (!colourless) {
    dh = h2 - h1;
    if (dh > 180) dh -= 360;
    else if (dh < -180) dh += 360;
  }
  const dL = second.l - first.l;
  const dC = cp2 - cp1;
  const dH = 2 * Math.sqrt(cp1 * cp2) * Math.sin((dh / 2) * DEG);

  let hMean = h1 + h2;
  if (!colourless) {
    if (Math.abs(h1 - h2) > 180) hMean += hMean < 360 ? 360 : -360;
    hMean /= 2;
  }
  const lMean = (first.l + second.l) / 2;
  const cpMean = (cp1 + cp2) / 2;
  const t = hueWeight(hMean * DEG);
  const cpMean7 = pow7(cpMean);
  const rotation =
    -2 *
    Math.sqrt(cpMean7 / (cpMean7 + POW25_7)) *
    Math.sin(60 * DEG * Math.exp(-(((hMean - 275) / 25) ** 2)));
  const l50 = (lMean - 50) ** 2;
  const l = dL / (1 + (0.015 * l50) / Math.sqrt(20 + l50));
  const c = dC / (1 + 0.045 * cpMean);
  const h = dH / (1 + 0.015 * cpMean * t);
  return Math.sqrt(l * l + c * c + h * h + rotation * c * h);
}

/** CIEDE2000 can never be less than the difference of L* over this: its lightness weight is at most 1.747. */
export const MOST_LIGHTNESS_WEIGHT = 1 + (0.015 * 2500) / Math.sqrt(2520);

const pow7 = (c: number): number => {
  const c2 = c * c;
  return c2 * c2 * c2 * c;
};

const [COS30, SIN30] = [Math.cos(30 * DEG), Math.sin(30 * DEG)];
const [COS6, SIN6] = [Math.cos(6 * DEG), Math.sin(6 * DEG)];
const [COS63, SIN63] = [Math.cos(63 * DEG), Math.sin(63 * DEG)];

/**
 * The formula's T: 1 − 0.17 cos(h − 30°) + 0.24 cos 2h + 0.32 cos(3h + 6°) − 0.20 cos(4h − 63°), from one sine and
 * one cosine.
 */
function hueWeight(h: number): number {
  const c1 = Math.cos(h);
  const s1 = Math.sin(h);
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

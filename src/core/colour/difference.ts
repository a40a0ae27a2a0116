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
  const cMean7 = ((c1 + c2) / 2) ** 7;
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
  const t =
    1 -
    0.17 * Math.cos((hMean - 30) * DEG) +
    0.24 * Math.cos(2 * hMean * DEG) +
    0.32 * Math.cos((3 * hMean + 6) * DEG) -
    0.2 * Math.cos((4 * hMean - 63) * DEG);
  const cpMean7 = cpMean ** 7;
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

function hue(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const degrees = Math.atan2(b, a) / DEG;
  return degrees < 0 ? degrees + 360 : degrees;
}

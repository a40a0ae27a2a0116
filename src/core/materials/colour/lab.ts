import { WEIGHTS, WHITE } from './observer';
import { BANDS, type Spectrum } from './spectrum';

/** CIE 1976 L*a*b* under D65 for the 2° observer; l is 0…100. */
export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

/** CIE tristimulus values, with Y = 1 for the perfect white. */
export interface Xyz {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Linear-light sRGB, 0…1 inside the gamut. */
export interface LinearRgb {
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

/** Tristimulus values of a reflectance seen under D65 by the 2° observer. */
export function xyzOfSpectrum(reflectance: Spectrum): Xyz {
  const wx = WEIGHTS.x;
  const wy = WEIGHTS.y;
  const wz = WEIGHTS.z;
  let x = 0;
  let y = 0;
  let z = 0;
  for (let band = 0; band < BANDS; band++) {
    const r = reflectance[band];
    x += r * wx[band];
    y += r * wy[band];
    z += r * wz[band];
  }
  return { x, y, z };
}

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;
const labCurve = (t: number): number => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);

/** CIE L*a*b* from tristimulus values. Source: ISO/CIE 11664-4. */
export function labOfXyz({ x, y, z }: Xyz): Lab {
  const lab = { l: 0, a: 0, b: 0 };
  writeLab(x, y, z, lab);
  return lab;
}

/** `labOfXyz` into a colour that is written over, for millions of them. */
export function writeLab(
  x: number,
  y: number,
  z: number,
  into: { -readonly [part in keyof Lab]: number },
): void {
  const fx = labCurve(x / WHITE.x);
  const fy = labCurve(y / WHITE.y);
  const fz = labCurve(z / WHITE.z);
  into.l = 116 * fy - 16;
  into.a = 500 * (fx - fy);
  into.b = 200 * (fy - fz);
}

/** CIE L*a*b* of a reflectance under D65. */
export const labOfSpectrum = (reflectance: Spectrum): Lab => labOfXyz(xyzOfSpectrum(reflectance));

/** Chroma C*ab, 0 for a grey. */
export const chroma = ({ a, b }: Lab): number => Math.sqrt(a * a + b * b);

/** Hue angle h_ab in degrees, 0…360. */
export const hueDegrees = ({ a, b }: Lab): number => ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;

/** Tristimulus values from CIE L*a*b*: the inverse of `labOfXyz`. */
export function xyzOfLab({ l, a, b }: Lab): Xyz {
  const fy = (l + 16) / 116;
  return { x: WHITE.x * labInverse(fy + a / 500), y: labInverse(fy), z: WHITE.z * labInverse(fy - b / 200) };
}
const labInverse = (f: number): number => (f ** 3 > EPSILON ? f ** 3 : (116 * f - 16) / KAPPA);

/** Linear-light sRGB from tristimulus values; not clipped. Source: IEC 61966-2-1, matrix in full precision. */
export function linearRgbOfXyz({ x, y, z }: Xyz): LinearRgb {
  return {
    r: x * 3.2409699419045226 - y * 1.537383177570094 - z * 0.4986107602930034,
    g: -x * 0.9692436362808796 + y * 1.8759675015077202 + z * 0.04155505740717559,
    b: x * 0.05563007969699366 - y * 0.20397695888897652 + z * 1.0569715142428786,
  };
}

/** Tristimulus values from linear-light sRGB: the inverse of `linearRgbOfXyz`. Source: IEC 61966-2-1. */
export const xyzOfLinearRgb = ({ r, g, b }: LinearRgb): Xyz => ({
  x: 0.4123907992659595 * r + 0.35758433938387796 * g + 0.1804807884018343 * b,
  y: 0.21263900587151036 * r + 0.7151686787677559 * g + 0.07219231536073371 * b,
  z: 0.01933081871559185 * r + 0.11919477979462599 * g + 0.9505321522496606 * b,
});

/** One linear-light channel as the sRGB signal, both 0…1; clips outside. Source: IEC 61966-2-1. */
export function srgbSignal(linear: number): number {
  if (linear <= 0) return 0;
  if (linear >= 1) return 1;
  return linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
}

/** An sRGB signal as linear light, both 0…1. Source: IEC 61966-2-1. */
export const srgbLinear = (signal: number): number =>
  signal <= 0.04045 ? signal / 12.92 : ((signal + 0.055) / 1.055) ** 2.4;

/** Below this chroma a colour has no hue to speak of; by eye. */
export const COLOURLESS = 8;

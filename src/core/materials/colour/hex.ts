import { plainSigns } from '../../base/typed';
import {
  type Lab,
  type LinearRgb,
  labOfXyz,
  linearRgbOfXyz,
  srgbLinear,
  srgbSignal,
  type Xyz,
  xyzOfLab,
  xyzOfLinearRgb,
} from './lab';

/** A colour as `#rrggbb`, sRGB. */
export type Hex = `#${string}`;

const HEX = /^#[0-9a-f]{6}$/i;

/** True for `#` and six hexadecimal digits. */
export const isHex = (text: string): text is Hex => HEX.test(text);

/** Linear-light RGB of an sRGB colour written as `#rrggbb`. Throws a RangeError that names the text on anything else. */
export function linearRgbOfHex(hex: string): LinearRgb {
  if (!isHex(hex)) throw new RangeError(`"${hex}" is not a colour written as # and six hexadecimal digits`);
  const channel = (at: number): number => srgbLinear(Number.parseInt(hex.slice(at, at + 2), 16) / 255);
  return { r: channel(1), g: channel(3), b: channel(5) };
}

/** Tristimulus values of an sRGB colour. Throws a RangeError that names the text when it is not `#rrggbb`. */
export const xyzOfHex = (hex: string): Xyz => xyzOfLinearRgb(linearRgbOfHex(hex));

/** CIE L*a*b* of an sRGB colour written as `#rrggbb`. Throws a RangeError on anything else. */
export const labOfHex = (hex: string): Lab => labOfXyz(xyzOfHex(hex));

/** Linear-light RGB as `#rrggbb`; what lies outside sRGB is clipped channel by channel. */
export const hexOfLinearRgb = ({ r, g, b }: LinearRgb): Hex =>
  `#${[r, g, b].map((linear) => twoDigits(Math.round(srgbSignal(linear) * 255))).join('')}`;

const twoDigits = (byte: number): string => byte.toString(16).padStart(2, '0');

/** A Lab colour as `#rrggbb`, clipped to sRGB. */
export const hexOfLab = (lab: Lab): Hex => hexOfLinearRgb(linearRgbOfXyz(xyzOfLab(lab)));

const NUMBER = String.raw`(-?\d+(?:[.,]\d+)?)`;
const LAB = new RegExp(String.raw`^(?:lab\s*)?\(?\s*${NUMBER}[\s;/]+${NUMBER}[\s;/]+${NUMBER}\s*\)?$`, 'i');

/**
 * Reads a colour as a maker has it: `#2a8f8a`, `2a8f8a`, or a reading of L*, a* and b* such as `54.2 -28 -8`.
 *
 * @returns undefined when it is neither, or when the reading lies outside L* 0…100
 */
export function parseColour(text: string): Hex | undefined {
  const trimmed = plainSigns(text).trim();
  const hex = trimmed.startsWith('#') ? trimmed : `#${trimmed}`;
  if (isHex(hex)) return hex.toLowerCase() as Hex;
  const [l, a, b] = (LAB.exec(trimmed) ?? []).slice(1).map((part) => Number(part.replace(',', '.')));
  if (l === undefined || a === undefined || b === undefined || l < 0 || l > 100) return undefined;
  return hexOfLab({ l, a, b });
}

import { formatHex, modeRgb, modeXyz65, parseHex, useMode } from 'culori/fn';
import { type Lab, type LinearRgb, labOfXyz, linearRgbOfXyz, srgbSignal, type Xyz, xyzOfLab } from './lab';

useMode(modeRgb);
const toXyz65 = useMode(modeXyz65);

/** A colour as `#rrggbb`, sRGB. */
export type Hex = `#${string}`;

const HEX = /^#[0-9a-f]{6}$/i;

/** True for `#` and six hexadecimal digits. */
export const isHex = (text: string): text is Hex => HEX.test(text);

/** Tristimulus values of an sRGB colour. Throws a RangeError that names the text when it is not `#rrggbb`. */
export function xyzOfHex(hex: string): Xyz {
  const rgb = isHex(hex) ? parseHex(hex) : undefined;
  if (!rgb) throw new RangeError(`"${hex}" is not a colour written as # and six hexadecimal digits`);
  const { x, y, z } = toXyz65(rgb);
  return { x, y, z };
}

/** CIE L*a*b* of an sRGB colour written as `#rrggbb`. Throws a RangeError on anything else. */
export const labOfHex = (hex: string): Lab => labOfXyz(xyzOfHex(hex));

/** Linear-light RGB of an sRGB colour written as `#rrggbb`. Throws a RangeError on anything else. */
export const linearRgbOfHex = (hex: string): LinearRgb => linearRgbOfXyz(xyzOfHex(hex));

/** Linear-light RGB as `#rrggbb`; what lies outside sRGB is clipped channel by channel. */
export const hexOfLinearRgb = ({ r, g, b }: LinearRgb): Hex =>
  formatHex({ mode: 'rgb', r: srgbSignal(r), g: srgbSignal(g), b: srgbSignal(b) }) as Hex;

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
  const trimmed = text.trim();
  const hex = trimmed.startsWith('#') ? trimmed : `#${trimmed}`;
  if (isHex(hex)) return hex.toLowerCase() as Hex;
  const [l, a, b] = (LAB.exec(trimmed) ?? []).slice(1).map((part) => Number(part.replace(',', '.')));
  if (l === undefined || a === undefined || b === undefined || l < 0 || l > 100) return undefined;
  return hexOfLab({ l, a, b });
}

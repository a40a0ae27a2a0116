import { plainSigns } from './typed';

/** Lengths in the core are millimetres. */
export type Millimetres = number;

export type Unit = 'mm' | 'in';

export const MM_AN_INCH = 25.4;
const SIXTEENTHS = 16;

/** The least that a rule tells apart, mm: half a millimetre, or a sixteenth of an inch. */
export const ruleStep = (unit: Unit): Millimetres => (unit === 'mm' ? 0.5 : MM_AN_INCH / SIXTEENTHS);

/** A length as the maker reads it off a rule: `63 mm`, or inches to the nearest sixteenth, `2 1/2 in`. */
export const formatLength = (mm: Millimetres, unit: Unit): string => `${formatBare(mm, unit)} ${unit}`;

/** `formatLength` without its unit: to the half millimetre, or to the sixteenth of an inch. */
export const formatBare = (mm: Millimetres, unit: Unit): string =>
  unit === 'mm' ? String(Math.round(mm * 2) / 2) : formatFraction(mm, SIXTEENTHS);

/** Inches to the nearest part, in the fewest parts: `2 1/2`. */
function formatFraction(mm: Millimetres, parts: number): string {
  const total = Math.round((mm / MM_AN_INCH) * parts);
  const whole = Math.trunc(total / parts);
  let over = Math.abs(total % parts);
  let under = parts;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  if (over === 0) return String(whole);
  return whole === 0 ? `${total < 0 ? '-' : ''}${over}/${under}` : `${whole} ${over}/${under}`;
}

/** A rule that reads a length so much off says all of it, mm. */
const EXACT = 5e-4;

/**
 * A length as a form begins with it, without its unit: as a rule reads it where that says all of it, else in millimetres,
 * so that what nobody changes comes back as it was. Inches of 210 mm are `210 mm`.
 */
export function formatToKeep(mm: Millimetres, unit: Unit): string {
  const usual = formatBare(mm, unit);
  const read = parseLength(usual, unit);
  if (read !== undefined && Math.abs(read - mm) < EXACT) return usual;
  return `${Number(mm.toFixed(3))}${unit === 'mm' ? '' : ' mm'}`;
}

/** Parts of an inch in which places are told that sixteenths would make one; in millimetres it is tenths. */
const FINER = 64;
/** Places nearer than this are one, mm. */
const ONE_PLACE = 0.05;

/**
 * A place among others on the same rule, without its unit: as a rule reads it, and finer only where another place would
 * read the same.
 */
export function formatPlace(mm: Millimetres, others: readonly Millimetres[], unit: Unit): string {
  const usual = formatBare(mm, unit);
  const clashes = others.some(
    (other) => Math.abs(other - mm) > ONE_PLACE && formatBare(other, unit) === usual,
  );
  if (!clashes) return usual;
  return unit === 'mm' ? String(Number(mm.toFixed(1))) : formatFraction(mm, FINER);
}

/** A fine length, such as the width of a line: `0.4 mm`, or hundredths of an inch, `0.02 in`. */
export const formatFine = (mm: Millimetres, unit: Unit): string => `${formatFineBare(mm, unit)} ${unit}`;

/** `formatFine` without its unit. */
export const formatFineBare = (mm: Millimetres, unit: Unit): string =>
  unit === 'mm' ? mm.toFixed(1) : (mm / MM_AN_INCH).toFixed(2);

/** A length that need not be measured, such as how far off a spray is held: `30 cm`, `12 in`. */
export const formatRough = (mm: Millimetres, unit: Unit): string =>
  unit === 'mm' ? `${Math.round(mm / 10)} cm` : `${Math.round(mm / MM_AN_INCH)} in`;

const LENGTH = /^(-)?\s*(?:(\d+(?:[.,]\d+)?)(?:[\s-]+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*(mm|cm|in|"|″)?$/i;

/**
 * Reads what a maker types for a length: `63`, `63.5 mm`, `6,3 cm`, `2 1/2`, `2 1/2 in`, `5/16"`.
 * A bare number is in `unit`.
 *
 * @returns millimetres, or undefined when it is not a length
 */
export function parseLength(text: string, unit: Unit): Millimetres | undefined {
  const match = LENGTH.exec(
    plainSigns(text)
      .trim()
      .replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign] ?? ''}`)
      .trim(),
  );
  if (!match) return undefined;
  const [, minus, whole, over, under, loneOver, loneUnder, written] = match;
  const fraction = over ? Number(over) / Number(under) : loneOver ? Number(loneOver) / Number(loneUnder) : 0;
  const value = (whole ? Number(whole.replace(',', '.')) : 0) + fraction;
  if (!Number.isFinite(value)) return undefined;
  const given = written?.toLowerCase() ?? unit;
  const scale = given === 'mm' ? 1 : given === 'cm' ? 10 : MM_AN_INCH;
  return (minus ? -1 : 1) * value * scale;
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** How far a wide sign (U+FF01 to U+FF5E) lies from its plain one: Unicode, Halfwidth and Fullwidth Forms. */
const WIDE = 0xfee0;

const isFigure = (code: number): boolean => /\p{Nd}/u.test(String.fromCodePoint(code));

/** A figure of any script as a plain one: each script has its ten in a row. Source: Unicode 16, general category Nd. */
function plainFigure(figure: string): string {
  const code = figure.codePointAt(0) ?? 0;
  let nought = code;
  while (isFigure(nought - 1)) nought--;
  return String((code - nought) % 10);
}

/**
 * What was typed, with plain figures and signs for wide ones, as East Asian input methods give them, for a true minus, and for
 * the figures of other scripts with the point that goes with them.
 */
export const plainSigns = (text: string): string =>
  text
    .replace(/[！-～]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) - WIDE))
    .replaceAll('\u3000', ' ')
    .replaceAll('−', '-')
    .replaceAll('٫', '.')
    .replace(/[^\P{Nd}0-9]/gu, plainFigure);

const NUMBER = /^[-+]?(?:\d+\.?\d*|\.\d+)$/;

/** Reads a number as a maker types it: `63`, `63.5`, `6,3`, `−2`; undefined where it is none. */
export function readNumber(text: string): number | undefined {
  const plain = plainSigns(text).trim().replace(',', '.');
  return NUMBER.test(plain) ? Number(plain) : undefined;
}

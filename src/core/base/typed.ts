/** How far a wide sign (U+FF01 to U+FF5E) lies from its plain one: Unicode, Halfwidth and Fullwidth Forms. */
const WIDE = 0xfee0;

/** What was typed, with plain figures and signs for wide ones, as East Asian input methods give them, and for a true minus. */
export const plainSigns = (text: string): string =>
  text
    .replace(/[！-～]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) - WIDE))
    .replaceAll('\u3000', ' ')
    .replaceAll('−', '-');

const NUMBER = /^[-+]?(?:\d+\.?\d*|\.\d+)$/;

/** Reads a number as a maker types it: `63`, `63.5`, `6,3`, `−2`; undefined where it is none. */
export function readNumber(text: string): number | undefined {
  const plain = plainSigns(text).trim().replace(',', '.');
  return NUMBER.test(plain) ? Number(plain) : undefined;
}

/** A text with its first letter as a capital. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A part, 0…1, as whole per cent: `63 %`. */
export const percentOf = (part: number): string => `${Math.round(part * 100)} %`;

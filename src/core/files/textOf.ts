/** A file as text, and what is to be minded of how it was read. */
export interface ReadText {
  readonly text: string;
  readonly note?: string;
}

/** The kind of UTF-16 a byte order mark says. */
function wideMark([first, second]: Uint8Array): 'utf-16le' | 'utf-16be' | undefined {
  if (first === 0xff && second === 0xfe) return 'utf-16le';
  return first === 0xfe && second === 0xff ? 'utf-16be' : undefined;
}

/** Whether a file may be text, by its first bytes: pictures have noughts among them, text has none unless it is UTF-16. */
export const looksLikeText = (head: Uint8Array): boolean => wideMark(head) !== undefined || !head.includes(0);

/**
 * The text of a file: UTF-8 as it is meant, UTF-16 where its byte order mark says so, and what is neither as Windows-1252,
 * which old spreadsheets write; that is told, since letters with accents may be others. Source: WHATWG Encoding.
 */
export function textOf(bytes: Uint8Array): ReadText {
  const wide = wideMark(bytes);
  if (wide) return { text: new TextDecoder(wide).decode(bytes), note: 'The file was read as UTF-16.' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      note: 'The file is not UTF-8: it was read as Windows-1252. Look at letters with accents before you keep it.',
    };
  }
}

/** A file as text, and what is to be minded of how it was read. */
export interface ReadText {
  readonly text: string;
  readonly note?: string;
}

/**
 * The text of a file: UTF-8 as it is meant, UTF-16 where its byte order mark says so, and what is neither as Windows-1252,
 * which old spreadsheets write; that is told, since letters with accents may be others. Source: WHATWG Encoding.
 */
export function textOf(bytes: Uint8Array): ReadText {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes), note: 'The file was read as UTF-16.' };
  if (first === 0xfe && second === 0xff)
    return { text: new TextDecoder('utf-16be').decode(bytes), note: 'The file was read as UTF-16.' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      note: 'The file is not UTF-8: it was read as Windows-1252. Look at letters with accents before you keep it.',
    };
  }
}

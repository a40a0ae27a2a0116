/** Hands text, bytes or what the browser keeps to the browser as a file to keep. */
export function download(name: string, type: string, contents: string | Uint8Array | Blob): void {
  const url = URL.createObjectURL(new Blob([contents as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/**
 * Hands a table to the browser. It begins with a byte order mark, by which a spreadsheet knows its letters: without, the usual
 * one takes UTF-8 for a Western page, and names with accents come back from it spoiled (common practice).
 */
export const downloadTable = (name: string, csv: string): void => download(name, 'text/csv', `\uFEFF${csv}`);

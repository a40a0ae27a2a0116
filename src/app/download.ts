/** Hands text, bytes or what the browser keeps to the browser as a file to keep. */
export function download(name: string, type: string, contents: string | Uint8Array | Blob): void {
  const url = URL.createObjectURL(new Blob([contents as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** Hands text or bytes to the browser as a file to keep. */
export function download(name: string, type: string, contents: string | Uint8Array): void {
  const url = URL.createObjectURL(new Blob([contents as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

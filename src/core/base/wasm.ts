/** Compiles a WebAssembly module; undefined where a browser has no vectors, or a page's policy forbids WebAssembly. */
export function compiledWasm(base64: string): WebAssembly.Module | undefined {
  try {
    return new WebAssembly.Module(Uint8Array.from(atob(base64), (c) => c.charCodeAt(0)));
  } catch {
    return undefined;
  }
}

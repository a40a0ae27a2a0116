interface Chunk {
  readonly name: string;
  readonly data: Uint8Array;
}
declare module 'png-chunks-extract' {
  /** @throws Error when the bytes are no whole PNG */
  export default function extractChunks(png: Uint8Array): Chunk[];
}
declare module 'png-chunks-encode' {
  export default function encodeChunks(chunks: readonly Chunk[]): Uint8Array;
}
declare module 'png-chunk-text' {
  export function decode(data: Uint8Array): { keyword: string; text: string };
}

import { expose } from 'comlink';
import { readDesignPng } from '../core/files/designPng';
import { checkSvg, type ReadDesign, readDesignSvg } from '../core/files/designSvg';
import { FileError } from '../core/files/fileError';
import { withInlineStyles } from '../core/files/svgStyles';
import type { Design } from '../core/materials/design/design';
import { finestLine } from '../core/materials/design/fineness';

export type DesignAnswer = ReadDesign | { readonly refused: string };

/** An error class does not survive the way out, so what is refused goes as text. */
function orRefused<T>(read: () => T): T | { readonly refused: string } {
  try {
    return read();
  } catch (error) {
    if (error instanceof FileError) return { refused: error.message };
    throw error;
  }
}

/** Reads designs, which may come from anywhere, and measures them. */
const door = {
  /** A drawing that may be cleaned, its styles written on its elements; or why it is not to be opened. */
  prepareSvg: async (text: string): Promise<{ readonly prepared: string } | { readonly refused: string }> =>
    orRefused(() => checkSvg(text)) ?? { prepared: await withInlineStyles(text) },
  /** @param text  a drawing that was let through and cleaned */
  readSvg: (text: string, id: string, name: string): DesignAnswer =>
    orRefused(() => readDesignSvg(text, id, name)),
  readPng: (bytes: Uint8Array, id: string, name: string, swapped: boolean): DesignAnswer =>
    orRefused(() => readDesignPng(bytes, id, name, swapped)),
  /** How fine a design's lines are, mm. */
  finestLine: (design: Design): number => finestLine(design),
};

export type DesignDoor = typeof door;
expose(door);

import DOMPurify from 'dompurify';
import { PNG_LIMITS } from '../../core/formats/designPng';
import { SVG_LIMITS } from '../../core/formats/designSvg';
import type { DesignAnswer } from '../../workers/design.worker';
import { designer } from '../workers';

const PNG_SIGN = 0x89;

/** Whether a file is meant as a PNG, whatever it is called: by its first byte. */
export const isPng = (bytes: Uint8Array): boolean => bytes[0] === PNG_SIGN;

/**
 * Reads a design from a file that may come from anywhere. A drawing is measured and parsed before the sanitiser sees it,
 * and read only as it comes out of that.
 *
 * @param swapped  whether the pale parts of a picture are meant
 */
export async function readDesignFile(file: File, id: string, swapped: boolean): Promise<DesignAnswer> {
  const name =
    file.name
      .replace(/\.[^.]*$/, '')
      .slice(0, 100)
      .trim() || 'Design';
  if (file.size > PNG_LIMITS.bytes)
    return {
      refused: `The file has ${Math.round(file.size / 1e6)} MB; at most ${PNG_LIMITS.bytes / 1e6} MB are read.`,
    };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (isPng(bytes)) return designer().readPng(bytes, id, name, swapped);
  if (file.size > 4 * SVG_LIMITS.letters)
    return { refused: 'The drawing is too large to be read. Simplify it first.' };
  const text = new TextDecoder().decode(bytes);
  const refused = await designer().checkSvg(text);
  if (refused !== undefined) return { refused };
  const { clean, removed } = cleaned(text);
  const answer = await designer().readSvg(clean, id, name);
  return 'refused' in answer ? answer : { ...answer, leftOut: [...new Set([...removed, ...answer.leftOut])] };
}

/** A drawing without scripts, links, fonts, styles and whatever lies outside it. */
function cleaned(text: string): { readonly clean: string; readonly removed: readonly string[] } {
  const clean = DOMPurify.sanitize(text, {
    USE_PROFILES: { svg: true },
    FORBID_TAGS: ['style', 'image', 'foreignObject', 'a', 'use', 'animate', 'animateTransform', 'set'],
    FORBID_ATTR: ['href', 'xlink:href', 'class'],
  });
  const removed = DOMPurify.removed.flatMap((one) =>
    'element' in one && one.element instanceof Element ? [one.element.tagName.toLowerCase()] : [],
  );
  return { clean, removed: removed.filter((tag) => tag !== 'body') };
}

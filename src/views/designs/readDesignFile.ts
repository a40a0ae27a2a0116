import DOMPurify from 'dompurify';
import { PNG_LIMITS } from '../../core/files/designPng';
import { SVG_LIMITS } from '../../core/files/designSvg';
import { textOf } from '../../core/files/textOf';
import { designer } from '../../workers/client';
import type { DesignAnswer } from '../../workers/design.worker';

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
  const { text } = textOf(bytes);
  const ready = await designer().prepareSvg(text);
  if ('refused' in ready) return ready;
  const { clean, removed } = cleaned(ready.prepared);
  const answer = await designer().readSvg(clean, id, name);
  return 'refused' in answer ? answer : { ...answer, leftOut: [...new Set([...removed, ...answer.leftOut])] };
}

/** Of references only those to a part of the drawing itself are kept, and only where a part is used again. */
DOMPurify.addHook('uponSanitizeAttribute', (element, attribute) => {
  if (/href$/.test(attribute.attrName))
    attribute.keepAttr = element.tagName.toLowerCase() === 'use' && attribute.attrValue.startsWith('#');
});

/** A drawing without scripts, links, fonts, style sheets and whatever lies outside it. It never becomes part of the page. */
function cleaned(text: string): { readonly clean: string; readonly removed: readonly string[] } {
  const clean = DOMPurify.sanitize(text, {
    USE_PROFILES: { svg: true },
    ADD_TAGS: ['use'],
    FORBID_TAGS: ['style', 'image', 'foreignObject', 'a', 'animate', 'animateTransform', 'set'],
    FORBID_ATTR: ['class'],
    // Names that would get in the page's way are only parts' names here.
    SANITIZE_DOM: false,
  });
  const removed = DOMPurify.removed.flatMap((one) =>
    'element' in one && one.element instanceof Element ? [one.element.tagName.toLowerCase()] : [],
  );
  return { clean, removed: removed.filter((tag) => tag !== 'body') };
}

import fontkit from '@pdf-lib/fontkit';
import { degrees, drawImage, PDFDocument, type PDFFont, type PDFPage, type PDFRef } from 'pdf-lib';
import type { Size } from '../base/geometry';
import { memoByKey } from '../base/memo';
import type { Picture } from '../picture/paint';
import { openFont } from './openFont';
import { rgbOf } from './recipePicture';

/** An empty document that faces can be put into. */
export async function newPdf(title: string): Promise<PDFDocument> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(title);
  document.setCreator('Tint Ladder');
  return document;
}

/** Puts the letters of a face that come to be used into a document. @param font  as TrueType or WOFF */
export const embedFace = (document: PDFDocument, font: Uint8Array): Promise<PDFFont> =>
  document.embedFont(openFont(font), { subset: true });

/** A finished document. Its package would let others in after every fifty objects; in a worker nobody waits. */
export const bytesOf = (document: PDFDocument): Promise<Uint8Array> =>
  document.save({ objectsPerTick: Number.POSITIVE_INFINITY });

/** More than the words of a long sheet. */
const WORDS_MEASURED = 5000;

/**
 * What tells how wide a text is set, by its words, each of which is measured once: a line is tried with every word that is
 * added to it, and to set its letters anew each time would be most of a page's work.
 *
 * @param widthOf  how wide some letters are set
 */
export function wordMeasure(widthOf: (text: string) => number): (text: string) => number {
  const widths = memoByKey(WORDS_MEASURED, widthOf);
  return (text) =>
    text.split(' ').reduce((sum, word, i) => sum + (i > 0 ? widths(' ') : 0) + (word ? widths(word) : 0), 0);
}

/** A picture's colours, packed as a document has them. Source: ISO 32000-1, 7.4.4. */
interface PackedPicture extends Size {
  readonly bytes: Uint8Array;
}

/** A picture within a document. */
export interface PdfPicture extends Size {
  readonly ref: PDFRef;
}

/**
 * Packs a picture for a document by the platform's own means: handed over as a PNG, it would be unpacked and packed anew in
 * plain script, which takes seconds.
 */
export async function packed(picture: Picture): Promise<PackedPicture> {
  const { width, height } = picture;
  const stream = new Blob([rgbOf(picture)]).stream().pipeThrough(new CompressionStream('deflate'));
  return { width, height, bytes: new Uint8Array(await new Response(stream).arrayBuffer()) };
}

/** Puts a picture into a document as it is. Source: ISO 32000-1, 8.9.5. */
export function embedPicture(document: PDFDocument, { width, height, bytes }: PackedPicture): PdfPicture {
  const { context } = document;
  const image = context.stream(bytes, {
    Type: 'XObject',
    Subtype: 'Image',
    Width: width,
    Height: height,
    ColorSpace: 'DeviceRGB',
    BitsPerComponent: 8,
    Filter: 'FlateDecode',
  });
  return { ref: context.register(image), width, height };
}

/** Draws it with its lower left corner at x and y; all in points. */
export function drawPicture(
  page: PDFPage,
  { ref }: PdfPicture,
  box: Size & { readonly x: number; readonly y: number },
): void {
  const name = page.node.newXObject('Image', ref);
  page.pushOperators(...drawImage(name, { ...box, rotate: UPRIGHT, xSkew: UPRIGHT, ySkew: UPRIGHT }));
}

const UPRIGHT = degrees(0);

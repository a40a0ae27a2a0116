import fontkit from '@pdf-lib/fontkit';
import { degrees, drawImage, PDFDocument, type PDFFont, type PDFPage, type PDFRef } from 'pdf-lib';
import type { Size } from '../base/geometry';
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

/** A picture within a document. */
export interface PdfPicture extends Size {
  readonly ref: PDFRef;
}

/**
 * Puts a picture into a document as it is: handed over as a PNG, it would be unpacked and packed anew in plain script,
 * which takes seconds. Source: ISO 32000-1, 7.4.4 and 8.9.5.
 */
export async function embedPicture(document: PDFDocument, picture: Picture): Promise<PdfPicture> {
  const { width, height } = picture;
  const { context } = document;
  const packed = new Blob([rgbOf(picture)]).stream().pipeThrough(new CompressionStream('deflate'));
  const image = context.stream(new Uint8Array(await new Response(packed).arrayBuffer()), {
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

import { type PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib';
import { fromTheLeft } from './fromTheLeft';
import { embedFace, wordMeasure } from './pdfParts';

export const [INK, MUTE] = [rgb(0.07, 0.07, 0.07), rgb(0.32, 0.32, 0.32)];

/** The application's own faces, as TrueType or WOFF, and one that has every letter a maker may write beside theirs. */
export interface SheetFonts {
  readonly plain: Uint8Array;
  readonly bold: Uint8Array;
  readonly italic: Uint8Array;
  readonly others: Uint8Array;
}

/** Where they lie among the packages, for who reads files; the page asks its server for the same. */
export const FACE_FILES = {
  plain: '@fontsource/archivo/files/archivo-latin-400-normal.woff',
  bold: '@fontsource/archivo/files/archivo-latin-700-normal.woff',
  italic: '@fontsource/literata/files/literata-latin-400-italic.woff',
  others: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf',
} as const satisfies Record<keyof SheetFonts, string>;

export type Pen = ReturnType<typeof penOn>;
export type Look = 'plain' | 'bold' | 'italic';

/** A face, with the letters it has. */
interface Face {
  readonly font: PDFFont;
  readonly letters: ReadonlySet<number>;
}

/** The faces of a document. */
export interface Faces extends Readonly<Record<Look | 'others', Face>> {
  /** How wide a text is set at 1 point. */
  readonly width: (text: string, look: Look) => number;
}

/** Puts the faces into a document, once for all of its pages. */
export async function embedFaces(document: PDFDocument, fonts: SheetFonts): Promise<Faces> {
  const face = async (bytes: Uint8Array): Promise<Face> => {
    const font = await embedFace(document, bytes);
    return { font, letters: new Set(font.getCharacterSet()) };
  };
  const faces = {
    plain: await face(fonts.plain),
    bold: await face(fonts.bold),
    italic: await face(fonts.italic),
    others: await face(fonts.others),
  };
  const widthIn = (look: Look) =>
    wordMeasure((text) =>
      setIn(faces, text, look).reduce((sum, { font, text }) => sum + font.widthOfTextAtSize(text, 1), 0),
    );
  const widths = { plain: widthIn('plain'), bold: widthIn('bold'), italic: widthIn('italic') };
  return { ...faces, width: (text, look) => widths[look](text) };
}

/** A text in pieces of one face and direction each, as they stand from the left: letters its own face has not are set in the other, or become a box. */
function setIn(
  faces: Pick<Faces, Look | 'others'>,
  text: string,
  look: Look,
): { font: PDFFont; text: string }[] {
  const pieces: { font: PDFFont; text: string }[] = [];
  for (const piece of fromTheLeft(text)) {
    const first = pieces.length;
    for (const letter of piece) {
      const code = letter.codePointAt(0) ?? 0;
      const face = [faces[look], faces.others].find(({ letters }) => letters.has(code));
      const font = (face ?? faces.others).font;
      const drawn = face ? letter : '□';
      const last = pieces.length > first ? pieces.at(-1) : undefined;
      if (last?.font === font) last.text += drawn;
      else pieces.push({ font, text: drawn });
    }
  }
  return pieces;
}

/** Draws on one page in the application's faces. */
export function penOn(page: PDFPage, faces: Faces) {
  return {
    page,
    width: (text: string, size: number, look: Look = 'plain'): number => size * faces.width(text, look),
    text: (text: string, x: number, y: number, size: number, look: Look = 'plain', color = INK): void => {
      let at = x;
      for (const piece of setIn(faces, text, look)) {
        page.drawText(piece.text, { x: at, y, size, font: piece.font, color });
        at += piece.font.widthOfTextAtSize(piece.text, size);
      }
    },
  };
}

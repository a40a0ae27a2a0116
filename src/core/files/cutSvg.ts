import { strToU8, zipSync } from 'fflate';
import type { Point } from '../base/geometry';
import type { Millimetres } from '../base/length';
import type { Cut, CutPlan } from '../make/cutting/cutPlan';
import { nameAt, scoreOf, sheetsAlike } from '../make/cutting/cutText';

const escaped = (text: string): string =>
  text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign,
  );

/** Hundredths of a millimetre are finer than any trimmer. */
const mm = (length: Millimetres): number => Math.round(length * 100) / 100;

/** Where a cut's number stands, mm: beside its beginning, on the sheet whichever way it goes. */
export const numberAt = ({ way, from }: Cut): Point =>
  way === 'down' ? { x: from.x + 1, y: from.y + 3.5 } : { x: from.x + 1, y: from.y - 0.8 };

/** One sheet of a plan as an SVG at true size: pieces as outlines with their names, cuts as numbered lines, scores dotted. */
export function writeCutSvg({ sheet, sheets }: CutPlan, index: number): string {
  const { placed, cuts } = sheets[index] ?? { placed: [], cuts: [] };
  const { width, height } = sheet;
  const scores = placed.flatMap((piece) => {
    const line = scoreOf(piece);
    return line
      ? [
          `  <line x1="${mm(line.from.x)}" y1="${mm(line.from.y)}" x2="${mm(line.to.x)}" y2="${mm(line.to.y)}" stroke="#000" stroke-width="0.3" stroke-linecap="round" stroke-dasharray="0 1.5"/>`,
        ]
      : [];
  });
  const pieces = placed.map((piece) => {
    const { name, x, y, width: w, height: h } = piece;
    return (
      `  <rect x="${mm(x)}" y="${mm(y)}" width="${mm(w)}" height="${mm(h)}" fill="none" stroke="#000" stroke-width="0.2"/>\n` +
      `  <text x="${mm(x + w / 2)}" y="${mm(y + h * nameAt(piece))}" font-size="4" text-anchor="middle">${escaped(name)}</text>`
    );
  });
  const lines = cuts.map((cut, i) => {
    const { from, to } = cut;
    const { x, y } = numberAt(cut);
    return (
      `  <line x1="${mm(from.x)}" y1="${mm(from.y)}" x2="${mm(to.x)}" y2="${mm(to.y)}" stroke="#000" stroke-width="0.3" stroke-dasharray="2 1"/>\n` +
      `  <text x="${mm(x)}" y="${mm(y)}" font-size="3.5">${i + 1}</text>`
    );
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <rect width="${width}" height="${height}" fill="#fff" stroke="#000" stroke-width="0.4"/>`,
    ...pieces,
    ...scores,
    ...lines,
    '</svg>\n',
  ].join('\n');
}

/** A file to keep. */
export interface CutFile {
  readonly name: string;
  readonly type: string;
  readonly contents: string | Uint8Array;
}

/** A plan's drawings as one file: the drawing itself, or a zip of one for each way its sheets are cut. */
export function cutDrawings(plan: CutPlan, name: string): CutFile {
  const kinds = sheetsAlike(plan);
  if (kinds.length < 2) return { name: `${name}.svg`, type: 'image/svg+xml', contents: writeCutSvg(plan, 0) };
  const drawings = kinds.map(
    (kind) =>
      [`${name}, ${kind.name.toLowerCase()}.svg`, strToU8(writeCutSvg(plan, kind.places[0]))] as const,
  );
  return {
    name: `${name}.zip`,
    type: 'application/zip',
    contents: zipSync(Object.fromEntries(drawings)),
  };
}

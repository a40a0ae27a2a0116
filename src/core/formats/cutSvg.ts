import type { CutPlan } from '../cutting/cutPlan';

const escaped = (text: string): string =>
  text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign,
  );

/** One sheet of a plan as an SVG at true size: pieces as outlines with their names, cuts as numbered lines. */
export function writeCutSvg({ sheet, sheets }: CutPlan, index: number): string {
  const { placed, cuts } = sheets[index] ?? { placed: [], cuts: [] };
  const { width, height } = sheet;
  const pieces = placed.map(
    ({ name, x, y, width: w, height: h }) =>
      `  <rect x="${x}" y="${y}" width="${w}" height="${h}" fill="none" stroke="#000" stroke-width="0.2"/>\n` +
      `  <text x="${x + w / 2}" y="${y + h / 2}" font-size="4" text-anchor="middle">${escaped(name)}</text>`,
  );
  const lines = cuts.map(
    ({ from, to }, i) =>
      `  <line x1="${from.x}" y1="${from.y}" x2="${to.x}" y2="${to.y}" stroke="#000" stroke-width="0.3" stroke-dasharray="2 1"/>\n` +
      `  <text x="${from.x + 1}" y="${from.y - 0.8}" font-size="3.5">${i + 1}</text>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <rect width="${width}" height="${height}" fill="#fff" stroke="#000" stroke-width="0.4"/>`,
    ...pieces,
    ...lines,
    '</svg>\n',
  ].join('\n');
}

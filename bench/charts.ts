import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Growth, Point } from './growth';

const [WIDTH, HEIGHT] = [560, 300];
const MARGIN = { left: 62, right: 110, top: 34, bottom: 44 };
const INKS = ['#1f4e79', '#a8502a'];

/** A growth as a chart, SVG. */
export function chartOf({ title, across, up, lines }: Growth): string {
  const points = lines.flatMap((one) => one.points);
  const x = scaleLinear([0, max(points, (point) => point.x) ?? 1], [MARGIN.left, WIDTH - MARGIN.right]);
  const y = scaleLinear(
    [0, max(points, (point) => point.y) ?? 1],
    [HEIGHT - MARGIN.bottom, MARGIN.top],
  ).nice();
  const path = line<Point>(
    (point) => x(point.x),
    (point) => y(point.y),
  );
  const foot = HEIGHT - MARGIN.bottom;
  const rows = [
    ...y
      .ticks(5)
      .map(
        (tick) =>
          `<path d="M${MARGIN.left} ${y(tick)}H${WIDTH - MARGIN.right}" stroke="#ddd"/><text x="${MARGIN.left - 8}" y="${y(tick) + 4}" text-anchor="end">${y.tickFormat(5)(tick)}</text>`,
      ),
    ...x
      .ticks(6)
      .map(
        (tick) =>
          `<path d="M${x(tick)} ${foot}v5" stroke="#555"/><text x="${x(tick)}" y="${foot + 18}" text-anchor="middle">${x.tickFormat(6)(tick)}</text>`,
      ),
    `<path d="M${MARGIN.left} ${foot}H${WIDTH - MARGIN.right}" stroke="#555"/>`,
    `<text x="${(MARGIN.left + WIDTH - MARGIN.right) / 2}" y="${HEIGHT - 8}" text-anchor="middle">${across}</text>`,
    `<text x="${MARGIN.left}" y="16" font-weight="bold">${title}, ${up}</text>`,
    ...lines.flatMap((one, i) => {
      const colour = INKS[i % INKS.length];
      const last = one.points.at(-1);
      return [
        `<path d="${path(one.points) ?? ''}" fill="none" stroke="${colour}" stroke-width="2"/>`,
        ...one.points.map(
          (point) => `<circle cx="${x(point.x)}" cy="${y(point.y)}" r="3.5" fill="${colour}"/>`,
        ),
        last ? `<text x="${x(last.x) + 8}" y="${y(last.y) + 4}" fill="${colour}">${one.told}</text>` : '',
      ];
    }),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}" font-family="sans-serif" font-size="12" fill="#333"><title>${title}</title><rect width="${WIDTH}" height="${HEIGHT}" fill="#fff"/>${rows.join('')}</svg>\n`;
}

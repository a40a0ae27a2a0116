import type { Point, Size } from '../../base/geometry';
import { type Crossing, defineBandRun } from './definition';

const DEGREE = Math.PI / 180;

/** Where the line of points so far along meets the panel's edges, each point once. */
function crossingsOf({ width, height }: Size, toward: Point, from: Point, along: number): Crossing[] {
  const across = along + from.x * toward.x + from.y * toward.y;
  const found: Crossing[] = [];
  const add = (crossing: Crossing, most: number) => {
    if (crossing.at >= -1e-6 && crossing.at <= most + 1e-6) found.push(crossing);
  };
  if (Math.abs(toward.y) > 1e-6) {
    add({ edge: 'left edge', at: height - across / toward.y }, height);
    add({ edge: 'right edge', at: height - (across - width * toward.x) / toward.y }, height);
  }
  if (Math.abs(toward.x) > 1e-6) {
    add({ edge: 'top', at: across / toward.x }, width);
    add({ edge: 'foot', at: (across - height * toward.y) / toward.x }, width);
  }
  return found;
}

/** Bands at an angle, measured square to themselves from the corner where the ladder starts. */
export const slant = defineBandRun({
  id: 'slant',
  label: 'Slant',
  description: 'Bands at an angle, from one corner to the opposite one.',
  params: { angle: { label: 'Angle', unit: '°', min: -90, max: 90, step: 5, initial: () => 35 } },
  layOn: (panel, params) => {
    const { width, height } = panel;
    const angle = params.angle * DEGREE;
    const toward = { x: Math.sin(angle), y: Math.cos(angle) };
    const from = { x: toward.x >= 0 ? 0 : width, y: 0 };
    const to = { x: width - from.x, y: height };
    const length = Math.abs(width * toward.x) + Math.abs(height * toward.y);
    const side = toward.x >= 0 ? 'left' : 'right';
    const otherSide = toward.x >= 0 ? 'right' : 'left';
    return {
      length,
      alongAt: (x, y) => (x - from.x) * toward.x + (y - from.y) * toward.y,
      isHorizontal: toward.x === 0,
      toward,
      handleAt: (along) => ({
        x: from.x + ((to.x - from.x) * along) / length,
        y: from.y + ((to.y - from.y) * along) / length,
      }),
      trace: (along) => {
        const [x, y] = [from.x + toward.x * along, from.y + toward.y * along];
        const far = width + height;
        return `M${x - toward.y * far} ${y + toward.x * far}L${x + toward.y * far} ${y - toward.x * far}`;
      },
      markOf: (along) => along,
      measuredFrom: `from the top ${side} corner, square to the bands`,
      crossings: (along) => crossingsOf(panel, toward, from, along),
      start: { place: `the top ${side} corner`, toward: 'up the slant' },
      end: { place: `the bottom ${otherSide} corner`, toward: 'down the slant' },
    };
  },
});

import type { Point, Size } from '../../base/geometry';
import { defineBandRun } from './definition';

const centreOf = ({ width, height }: Size, { x, y }: { readonly x: number; readonly y: number }): Point => ({
  x: (x / 100) * width,
  y: height - (y / 100) * height,
});

/** Rings round a centre, round or oval, measured as radii; the first rung lies in the centre. */
export const glow = defineBandRun({
  id: 'glow',
  label: 'Glow',
  description:
    'Rings round a centre, pale inside and darker toward the edges; off-centre where a sun is meant.',
  laidFromMiddle: true,
  params: {
    x: { label: 'Centre, left', unit: '%', min: 0, max: 100, step: 2, initial: () => 50 },
    y: { label: 'up', unit: '%', min: 0, max: 100, step: 2, initial: () => 55 },
    oval: {
      label: 'Oval',
      unit: '%',
      min: 50,
      max: 200,
      step: 5,
      initial: ({ width, height }) => Math.round((height / width) * 20) * 5,
    },
  },
  handle: {
    label: 'Centre of the glow',
    at: centreOf,
    moved: ({ width, height }, params, to) => ({
      ...params,
      x: (to.x / width) * 100,
      y: ((height - to.y) / height) * 100,
    }),
  },
  layOn: (panel, params) => {
    const { width, height } = panel;
    const centre = centreOf(panel, params);
    const oval = params.oval / 100;
    const alongAt = (x: number, y: number): number => {
      const [across, down] = [x - centre.x, (y - centre.y) / oval];
      return Math.sqrt(across * across + down * down);
    };
    // The farthest point is a corner; of corners equally far the one at the lower right.
    const far = [
      { x: width, y: height },
      { x: width, y: 0 },
      { x: 0, y: height },
      { x: 0, y: 0 },
    ].reduce((best, corner) =>
      alongAt(corner.x, corner.y) > alongAt(best.x, best.y) + 1e-9 ? corner : best,
    );
    const length = alongAt(far.x, far.y);
    return {
      length,
      alongAt,
      isHorizontal: false,
      toward: { x: 0, y: 1 },
      handleAt: (along) => ({
        x: centre.x + ((far.x - centre.x) * along) / length,
        y: centre.y + ((far.y - centre.y) * along) / length,
      }),
      trace: (along) => {
        const [rx, ry] = [along, along * oval];
        return `M${centre.x - rx} ${centre.y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0`;
      },
      markOf: (along) => along,
      measuredFrom:
        Math.abs(oval - 1) < 0.005
          ? 'from the centre'
          : `sideways from the centre (up and down ${oval.toFixed(2)} times as far)`,
      start: { place: 'the centre', toward: 'inward' },
      end: { place: 'the edges', toward: 'outward' },
    };
  },
});

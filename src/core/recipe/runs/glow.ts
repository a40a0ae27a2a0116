import type { Point, Size } from '../../base/geometry';
import { defineBandRun, type MarkPlace } from './definition';

const centreOf = ({ width, height }: Size, { x, y }: { readonly x: number; readonly y: number }): Point => ({
  x: (x / 100) * width,
  y: height - (y / 100) * height,
});

/**
 * Where a ring is marked: level with the centre or upright through it, on the side with most room; a ring that has left
 * the card there, where it meets an edge.
 */
function ringPlaces({ width, height }: Size, { x, y }: Point, oval: number, along: number): MarkPlace[] {
  const level = (at: number): MarkPlace => ({
    on: 'level with the centre',
    from: 'left',
    at,
    pointAt: (to) => ({ x: to, y }),
  });
  const upright = (at: number): MarkPlace => ({
    on: 'upright through the centre',
    from: 'foot',
    at,
    pointAt: (to) => ({ x, y: height - to }),
  });
  const sides = [
    { room: width - x, place: level(x + along) },
    { room: x, place: level(x - along) },
    { room: (height - y) / oval, place: upright(height - y - along * oval) },
    { room: y / oval, place: upright(height - y + along * oval) },
  ].toSorted((p, q) => q.room - p.room);
  /** How far from the centre a ring meets a line that lies so far off it. */
  const half = (off: number) => Math.sqrt(Math.max(along * along - off * off, 0));
  const onEdges = [-1, 1].flatMap((way): MarkPlace[] => [
    {
      on: 'foot',
      from: 'left',
      at: x + way * half((height - y) / oval),
      pointAt: (at) => ({ x: at, y: height }),
    },
    { on: 'top', from: 'left', at: x + way * half(y / oval), pointAt: (at) => ({ x: at, y: 0 }) },
    {
      on: 'left edge',
      from: 'foot',
      at: height - y + way * oval * half(x),
      pointAt: (at) => ({ x: 0, y: height - at }),
    },
    {
      on: 'right edge',
      from: 'foot',
      at: height - y + way * oval * half(width - x),
      pointAt: (at) => ({ x: width, y: height - at }),
    },
  ]);
  const reaches = (place: MarkPlace): boolean => {
    const at = place.pointAt(place.at);
    return Math.abs(Math.hypot(at.x - x, (at.y - y) / oval) - along) < NEAR;
  };
  const isOnCard = ({ from, at }: MarkPlace) =>
    at >= -NEAR && at <= (from === 'left' ? width : height) + NEAR;
  return [...sides.map(({ place }) => place), ...onEdges.filter(reaches)].filter(isOnCard);
}

/** A place so near a line or an edge, mm, is on it. */
const NEAR = 1e-3;

/** @param oval  height to width */
const describeOval = (oval: number): string =>
  `Rings are ovals, ${oval > 1 ? `${round(oval)} times as high as wide` : `${round(1 / oval)} times as wide as high`}.`;
const round = (ratio: number): number => Number(ratio.toFixed(2));

/** Rings round a centre, round or oval, measured as radii; the first rung lies in the centre. */
export const glow = defineBandRun({
  id: 'glow',
  label: 'Glow',
  phrase: 'glow',
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
      markedAt: (along) => {
        const [first] = ringPlaces(panel, centre, oval, Math.min(along, length));
        if (!first) throw new RangeError(`no point of the panel lies ${along} mm from the centre`);
        return [first];
      },
      bordersAre: 'ring',
      middle: centre,
      ...(params.oval === 100 ? {} : { shape: describeOval(oval) }),
      turning: (piece) => `Turn the ${piece} as you go round.`,
      start: { place: 'the centre', toward: 'inward' },
      end: { place: 'the edges', toward: 'outward' },
    };
  },
});

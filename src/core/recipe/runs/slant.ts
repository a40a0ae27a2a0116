import type { Point, Size } from '../../base/geometry';
import { type BandGeometry, defineBandRun, levelMark, type MarkPlace } from './definition';

const DEGREE = Math.PI / 180;

/** Where the line of points so far along meets the panel's edges, each point once. */
function crossingsOf({ width, height }: Size, toward: Point, from: Point, along: number): MarkPlace[] {
  const across = along + from.x * toward.x + from.y * toward.y;
  const found: MarkPlace[] = [];
  const isNew = (place: MarkPlace): boolean => {
    const { x, y } = place.pointAt(place.at);
    return found.every((other) => {
      const known = other.pointAt(other.at);
      return Math.hypot(known.x - x, known.y - y) > SAME;
    });
  };
  const add = (place: MarkPlace, most: number) => {
    const at = Math.min(Math.max(place.at, 0), most);
    if (Math.abs(at - place.at) < SAME && isNew({ ...place, at })) found.push({ ...place, at });
  };
  if (Math.abs(toward.y) > LEVEL) {
    const left = height - across / toward.y;
    add({ on: 'left edge', from: 'foot', at: left, pointAt: (at) => ({ x: 0, y: height - at }) }, height);
    const right = height - (across - width * toward.x) / toward.y;
    add(
      { on: 'right edge', from: 'foot', at: right, pointAt: (at) => ({ x: width, y: height - at }) },
      height,
    );
  }
  if (Math.abs(toward.x) > LEVEL) {
    add({ on: 'top', from: 'left', at: across / toward.x, pointAt: (at) => ({ x: at, y: 0 }) }, width);
    const foot = (across - height * toward.y) / toward.x;
    add({ on: 'foot', from: 'left', at: foot, pointAt: (at) => ({ x: at, y: height }) }, width);
  }
  return found;
}

/** A direction that leans less than that, as a part of its length, does not lean. */
const LEVEL = 1e-6;
/** Two places nearer than this are one, mm. */
const SAME = 1e-3;

/** Where bands at an angle begin and end: in corners, or along whole edges where they lie level or upright. */
function endsOf({ x, y }: Point): Pick<BandGeometry, 'start' | 'end'> {
  if (Math.abs(x) < LEVEL)
    return { start: { place: 'the top edge', toward: 'up' }, end: { place: 'the foot', toward: 'down' } };
  const [side, other] = x > 0 ? ['left', 'right'] : ['right', 'left'];
  if (Math.abs(y) < LEVEL)
    return {
      start: { place: `the ${side} edge`, toward: `to the ${side}` },
      end: { place: `the ${other} edge`, toward: `to the ${other}` },
    };
  return {
    start: { place: `the top ${side} corner`, toward: 'up the slant' },
    end: { place: `the bottom ${other} corner`, toward: 'down the slant' },
  };
}

/** Bands that lie level or upright are marked by one figure, as straight ones are; where they lean, nothing. */
function oneMarkAt(panel: Size, { x, y }: Point, along: number): MarkPlace | undefined {
  if (Math.abs(x) < LEVEL) return levelMark(panel, along);
  const { width, height } = panel;
  if (Math.abs(y) < LEVEL)
    return { from: 'left', at: x > 0 ? along : width - along, pointAt: (at) => ({ x: at, y: height }) };
  return undefined;
}

/** Bands at an angle, marked where their borders meet the panel's edges. */
export const slant = defineBandRun({
  id: 'slant',
  label: 'Slant',
  phrase: 'slanting run',
  description: 'Bands at an angle, from one corner to the opposite one.',
  params: { angle: { label: 'Angle', unit: '°', min: -90, max: 90, step: 5, initial: () => 35 } },
  layOn: (panel, params) => {
    const { width, height } = panel;
    const angle = params.angle * DEGREE;
    const toward = { x: Math.sin(angle), y: Math.cos(angle) };
    const from = { x: toward.x >= 0 ? 0 : width, y: 0 };
    const to = { x: width - from.x, y: height };
    const length = Math.abs(width * toward.x) + Math.abs(height * toward.y);
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
      markedAt: (along) => {
        const within = Math.min(Math.max(along, 0), length);
        const one = oneMarkAt(panel, toward, within);
        if (one) return [one];
        const [first, ...others] = crossingsOf(panel, toward, from, within);
        if (!first) throw new RangeError(`no point of the panel lies ${along} mm along the slant`);
        return [first, ...others];
      },
      ...(oneMarkAt(panel, toward, 0) ? {} : { bordersAre: 'line' }),
      turning: (piece) => `Turn the ${piece} so that the blended edge lies toward your working hand.`,
      ...endsOf(toward),
    };
  },
});

import type { Point, Size } from '../../base/geometry';
import type { Millimetres } from '../../base/length';
import { choice, type ParamsOf, seldom } from '../../base/params';
import type { Design } from './design';
import { type DistanceField, distanceAt, distanceFieldOf } from './distance';

/** Signed distance of a point of the panel to a border, mm; positive inside. Nowhere does it change faster than 1. */
export type Border = (x: Millimetres, y: Millimetres) => Millimetres;

/** Where a design's middle lies, how it is turned. */
export const PLACE_PARAMS = {
  x: {
    label: 'From the left',
    seldom: true,
    unit: 'mm',
    min: -200,
    max: 620,
    step: 0.5,
    initial: ({ width }: Size) => width / 2,
    isPlaceAlong: 'width',
  },
  y: {
    label: 'From the foot',
    seldom: true,
    toldFrom: 'foot',
    unit: 'mm',
    min: -200,
    max: 620,
    step: 0.5,
    initial: ({ height }: Size) => height / 2,
    isPlaceAlong: 'height',
  },
  turn: { label: 'Turned', seldom: true, unit: '°', min: -180, max: 180, step: 1, initial: () => 0 },
  flip: seldom(choice('Flipped', { no: 'no', yes: 'yes' }, 'no')),
} as const;

/** How wide it is drawn: what is stamped or cut by oneself comes in any size, a bought stencil in its own. */
export const SIZE_PARAM = {
  width: {
    label: 'Width',
    unit: 'mm',
    min: 5,
    max: 400,
    step: 1,
    initial: ({ width }: Size) => Math.round(width * 0.7),
  },
} as const;

/** Whether it is repeated side by side and below, and how far apart. */
export const REPEAT_PARAMS = {
  repeat: choice('Repeated', { no: 'no', tiles: 'as tiles' }, 'no'),
  gap: { label: 'Apart', seldom: true, unit: 'mm', min: 0, max: 80, step: 0.5, initial: () => 0 },
} as const;

/** How a design is laid: what does not repeat has no say in it. */
export type DesignParams = ParamsOf<typeof PLACE_PARAMS & typeof SIZE_PARAM> &
  Partial<ParamsOf<typeof REPEAT_PARAMS>>;

/** Where a design lies on a panel. */
export interface Placing {
  readonly middle: Point;
  /** mm of the panel to one of the design. */
  readonly scale: number;
  /** Clockwise, degrees. */
  readonly turn: number;
  readonly flip: boolean;
  /** How far apart its repeats lie, mm; undefined where it lies once. */
  readonly gap?: Millimetres;
}

export const placingOf = (
  design: Design,
  { x, y, width, turn, flip, repeat, gap = 0 }: DesignParams,
): Placing => ({
  middle: { x, y },
  scale: width / design.width,
  turn,
  flip: flip === 'yes',
  ...(repeat === 'tiles' ? { gap } : {}),
});

/** A point of the panel in the design's own mm, from its top left corner. */
export function intoDesign({ width, height }: Design, placing: Placing): (x: number, y: number) => Point {
  const angle = (placing.turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle) / placing.scale, Math.sin(angle) / placing.scale];
  const { middle, flip } = placing;
  return (x, y) => {
    const [dx, dy] = [x - middle.x, y - middle.y];
    const across = dx * cos + dy * sin;
    return { x: width / 2 + (flip ? -across : across), y: height / 2 - dx * sin + dy * cos };
  };
}

/** A point of the design, in its own mm from its top left corner, on the panel. */
export function ontoPanel({ width, height }: Design, placing: Placing, { x, y }: Point): Point {
  const angle = (placing.turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle) * placing.scale, Math.sin(angle) * placing.scale];
  const across = (placing.flip ? -1 : 1) * (x - width / 2);
  const down = y - height / 2;
  return { x: placing.middle.x + across * cos - down * sin, y: placing.middle.y + across * sin + down * cos };
}

/** The border of a design laid on a panel. Asked for every pixel near it, so it makes no values on the way. */
export function borderOf(design: Design, { middle, scale, turn, flip, gap }: Placing): Border {
  // Measuring a design takes a moment: only once a point is asked for.
  let field: DistanceField | undefined;
  const { width, height, use } = design;
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle) / scale, Math.sin(angle) / scale];
  // A pattern's field goes on into its neighbours: alone, or apart from them, it ends where its sheet does.
  const ends = use === 'pattern' && gap !== 0;
  const [stepX, stepY] = [width + (gap ?? 0) / scale, height + (gap ?? 0) / scale];
  // All other tiles do not know of each other.
  const meets = gap !== undefined && (use !== 'pattern' || gap > 0);
  /** From the design's middle, in its own mm. */
  const own = (across: number, down: number): number => {
    field ??= distanceFieldOf(design);
    const far = distanceAt(field, across + width / 2, down + height / 2);
    return ends ? Math.min(far, width / 2 - Math.abs(across), height / 2 - Math.abs(down)) : far;
  };
  return (x, y) => {
    const dx = x - middle.x;
    const dy = y - middle.y;
    let across = dx * cos + dy * sin;
    let down = dy * cos - dx * sin;
    if (flip) across = -across;
    if (gap === undefined) return scale * own(across, down);
    across -= stepX * Math.round(across / stepX);
    down -= stepY * Math.round(down / stepY);
    if (!meets) return scale * own(across, down);
    const beside = across > 0 ? across - stepX : across + stepX;
    const below = down > 0 ? down - stepY : down + stepY;
    return scale * Math.max(own(across, down), own(beside, down), own(across, below), own(beside, below));
  };
}

/** The box of a design on the panel as an SVG path, mm. */
export function boxPath(design: Design, placing: Placing): string {
  const { width, height } = design;
  const corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ].map((corner) => ontoPanel(design, placing, corner));
  return `M${corners.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`;
}

/** Whether a design laid so covers the panel's corners, so that no bare rim is left beside a stencil. */
export function coversPanel(design: Design, placing: Placing, panel: Size): boolean {
  if (placing.gap !== undefined) return true;
  const into = intoDesign(design, placing);
  return [0, panel.width].every((x) =>
    [0, panel.height].every((y) => {
      const at = into(x, y);
      return at.x >= -0.5 && at.y >= -0.5 && at.x <= design.width + 0.5 && at.y <= design.height + 0.5;
    }),
  );
}

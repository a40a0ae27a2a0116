import {
  type Border,
  borderOf,
  boxPath,
  PLACE_PARAMS,
  placingOf,
  REPEAT_PARAMS,
  SIZE_PARAM,
} from '../design/placement';
import type { ParamSpec } from '../run/params';
import type { CoverAt } from './effects';
import type { Scene } from './pass';

/** The numbers of a stamped, embossed or masked image. */
export const IMAGE_PARAMS: readonly ParamSpec[] = [...PLACE_PARAMS, SIZE_PARAM];
/** The numbers of a stencil: also whether it is moved on. */
export const STENCIL_PARAMS: readonly ParamSpec[] = [...PLACE_PARAMS, SIZE_PARAM, ...REPEAT_PARAMS];

/** The border of a scene's design and its trace; where it has none, the whole panel lies inside. */
export function placed({ design, params }: Scene): {
  readonly borders: readonly Border[];
  readonly traces: readonly string[];
} {
  if (!design) return { borders: [], traces: [] };
  const placing = placingOf(design, params);
  return { borders: [borderOf(design, placing)], traces: [boxPath(design, placing)] };
}

/** So much inside a scene's design, or everywhere where it has none; nothing elsewhere. */
export const withinDesign = ({ design }: Scene, amount: number): CoverAt =>
  design ? (_x, _y, inside) => (inside(0) ? amount : 0) : () => amount;

import type { ParamSpec } from '../../base/params';
import {
  type Border,
  borderOf,
  boxPath,
  PLACE_PARAMS,
  placingOf,
  REPEAT_PARAMS,
  SIZE_PARAM,
} from '../../materials/design/placement';
import { type CoverAt, DRY, type GuardEffect, type PassLie } from './effects';
import type { Scene } from './passes';

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

/** A scene's design laid on what has dried, to keep ink off: how much of which, and for how long. */
export const guardedBy = (
  scene: Scene,
  { keepsOff, lasts }: Pick<GuardEffect, 'keepsOff' | 'lasts'>,
): PassLie => ({
  ...placed(scene),
  effects: [DRY, { does: 'guard', coverAt: withinDesign(scene, 1), keepsOff, lasts }],
});

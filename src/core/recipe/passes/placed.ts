import type { Size } from '../../base/geometry';
import type { Design } from '../../materials/design/design';
import {
  type Border,
  borderOf,
  boxPath,
  type DesignParams,
  PLACE_PARAMS,
  placingOf,
  REPEAT_PARAMS,
  SIZE_PARAM,
} from '../../materials/design/placement';
import type { PlacedPass } from './definition';
import { type CoverAt, DRY, type GuardEffect } from './effects';
import { MATERIAL_PARAM } from './stencil';

/** The parameters of a stamped, embossed or masked image. */
export const IMAGE_PARAMS = { ...PLACE_PARAMS, ...SIZE_PARAM };
/** The parameters of a stencil: also whether it is moved on. */
export const STENCIL_PARAMS = { ...IMAGE_PARAMS, ...REPEAT_PARAMS, ...MATERIAL_PARAM };
/** A coat's strength, per cent of a full one. */
export const strengthParam = (initial: number, min = 5) =>
  ({
    strength: { label: 'Strength', unit: '%', min, max: 100, step: 5, initial: () => initial },
  }) as const;

/** A height on the panel, told from its foot; at first so far down it, as a part. */
export const heightParam = (down: number) =>
  ({
    label: 'From the foot',
    toldFrom: 'foot',
    unit: 'mm',
    min: 0,
    max: 420,
    step: 0.5,
    initial: ({ height }: Size) => Math.round(height * down),
    isPlaceAlong: 'height',
  }) as const;

/** What is placed by a design of its own, or all over where it has none. */
export interface Placed {
  readonly design?: Design;
  readonly params: DesignParams;
}

/** The border of a design and its trace; where there is none, the whole panel lies inside. */
export function placed({ design, params }: Placed): Pick<PlacedPass, 'traces'> & {
  readonly borders: readonly Border[];
} {
  if (!design) return { borders: [], traces: [] };
  const placing = placingOf(design, params);
  return { borders: [borderOf(design, placing)], traces: [boxPath(design, placing)] };
}

/** So much inside a design, or everywhere where there is none; nothing elsewhere. */
export const withinDesign = ({ design }: Pick<Placed, 'design'>, amount: number): CoverAt =>
  design ? (_x, _y, inside) => (inside(0) ? amount : 0) : () => amount;

/** A design laid on what has dried, to keep ink off: how much of which, and for how long. */
export const guardedBy = (
  context: Placed,
  { keepsOff, lasts }: Pick<GuardEffect, 'keepsOff' | 'lasts'>,
): PlacedPass => ({
  ...placed(context),
  effects: [DRY, { kind: 'guard', coverAt: withinDesign(context, 1), keepsOff, lasts }],
});

/**
 * The one lamp a panel is looked at under: from the upper left, so high that a slope of `mirrors` sends it to the eye.
 * Everything that stands up from the card takes its light from here. Strengths by eye.
 */
export const LAMP = {
  /** Where it stands, as a unit vector on the panel; down is positive. */
  x: -0.6,
  y: -0.8,
  /** Half its angle from upright, as a slope: a lamp at 42° stands 48° from upright. */
  mirrors: 0.445,
  /** How wide its mirror image spreads, as a slope. */
  spreads: 0.17,
  /** How bright that is, 8-bit signal. */
  signal: 190,
  /** How much more light metal gives back there, as a part of what it gives elsewhere. */
  onMetal: 0.5,
  /** How much of the light is the lamp's; the rest comes from all round. */
  part: 0.3,
} as const;

/** How steeply a place faces the lamp, above 0, or away from it; and across that. */
const toward = (slopeX: number, slopeY: number): number => -(slopeX * LAMP.x + slopeY * LAMP.y);
const aside = (slopeX: number, slopeY: number): number => slopeX * LAMP.y - slopeY * LAMP.x;

/** How much more or less light falls on a slope than on what lies flat, as a part of it. Slopes are mm a mm. */
export function lightOnSlope(slopeX: number, slopeY: number): number {
  const faces = toward(slopeX, slopeY);
  const steep = Math.sqrt(1 + slopeX * slopeX + slopeY * slopeY);
  return (LAMP.part * faces) / steep;
}

/** How much of the lamp's mirror image a glossy slope shows, 0…1. Source of the form: a Gaussian of slopes, after Ward. */
export function shineOnSlope(slopeX: number, slopeY: number): number {
  const off = toward(slopeX, slopeY) - LAMP.mirrors;
  const cross = aside(slopeX, slopeY);
  return Math.exp(-(off * off + cross * cross) / (2 * LAMP.spreads * LAMP.spreads));
}

/**
 * How much darker it is beside an edge, as a part of the light, at most 0.
 *
 * @param height  how high what stands there is, mm
 * @param far     how far from its edge, mm
 * @param across  which way it lies from there, with `down` a vector toward it of about unit length
 */
export function shadowOf(height: number, far: number, across: number, down: number): number {
  const reaches = 1.1 * height;
  if (far >= reaches) return 0;
  const isBehind = across * LAMP.x + down * LAMP.y;
  return isBehind <= 0 ? 0 : -LAMP.part * isBehind * (1 - far / reaches);
}

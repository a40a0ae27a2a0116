import { type Lab, labOfXyz } from '../../materials/colour/lab';
import { WEIGHTS, WHITE } from '../../materials/colour/observer';
import { BANDS, type Spectrum } from '../../materials/colour/spectrum';
import type { Film } from '../../materials/ink/film';
import { filmCurve } from '../../materials/ink/filmCurve';

/** One layer's K and S, already times thickness, per band. */
export type LaidFilm = Film;

/** How one band of a film answers to its K, its S and what lies under. */
export interface BandSlopes {
  r: number;
  byK: number;
  byS: number;
  byGround: number;
}

/** Below this, the curve q·coth q is straight. */
const STRAIGHT = 1e-5;

/** One band of Kubelka's formula with its slopes, written into `into`; see `filmCurve` for its form. */
export function bandSlopes(k: number, s: number, ground: number, into: BandSlopes): void {
  const u = k * (k + 2 * s);
  const curve = filmCurve(u);
  const steep = u < STRAIGHT ? 1 / 3 : (1 + (curve - curve * curve) / u) / 2;
  const above = s - ground * (k + s - curve);
  const below = k + s - ground * s + curve;
  const r = above / below;
  const curveByK = 2 * (k + s) * steep;
  const curveByS = 2 * k * steep;
  into.r = r;
  into.byK = (ground * (curveByK - 1) - r * (1 + curveByK)) / below;
  into.byS = (1 - ground + ground * curveByS - r * (1 - ground + curveByS)) / below;
  into.byGround = (curve - k - s + r * s) / below;
}

/** A stack's colour, and how it answers to each layer's K and S. */
export interface StackSlopes {
  readonly lab: Lab;
  /** A layer: 3 × `BANDS` slopes of L*, then a*, then b* with its K. */
  readonly byK: readonly Float64Array[];
  readonly byS: readonly Float64Array[];
}

/** Colour of layers over a ground, lowest first, with its slopes. */
export function stackSlopes(layers: readonly LaidFilm[], ground: Spectrum): StackSlopes {
  const each = layers.map(() => ({
    k: new Float64Array(BANDS),
    s: new Float64Array(BANDS),
    g: new Float64Array(BANDS),
  }));
  const r = Float64Array.from(ground);
  const band: BandSlopes = { r: 0, byK: 0, byS: 0, byGround: 0 };
  for (let layer = 0; layer < layers.length; layer++) {
    const { absorption, scattering } = layers[layer];
    const { k, s, g } = each[layer];
    for (let i = 0; i < BANDS; i++) {
      bandSlopes(absorption[i], scattering[i], r[i], band);
      r[i] = band.r;
      k[i] = band.byK;
      s[i] = band.byS;
      g[i] = band.byGround;
    }
  }
  const { lab, slopes } = labSlopes(r);
  const byK = layers.map(() => new Float64Array(3 * BANDS));
  const byS = layers.map(() => new Float64Array(3 * BANDS));
  for (let i = 0; i < BANDS; i++) {
    let through = 1;
    for (let layer = layers.length - 1; layer >= 0; layer--) {
      for (let c = 0; c < 3; c++) {
        const way = slopes[c * BANDS + i] * through;
        byK[layer][c * BANDS + i] = way * each[layer].k[i];
        byS[layer][c * BANDS + i] = way * each[layer].s[i];
      }
      through *= each[layer].g[i];
    }
  }
  return { lab, byK, byS };
}

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;
/** Slope of the curve that makes L*, a*, b* of tristimulus values. Source: ISO/CIE 11664-4. */
const curveSlope = (t: number): number => (t > EPSILON ? 1 / (3 * Math.cbrt(t * t)) : KAPPA / 116);

/** Colour of a reflectance and its slope with each band: L*, then a*, then b*. */
function labSlopes(r: Spectrum): { readonly lab: Lab; readonly slopes: Float64Array } {
  const { x: wx, y: wy, z: wz } = WEIGHTS;
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < BANDS; i++) {
    x += r[i] * wx[i];
    y += r[i] * wy[i];
    z += r[i] * wz[i];
  }
  const fx = curveSlope(x / WHITE.x) / WHITE.x;
  const fy = curveSlope(y / WHITE.y) / WHITE.y;
  const fz = curveSlope(z / WHITE.z) / WHITE.z;
  const slopes = new Float64Array(3 * BANDS);
  for (let i = 0; i < BANDS; i++) {
    slopes[i] = 116 * fy * wy[i];
    slopes[BANDS + i] = 500 * (fx * wx[i] - fy * wy[i]);
    slopes[2 * BANDS + i] = 200 * (fy * wy[i] - fz * wz[i]);
  }
  return { lab: labOfXyz({ x, y, z }), slopes };
}

import { memo } from '../../../base/memo';
import { compiledWasm } from '../../../base/wasm';
import { WEIGHTS } from '../../../materials/colour/observer';
import { BANDS, type Spectrum } from '../../../materials/colour/spectrum';
import type { Film } from '../../../materials/ink/film';
import { FILM_CURVE, filmCurve } from '../../../materials/ink/filmCurve';
import { STATIONS } from '../../../readings/joints/joint';
import { MIX_JOINTS_WASM } from './mixJointsWasm';

/** Stations of a joint that are mixtures, and the values X, Y and Z they take. */
export const INNER = STATIONS - 2;
/** Values of one joint over one ground. */
export const VALUES = 3 * INNER;

/**
 * Mixes the joint of two inks, given by their places: X, Y and Z of each station between them, station by station; if
 * asked for, over the other ground too, from `VALUES` on, at little more than the cost of one. The array is written over
 * by the next call.
 */
export type JointMixer = (first: number, second: number, overBoth: boolean) => Float64Array;

/** What joints are mixed over. */
export interface JointGrounds {
  readonly ground: Spectrum;
  readonly other: Spectrum;
}

/** The quicker of the two mixers that this place can run. They say the same to the last bit. */
export const jointMixer = (films: readonly Film[], grounds: JointGrounds): JointMixer =>
  simdMixer(films, grounds) ?? plainMixer(films, grounds);

/**
 * `mixedReflectance` and its sum in one pass, in plain loops: two films in the parts 1 − y and y over a ground. Odd and
 * even bands are summed apart, as a machine that takes two at a time does.
 */
export function plainMixer(films: readonly Film[], { ground, other }: JointGrounds): JointMixer {
  const out = new Float64Array(2 * VALUES);
  const light = new Float64Array(BANDS);
  const lightThere = new Float64Array(BANDS);
  return (first, second, overBoth) => {
    const { absorption: k1, scattering: s1 } = films[first] as Film;
    const { absorption: k2, scattering: s2 } = films[second] as Film;
    for (let station = 1; station <= INNER; station++) {
      const y = station / (STATIONS - 1);
      const x = 1 - y;
      for (let band = 0; band < BANDS; band++) {
        const k = x * k1[band] + y * k2[band];
        const s = x * s1[band] + y * s2[band];
        const both = k + s;
        const curve = filmCurve(k * (both + s));
        const g = ground[band];
        light[band] = (s - g * (both - curve)) / (both - g * s + curve);
        if (!overBoth) continue;
        const there = other[band];
        lightThere[band] = (s - there * (both - curve)) / (both - there * s + curve);
      }
      writeSums(light, out, 3 * (station - 1));
      if (overBoth) writeSums(lightThere, out, VALUES + 3 * (station - 1));
    }
    return out;
  };
}

function writeSums(light: Float64Array, out: Float64Array, at: number): void {
  [WEIGHTS.x, WEIGHTS.y, WEIGHTS.z].forEach((weights, i) => {
    let even = 0;
    let odd = 0;
    for (let band = 0; band < BANDS; band += 2) {
      even += light[band] * weights[band];
      odd += light[band + 1] * weights[band + 1];
    }
    out[at + i] = even + odd;
  });
}

type MixJoint = (
  first: number,
  second: number,
  ground: number,
  other: number,
  table: number,
  out: number,
  inner: number,
) => void;

const PAGE_BYTES = 65_536;
const F64 = 8;

/**
 * The same with two bands at a time, by `mixJoints.as.ts`, where WebAssembly with vectors may run; undefined where not.
 * It has a memory of its own: 0.6 kB an ink and 131 kB for the film curve.
 */
export function simdMixer(films: readonly Film[], { ground, other }: JointGrounds): JointMixer | undefined {
  const module = compiled();
  if (!module) return undefined;
  // In doubles, the first left free so that nothing stands at 0.
  const out = 2;
  const table = out + 2 * VALUES;
  const grounds = table + FILM_CURVE.length;
  const otherGround = grounds + 4 * BANDS;
  const inks = otherGround + BANDS;
  const length = inks + films.length * 2 * BANDS;
  const memory = new WebAssembly.Memory({ initial: Math.ceil((length * F64) / PAGE_BYTES) });
  const { exports } = new WebAssembly.Instance(module, { env: { memory } });
  const mixJoint = exports.mixJoint as MixJoint;
  const doubles = new Float64Array(memory.buffer);
  doubles.set(FILM_CURVE, table);
  [ground, WEIGHTS.x, WEIGHTS.y, WEIGHTS.z].forEach((row, i) => {
    doubles.set(row, grounds + i * BANDS);
  });
  doubles.set(other, otherGround);
  films.forEach(({ absorption, scattering }, i) => {
    doubles.set(absorption, inks + 2 * BANDS * i);
    doubles.set(scattering, inks + 2 * BANDS * i + BANDS);
  });
  const found = doubles.subarray(out, out + 2 * VALUES);
  const inkAt = (ink: number): number => (inks + 2 * BANDS * ink) * F64;
  return (first, second, overBoth) => {
    mixJoint(
      inkAt(first),
      inkAt(second),
      grounds * F64,
      overBoth ? otherGround * F64 : 0,
      table * F64,
      out * F64,
      INNER,
    );
    return found;
  };
}

const compiled = memo(1, () => compiledWasm(MIX_JOINTS_WASM));

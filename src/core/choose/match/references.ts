import { layered, smoothNoise } from '../../base/noise';
import { smoothStep } from '../../base/smoothStep';
import { type Hex, linearRgbOfHex } from '../../materials/colour/hex';
import { type LinearRgb, srgbSignal } from '../../materials/colour/lab';
import type { Pixels } from '../photo/pixels';

/** A picture drawn by a function, to match inks to where no photograph is at hand. */
export interface Reference {
  readonly id: string;
  readonly label: string;
  /** Colour at a place, u and v 0…1 from the left and the top. */
  readonly colourAt: (u: number, v: number) => LinearRgb;
}

const mix = (p: LinearRgb, q: LinearRgb, part: number): LinearRgb => {
  const t = hold(part);
  return { r: p.r + t * (q.r - p.r), g: p.g + t * (q.g - p.g), b: p.b + t * (q.b - p.b) };
};
const hold = (t: number): number => Math.min(Math.max(t, 0), 1);
/** From 0 at `from` to 1 at `to`, with soft ends. */
const soft = (from: number, to: number, value: number): number =>
  smoothStep(hold((value - from) / (to - from)));
const colours = (...hexes: Hex[]): LinearRgb[] => hexes.map(linearRgbOfHex);
/** Colours at even stops from 0 to 1. */
const ramp = (stops: readonly LinearRgb[], t: number): LinearRgb => {
  const at = hold(t) * (stops.length - 1);
  const low = Math.min(Math.floor(at), stops.length - 2);
  return mix(stops[low] as LinearRgb, stops[low + 1] as LinearRgb, at - low);
};
const shade = ({ r, g, b }: LinearRgb, by: number): LinearRgb => ({ r: r * by, g: g * by, b: b * by });

const kilnMouth = (): Reference['colourAt'] => {
  const fire = colours('#fff3b0', '#ffc445', '#f07a1e', '#a8321a', '#3a1a18');
  const [brick, mortar] = colours('#5a3029', '#241c1f') as [LinearRgb, LinearRgb];
  const flicker = layered(smoothNoise(1, 3));
  return (u, v) => {
    const far = Math.hypot((u - 0.5) * 1.5, v > 0.62 ? (v - 0.62) * 0.6 : (v - 0.62) * 1.25);
    if (far < 0.36 && v < 0.9) return ramp(fire, far * 2.4 + 0.16 * flicker(u * 6, v * 6));
    const course = v * 14;
    const along = u * 9 + (Math.floor(course) % 2) / 2;
    const joint = Math.min(along % 1, course % 1) < 0.07;
    const glow = 0.35 + 1.9 * Math.exp(-((far - 0.36) ** 2) / 0.02);
    return shade(
      joint ? mortar : shade(brick, 1 + 0.3 * flicker(Math.floor(along) * 7, Math.floor(course) * 5)),
      glow,
    );
  };
};

const estuary = (): Reference['colourAt'] => {
  const sky = colours('#33406f', '#7a6aa6', '#d98fa6', '#f7c59a');
  const bank = linearRgbOfHex('#1d2733');
  const swell = layered(smoothNoise(1, 11));
  return (u, v) => {
    const land = 0.52 + 0.025 * swell(u * 4, 0.5);
    if (v < land) return ramp(sky, (v / 0.53) ** 1.2 + 0.05 * swell(u * 2, v * 9));
    if (v < land + 0.05 + 0.02 * swell(u * 7, 3)) return bank;
    const mirrored = 1 - (v - 0.56) / 0.44;
    return shade(ramp(sky, mirrored + 0.12 * swell(u * 3, v * 40)), 0.78);
  };
};

const gorseHill = (): Reference['colourAt'] => {
  const [zenith, low] = colours('#7fb4d8', '#e6eff0') as [LinearRgb, LinearRgb];
  const [bloom, leaf, grass, far] = colours('#f2c21c', '#4f6a2c', '#8fa651', '#7f96a0') as [
    LinearRgb,
    LinearRgb,
    LinearRgb,
    LinearRgb,
  ];
  const lumps = layered(smoothNoise(1, 23), 5);
  return (u, v) => {
    const ridge = 0.36 + 0.06 * lumps(u * 2.2, 1);
    const hill = 0.5 - 0.12 * u + 0.05 * lumps(u * 3, 7);
    if (v < ridge) return mix(zenith, low, v / 0.4 + 0.5 * hold(lumps(u * 3, v * 5)));
    if (v < hill) return far;
    const flowers = lumps(u * 16, v * 22) + 0.35 * lumps(u * 40, v * 40);
    return mix(mix(leaf, grass, soft(0.5, 1, v)), bloom, soft(-0.12, 0.12, flowers - 0.35 * (v - 0.55)));
  };
};

const rockPool = (): Reference['colourAt'] => {
  const water = colours('#d9f0e4', '#7fd0c2', '#2a9aa0', '#125a70');
  const [sand, weed] = colours('#d9c39a', '#3b3a1e') as [LinearRgb, LinearRgb];
  const ripple = layered(smoothNoise(1, 31));
  return (u, v) => {
    const depth = 1 - Math.hypot((u - 0.48) * 1.25, (v - 0.52) * 1.4) * 1.9 + 0.16 * ripple(u * 4, v * 4);
    if (depth < 0) return shade(sand, 0.92 + 0.18 * ripple(u * 50, v * 50));
    const light = 0.9 + 0.22 * Math.abs(ripple(u * 14, v * 14));
    const bed = shade(ramp(water, depth * 1.15), light);
    return mix(bed, weed, 0.9 * soft(0.16, 0.26, ripple(u * 7 + 9, v * 5)));
  };
};

const glazedJar = (): Reference['colourAt'] => {
  const [wall, bench, clay, glaze, pool] = colours('#b9b6ae', '#6f6a64', '#8c5b3c', '#a9c7b4', '#4f8a86') as [
    LinearRgb,
    LinearRgb,
    LinearRgb,
    LinearRgb,
    LinearRgb,
  ];
  const grain = layered(smoothNoise(1, 41));
  return (u, v) => {
    const half = 0.2 + 0.13 * Math.sin(Math.PI * hold((v - 0.18) / 0.66)) - 0.06 * soft(0.3, 0.16, v);
    const across = (u - 0.5) / half;
    if (v < 0.16 || v > 0.86 || Math.abs(across) > 1)
      return shade(v > 0.8 ? bench : wall, 0.95 + 0.06 * grain(u * 8, v * 8) - 0.25 * soft(0.3, 1, u));
    const drip = 0.56 + 0.13 * Math.sin(across * 7 + 0.6) + 0.08 * grain(across * 5, 2);
    const coat =
      v < drip
        ? mix(glaze, pool, soft(drip - 0.16, drip, v))
        : shade(clay, 0.9 + 0.2 * grain(u * 40, v * 40));
    const lit = 0.35 + 0.85 * Math.sqrt(Math.max(1 - (across + 0.35) ** 2 / 1.9, 0));
    return shade(coat, lit + 0.5 * Math.exp(-(((across + 0.4) / 0.08) ** 2) - ((v - 0.36) / 0.12) ** 2));
  };
};

const frostyYard = (): Reference['colourAt'] => {
  const [sky, haze, brick, frost, shadow] = colours(
    '#dfe3ea',
    '#e8d4cf',
    '#a9706a',
    '#eef1f2',
    '#5b6b80',
  ) as [LinearRgb, LinearRgb, LinearRgb, LinearRgb, LinearRgb];
  const rime = layered(smoothNoise(1, 53), 5);
  return (u, v) => {
    if (v < 0.4) return mix(sky, haze, v / 0.4);
    const stack = v > 0.48 + 0.1 * (Math.floor(u * 5) % 2);
    if (stack && v < 0.82) {
      const top = 0.48 + 0.1 * (Math.floor(u * 5) % 2);
      const shaded = (u * 5) % 1 > 0.62 ? 0.55 : 1;
      const line = (v * 26) % 1 < 0.14 ? 0.75 : 1;
      return mix(
        shade(brick, shaded * line),
        frost,
        0.9 * soft(top + 0.07, top, v + 0.05 * rime(u * 20, v * 20)),
      );
    }
    return mix(frost, shadow, 0.15 + 0.55 * soft(-0.1, 0.4, rime(u * 4, v * 9)));
  };
};

/** Six pictures of the kiln and the country round it; invented. */
export const REFERENCES: readonly Reference[] = [
  { id: 'kiln-mouth', label: 'Kiln mouth', colourAt: kilnMouth() },
  { id: 'estuary', label: 'Estuary at dusk', colourAt: estuary() },
  { id: 'gorse-hill', label: 'Gorse on the hill', colourAt: gorseHill() },
  { id: 'rock-pool', label: 'Rock pool', colourAt: rockPool() },
  { id: 'glazed-jar', label: 'Glazed jar', colourAt: glazedJar() },
  { id: 'frosty-yard', label: 'Frost on the brickyard', colourAt: frostyYard() },
];

/** Draws a reference as pixels. */
export function drawReference({ colourAt }: Reference, width: number, height: number): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const { r, g, b } = colourAt((x + 0.5) / width, (y + 0.5) / height);
      data[at] = 255 * srgbSignal(r);
      data[at + 1] = 255 * srgbSignal(g);
      data[at + 2] = 255 * srgbSignal(b);
      data[at + 3] = 255;
    }
  return { width, height, data };
}

/**
 * `plainMixer` for two bands at a time, in AssemblyScript: compiled by `npx tsx scripts/makeKernels.ts` into
 * mixJointsWasm.ts. It does the same operations in the same order in double precision, so its sums are the same to the
 * last bit; a test holds it to that.
 */
const BANDS_BYTES: usize = 36 * 8;
/** A double so large that its last bits are the whole number added to it. */
const WHOLE: f64 = 4503599627370496;
/** Entries of the film curve's table to a unit, and the u from which it is a plain root: as in filmCurve.ts. */
const PER_UNIT: f64 = 256;
const LARGEST: f64 = 64;

/**
 * @param first   where an ink stands: what it absorbs, band by band, then what it scatters
 * @param second  the other ink
 * @param ground  a ground, then the weights of X, Y and Z, band by band
 * @param other   the reflectance of another ground, or 0
 * @param table   the film curve's table
 * @param out     takes X, Y and Z station by station, over the other ground after those over the first
 * @param inner   stations between the two inks
 */
export function mixJoint(
  first: usize,
  second: usize,
  ground: usize,
  other: usize,
  table: usize,
  out: usize,
  inner: i32,
): void {
  for (let station = 1; station <= inner; station++) {
    const part = <f64>station / <f64>(inner + 1);
    const y = f64x2.splat(part);
    const x = f64x2.splat(1 - part);
    let sumX = f64x2.splat(0);
    let sumY = f64x2.splat(0);
    let sumZ = f64x2.splat(0);
    let otherX = f64x2.splat(0);
    let otherY = f64x2.splat(0);
    let otherZ = f64x2.splat(0);
    for (let at: usize = 0; at < BANDS_BYTES; at += 16) {
      const k = f64x2.add(f64x2.mul(x, v128.load(first + at)), f64x2.mul(y, v128.load(second + at)));
      const s = f64x2.add(
        f64x2.mul(x, v128.load(first + at, BANDS_BYTES)),
        f64x2.mul(y, v128.load(second + at, BANDS_BYTES)),
      );
      const both = f64x2.add(k, s);
      const curve = filmCurve(f64x2.mul(k, f64x2.add(both, s)), table);
      const weightX = v128.load(ground + at, BANDS_BYTES);
      const weightY = v128.load(ground + at, 2 * BANDS_BYTES);
      const weightZ = v128.load(ground + at, 3 * BANDS_BYTES);
      const r = filmOver(s, both, curve, v128.load(ground + at));
      sumX = f64x2.add(sumX, f64x2.mul(r, weightX));
      sumY = f64x2.add(sumY, f64x2.mul(r, weightY));
      sumZ = f64x2.add(sumZ, f64x2.mul(r, weightZ));
      if (other === 0) continue;
      const there = filmOver(s, both, curve, v128.load(other + at));
      otherX = f64x2.add(otherX, f64x2.mul(there, weightX));
      otherY = f64x2.add(otherY, f64x2.mul(there, weightY));
      otherZ = f64x2.add(otherZ, f64x2.mul(there, weightZ));
    }
    store(out, sumX, sumY, sumZ);
    if (other !== 0) store(out + 24 * inner, otherX, otherY, otherZ);
    out += 24;
  }
}

function filmOver(s: v128, both: v128, curve: v128, ground: v128): v128 {
  return f64x2.div(
    f64x2.sub(s, f64x2.mul(ground, f64x2.sub(both, curve))),
    f64x2.add(f64x2.sub(both, f64x2.mul(ground, s)), curve),
  );
}

function store(out: usize, x: v128, y: v128, z: v128): void {
  f64.store(out, f64x2.extract_lane(x, 0) + f64x2.extract_lane(x, 1));
  f64.store(out, f64x2.extract_lane(y, 0) + f64x2.extract_lane(y, 1), 8);
  f64.store(out, f64x2.extract_lane(z, 0) + f64x2.extract_lane(z, 1), 16);
}

function filmCurve(u: v128, table: usize): v128 {
  const large = f64x2.ge(u, f64x2.splat(LARGEST));
  if (!v128.any_true(large)) return lookUp(u, table);
  return v128.bitselect(f64x2.sqrt(u), lookUp(f64x2.min(u, f64x2.splat(LARGEST)), table), large);
}

function lookUp(u: v128, table: usize): v128 {
  const at = f64x2.mul(u, f64x2.splat(PER_UNIT));
  const low = f64x2.floor(at);
  const places = f64x2.add(low, f64x2.splat(WHOLE));
  const entries = v128.load(table + ((<usize>i32x4.extract_lane(places, 0)) << 3));
  const others = v128.load(table + ((<usize>i32x4.extract_lane(places, 2)) << 3));
  const from = v128.shuffle<f64>(entries, others, 0, 2);
  const to = v128.shuffle<f64>(entries, others, 1, 3);
  return f64x2.add(from, f64x2.mul(f64x2.sub(at, low), f64x2.sub(to, from)));
}

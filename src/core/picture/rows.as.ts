/**
 * The loops of `rowLoops.ts` for four pixels at a time, in AssemblyScript: compiled by `npx tsx scripts/makeKernels.ts` into
 * rowsWasm.ts. Whole numbers all the way, so its pixels are the same to the last bit; a test holds it to that. Parameters
 * are where things stand in the memory, if nothing else is said; what is written may go a few beyond the last pixel, to a
 * whole number of fours.
 */
const OPAQUE: i32 = -16777216;
/** As in dither.ts and rowLoops.ts. */
const BITS: i32 = 20;
const RUN_BITS: i32 = 12;
const PLACE_BITS: i32 = 16;
const FIRST_FOUR = i32x4(0, 1, 2, 3);

/**
 * @param colours  of samples, four numbers each, as are `slopes` and `bends`
 * @param last     the last sample
 * @param depth    whether colours alone are laid (0), slopes with them (1), or all (2)
 */
export function layBand(
  places: usize,
  fews: i32,
  colours: usize,
  slopes: usize,
  bends: usize,
  last: i32,
  depth: i32,
  reds: usize,
  greens: usize,
  blues: usize,
  rowSlopes: usize,
  rowBends: usize,
): void {
  const lowest = i32x4.splat(0);
  const highest = i32x4.splat(last);
  for (let few = 0; few < fews; few++) {
    const place = load<i32>(places);
    const step = (load<i32>(places, 4) - place) >> 2;
    const wide = i32x4.add(i32x4.splat(place), i32x4.mul(i32x4.splat(step), FIRST_FOUR));
    const samples = i32x4.shl(i32x4.min_s(i32x4.max_s(i32x4.shr_s(wide, PLACE_BITS), lowest), highest), 4);
    const first = <usize>i32x4.extract_lane(samples, 0);
    const one = v128.load(colours + first);
    const two = v128.load(colours + <usize>i32x4.extract_lane(samples, 1));
    const three = v128.load(colours + <usize>i32x4.extract_lane(samples, 2));
    const four = v128.load(colours + <usize>i32x4.extract_lane(samples, 3));
    // From a pixel's three values each to a value's four pixels.
    const upper = v128.shuffle<i32>(one, two, 0, 4, 1, 5);
    const lower = v128.shuffle<i32>(three, four, 0, 4, 1, 5);
    v128.store(reds, v128.shuffle<i32>(upper, lower, 0, 1, 4, 5));
    v128.store(greens, v128.shuffle<i32>(upper, lower, 2, 3, 6, 7));
    v128.store(
      blues,
      v128.shuffle<i32>(
        v128.shuffle<i32>(one, two, 2, 6, 2, 6),
        v128.shuffle<i32>(three, four, 2, 6, 2, 6),
        0,
        1,
        4,
        5,
      ),
    );
    if (depth > 0) v128.store(rowSlopes, v128.load(slopes + first));
    if (depth > 1) v128.store(rowBends, v128.load(bends + first));
    places += 4;
    reds += 16;
    greens += 16;
    blues += 16;
    rowSlopes += 12;
    rowBends += 16;
  }
}

/** @param runs  eight numbers each, as `RowShades` has them */
export function layRuns(runs: usize, count: i32, reds: usize, greens: usize, blues: usize): void {
  for (let run = 0; run < count; run++) {
    const from = load<i32>(runs);
    const to = load<i32>(runs, 4);
    const stepR = load<i32>(runs, 20);
    const stepG = load<i32>(runs, 24);
    const stepB = load<i32>(runs, 28);
    let r = i32x4.add(v128.load_splat<i32>(runs, 8), i32x4.mul(i32x4.splat(stepR), FIRST_FOUR));
    let g = i32x4.add(v128.load_splat<i32>(runs, 12), i32x4.mul(i32x4.splat(stepG), FIRST_FOUR));
    let b = i32x4.add(v128.load_splat<i32>(runs, 16), i32x4.mul(i32x4.splat(stepB), FIRST_FOUR));
    for (let pixel = from; pixel < to; pixel += 4) {
      const at = <usize>(pixel << 2);
      v128.store(reds + at, i32x4.shr_s(r, RUN_BITS));
      v128.store(greens + at, i32x4.shr_s(g, RUN_BITS));
      v128.store(blues + at, i32x4.shr_s(b, RUN_BITS));
      r = i32x4.add(r, i32x4.splat(stepR << 2));
      g = i32x4.add(g, i32x4.splat(stepG << 2));
      b = i32x4.add(b, i32x4.splat(stepB << 2));
    }
    runs += 32;
  }
}

/**
 * @param slopes  three to every four pixels
 * @param isEven  all pixels have the colours and slopes of the first four
 * @param grain   a byte a pixel, as is `light`
 * @param noise   a row of 256 numbers that repeats
 * @param column  of the first pixel in the dither, a whole number of fours
 * @param count   how many pixels
 */
export function grainRow(
  reds: usize,
  greens: usize,
  blues: usize,
  slopes: usize,
  isEven: bool,
  grain: usize,
  light: usize,
  noise: usize,
  column: i32,
  pixels: usize,
  count: i32,
): void {
  for (let i = 0; i < count; i += 4) {
    const chance = v128.load(noise + (((column + i) & 255) << 2));
    v128.store(
      pixels,
      grained(
        v128.load(reds),
        v128.load(greens),
        v128.load(blues),
        v128.load_splat<i32>(slopes),
        v128.load_splat<i32>(slopes, 4),
        v128.load_splat<i32>(slopes, 8),
        fourBytes(grain),
        fourBytes(light),
        chance,
      ),
    );
    if (!isEven) {
      reds += 16;
      greens += 16;
      blues += 16;
      slopes += 12;
    }
    grain += 4;
    light += 4;
    pixels += 16;
  }
}

function grained(
  red: v128,
  green: v128,
  blue: v128,
  slopeR: v128,
  slopeG: v128,
  slopeB: v128,
  coat: v128,
  light: v128,
  chance: v128,
): v128 {
  const lit = i32x4.add(i32x4.splat(4096), i32x4.shl(light, 4));
  const r = part(red, slopeR, coat, lit, chance);
  const g = part(green, slopeG, coat, lit, chance);
  const b = part(blue, slopeB, coat, lit, chance);
  return v128.or(v128.or(i32x4.splat(OPAQUE), i32x4.shl(b, 16)), v128.or(i32x4.shl(g, 8), r));
}

function part(colour: v128, slope: v128, coat: v128, lit: v128, chance: v128): v128 {
  const inked = i32x4.add(colour, i32x4.shr_s(i32x4.mul(slope, coat), 8));
  const byte = i32x4.shr_s(i32x4.add(i32x4.mul(inked, lit), chance), BITS);
  return i32x4.max_s(i32x4.min_s(byte, i32x4.splat(255)), i32x4.splat(0));
}

function fourBytes(at: usize): v128 {
  return i32x4.extend_low_i16x8_s(i16x8.extend_low_i8x16_s(v128.load_zero<i32>(at)));
}

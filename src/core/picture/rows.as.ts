/**
 * `grainRow` and `evenRow` for four pixels at a time, in AssemblyScript: compiled by `npx tsx scripts/makeKernels.ts` into
 * rowsWasm.ts. Whole numbers all the way, so its pixels are the same to the last bit; a test holds it to that.
 */
const OPAQUE: i32 = -16777216;
/** As in dither.ts. */
const BITS: i32 = 20;

/**
 * @param colours  of the first four pixels: red, green and blue a pixel
 * @param slopes   three to every four pixels
 * @param isEven   all pixels have the colours and slopes of the first four
 * @param grain    a byte a pixel, as is `light`
 * @param noise    a row of 256 numbers that repeats
 * @param column   of the first pixel in the dither, a whole number of fours
 * @param pixels   takes the pixels; a last few beyond `count` too, to a whole number of fours
 */
export function grainRow(
  colours: usize,
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
    const one = v128.load(colours);
    const two = v128.load(colours, 16);
    const three = v128.load(colours, 32);
    const red = v128.shuffle<i32>(v128.shuffle<i32>(one, two, 0, 3, 6, 6), three, 0, 1, 2, 5);
    const green = v128.shuffle<i32>(v128.shuffle<i32>(one, two, 1, 4, 7, 7), three, 0, 1, 2, 6);
    const blue = v128.shuffle<i32>(v128.shuffle<i32>(one, two, 2, 5, 5, 5), three, 0, 1, 4, 7);
    const chance = v128.load(noise + (((column + i) & 255) << 2));
    v128.store(
      pixels,
      grained(
        red,
        green,
        blue,
        v128.load_splat<i32>(slopes),
        v128.load_splat<i32>(slopes, 4),
        v128.load_splat<i32>(slopes, 8),
        fourBytes(grain),
        fourBytes(light),
        chance,
      ),
    );
    if (!isEven) {
      colours += 48;
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

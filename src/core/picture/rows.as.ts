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

/**
 * @param runs     six numbers each, as `RowShades` has them
 * @param squares  twenty-six numbers each
 * @param across   how much of a square a pixel is
 * @param down     how far down its squares the row lies, 0…1
 * @param depth    as in `layBand`
 */
export function layRuns(
  runs: usize,
  count: i32,
  squares: usize,
  across: f64,
  down: f64,
  depth: i32,
  reds: usize,
  greens: usize,
  blues: usize,
  rowSlopes: usize,
  rowBends: usize,
): void {
  for (let run = 0; run < count; run++) {
    const from = load<i32>(runs);
    const to = load<i32>(runs, 4);
    const square = squares + <usize>load<i32>(runs, 8) * SQUARE_BYTES;
    const aside = (<f64>from + 0.5) * across - <f64>load<i32>(runs, 12);
    const part = load<i32>(runs, 20);
    const stepR = at(square + 48, down);
    const stepG = at(square + 64, down);
    const stepB = at(square + 80, down);
    let r = at(square, down) + aside * stepR;
    let g = at(square + 16, down) + aside * stepG;
    let b = at(square + 32, down) + aside * stepB;
    if (part < 255) {
      const beyond = squares + <usize>load<i32>(runs, 16) * SQUARE_BYTES;
      r += ((at(beyond, down) + aside * at(beyond + 48, down) - r) * <f64>part) / 255.0;
      g += ((at(beyond + 16, down) + aside * at(beyond + 64, down) - g) * <f64>part) / 255.0;
      b += ((at(beyond + 32, down) + aside * at(beyond + 80, down) - b) * <f64>part) / 255.0;
    }
    layColour(reds, from, to, <i32>r, <i32>(across * stepR));
    layColour(greens, from, to, <i32>g, <i32>(across * stepG));
    layColour(blues, from, to, <i32>b, <i32>(across * stepB));
    if (depth > 0) layFews(rowSlopes, 12, from, to, square + 96, down);
    if (depth > 1) layFews(rowBends, 16, from, to, square + 144, down);
    runs += 24;
  }
}

const SQUARE_BYTES: usize = 208;

function at(place: usize, down: f64): f64 {
  return load<f64>(place) + down * load<f64>(place, 8);
}

function layColour(into: usize, from: i32, to: i32, first: i32, step: i32): void {
  let here = i32x4.add(i32x4.splat(first), i32x4.mul(i32x4.splat(step), FIRST_FOUR));
  const four = i32x4.splat(step << 2);
  for (let pixel = from; pixel < to; pixel += 4) {
    v128.store(into + <usize>(pixel << 2), i32x4.shr_s(here, RUN_BITS));
    here = i32x4.add(here, four);
  }
}

/** Four values of a square for every four pixels that lie in it, `bytes` apart. */
function layFews(into: usize, bytes: usize, from: i32, to: i32, square: usize, down: f64): void {
  const four = i32x4(
    <i32>at(square, down),
    <i32>at(square + 16, down),
    <i32>at(square + 32, down),
    <i32>at(square + 48, down),
  );
  for (let few = from >> 2, last = (to - 1) >> 2; few <= last; few++)
    v128.store(into + <usize>few * bytes, four);
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

/**
 * Pixels with all that a surface can have but bare card.
 *
 * @param slopes  three to every four pixels, and of `bends` four
 * @param isEven  all pixels have the colours, slopes and bends of the first four
 * @param grain   a byte a pixel, as are `light` and, of what lies on this row alone, `cover`, `lights` and `shine`
 * @param noise   a row of 256 numbers that repeats
 * @param column  of the first pixel in the dither, a whole number of fours
 * @param count   how many pixels
 */
export function surfaceRow(
  reds: usize,
  greens: usize,
  blues: usize,
  slopes: usize,
  bends: usize,
  isEven: bool,
  grain: usize,
  light: usize,
  cover: usize,
  lights: usize,
  shine: usize,
  noise: usize,
  column: i32,
  pixels: usize,
  count: i32,
): void {
  for (let i = 0; i < count; i += 4) {
    const chance = v128.load(noise + (((column + i) & 255) << 2));
    const gathered = i32x4.shr_s(i32x4.mul(fourBytes(cover), v128.load_splat<i32>(bends, 12)), 3);
    const coat = i32x4.add(i32x4.shl(fourBytes(grain), 4), gathered);
    const square = i32x4.shr_s(i32x4.mul(coat, coat), 12);
    const faces = i32x4.add(fourBytes(light), fourBytes(lights));
    const lit = i32x4.add(i32x4.splat(4096), i32x4.shl(faces, 4));
    const shines = i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(v128.load_zero<i32>(shine)));
    const r = bent(v128.load(reds), slopes, bends, coat, square, lit, chance, shines);
    const g = bent(v128.load(greens), slopes + 4, bends + 4, coat, square, lit, chance, shines);
    const b = bent(v128.load(blues), slopes + 8, bends + 8, coat, square, lit, chance, shines);
    v128.store(pixels, opaque(r, g, b));
    if (!isEven) {
      reds += 16;
      greens += 16;
      blues += 16;
      slopes += 12;
      bends += 16;
    }
    grain += 4;
    light += 4;
    cover += 4;
    lights += 4;
    shine += 4;
    pixels += 16;
  }
}

/** A colour that goes with the grain by its slope and, with the grain's square, by its bend. */
function bent(
  colour: v128,
  slope: usize,
  bend: usize,
  coat: v128,
  square: v128,
  lit: v128,
  chance: v128,
  shines: v128,
): v128 {
  const straight = i32x4.mul(v128.load_splat<i32>(slope), coat);
  const more = i32x4.add(straight, i32x4.mul(v128.load_splat<i32>(bend), square));
  const inked = i32x4.add(colour, i32x4.shr_s(more, 12));
  const byte = i32x4.shr_s(i32x4.add(i32x4.mul(inked, lit), chance), BITS);
  return held(i32x4.add(byte, shines));
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
  return opaque(r, g, b);
}

function opaque(r: v128, g: v128, b: v128): v128 {
  return v128.or(v128.or(i32x4.splat(OPAQUE), i32x4.shl(b, 16)), v128.or(i32x4.shl(g, 8), r));
}

function part(colour: v128, slope: v128, coat: v128, lit: v128, chance: v128): v128 {
  const inked = i32x4.add(colour, i32x4.shr_s(i32x4.mul(slope, coat), 8));
  const byte = i32x4.shr_s(i32x4.add(i32x4.mul(inked, lit), chance), BITS);
  return held(byte);
}

/** Four bytes held to what they can be. */
function held(byte: v128): v128 {
  return i32x4.max_s(i32x4.min_s(byte, i32x4.splat(255)), i32x4.splat(0));
}

function fourBytes(at: usize): v128 {
  return i32x4.extend_low_i16x8_s(i16x8.extend_low_i8x16_s(v128.load_zero<i32>(at)));
}

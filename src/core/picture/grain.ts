/** Side of a grain tile in pixels; a power of two, so that it repeats by masking. */
export const TILE = 256;

/**
 * A seeded pseudo-random generator, 0…1.
 * Source: mulberry32, a public-domain 32-bit generator (from memory).
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const tiles = new Map<string, Float32Array>();

/**
 * Smooth noise for a paper's tooth: TILE × TILE values in −1…1 that repeat without a seam; remembered.
 *
 * @param cell size of one grain in pixels; below 1 the noise is per pixel
 */
export function grainTile(cell: number, seed: number): Float32Array {
  const cells = Math.max(2, Math.min(TILE, Math.round(TILE / Math.max(cell, 1))));
  const key = `${cells} ${seed}`;
  const tile = tiles.get(key) ?? makeTile(cells, seed);
  tiles.set(key, tile);
  return tile;
}

/** Made anew for every size a panel is shown in, so plain loops: where each column lies among the grains is told once. */
function makeTile(cells: number, seed: number): Float32Array {
  const random = seededRandom(seed);
  const lattice = new Float32Array(cells * cells);
  for (let i = 0; i < lattice.length; i++) lattice[i] = random() * 2 - 1;
  const left = new Int32Array(TILE);
  const part = new Float64Array(TILE);
  for (let i = 0; i < TILE; i++) {
    const at = (i * cells) / TILE;
    left[i] = Math.floor(at);
    part[i] = soften(at - Math.floor(at));
  }
  const tile = new Float32Array(TILE * TILE);
  for (let y = 0; y < TILE; y++) {
    const upper = (left[y] as number) * cells;
    const lower = (((left[y] as number) + 1) % cells) * cells;
    const down = part[y] as number;
    for (let x = 0; x < TILE; x++) {
      const column = left[x] as number;
      const next = column + 1 === cells ? 0 : column + 1;
      const across = part[x] as number;
      const top =
        (lattice[upper + column] as number) * (1 - across) + (lattice[upper + next] as number) * across;
      const foot =
        (lattice[lower + column] as number) * (1 - across) + (lattice[lower + next] as number) * across;
      tile[y * TILE + x] = top * (1 - down) + foot * down;
    }
  }
  return tile;
}

/**
 * Short fibres of a mill-run card, some lighter and some darker than it: TILE × TILE values in −1…1 that repeat
 * without a seam; remembered.
 */
export function fibreTile(seed: number): Float32Array {
  const key = `fibres ${seed}`;
  const known = tiles.get(key);
  if (known) return known;
  const random = seededRandom(seed);
  const tile = new Float32Array(TILE * TILE);
  for (let fibre = 0; fibre < 150; fibre++) {
    const tone = random() < 0.6 ? -0.5 - 0.5 * random() : 0.4 + 0.5 * random();
    const length = 6 + random() * 16;
    let [x, y, heading] = [random() * TILE, random() * TILE, random() * 2 * Math.PI];
    for (let step = 0; step < length; step++) {
      tile[(y & (TILE - 1)) * TILE + (x & (TILE - 1))] = tone * Math.sin((Math.PI * (step + 0.5)) / length);
      x += Math.cos(heading) + TILE;
      y += Math.sin(heading) + TILE;
      heading += (random() - 0.5) * 0.5;
    }
  }
  tiles.set(key, tile);
  return tile;
}

const soften = (t: number): number => t * t * (3 - 2 * t);

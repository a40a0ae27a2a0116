import { memo } from '../base/memo';
import { seededRandom } from '../base/random';
import { smoothStep } from '../base/smoothStep';

/** Side of a grain tile in pixels; a power of two, so that it repeats by masking. */
export const TILE = 256;

/** Tiles kept: every size a panel is shown in asks for a few. */
const MAX_TILES = 64;

/**
 * Smooth noise for a paper's tooth: TILE × TILE values in −1…1 that repeat without a seam; remembered.
 *
 * @param cell size of one grain in pixels; below 1 the noise is per pixel
 */
export const grainTile = (cell: number, seed: number): Float32Array =>
  tileOf(Math.max(2, Math.min(TILE, Math.round(TILE / Math.max(cell, 1)))), seed);
const tileOf = memo(MAX_TILES, makeTile);

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
    part[i] = smoothStep(at - Math.floor(at));
  }
  const tile = new Float32Array(TILE * TILE);
  for (let y = 0; y < TILE; y++) {
    const upper = left[y] * cells;
    const lower = ((left[y] + 1) % cells) * cells;
    const down = part[y];
    for (let x = 0; x < TILE; x++) {
      const column = left[x];
      const next = column + 1 === cells ? 0 : column + 1;
      const across = part[x];
      const top = lattice[upper + column] * (1 - across) + lattice[upper + next] * across;
      const foot = lattice[lower + column] * (1 - across) + lattice[lower + next] * across;
      tile[y * TILE + x] = top * (1 - down) + foot * down;
    }
  }
  return tile;
}

/**
 * Short fibres of a mill-run card, some lighter and some darker than it: TILE × TILE values in −1…1 that repeat
 * without a seam; remembered.
 */
export const fibreTile = memo(4, (seed: number): Float32Array => {
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
  return tile;
});

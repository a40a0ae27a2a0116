import { dryInks, emptyPairTable, pairJudge } from '../src/core/choose/search/pairs/pairTable';
import { lessonsOf } from '../src/core/keep/learn/lessons';
import { BANDS } from '../src/core/materials/colour/spectrum';
import { paintPanel, pixelsAt } from '../src/core/picture/paint';
import { STATIONS } from '../src/core/readings/joints/joint';
import { DEMO_CARDS } from '../src/data/demo/cards';
import { demoRecipe } from './core';
import { eightPasses } from './eightPasses';
import { standardInks } from './inks';
import { logOf } from './learn';
import { medianTime } from './row';

/** One measured point: how much there is of it, and what it costs. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** How a cost grows, and the least it could be on this machine. */
export interface Growth {
  readonly name: string;
  readonly title: string;
  /** What grows, and what it is measured in. */
  readonly across: string;
  readonly up: string;
  readonly lines: readonly { readonly told: string; readonly points: readonly Point[] }[];
  /** In a sentence or two: what was counted for the limit, and how near the last point is. */
  readonly limit: string;
}

/** What this machine does at its best in this language: multiplications with additions, and bytes moved, each a second. */
interface Machine {
  readonly operations: number;
  readonly bytes: number;
}

/** Rounds and size of the loops the machine is measured with. */
const [ROUNDS, SIZE] = [20_000, 1024];

/** A sum of products in four sums side by side, so that none waits for another. */
function sumOfProducts(a: Float64Array, b: Float64Array): number {
  let p = 0.5;
  let q = 0.5;
  let r = 0.5;
  let s = 0.5;
  for (let i = 0; i + 3 < a.length; i += 4) {
    p += (a[i] as number) * (b[i] as number);
    q += (a[i + 1] as number) * (b[i + 1] as number);
    r += (a[i + 2] as number) * (b[i + 2] as number);
    s += (a[i + 3] as number) * (b[i + 3] as number);
  }
  return p + q + r + s;
}

function machineHere(): Machine {
  const [a, b] = [new Float64Array(SIZE).fill(1.000001), new Float64Array(SIZE).fill(0.5)];
  let sink = 0;
  const work = medianTime(() => {
    for (let round = 0; round < ROUNDS; round++) sink += sumOfProducts(a, b);
  }, 7);
  const [from, to] = [new Uint8Array(64e6).fill(1), new Uint8Array(64e6)];
  const move = medianTime(() => to.set(from), 7);
  if (!Number.isFinite(sink + (to[1] ?? 0))) throw new Error('the machine was not measured');
  return { operations: (2 * ROUNDS * SIZE) / (work / 1000), bytes: (2 * 64e6) / (move / 1000) };
}

/** Multiplications and additions of one band of one mixture: two films mixed, Kubelka's formula, three sums. */
const A_BAND = 24;
/** Bands that are mixed at a time. */
const LANES = 2;
/** And of one pixel with a gentle grain: three products with the grain, three with the light, three sums with the dither. */
const A_PIXEL = 18;
/** Bytes a pixel reads and writes: grain, light, dither and itself. */
const PIXEL_BYTES = 10;

const told = (share: number): string =>
  share >= 0.1 ? `${Math.round(100 * share)} %` : `${(100 * share).toFixed(1)} %`;

function searching({ operations }: Machine): Growth[] {
  const [card] = DEMO_CARDS;
  if (!card) throw new Error('the demo has no card');
  const counts = [60, 120, 240, 480, 960];
  const all = standardInks();
  const judged = counts.map((count) => {
    const dried = dryInks(all.slice(0, count), card);
    const judge = pairJudge(dried, card);
    const y = medianTime(
      () => {
        const pairs = emptyPairTable(count);
        for (let row = 0; row < count; row++) judge(row, pairs);
      },
      count > 300 ? 3 : 5,
    );
    return { x: count, y };
  });
  const memory = counts.map((count) => {
    const table = emptyPairTable(count);
    const bytes = Object.values(table).reduce(
      (sum, part) => sum + (ArrayBuffer.isView(part) ? part.byteLength : 0),
      0,
    );
    return { x: count, y: bytes / 1e6 };
  });
  const last = judged.at(-1) ?? { x: 0, y: 0 };
  const counted = ((last.x * (last.x - 1)) / 2) * (STATIONS - 2) * BANDS * A_BAND;
  const atBest = (counted / operations / LANES) * 1000;
  return [
    {
      name: 'search-time',
      title: 'Judging every joint of a shelf, one core, warm',
      across: 'inks',
      up: 'ms',
      lines: [{ told: 'all joints', points: judged }],
      limit: `${last.x} inks have ${((last.x * (last.x - 1)) / 2).toLocaleString('en')} joints of ${STATIONS - 2} stations of ${BANDS} bands: ${(counted / 1e9).toFixed(1)} thousand million operations in the mixing alone, which this machine, ${LANES} at a time, does in ${Math.round(atBest)} ms at its best. All of the judging, names and differences too, takes ${Math.round(last.y)} ms: the mixing's limit is ${told(atBest / last.y)} of it. It grows with the square of the inks, as joints do.`,
    },
    {
      name: 'search-memory',
      title: 'The table of joints',
      across: 'inks',
      up: 'MB',
      lines: [{ told: 'table', points: memory }],
      limit: `A joint has a byte and ten single-precision figures, both ways round: ${(memory.at(-1)?.y ?? 0).toFixed(0)} MB for ${last.x} inks. Half of it would do, at the price of asking which ink is the paler each time.`,
    },
  ];
}

function painting({ operations, bytes }: Machine): Growth[] {
  const three = demoRecipe();
  const eight = eightPasses(three);
  const sized = [75, 150, 300, 450].map((dpi) => {
    const { width, height } = pixelsAt(three.recipe.panel, dpi);
    return { x: (width * height) / 1e6, y: medianTime(() => paintPanel(three, 'dry', width, height), 5) };
  });
  const plain = [75, 150, 300, 450].map((dpi) => {
    const { width, height } = pixelsAt(three.recipe.panel, dpi);
    return {
      x: (width * height) / 1e6,
      y: medianTime(() => paintPanel(three, 'dry', width, height, { isPlain: true }), 5),
    };
  });
  const { width, height } = pixelsAt(three.recipe.panel, 300);
  const laid = [0, 1, 2, 3, 4, 5, 6, 7, 8].map((passes) => {
    const recipe = { ...eight.recipe, passes: eight.recipe.passes.slice(0, passes) };
    return { x: passes, y: medianTime(() => paintPanel({ ...eight, recipe }, 'dry', width, height), 3) };
  });
  const last = sized.at(-1) ?? { x: 0, y: 0 };
  const counted = ((last.x * 1e6 * A_PIXEL) / operations) * 1000;
  const moved = ((last.x * 1e6 * PIXEL_BYTES) / bytes) * 1000;
  return [
    {
      name: 'picture-pixels',
      title: 'A panel of three inks by its pixels',
      across: 'million pixels',
      up: 'ms',
      lines: [
        { told: 'with its grain', points: sized },
        { told: 'plain', points: plain },
      ],
      limit: `Once the surface is there, ${last.x.toFixed(1)} million pixels ask for ${A_PIXEL} operations and ${PIXEL_BYTES} bytes each: ${Math.round(counted)} ms of work or ${Math.round(moved)} ms of memory at the machine's best. It takes ${Math.round(last.y)} ms with the surface made on the way: the work's limit is ${told(counted / last.y)} of it, for most of the rest is the surface, looked up pixel by pixel through its warp.`,
    },
    {
      name: 'picture-passes',
      title: 'A panel at 300 dpi by its passes',
      across: 'passes',
      up: 'ms',
      lines: [{ told: 'with their details', points: laid }],
      limit: `Passes cost by the length of their borders, not by their number: a full-page stencil and a hundred drops are the two steep steps. Two fifths of it is the surface along borders and a fifth how squares lie to them, a third of either asking how far a pixel lies from a border, once at every second pixel; a sixth is mixing the inks at the nodes of each region.`,
    },
  ];
}

function learning(): Growth {
  const points = [5, 10, 25, 50, 100, 200].map((panels) => {
    const log = logOf(panels);
    return { x: panels, y: medianTime(() => void lessonsOf(log, new Date(0)), 3) };
  });
  const last = points.at(-1) ?? { x: 1, y: 0 };
  return {
    name: 'learning-panels',
    title: 'Learning anew from the whole log, forty inks',
    across: 'panels in the log',
    up: 'ms',
    lines: [{ told: 'all lessons', points }],
    limit: `${(last.y / last.x).toFixed(1)} ms a panel at ${last.x}: each reading is mixed once for every figure its inks have, and the figures of inks that were laid together are solved for together.`,
  };
}

/** How the costs of the main job grow, on Node, one core. */
export function grow(): { readonly machine: Machine; readonly growths: readonly Growth[] } {
  const machine = machineHere();
  return { machine, growths: [...searching(machine), ...painting(machine), learning()] };
}

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { inflateRawSync } from 'node:zlib';
import Color from 'colorjs.io';
import { differenceCiede2000 } from 'culori';
import * as spectral from 'spectral.js';
import { seededRandom } from '../src/core/base/random';
import { dryInks, emptyPairTable, pairJudge, prepareNouns } from '../src/core/choose/search/pairs/pairTable';
import type { Judged } from '../src/core/choose/search/relations/definition';
import { planCuts } from '../src/core/make/cutting/cutPlan';
import { deltaE00 } from '../src/core/materials/colour/difference';
import { labOfHex } from '../src/core/materials/colour/hex';
import type { Lab } from '../src/core/materials/colour/lab';
import { xyzOfSpectrum } from '../src/core/materials/colour/lab';
import { flatSpectrum } from '../src/core/materials/colour/spectrum';
import type { Ink } from '../src/core/materials/ink/ink';
import { laidReflectance } from '../src/core/materials/ink/laid';
import { paintPanel, pixelsAt } from '../src/core/picture/paint';
import { STATIONS } from '../src/core/readings/joints/joint';
import { NEEDS } from '../src/core/readings/legibility/contrast';
import { calmestPlace, imageInks, legibilityOf } from '../src/core/readings/legibility/legibility';
import { panelField } from '../src/core/readings/legibility/panelField';
import { rankTopCoats } from '../src/core/readings/legibility/topCoat';
import { readingsOf } from '../src/core/readings/readings';
import { solveShares } from '../src/core/readings/solveShares';
import { setRun, shareEqually } from '../src/core/recipe/editLadder';
import type { ResolvedRecipe } from '../src/core/recipe/resolved';
import { RUN_IDS } from '../src/core/recipe/runs/runs';
import { compileSheet } from '../src/core/sheet/compile';
import { DEMO_CARDS } from '../src/data/demo/cards';
import { DEMO_INKS } from '../src/data/demo/inks';
import { DEMO_RECIPES } from '../src/data/demo/recipes';
import { eightPasses } from './eightPasses';
import { standardInks } from './inks';
import { medianTime, type Row, row } from './row';

const card = DEMO_CARDS[0];
const demo = DEMO_RECIPES[0];
if (!card || !demo) throw new Error('the demo is empty');
const inkOf = (id: string) => DEMO_INKS.find((ink) => ink.id === id) as Ink;

function resolvedOf(ids: readonly string[]): ResolvedRecipe {
  const rungs = ids.map((inkId, i) => ({ id: `r${i + 1}`, inkId, share: 1 / ids.length }));
  const joints = ids.slice(1).map(() => ({ width: 8 }));
  const recipe = shareEqually({ ...(demo as NonNullable<typeof demo>), rungs, joints });
  return { recipe, card: card as NonNullable<typeof card>, inks: ids.map(inkOf), passInks: [], designs: [] };
}

/** The recipe that pictures and previews are measured with: three inks in bands. */
export const demoRecipe = (): ResolvedRecipe => resolvedOf(['gorse-pale', 'leat-mid', 'skerry-deep']);

/** Figures of the core alone, on Node. */
export function measure(): Row[] {
  return [...pictures(), ...mixing(), ...differences(), ...pairsVersusPeer(standardInks().slice(0, 240))];
}

let cards = 0;
/** The recipe on a card no picture has been painted on yet, so that nothing of the last one serves again. */
const onFreshCard = (resolved: ResolvedRecipe): ResolvedRecipe => ({
  ...resolved,
  card: {
    ...resolved.card,
    colour: `#fcfbf${(cards++ % 10).toString()}` as ResolvedRecipe['card']['colour'],
  },
});

function pictures(): Row[] {
  const manyInks = standardInks()
    .filter((_, i) => i % 4 === 0)
    .slice(0, 240);
  const three = demoRecipe();
  const five = resolvedOf(['gorse-pale', 'sedge-mid', 'leat-mid', 'skerry-mid', 'sloe-deep']);
  const { width, height } = pixelsAt(three.recipe.panel, 300);
  return [
    row(
      'picture-300dpi',
      medianTime(() => paintPanel(three, 'dry', width, height)),
      'ms',
      150,
    ),
    ...RUN_IDS.map((id) => {
      const resolved = { ...three, recipe: setRun(three.recipe, id) };
      return row(
        `picture-${id}`,
        medianTime(() => paintPanel(resolved, 'dry', width, height), 7),
        'ms',
        150,
      );
    }),
    row(
      'picture-passes',
      medianTime(() => paintPanel(onFreshCard(eightPasses(three)), 'dry', width, height), 7),
      'ms',
      400,
    ),
    row(
      'cutplan-60',
      medianTime(() => planCuts({ width: 210, height: 297 }, SIXTY), 7),
      'ms',
      500,
    ),
    row(
      'legibility',
      medianTime(() => legibilityMap(three)),
      'ms',
      30,
    ),
    row(
      'legibility-passes',
      medianTime(() => legibilityMap(eightPasses(three)), 7),
      'ms',
      null,
    ),
    row(
      'topcoat-240',
      medianTime(() => rankTopCoats(three, [...manyInks]), 7),
      'ms',
      300,
    ),
    row(
      'solve-shares',
      medianTime(() => solveShares(three, [0.3, 0.4, 0.3])),
      'ms',
      150,
    ),
    row(
      'sheet',
      // Another recipe each time: one that was compiled is remembered.
      medianTime(() => compileSheet({ ...five, recipe: { ...five.recipe } }, 'mm'), 60),
      'ms',
      5,
    ),
    row(
      'readings-5',
      medianTime(() => readingsOf(five), 60),
      'ms',
      5,
    ),
  ];
}

/** Panels, mats and greeting strips for twenty cards. */
const SIXTY = [
  { name: 'panel', width: 101.6, height: 133.35, count: 20 },
  { name: 'mat', width: 105.6, height: 137.35, count: 20 },
  { name: 'strip', width: 60, height: 14, count: 20 },
];

/** The map of one image over the panel and the calmest place on it. */
function legibilityMap(resolved: ResolvedRecipe): void {
  const field = panelField(resolved);
  const [image] = imageInks(resolved, DEMO_INKS);
  if (image) calmestPlace(field, legibilityOf(field, image), { width: 54, height: 15 }, NEEDS.lettering);
}

const PAIRS = 10_000;

/** Ten thousand even mixes of two inks, to their tristimulus values. */
function mixing(): Row[] {
  const inks = DEMO_INKS.filter(({ kind }) => kind !== 'detail');
  const random = seededRandom(7);
  const any = () => Math.floor(random() * inks.length);
  const pairs = Array.from({ length: PAIRS }, () => [any(), any()] as const);
  const ground = flatSpectrum(1);
  const theirs = inks.map(({ overWhite }) => new spectral.Color(overWhite));
  let sink = 0;
  const ours = medianTime(() => {
    for (const [p, q] of pairs) {
      const laid = [
        { ink: inks[p] as Ink, coats: 0.5 },
        { ink: inks[q] as Ink, coats: 0.5 },
      ];
      sink += xyzOfSpectrum(laidReflectance(laid, ground)).y;
    }
  }, 7);
  const peer = medianTime(() => {
    for (const [p, q] of pairs)
      sink +=
        spectral.mix([theirs[p] as spectral.Color, 0.5], [theirs[q] as spectral.Color, 0.5]).XYZ[1] ?? 0;
  }, 7);
  if (!Number.isFinite(sink)) throw new Error('a mix has no colour');
  return [row('mix-10k-pairs', ours, 'ms', null, { peer: 'spectral.js', value: peer })];
}

const DIFFERENCES = 1_000_000;
/** The slowest peer does a tenth of the work, and its time is taken times ten. */
const PART = 10;

function differences(): Row[] {
  const labs = DEMO_INKS.map(({ overWhite }) => labOfHex(overWhite));
  const random = seededRandom(11);
  const any = () => labs[Math.floor(random() * labs.length)] as Lab;
  const pairs = Array.from({ length: DIFFERENCES }, () => [any(), any()] as const);
  let sink = 0;
  const ours = medianTime(() => {
    for (const [p, q] of pairs) sink += deltaE00(p, q);
  }, 5);

  const culoriOf = new Map(labs.map((lab) => [lab, { mode: 'lab65' as const, ...lab }]));
  const culoriPairs = pairs.map(([p, q]) => [culoriOf.get(p), culoriOf.get(q)] as const);
  const culoriDifference = differenceCiede2000();
  const culori = medianTime(() => {
    for (const [p, q] of culoriPairs) if (p && q) sink += culoriDifference(p, q);
  }, 3);

  const colorjsOf = new Map(labs.map((lab) => [lab, new Color('lab', [lab.l, lab.a, lab.b])]));
  const colorjsPairs = pairs
    .slice(0, DIFFERENCES / PART)
    .map(([p, q]) => [colorjsOf.get(p), colorjsOf.get(q)]);
  const colorjs =
    PART *
    medianTime(() => {
      for (const [p, q] of colorjsPairs) if (p && q) sink += p.deltaE2000(q);
    }, 3);
  if (!Number.isFinite(sink)) throw new Error('a difference is not a number');
  return [
    row('difference-1M', ours, 'ms', null, { peer: 'culori', value: culori }),
    row('difference-1M-second', ours, 'ms', null, { peer: 'colorjs.io', value: colorjs }),
  ];
}

/** Judges every joint of a shelf; as the search's worker does, on one core. */
function judgeAll(inks: readonly Ink[]): Judged {
  const dried = dryInks(inks, card as NonNullable<typeof card>);
  const pairs = emptyPairTable(inks.length);
  const judge = pairJudge(dried, card as NonNullable<typeof card>);
  for (let rowOf = 0; rowOf < inks.length; rowOf++) judge(rowOf, pairs);
  return { dried, pairs };
}

/** Times of a warm run that the median is taken of; the peer takes seconds a run. */
const WARM_RUNS = 5;

/** Nouns of colours as they ship, unpacked and taken in as a worker does before its first search. */
const prepareShipped = (): void => {
  const packed = readFileSync(join(process.cwd(), 'src/workers/nouns.bin'));
  prepareNouns(new Int16Array(new Uint8Array(inflateRawSync(packed)).buffer));
};

/**
 * The pair table of 240 inks against the same pairs and stations mixed by the peer: once cold, as a worker that has just
 * started does it, the reading of what ships with it included, and then warm, as it does the next card.
 */
function pairsVersusPeer(inks: readonly Ink[]): Row[] {
  const theirs = inks.map(({ overWhite }) => new spectral.Color(overWhite));
  let sink = 0;
  const peer = (): void => {
    for (let i = 0; i < theirs.length; i++)
      for (let j = i + 1; j < theirs.length; j++)
        for (let station = 1; station < STATIONS - 1; station++) {
          const part = station / (STATIONS - 1);
          const mixed = spectral.mix(
            [theirs[i] as spectral.Color, 1 - part],
            [theirs[j] as spectral.Color, part],
          );
          sink += mixed.XYZ[1] ?? 0;
        }
  };
  const once = (work: () => void): number => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  };
  const ours = (): void => void judgeAll(inks);
  const first = (): void => {
    prepareShipped();
    ours();
  };
  const cold = { ours: once(first), peer: once(peer) };
  const warm = { ours: medianTime(ours, WARM_RUNS), peer: medianTime(peer, 2) };
  if (!Number.isFinite(sink)) throw new Error('a mix has no colour');
  return [
    row('pairs-vs-peer-cold', cold.ours, 'ms', null, { peer: 'spectral.js', value: cold.peer }),
    row('pairs-vs-peer-warm', warm.ours, 'ms', null, { peer: 'spectral.js', value: warm.peer }),
  ];
}

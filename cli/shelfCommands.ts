import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { percentOf } from '../src/core/base/words';
import { assignInks, describeDifference, describeOutOfReach } from '../src/core/choose/match/assign';
import { COLOUR_COUNT, colourAt, mainColours } from '../src/core/choose/match/mainColours';
import type { Pixels } from '../src/core/choose/photo/pixels';
import { bridgeBetween } from '../src/core/choose/search/bridges';
import type { FoldedTrio } from '../src/core/choose/search/foldTrios';
import { describeTrio } from '../src/core/choose/search/foundTrio';
import type { Mood } from '../src/core/choose/search/moods/mood';
import { OWN_MOODS } from '../src/core/choose/search/moods/moods';
import { dryInks, emptyPairTable, pairJudge } from '../src/core/choose/search/pairs/pairTable';
import { NO_CONSTRAINTS, type TrioQuery } from '../src/core/choose/search/query';
import type { Judged } from '../src/core/choose/search/relations/definition';
import { RELATION_IDS, RELATIONS, type RelationId } from '../src/core/choose/search/relations/relations';
import { pagesOf } from '../src/core/choose/search/trioPages';
import { searchTrios } from '../src/core/choose/search/trios';
import { bareGround } from '../src/core/engine/blend';
import { FileError } from '../src/core/files/fileError';
import { rowsOfCsv } from '../src/core/files/inksCsv';
import { readPairsCsv } from '../src/core/files/pairsCsv';
import type { Card } from '../src/core/materials/card/card';
import { hexOfLab } from '../src/core/materials/colour/hex';
import { chroma } from '../src/core/materials/colour/lab';
import { nameColour } from '../src/core/materials/colour/names';
import { plainColour } from '../src/core/materials/colour/plainWords';
import type { Ink } from '../src/core/materials/ink/ink';
import { INK_KINDS } from '../src/core/materials/ink/kinds';
import { dryShelf } from '../src/core/readings/driedShelf';
import { isCloseCall } from '../src/core/readings/joints/closeCall';
import {
  describeVerdict,
  judgeJoint,
  namesOnTheWay,
  walkJoint,
  walkOnWhite,
} from '../src/core/readings/joints/joint';
import { DEMO_CARDS } from '../src/data/demo/cards';
import { Mistake } from './mistake';

/** Faulty rows named before the rest are only counted. */
const FAULTS_TOLD = 5;

/** The inks of a table, which must be free of faulty rows: those that can be rungs, where nothing else is asked for. */
export async function readShelf(
  path: string | undefined,
  isWanted: (ink: Ink) => boolean = ({ kind }) => INK_KINDS[kind].blends,
): Promise<Ink[]> {
  if (!path) throw new Mistake('Name the ink table (CSV).');
  try {
    const rows = rowsOfCsv(await readFile(path, 'utf8'));
    const faults = rows.flatMap(({ line, read }) =>
      typeof read === 'string' ? [`line ${line}: ${read}`] : [],
    );
    if (faults.length > 0) {
      const more = faults.length > FAULTS_TOLD ? [`and ${faults.length - FAULTS_TOLD} more`] : [];
      throw new Mistake([`${path}:`, ...faults.slice(0, FAULTS_TOLD), ...more].join('\n  '));
    }
    return rows
      .flatMap(({ line, read }) => (typeof read === 'string' ? [] : [{ ...read, id: `line-${line}` }]))
      .filter(isWanted);
  } catch (error) {
    if (error instanceof FileError) throw new Mistake(`${path}: ${error.message}`);
    if (error instanceof Error && 'code' in error)
      throw new Mistake(`${path}: cannot be read (${error.code})`);
    throw error;
  }
}

/** A card of the demo's drawer by a word of its name. */
function cardNamed(word: string): Card {
  const card = DEMO_CARDS.find(({ id, name }) => `${id} ${name}`.toLowerCase().includes(word.toLowerCase()));
  if (!card)
    throw new Mistake(
      `There is no card "${word}". Name one by a word of: ${DEMO_CARDS.map(({ name }) => name).join('; ')}.`,
    );
  return card;
}

function inkNamed(inks: readonly Ink[], name: string | undefined): Ink {
  const ink = inks.find((one) => one.name.toLowerCase() === name?.toLowerCase());
  if (!ink) throw new Mistake(name ? `No ink of the table is called "${name}".` : 'Name two inks.');
  return ink;
}

export interface ShelfOptions {
  readonly card: string;
  readonly json: boolean;
}

const names = (inks: readonly Ink[]): string => inks.map(({ name }) => name).join(', ');
const numbered = (lines: readonly string[]): string =>
  lines.map((line, i) => `${String(i + 1).padStart(3)}. ${line}`).join('\n');

interface TrioOptions extends ShelfOptions {
  readonly relation: string;
  readonly top: string;
  readonly with: readonly string[];
  readonly mood?: string | undefined;
}

/** A mood that comes with the application, by its name. */
function moodNamed(name: string): Mood {
  const mood = OWN_MOODS.find((one) => [one.id, one.name.toLowerCase()].includes(name.toLowerCase()));
  if (!mood) throw new Mistake(`There is no mood "${name}": ${OWN_MOODS.map((one) => one.name).join(', ')}.`);
  return mood;
}

/** Every trio of the table weighed by a relation, the best told, best first. */
export async function triosText(path: string | undefined, options: TrioOptions): Promise<string> {
  const relation = RELATION_IDS.find((id) => id.toLowerCase() === options.relation.toLowerCase());
  if (!relation) throw new Mistake(`There is no relation "${options.relation}": ${RELATION_IDS.join(', ')}.`);
  const top = Number(options.top);
  if (!(Number.isInteger(top) && top >= 1 && top <= 500))
    throw new Mistake('--top must be a whole number from 1 to 500');
  const inks = await readShelf(path);
  const card = cardNamed(options.card);
  const judged = judge(inks, card);
  const mood = options.mood === undefined ? undefined : moodNamed(options.mood);
  const mustContain = options.with.map((name) => inkNamed(inks, name).id);
  const query: TrioQuery = {
    relation,
    constraints: { ...NO_CONSTRAINTS, mustContain, mood },
    sort: 'fit',
    seed: 1,
    keep: KEPT,
  };
  const search = searchTrios(judged, query);
  while (search.step());
  const { best, count, outOf } = search.result();
  const pages = pagesOf(best, judged, query);
  const told: FoldedTrio[] = [];
  for (let page = pages.next(); page.length > 0 && told.length < top; page = pages.next()) told.push(...page);
  const most = Math.max(...best.map(({ fit }) => fit));
  const found = told.slice(0, top).map((trio) => describeTrio(judged, card, trio, relation, most));
  if (options.json) return JSON.stringify({ relation, card: card.name, count, outOf, found }, null, 2);
  const lines = found.map(({ inks: three, fit, reason, readings, topCoat, alike }) =>
    [
      names(three),
      `fit ${Math.round(fit * 100)}`,
      reason.replace(/\.$/, ''),
      readings.joints.map(({ headline }) => headline).join(' / '),
      ...(topCoat ? [`under ${topCoat.ink.name}, ${topCoat.worst.toFixed(1)} : 1`] : []),
      ...(alike.length > 0 ? [`${alike.length} alike`] : []),
    ].join('; '),
  );
  return `${RELATIONS[relation as RelationId].label} on ${card.name}: ${count} of ${outOf} trios fit.\n${numbered(lines)}`;
}

/** Best trios kept before near-duplicates are folded. */
const KEPT = 3000;

function judge(inks: readonly Ink[], card: Card): Judged {
  const dried = dryInks(inks, card);
  const pairs = emptyPairTable(inks.length);
  const judgeRow = pairJudge(dried, card);
  for (let row = 0; row < inks.length; row++) judgeRow(row, pairs);
  return { dried, pairs };
}

/** Middle inks told for two ends. */
const MIDDLES_TOLD = 12;

/** What lies between two inks of the table: directly, with each middle, and brewed. */
export async function bridgeText(
  path: string | undefined,
  [first, last]: readonly (string | undefined)[],
  options: ShelfOptions,
): Promise<string> {
  const inks = await readShelf(path);
  const card = cardNamed(options.card);
  const [from, to] = [inkNamed(inks, first), inkNamed(inks, last)];
  const { direct, needsNone, middles, brewed } = bridgeBetween(from, to, inks, card);
  const best = middles.slice(0, MIDDLES_TOLD);
  if (options.json)
    return JSON.stringify({ direct: direct.verdict, needsNone, middles: best, brewed }, null, 2);
  const { headline, reason } = describeVerdict(direct.verdict);
  return [
    `${from.name} to ${to.name} on ${card.name}: ${headline}. ${reason}`,
    needsNone ? 'They need no middle.' : 'A middle helps:',
    numbered(
      best.map(
        ({ ink, joints, dullest }) =>
          `${ink.name}; ${joints.map(({ verdict }) => describeVerdict(verdict).headline).join(' / ')}; dullest chroma ${Math.round(dullest)}`,
      ),
    ),
    `Brewed: ${brewed.parts[0]} of ${from.name} to ${brewed.parts[1]} of ${to.name}, ${plainColour(brewed.lab)}.`,
  ].join('\n');
}

/** Pixels on the longer side a picture is reduced to before it is clustered. */
const LONGEST = 900;
const MAX_PIXELS = 50_000_000;

async function readPicture(path: string | undefined): Promise<Pixels> {
  if (!path) throw new Mistake('Name the picture (PNG, JPEG or WebP).');
  try {
    const { data, info } = await sharp(path, { limitInputPixels: MAX_PIXELS })
      .rotate()
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return { width: info.width, height: info.height, data };
  } catch (error) {
    throw new Mistake(
      `${path}: not a picture that can be read (${error instanceof Error ? error.message : error})`,
    );
  }
}

/** A picture's main colours, each with an ink of its own. */
export async function matchText(
  path: string | undefined,
  picture: string | undefined,
  options: ShelfOptions & { readonly colours: string },
): Promise<string> {
  const count = Number(options.colours);
  const { least, most } = COLOUR_COUNT;
  if (!(Number.isInteger(count) && count >= least && count <= most))
    throw new Mistake(`--colours must be a whole number from ${least} to ${most}`);
  const inks = await readShelf(path);
  const card = cardNamed(options.card);
  const pixels = await readPicture(picture);
  const wanted = mainColours(pixels, count).map(({ place }) => colourAt(pixels, place));
  const matches = assignInks(wanted, dryShelf(inks, bareGround(card)));
  if (matches.length === 0) throw new Mistake(`The table has fewer inks than ${wanted.length} colours need.`);
  if (options.json) return JSON.stringify(matches, null, 2);
  return numbered(
    matches.map((match) =>
      [
        `${hexOfLab(match.wanted)} ${nameColour(match.wanted).name}: ${match.dried.ink.name}`,
        `${describeDifference(match.difference)}, ΔE00 ${match.difference.toFixed(1)}`,
        describeOutOfReach(match) ?? '',
      ]
        .filter(Boolean)
        .join('; '),
    ),
  );
}

/** What becomes of each pair of a table where its two inks meet. */
export async function jointsText(
  path: string | undefined,
  { card: word, json }: Pick<ShelfOptions, 'card' | 'json'>,
): Promise<string> {
  if (!path) throw new Mistake('Name the table of pairs (CSV).');
  const ground = bareGround(cardNamed(word));
  const judged = (await readPairs(path)).map(([first, second]) => {
    const walked = walkJoint(first, second, ground);
    const verdict = judgeJoint(walked, walkOnWhite(first, second, ground, walked));
    const chromas = walked.map(({ lab }) => chroma(lab));
    const weaker = Math.min(chromas[0] ?? 0, chromas.at(-1) ?? 0);
    return {
      first: first.name,
      second: second.name,
      verdict: verdict.kind,
      name: verdict.decidedBy.colour.name,
      onTheWay: namesOnTheWay(walked),
      chromaLeft: weaker === 0 ? 1 : Number((Math.min(...chromas.slice(1, -1)) / weaker).toFixed(2)),
      closeCall: isCloseCall(first, second, ground),
    };
  });
  if (json) return JSON.stringify(judged, null, 2);
  return judged
    .map(
      ({ first, second, verdict, name, onTheWay, chromaLeft, closeCall }) =>
        `${first} and ${second}: ${verdict}, ${name}${closeCall ? ' (a close call)' : ''}; ${percentOf(chromaLeft)} of the weaker colour left; by ${onTheWay.join(', ') || 'nothing else'}`,
    )
    .join('\n');
}

async function readPairs(path: string): Promise<(readonly [Ink, Ink])[]> {
  try {
    return readPairsCsv(await readFile(path, 'utf8'));
  } catch (error) {
    if (error instanceof FileError) throw new Mistake(`${path}: ${error.message}`);
    if (error instanceof Error && 'code' in error)
      throw new Mistake(`${path}: cannot be read (${error.code})`);
    throw error;
  }
}

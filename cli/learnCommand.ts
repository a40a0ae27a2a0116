import { readFile, writeFile } from 'node:fs/promises';
import { FileError } from '../src/core/files/fileError';
import { readLogFile, readPlaces } from '../src/core/files/logFile';
import { readShelfFile, writeShelfFile } from '../src/core/files/shelfFile';
import { dryBackLessons } from '../src/core/keep/learn/dryBack';
import { evidenceOf } from '../src/core/keep/learn/fromLog';
import { spreadsOf } from '../src/core/keep/learn/inkParams';
import {
  type InkLesson,
  type Lessons,
  lessonsOf,
  tellTaught,
  withLesson,
} from '../src/core/keep/learn/lessons';
import { type Place, placeColour, trustOf } from '../src/core/keep/learn/tell';
import type { Lab } from '../src/core/materials/colour/lab';
import type { Ink } from '../src/core/materials/ink/ink';
import { Mistake } from './mistake';
import { readShelf } from './shelfCommands';

interface LearnOptions {
  readonly json: boolean;
  readonly out?: string | undefined;
  readonly predict?: string | undefined;
}

async function told<T>(path: string, read: (text: string) => T): Promise<T> {
  try {
    return read(await readFile(path, 'utf8'));
  } catch (error) {
    if (error instanceof FileError) throw new Mistake(`${path}: ${error.message}`);
    if (error instanceof Error && 'code' in error)
      throw new Mistake(`${path}: cannot be read (${error.code})`);
    throw error;
  }
}

/** A shelf with what was taught, as `learn --out` writes it. */
export const readTaughtShelf = (path: string): Promise<readonly Ink[]> => told(path, readShelfFile);

/** What a log teaches of a shelf's inks; the shelf with it is written where asked for, and places are predicted. */
export async function learnText(
  shelfPath: string | undefined,
  logPath: string | undefined,
  { json, out, predict }: LearnOptions,
): Promise<string> {
  if (!shelfPath || !logPath) throw new Mistake('Name the ink table (CSV or JSON) and the log (JSON).');
  const isJson = shelfPath.toLowerCase().endsWith('.json');
  const shelf = isJson ? await readTaughtShelf(shelfPath) : await readShelf(shelfPath, () => true);
  const log = await told(logPath, readLogFile);
  const { panels, unusable } = evidenceOf(log, shelf);
  const [first] = unusable;
  if (first) throw new Mistake(`${logPath}: panels[${first.panel}].readings[${first.reading}]: ${first.why}`);
  const lessons = lessonsOf(panels, new Date());
  const byId = new Map(lessons.inks.map((lesson) => [lesson.ink.id, lesson]));
  const strong = shelf.map((ink) => withLesson(ink, byId.get(ink.id)));
  const dryById = new Map(dryBackLessons(log, strong).map((lesson) => [lesson.ink.id, lesson.dryBack]));
  const taught = strong.map((ink) => {
    const dryBack = dryById.get(ink.id);
    return dryBack === undefined ? ink : { ...ink, dryBack };
  });
  const places = async (of: readonly Ink[]) =>
    predict ? await told(predict, (text) => readPlaces(text, of)) : [];
  const untaught = shelf.map(({ taught: _, ...ink }): Ink => ink);
  const [before, after] = [await places(untaught), await places(taught)];
  if (out)
    await writeFile(out, writeShelfFile(taught)).catch((error) => {
      throw new Mistake(`${out}: cannot be written (${error.code})`);
    });
  return json
    ? JSON.stringify(output(lessons, dryById, before, after), null, 2)
    : [...lines(lessons), ...(out ? [`Written to ${out}.`] : []), ...after.map(predictionLine)].join('\n');
}

const rounded = (value: number, places = 3): number => Number(value.toFixed(places));
const labList = ({ l, a, b }: Lab): number[] => [l, a, b].map((value) => rounded(value));

const output = (
  { inks, panels, readings, before, after }: Lessons,
  dryBacks: ReadonlyMap<string, number>,
  placesBefore: readonly Place[],
  placesAfter: readonly Place[],
) => ({
  panels,
  readings,
  before,
  after,
  inks: inks.map((lesson) => {
    const dryBack = dryBacks.get(lesson.ink.id);
    return { ...inkOutput(lesson), ...(dryBack === undefined ? {} : { dryBack }) };
  }),
  predictions: placesAfter.map((place, i) => ({
    before: labList(placeColour(placesBefore[i] as Place)),
    after: labList(placeColour(place)),
    within: rounded(trustOf(place)),
  })),
});

function inkOutput({ ink, taught, ...lesson }: InkLesson) {
  const spreads = spreadsOf(taught);
  const { strength, scattering, slope, modes } = taught;
  return {
    name: ink.name,
    strength,
    strengthSpread: rounded(spreads.strength),
    // Panels say nothing of what a dye scatters.
    ...(ink.kind === 'dye' ? {} : { scattering, scatteringSpread: rounded(spreads.scattering), slope }),
    modes,
    panels: taught.panels,
    readings: lesson.readings,
    before: rounded(lesson.before),
    after: rounded(lesson.after),
    taken: lesson.isTaken,
    told: tellTaught(ink, taught),
  };
}

function* lines({ inks, panels, readings, before, after }: Lessons): Generator<string> {
  yield `${readings} readings of ${panels} panels: ΔE00 ${before.median.toFixed(2)} before, ${after.median.toFixed(2)} after (nine of ten within ${before.p90.toFixed(1)}, then ${after.p90.toFixed(1)}).`;
  for (const { ink, taught, isTaken, before: was, after: is } of inks)
    yield isTaken
      ? `  ${tellTaught(ink, taught)} ΔE00 ${was.toFixed(2)} → ${is.toFixed(2)}`
      : `  ${ink.name}: not taken, since it would make past panels worse (ΔE00 ${was.toFixed(2)} → ${is.toFixed(2)}).`;
}

const predictionLine = (place: Place, i: number): string => {
  const { l, a, b } = placeColour(place);
  return `  ${i + 1}. L* ${l.toFixed(1)}, a* ${a.toFixed(1)}, b* ${b.toFixed(1)}, within ΔE00 ${trustOf(place).toFixed(1)}`;
};

import { openAsBlob } from 'node:fs';
import { readFile, stat, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { findingsOf } from '../src/core/advise/rules/rules';
import { BACKUP_LIMIT, BACKUP_TABLE_IDS, BACKUP_TABLES, readBackup } from '../src/core/files/backup';
import { readCutRequest } from '../src/core/files/cutRequest';
import { writeCutSvg } from '../src/core/files/cutSvg';
import { FileError } from '../src/core/files/fileError';
import { refuseLarger } from '../src/core/files/limits';
import { LARGEST_RECIPE, openRecipe } from '../src/core/files/open';
import { PAPERS, type Paper } from '../src/core/files/papers';
import { writeRecipePicture } from '../src/core/files/recipePicture';
import { sheetJson } from '../src/core/files/sheetJson';
import { writeSheetPdf } from '../src/core/files/sheetPdf';
import { stagePictures } from '../src/core/files/stagePictures';
import { finder } from '../src/core/keep/learn/fromLog';
import { CannotCut, planCuts } from '../src/core/make/cutting/cutPlan';
import { cutText } from '../src/core/make/cutting/cutText';
import type { Ink } from '../src/core/materials/ink/ink';
import { paintPanel, pixelsAt } from '../src/core/picture/paint';
import { passReadings } from '../src/core/readings/passReadings';
import { laidShares, perceivedShares } from '../src/core/readings/perceived';
import { readLadder } from '../src/core/readings/readings';
import { setRun } from '../src/core/recipe/editLadder';
import { PASS_KINDS } from '../src/core/recipe/passes/passes';
import type { ResolvedRecipe } from '../src/core/recipe/resolved';
import { RUN_IDS } from '../src/core/recipe/runs/runs';
import { SCHOOL_IDS } from '../src/core/recipe/schools/schools';
import { compileSheet, sheetText } from '../src/core/sheet/compile';
import { learnText, readTaughtShelf } from './learnCommand';
import { Mistake } from './mistake';
import { readSheetFonts } from './sheetFonts';
import { bridgeText, jointsText, matchText, triosText } from './shelfCommands';
import { sittingText } from './sittingCommand';

const USAGE = `Usage:
  npm run -s tint -- readings FILE.json [--shelf SHELF.json]
  npm run -s tint -- sheet FILE.json [--inches] [--school pale-first] [--json]
  npm run -s tint -- picture FILE.json OUT.png [--dpi 300] [--wet] [--run glow]
  npm run -s tint -- pdf FILE.json OUT.pdf [--paper A4] [--inches] [--school …] [--run …]
  npm run -s tint -- cut PLAN.json [--svg OUT] [--inches]
  npm run -s tint -- trios SHELF.csv [--relation tonal] [--card white] [--top 20] [--with NAME …] [--mood autumn] [--json]
  npm run -s tint -- bridge SHELF.csv NAME NAME [--card white] [--json]
  npm run -s tint -- match SHELF.csv PICTURE [--colours 3] [--card white] [--json]
  npm run -s tint -- joints PAIRS.csv [--card white] [--json]
  npm run -s tint -- learn SHELF.csv LOG.json [--json] [--out SHELF.json] [--predict READINGS.json]
  npm run -s tint -- sitting SITTING.json [--seconds 5] [--json]
  npm run -s tint -- check BACKUP.zip

FILE.json is a recipe and SHELF.csv an ink table, both as exported by Tint Ladder.`;

const DPI_LIMITS = { min: 20, max: 1200 } as const;

/** Reads a file the caller named: what is wrong with it, or with reaching it, is the caller's to know. */
async function orMistake<T>(path: string, read: () => Promise<T>): Promise<T> {
  try {
    return await read();
  } catch (error) {
    if (error instanceof FileError || error instanceof CannotCut)
      throw new Mistake(`${path}: ${error.message}`);
    if (error instanceof Error && 'code' in error)
      throw new Mistake(`${path}: cannot be read (${error.code})`);
    throw error;
  }
}

/** Writes a file the caller named. */
async function writeOut(path: string, contents: string | Uint8Array): Promise<void> {
  try {
    await writeFile(path, contents);
  } catch (error) {
    if (error instanceof Error && 'code' in error)
      throw new Mistake(`${path}: cannot be written (${error.code})`);
    throw error;
  }
}

async function readResolved(path: string | undefined): Promise<ResolvedRecipe> {
  if (!path) throw new Mistake(`Name the recipe file.\n${USAGE}`);
  return orMistake(path, async () => {
    refuseLarger((await stat(path)).size, LARGEST_RECIPE);
    return openRecipe(new Uint8Array(await readFile(path)));
  });
}

/** The readings with each rung's shares, each joint's width in mm, what each pass does, and what offends against a rule of the trade. */
function readingsOutput(resolved: ResolvedRecipe) {
  const readings = readLadder(resolved);
  const { rungs, joints, ...rest } = readings;
  const laid = laidShares(resolved);
  const seen = perceivedShares(resolved);
  const passes = passReadings(resolved, []);
  return {
    recipe: resolved.recipe.name,
    card: resolved.card.name,
    rungs: rungs.map((rung, i) => ({
      share: resolved.recipe.rungs[i]?.share,
      laid: laid[i],
      seen: seen[i],
      ...rung,
    })),
    joints: joints.map((joint, i) => ({ width: resolved.recipe.joints[i]?.width, ...joint })),
    ...rest,
    passes: passes.map(({ contrast, ...reading }) => ({
      pass: PASS_KINDS[resolved.recipe.passes.find(({ id }) => id === reading.id)?.kind ?? 'coat'].label,
      ...reading,
      ...(contrast ? { contrast: { least: contrast.least, worst: contrast.worst } } : {}),
    })),
    warnings: findingsOf({ resolved, readings, passes, shelf: [], cards: [], unit: 'mm' }).map(
      ({ message }) => message,
    ),
  };
}

async function writePicture(
  resolved: ResolvedRecipe,
  out: string | undefined,
  dpi: number,
  wet: boolean,
): Promise<string> {
  if (!out?.toLowerCase().endsWith('.png'))
    throw new Mistake(`Name the picture to write, ending in .png.\n${USAGE}`);
  if (!(dpi >= DPI_LIMITS.min && dpi <= DPI_LIMITS.max))
    throw new Mistake(`--dpi must be a number from ${DPI_LIMITS.min} to ${DPI_LIMITS.max}`);
  const { width, height } = pixelsAt(resolved.recipe.panel, dpi);
  await writeFile(
    out,
    writeRecipePicture(resolved, paintPanel(resolved, wet ? 'wet' : 'dry', width, height), dpi),
  );
  return `${out}: ${width} × ${height} pixels, ${dpi} dpi`;
}

/** `darkFirst` for `dark-first`, whatever the case; a mistake where there is none such. */
function named<T extends string>(option: string, given: string, ids: readonly T[]): T {
  const plain = (text: string) => text.replaceAll('-', '').toLowerCase();
  const dashed = (id: string) => id.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
  const found = ids.find((id) => plain(id) === plain(given));
  if (!found) throw new Mistake(`--${option} "${given}" is not one of ${ids.map(dashed).join(', ')}`);
  return found;
}

/** The recipe with its inks as a shelf knows them, by their names. */
async function onShelf(resolved: ResolvedRecipe, path: string | undefined): Promise<ResolvedRecipe> {
  if (!path) return resolved;
  const find = finder(await readTaughtShelf(path));
  const known = (ink: Ink): Ink => {
    const here = find({ name: ink.name });
    return here ? { ...here, id: ink.id } : ink;
  };
  return { ...resolved, inks: resolved.inks.map(known), passInks: resolved.passInks.map(known) };
}

/** The recipe on another run or by another school, where that is asked for. */
function asAsked(
  resolved: ResolvedRecipe,
  { run, school }: { run?: string | undefined; school?: string | undefined },
): ResolvedRecipe {
  const { recipe } = resolved;
  const laid = run ? setRun(recipe, named('run', run, RUN_IDS)) : recipe;
  return { ...resolved, recipe: school ? { ...laid, school: named('school', school, SCHOOL_IDS) } : laid };
}

/** What is to be cut, as text, and as a drawing a sheet where one is asked for. */
async function cutPlanText(
  path: string | undefined,
  unit: 'mm' | 'in',
  svg: string | undefined,
): Promise<string> {
  if (!path) throw new Mistake(`Name the cut request.\n${USAGE}`);
  const plan = await orMistake(path, async () => {
    const { sheet, pieces, grain } = readCutRequest(await readFile(path, 'utf8'));
    return planCuts(sheet, pieces, grain, unit);
  });
  if (svg)
    for (const [i] of plan.sheets.entries()) await writeOut(`${svg}-${i + 1}.svg`, writeCutSvg(plan, i));
  return cutText(plan, unit);
}

/** The application's faces for paper, and one with every other letter. */
/** Resolution of the panel on paper, dots an inch. */
const PAPER_DPI = 300;

async function writePdf(
  resolved: ResolvedRecipe,
  out: string | undefined,
  unit: 'mm' | 'in',
  paper: string,
): Promise<string> {
  if (!out?.toLowerCase().endsWith('.pdf'))
    throw new Mistake(`Name the PDF to write, ending in .pdf.\n${USAGE}`);
  const size = named('paper', paper, Object.keys(PAPERS) as Paper[]);
  const { width, height } = pixelsAt(resolved.recipe.panel, PAPER_DPI);
  const picture = paintPanel(resolved, 'dry', width, height);
  const fonts = await readSheetFonts(new URL('../node_modules/', import.meta.url));
  const stages = stagePictures(resolved, compileSheet(resolved, unit).steps);
  await writeOut(
    out,
    await writeSheetPdf({ resolved, unit, maker: {}, paper: size, picture, stages, fonts }),
  );
  return `${out}: ${size}, the panel at true size`;
}

/** What a backup holds, in words. */
async function checkText(path: string | undefined): Promise<string> {
  if (!path) throw new Mistake(`Name the backup to check.\n${USAGE}`);
  const { head, workshop } = await orMistake(path, async () => {
    refuseLarger((await stat(path)).size, BACKUP_LIMIT);
    return readBackup(await openAsBlob(path));
  });
  const counts = BACKUP_TABLE_IDS.map((table) => `  ${workshop[table].length} ${BACKUP_TABLES[table].what}`);
  return [`${path}: a whole backup of version ${head.version}, written ${head.made}`, ...counts].join('\n');
}

/**
 * Runs one command.
 *
 * @returns what goes to standard output
 * @throws Mistake when the caller did something wrong
 */
export async function runTint(args: string[]): Promise<string> {
  const { positionals, values } = parsed(args);
  const [command, file, out, other] = positionals;
  const recipeAsked = async () => asAsked(await onShelf(await readResolved(file), values.shelf), values);
  const unit = values.inches ? 'in' : 'mm';
  if (command === 'readings') return JSON.stringify(readingsOutput(await recipeAsked()), null, 2);
  if (command === 'sheet')
    return values.json ? sheetJson(await recipeAsked(), unit) : sheetText(await recipeAsked(), unit);
  if (command === 'picture') return writePicture(await recipeAsked(), out, Number(values.dpi), values.wet);
  if (command === 'pdf') return writePdf(await recipeAsked(), out, unit, values.paper);
  if (command === 'cut') return cutPlanText(file, unit, values.svg);
  if (command === 'trios') return triosText(file, values);
  if (command === 'bridge') return bridgeText(file, [out, other], values);
  if (command === 'match') return matchText(file, out, values);
  if (command === 'joints') return jointsText(file, values);
  if (command === 'learn') return learnText(file, out, values);
  if (command === 'sitting') return sittingText(file, values);
  if (command === 'check') return checkText(file);
  throw new Mistake(command ? `There is no command "${command}".\n${USAGE}` : USAGE);
}

function parsed(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: {
        dpi: { type: 'string', default: '300' },
        wet: { type: 'boolean', default: false },
        inches: { type: 'boolean', default: false },
        paper: { type: 'string', default: 'A4' },
        svg: { type: 'string' },
        shelf: { type: 'string' },
        out: { type: 'string' },
        predict: { type: 'string' },
        seconds: { type: 'string', default: '5' },
        school: { type: 'string' },
        run: { type: 'string' },
        relation: { type: 'string', default: 'tonal' },
        mood: { type: 'string' },
        card: { type: 'string', default: 'white' },
        top: { type: 'string', default: '20' },
        with: { type: 'string', multiple: true, default: [] },
        colours: { type: 'string', default: '3' },
        json: { type: 'boolean', default: false },
      },
    });
  } catch (error) {
    throw new Mistake(`${error instanceof Error ? error.message : error}\n${USAGE}`);
  }
}

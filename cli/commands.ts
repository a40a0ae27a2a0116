import { readFile, stat, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { encode } from 'fast-png';
import { FileError } from '../src/core/formats/fileError';
import { RECIPE_FILE_LIMIT, readRecipeFile } from '../src/core/formats/recipeFile';
import type { Kit } from '../src/core/ladder/recipe';
import { paintPanel, pixelsAt } from '../src/core/panel/paint';
import { readingsOf } from '../src/core/readings/readings';
import { sheetText } from '../src/core/sheet/compile';
import { Mistake } from './mistake';
import { tellBridge, tellMatch, tellTrios } from './shelfCommands';

const USAGE = `Usage:
  npm run -s tint -- readings FILE.json
  npm run -s tint -- sheet FILE.json [--inches]
  npm run -s tint -- picture FILE.json OUT.png [--dpi 300] [--wet]
  npm run -s tint -- trios SHELF.csv [--relation tonal] [--card white] [--top 20] [--with NAME …] [--json]
  npm run -s tint -- bridge SHELF.csv NAME NAME [--card white] [--json]
  npm run -s tint -- match SHELF.csv PICTURE [--colours 3] [--card white] [--json]

FILE.json is a recipe and SHELF.csv an ink table, both as exported by Tint Ladder.`;

const DPI_LIMITS = { least: 20, most: 1200 } as const;

async function readKit(path: string | undefined): Promise<Kit> {
  if (!path) throw new Mistake(`Name the recipe file.\n${USAGE}`);
  try {
    const { size } = await stat(path);
    if (size > RECIPE_FILE_LIMIT)
      throw new Mistake(`${path}: ${size} bytes is too large for a recipe, which is under 1 MB`);
    return readRecipeFile(await readFile(path, 'utf8'));
  } catch (error) {
    if (error instanceof FileError) throw new Mistake(`${path}: ${error.message}`);
    if (error instanceof Error && 'code' in error)
      throw new Mistake(`${path}: cannot be read (${error.code})`);
    throw error;
  }
}

/** The readings with each rung's share and each joint's width in mm beside them. */
function tellReadings(kit: Kit) {
  const { rungs, joints, ...rest } = readingsOf(kit);
  return {
    recipe: kit.recipe.name,
    card: kit.card.name,
    rungs: rungs.map((rung, i) => ({ share: kit.recipe.rungs[i]?.share, ...rung })),
    joints: joints.map((joint, i) => ({ width: kit.recipe.joints[i]?.width, ...joint })),
    ...rest,
  };
}

async function writePicture(kit: Kit, out: string | undefined, dpi: number, wet: boolean): Promise<string> {
  if (!out?.toLowerCase().endsWith('.png'))
    throw new Mistake(`Name the picture to write, ending in .png.\n${USAGE}`);
  if (!(dpi >= DPI_LIMITS.least && dpi <= DPI_LIMITS.most))
    throw new Mistake(`--dpi must be a number from ${DPI_LIMITS.least} to ${DPI_LIMITS.most}`);
  const { width, height } = pixelsAt(kit.recipe.panel, dpi);
  const { pixels } = paintPanel(kit, wet ? 'wet' : 'dry', width, height);
  await writeFile(out, encode({ width, height, data: pixels, channels: 4, depth: 8 }));
  return `${out}: ${width} × ${height} pixels, ${dpi} dpi`;
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
  if (command === 'readings') return JSON.stringify(tellReadings(await readKit(file)), null, 2);
  if (command === 'sheet') return sheetText(await readKit(file), values.inches ? 'in' : 'mm');
  if (command === 'picture') return writePicture(await readKit(file), out, Number(values.dpi), values.wet);
  if (command === 'trios') return tellTrios(file, values);
  if (command === 'bridge') return tellBridge(file, [out, other], values);
  if (command === 'match') return tellMatch(file, out, values);
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
        relation: { type: 'string', default: 'tonal' },
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

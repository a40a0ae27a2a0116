import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { findingsOf } from '../core/advise/rules/rules';
import { readRecipeFile } from '../core/files/recipeFile';
import { paintPanel } from '../core/picture/paint';
import { meetingsOf } from '../core/readings/joints/meetings';
import { passReadings } from '../core/readings/passReadings';
import { perceivedShares, potencies } from '../core/readings/perceived';
import { readLadder } from '../core/readings/readings';
import { sheetText } from '../core/sheet/compile';
import { DEMO_CARDS } from '../data/demo/cards';
import { DEMO_INKS } from '../data/demo/inks';

/**
 * What a dozen stored recipes, which between them have every run, tool, school and kind of pass, are compiled into.
 * A change here is a change a maker can see: it is meant and named in the commit, or it is a fault. Written anew by
 * `npx vitest run src/testing -u`.
 */
const HERE = join(import.meta.dirname, 'golden');
const recipes = readdirSync(HERE).filter((name) => name.endsWith('.json') && !name.includes('.read.'));

/** Mean colour of each block of a small picture, as `rrggbb`, a row of blocks a line. */
function blocks(pixels: Uint8ClampedArray, width: number, size: number): string[] {
  const [columns, rows] = [width / size, pixels.length / 4 / width / size];
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (__, column) =>
      [0, 1, 2]
        .map((channel) => {
          let sum = 0;
          for (let y = row * size; y < (row + 1) * size; y++)
            for (let x = column * size; x < (column + 1) * size; x++)
              sum += pixels[4 * (y * width + x) + channel] as number;
          return Math.round(sum / size ** 2)
            .toString(16)
            .padStart(2, '0');
        })
        .join(''),
    ).join(' '),
  );
}

/** Figures to four places: finer ones are told to nobody. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toFixed(4)) : value;

describe.each(recipes)('%s', (file) => {
  const resolved = readRecipeFile(readFileSync(join(HERE, file), 'utf8'));
  const name = basename(file, '.json');

  test('is read as before', async () => {
    const readings = readLadder(resolved);
    const passes = passReadings(resolved, DEMO_INKS);
    const read = {
      ground: readings.ground,
      rungs: readings.rungs.map(({ ink: { name: of }, hex, colour, presence, fromCard }) => ({
        of,
        hex,
        colour: colour.name,
        presence,
        fromCard,
      })),
      joints: readings.joints.map(({ strip, headline, reason, lightnessStep, difference }) => ({
        strip: strip.join(' '),
        headline,
        reason,
        lightnessStep,
        difference,
      })),
      spacing: readings.spacing,
      perceived: perceivedShares(resolved),
      potencies: potencies(resolved).map(({ holds }) => holds),
      meetings: meetingsOf(resolved).map(({ title, strip, headline, reason }) => ({
        title,
        strip: strip.join(' '),
        headline,
        reason,
      })),
      passes: passes.map(({ contrast, better, ...rest }) => ({
        ...rest,
        ...(contrast ? { least: contrast.least, worst: contrast.worst, places: contrast.places.length } : {}),
        ...(better ? { better: `${better.ink.name} ${better.strength}` } : {}),
      })),
      findings: findingsOf({
        resolved,
        readings,
        passes,
        shelf: DEMO_INKS,
        cards: DEMO_CARDS,
        unit: 'mm',
      }).map(({ message, fix }) => (fix ? `${message} [${fix.label}]` : message)),
    };
    await expect(`${JSON.stringify(read, rounded, 1)}\n`).toMatchFileSnapshot(
      join(HERE, `${name}.read.json`),
    );
  });

  test('has the same order of work, in mm and in inches', async () => {
    const text = `${sheetText(resolved, 'mm')}\n\n${'='.repeat(20)} in inches\n\n${sheetText(resolved, 'in')}\n`;
    await expect(text).toMatchFileSnapshot(join(HERE, `${name}.sheet.txt`));
  });

  test('looks the same, dried and wet', async () => {
    const [width, height, size] = [64, 80, 8];
    const shown = (['dry', 'wet'] as const).flatMap((wetness) => [
      wetness,
      ...blocks(paintPanel(resolved, wetness, width, height).pixels, width, size),
    ]);
    await expect(`${shown.join('\n')}\n`).toMatchFileSnapshot(join(HERE, `${name}.picture.txt`));
  });
});

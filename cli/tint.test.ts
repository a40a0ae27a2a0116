import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020';
import { decode, encode } from 'fast-png';
import { beforeAll, expect, test } from 'vitest';
import { drawReference, REFERENCES } from '../src/core/choose/match/references';
import { writeInksCsv } from '../src/core/files/inksCsv';
import { writeRecipeFile } from '../src/core/files/recipeFile';
import type { Design } from '../src/core/materials/design/design';
import { OWN_DESIGNS } from '../src/core/materials/design/own';
import { DEMO_INKS } from '../src/data/demo/inks';
import { ink, resolvedOf, withPass } from '../src/testing/resolvedRecipes';
import { runTint } from './commands';

const folder = mkdtempSync(join(tmpdir(), 'tint-'));
const file = join(folder, 'recipe.json');
beforeAll(() => {
  const resolved = resolvedOf([ink('Gorse', '#f2c230'), ink('Sloe', '#6b3fa0')]);
  writeFileSync(file, writeRecipeFile(resolved));
});

test('readings come out as JSON', async () => {
  const readings = JSON.parse(await runTint(['readings', file]));
  expect(readings.rungs[0].colour.name).toBe('vivid yellow');
  expect(readings.joints[0].verdict.kind).toBe('mud');
  expect(readings.warnings[0]).toMatch(/where they meet/);
  expect(readings.rungs[0].seen + readings.rungs[1].seen).toBeCloseTo(1, 6);
});

test('the sheet comes out as text, in inches when asked', async () => {
  expect(await runTint(['sheet', file])).toContain('Solid from the top edge to 55 mm');
  expect(await runTint(['sheet', file, '--inches'])).toMatch(/Solid from the top edge to 2 3\/16 in/);
});

test('the sheet comes out as data: steps begin when those before are done, and are measured by marks that were given', async () => {
  const sheet = JSON.parse(await runTint(['sheet', file, '--json']));
  expect(sheet).toMatchObject({ format: 'tint-ladder/sheet', version: 1, unit: 'mm' });
  let clock = 0;
  for (const step of sheet.steps) {
    expect(step.begins).toBeCloseTo(clock, 1);
    clock += step.minutes ?? 0;
  }
  expect(clock).toBeCloseTo(sheet.workMinutes + sheet.dryMinutes, 1);
  const [prepare, lay] = sheet.steps;
  expect(prepare.layOut.map(({ thing }: { thing: string }) => thing)).toContain('brush A, Gorse');
  expect(prepare.marks).toContainEqual({ name: '55', on: null, from: 'foot', mm: 55 });
  expect(lay).toMatchObject({ kind: 'lay', ink: 'Gorse', brush: { letter: 'A' }, waits: null });
  for (const mark of lay.marks) expect(prepare.marks).toContainEqual(mark);
});

test('the picture has the size its resolution asks for, and wet differs from dry', async () => {
  const [dry, wet] = [join(folder, 'dry.png'), join(folder, 'wet.png')];
  await runTint(['picture', file, dry, '--dpi', '100']);
  await runTint(['picture', file, wet, '--dpi', '100', '--wet']);
  const picture = decode(readFileSync(dry));
  expect([picture.width, picture.height]).toEqual([315, 394]);
  expect(readFileSync(wet).equals(readFileSync(dry))).toBe(false);
});

test('the shelf’s commands: trios with an ink asked for, a bridge, a picture matched', async () => {
  const shelf = join(folder, 'inks.csv');
  writeFileSync(shelf, writeInksCsv(DEMO_INKS));
  const trios = await runTint(['trios', shelf, '--relation', 'bridge', '--with', 'Gorse Mid', '--top', '3']);
  expect(trios).toMatch(/^Bridge on smooth white.* trios fit\./);
  expect(trios.match(/^ +\d\. .*Gorse Mid/gm)).toHaveLength(3);
  const asJson = JSON.parse(
    await runTint(['trios', shelf, '--relation', 'lightAndDark', '--json', '--top', '1']),
  );
  expect(asJson.found[0].topCoat.worst).toBeGreaterThan(3);
  const bridge = await runTint(['bridge', shelf, 'Hawberry Mid', 'Alder Mid']);
  expect(bridge).toMatch(/Mud.*\nA middle helps:\n +1\. Gorse/);
  expect(bridge).toMatch(/Brewed: \d+ of Hawberry Mid to \d+ of Alder Mid/);

  const [reference] = REFERENCES;
  if (!reference) throw new Error('no picture ships with the application');
  const picture = join(folder, 'reference.png');
  writeFileSync(picture, encode(drawReference(reference, 160, 120)));
  expect((await runTint(['match', shelf, picture, '--colours', '4'])).split('\n')).toHaveLength(4);
  await expect(runTint(['match', shelf, shelf])).rejects.toThrow(/not a picture/);
  await expect(runTint(['bridge', shelf, 'Gorse Mid', 'Nobody'])).rejects.toThrow('called "Nobody"');
  expect(await runTint(['trios', shelf, '--mood', 'Night', '--top', '2'])).toMatch(/ trios fit\.\n +1\. /);
  await expect(runTint(['trios', shelf, '--mood', 'Tuesday'])).rejects.toThrow(/Bright, Muted/);
  await expect(runTint(['trios', shelf, '--relation', 'friends'])).rejects.toThrow(/tonal, neighbours/);
  writeFileSync(shelf, 'name,over_white\nGorse,yellowish\n');
  await expect(runTint(['trios', shelf])).rejects.toThrow(/line 2: over_white "yellowish"/);
});

test('joints of a table are judged, with close calls told, and a faulty row is named by its line', async () => {
  const pairs = join(folder, 'pairs.csv');
  const header = 'name_a,hex_a,name_b,hex_b,kind';
  writeFileSync(pairs, [header, 'red,#b3262f,green,#5b8f3a,dye', 'pink,#e2568f,blue,#1f4f7a,'].join('\n'));
  const [mud, fresh] = JSON.parse(await runTint(['joints', pairs, '--json']));
  expect(mud).toMatchObject({ first: 'red', verdict: 'mud', closeCall: false });
  expect(mud.chromaLeft).toBeLessThan(0.85);
  expect(fresh).toMatchObject({ verdict: 'new colour', name: expect.stringContaining('purple') });
  expect(await runTint(['joints', pairs, '--card', 'kraft'])).toMatch(/^red and green: mud, /);
  writeFileSync(pairs, [header, 'red,#b3262f,green,nothing,dye'].join('\n'));
  await expect(runTint(['joints', pairs])).rejects.toThrow(/line 2: hex_b is "nothing"/);
  writeFileSync(pairs, 'one,two\n1,2');
  await expect(runTint(['joints', pairs])).rejects.toThrow(/name_a, hex_a, name_b, hex_b are missing/);
});

test('a school or a run is tried without changing the file, and the sheet comes out as a PDF', async () => {
  const order = async (school: string) =>
    [...(await runTint(['sheet', file, '--school', school])).matchAll(/^\d+\. (Gorse|Sloe)/gm)].map(
      ([, ink]) => ink,
    );
  expect(await order('pale-first')).toEqual(['Gorse', 'Sloe']);
  expect(await order('dark-first')).toEqual(['Sloe', 'Gorse']);
  const [straight, glow] = [join(folder, 'straight.png'), join(folder, 'glow.png')];
  await runTint(['picture', file, straight, '--dpi', '50']);
  await runTint(['picture', file, glow, '--dpi', '50', '--run', 'glow']);
  expect(readFileSync(glow).equals(readFileSync(straight))).toBe(false);
  const pdf = join(folder, 'sheet.pdf');
  expect(await runTint(['pdf', file, pdf, '--paper', 'letter'])).toContain('Letter');
  expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-');
  await expect(runTint(['sheet', file, '--school', 'sideways'])).rejects.toThrow(/pale-first, dark-first/);
  await expect(runTint(['pdf', file, join(folder, 'sheet.txt')])).rejects.toThrow(/ending in \.pdf/);
});

test('readings tell what passes do and what offends, the picture draws them, and the sheet lays them', async () => {
  const resisted = withPass(
    withPass(resolvedOf([ink('Gorse', '#f8d46f'), ink('Thrift', '#f6b5c5')]), 'clearResist', {
      design: OWN_DESIGNS[0] as Design,
    }),
    'coat',
    { ink: ink('Saggar', '#96482c', 'pigment') },
  );
  const [with_, without] = [join(folder, 'resist.json'), join(folder, 'plain.json')];
  writeFileSync(with_, writeRecipeFile(resisted));
  writeFileSync(
    without,
    writeRecipeFile({ ...resisted, recipe: { ...resisted.recipe, passes: [] }, passInks: [] }),
  );
  const told = JSON.parse(await runTint(['readings', with_]));
  expect(told.passes.map(({ pass }: { pass: string }) => pass)).toEqual(['Clear resist', 'Top coat']);
  expect(told.passes[0].contrast.least).toBeGreaterThan(1);
  expect(told.warnings.join(' ')).toMatch(/Saggar, a pigment, clings to the resist/);
  expect(await runTint(['sheet', with_])).toMatch(
    /Powder: do not breathe[\s\S]*Emboss the resist[\s\S]*Cool[\s\S]*Top coat: Saggar/,
  );
  const [coated, plain] = [join(folder, 'coated.png'), join(folder, 'plain.png')];
  await runTint(['picture', with_, coated, '--dpi', '60']);
  await runTint(['picture', without, plain, '--dpi', '60']);
  expect(readFileSync(coated).equals(readFileSync(plain))).toBe(false);
});

test('a cut plan comes out as cuts in order and as drawings at true size', async () => {
  const plan = join(folder, 'plan.json');
  const ask = {
    sheet: { width: 215.9, height: 279.4 },
    pieces: [{ name: 'front', width: 107.95, height: 139.7, count: 6 }],
  };
  writeFileSync(plan, JSON.stringify(ask));
  const told = await runTint(['cut', plan, '--svg', join(folder, 'sheet'), '--inches']);
  expect(told).toContain('2 sheets of 8 1/2 × 11 in');
  expect(told).toMatch(
    /1\. (Across at 5 1\/2 in from the top|Down at 4 1\/4 in from the left); (above|left): 2 × front, (below|right): 2 × front/,
  );
  const drawing = readFileSync(join(folder, 'sheet-2.svg'), 'utf8');
  expect(drawing).toContain('width="215.9mm" height="279.4mm"');
  expect(drawing.match(/>front</g)).toHaveLength(2);
  writeFileSync(plan, JSON.stringify({ ...ask, pieces: [{ ...ask.pieces[0], count: -1 }] }));
  await expect(runTint(['cut', plan])).rejects.toThrow(/pieces\[0\]\.count/);
  writeFileSync(plan, JSON.stringify({ ...ask, pieces: [{ ...ask.pieces[0], width: 400, height: 400 }] }));
  await expect(runTint(['cut', plan])).rejects.toThrow(/larger than the sheet/);
});

test('what is wrong is told with its place', async () => {
  const bad = join(folder, 'bad.json');
  writeFileSync(bad, readFileSync(file, 'utf8').replace(/"share": [\d.]+/, '"share": -3'));
  for (const [args, told] of [
    [['readings', bad], /bad\.json.*recipe\.rungs\[0\]\.share/],
    [['sheet', join(folder, 'gone.json')], /cannot be read \(ENOENT\)/],
    [['picture', file, join(folder, 'x.png'), '--dpi', '9000'], /--dpi must be/],
    [['picture', file, '--dpy', '300'], /Unknown option/],
    [['bake', file], /no command "bake"/],
  ] as const)
    await expect(runTint([...args])).rejects.toThrow(told);
});

test('from the shell a mistake goes to standard error with exit 1', () => {
  const gone = join(folder, 'gone.json');
  const { status, stderr, stdout } = spawnSync('node_modules/.bin/tsx', ['cli/tint.ts', 'sheet', gone], {
    encoding: 'utf8',
  });
  expect({ status, stdout }).toEqual({ status: 1, stdout: '' });
  expect(stderr).toContain('gone.json');
});

test('a log teaches: the shelf is written with it, places are predicted, and readings are by it', async () => {
  const [shelf, log, places, taught] = ['taught.csv', 'log.json', 'places.json', 'taught.json'].map((name) =>
    join(folder, name),
  ) as [string, string, string, string];
  writeFileSync(shelf, writeInksCsv(DEMO_INKS));
  const coats = (part: number) => [
    { ink: 'Gorse Pale', coats: 1 - part },
    { ink: 'Leat Mid', coats: part },
  ];
  const reading = {
    coats: coats(0.25),
    card: '#ffffff',
    lab: [71.2, -9.8, 31.5],
    source: 'reader',
    noise: 0.5,
  };
  writeFileSync(
    log,
    JSON.stringify({
      format: 'tint-ladder/log',
      version: 1,
      panels: [{ number: 1, date: '2026-05-01', readings: [reading] }],
    }),
  );
  writeFileSync(places, JSON.stringify({ readings: [{ coats: coats(0.25), card: '#ffffff' }] }));
  const said = JSON.parse(
    await runTint(['learn', shelf, log, '--json', '--predict', places, '--out', taught]),
  );
  expect(said.inks.map(({ name }: { name: string }) => name)).toEqual(['Gorse Pale', 'Leat Mid']);
  const [{ before, after, within }] = said.predictions;
  const off = ([l = 0, a = 0, b = 0]: number[]) => Math.hypot(l - 71.2, a + 9.8, b - 31.5);
  expect(off(after)).toBeLessThan(off(before) / 3);
  expect(within).toBeGreaterThan(0.5);

  const gorse = DEMO_INKS.filter(({ name }) => ['Gorse Pale', 'Leat Mid'].includes(name));
  const recipe = join(folder, 'taught-recipe.json');
  writeFileSync(recipe, writeRecipeFile(resolvedOf(gorse)));
  const lightness = async (...more: string[]) =>
    JSON.parse(await runTint(['readings', recipe, ...more])).rungs[0].lab.l;
  expect(await lightness('--shelf', taught)).not.toBeCloseTo(await lightness(), 1);
  await expect(runTint(['learn', shelf, places])).rejects.toThrow(/not a log/);
});

test('an evening is planned from recipes or from operations, told with its bound, and bad input says what to change', async () => {
  const sitting = join(folder, 'sitting.json');
  const write = (change: (file: Record<string, unknown>) => void = () => {}) => {
    const file = {
      format: 'tint-ladder/sitting',
      version: 1,
      start: '18:30',
      finish: '21:00',
      panels: [
        { count: 4, recipe: JSON.parse(writeRecipeFile(resolvedOf(DEMO_INKS.slice(0, 3)))) },
        { count: 2, operations: [{ name: 'coat', minutes: 3, ink: 'Sloe', rest: { min: 10 } }] },
      ],
    };
    change(file);
    const allows = new Ajv({ strictRequired: false }).compile(
      JSON.parse(readFileSync('docs/formats/sitting-1.schema.json', 'utf8')),
    );
    writeFileSync(sitting, JSON.stringify(file));
    return allows(file);
  };
  expect(write()).toBe(true);
  expect(await runTint(['sitting', sitting, '--seconds', '0.2'])).toMatch(
    /^6 panels from 18:30 to [\d:]+: \d+ minutes/,
  );
  const plan = JSON.parse(await runTint(['sitting', sitting, '--seconds', '0.2', '--json']));
  expect(plan.makespan).toBeGreaterThanOrEqual(plan.bound);
  expect(plan.lines.filter(({ does }: { does: string }) => does === 'wipe')).toHaveLength(plan.wipes);
  expect(write((file) => (file.atHand = { mats: 0 }))).toBe(true);
  await expect(runTint(['sitting', sitting])).rejects.toThrow(/needs a mat, and none is at hand: add one/);
  write((file) => ((file.panels as { count: number }[])[0] = { count: 10_000 }));
  await expect(runTint(['sitting', sitting])).rejects.toThrow(/panels\[0\]\.count/);
});

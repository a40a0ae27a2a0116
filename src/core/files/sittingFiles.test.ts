import { parse } from 'csv-parse/sync';
import ICAL from 'ical.js';
import { PDFDocument } from 'pdf-lib';
import { expect, test } from 'vitest';
import { demoSittings } from '../../data/demo/sittings';
import { FONTS } from '../../testing/fonts';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { takeUpRun } from '../make/sitting/away';
import { groupOf } from '../make/sitting/fromSheet';
import { planSitting } from '../make/sitting/plan';
import { newSitting, type SittingRecord, sittingOf } from '../make/sitting/record';
import { beginRun, nextLines, runNow, withDone } from '../make/sitting/run';
import { paintPanel } from '../picture/paint';
import { FileError } from './fileError';
import { readKeptSitting, readSittingFile, writeSittingFile } from './sittingFile';
import { writeSittingPdf } from './sittingPdf';
import { type SittingRow, writeSittingCalendar, writeSittingCsv } from './sittingRows';
import { sittingSchema } from './sittingSchema';
import { validated } from './validated';

const resolved = resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye')]);
const record: SittingRecord = {
  ...newSitting('s1', 'Cards, =for "Sunday"', '2026-11-29'),
  start: '22:30',
  finish: '23:45',
  breaks: [{ id: 'b1', at: '00:10', minutes: 15 }],
  lots: [{ id: 'l1', recipeId: resolved.recipe.id, count: 3 }],
};
const row = (change: Partial<SittingRow>): SittingRow => ({
  does: 'operation',
  start: 0,
  end: 2,
  hand: 0,
  panel: 1,
  recipe: 'Kiln, "mouth"',
  work: 'Gorse, brush A',
  brush: 'A',
  mat: 1,
  colour: '#f8d46f',
  ...change,
});

test('a sitting comes back from its file with its settings, its recipe and its hours past midnight', () => {
  const text = writeSittingFile(record, [{ resolved, count: 3 }]);
  const { record: back, recipes } = readKeptSitting(text);
  const { id: _, date: __, lots, ...settings } = record;
  expect(back).toMatchObject(settings);
  expect(back.lots).toEqual([{ ...lots[0], recipeId: recipes[0]?.recipe.id }]);
  expect(recipes[0]?.recipe.rungs).toEqual(resolved.recipe.rungs);
  // The command line plans the same.
  const { sitting } = readSittingFile(text);
  expect(sitting.breaks).toEqual([{ start: 100, minutes: 15 }]);
  expect(sitting.groups.map(({ count }) => count)).toEqual([3]);
});

test.each<[string, Record<string, unknown>, RegExp]>([
  ['another format', { format: 'tint-ladder/recipe' }, /not a sitting of version 1/],
  ['a version to come', { version: 2 }, /not a sitting of version 1/],
  ['too many panels', { panels: [{ count: 150 }, { count: 51 }] }, /201 panels; at most 200.*Split them/],
  ['an hour that is none', { start: '25:00' }, /start/],
  ['no panels at all', { panels: [] }, /panels/],
  ['a recipe that is none', { panels: [{ count: 1, recipe: { format: 'x' } }] }, /panels\[0\]\.recipe/],
])('a sitting with %s is refused with its place', (_, change, problem) => {
  const operations = [{ name: 'cut', minutes: 1 }];
  const file: Record<string, unknown> = {
    format: 'tint-ladder/sitting',
    version: 1,
    panels: [{ count: 1, operations }],
  };
  expect(readSittingFile(JSON.stringify(file)).sitting.groups).toMatchObject([
    { count: 1, name: 'Panels 1' },
  ]);
  const panels = change.panels as Record<string, unknown>[] | undefined;
  const changed = {
    ...file,
    ...change,
    ...(panels ? { panels: panels.map((one) => (one.recipe ? one : { operations, ...one })) } : {}),
  };
  expect(() => readSittingFile(JSON.stringify(changed))).toThrow(problem);
});

test('panels told by their operations are for the command line, and say so', () => {
  const file = {
    format: 'tint-ladder/sitting',
    version: 1,
    panels: [{ count: 1, operations: [{ name: 'cut', minutes: 1 }] }],
  };
  expect(() => readKeptSitting(JSON.stringify(file))).toThrow(/panels\[0\].*command line plans both/);
  expect(readSittingFile(JSON.stringify(file)).sitting.groups[0]?.operations).toHaveLength(1);
});

test('what is kept is held to its schema: the demo’s evenings and one under way pass, one that is tampered with does not', () => {
  const sitting = sittingOf(record, [groupOf(resolved, 3)]);
  let run = beginRun(1_764_000_000_000, planSitting(sitting, { steps: 1 }).order, { maker: {}, recipes: [] });
  for (let i = 0; i < 4; i++) {
    const [next] = nextLines(runNow(sitting, run, i * 2).plan, 1);
    if (next) run = withDone(sitting, run, next, i * 2 + 2);
  }
  // Taken up after a fortnight.
  const late = takeUpRun(run, 8, 20_000);
  const [next] = nextLines(runNow(sitting, late, 20_000).plan, 1);
  const after = next ? withDone(sitting, late, next, 20_002) : late;
  expect(after.lines.length).toBeGreaterThan(run.lines.length);
  for (const sound of [
    ...demoSittings(new Date(2026, 10, 27)),
    { ...record, run },
    { ...record, run: after },
  ])
    expect(() => validated(sittingSchema, sound)).not.toThrow();
  for (const bad of [
    { ...record, start: '25:00' },
    { ...record, atHand: { ...record.atHand, brushes: { pigment: -1 } } },
    { ...record, lots: [{ id: 'l', recipeId: 'r', count: 10_000 }] },
    { ...record, run: { ...run, lines: [{ does: 'sing' }] } },
    { ...record, run: { ...run, away: [{ to: 3 }] } },
    { ...record, run: { ...run, begunAt: 1e16 } },
  ])
    expect(() => validated(sittingSchema, bad)).toThrow(FileError);
  expect(demoSittings(new Date(2026, 10, 27)).map(({ date }) => date)).toEqual([
    '2026-11-28',
    '2026-11-29',
    '2026-11-30',
  ]);
});

test('the order of work reads as a table with another reader, and no cell of it is a formula', () => {
  const text = writeSittingCsv([row({}), row({ work: '=1+1', dryAt: 100, start: 85, end: 90 })], '22:30');
  const rows = parse(text, { columns: true }) as Record<string, string>[];
  expect(rows[0]).toMatchObject({
    from: '22:30',
    to: '22:32',
    minutes: '2',
    recipe: 'Kiln, "mouth"',
    brush: 'A',
  });
  expect(rows[1]).toMatchObject({ from: '23:55', dry_at: '00:10', work: "'=1+1" });
});

test('a calendar program reads the evening, its break past midnight, and its reminders', () => {
  const text = writeSittingCalendar({ record, makespan: 130, panels: 3, before: ['Re-ink Leat.'] });
  const events = new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));
  const [evening, pause] = events;
  expect(evening?.summary).toBe(record.name);
  expect((evening?.endDate.toUnixTime() ?? 0) - (evening?.startDate.toUnixTime() ?? 0)).toBe(130 * 60);
  expect((pause?.startDate.toUnixTime() ?? 0) - (evening?.startDate.toUnixTime() ?? 0)).toBe(100 * 60);
  expect(evening?.component.getAllSubcomponents('valarm')).toHaveLength(2);
});

test('the calendar of an evening that is begun has the hours it is worked, and no break after its end', () => {
  const begunAt = new Date(2026, 11, 2, 23, 50).getTime();
  const worked = { ...record, breaks: [{ id: 'b', at: '00:30', minutes: 15 }], run: beginRun(begunAt, []) };
  const events = (makespan: number) =>
    new ICAL.Component(ICAL.parse(writeSittingCalendar({ record: worked, makespan, panels: 3, before: [] })))
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));
  const [evening, pause] = events(130);
  expect(evening?.startDate.toUnixTime()).toBe(begunAt / 1000);
  expect(evening?.description).toContain('all dry at 02:00');
  expect(pause?.startDate.toUnixTime()).toBe(begunAt / 1000 + 40 * 60);
  expect(events(40)).toHaveLength(1);
});

test('the PDF has the evening first and the sheets behind it, on as many pages as it takes', async () => {
  const picture = paintPanel(resolved, 'dry', 40, 50);
  const sheet = { resolved, unit: 'mm', maker: {}, paper: 'A4', picture, stages: [] } as const;
  const print = {
    name: record.name,
    told: 'Three panels.',
    origin: '22:30',
    makespan: 130,
    layOut: [{ group: 'Inks' as const, thing: 'Gorse, 0.4 ml' }],
    paper: 'A4' as const,
    fonts: FONTS,
    sheets: [() => sheet],
  };
  const pagesFor = async (count: number) => {
    const rows = Array.from({ length: count }, (_, i) => row({ start: i, end: i + 1, panel: i + 1 }));
    return (await PDFDocument.load(await writeSittingPdf({ ...print, rows }))).getPageCount();
  };
  expect(await pagesFor(3)).toBe(2);
  expect(await pagesFor(120)).toBeGreaterThan(3);
});

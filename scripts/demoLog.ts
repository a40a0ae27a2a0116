// npx tsx scripts/demoLog.ts: makes public/demo/log.zip anew, the log of the demo's pottery, at the simulated desk.
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import sharp from 'sharp';
import { DESK } from '../server/standIns';
import { seededRandom } from '../src/core/base/random';
import { BACKUP_TABLE_IDS, type Row, type Workshop, writeBackup } from '../src/core/files/backup';
import { evidenceOf } from '../src/core/keep/learn/fromLog';
import { lessonsOf, withLesson } from '../src/core/keep/learn/lessons';
import { type LoggedReading, type MadePanel, madeOf } from '../src/core/keep/log/made';
import type { TroubleId } from '../src/core/keep/log/troubles';
import type { OwnTool, Pad } from '../src/core/keep/pads/pad';
import { findPanel } from '../src/core/keep/read/findPanel';
import { noiseAt, readingPlaces } from '../src/core/keep/read/places';
import { readPanel } from '../src/core/keep/read/readPanel';
import { fillPage } from '../src/core/keep/stand/filledPage';
import { photograph, photographPanel } from '../src/core/keep/stand/photograph';
import { readPlaces } from '../src/core/keep/stand/reader';
import { asMade } from '../src/core/keep/stand/trueInks';
import { swatchOf } from '../src/core/keep/swatches/book';
import { swatchPages } from '../src/core/keep/swatches/page';
import { findMarks, readSwatchPage } from '../src/core/keep/swatches/readPage';
import { type Card, groundOfCard } from '../src/core/materials/card/card';
import { linearRgbOfHex } from '../src/core/materials/colour/hex';
import { OWN_DESIGNS } from '../src/core/materials/design/own';
import type { Ink } from '../src/core/materials/ink/ink';
import { newRecipe } from '../src/core/recipe/newRecipe';
import { resolveAnyway } from '../src/core/recipe/resolved';
import { DEMO_CARDS } from '../src/data/demo/cards';
import { DEMO_INKS } from '../src/data/demo/inks';
import { DEMO_RECIPES } from '../src/data/demo/recipes';

const PANELS = 30;
const PHOTO = { width: 600, height: 800 } as const;
const QUALITY = 72;
const FIRST = Date.UTC(2026, 0, 10);
const DAY = 86_400_000;

const draw = seededRandom(2026);
const one = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)] as T;
const card = DEMO_CARDS.find(({ id }) => id === 'smooth-white') as Card;

const OCCASIONS = [
  'the neighbours at the mill',
  'first firing of the year',
  'a birthday',
  'the glaze class',
  'invitations, trial',
  'the market stall',
  'thanks for the clay',
  'the window',
];
const TAGS = ['invitation', 'trial', 'dusk', 'river', 'warm', 'class'];
const TROUBLES: readonly TroubleId[] = ['hardLine', 'disc', 'muddyBand', 'specks', 'heavyHand', 'inkGone'];

/** Trios that the pottery likes: of few families, so that inks come up again. */
const FAMILIES = [
  ['gorse', 'leat', 'skerry'],
  ['gorse', 'thrift', 'sloe'],
  ['leat', 'weir', 'skerry'],
  ['thrift', 'betony', 'vetch'],
  ['alder', 'leat', 'skerry'],
] as const;
const DEPTHS = ['pale', 'mid', 'deep'] as const;

function trioOf(shelf: readonly Ink[], i: number): readonly Ink[] {
  const families = FAMILIES[i % FAMILIES.length] as readonly string[];
  return families.flatMap((family, at) => shelf.find(({ id }) => id === `${family}-${DEPTHS[at]}`) ?? []);
}

async function main(): Promise<void> {
  let shelf: readonly Ink[] = DEMO_INKS;
  const log: MadePanel[] = [];
  const photos: Row[] = [];
  for (let i = 0; i < PANELS; i++) {
    const inks = trioOf(shelf, i);
    const base = i % 6 === 0 ? DEMO_RECIPES[i % 4] : undefined;
    const begun = base ?? newRecipe(inks.map(({ name }) => name).join(', '), inks, card);
    const recipe = {
      ...begun,
      id: `demo-${i + 1}`,
      joints: begun.joints.map(({ width }) => ({ width: Math.max(width, 18) })),
    };
    const resolved = resolveAnyway(recipe, { inks: shelf, cards: DEMO_CARDS, designs: OWN_DESIGNS });
    const evening = 1000 + i;
    const made = asMade(resolved, DESK, evening);
    const { picture } = photographPanel(made, { seed: evening, ...PHOTO });
    const webp = await sharp(picture.data, { raw: { ...PHOTO, channels: 4 } })
      .webp({ quality: QUALITY })
      .toBuffer();
    const decoded = await sharp(webp).ensureAlpha().raw().toBuffer();
    const kept = { ...PHOTO, data: new Uint8Array(decoded) };
    const corners = findPanel(kept);
    const byReader = i % 5 === 4;
    const id = createHash('sha1').update(webp).digest('hex');
    photos.push({ id, type: 'image/webp', bytes: new Uint8Array(webp), ...PHOTO });
    const readings = byReader ? readByReader() : readByPhoto();
    const panel: MadePanel = {
      id: `demo-panel-${i + 1}`,
      number: i + 1,
      date: new Date(FIRST + Math.round(i * 9.7 + draw() * 4) * DAY).toISOString().slice(0, 10),
      name: recipe.name,
      made: madeOf(resolved),
      readings,
      photos: [{ id, ...(corners ? { corners } : {}) }],
      rating: 2 + Math.floor(draw() * 4),
      ...(draw() < 0.3 ? { favourite: true } : {}),
      ...(draw() < 0.6 ? { occasion: one(OCCASIONS) } : {}),
      ...(draw() < 0.7 ? { tags: [one(TAGS)] } : {}),
      ...(draw() < 0.35
        ? {
            troubles: [one(TROUBLES)],
            differently: 'wider joints, and a lighter hand with the dark one',
            changes: [{ id: 'widerJoints' }],
          }
        : {}),
    };
    log.push(panel);
    const { inks: lessons } = lessonsOf(evidenceOf(log, shelf).panels, new Date(FIRST + i * 10 * DAY));
    const byId = new Map(lessons.map((lesson) => [lesson.ink.id, lesson]));
    shelf = shelf.map((ink) => withLesson(ink, byId.get(ink.id)));
    console.log(`No ${i + 1}: ${panel.name}, ${readings.length} readings`);

    function readByReader(): LoggedReading[] {
      const places = readingPlaces(resolved);
      return readPlaces(made, places, evening).map(({ lab }, at) => ({
        at: { x: places[at]?.x ?? 0, y: places[at]?.y ?? 0 },
        lab: rounded(lab),
        source: 'reader',
        noise: noiseAt(places[at] as never, 'reader'),
      }));
    }
    function readByPhoto(): LoggedReading[] {
      const read = corners && readPanel(kept, corners, resolved);
      if (!read || 'problem' in read) return [];
      return read.places
        .filter(({ doubt }) => !doubt)
        .map((place) => ({
          at: { x: place.x, y: place.y },
          lab: rounded(place.lab),
          source: 'photograph',
          noise: noiseAt(place, 'photograph'),
        }));
    }
  }
  const empty = Object.fromEntries(
    BACKUP_TABLE_IDS.map((table) => [table, [] as Row[]]),
  ) as unknown as Workshop;
  const workshop: Workshop = {
    ...empty,
    panels: log as unknown as Row[],
    photos,
    pads: padsOf(log) as unknown as Row[],
    tools: TOOLS as unknown as Row[],
    swatches: swatches() as unknown as Row[],
  };
  mkdirSync('public/demo', { recursive: true });
  const photoOf = async (id: string) => photos.find((photo) => photo.id === id);
  const { file: backup } = await writeBackup(workshop, photoOf, new Date(FIRST + 310 * DAY));
  writeFileSync('public/demo/log.zip', new Uint8Array(await backup.arrayBuffer()));
  console.log(`public/demo/log.zip: ${(backup.size / 1e6).toFixed(2)} MB`);
}

const rounded = ({ l, a, b }: { l: number; a: number; b: number }) => {
  const digits = (value: number) => Number(value.toFixed(3));
  return { l: Math.min(Math.max(digits(l), 0), 100), a: digits(a), b: digits(b) };
};

/** Some pads re-inked in spring, some never, one just now. */
function padsOf(log: readonly MadePanel[]): Pad[] {
  const used = [...new Set(log.flatMap(({ made }) => made?.recipe.rungs.map(({ inkId }) => inkId) ?? []))];
  return used.flatMap((inkId, i) =>
    i % 4 === 3 ? [] : [{ inkId, reinked: i % 4 === 0 ? ['2026-01-04', '2026-09-12'] : ['2026-03-21'] }],
  );
}

const TOOLS: readonly OwnTool[] = [
  { id: 'demo-brush-1', kind: 'brush', label: 'Yellows', holds: 'Gorse Pale', washed: '2026-08-02' },
  { id: 'demo-brush-2', kind: 'brush', label: 'Teals', holds: 'Leat Mid' },
  { id: 'demo-brush-3', kind: 'brush', label: 'White only' },
  { id: 'demo-dauber-1', kind: 'dauber', label: 'Edges, dark', holds: 'Skerry Deep' },
];

function swatches() {
  const inks = DEMO_INKS.filter(({ wished, id }) => !wished && /gorse|leat|skerry/.test(id));
  const [page] = swatchPages(inks);
  if (!page) return [];
  const flat = {
    picture: fillPage(page, inks, card, DESK),
    width: page.width,
    height: page.height,
    card: linearRgbOfHex(card.colour),
  };
  const { picture } = photograph(flat, { seed: DESK, width: 1300, height: 1800 });
  const marks = findMarks(picture);
  const read = marks && readSwatchPage(picture, marks, page, groundOfCard(card), inks);
  if (!read || 'problem' in read) throw new Error('the swatch page could not be read');
  return read.rows.filter(({ doubt }) => !doubt).map((row) => swatchOf(row, card.id, '2026-02-14'));
}

await main();

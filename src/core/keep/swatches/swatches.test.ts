import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../../data/demo/cards';
import { DEMO_INKS } from '../../../data/demo/inks';
import { memo } from '../../base/memo';
import { type Card, groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex, linearRgbOfHex } from '../../materials/colour/hex';
import type { Ink } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { lightOfByte, srgbByteOf } from '../../picture/signal';
import { fillPage } from '../stand/filledPage';
import { photograph } from '../stand/photograph';
import { farthestOff, predictedFields, swatchOf, withSwatch } from './book';
import { FIELD_IDS, ROWS_A_PAGE, swatchPages } from './page';
import { findMarks, type RowReading, readSwatchPage } from './readPage';

const card = DEMO_CARDS[0] as Card;
// Colours that a photograph can show.
const inks = DEMO_INKS.filter(({ kind, overWhite }) => {
  const { r, g, b } = linearRgbOfHex(overWhite);
  return (kind === 'dye' || kind === 'hybrid') && Math.min(r, g, b) > 0.05;
}).slice(0, ROWS_A_PAGE);
const [page] = swatchPages(inks);
if (!page) throw new Error('no page');
const shot = memo(1, () => {
  const picture = fillPage(page, inks, card, 1);
  return photograph(
    { picture, width: page.width, height: page.height, card: linearRgbOfHex(card.colour) },
    { seed: 3, width: 900, height: 1250 },
  ).picture;
});

test('rows and fields lie on the page, clear of each other and of the marks', () => {
  const boxes = page.rows.flatMap(({ fields }) => FIELD_IDS.map((id) => fields[id]));
  for (const { x, y, width, height } of boxes) {
    expect(x).toBeGreaterThan(5);
    expect(x + width).toBeLessThan(page.width - 5);
    expect(y + height).toBeLessThan(page.height - 10);
  }
  boxes.forEach((p, i) => {
    for (const q of boxes.slice(i + 1))
      expect(
        p.x + p.width <= q.x || q.x + q.width <= p.x || p.y + p.height <= q.y || q.y + q.height <= p.y,
      ).toBe(true);
  });
  expect(swatchPages(DEMO_INKS)).toHaveLength(Math.ceil(DEMO_INKS.length / ROWS_A_PAGE));
});

test('a filled page is found by its marks, and every ink is read off it at once', () => {
  const picture = shot();
  const marks = findMarks(picture);
  if (!marks) throw new Error('no marks');
  const read = readSwatchPage(picture, marks, page, groundOfCard(card), inks);
  if ('problem' in read) throw new Error(read.problem);
  const off = read.rows.map(({ overWhite }, i) =>
    deltaE00(labOfHex(overWhite), labOfHex(inks[i]?.overWhite ?? '#000000')),
  );
  expect(off.toSorted((p, q) => p - q)[off.length >> 1]).toBeLessThan(2.5);
  read.rows.forEach(({ fields, lifts, doubt }, i) => {
    expect(doubt).toBeUndefined();
    expect(fields.quarter.l).toBeGreaterThan(fields.half.l);
    expect(fields.half.l).toBeGreaterThan(fields.full.l);
    expect(fields.black.l).toBeLessThan(fields.full.l);
    // Dabbed at once a drop leaves a faint mark, after a minute a paler one (common practice).
    expect(lifts.waited).toBeGreaterThan(lifts.atOnce);
    const ink = inks[i];
    if (!ink) throw new Error('a row too many');
    const taken = withSwatch(ink, swatchOf(read.rows[i] as RowReading, card.id, '2026-11-29'));
    expect(Math.abs((taken.lifts ?? 0) - INK_KINDS[ink.kind].lifts)).toBeLessThan(0.2);
  });
});

test('rows in the shadow of a hand are left out, the others are read as they are', () => {
  const picture = shot();
  const { width, height, data } = picture;
  const shaded = { width, height, data: Uint8ClampedArray.from(data) };
  // Over the foot of the page, a hard edge at three fifths of its height.
  for (let i = Math.round(0.6 * height) * width; i < width * height; i++)
    for (let c = 0; c < 3; c++) shaded.data[4 * i + c] = srgbByteOf(0.6 * lightOfByte(data[4 * i + c] ?? 0));
  const marks = findMarks(picture);
  if (!marks) throw new Error('no marks');
  const [plain, read] = [picture, shaded].map((one) =>
    readSwatchPage(one, marks, page, groundOfCard(card), inks),
  );
  if (!plain || !read || 'problem' in read || 'problem' in plain) throw new Error('not read');
  const foot = marks[2].y;
  const inShade = page.rows.map(({ fields }) => {
    const down =
      (fields.full.y - (page.marks[0]?.y ?? 0)) / ((page.marks[2]?.y ?? 1) - (page.marks[0]?.y ?? 0));
    return marks[0].y + down * (foot - marks[0].y) > 0.6 * height;
  });
  expect(inShade.filter(Boolean).length).toBeGreaterThan(1);
  read.rows.forEach(({ doubt, overWhite }, i) => {
    if (inShade[i]) expect(doubt, page.rows[i]?.name).toMatch(/shadow|uneven/);
    else if (!doubt)
      expect(deltaE00(labOfHex(overWhite), labOfHex(plain.rows[i]?.overWhite ?? '#000000'))).toBeLessThan(2);
  });
  expect(read.rows.filter(({ doubt }) => !doubt).length).toBeGreaterThan(page.rows.length / 2);
});

test('a page that was not filled, or has no marks, is said to be so', () => {
  const empty = photograph(
    {
      picture: fillPage({ ...page, rows: [] }, [], card, 1),
      width: page.width,
      height: page.height,
      card: linearRgbOfHex(card.colour),
    },
    { seed: 3, width: 900, height: 1250 },
  ).picture;
  const marks = findMarks(empty);
  if (!marks) throw new Error('no marks');
  const read = readSwatchPage(empty, marks, page, groundOfCard(card), inks);
  if ('problem' in read) throw new Error(read.problem);
  expect(read.rows.every(({ doubt }) => doubt === 'nothing is laid in it')).toBe(true);
  expect(findMarks({ width: 40, height: 40, data: new Uint8ClampedArray(6400).fill(255) })).toBeUndefined();
  const [a, b, c, d] = marks;
  expect(readSwatchPage(empty, [a, c, b, d], page, groundOfCard(card), inks)).toHaveProperty('problem');
});

test('each field is predicted: paler with less ink and where a drop took some, and how far off it was read is its coats’ worst', () => {
  const dye: Ink = {
    id: 'leat',
    name: 'Leat',
    family: 'Leat',
    depth: 'mid',
    kind: 'dye',
    overWhite: '#009aab',
  };
  const said = predictedFields(dye, card);
  const lightness = (['black', 'full', 'lifted', 'waited', 'half', 'quarter'] as const).map(
    (id) => said[id].l,
  );
  expect(lightness.slice(0, 4)).toEqual(lightness.slice(0, 4).toSorted((p, q) => p - q));
  expect(said.half.l).toBeLessThan(said.quarter.l);
  // What water hardly moves stays as it is.
  const pigment = predictedFields({ ...dye, kind: 'pigment' }, card);
  expect(pigment.waited.l - pigment.full.l).toBeLessThan(0.3 * (said.waited.l - said.full.l));
  expect(farthestOff(said, { fields: said })).toBe(0);
  const halfOff = { ...said, half: { ...said.half, l: said.half.l + 4 }, waited: { ...said.waited, l: 0 } };
  expect(farthestOff(said, { fields: halfOff })).toBe(deltaE00(said.half, halfOff.half));
});

test('what both drops took tells how far water lifts an ink, never more than all of it', () => {
  const [ink] = inks;
  if (!ink) throw new Error('no ink');
  const lifts = (atOnce: number, waited: number) =>
    withSwatch(ink, { overWhite: '#808080', overBlack: '#202020', lifts: { atOnce, waited } }).lifts;
  expect(lifts(0.3 * 0.5, 0.65 * 0.5)).toBeCloseTo(0.5, 9);
  expect(lifts(0, 0)).toBe(0);
  expect(lifts(0.9, 0.95)).toBe(1);
  expect(lifts(0.1, 0.4)).toBeGreaterThan(lifts(0.1, 0.3) ?? 1);
});

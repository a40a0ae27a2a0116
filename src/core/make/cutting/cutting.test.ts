import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { seededRandom } from '../../base/random';
import { isoASize } from '../../materials/card/paper';
import { CannotCut, cutsOf, type Placed, planCuts } from './cutPlan';
import { describeOverhang, describeScores, scoreOf, sheetsAlike } from './cutText';
import { type Assembly, blendedPanels, FOLDS, type Fold, type Piece, piecesOf } from './pieces';

const A4 = { width: 210, height: 297 };
const LETTER = { width: 215.9, height: 279.4 };
const piece = (width: number, height: number, count: number, name = `${width} × ${height}`): Piece => ({
  name,
  width,
  height,
  count,
});

describe('what fits by the definition of the papers', () => {
  test('four A6 come off one A4, and its trim is what rounding down left (ISO 216)', () => {
    const [width, height] = isoASize(6);
    const { sheets, waste } = planCuts(A4, [piece(width, height, 4)]);
    expect(sheets).toHaveLength(1);
    expect(waste).toBeLessThan(0.01);
  });

  test('four US card fronts come off one Letter with no waste, by three cuts', () => {
    const { sheets, waste } = planCuts(LETTER, [piece(107.95, 139.7, 4)]);
    expect(sheets).toHaveLength(1);
    expect(waste).toBeCloseTo(0, 9);
    expect(sheets[0]?.cuts).toHaveLength(3);
  });
});

const anyPieces = fc.array(
  fc.record({
    width: fc.integer({ min: 20, max: 200 }),
    height: fc.integer({ min: 20, max: 200 }),
    count: fc.integer({ min: 1, max: 6 }),
  }),
  { minLength: 1, maxLength: 5 },
);

test('whatever is asked for: every piece is there once, none overlaps or stands out, and cuts right through free them', () => {
  fc.assert(
    fc.property(anyPieces, fc.boolean(), (asked, grain) => {
      const pieces = asked.map((one, i) => ({ ...one, name: `piece ${i}` }));
      const { sheets } = planCuts(A4, pieces, grain);
      for (const { name, width, height, count } of pieces) {
        const placed = sheets.flatMap((sheet) => sheet.placed.filter((one) => one.name === name));
        expect(placed).toHaveLength(count);
        for (const one of placed) {
          const [w, h] = one.turned ? [height, width] : [width, height];
          expect([one.width, one.height]).toEqual([w, h]);
          if (grain) expect(one.turned).toBe(false);
        }
      }
      for (const { placed, cuts } of sheets) {
        for (const one of placed) {
          expect(one.x + one.width).toBeLessThanOrEqual(A4.width + 0.02);
          expect(one.y + one.height).toBeLessThanOrEqual(A4.height + 0.02);
          for (const other of placed) if (other !== one) expect(overlap(one, other)).toBe(false);
        }
        for (const { way, from, to } of cuts)
          expect(way === 'across' ? from.y : from.x).toBe(way === 'across' ? to.y : to.x);
      }
    }),
    { numRuns: 60 },
  );
});
const overlap = (p: Placed, q: Placed): boolean =>
  p.x < q.x + q.width - 0.02 &&
  q.x < p.x + p.width - 0.02 &&
  p.y < q.y + q.height - 0.02 &&
  q.y < p.y + p.height - 0.02;

/**
 * Pieces whose best packing is known: a sheet cut up at random by cuts right through, as described by E. Hopper and
 * B. Turton, Eur. J. Oper. Res. 128 (2001) 34, for their problem categories.
 */
function cutUp(sheet: { width: number; height: number }, count: number, seed: number): Piece[] {
  const random = seededRandom(seed);
  const parts = [{ ...sheet }];
  while (parts.length < count) {
    parts.sort((p, q) => q.width * q.height - p.width * p.height);
    const whole = parts.shift() as { width: number; height: number };
    const at = 0.3 + 0.4 * random();
    if (whole.width > whole.height) {
      const left = Math.round(whole.width * at);
      parts.push({ ...whole, width: left }, { ...whole, width: whole.width - left });
    } else {
      const upper = Math.round(whole.height * at);
      parts.push({ ...whole, height: upper }, { ...whole, height: whole.height - upper });
    }
  }
  return parts.map(({ width, height }, i) => piece(width, height, 1, `part ${i}`));
}

test('of sheets cut up without waste, at most one part in twenty more is needed on the whole', () => {
  let [best, used] = [0, 0];
  for (const count of [16, 25, 40])
    for (let seed = 1; seed <= 4; seed++) {
      // Several sheets' worth, so that one more sheet is a small part of them.
      const parts = Array.from({ length: 8 }, (_, i) => cutUp(A4, count / 4, seed * 100 + i)).flat();
      const named = parts.map((part, i) => ({ ...part, name: `part ${i}` }));
      best += 8;
      const { sheets } = planCuts(A4, named);
      const last = sheets.at(-1)?.placed ?? [];
      const area = last.reduce((sum, { width, height }) => sum + width * height, 0) / (A4.width * A4.height);
      used += sheets.length - 1 + area;
    }
  expect(used / best).toBeLessThan(1.05);
});

test('what cannot be cut is refused with the reason', () => {
  expect(() => planCuts(A4, [piece(300, 300, 1, 'poster')])).toThrow(
    /poster, 300 × 300 mm, is larger than the sheet/,
  );
  expect(() => planCuts(A4, [piece(280, 100, 1, 'banner')], true)).toThrow(/with its grain kept/);
  expect(() => planCuts(LETTER, [piece(254, 254, 1, 'poster')], false, 'in')).toThrow(
    /poster, 10 × 10 in, is larger than the sheet of 8 1\/2 × 11 in/,
  );
  expect(planCuts(A4, [piece(280, 100, 1, 'banner')]).sheets[0]?.placed[0]?.turned).toBe(true);
  expect(() => planCuts(A4, [])).toThrow(CannotCut);
});

test('pieces that lie like a pinwheel cannot be cut right through, and are not taken for it', () => {
  const pin = (x: number, y: number, width: number, height: number): Placed => ({
    name: 'p',
    x,
    y,
    width,
    height,
    turned: false,
  });
  const wheel = [
    pin(0, 0, 60, 40),
    pin(60, 0, 40, 60),
    pin(40, 60, 60, 40),
    pin(0, 40, 40, 60),
    pin(40, 40, 20, 20),
  ];
  expect(() => cutsOf(wheel, { width: 100, height: 100 })).toThrow(/right through/);
});

test('a card is put together from the panel out: mats stand out by their margins, the base folds', () => {
  const pieces = piecesOf({
    cards: 12,
    panel: { width: 90, height: 120 },
    panelCardId: 'white',
    oversize: 3,
    mats: [
      { margin: 2, cardId: 'black' },
      { margin: 4, cardId: 'kraft' },
    ],
    base: { margin: 5, cardId: 'white', fold: 'side' },
    greeting: { width: 60, height: 14 },
  });
  expect(pieces.get('white')).toEqual([
    { name: 'panel to be trimmed', width: 96, height: 126, count: 12 },
    { name: 'greeting strip', width: 66, height: 20, count: 12 },
    { name: 'base folded at the side', width: 2 * 112, height: 142, count: 12, fold: 'side' },
  ]);
  expect(pieces.get('kraft')).toEqual([{ name: 'mat 2', width: 98, height: 128, count: 12 }]);
  expect(pieces.get('black')).toEqual([{ name: 'mat 1', width: 102, height: 132, count: 12 }]);
});

test('sheets cut alike are told together, with what follows on each other drawn together', () => {
  const lying = (x: number) => ({
    placed: [{ name: 'a', x, y: 0, width: 9, height: 9, turned: false }],
    cuts: [],
  });
  const plan = { sheet: A4, waste: 0, sheets: [1, 1, 1, 2, 1, 3].map(lying) };
  expect(sheetsAlike(plan).map(({ name }) => name)).toEqual(['Sheets 1 to 3, 5', 'Sheet 4', 'Sheet 6']);
});

test('a base is scored through its middle, whichever way it lies, and that is told once a kind', () => {
  const folded = (fold: Fold): Piece => ({ name: 'base', width: 200, height: 100, count: 1, fold });
  for (const fold of FOLDS)
    for (const grain of [true, false]) {
      // A sheet so narrow that the piece has to be turned, where it may.
      const sheet = grain ? { width: 210, height: 120 } : { width: 120, height: 210 };
      const [placed] = planCuts(sheet, [folded(fold)], grain).sheets[0]?.placed ?? [];
      if (!placed) throw new Error('nothing was laid out');
      const score = scoreOf(placed);
      if (!score) throw new Error('it is not scored');
      const { from, to } = score;
      // As long as the back of the book, or the top of the tent, and through the middle.
      expect(Math.hypot(to.x - from.x, to.y - from.y)).toBe(fold === 'side' ? 100 : 200);
      expect([(from.x + to.x) / 2, (from.y + to.y) / 2]).toEqual(grain ? [100, 50] : [50, 100]);
      const told =
        fold === 'side'
          ? 'Score at 100 mm, the middle of 200 mm: base'
          : 'Score at 50 mm, the middle of 100 mm: base';
      expect(describeScores([placed, placed], 'mm')).toEqual([told]);
    }
  const { placed = [] } = planCuts(A4, [{ name: 'panel', width: 90, height: 90, count: 2 }]).sheets[0] ?? {};
  expect(placed.map(scoreOf)).toEqual([undefined, undefined]);
});

test('a strip larger than its panel is told with both sizes; one as large is not', () => {
  const on = (greeting: Assembly['greeting']) =>
    describeOverhang({ panel: { width: 60, height: 80 }, greeting }, 'mm');
  expect(on(undefined)).toBeUndefined();
  expect(on({ width: 60, height: 80 })).toBeUndefined();
  expect(on({ width: 61, height: 16 })).toMatch(/^The strip is wider than the panel, 61.mm on 60.mm, and/);
  expect(on({ width: 20, height: 81 })).toMatch(/^The strip is higher than the panel, 81.mm on 80.mm, and/);
});

test('an inside panel and a liner are cut from the panel’s card, and count as so much more to blend', () => {
  const plain: Assembly = {
    cards: 4,
    panel: { width: 100, height: 140 },
    panelCardId: 'white',
    oversize: 0,
    mats: [],
    base: undefined,
    greeting: undefined,
  };
  const whole: Assembly = { ...plain, inside: true, liner: { width: 100, height: 70 } };
  expect(
    piecesOf(whole)
      .get('white')
      ?.map(({ name, count }) => [name, count]),
  ).toEqual([
    ['panel', 4],
    ['inside panel', 4],
    ['envelope liner', 4],
  ]);
  expect(blendedPanels(plain)).toBe(1);
  expect(blendedPanels(whole)).toBeCloseTo(2.5, 9);
});

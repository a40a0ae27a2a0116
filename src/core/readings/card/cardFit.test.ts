import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../../data/demo/cards';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD } from '../../../testing/resolvedRecipes';
import type { Card } from '../../materials/card/card';
import { FINISH_IDS } from '../../materials/card/finishes';
import { grammageOfPounds, parseGrammage, poundsOfGrammage } from '../../materials/card/paper';
import type { InkKindId } from '../../materials/ink/kinds';
import { cardFit } from './cardFit';
import { matsFor } from './mats';

const three = (kind: InkKindId) =>
  [ink('Gorse', '#f2c230', kind), ink('Thrift', '#e2568f', kind), ink('Tarn', '#1f4f7a', kind)] as const;
const kraft = DEMO_CARDS.find(({ id }) => id === 'kraft') ?? WHITE_CARD;

test('on smooth white a ladder suits, and nothing shifts', () => {
  const { word, shifts } = cardFit(three('hybrid'), WHITE_CARD);
  expect(word).toBe('suits');
  for (const { difference } of shifts) expect(difference).toBeLessThan(1);
});

test('a good surface is the usual choice where it is white; of a toned one it is told that the inks show', () => {
  const mid = [ink('Thrift', '#c2266f'), ink('Tarn', '#1f4f7a')];
  const grey = { ...WHITE_CARD, colour: '#c9cccc' } as const;
  expect(cardFit(mid, WHITE_CARD).reasons).toEqual([expect.stringMatching(/the usual choice/)]);
  expect(cardFit(mid, grey)).toMatchObject({ word: 'suits', reasons: [expect.stringMatching(/^Toned/)] });
});

test('dyes vanish on black, pigments show there (common practice)', () => {
  const dyes = cardFit(three('dye'), BLACK_CARD);
  expect(dyes.word).toBe('not for this');
  expect(dyes.reasons[0]).toMatch(/cannot be told from the bare card/);
  const pigments = cardFit(three('pigment'), BLACK_CARD);
  expect(pigments.shifts.every(({ presence }) => presence === 'shows')).toBe(true);
});

test('on kraft the pale rung drops, and how far is said (common practice)', () => {
  const { word, reasons, shifts } = cardFit(three('hybrid'), kraft);
  expect(word).not.toBe('suits');
  expect(shifts[0]?.lightness).toBeLessThan(-10);
  expect(reasons.join(' ')).toMatch(/Gorse drops \d+ L\* \(ΔE00 \d+\)/);
});

test('on a pale yellow card a pale blue keeps its lightness and turns to another hue, and that is said', () => {
  const yellow = { ...WHITE_CARD, colour: '#fffaa8' } as const;
  const { shifts, reasons } = cardFit([ink('Haar', '#d9ebff', 'dye')], yellow);
  expect(Math.abs(shifts[0]?.lightness ?? 9)).toBeLessThan(2.5);
  expect(reasons[0]).toMatch(/^Haar turns to another hue \(ΔE00 \d\d\)\.$/);
});

test('65 lb cover curls once wetted, 110 lb does not (common practice)', () => {
  const of = (pounds: number) =>
    cardFit(three('hybrid'), { ...WHITE_CARD, grammage: Math.round(grammageOfPounds(pounds, 'cover')) });
  expect(of(65).reasons.join(' ')).toContain('176 g/m² is thin: it curls once wetted');
  expect(of(110).word).toBe('suits');
});

test('a coated card is not for blending, whatever the inks', () => {
  expect(cardFit(three('dye'), { ...WHITE_CARD, finish: 'coated' })).toMatchObject({ word: 'not for this' });
});

test('every finish gives a word and a reason', () => {
  for (const finish of FINISH_IDS) {
    const { reasons } = cardFit(three('hybrid'), { ...WHITE_CARD, finish });
    expect(reasons.length).toBeGreaterThan(0);
  }
});

test('as a mat black, its own dark and white frame, and what the border melts into frames nothing', () => {
  const resolved = resolvedOf([ink('Gorse', '#f8d46f'), ink('Tarn', '#1f4f7a')]);
  const card = (id: string, colour: `#${string}`): Card => ({ ...WHITE_CARD, id, colour });
  const cards = [
    card('white', '#fcfbf8'),
    card('black', '#2a2929'),
    card('navy', '#24507a'),
    card('rose', '#d03a6a'),
  ];
  expect(matsFor(resolved, cards).map((one) => one.card.id)).toEqual(['black', 'navy', 'white', 'rose']);
  // Its own dark is the panel's own foot, into which it melts.
  expect(matsFor(resolved, cards)[1]?.reason).toMatch(
    /^near its own darkest, Tarn; it melts into \d+ % of the border/,
  );
  const alone = resolvedOf([ink('Tarn', '#1f4f7a'), ink('Tarn 2', '#20507c')]);
  expect(matsFor(alone, cards).find((one) => one.card.id === 'navy')?.reason).toBe(
    'melts into 100 % of the panel’s border',
  );
  // Its own palest is another than its own darkest.
  const butter = matsFor(resolved, [card('butter', '#f3cb5c'), card('mid', '#8a8d6e')]);
  expect(butter.find((one) => one.card.id === 'butter')?.reason).toMatch(/^near its own palest, Gorse/);
  // A white card is white, also to a panel that begins in white.
  const misty = resolvedOf([ink('Mist', '#eef2f4'), ink('Leat', '#0098a8'), ink('Tarn', '#1f4f7a')]);
  const pale = matsFor(misty, [card('white', '#fcfbf8'), card('mist', '#dce3e7'), card('grey', '#9a9a9a')]);
  const reasons = new Map(pale.map((one) => [one.card.id, one.reason]));
  expect(reasons.get('white')).toMatch(/^white: keeps the card light/);
  expect(reasons.get('mist')).toMatch(/^near its own palest, Mist/);
  expect(reasons.get('grey')).toMatch(/^grey: stands back/);
});

test('weights are read as makers write them', () => {
  expect(parseGrammage('350')).toBe(350);
  expect(parseGrammage('350 gsm')).toBe(350);
  // 130 lb cover is about 350 g/m², 80 lb text about 118 (common practice; by the definition of the bases).
  expect(parseGrammage('130 lb')).toBeCloseTo(351.5, 1);
  expect(parseGrammage('80 lb text')).toBeCloseTo(118.4, 1);
  for (const wrong of ['', 'heavy', '350 cover', '12 kg']) expect(parseGrammage(wrong)).toBeUndefined();
  fc.assert(
    fc.property(fc.double({ min: 40, max: 1200, noNaN: true }), (grammage) => {
      expect(grammageOfPounds(poundsOfGrammage(grammage, 'text'), 'text')).toBeCloseTo(grammage, 6);
    }),
  );
});

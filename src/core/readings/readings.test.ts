import { expect, test } from 'vitest';
import { BLACK_CARD, ink, kitOf, WHITE_CARD } from '../../testing/kits';
import { readingsOf } from './readings';
import { spacingOf } from './spacing';

const gorse = ink('gorse', '#f8d46f', 'dye');
const leat = ink('leat', '#009aab', 'dye');
const skerry = ink('skerry', '#005487', 'dye');

test('on smooth white every ink shows; the same dyes vanish on black (common practice)', () => {
  const inks = [gorse, leat, skerry];
  expect(readingsOf(kitOf(inks)).rungs.map(({ presence }) => presence)).toEqual(['shows', 'shows', 'shows']);
  const onBlack = readingsOf(kitOf(inks, BLACK_CARD));
  expect(onBlack.rungs.map(({ presence }) => presence)).toEqual(['vanishes', 'vanishes', 'vanishes']);
  expect(onBlack.joints.map(({ headline }) => headline)).toEqual(['Lost on this card', 'Lost on this card']);
});

test('pigment still shows on black (common practice)', () => {
  const onBlack = readingsOf(
    kitOf(
      [
        { ...gorse, kind: 'pigment' },
        { ...leat, kind: 'pigment' },
      ],
      BLACK_CARD,
    ),
  );
  expect(onBlack.rungs.every(({ presence }) => presence === 'shows')).toBe(true);
});

test('readings carry one rung an ink and one joint between, with lightness going down from pale to dark', () => {
  const readings = readingsOf(kitOf([gorse, leat, skerry], WHITE_CARD));
  expect(readings.rungs.map(({ colour }) => colour.noun)).toEqual(['yellow', 'blue', 'blue']);
  expect(readings.joints).toHaveLength(2);
  expect(readings.joints.every(({ lightnessStep }) => lightnessStep < -15)).toBe(true);
});

test('spacing tells an even ladder, two rungs at one height and a missing rung', () => {
  expect(spacingOf([80, 55, 30]).told).toBe('Evenly spaced');
  expect(spacingOf([30, 80, 55]).gaps).toEqual([25, 25]);
  expect(spacingOf([80, 78, 30]).told).toContain('one height');
  expect(spacingOf([85, 75, 25]).told).toContain('Room for a rung between rungs 2 and 3');
  expect(spacingOf([50, 49, 51]).told).toContain('hue alone');
});

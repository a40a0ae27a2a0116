import { expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { describeLadder } from './ladderWords';
import { readingsOf, readLadder } from './readings';
import { spacingOf } from './spacing';

const gorse = ink('gorse', '#f8d46f', 'dye');
const leat = ink('leat', '#009aab', 'dye');
const skerry = ink('skerry', '#005487', 'dye');

test('on smooth white every ink shows; the same dyes vanish on black (common practice)', () => {
  const inks = [gorse, leat, skerry];
  expect(readingsOf(resolvedOf(inks)).rungs.map(({ presence }) => presence)).toEqual([
    'shows',
    'shows',
    'shows',
  ]);
  const onBlack = readingsOf(resolvedOf(inks, BLACK_CARD));
  expect(onBlack.rungs.map(({ presence }) => presence)).toEqual(['vanishes', 'vanishes', 'vanishes']);
  expect(onBlack.joints.map(({ headline }) => headline)).toEqual(['Lost on this card', 'Lost on this card']);
});

test('a blush and a pale grey on white are tints of it, white on white is lost (by eye)', () => {
  const inks = [ink('blush', '#f7dfe3'), ink('haze', '#d5d8dc'), ink('slip', '#f6f5f1', 'white')];
  expect(readingsOf(resolvedOf(inks)).rungs.map(({ presence }) => presence)).toEqual([
    'soft',
    'soft',
    'vanishes',
  ]);
});

test('a mustard on kraft is a tint of it, a tan is lost there (by eye)', () => {
  const inks = [ink('mustard', '#e3b20f'), ink('tan', '#d6ab78')];
  expect(
    readingsOf(
      resolvedOf(inks, { ...WHITE_CARD, id: 'kraft', colour: '#b08d62', finish: 'kraft' }),
    ).rungs.map(({ presence }) => presence),
  ).toEqual(['soft', 'vanishes']);
});

test('a hybrid blend on bare black is told as sunk or faint, never as a finished panel (common practice)', () => {
  const hybrids = [ink('pale', '#9fc0da'), ink('mid', '#0084bf'), ink('deep', '#005487')];
  for (const { headline, reason } of readingsOf(resolvedOf(hybrids, BLACK_CARD)).joints) {
    expect(headline).toMatch(/, sunk$|^Faint on this card$/);
    expect(reason).toContain('white base');
  }
  for (const { headline } of readingsOf(resolvedOf(hybrids)).joints)
    expect(headline).not.toMatch(/sunk|Faint/);
});

test('what is lost or faint is told of what it lies on, and white is advised only where white helps (common practice)', () => {
  const black = ink('soot', '#1c1d20', 'pigment');
  const onSoot = readLadder(withPass(resolvedOf([gorse, leat]), 'whiteBase', { ink: black }));
  expect(onSoot.joints.map(({ headline }) => headline)).toEqual(['Lost on what lies under the blend']);
  expect(describeLadder(onSoot)).toMatch(/; all of it lost on what lies under the blend\.$/);
  const [faint] = readingsOf(resolvedOf([ink('haar', '#d5d8dc'), ink('mist', '#dcd6cc')])).joints;
  expect(faint?.headline).toBe('Faint on this card');
  expect(faint?.reason).toMatch(/: deeper inks bring it out\.$/);
});

test('pigment still shows on black (common practice)', () => {
  const onBlack = readingsOf(
    resolvedOf(
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
  const readings = readingsOf(resolvedOf([gorse, leat, skerry], WHITE_CARD));
  expect(readings.rungs.map(({ colour }) => colour.noun)).toEqual(['yellow', 'blue', 'blue']);
  expect(readings.joints).toHaveLength(2);
  expect(readings.joints.every(({ lightnessStep }) => lightnessStep < -15)).toBe(true);
});

test('spacing tells an even ladder, two rungs at one height and a missing rung', () => {
  expect(spacingOf([80, 55, 30]).description).toBe('Evenly spaced');
  expect(spacingOf([30, 55, 80]).description).toBe('Evenly spaced');
  expect(spacingOf([30, 80, 55])).toMatchObject({
    gaps: [25, 25],
    description: 'Evenly spaced; not from light to dark',
  });
  expect(spacingOf([80, 78, 30]).description).toContain('one height');
  expect(spacingOf([85, 75, 25]).description).toContain('Room for a rung between rungs 2 and 3');
  expect(spacingOf([50, 49, 51]).description).toContain('hue alone');
});

test('room for a rung is a gap of more than 30 L* and more than two and a half of the smallest', () => {
  expect(spacingOf([85, 75, 46]).description).toBe('Uneven, but no rung is missing');
  expect(spacingOf([85, 75, 44]).description).toContain('Room for a rung');
  expect(spacingOf([90, 76, 44]).description).toBe('Uneven, but no rung is missing');
  expect(spacingOf([80, 40]).description).toBe('One step of 40 L*');
  expect(spacingOf([80, 60, 50]).description).toBe('Uneven, but no rung is missing');
  expect(spacingOf([80, 60, 48]).description).toBe('Evenly spaced');
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf } from '../../testing/resolvedRecipes';
import type { Hex } from '../materials/colour/hex';
import type { Ink } from '../materials/ink/ink';
import { describeLadder } from './ladderWords';
import { readLadder } from './readings';

const told = (...inks: readonly ReturnType<typeof ink>[]) => describeLadder(readLadder(resolvedOf(inks)));

test('a ladder is told by its colours in order, its steps and what is new on the way', () => {
  expect(told(ink('Gorse', '#f8d46f'), ink('Leat', '#0097a7'), ink('Skerry', '#005487'))).toBe(
    'Light yellow through bright greenish blue to deep blue, evenly stepped; new on the way, a light yellowish green.',
  );
});

test('a colour between two others is told so that the sentence can be read', () => {
  const sentence = told(ink('Gorse', '#f8d46f'), ink('Weir', '#5bbfc5'), ink('Tarn', '#1f4f7a'));
  expect(sentence).toMatch(/ through something between green and blue to /);
});

test('uneven steps are told as they are read, in the middle of the sentence', () => {
  const inks = [ink('Gorse', '#f8d46f'), ink('Marigold', '#eebb55'), ink('Skerry', '#005487')];
  const { description } = readLadder(resolvedOf(inks)).spacing;
  expect(description).toMatch(/^[A-Z].*[a-z] [a-z]/);
  expect(description).not.toMatch(/^Evenly/);
  expect(told(...inks)).toContain(`, ${description.charAt(0).toLowerCase()}${description.slice(1)}; `);
});

test('what would spoil it is told before what is new', () => {
  expect(told(ink('Haw', '#b3262f', 'dye'), ink('Alder', '#5b8f3a', 'dye'))).toMatch(
    /^Bright red to .* in one step; mud on the way, a/,
  );
  expect(told(ink('Gorse', '#f8d46f'), ink('Sloe', '#ae9ecc'))).toBe(
    'Light yellow to light purple, in one step; it dulls on the way to a dull pink.',
  );
  const alike = [ink('Leat', '#0097a7'), ink('Leat 2', '#0b9aa9'), ink('Gorse', '#f8d46f')];
  expect(told(...alike)).toMatch(/; two of them too alike to be told apart\.$/);
});

test('how many are lost on a card is told, and where it is all of them', () => {
  const onBlack = (...inks: readonly ReturnType<typeof ink>[]) =>
    describeLadder(readLadder(resolvedOf(inks, BLACK_CARD)));
  const [dye, other] = [ink('Thrift', '#f6b5c5', 'dye'), ink('Vetch', '#9769b8', 'dye')];
  expect(onBlack(dye, other)).toMatch(/; all of it lost on this card\.$/);
  expect(onBlack(ink('Haar', '#dfe4e6', 'pigment'), dye)).toMatch(/; one lost on this card\.$/);
});

const anyHex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((number): Hex => `#${number.toString(16).padStart(6, '0')}`);

test('even steps are told as stepped, in whichever order they lie', () => {
  const greys = ['#c6c6c6', '#777777', '#303030'].map((hex, i) => ink(`ink ${i}`, hex as Hex));
  const [pale, middle, dark] = greys as [Ink, Ink, Ink];
  expect(told(pale, middle, dark)).toContain(', evenly stepped; ');
  expect(told(middle, dark, pale)).toMatch(/, evenly stepped; not from light to dark; /);
});

test('it holds no figure, whatever the inks', () => {
  fc.assert(
    fc.property(fc.array(anyHex, { minLength: 2, maxLength: 5 }), (colours) => {
      const sentence = told(...colours.map((hex, i) => ink(`ink ${i}`, hex)));
      expect(sentence).toMatch(/^[A-Z][^;]*; .*\.$/);
      expect(sentence).not.toMatch(/L\*|ΔE/);
    }),
    { numRuns: 30 },
  );
});

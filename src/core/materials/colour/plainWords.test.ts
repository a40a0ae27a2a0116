import { expect, test } from 'vitest';
import { STANDARD_1912 } from '../../../testing/colourSets';
import { type Hex, labOfHex } from './hex';
import { COLOUR_NAMES, centroidOf, nameColour } from './names';
import { aPlainColour, plainColour } from './plainWords';

const named = (name: string) => centroidOf(COLOUR_NAMES.findIndex((one) => one.name === name));

test('a maker’s words for a designation: the hue, and dull, bright, deep or pale before it', () => {
  // The centroids of designations of ISCC–NBS.
  expect(aPlainColour(named('grayish green'))).toBe('a dull green');
  expect(aPlainColour(named('vivid red'))).toBe('a bright red');
  expect(aPlainColour(named('moderate orange'))).toBe('an orange');
  expect(aPlainColour(named('dark grayish blue'))).toBe('a dark dull blue');
  expect(plainColour(named('medium gray'))).toBe('grey');
});

test('a colour that could be called either of two is told as between them', () => {
  const [one, other] = [named('moderate orange'), named('light brown')];
  const between = plainColour({
    l: (one.l + other.l) / 2,
    a: (one.a + other.a) / 2,
    b: (one.b + other.b) / 2,
  });
  expect(between).toMatch(/^between (orange and brown|brown and orange)$/);
  expect(
    aPlainColour({ l: (one.l + other.l) / 2, a: (one.a + other.a) / 2, b: (one.b + other.b) / 2 }),
  ).toMatch(/^something between /);
});

test('plain words name the designation’s own hue, or two of which it is one, over the 1912 standard', () => {
  for (const { hex } of STANDARD_1912) {
    const lab = labOfHex(hex as Hex);
    const { noun, hue } = nameColour(lab);
    const plain = plainColour(lab)
      .replaceAll('grey', 'gray')
      .replaceAll('golden yellow', 'orange yellow')
      .replaceAll('yellow-green', 'yellow green');
    expect(plain).toContain(plain.startsWith('between ') ? noun : hue);
    expect(plain).not.toMatch(/moderate|medium|vivid|brilliant/);
  }
});

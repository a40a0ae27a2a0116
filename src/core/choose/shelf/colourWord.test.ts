import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { labOfHex } from '../../materials/colour/hex';
import { hueDegrees } from '../../materials/colour/lab';
import { SPOKEN_COLOURS } from '../../materials/colour/spokenColours';
import { nearColour, spokenColour } from './colourWord';

const shelf = DEMO_INKS.map((ink) => ({ ink, lab: labOfHex(ink.overWhite) }));
const called = (words: string) => {
  const spoken = spokenColour(words);
  return spoken ? nearColour(spoken, shelf).map(({ ink }) => ink.name) : [];
};

test('turquoise finds blue greens, dusty pink pinks, and neither the other', () => {
  const hueOf = (name: string | undefined) =>
    hueDegrees(labOfHex(DEMO_INKS.find((ink) => ink.name === name)?.overWhite ?? '#000000'));
  const [turquoise] = called('turquoise');
  expect(hueOf(turquoise)).toBeGreaterThan(150);
  expect(hueOf(turquoise)).toBeLessThan(240);
  const [pink] = called('dusty pink');
  expect(Math.min(hueOf(pink), 360 - hueOf(pink))).toBeLessThan(60);
  expect(called('dusty pink')).not.toContain(turquoise);
});

test('a name not typed to its end is the shortest that begins so; grey and gray are one', () => {
  expect(spokenColour('turqu')?.name).toBe('turquoise');
  expect(spokenColour('Gray')).toEqual(spokenColour('grey'));
  expect(spokenColour('te')).toBeUndefined();
  expect(spokenColour('batch')).toBeUndefined();
});

test('every spoken colour is a name and a colour', () => {
  for (const row of SPOKEN_COLOURS) expect(row).toMatch(/^[a-z' /-]+ #[0-9a-f]{6}$/);
});

import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { STANDARD_1912 } from '../../../testing/colourSets';
import { confusionTable, surveyNames } from '../../../testing/survey';
import { deltaE00 } from './difference';
import { labOfHex } from './hex';
import { ISCC_NBS_CENTROIDS } from './isccNbsCentroids';
import { COLOUR_NAMES, nameColour } from './names';

test('there are 267 designations, each named at its own centroid', () => {
  expect(new Set(COLOUR_NAMES.map(({ name }) => name)).size).toBe(267);
  for (const [name, hex] of ISCC_NBS_CENTROIDS) expect(nameColour(labOfHex(hex)).name).toBe(name);
});

test('the pruned search finds what looking at all 267 finds', () => {
  const centroids = ISCC_NBS_CENTROIDS.map(([name, hex]) => ({ name, lab: labOfHex(hex) }));
  for (const { hex } of STANDARD_1912.filter((_, i) => i % 5 === 0)) {
    const lab = labOfHex(hex);
    const nearest = centroids.reduce((p, q) => (deltaE00(lab, q.lab) < deltaE00(lab, p.lab) ? q : p));
    expect(nameColour(lab).name).toBe(nearest.name);
  }
});

test('a designation is split into modifiers, hue and noun', () => {
  const of = (name: string) => COLOUR_NAMES.find((colour) => colour.name === name);
  expect(of('dark grayish olive green')).toMatchObject({ hue: 'olive green', noun: 'olive green' });
  expect(of('moderate yellowish brown')).toMatchObject({ hue: 'yellowish brown', noun: 'brown' });
  expect(of('dark greenish gray')).toMatchObject({ hue: 'greenish gray', noun: 'gray' });
  expect(of('vivid yellow green')).toMatchObject({ hue: 'yellow green', noun: 'yellow green' });
});

test('at least 80 % of the surveyed names with a basic colour word agree in family, as docs/ reports', () => {
  const surveyed = surveyNames();
  expect(surveyed.length).toBeGreaterThan(500);
  expect(surveyed.filter(({ agrees }) => agrees).length / surveyed.length).toBeGreaterThanOrEqual(0.8);
  expect(readFileSync('docs/survey-names.md', 'utf8')).toContain(confusionTable(surveyed));
});

import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { evidenceOf } from '../keep/learn/fromLog';
import { placeColour } from '../keep/learn/tell';
import { type MadePanel, madeOf } from '../keep/log/made';
import { labOfHex } from '../materials/colour/hex';
import { readLogFile, readPlaces, writeLogFile } from './logFile';

const inks = [ink('Gorse Pale', '#f2dc8a'), ink('Leat Mid', '#2a6f8a')].map((one, i) => ({
  ...one,
  id: `ink-${i}`,
}));
const allows = new Ajv({ strictTuples: false, formats: { date: true } }).compile(
  JSON.parse(readFileSync('docs/formats/log-1.schema.json', 'utf8')),
);
const panel: MadePanel = {
  id: 'panel-7',
  number: 7,
  date: '2026-05-01',
  name: 'For the kiln',
  made: madeOf(resolvedOf(inks)),
  occasion: 'the neighbours',
  rating: 4,
  favourite: true,
  tags: ['spring'],
  times: [{ key: 'lay r1', title: 'Lay Gorse Pale', minutes: 1.5 }],
  troubles: ['hardLine'],
  differently: 'wider joint',
  readings: [
    { at: { x: 40, y: 20 }, lab: { l: 80, a: 1, b: 40 }, source: 'photograph', noise: 2 },
    {
      layers: [[{ ink: 'Leat Mid', coats: 1 }]],
      card: '#ffffff',
      lab: { l: 44, a: -12, b: -20 },
      source: 'reader',
      noise: 0.5,
    },
  ],
};
const least = {
  format: 'tint-ladder/log',
  version: 1,
  panels: [
    {
      number: 1,
      date: '2026-05-01',
      readings: [
        {
          coats: [
            { ink: 'Gorse Pale', coats: 0.75 },
            { ink: 'Leat Mid', coats: 0.25 },
          ],
          card: '#ffffff',
          lab: [71.2, -9.8, 31.5],
          source: 'reader',
          noise: 0.5,
        },
      ],
    },
  ],
};

test('a log comes back as it was written, and fits the published schema', () => {
  const text = writeLogFile([panel]);
  expect(allows(JSON.parse(text)), JSON.stringify(allows.errors)).toBe(true);
  const [read] = readLogFile(text);
  expect(read).toMatchObject({ ...panel, made: expect.anything() });
  expect(read?.made?.recipe.rungs.map(({ inkId }) => inkId)).toEqual(inks.map(({ id }) => id));
});

test('the least there has to be is read', () => {
  expect(allows(least)).toBe(true);
  const { panels, unusable } = evidenceOf(readLogFile(JSON.stringify(least)), inks);
  expect(unusable).toEqual([]);
  expect(panels[0]?.readings[0]?.layers[0]?.map(({ coats }) => coats)).toEqual([0.75, 0.25]);
});

test('a place on a panel is what its recipe lays there', () => {
  const { panels } = evidenceOf([panel], inks);
  const [top] = panels[0]?.readings ?? [];
  expect(top?.layers[0]?.map(({ ink: one }) => one.name)).toEqual(['Gorse Pale']);
  expect(top && placeColour(top).l).toBeGreaterThan(75);
});

test('a spectrum will do in place of a colour', () => {
  const [reading] = least.panels[0]?.readings ?? [];
  const { lab: _, ...rest } = reading ?? { lab: [] };
  const file = {
    ...least,
    panels: [
      { ...least.panels[0], readings: [{ ...rest, spectrum: { nm: [380, 730], values: [0.5, 0.5] } }] },
    ],
  };
  expect(allows(file)).toBe(true);
  expect(readLogFile(JSON.stringify(file))[0]?.readings[0]?.lab.l).toBeCloseTo(labOfHex('#bcbcbc').l, 0);
});

test('what is wrong is told with its place', () => {
  const wrong = (change: (file: ReturnType<typeof JSON.parse>) => void) => {
    const file = JSON.parse(JSON.stringify(least));
    change(file);
    return () => readLogFile(JSON.stringify(file));
  };
  expect(wrong((f) => (f.panels[0].date = '2026-02-30'))).toThrow(/panels\[0\]\.date.*2026-05-01/);
  expect(wrong((f) => (f.panels[0].readings[0].lab = [120, 0, 0]))).toThrow(
    /panels\[0\]\.readings\[0\]\.lab/,
  );
  expect(wrong((f) => delete f.panels[0].readings[0].lab)).toThrow(/readings\[0\].*lab or spectrum/);
  expect(wrong((f) => (f.panels[0].readings[0].coats[0].coats = -1))).toThrow(/coats\[0\]\.coats/);
  expect(wrong((f) => (f.panels[0].recipe = { format: 'x' }))).toThrow(/panels\[0\]\.recipe\.format/);
  expect(wrong((f) => (f.version = 9))).toThrow(/version/i);
  expect(() => readPlaces('{"readings":[{"coats":[{"ink":"Nobody","coats":1}]}]}', inks)).toThrow(
    /readings\[0\].*no ink of the shelf is called "Nobody"/,
  );
});

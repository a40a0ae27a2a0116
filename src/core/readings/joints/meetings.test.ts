import { expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import { groundOfCard } from '../../materials/card/card';
import { hexOfLab, labOfHex } from '../../materials/colour/hex';
import { OWN_DESIGNS } from '../../materials/design/own';
import { driedColour } from '../../materials/ink/laid';
import { setRun } from '../../recipe/editLadder';
import { meetingsOf } from './meetings';

const yellow = ink('Gorse', '#f2c230');
const green = ink('Alder', '#5b8f3a');
const red = ink('Hawberry', '#b3262f');
const blue = ink('Tarn', '#1f4f7a');
const titles = (of: Parameters<typeof meetingsOf>[0]) => meetingsOf(of).map(({ title }) => title);

test('neighbours of a straight ladder are its joints: nothing else meets', () => {
  expect(meetingsOf(resolvedOf([yellow, green, red]))).toEqual([]);
});

test('in the corners red and green meet though yellow stands between them in the ladder, and make mud (common practice)', () => {
  const resolved = resolvedOf([red, yellow, green, blue]);
  const corners = { ...resolved, recipe: setRun(resolved.recipe, 'corners') };
  expect(titles(corners)).toContain('Hawberry and Alder');
  expect(meetingsOf(corners).find(({ title }) => title === 'Hawberry and Alder')?.verdict.kind).toBe('mud');
});

test('a coat over the blend meets every rung, from the rung alone to the coat over it', () => {
  const coated = withPass(resolvedOf([yellow, green]), 'coat', { ink: blue });
  const met = meetingsOf(coated);
  expect(met.map(({ title }) => title)).toEqual(['Top coat: Tarn over Gorse', 'Top coat: Tarn over Alder']);
  const ground = groundOfCard(WHITE_CARD);
  expect(met[0]?.strip[0]).toBe(hexOfLab(driedColour(yellow, ground)));
  expect(met[1]?.strip[0]).toBe(hexOfLab(driedColour(green, ground)));
});

test('an even coat makes one colour of each ink: purple over yellow is mud, over blue it is not, and a veil changes less (common practice)', () => {
  const purple = ink('Vetch', '#6b3f8f', 'dye');
  const [pale, sky] = [ink('Gorse', '#f8d46f'), ink('Leat', '#93cfdb', 'dye')];
  const coated = (strength: number) =>
    meetingsOf(withPass(resolvedOf([pale, sky]), 'coat', { ink: purple, params: { strength } }));
  const [overYellow, overBlue] = coated(100);
  expect(overYellow?.headline).toMatch(/^Mud: /);
  expect(overBlue?.headline).toMatch(/^Dries to an? .*(purple|violet|blue)$/);
  // What it dries to stands beside the ink alone, and nothing between.
  expect(overYellow?.strip).toHaveLength(2);
  const lightness = (strength: number) => labOfHex(coated(strength)[0]?.strip.at(-1) ?? '#000000').l;
  expect(lightness(30)).toBeGreaterThan(lightness(60));
  expect(lightness(60)).toBeGreaterThan(lightness(100));
});

test('an ink that fades over another shows what neither is: blue over yellow, green (common practice)', () => {
  const edged = meetingsOf(withPass(resolvedOf([ink('Gorse', '#f8d46f'), green]), 'edge', { ink: blue }));
  expect(edged[0]?.headline).toMatch(/^New colour: .*green$/);
});

test('an edge worked in while it is wet mixes, after a heat set it lies on what has dried', () => {
  const pale = resolvedOf([yellow, yellow]);
  const wet = meetingsOf(withPass(pale, 'edge', { ink: blue }))[0]?.strip.at(-1);
  const dried = meetingsOf(withPass(withPass(pale, 'heatSet'), 'edge', { ink: blue }))[0]?.strip.at(-1);
  expect(wet).toMatch(/^#/);
  expect(wet).not.toBe(dried);
});

test('two coats of one ink are told apart; bare card, an ink on itself and designs do not count', () => {
  const twice = withPass(withPass(resolvedOf([yellow, blue]), 'coat', { ink: blue }), 'coat', { ink: blue });
  expect(titles(twice)).toEqual(['Top coat 1: Tarn over Gorse', 'Top coat 2: Tarn over Gorse']);
  const [design] = OWN_DESIGNS;
  if (!design) throw new Error('no design');
  expect(titles(withPass(resolvedOf([yellow, green]), 'silhouette', { ink: blue, design }))).toEqual([]);
});

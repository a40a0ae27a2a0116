import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { deltaE00 } from '../../../materials/colour/difference';
import type { Lab } from '../../../materials/colour/lab';
import { nameColour } from '../../../materials/colour/names';
import { STATIONS } from '../../../readings/joints/joint';
import { emptyJointFigures, type JointFigures, readJoint, UNNAMED } from './jointFigures';
import { INNER } from './jointMixer';
import { NOUNS } from './nounLattice';

const lab = (l: number, a: number, b: number): Lab => ({ l, a, b });
const turned = (hue: number, c: number, l = 50): Lab =>
  lab(l, c * Math.cos((hue * Math.PI) / 180), c * Math.sin((hue * Math.PI) / 180));

/** The figures of a joint through these colours, its ends the first and the last. */
function figuresOf(labs: readonly Lab[], forNew = true): JointFigures {
  const into = emptyJointFigures();
  const nouns = Uint8Array.from(labs, (one) => (forNew ? NOUNS.indexOf(nameColour(one).noun) : UNNAMED));
  readJoint(labs, nouns, forNew, into);
  return into;
}
/** A joint whose inner stations are all one colour, or an even walk, some of them replaced. */
const through = (first: Lab, inner: Lab, last: Lab): Lab[] =>
  Array.from({ length: STATIONS }, (_, i) => (i === 0 ? first : i === STATIONS - 1 ? last : inner));
const even = (first: Lab, last: Lab, instead: Readonly<Record<number, Lab>> = {}): Lab[] =>
  Array.from({ length: STATIONS }, (_, i) => {
    const part = i / (STATIONS - 1);
    return (
      instead[i] ??
      lab(
        first.l + part * (last.l - first.l),
        first.a + part * (last.a - first.a),
        first.b + part * (last.b - first.b),
      )
    );
  });

const [red, blue, violet] = [turned(25, 60), turned(265, 50), turned(320, 45)];

describe('a new colour on the way', () => {
  test('is as wide as the stations that have it, as lively as it is above 20 C*, and has the mean of their hue', () => {
    const figures = figuresOf(through(red, violet, blue));
    expect(figures.wide).toBeCloseTo(1, 9);
    expect(figures.live).toBeCloseTo(45 - 20, 9);
    expect(figures.newHue).toBeCloseTo(320, 6);
    expect(figures.newChroma).toBeCloseTo(45, 6);
    const three = figuresOf(even(red, red, { 3: violet, 4: violet, 5: turned(310, 45) }));
    expect(three.wide).toBeCloseTo(3 / INNER, 9);
    expect(three.live).toBeCloseTo((3 * 25) / INNER, 9);
    expect(three.newHue).toBeGreaterThan(310);
    expect(three.newHue).toBeLessThan(320);
  });

  test('is none where it is dull, near a rung in hue, hardly off them, or a brown', () => {
    const wideOf = (inner: Lab) => figuresOf(through(red, inner, blue)).wide;
    expect([wideOf(turned(320, 21)), wideOf(turned(320, 19))]).toEqual([1, 0]);
    expect([wideOf(turned(25 + 24, 60, 75)), wideOf(turned(25 + 20, 60, 75))]).toEqual([1, 0]);
    expect([wideOf(turned(265 - 24, 45, 75)), wideOf(turned(265 - 20, 45, 75))]).toEqual([1, 0]);
    // Far off in hue, and yet within ΔE00 10: both rungs are pale.
    const [paleRed, paleYellow] = [turned(10, 24, 92), turned(100, 24, 92)];
    const between = turned(55, 22, 92);
    expect(Math.min(deltaE00(between, paleRed), deltaE00(between, paleYellow))).toBeGreaterThan(10);
    expect(figuresOf(through(paleRed, between, paleYellow)).wide).toBe(1);
    const near = turned(32.5, 21, 92);
    expect(deltaE00(near, turned(10, 21, 92))).toBeLessThan(10);
    expect(figuresOf(through(turned(10, 21, 92), near, turned(265, 30))).wide).toBe(0);
    const brown = lab(38, 13, 28);
    expect(nameColour(brown).noun).toBe('brown');
    expect(figuresOf(through(turned(330, 50), brown, turned(140, 50))).wide).toBe(0);
  });

  test('names are asked for where nobody has given them, and the figures are the same', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 20, max: 90, noNaN: true }),
            fc.double({ min: 0, max: 360, noNaN: true }),
            fc.double({ min: 0, max: 70, noNaN: true }),
          ),
          {
            minLength: STATIONS,
            maxLength: STATIONS,
          },
        ),
        (walk) => {
          const labs = walk.map(([l, hue, c]) => turned(hue, c, l));
          const { steps: _, fromRungs: __, ...named } = figuresOf(labs, true);
          expect(figuresOf(labs, false)).toMatchObject(named);
        },
      ),
    );
  });
});

describe('how a joint flows', () => {
  test('evenly it is 1, and the less the more of the change is in one step', () => {
    expect(figuresOf(even(red, red)).flow).toBe(1);
    const smooth = figuresOf(even(turned(25, 40, 40), turned(25, 40, 70))).flow;
    const jumping = figuresOf(through(turned(25, 40, 40), turned(25, 40, 42), turned(25, 40, 70))).flow;
    expect(smooth).toBeGreaterThan(0.9);
    expect(jumping).toBeLessThan(0.2);
  });

  test('it is as dull as its least colourful station, the rungs left out', () => {
    expect(figuresOf(even(turned(25, 5), blue, { 4: turned(300, 12) })).dullest).toBeLessThanOrEqual(12);
    expect(figuresOf(through(turned(25, 2), violet, turned(200, 1))).dullest).toBeCloseTo(45, 9);
  });

  test('its middle is the middle station, and it bows to the side it leaves the straight way', () => {
    const bent = even(red, blue, { [(STATIONS - 1) / 2]: violet });
    expect([figuresOf(bent).mixA, figuresOf(bent).mixB]).toEqual([violet.a, violet.b]);
    expect(figuresOf(even(red, blue)).bow).toBeCloseTo(0, 9);
    const one = figuresOf(even(red, blue, { 5: turned(320, 60) })).bow;
    expect(figuresOf(even(blue, red, { 5: turned(320, 60) })).bow).toBeCloseTo(-one, 9);
    expect(
      Math.abs(figuresOf(even(red, blue, { 4: turned(320, 60), 5: turned(320, 60) })).bow),
    ).toBeGreaterThan(Math.abs(one));
    // Ends of one hue have no straight way to leave.
    expect(figuresOf(even(red, red, { 5: violet })).bow).toBe(0);
  });
});

test('steps are told where a name is met at one station only, distances from the rungs where a new colour is looked for', () => {
  const lone = even(red, blue, { 4: turned(140, 50) });
  const { steps, fromRungs } = figuresOf(lone);
  expect(steps[3]).toBeCloseTo(deltaE00(lone[3] as Lab, lone[4] as Lab), 9);
  expect(fromRungs[4]).toBeCloseTo(
    Math.min(deltaE00(lone[4] as Lab, red), deltaE00(lone[4] as Lab, blue)),
    9,
  );
  const plain = figuresOf(through(red, violet, blue));
  expect([...plain.steps]).toEqual(Array.from({ length: STATIONS - 1 }, () => 1));
});

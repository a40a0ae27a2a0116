import { describe, expect, test } from 'vitest';
import { deltaE00 } from '../../materials/colour/difference';
import { type Lab, labOfXyz } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
import {
  describeVerdict,
  judgeJoint,
  namesOnTheWay,
  QUIETER,
  STATIONS,
  type Station,
  TOO_ALIKE,
} from './joint';

/** A joint through these colours, as if it had been walked. */
const walked = (labs: readonly Lab[]): Station[] =>
  labs.map((lab, i) => ({ mix: i / (labs.length - 1), lab, colour: nameColour(lab) }));
const lab = (l: number, a: number, b: number): Lab => ({ l, a, b });
const between = (p: Lab, q: Lab, part: number): Lab =>
  lab(p.l + part * (q.l - p.l), p.a + part * (q.a - p.a), p.b + part * (q.b - p.b));
/** An even walk from one colour to another, some stations of it replaced. */
const evenWalk = (from: Lab, to: Lab, instead: Readonly<Record<number, Lab>> = {}): Station[] =>
  walked(Array.from({ length: STATIONS }, (_, i) => instead[i] ?? between(from, to, i / (STATIONS - 1))));

const RED = lab(42, 58, 34);
const GREEN = lab(52, -38, 40);
const BROWN = lab(38, 13, 24);

test('colours of the trade have the names the cases below go by', () => {
  expect([RED, GREEN, BROWN].map((one) => nameColour(one).noun)).toEqual(['red', 'green', 'brown']);
  expect(nameColour(labOfXyz({ x: 0.2, y: 0.21, z: 0.23 })).noun).toBe('gray');
});

describe('too alike', () => {
  const to = (far: number) => lab(50, 40, 20 + far);
  test('just below ΔE00 5, and no longer just above', () => {
    const from = to(0);
    const at =
      Array.from({ length: 200 }, (_, i) => i / 10).find((far) => deltaE00(from, to(far)) > TOO_ALIKE) ?? 0;
    expect(judgeJoint(evenWalk(from, to(at - 0.2))).kind).toBe('too alike');
    expect(judgeJoint(evenWalk(from, to(at + 0.2))).kind).not.toBe('too alike');
  });
});

describe('mud', () => {
  const middle = (STATIONS - 1) / 2;
  test('two brown stations side by side in the middle half are a stretch; its dullest decides', () => {
    const duller = lab(38, 11, 20);
    const verdict = judgeJoint(evenWalk(RED, GREEN, { [middle]: BROWN, [middle + 1]: duller }));
    expect(verdict.kind).toBe('mud');
    expect(verdict.decidedBy.lab).toEqual(duller);
    expect(describeVerdict(verdict).reason).toContain('duller than either ink');
  });
  test('one alone is a flick no eye finds, and near an end it is no mud: the joint is kept narrow', () => {
    const clean = lab(52, 40, 50);
    const rest = Object.fromEntries(Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, clean]));
    for (const browns of [{ [middle]: BROWN }, { 1: BROWN, 2: BROWN }]) {
      const verdict = judgeJoint(evenWalk(RED, GREEN, { ...rest, ...browns }));
      expect(verdict.kind).toBe('new colour');
      expect(verdict.keepNarrow).toBe(true);
      expect(describeVerdict(verdict).reason).toMatch(/Keep it narrow\.$|Keep it narrow\. /);
    }
  });
  test('a rung that is brown itself has no mud on the way, nor has a brown more colourful than a rung', () => {
    expect(judgeJoint(evenWalk(BROWN, GREEN, { [middle]: BROWN, [middle + 1]: BROWN })).kind).not.toBe('mud');
    const [dullRed, dullGreen] = [lab(42, 12, 6), lab(52, -10, 9)];
    const strong = { [middle]: BROWN, [middle + 1]: BROWN };
    expect(judgeJoint(evenWalk(dullRed, dullGreen, strong)).kind).not.toBe('mud');
  });
});

describe('an abrupt step', () => {
  /** Greys of which one step makes such a part of the whole way. */
  const steps = (part: number): Station[] => {
    const jump = (part / (1 - part)) * 11;
    const at = Array.from({ length: STATIONS }, (_, i) => 80 - (i < 6 ? i : i - 1 + jump) * 1.5);
    return walked(at.map((l) => lab(l, 0, 0)));
  };
  test('makes more than half of the whole change', () => {
    expect(judgeJoint(steps(0.65)).abrupt?.map(({ mix }) => Math.round(mix * 12))).toEqual([5, 6]);
    expect(judgeJoint(steps(0.4)).abrupt).toBeUndefined();
    expect(describeVerdict(judgeJoint(steps(0.65))).reason).toContain(
      'Abrupt: most of the change falls between',
    );
  });
});

test('a middle is quieter below seven tenths of the weaker rung’s chroma', () => {
  const [from, to] = [lab(60, 40, 0), lab(50, 40, 0)];
  const withMiddle = (part: number) => judgeJoint(evenWalk(from, to, { 6: lab(55, 40 * part, 0) }));
  expect(withMiddle(QUIETER - 0.02).quieter).toBe(true);
  expect(withMiddle(QUIETER + 0.02).quieter).toBe(false);
});

test('each verdict is told with what, why and what to do', () => {
  const red = { mix: 0.5, lab: RED, colour: nameColour(RED) };
  const told = (change: Partial<Parameters<typeof describeVerdict>[0]>) =>
    describeVerdict({ kind: 'clean run', decidedBy: red, keepNarrow: false, quieter: false, ...change });
  const name = nameColour(RED).name;
  expect(told({})).toEqual({ headline: 'Clean run', reason: `Goes over by ${name}.` });
  expect(told({ quieter: true }).reason).toBe(`Goes over by ${name}, quieter than either ink.`);
  expect(told({ kind: 'new colour', quieter: true, keepNarrow: true }).reason).toBe(
    `The overlap makes a ${name} that neither ink has, with a quieter stretch on the way. Keep it narrow.`,
  );
  expect(told({ kind: 'too alike', keepNarrow: true }).reason).toBe(
    `Both dry to about the same ${name}; the joint will hardly be seen.`,
  );
  expect(told({ kind: 'mud' }).headline).toBe(`Mud: ${nameColour(RED).hue}`);
});

test('names met on the way are told once each, in order, without the rungs’ own', () => {
  const names = namesOnTheWay(evenWalk(lab(85, 0, 80), lab(40, 40, -50)));
  const all = evenWalk(lab(85, 0, 80), lab(40, 40, -50)).map(({ colour }) => colour.name);
  const ends = [all[0], all.at(-1)];
  expect(names).toEqual([...new Set(all.filter((name) => !ends.includes(name)))]);
  expect(names.length).toBeGreaterThan(2);
  for (const end of ends) expect(names).not.toContain(end);
});

import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { COLOURLESS, chroma, type Lab, labOfXyz } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
import { aPlainColour, plainColour } from '../../materials/colour/plainWords';
import type { Ink } from '../../materials/ink/ink';
import {
  describeVerdict,
  judgeJoint,
  namesOnTheWay,
  QUIETER,
  STATIONS,
  type Station,
  TOO_ALIKE,
  walkJoint,
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

/** What becomes of two inks on white. */
const makes = (one: Ink, other: Ink) => judgeJoint(walkJoint(one, other, bareGround(WHITE_CARD)));

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
  test('one alone is a flick no eye finds', () => {
    const clean = lab(52, 40, 50);
    const rest = Object.fromEntries(Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, clean]));
    expect(judgeJoint(evenWalk(RED, GREEN, { ...rest, [middle]: BROWN })).kind).toBe('new colour');
    expect(judgeJoint(evenWalk(RED, GREEN, { ...rest, [middle]: BROWN, [middle + 1]: BROWN })).kind).toBe(
      'mud',
    );
  });
  test('a pale stretch of it only dulls, and is told softer', () => {
    const greyed = (l: number) => ({ [middle]: lab(l, 8, 6), [middle + 1]: lab(l, 8, 6) });
    const [coral, sky] = [lab(68, 48, 30), lab(72, -12, -28)];
    const rest = Object.fromEntries(
      Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, lab(70, 30, -30)]),
    );
    const pale = judgeJoint(evenWalk(coral, sky, { ...rest, ...greyed(70) }));
    expect(pale.kind).toBe('dulls');
    expect(describeVerdict(pale).headline).toMatch(/^Dulls: /);
    expect(judgeJoint(evenWalk(coral, sky, { ...rest, ...greyed(60) })).kind).toBe('mud');
  });
  test('what is lively still is not dull, though the inks are livelier; a dark orange is a brown, a dark red is red', () => {
    const stretch = (l: number, c: number, hue: number) => {
      const turned = (hue * Math.PI) / 180;
      const dull = lab(l, c * Math.cos(turned), c * Math.sin(turned));
      const all = Object.fromEntries(Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, dull]));
      return judgeJoint(evenWalk(lab(80, 20, 70), lab(60, 70, -10), all)).kind;
    };
    const asked = [
      [70, 34, 60],
      [60, 37, 60],
      [50, 52, 60],
      [35, 33, 10],
      [50, 37, 35],
    ] as const;
    expect(asked.map(([l, c, hue]) => stretch(l, c, hue))).toEqual(['dulls', 'mud', 'mud', 'mud', 'mud']);
    for (const [l, c, hue] of [...asked, [35, 33, 350]] as const)
      expect(stretch(l, c + 3, hue)).not.toMatch(/mud|dulls/);
  });
  test('a pale yellow and a bright pink make coral, yellow and magenta red (common practice)', () => {
    const pairs = [
      ['#f8d46f', '#e55b8e'],
      ['#e3b20f', '#a7498a'],
    ] as const;
    for (const [one, other] of pairs) {
      const { kind, decidedBy } = makes(ink('one', one), ink('other', other));
      expect(kind).toBe('new colour');
      expect(decidedBy.colour.name).toMatch(/orange|red|pink/);
    }
  });
  test('greyed greens and blues are liked: only rose, brown and olive are mud', () => {
    const greyed = (a: number, b: number) => {
      const dull = lab(45, a, b);
      const all = Object.fromEntries(Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, dull]));
      return judgeJoint(evenWalk(lab(60, 50, 20), lab(50, -40, -10), all)).kind;
    };
    expect(greyed(-8, 3)).not.toBe('mud');
    expect(greyed(0, -9)).not.toBe('mud');
    expect(greyed(8, 4)).toBe('mud');
    expect(greyed(3, 9)).toBe('mud');
    // Greyed so far that no hue is left they are grey.
    expect(greyed(-4, 2)).toBe('mud');
    expect(greyed(0, -4)).toBe('mud');
  });
  test('inks that grey each other dull, whatever the grey leans to; a grey is nobody’s new colour', () => {
    const greyed = (a: number, b: number, first = lab(60, 50, 20)) => {
      const all = Object.fromEntries(Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, lab(45, a, b)]));
      return judgeJoint(evenWalk(first, lab(50, -40, -10), all)).kind;
    };
    expect([greyed(-6, 4), greyed(0, -7), greyed(-7, 5)]).toEqual(['dulls', 'dulls', 'clean run']);
    // A grey rung has nothing to lose, and what it is blended with does not gain it.
    expect(greyed(2, -3, lab(70, 4, 4))).toBe('clean run');
    const made = DEMO_INKS.flatMap((one, i) => DEMO_INKS.slice(i + 1).map((other) => makes(one, other)));
    const fresh = made.filter(({ kind }) => kind === 'new colour').map(({ decidedBy }) => decidedBy);
    expect(fresh.length).toBeGreaterThan(500);
    expect(fresh.filter(({ lab: at, colour }) => chroma(at) < COLOURLESS || colour.noun === 'gray')).toEqual(
      [],
    );
    expect(makes(ink('violet', '#7a5aa8'), ink('leaf', '#9bb83f')).kind).toMatch(/mud|dulls/);
  });
  test('olive is mud only where it is dark, greyed rose up to the limit for all', () => {
    const stretch = (l: number, hue: number) => {
      const turned = (hue * Math.PI) / 180;
      const dull = lab(l, 10 * Math.cos(turned), 10 * Math.sin(turned));
      const all = Object.fromEntries(Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, dull]));
      return judgeJoint(evenWalk(lab(62, 50, 30), lab(58, -40, 30), all)).kind;
    };
    expect([stretch(54, 112), stretch(60, 112), stretch(60, 95)]).toEqual(['mud', 'dulls', 'mud']);
    expect([stretch(60, 350), stretch(66, 350), stretch(60, 341), stretch(60, 330)]).toEqual([
      'mud',
      'dulls',
      'mud',
      stretch(45, 330),
    ]);
    expect(stretch(60, 330)).not.toBe('mud');
  });
  test('a rung that has hardly a colour has none to lose', () => {
    const [dullRed, dullGreen] = [lab(42, 9, 4), lab(52, -8, 6)];
    const grey = { [middle]: lab(45, 1, 1), [middle + 1]: lab(45, 1, 1) };
    expect(judgeJoint(evenWalk(dullRed, dullGreen, grey)).kind).not.toBe('mud');
  });
  test('is judged on white, whatever the card: the eye makes allowance for it', () => {
    const clear = Object.fromEntries(
      Array.from({ length: STATIONS - 2 }, (_, i) => [i + 1, lab(50, 55 - 8 * i, 55)]),
    );
    const [muddy, clean] = [{ ...clear, [middle]: BROWN, [middle + 1]: BROWN }, clear].map((instead) =>
      evenWalk(RED, GREEN, instead),
    ) as [Station[], Station[]];
    expect(judgeJoint(clean, muddy).kind).toBe('mud');
    expect(judgeJoint(muddy, clean).kind).not.toBe('mud');
  });
});

describe('a new colour', () => {
  test('is the widest that neither ink has, told where it is farthest from both', () => {
    const [red, blue] = [lab(48, 62, 34), lab(40, -2, -48)];
    // Two stations of one noun, then eight steps of another.
    const purple = Object.fromEntries(
      Array.from({ length: 8 }, (_, i) => [i + 3, lab(44 - i / 2, 56 - 5 * i, -20 - 3 * i)]),
    );
    const walk = evenWalk(red, blue, { 1: lab(47, 63, 12), 2: lab(47, 63, 6), ...purple });
    const nouns = walk.map(({ colour }) => colour.noun);
    const counts = (noun: string) => nouns.filter((other) => other === noun).length;
    const verdict = judgeJoint(walk);
    expect(verdict.kind).toBe('new colour');
    const fresh = [...new Set(nouns.slice(1, -1))].filter(
      (noun) => noun !== nouns[0] && noun !== nouns.at(-1),
    );
    expect(fresh.length).toBeGreaterThan(1);
    expect(counts(verdict.decidedBy.colour.noun)).toBe(Math.max(...fresh.map(counts)));
    const far = ({ lab: at }: Station) => Math.min(deltaE00(at, red), deltaE00(at, blue));
    const same = walk.filter(({ colour }) => colour.noun === verdict.decidedBy.colour.noun);
    expect(far(verdict.decidedBy)).toBe(Math.max(...same.map(far)));
  });
  test('depths of one hue are a clean run, whatever the names on the way', () => {
    const depths = evenWalk(lab(88, -18, 60), lab(35, -12, 42));
    expect(new Set(depths.map(({ colour }) => colour.noun)).size).toBeGreaterThan(2);
    expect(judgeJoint(depths).kind).toBe('clean run');
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
    describeVerdict({ kind: 'clean run', decidedBy: red, quieter: false, ...change });
  const name = aPlainColour(RED);
  expect(told({})).toEqual({ headline: 'Clean run', reason: `Passes through ${name}.` });
  expect(told({ quieter: true }).reason).toBe(`Passes through ${name}, quieter than either ink.`);
  expect(told({ kind: 'new colour', quieter: true }).reason).toBe(
    `The overlap makes ${name} that neither ink has, with a quieter stretch on the way.`,
  );
  expect(told({ kind: 'dulls' }).reason).toBe(
    `Greys on the way to ${name}, softer than either ink. Keep the joint narrow, or put a middle ink between.`,
  );
  expect(told({ kind: 'too alike' }).reason).toBe(
    `Both dry to ${name}, or nearly; the joint will hardly be seen.`,
  );
  expect(told({ kind: 'mud' }).headline).toBe(`Mud: ${plainColour(RED)}`);
});

test('names met on the way are told once each, in order, without the rungs’ own', () => {
  const names = namesOnTheWay(evenWalk(lab(85, 0, 80), lab(40, 40, -50)));
  const all = evenWalk(lab(85, 0, 80), lab(40, 40, -50)).map(({ colour }) => colour.name);
  const ends = [all[0], all.at(-1)];
  expect(names).toEqual([...new Set(all.filter((name) => !ends.includes(name)))]);
  expect(names.length).toBeGreaterThan(2);
  for (const end of ends) expect(names).not.toContain(end);
});

import { expect, test } from 'vitest';
import { choice, describeParam, fitParams, initialParams, type MeasureSpec } from './params';
import { capitalised, percentOf } from './words';

const PANEL = { width: 100, height: 150 };
const depth: MeasureSpec = {
  label: 'Depth',
  unit: 'mm',
  min: 3,
  max: 60,
  step: 0.5,
  initial: ({ width }) => width / 10,
};
const pen = choice('Pen', { white: 'white', gold: 'gold' }, 'white');
const count: MeasureSpec = { label: 'Drops', unit: '×', min: 1, max: 9, step: 1, initial: () => 4 };

test('parts are told as whole per cents, and a sentence begins with a capital', () => {
  expect([percentOf(0.634), percentOf(0), percentOf(1)]).toEqual(['63 %', '0 %', '100 %']);
  expect([capitalised('mud'), capitalised('')]).toEqual(['Mud', '']);
});

test('a parameter is told with its unit, a choice by its words, and what is none as none', () => {
  expect(describeParam(depth, 12.5, 'mm', PANEL)).toBe('12.5 mm');
  expect(describeParam(depth, 12.7, 'in', PANEL)).toBe('1/2 in');
  expect(describeParam(count, 4, 'mm', PANEL)).toBe('4');
  expect(describeParam(pen, 'gold', 'mm', PANEL)).toBe('gold');
  expect([describeParam(pen, 'lead', 'mm', PANEL), describeParam(depth, undefined, 'mm', PANEL)]).toEqual([
    'none',
    'none',
  ]);
});

test('values are held to what their specs allow; what is missing or unknown starts where it does', () => {
  const specs = { depth, pen, count };
  expect(initialParams(specs, PANEL)).toEqual({ depth: 10, pen: 'white', count: 4 });
  expect(fitParams(specs, { depth: 900, pen: 'lead', count: 2.6, more: 1 }, PANEL)).toEqual({
    depth: 60,
    pen: 'white',
    count: 3,
  });
  expect(Object.is(fitParams({ x: { ...depth, min: -5 } }, { x: -0 }, PANEL).x, 0)).toBe(true);
});

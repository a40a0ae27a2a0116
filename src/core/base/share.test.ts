import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shareWith } from './share';

const anyPlain = fc.jsonValue({ maxDepth: 4 });

test('what comes back equals the later value, whatever the earlier one was', () => {
  fc.assert(
    fc.property(anyPlain, anyPlain, (earlier, later) => {
      expect(shareWith(earlier, later)).toEqual(later);
    }),
  );
});

test('an equal copy comes back as the value it is a copy of', () => {
  fc.assert(
    fc.property(fc.array(anyPlain), (value) => {
      expect(shareWith(value, structuredClone(value))).toBe(value);
    }),
  );
});

test('only what changed is new', () => {
  const earlier = { run: { id: 'glow', x: 1 }, rungs: [{ id: 'r1' }, { id: 'r2' }] };
  const later = shareWith(earlier, { run: { id: 'glow', x: 1 }, rungs: [{ id: 'r1' }, { id: 'r3' }] });
  expect(later).not.toBe(earlier);
  expect(later.run).toBe(earlier.run);
  expect(later.rungs[0]).toBe(earlier.rungs[0]);
  expect(later.rungs).not.toBe(earlier.rungs);
});

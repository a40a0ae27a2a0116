import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { INK_KINDS } from '../../materials/ink/kinds';
import { allowKind, allowsKind, BLENDED_KINDS, type Constraints, NO_CONSTRAINTS, trioKey } from './query';

describe('kinds of ink a trio may be made of', () => {
  const pressed = (constraints: Constraints, kind: (typeof BLENDED_KINDS)[number], allowed: boolean) => ({
    ...constraints,
    ...allowKind(constraints, kind, allowed),
  });

  const opened = (constraints: Constraints) => BLENDED_KINDS.filter((kind) => allowsKind(constraints, kind));

  test('are the usual ones until others are asked for: no white, and no fluorescent, which is not modelled', () => {
    expect(BLENDED_KINDS.every((kind) => INK_KINDS[kind].blends)).toBe(true);
    expect(opened(NO_CONSTRAINTS)).toEqual(['dye', 'hybrid', 'pigment']);
    expect(opened(pressed(NO_CONSTRAINTS, 'dye', false))).toEqual(['hybrid', 'pigment']);
    expect(opened(pressed(NO_CONSTRAINTS, 'fluorescent', true))).toContain('fluorescent');
  });

  test('are said by none where they are the usual ones again', () => {
    expect(pressed(pressed(NO_CONSTRAINTS, 'dye', false), 'dye', true).kinds).toEqual([]);
  });

  test('always leave one, whatever is pressed', () => {
    const dyes: Constraints = { ...NO_CONSTRAINTS, kinds: ['dye'] };
    expect(pressed(dyes, 'dye', false)).toEqual(dyes);
    const press = fc.record({ kind: fc.constantFrom(...BLENDED_KINDS), allowed: fc.boolean() });
    fc.assert(
      fc.property(fc.array(press, { maxLength: 12 }), (presses) => {
        let now: Constraints = NO_CONSTRAINTS;
        for (const { kind, allowed } of presses) {
          const before = BLENDED_KINDS.filter((one) => allowsKind(now, one));
          now = pressed(now, kind, allowed);
          const open = BLENDED_KINDS.filter((one) => allowsKind(now, one));
          const wanted = BLENDED_KINDS.filter((one) => (one === kind ? allowed : before.includes(one)));
          expect(open).toEqual(wanted.length > 0 ? wanted : before);
        }
      }),
    );
  });
});

test('a trio is known by its three inks, in whatever order they lie', () => {
  const ids = fc.uniqueArray(fc.string({ minLength: 1 }), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(ids, (three) => {
      expect(trioKey(three.toReversed())).toBe(trioKey(three));
    }),
  );
  expect(trioKey(['c', 'a', 'b'])).toBe('a b c');
});

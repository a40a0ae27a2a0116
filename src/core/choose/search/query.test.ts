import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { INK_KINDS } from '../../materials/ink/kinds';
import { allowKind, allowsKind, BLENDED_KINDS, type Constraints, NO_CONSTRAINTS, trioKey } from './query';

describe('kinds of ink a trio may be made of', () => {
  const pressed = (constraints: Constraints, kind: (typeof BLENDED_KINDS)[number], allowed: boolean) => ({
    ...constraints,
    ...allowKind(constraints, kind, allowed),
  });

  test('are all that are blended, until one is taken out', () => {
    expect(BLENDED_KINDS.every((kind) => INK_KINDS[kind].blends)).toBe(true);
    expect(BLENDED_KINDS.every((kind) => allowsKind(NO_CONSTRAINTS, kind))).toBe(true);
    const without = pressed(NO_CONSTRAINTS, 'dye', false);
    expect(without.kinds).toEqual(BLENDED_KINDS.filter((kind) => kind !== 'dye'));
    expect(allowsKind(without, 'dye')).toBe(false);
    expect(allowsKind(without, 'hybrid')).toBe(true);
  });

  test('are said by none where all of them are allowed again', () => {
    expect(pressed(pressed(NO_CONSTRAINTS, 'dye', false), 'dye', true).kinds).toEqual([]);
  });

  test('always leave one, whatever is pressed', () => {
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

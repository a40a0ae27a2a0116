import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bestOfEach } from './considerTrios';
import { byRank, type Trio } from './query';

const trio = (first: number, middle: number, last: number, rank: number): Trio => ({
  first,
  middle,
  last,
  rank,
  fit: rank,
});

describe('what is kept of the trios that are found', () => {
  test('the best come first; of equals those that fit better, then those of paler inks', () => {
    const [low, high, fits, pale] = [
      trio(0, 1, 2, 0.2),
      trio(0, 1, 3, 0.9),
      { ...trio(1, 2, 3, 0.5), fit: 0.8 },
      trio(0, 2, 3, 0.5),
    ];
    const paler = trio(0, 1, 4, 0.5);
    expect([low, pale, paler, high, fits].toSorted(byRank)).toEqual([high, fits, paler, pale, low]);
  });

  test('beyond the best of all, thirty of each ink stay, and no more', () => {
    // Ink 0 is in all of them, the others of its trios are in one each.
    const many = Array.from({ length: 40 }, (_, i) => trio(0, 100, 200, 1 - i / 100));
    expect(bestOfEach(many, 5)).toEqual(many.slice(0, 30));
    expect(bestOfEach(many, 35)).toEqual(many.slice(0, 35));
    // One more of an ink that has few of its own stays, however low it ranks.
    const rare = trio(0, 100, 7, 0.01);
    expect(bestOfEach([rare, ...many], 5)).toEqual([...many.slice(0, 30), rare]);
  });

  test('whatever is found: it is in order, holds the best, and of every ink the best thirty', () => {
    const found = fc.array(
      fc.tuple(fc.nat(6), fc.nat(6), fc.nat(6), fc.double({ min: 0, max: 1, noNaN: true })),
      { maxLength: 120 },
    );
    fc.assert(
      fc.property(found, fc.nat(20), (all, max) => {
        const trios = all.map(([p, q, r, rank]) => trio(p, q + 7, r + 14, rank));
        const kept = bestOfEach(trios, max);
        const sorted = trios.toSorted(byRank);
        expect(kept.toSorted(byRank)).toEqual(kept);
        for (const one of sorted.slice(0, max)) expect(kept).toContain(one);
        for (let ink = 0; ink < 21; ink++) {
          const has = ({ first, middle, last }: Trio) => [first, middle, last].includes(ink);
          for (const one of sorted.filter(has).slice(0, 30)) expect(kept).toContain(one);
        }
      }),
    );
  });
});

import { format } from 'date-fns';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { dayOf } from './day';

test('a day is the one that a calendar library tells, in this machine’s time zone', () => {
  fc.assert(
    fc.property(
      fc.date({ min: new Date('0001-01-02'), max: new Date('9999-12-30'), noInvalidDate: true }),
      (at) => {
        expect(dayOf(at)).toBe(format(at, 'yyyy-MM-dd'));
        expect(dayOf(at.getTime())).toBe(dayOf(at));
      },
    ),
  );
});

import { expect, test } from 'vitest';
import { backupDue } from './mark';

const DAY = 86_400_000;
const now = 100 * DAY;
const mark = { lastSeen: now, recipes: 4, since: 80 * DAY };

test('a backup is asked for after a week without one, told in days, and no more than once a day', () => {
  expect(backupDue(mark, now)).toBe(20);
  expect(backupDue({ ...mark, lastBackup: 95 * DAY }, now)).toBeUndefined();
  expect(backupDue({ ...mark, lastBackup: 93 * DAY }, now)).toBe(7);
  expect(backupDue({ ...mark, reminded: now - DAY / 2 }, now)).toBeUndefined();
  expect(backupDue({ ...mark, reminded: now - 2 * DAY }, now)).toBe(20);
});

test('a first visit, and a clock that was set back, ask for nothing', () => {
  expect(backupDue(undefined, now)).toBeUndefined();
  expect(backupDue({ lastSeen: now, recipes: 0 }, now)).toBeUndefined();
  expect(backupDue({ ...mark, since: now + DAY }, now)).toBeUndefined();
});

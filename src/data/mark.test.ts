import { expect, test, vi } from 'vitest';
import { backupDue, readMark, writeMark } from './mark';

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

test('a clock that ran ahead for a while does not put reminders off', () => {
  const kept = new Map<string, string>();
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  } as Storage;
  vi.useFakeTimers({ now: now + 400 * DAY });
  try {
    writeMark({ recipes: 4, reminded: now + 400 * DAY, lastBackup: now + 400 * DAY }, storage);
    vi.setSystemTime(now);
    // The application is opened: what it was seen with is noted.
    writeMark({ recipes: 5 }, storage);
    expect(backupDue(readMark(storage), now)).toBeUndefined();
    vi.setSystemTime(now + 8 * DAY);
    expect(backupDue(readMark(storage), now + 8 * DAY)).toBe(8);
    expect(readMark(storage)?.recipes).toBe(5);
  } finally {
    vi.useRealTimers();
  }
});

import { expect, test } from 'vitest';
import { tellDate } from './dates';

const now = new Date(2026, 10, 27, 14, 0).getTime();
const HOUR = 3_600_000;

test('a time is told by how long ago it was while that is hours, then by its day, then with its year', () => {
  expect(tellDate(now - 20_000, now)).toBe('just now');
  expect(tellDate(now - 2 * HOUR, now)).toBe('2 hours ago');
  expect(tellDate(now - 13 * HOUR, now)).toBe('27 November');
  expect(tellDate(now - 24 * 400 * HOUR, now)).toMatch(/2025$/);
});

test('a clock that was set back tells the day, not a time to come', () => {
  expect(tellDate(now + 5 * HOUR, now)).toBe('27 November');
});

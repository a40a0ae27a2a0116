import { expect, test } from 'vitest';
import { keyRuns } from './useKeyRun';

test('keys that follow each other are one run, as long as it may take; after a pause of two seconds another begins', () => {
  const press = keyRuns();
  expect(press(0)).toEqual({ since: 0, isFirst: true });
  for (const now of [300, 2300, 4300]) expect(press(now)).toEqual({ since: 0, isFirst: false });
  expect(press(6301)).toEqual({ since: 6301, isFirst: true });
  expect(press(6400)).toEqual({ since: 6301, isFirst: false });
});

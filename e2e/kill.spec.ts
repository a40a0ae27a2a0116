import { expect } from '@playwright/test';
import { killAndLook } from './kills';
import { test } from './test';

// It starts a browser again and again, beside others that are busy.
test.describe.configure({ timeout: 180_000 });

test('a browser that is killed in the midst of edits loses nothing that was told as saved', async ({
  baseURL,
}) => {
  const { edits, lost } = await killAndLook({ baseURL: baseURL ?? '', kills: 3, editsEach: 5 });
  expect(edits).toBe(15);
  expect(lost).toEqual([]);
});

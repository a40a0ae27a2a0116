import { mkdir, mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, expect, test } from 'vitest';
import { makeApp, NONCE_PLACEHOLDER } from './app';

let app: Awaited<ReturnType<typeof makeApp>>;

beforeAll(async () => {
  const root = await mkdtemp(join(tmpdir(), 'served-'));
  await mkdir(join(root, 'assets'));
  await writeFile(join(root, 'index.html'), `<meta nonce="${NONCE_PLACEHOLDER}"><title>Tint Ladder</title>`);
  await writeFile(join(root, 'assets', 'main-abc123.js'), 'export const answer = 42;\n'.repeat(200));
  app = await makeApp(root);
});

test('the page forbids inline script and anything from outside', async () => {
  const answer = await app.request('/');
  const policy = answer.headers.get('content-security-policy') ?? '';
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("script-src 'self';");
  expect(policy).not.toMatch(/unsafe|https?:/);
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
});

test('each page gets a nonce of its own, the same in policy and page, and is never cached', async () => {
  const [one, other] = [await app.request('/'), await app.request('/recipes')];
  const nonceOf = async (answer: Response) => /nonce="([^"]+)"/.exec(await answer.text())?.[1] ?? '';
  const [first, second] = [await nonceOf(one), await nonceOf(other)];
  expect(one.headers.get('content-security-policy')).toContain(`'nonce-${first}'`);
  expect(first).not.toBe(second);
  expect(one.headers.get('cache-control')).toBe('no-store');
});

test('built files are compressed and cached for good; what is missing is not the page', async () => {
  const file = await app.request('/assets/main-abc123.js', { headers: { 'accept-encoding': 'gzip' } });
  expect(file.headers.get('content-encoding')).toBe('gzip');
  expect(file.headers.get('cache-control')).toContain('immutable');
  expect(file.headers.get('content-type')).toContain('javascript');
  expect((await app.request('/assets/gone.js')).status).toBe(404);
  expect((await app.request('/assets/..%2f..%2fpackage.json')).status).toBe(404);
});

import { mkdir, mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, expect, test } from 'vitest';
import { makeApp, NONCE_PLACEHOLDER } from './app';
import { askedPort } from './port';

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

test('only its own names and reading methods are answered, and a missing file is not the page', async () => {
  expect((await app.request('/', { headers: { host: 'evil.example' } })).status).toBe(421);
  for (const host of ['127.0.0.1:5270', 'localhost', '[::1]:80'])
    expect((await app.request('/', { headers: { host } })).status).toBe(200);
  const posted = await app.request('/', { method: 'POST' });
  expect(posted.status).toBe(405);
  expect(posted.headers.get('allow')).toBe('GET, HEAD');
  for (const path of ['/missing.js', '/favicon.ico', '/robots.txt'])
    expect((await app.request(path)).status).toBe(404);
  const page = await app.request('/bench/kiln-mouth');
  expect(page.headers.get('permissions-policy')).toContain('camera=()');
  expect(page.headers.get('x-frame-options')).toBe('DENY');
});

test('what has not changed is not sent again', async () => {
  const first = await app.request('/assets/main-abc123.js');
  const tag = first.headers.get('etag') ?? '';
  expect(tag).not.toBe('');
  const again = await app.request('/assets/main-abc123.js', { headers: { 'if-none-match': tag } });
  expect(again.status).toBe(304);
});

test('a build that is missing, or half of it, is told in a sentence', async () => {
  const empty = await mkdtemp(join(tmpdir(), 'served-'));
  await expect(makeApp(empty)).rejects.toThrow('Nothing is built yet');
  await writeFile(join(empty, 'index.html'), '<script src="/assets/gone.js"></script>');
  await expect(makeApp(empty)).rejects.toThrow('assets/gone.js is missing');
});

test('a port is a whole number, or told; the usual one where none is asked for', () => {
  expect(askedPort(undefined)).toBe(5270);
  expect(askedPort('5343')).toBe(5343);
  for (const text of ['abc', '99999', '-1', '80.5', '5343,5344', ''])
    expect(() => askedPort(text)).toThrow(/is no port/);
});

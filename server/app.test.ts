import { mkdir, mkdtemp, readdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, test } from 'vitest';
import { readCgats } from '../src/core/files/cgats';
import { writeRecipeFile } from '../src/core/files/recipeFile';
import { ink, resolvedOf } from '../src/testing/resolvedRecipes';
import { makeApp, NONCE_PLACEHOLDER, VECTOR_WORKERS } from './app';
import { askedPort } from './port';

let app: Awaited<ReturnType<typeof makeApp>>;

beforeAll(async () => {
  const root = await mkdtemp(join(tmpdir(), 'served-'));
  await mkdir(join(root, 'assets'));
  await writeFile(join(root, 'index.html'), `<meta nonce="${NONCE_PLACEHOLDER}"><title>Tint Ladder</title>`);
  await writeFile(join(root, 'assets', 'main-abc123.js'), 'export const answer = 42;\n'.repeat(200));
  await writeFile(join(root, 'icon.png'), 'a picture');
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

test('the workers that may run WebAssembly are there, by these names', async () => {
  const workers = await readdir('src/workers');
  for (const name of VECTOR_WORKERS) expect(workers).toContain(`${name}.worker.ts`);
});

test('WebAssembly may run in the workers that mix joints or paint, and nowhere else', async () => {
  const policyOf = async (path: string) =>
    (await app.request(path)).headers.get('content-security-policy') ?? '';
  for (const name of VECTOR_WORKERS)
    expect(await policyOf(`/assets/${name}.worker-abc123.js`)).toContain(
      "script-src 'self' 'wasm-unsafe-eval';",
    );
  for (const path of ['/', '/assets/main-abc123.js', '/assets/files.worker-abc123.js'])
    expect(await policyOf(path)).not.toContain('unsafe');
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

test('the picture for home screens is served as one', async () => {
  expect((await app.request('/icon.png')).headers.get('content-type')).toBe('image/png');
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

describe('the simulated desk', () => {
  const recipe = JSON.parse(
    writeRecipeFile(
      resolvedOf(
        (['#e9c85a', '#3d5f86'] as const).map((hex, i) => ({ ...ink(`Ink ${i}`, hex), id: `ink-${i}` })),
      ),
    ),
  );
  const ask = (path: string, body: unknown, headers: Record<string, string> = {}) =>
    app.request(`/stand-in/${path}`, {
      method: 'POST',
      body: typeof body === 'string' ? body : JSON.stringify(body),
      headers: { 'content-type': 'application/json', ...headers },
    });

  test('makes a panel, photographs it, and its reader tells colours as such readers do, the same each time', async () => {
    const picture = await ask('photograph', { recipe, evening: 5 });
    expect(picture.headers.get('content-type')).toBe('image/jpeg');
    const [first, second] = [
      await ask('reader', { recipe, evening: 5 }),
      await ask('reader', { recipe, evening: 5 }),
    ];
    const samples = readCgats(await first.text());
    expect(samples.map(({ name }) => name)).toContain('Ink 0, solid');
    expect(readCgats(await second.text())[0]?.lab).toEqual(samples[0]?.lab);
    expect(readCgats(await (await ask('reader', { recipe, evening: 6 })).text())[0]?.lab).not.toEqual(
      samples[0]?.lab,
    );
  });

  test('says what is wrong with what it is asked, and answers no other page', async () => {
    expect((await ask('photograph', '{')).status).toBe(400);
    const wrong = await ask('photograph', { recipe: {}, evening: 1 });
    expect([wrong.status, await wrong.text()]).toEqual([400, expect.stringContaining('recipe')]);
    expect((await ask('reader', { recipe, evening: 5 }, { 'sec-fetch-site': 'cross-site' })).status).toBe(
      405,
    );
    expect((await ask('reader', ' '.repeat(6_000_000))).status).toBe(413);
  });
});

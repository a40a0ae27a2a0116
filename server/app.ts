import { access, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { compress } from 'hono/compress';
import { etag } from 'hono/etag';
import { NONCE, type SecureHeadersVariables, secureHeaders } from 'hono/secure-headers';
import { CannotServe, SIGN } from './port';
import { standIns } from './standIns';

/** The names this server goes by. */
const OWN_NAMES: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** Stands in the built page where each answer gets a fresh nonce; vite.config.ts puts it there. */
export const NONCE_PLACEHOLDER = '__CSP_NONCE__';

/** Workers that mix joints or paint by WebAssembly, which a page's policy forbids unless it is allowed. Nothing else may. */
export const VECTOR_WORKERS = ['search', 'searchHelper', 'shelf', 'picture', 'paper'] as const;
const HAS_VECTORS = new RegExp(`^/assets/(${VECTOR_WORKERS.join('|')})\\.worker-`);

/** Built files carry a hash of their contents in their names and never change. */
const FOREVER = 'public, max-age=31536000, immutable';

/**
 * Serves the built application in `root`: nothing from outside may load, no script or style stands in the page,
 * and any path that is not a file opens the application.
 */
export async function makeApp(root: string) {
  const page = await builtPage(root);
  const app = new Hono<{ Variables: SecureHeadersVariables }>();

  app.use(async (c, next) => {
    // A name that another page gave this address is not answered: nobody's page may speak for it.
    const host = (c.req.header('host') ?? new URL(c.req.url).host).replace(/:\d+$/, '');
    if (!OWN_NAMES.has(host)) return c.text('Tint Ladder answers at 127.0.0.1 and localhost only.', 421);
    const isOwn = ['same-origin', 'none', undefined].includes(c.req.header('sec-fetch-site'));
    const isAsked = c.req.method === 'POST' && c.req.path.startsWith('/stand-in/') && isOwn;
    if (c.req.method !== 'GET' && c.req.method !== 'HEAD' && !isAsked)
      return c.text('Only GET and HEAD are answered.', 405, { Allow: 'GET, HEAD' });
    await next();
    c.header(SIGN.header, SIGN.value);
    return undefined;
  });

  app.use('/assets/*', async (c, next) => {
    await next();
    if (!HAS_VECTORS.test(c.req.path)) return;
    const policy = c.res.headers.get('content-security-policy') ?? '';
    c.res.headers.set(
      'content-security-policy',
      policy.replace("script-src 'self'", "script-src 'self' 'wasm-unsafe-eval'"),
    );
  });

  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        // Dialogs lock the page behind them with one generated style element, which carries the nonce.
        styleSrc: ["'self'", NONCE],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
      // Both together let the search's workers share memory.
      crossOriginOpenerPolicy: 'same-origin',
      crossOriginEmbedderPolicy: 'require-corp',
      referrerPolicy: 'no-referrer',
      xFrameOptions: 'DENY',
      permissionsPolicy: { camera: [], microphone: [], geolocation: [], payment: [], usb: [] },
      strictTransportSecurity: false,
    }),
  );
  app.use(compress());
  app.route('/stand-in', standIns());

  app.use('/assets/*', async (c, next) => {
    await next();
    if (c.res.ok) c.res.headers.set('Cache-Control', FOREVER);
  });
  app.use('/assets/*', etag());
  app.use('/assets/*', serveStatic({ root, precompressed: true }));
  app.get('/assets/*', (c) => c.text('Not found', 404));
  for (const icon of ['/icon.svg', '/icon.png']) app.use(icon, etag(), serveStatic({ root }));
  app.get('/demo/log.zip', serveStatic({ root }));
  // What makes the page work without this server is asked for anew each time, so that a new version is noticed.
  for (const path of ['/sw.js', '/manifest.webmanifest', '/workbox-*'])
    app.use(path, async (c, next) => {
      await next();
      c.res.headers.set('Cache-Control', 'no-cache');
    });
  app.get('/sw.js', serveStatic({ root }));
  app.get('/manifest.webmanifest', serveStatic({ root }));
  app.get('/:file{workbox-.+\\.js}', serveStatic({ root }));
  app.get('*', (c) => {
    // A file that is not there is not the page; the views have no points in their paths.
    if (/\.[a-z0-9]+$/i.test(c.req.path) && c.req.path !== '/index.html') return c.text('Not found', 404);
    c.header('Cache-Control', 'no-store');
    return c.html(page.replaceAll(NONCE_PLACEHOLDER, c.get('secureHeadersNonce') ?? ''));
  });
  return app;
}

/**
 * The built page.
 *
 * @throws CannotServe where nothing is built, or only half of it is there
 */
async function builtPage(root: string): Promise<string> {
  const page = await readFile(join(root, 'index.html'), 'utf8').catch(() => {
    throw new CannotServe('Nothing is built yet: run npm start, which builds what is missing.');
  });
  for (const [, path = ''] of page.matchAll(/(?:src|href)="\/(assets\/[^"]+)"/g))
    await access(join(root, path)).catch(() => {
      throw new CannotServe(
        `The build is not whole (${path} is missing): delete dist and run npm start again.`,
      );
    });
  return page;
}

import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { compress } from 'hono/compress';
import { NONCE, type SecureHeadersVariables, secureHeaders } from 'hono/secure-headers';

/** Stands in the built page where each answer gets a fresh nonce; vite.config.ts puts it there. */
export const NONCE_PLACEHOLDER = '__CSP_NONCE__';

/** Built files carry a hash of their contents in their names and never change. */
const FOREVER = 'public, max-age=31536000, immutable';

/**
 * Serves the built application in `root`: nothing from outside may load, no script or style stands in the page,
 * and any path that is not a file opens the application.
 */
export async function makeApp(root: string) {
  const page = await readFile(join(root, 'index.html'), 'utf8');
  const app = new Hono<{ Variables: SecureHeadersVariables }>();

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
      strictTransportSecurity: false,
    }),
  );
  app.use(compress());

  app.use('/assets/*', async (c, next) => {
    await next();
    if (c.res.ok) c.res.headers.set('Cache-Control', FOREVER);
  });
  app.use('/assets/*', serveStatic({ root, precompressed: true }));
  app.get('/assets/*', (c) => c.text('Not found', 404));
  app.use('/icon.svg', serveStatic({ root }));
  app.get('*', (c) => {
    c.header('Cache-Control', 'no-store');
    return c.html(page.replaceAll(NONCE_PLACEHOLDER, c.get('secureHeadersNonce') ?? ''));
  });
  return app;
}

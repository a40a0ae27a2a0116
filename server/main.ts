import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { serve } from '@hono/node-server';
import { makeApp } from './app';

const HOST = '127.0.0.1';
const USUAL_PORT = 5270;

const root = join(dirname(fileURLToPath(import.meta.url)), '..', 'dist');
const wanted = Number(process.env.PORT ?? USUAL_PORT);

/** The port asked for, or any free one when something else listens there. */
const freePort = (port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' && port !== 0 ? resolve(freePort(0)) : reject(error),
    );
    probe.listen(port, HOST, () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : port));
    });
  });

const app = await makeApp(root);
serve({ fetch: app.fetch, hostname: HOST, port: await freePort(wanted) }, ({ port }) => {
  console.log(`Tint Ladder is ready at http://${HOST}:${port}/`);
});

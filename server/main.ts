import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { serve } from '@hono/node-server';
import { makeApp } from './app';
import { askedPort, CannotServe, isTintLadder } from './port';

const HOST = '127.0.0.1';
const root = join(dirname(fileURLToPath(import.meta.url)), '..', 'dist');

/** What stopped it, in one line. */
function stop(told: string): void {
  console.error(told);
  process.exitCode = 1;
}

/** Serves the application; where it is served already, says where, since what a maker has belongs to that address. */
async function start(): Promise<void> {
  const port = askedPort(process.env.PORT);
  const address = `http://${HOST}:${port}/`;
  const app = await makeApp(root);
  const server = serve({ fetch: app.fetch, hostname: HOST, port }, (listening) => {
    console.log(`Tint Ladder is ready at http://${HOST}:${listening.port}/`);
  });
  server.on('error', async ({ code, message }: NodeJS.ErrnoException) => {
    if (code === 'EADDRINUSE' && (await isTintLadder(address)))
      return console.log(`Tint Ladder is ready at ${address} (it was running already)`);
    stop(
      code === 'EADDRINUSE'
        ? `Port ${port} is taken by another program. What you made belongs to the address ${address}: end that program, or name another port in PORT and move your work there with a backup.`
        : code === 'EACCES'
          ? `Port ${port} may not be used by this account. Name one from 1024 on in PORT.`
          : `The server cannot listen at ${address}: ${message}`,
    );
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      server.close();
      process.exit(0);
    });
}

start().catch((error: unknown) => {
  if (error instanceof CannotServe) return stop(error.message);
  throw error;
});

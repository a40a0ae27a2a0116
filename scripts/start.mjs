// npm start: installs what is missing, builds and serves the application, and prints its address.
import { spawn } from 'node:child_process';
import { build, installPackages, root } from './prepare.mjs';

installPackages();
build();
// Signals reach the server itself: nothing of it stays behind.
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));

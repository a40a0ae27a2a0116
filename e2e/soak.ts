// npm run soak: kills the browser thirty times in the midst of three hundred edits, imports and backups, and looks whether anything is lost.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { killAndLook } from './kills';

const PORT = '5283';
const root = join(import.meta.dirname, '..');
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  cwd: root,
  env: { ...process.env, PORT },
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const { edits, kills, lost } = await killAndLook({
  baseURL: `http://127.0.0.1:${PORT}`,
  kills: 30,
  editsEach: 10,
  tell: (text) => process.stdout.write(`${text}\n`),
});
server.kill();
process.stdout.write(`${kills} kills, ${edits} edits, ${lost.length} lost\n`);
for (const what of lost) process.stdout.write(`${what}\n`);
process.exitCode = lost.length > 0 ? 1 : 0;

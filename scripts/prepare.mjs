// What both commands need before they can run: the packages, a build, and for the tests a browser.
// Plain JavaScript without any package, because nothing may be installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';

/** Runs a command with its output shown; returns its exit code. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (error) console.error(error.message);
  return status ?? 1;
}

function runOrStop(command, args, env) {
  const code = run(command, args, env);
  if (code !== 0) process.exit(code);
}

/** Installs the packages of the lock file, unless these are in place already. */
export function installPackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.installed-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages …');
  runOrStop('npm', ['ci', '--include=dev', '--loglevel=error']);
  writeFileSync(stamp, wanted);
}

const BUILT_FROM = [
  'src',
  'docs/guide.md',
  'public',
  'index.html',
  'vite.config.ts',
  'tsconfig.json',
  'package-lock.json',
];

/** Builds the application, unless it was built from exactly these sources. */
export function build() {
  const hash = createHash('sha256');
  for (const entry of BUILT_FROM) addTo(hash, join(root, entry));
  const wanted = hash.digest('hex');
  const stamp = join(root, '.cache', 'built-from');
  if (
    existsSync(join(root, 'dist', 'index.html')) &&
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === wanted
  )
    return;
  console.log('Building …');
  runOrStop(join(root, 'node_modules', '.bin', 'vite'), ['build', '--logLevel', 'warn']);
  compressAssets();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, wanted);
}

/** Scripts and styles lie beside their compressed selves, so that the server need not compress them each time. */
function compressAssets() {
  const assets = join(root, 'dist', 'assets');
  for (const name of readdirSync(assets).filter((name) => /\.(js|css)$/.test(name))) {
    const contents = readFileSync(join(assets, name));
    writeFileSync(join(assets, `${name}.gz`), gzipSync(contents, { level: 9 }));
    writeFileSync(join(assets, `${name}.br`), brotliCompressSync(contents));
  }
}

function addTo(hash, path) {
  if (statSync(path).isDirectory())
    for (const name of readdirSync(path).sort()) addTo(hash, join(path, name));
  else hash.update(path.slice(root.length)).update(readFileSync(path));
}

/** Makes sure there is a Chromium for the browser tests: from Debian's packages where we may install them. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  const canInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (canInstall) {
    console.log('Installing Chromium from Debian’s packages …');
    const quiet = { DEBIAN_FRONTEND: 'noninteractive' };
    run('apt-get', ['-qq', 'update'], quiet);
    run('apt-get', ['-qq', 'install', '-y', '--no-install-recommends', 'chromium'], quiet);
  }
  if (existsSync(CHROMIUM)) return;
  console.error(
    `The browser tests need Chromium at ${CHROMIUM}. Install Debian’s package "chromium" ` +
      '(as root: apt-get install chromium), or name another Chromium in CHROMIUM_PATH.',
  );
  process.exit(1);
}

// What imports what in src, types included: for the tests that keep the tree readable from top to foot.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

/** Every TypeScript file under a folder. */
export function sourcesUnder(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return sourcesUnder(path);
    return /\.tsx?$/.test(name) && !name.endsWith('.d.ts') ? [path] : [];
  });
}

const IMPORT = /(?:\bfrom|\bimport)\s*\(?\s*'(\.[^'?]+)'|new URL\(\s*'(\.[^']+)'/g;

/** The file of the project that one imports by a specifier, as a path from `root`; undefined where it is a package. */
function targetOf(specifier, file, root) {
  const path = resolve(dirname(file), specifier);
  const target = ['', '.ts', '.tsx'].map((ending) => path + ending).find((one) => existsSync(one));
  return target && statSync(target).isFile() ? relative(root, target) : undefined;
}

/** The files of the project that a file imports, as paths from `root`. */
export function importsOf(file, root) {
  const found = [...readFileSync(file, 'utf8').matchAll(IMPORT)].map(([, one, other]) => one ?? other);
  return found.flatMap((specifier) => targetOf(specifier, file, root) ?? []);
}

const AT_ONCE = /^(?:import|export)\s+(?!type\b)(?:[^'";]*?\bfrom\s+)?'([^']+)'/gm;

/** Everything that has to be there before a file of the project can run: files, as paths from `root`, and packages. */
export function neededBy(entry, root) {
  const needed = new Set([entry]);
  for (const file of needed) {
    if (!/\.tsx?$/.test(file)) continue;
    for (const [, specifier] of readFileSync(join(root, file), 'utf8').matchAll(AT_ONCE))
      needed.add(specifier.startsWith('.') ? targetOf(specifier, join(root, file), root) : specifier);
  }
  return [...needed];
}

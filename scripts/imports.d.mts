/** Files of program code under a folder. */
export function sourcesUnder(folder: string): string[];
/** Files that one imports, types included, as paths from the root. */
export function importsOf(file: string, root: string): string[];
/** All files and packages that have to be there before one can run. */
export function neededBy(entry: string, root: string): string[];

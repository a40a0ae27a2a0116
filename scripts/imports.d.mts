/** Files of program code under a folder. */
export function sourcesUnder(folder: string): string[];
/** Files that one imports, types included, as paths from the root. */
export function importsOf(file: string, root: string): string[];

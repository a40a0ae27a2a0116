import { expose, transfer } from 'comlink';
import { type BackupHead, readBackup, type Workshop, writeBackup } from '../core/files/backup';
import { type Fault, FileError } from '../core/files/fileError';
import { readLogFile } from '../core/files/logFile';
import { readMoodsFile } from '../core/files/moodsFile';
import { openRecipes } from '../core/files/recipesZip';
import { readKeptSitting } from '../core/files/sittingFile';
import { textOf } from '../core/files/textOf';

/** What was read, or why it cannot be: an error class does not survive the way out of a worker. */
export type Read<T> = { readonly read: T } | { readonly faults: readonly Fault[] };

function orFaults<T>(read: () => T): Read<T> {
  try {
    return { read: read() };
  } catch (error) {
    if (error instanceof FileError) return { faults: error.faults };
    throw error;
  }
}

/** Reads files, which may come from anywhere, and packs and unpacks everything a maker has; beside the page. */
const door = {
  writeBackup(workshop: Workshop, made: Date): Uint8Array {
    const bytes = writeBackup(workshop, made);
    return transfer(bytes, [bytes.buffer as ArrayBuffer]);
  },
  readBackup: (bytes: Uint8Array): Read<{ readonly head: BackupHead; readonly workshop: Workshop }> =>
    orFaults(() => readBackup(bytes)),
  readRecipes: (bytes: Uint8Array, onProgress: (part: number) => void) =>
    orFaults(() => openRecipes(bytes, onProgress)),
  readLog: (bytes: Uint8Array) => orFaults(() => readLogFile(textOf(bytes).text)),
  readSitting: (bytes: Uint8Array) => orFaults(() => readKeptSitting(textOf(bytes).text)),
  readMoods: (text: string) => orFaults(() => readMoodsFile(text)),
};

export type FilesDoor = typeof door;
expose(door);

import { expose, transfer } from 'comlink';
import { type BackupHead, readBackup, type Workshop, writeBackup } from '../core/files/backup';
import { type Fault, FileError } from '../core/files/fileError';

/** A backup that was read, or why it cannot be. */
export type BackupAnswer =
  | { readonly head: BackupHead; readonly workshop: Workshop }
  | { readonly faults: readonly Fault[] };

/** Packs and unpacks everything a maker has, beside the page, which goes on meanwhile. */
const door = {
  write(workshop: Workshop, made: Date): Uint8Array {
    const bytes = writeBackup(workshop, made);
    return transfer(bytes, [bytes.buffer as ArrayBuffer]);
  },

  /** An error class does not survive the way out, so what is refused goes as its faults. */
  read(bytes: Uint8Array): BackupAnswer {
    try {
      return readBackup(bytes);
    } catch (error) {
      if (error instanceof FileError) return { faults: error.faults };
      throw error;
    }
  },
};

export type BackupDoor = typeof door;
expose(door);

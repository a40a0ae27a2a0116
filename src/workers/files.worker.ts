import { expose, transfer } from 'comlink';
import {
  type Packed,
  photosIn,
  type Reach,
  type Row,
  readBackup,
  type Workshop,
  writeBackup,
} from '../core/files/backup';
import { compareWorkshops } from '../core/files/backupChanges';
import { readLogFile } from '../core/files/logFile';
import { readMoodsFile } from '../core/files/moodsFile';
import { openRecipes } from '../core/files/recipesZip';
import { readKeptSitting } from '../core/files/sittingFile';
import { textOf } from '../core/files/textOf';
import { orFaults, type Read } from './orFaults';

/** Reads files, which may come from anywhere, and packs and unpacks everything a maker has; beside the page. */
const door = {
  writeBackup: (
    workshop: Workshop,
    photoOf: (id: string) => Promise<Row | undefined>,
    made: Date,
    reach: Reach,
  ): Promise<Packed> => writeBackup(workshop, photoOf, made, reach),
  /** With how it stands to what is here. */
  readBackup: (file: Blob, here: Workshop, reach: Reach) =>
    orFaults(async () => {
      const { head, workshop } = await readBackup(file, reach);
      return { head, workshop, changes: compareWorkshops(here, workshop) };
    }),
  async photosIn(file: Blob, rows: readonly Row[]): Promise<Read<readonly Row[]>> {
    const answer = await orFaults(() => photosIn(file, rows));
    if ('faults' in answer) return answer;
    const buffers = answer.read.flatMap(({ bytes }) => (bytes instanceof Uint8Array ? [bytes.buffer] : []));
    return transfer(answer, buffers as ArrayBuffer[]);
  },
  readRecipes: (bytes: Uint8Array, onProgress: (part: number) => void) =>
    orFaults(() => openRecipes(bytes, onProgress)),
  readLog: (bytes: Uint8Array) => orFaults(() => readLogFile(textOf(bytes).text)),
  readSitting: (bytes: Uint8Array) => orFaults(() => readKeptSitting(textOf(bytes).text)),
  readMoods: (bytes: Uint8Array) => orFaults(() => readMoodsFile(textOf(bytes).text)),
};

export type FilesDoor = typeof door;
expose(door);

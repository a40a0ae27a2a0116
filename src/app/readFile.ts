import type { Remote } from 'comlink';
import { bytesOf } from '../core/files/bytesOf';
import { FileError } from '../core/files/fileError';
import { type FileLimit, refuseLarger } from '../core/files/limits';
import { filesWorker, stopFiles } from '../workers/client';
import type { FilesDoor } from '../workers/files.worker';
import type { Read } from '../workers/orFaults';

/** A file that takes longer than this to read is given up, ms. */
const PATIENCE = 30_000;

/**
 * Reads a file in a worker, which is ended when it takes too long.
 *
 * @param limit  a larger file is not taken into memory
 * @param stopped  ends the worker when the maker does not want to wait
 * @throws FileError saying what is wrong with it, where, and what to do; the signal's reason when it was stopped
 */
export async function readFile<T>(
  file: File,
  limit: FileLimit,
  read: (door: Remote<FilesDoor>, bytes: Uint8Array) => Promise<Read<T>>,
  stopped?: AbortSignal,
): Promise<T> {
  refuseLarger(file.size, limit);
  const bytes = await bytesOf(file);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const outOfTime = new Promise<Read<T>>((resolve) => {
    timer = setTimeout(() => {
      stopFiles();
      resolve({
        faults: [{ place: '', problem: 'It takes too long to read. Split it, or export it again.' }],
      });
    }, PATIENCE);
  });
  const outOfPatience = new Promise<never>((_, reject) => {
    stopped?.addEventListener('abort', () => {
      stopFiles();
      reject(stopped.reason);
    });
  });
  const answer = await Promise.race([read(filesWorker(), bytes), outOfTime, outOfPatience]).finally(() =>
    clearTimeout(timer),
  );
  if ('faults' in answer) throw new FileError(answer.faults);
  return answer.read;
}

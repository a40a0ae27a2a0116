import { type Fault, FileError } from '../core/files/fileError';

/** What was read, or why it cannot be: an error class does not survive the way out of a worker. */
export type Read<T> = { readonly read: T } | { readonly faults: readonly Fault[] };

/** What a worker's door gives for what may be a fault of the file. */
export async function orFaults<T>(read: () => T | Promise<T>): Promise<Read<T>> {
  try {
    return { read: await read() };
  } catch (error) {
    if (error instanceof FileError) return { faults: error.faults };
    throw error;
  }
}

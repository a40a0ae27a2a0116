import { FileError } from './fileError';

/** How large a file may be, and what it is, for the message. */
export interface FileLimit {
  /** "a recipe". */
  readonly what: string;
  readonly bytes: number;
}

/** A log is text, without its photographs. */
export const LOG_FILE_LIMIT: FileLimit = { what: 'a log', bytes: 60_000_000 };

/** A sitting has its recipes with it. */
export const SITTING_FILE_LIMIT: FileLimit = { what: 'a sitting', bytes: 20_000_000 };

/** `4 MB`, `60 MB`. */
export const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;

/**
 * Refuses a file that is too large, unread.
 *
 * @throws FileError saying how large it is and how large it may be
 */
export function refuseLarger(size: number, { what, bytes }: FileLimit): void {
  if (size <= bytes) return;
  throw new FileError([
    {
      place: '',
      problem: `The file is too large for ${what}: it has ${(size / 1e6).toFixed(1)} MB, and at most ${megabytes(bytes)} are read.`,
    },
  ]);
}

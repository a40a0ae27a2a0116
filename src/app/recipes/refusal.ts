import type { Fault } from '../../core/files/fileError';

/** A file that could not be opened, and why. */
export interface Refusal {
  readonly fileName: string;
  readonly faults: readonly Fault[];
}

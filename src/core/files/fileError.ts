/** What is wrong at one place of a file. */
export interface Fault {
  /** Where, as a path in the file: `recipe.rungs[0].share`; empty for the file as a whole. */
  readonly place: string;
  readonly problem: string;
}

/** A file that cannot be read. Its message names each fault with its place, for the maker to act on. */
export class FileError extends Error {
  override readonly name = 'FileError';
  constructor(readonly faults: readonly Fault[]) {
    super(tell(faults));
  }
}

const MAX_TOLD = 5;

function tell(faults: readonly Fault[]): string {
  const told = faults
    .slice(0, MAX_TOLD)
    .map(({ place, problem }) => (place ? `${place}: ${problem}` : problem))
    .join('\n');
  const more = faults.length - MAX_TOLD;
  return more > 0 ? `${told}\nand ${more} more` : told;
}

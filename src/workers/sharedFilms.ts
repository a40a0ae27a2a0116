import { BANDS } from '../core/materials/colour/spectrum';
import type { Film } from '../core/materials/ink/film';
import { filmOfInk, type Ink, rememberFilm } from '../core/materials/ink/ink';

/** Films of a shelf's inks, solved by whoever comes to them first; on shared memory where the browser has it. */
export interface SharedFilms {
  /** What each ink absorbs, band by band, then what it scatters. */
  readonly values: Float64Array;
  /** By ink: 1 once its film is there. */
  readonly there: Uint8Array;
  /** How many inks have been given out. */
  readonly taken: Int32Array;
}

export const emptyFilms = (
  count: number,
  memory: (bytes: number) => ArrayBufferLike = (bytes) => new ArrayBuffer(bytes),
): SharedFilms => ({
  values: new Float64Array(memory(8 * 2 * BANDS * count)),
  there: new Uint8Array(memory(count)),
  taken: new Int32Array(memory(4)),
});

/** Solves the next ink's film that nobody has taken; false once all are. */
export function solveNext(inks: readonly Ink[], { values, there, taken }: SharedFilms): boolean {
  const ink = Atomics.add(taken, 0, 1);
  const next = inks[ink];
  if (!next) return false;
  const { absorption, scattering } = filmOfInk(next);
  values.set(absorption, 2 * BANDS * ink);
  values.set(scattering, 2 * BANDS * ink + BANDS);
  Atomics.store(there, ink, 1);
  return true;
}

/** Remembers the films that others have solved; one that is not there yet is solved where it is asked for. */
export function takeSolved(inks: readonly Ink[], { values, there }: SharedFilms): void {
  inks.forEach((ink, i) => {
    if (Atomics.load(there, i) === 0) return;
    const from = 2 * BANDS * i;
    const film: Film = {
      absorption: values.slice(from, from + BANDS),
      scattering: values.slice(from + BANDS, from + 2 * BANDS),
    };
    rememberFilm(ink, film);
  });
}

import type { Hex } from '../src/core/materials/colour/hex';
import type { Ink } from '../src/core/materials/ink/ink';
import { STANDARD_1912 } from '../src/testing/colourSets';

/** The 1,117 colours of the 1912 standard as inks, of three kinds by turns. */
export const standardInks = (): Ink[] =>
  STANDARD_1912.map(({ name, hex }, i) => ({
    id: `standard-${i}`,
    name,
    family: name,
    depth: 'mid',
    kind: (['hybrid', 'dye', 'pigment'] as const)[i % 3] ?? 'hybrid',
    overWhite: hex as Hex,
  }));

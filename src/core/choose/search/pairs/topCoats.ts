import { xyzOfSpectrum } from '../../../materials/colour/lab';
import { buffsOff } from '../../../materials/ink/kinds';
import { laidReflectance } from '../../../materials/ink/laid';
import { DARK_UP_TO } from '../../../readings/legibility/topCoat';
import type { DriedInks } from './pairTable';

/** At least this pale, L*, an ink shows from under a dark coat. Common practice. */
export const LIGHT_FROM = 64;

/** How clearly a clear resist over pale inks reads through each dark coat of the shelf. */
export interface TopCoats {
  /** Places in the dried shelf of the inks that can be the coat: dark, and wiped off the resist. */
  readonly darks: readonly number[];
  /** The dark that reads best at its worst place over three inks, and how well it reads there. */
  readonly best: (first: number, middle: number, last: number) => { dark: number; reads: number };
}

/**
 * Contrast of each pale ink kept under a resist with each dark coat laid over it where it dried: (Y + 0.05) of the paler
 * over (Y + 0.05) of the darker, as in WCAG 2.2. Pigment clings to the resist, so it makes no coat (common practice).
 */
export function topCoatsOf({ inks, labs, ground }: DriedInks): TopCoats {
  const darks = labs.flatMap(({ l }, i) => {
    const kind = inks[i]?.kind;
    return l <= DARK_UP_TO && kind && buffsOff(kind) ? [i] : [];
  });
  const count = inks.length;
  const reads = new Float32Array(darks.length * count);
  labs.forEach(({ l }, i) => {
    const ink = inks[i];
    if (l < LIGHT_FROM || !ink) return;
    const under = laidReflectance([{ ink, coats: 1 }], ground);
    const kept = xyzOfSpectrum(under).y + 0.05;
    darks.forEach((dark, d) => {
      const coat = inks[dark];
      if (!coat) return;
      const covered = xyzOfSpectrum(laidReflectance([{ ink: coat, coats: 1 }], under)).y + 0.05;
      reads[d * count + i] = kept / covered;
    });
  });
  return {
    darks,
    best: (first, middle, last) => {
      let dark = -1;
      let most = 0;
      for (let d = 0, row = 0; d < darks.length; d++, row += count) {
        let worst = reads[row + first];
        const second = reads[row + middle];
        const third = reads[row + last];
        if (second < worst) worst = second;
        if (third < worst) worst = third;
        if (worst <= most) continue;
        most = worst;
        dark = darks[d];
      }
      return { dark, reads: most };
    },
  };
}

import type { Millimetres } from '../base/length';
import { blended, blendGround } from '../engine/blend';
import { type Lab, labOfSpectrum, xyzOfLab } from '../materials/colour/lab';
import type { Laid } from '../materials/ink/laid';
import { bandsOf, jointSpans, partsAt } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { contrastOf } from './legibility/contrast';

/** One place along the ladder, dried. What lies over the blend is left out. */
export interface PlaceAlong {
  /** mm along the run from where the first rung begins. */
  readonly along: Millimetres;
  readonly lab: Lab;
  /** WCAG contrast ratios of a black and of a white image stamped there. */
  readonly contrast: { readonly black: number; readonly white: number };
}

/** Luminances of a black and a white image as they dry: detail black and three impressions of white. By eye. */
const IMAGE = { black: 0.01, white: 0.8 } as const;

/** Even steps along the ladder, ends included; undefined on a run of patches, which has no one way along it. */
export function alongLadder(resolved: ResolvedRecipe, places = 60): readonly PlaceAlong[] | undefined {
  const { recipe, inks } = resolved;
  const bands = bandsOf(recipe);
  if (!bands) return undefined;
  const ground = blendGround(resolved);
  const spans = jointSpans(recipe);
  return Array.from({ length: places }, (_, i) => {
    const along = (i / (places - 1)) * bands.length;
    const parts = partsAt(recipe, spans, along);
    const laid = inks.flatMap((ink, rung): Laid[] => {
      const coats = parts[rung] ?? 0;
      return coats > 0 ? [{ ink, coats }] : [];
    });
    const lab = labOfSpectrum(blended(laid, ground));
    const { y } = xyzOfLab(lab);
    return {
      along,
      lab,
      contrast: { black: contrastOf(y, IMAGE.black), white: contrastOf(y, IMAGE.white) },
    };
  });
}

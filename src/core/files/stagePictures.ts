import { createPainter, type Picture } from '../picture/paint';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { Step } from '../sheet/desk';
import { writePicture } from './recipePicture';

/** How high the small picture of a stage is, pixels. */
const HEIGHT = 150;

/** The panel as it stands after each step, small, as PNGs; steps that change nothing share one. */
export function stagePictures(resolved: ResolvedRecipe, steps: readonly Step[]): Uint8Array[] {
  const { panel } = resolved.recipe;
  const width = Math.max(Math.round((HEIGHT * panel.width) / panel.height), 1);
  const prepare = createPainter();
  const painted = new Map<string, Uint8Array>();
  return steps.map(({ after, stands }) => {
    const sign = JSON.stringify([after, stands]);
    const known = painted.get(sign);
    if (known) return known;
    const { picture, paintRows } = prepare({
      resolved,
      wetness: stands,
      width,
      height: HEIGHT,
      progress: after,
    });
    paintRows(0, HEIGHT);
    const png = writePicture(picture as Picture);
    painted.set(sign, png);
    return png;
  });
}

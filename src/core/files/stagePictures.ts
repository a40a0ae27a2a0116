import { createPainter, type Picture } from '../picture/paint';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { Step } from '../sheet/desk';

/** How high the small picture of a stage is, pixels. */
const HEIGHT = 150;

/** The panel as it stands after a step. */
export interface Stage {
  /** The step's number on the sheet, from 1. */
  readonly step: number;
  readonly picture: Picture;
}

/** The panel after each step that changes what is seen of it, small. */
export function stagePictures(resolved: ResolvedRecipe, steps: readonly Step[]): Stage[] {
  const { panel } = resolved.recipe;
  const width = Math.max(Math.round((HEIGHT * panel.width) / panel.height), 1);
  const prepare = createPainter();
  const signs = steps.map(({ after, stands }) => JSON.stringify([after, stands]));
  return steps.flatMap(({ after, stands }, i) => {
    if (i > 0 && signs[i] === signs[i - 1]) return [];
    const asked = { resolved, wetness: stands, width, height: HEIGHT, progress: after };
    const { picture, paintRows } = prepare(asked);
    paintRows(0, HEIGHT);
    return [{ step: i + 1, picture }];
  });
}

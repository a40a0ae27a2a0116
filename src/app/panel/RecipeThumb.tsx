import type { Wetness } from '../../core/engine/mixing';
import type { Progress } from '../../core/engine/progress';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { PanelPicture } from './PanelPicture';

interface Props {
  readonly resolved: ResolvedRecipe;
  /** What it is told as; absent where it stands beside the same words. */
  readonly label?: string;
  /** The longer of width and height that it may take, CSS px. */
  readonly within: { readonly width: number; readonly height: number };
  readonly wetness?: Wetness;
  readonly progress?: Progress;
}

/** A small true picture of a recipe, as large as its room lets it be. */
export function RecipeThumb({ resolved, label, within, wetness = 'dry', progress }: Props) {
  const { panel } = resolved.recipe;
  const scale = Math.min(within.width / panel.width, within.height / panel.height);
  const [width, height] = [Math.round(panel.width * scale), Math.round(panel.height * scale)];
  return (
    <span
      className="relative block shrink-0 bg-white shadow-[0_0_0_1px_#0003,0_1px_3px_#0004] print:shadow-none print:outline print:-outline-offset-1 print:outline-[#0003]"
      style={{ width, height }}
    >
      <PanelPicture
        isQuiet
        {...{ resolved, wetness, width, height, label }}
        {...(progress ? { progress } : {})}
      />
    </span>
  );
}

import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Step } from '../../core/sheet/desk';
import { DashedPaths } from './DashedPaths';
import { PanelPicture } from './PanelPicture';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly step: Step;
  /** On the screen, CSS px; as wide as the panel is for it. */
  readonly height: number;
  readonly label: string;
}

/** The panel as a step leaves it, with dashes where that step's things go. */
export function PanelAfterStep({ resolved, step, height, label }: Props) {
  const { panel } = resolved.recipe;
  const width = (height * panel.width) / panel.height;
  return (
    <div className="relative shadow-[0_1px_3px_#0006]" style={{ height, width }}>
      <PanelPicture
        resolved={resolved}
        wetness={step.stands}
        progress={step.after}
        width={width}
        height={height}
        label={label}
      />
      {step.traces && (
        <svg
          role="img"
          aria-label="Where it goes"
          viewBox={`0 0 ${panel.width} ${panel.height}`}
          className="pointer-events-none absolute inset-0 size-full overflow-hidden"
        >
          <DashedPaths paths={step.traces} thin={panel.height / height} />
        </svg>
      )}
    </div>
  );
}

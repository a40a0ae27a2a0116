import { useCallback } from 'react';
import { useAnswer } from '../../../app/useAnswer';
import type { Edit } from '../../../app/useBench';
import { formatLength, type Unit } from '../../../core/base/length';
import type { Ink } from '../../../core/materials/ink/ink';
import type { DesignContrast } from '../../../core/readings/passReadings';
import { PASS_KINDS, type Pass } from '../../../core/recipe/passes/passes';
import { designOf, type ResolvedRecipe } from '../../../core/recipe/resolved';
import { shelfWorker } from '../../../workers/client';
import { HatchedPanel } from './HatchedPanel';
import { TopCoats } from './TopCoats';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly pass: Pass;
  readonly shelf: readonly Ink[];
  readonly needed: number;
  readonly unit: Unit;
  readonly edit: Edit;
}

/** How clearly a pass's design stands out: hatched where it falls short, with a ring round its worst place. */
export function DesignSeen({ resolved, pass, shelf, needed, unit, edit }: Props) {
  // Undefined while it is being read, null where nothing of the design lies on the panel.
  const contrast = useAnswer(
    useCallback(
      async () => (await shelfWorker().designContrast(resolved, pass.id)) ?? null,
      [resolved, pass.id],
    ),
    'nothing',
  );
  const label = `${PASS_KINDS[pass.kind].label}, ${designOf(resolved, pass)?.name ?? ''}`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[auto_minmax(0,1fr)]">
      <DesignPanel resolved={resolved} contrast={contrast} needed={needed} label={label} />
      <div className="space-y-5">
        <section aria-label="The design">
          <h3 className="heading mb-1 text-lead">{label}</h3>
          {contrast === undefined ? (
            <p role="status" className="text-mute">
              Reading the design …
            </p>
          ) : (
            <p role="status">{describeContrast(contrast, needed, resolved, unit)}</p>
          )}
        </section>
        {PASS_KINDS[pass.kind].keepsGround && <TopCoats {...{ resolved, shelf, edit }} resist={pass} />}
      </div>
    </div>
  );
}

function describeContrast(
  contrast: DesignContrast | null,
  needed: number,
  { recipe }: ResolvedRecipe,
  unit: Unit,
): string {
  if (!contrast) return 'The design lies off the panel: nothing of it is seen.';
  const { least, worst, places } = contrast;
  const reads = places.filter(({ ratio }) => ratio >= needed).length / places.length;
  const where = `${formatLength(worst.x, unit)} from the left and ${formatLength(recipe.panel.height - worst.y, unit)} from the foot`;
  return reads === 1
    ? `Reads all over: ${least.toFixed(1)} : 1 at its worst place, ${where}.`
    : `Reads on ${Math.floor(reads * 100)} % of its design; worst ${where}, at ${least.toFixed(1)} : 1.`;
}

interface PanelProps extends Pick<Props, 'resolved' | 'needed'> {
  readonly contrast: DesignContrast | null | undefined;
  readonly label: string;
}

function DesignPanel({ resolved, contrast, needed, label }: PanelProps) {
  const { places, cell } = contrast ?? { places: [], cell: { width: 0, height: 0 } };
  const weak = places.filter(({ ratio }) => ratio < needed);
  const { width, height } = cell;
  return (
    <HatchedPanel
      resolved={resolved}
      weak={weak
        .map(({ x, y }) => `M${x - width / 2} ${y - height / 2}h${width}v${height}h${-width}z`)
        .join('')}
      label={
        places.length === 0
          ? `${label} is not on the panel`
          : `${Math.round((weak.length / places.length) * 100)} % of ${label} is hatched: it does not read there`
      }
    >
      {(thin) =>
        contrast &&
        ['#fff', '#000'].map((stroke, i) => (
          <circle
            key={stroke}
            cx={contrast.worst.x}
            cy={contrast.worst.y}
            r={thin * 11}
            className="fill-none"
            stroke={stroke}
            strokeWidth={thin * (i === 0 ? 5 : 2)}
          />
        ))
      }
    </HatchedPanel>
  );
}

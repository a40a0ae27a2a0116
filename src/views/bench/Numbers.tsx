import { memo } from 'react';
import type { Readings } from '../../core/readings/readings';
import type { ResolvedRecipe } from '../../core/recipe/resolved';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly readings: Readings;
}

/** The figures of the ladder as a whole. */
export const Numbers = memo(function Numbers({ readings }: Props) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
      <dt className="text-mute">Rung spacing</dt>
      <dd className="text-right font-semibold">{readings.spacing.description}</dd>
      <dt className="text-mute">Steps, pale to dark</dt>
      <dd className="text-right font-semibold">
        {readings.spacing.gaps.map((gap) => gap.toFixed(0)).join(' : ')} L*
      </dd>
      <dd className="col-span-2 text-small text-mute">
        L* is lightness as the eye has it: 0 is black, 100 white.
      </dd>
    </dl>
  );
});

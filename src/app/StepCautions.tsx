import { cautionsOf } from '../core/sheet/cautions';
import type { Step } from '../core/sheet/desk';

/** What can hurt at one step, said where the hands are at it. */
export function StepCautions({ step }: { readonly step: Step }) {
  return cautionsOf(new Set(step.dangers)).map((caution) => (
    <p key={caution} className="mt-3 leading-snug text-mute md:text-lg">
      <strong>Take care.</strong> {caution}
    </p>
  ));
}

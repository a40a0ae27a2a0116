import { memo } from 'react';
import { meetingsOf } from '../../core/readings/joints/meetings';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { ColourStrip } from '../../ui/ColourStrip';
import { VerdictSign } from './VerdictSign';

/** What becomes of inks that meet though they are no neighbours in the ladder, and of what lies over it. */
export const Meetings = memo(function Meetings({ resolved }: { readonly resolved: ResolvedRecipe }) {
  const meetings = meetingsOf(resolved);
  if (meetings.length === 0) return null;
  return (
    <section aria-label="Also meeting" className="border-t border-line pt-3">
      <h3 className="heading mb-1 text-lead">Also meeting</h3>
      <ul className="space-y-2">
        {meetings.map(({ title, strip, verdict, headline, reason }) => (
          <li key={title}>
            <p className="leading-tight">{title}</p>
            <ColourStrip colours={strip} toward="right" className="my-0.5 h-2.5" />
            <p className="font-semibold" title={reason}>
              <VerdictSign kind={verdict.kind} /> {headline}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
});

import { memo } from 'react';
import { meetingsOf } from '../../core/readings/joints/meetings';
import type { Kit } from '../../core/recipe/recipe';
import { VerdictSign } from './VerdictSign';

/** What becomes of inks that meet though they are no neighbours in the ladder, and of what lies over it. */
export const Meetings = memo(function Meetings({ kit }: { readonly kit: Kit }) {
  const meetings = meetingsOf(kit);
  if (meetings.length === 0) return null;
  return (
    <section aria-label="Also meeting" className="border-t border-line pt-3">
      <h3 className="heading mb-1 text-[14px]">Also meeting</h3>
      <ul className="space-y-2">
        {meetings.map(({ title, strip, verdict, headline, reason }) => (
          <li key={title}>
            <p className="leading-tight">{title}</p>
            <p aria-hidden="true" className="my-0.5 flex h-2.5">
              {strip.map((hex, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: stations have no other identity than their place
                <span key={i} className="flex-1" style={{ backgroundColor: hex }} />
              ))}
            </p>
            <p className="font-semibold" title={reason}>
              <VerdictSign kind={verdict.kind} /> {headline}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
});

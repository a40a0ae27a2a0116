import { useMemo } from 'react';
import { counted } from '../../core/base/words';
import { leftAt } from '../../core/make/sitting/away';
import { type KnownSitting, numberOf } from '../../core/make/sitting/known';
import { leftOver } from '../../core/make/sitting/leftOver';
import type { SittingRun } from '../../core/make/sitting/record';
import { momentOf, type RunNow } from '../../core/make/sitting/run';
import { Button } from '../../ui/Button';
import { tellMoment } from '../../ui/dates';
import { Menu } from '../../ui/Menu';

interface LeftProps {
  readonly known: KnownSitting;
  readonly run: SittingRun;
  readonly state: RunNow;
  /** Since when nobody is there, minutes of the run. */
  readonly since: number;
  /** The moment, ms since 1970. */
  readonly moment: number;
  /** It was worked on all the while; undefined where it was left by a press. */
  readonly onWorked: (() => void) | undefined;
}

/** In place of a piece of work, while nobody is at the desk. */
export function LeftDesk({ known, run, state, since, moment, onWorked }: LeftProps) {
  const midway = state.begun.midway.map((panel) => numberOf(known, panel));
  const when = tellMoment(momentOf(run, since), moment);
  return (
    <section aria-label="Left" aria-live="polite" className="max-w-3xl space-y-4 p-5 text-xl md:p-8">
      <h2 className="heading text-3xl md:text-4xl">
        {onWorked ? `Nothing has been done since ${when}` : `Left at ${when}`}
      </h2>
      <p>
        {onWorked
          ? 'Go on, and that time counts for no piece of work. What lay drying has dried.'
          : 'The time until you go on counts for no piece of work. What lies drying dries.'}
      </p>
      {midway.length > 0 && (
        <p>
          {midway.length === 1
            ? `Panel ${midway[0]} lies in the midst of its blend: its ink`
            : `Panels ${midway.join(' and ')} lie in the midst of their blends: their ink`}{' '}
          dries, and the next is laid over it and blends less. Look at the join before you go on.
        </p>
      )}
      {onWorked && <Button onClick={onWorked}>It was worked on all the while</Button>}
    </section>
  );
}

interface StopProps extends Pick<LeftProps, 'known' | 'run'> {
  readonly onLeave: () => void;
  readonly onEnd: () => void;
}

/** The ways to stop before the last piece: for a while, or for good. */
export function StopMenu({ known, run, onLeave, onEnd }: StopProps) {
  const over = useMemo(() => leftOver(known.sitting, run), [known, run]);
  const rest = over.untouched.reduce((sum, count) => sum + count, 0);
  const out =
    over.begun === 0
      ? ''
      : over.begun === 1
        ? '; one begun is taken out'
        : `; ${over.begun} begun are taken out`;
  return (
    <Menu
      look="desk"
      items={[
        { label: 'Leave it for a while', onSelect: onLeave, disabled: leftAt(run) !== undefined },
        {
          label: rest > 0 ? `End here: ${counted(rest, 'panel')} for tomorrow${out}` : `End here${out}`,
          onSelect: onEnd,
        },
      ]}
    >
      Stop …
    </Menu>
  );
}

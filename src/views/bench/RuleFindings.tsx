import { memo, useMemo, useState } from 'react';
import type { Shelf } from '../../app/session';
import type { Edit } from '../../app/useBench';
import { useMaker } from '../../app/useMaker';
import type { Choice, Fix } from '../../core/advise/rules/definition';
import { findingsOf } from '../../core/advise/rules/rules';
import type { PassReading } from '../../core/readings/passReadings';
import type { Readings } from '../../core/readings/readings';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly readings: Readings;
  readonly passes: readonly PassReading[];
  readonly shelf: Shelf;
  readonly edit: Edit;
  /** The recipe has gone on since: what is told may hold no longer, and its presses wait for the next look. */
  readonly isBehind: boolean;
}

/** What the recipe offends against of the rules of the trade, each with its mending by one press where there is one. */
export const RuleFindings = memo(function RuleFindings(props: Props) {
  const { resolved, readings, passes, shelf, edit, isBehind } = props;
  const unit = useAppSelector(({ view }) => view.unit);
  const maker = useMaker();
  const findings = useMemo(
    () => findingsOf({ resolved, readings, passes, shelf: shelf.inks, cards: shelf.cards, unit, maker }),
    [resolved, readings, passes, shelf, unit, maker],
  );
  if (findings.length === 0) return null;
  return (
    <section
      aria-label="To mind"
      aria-live="polite"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      // At the foot, so that nothing moves under the hand when something comes to be minded; on a phone it is seen first.
      className="mx-4 my-3 max-h-[38%] shrink-0 overflow-y-auto border-l-4 border-text bg-field px-3 py-2 max-lg:-order-1"
    >
      <h3 className="sr-only">To mind</h3>
      <ul className="space-y-2">
        {findings.map(({ key, message, fix, others = [], choice }) => (
          <li key={key} className="leading-snug">
            <p className="font-semibold">{message}</p>
            <p className="mt-1 flex flex-wrap gap-1.5 empty:hidden">
              {choice && <ChoiceMenu choice={choice} disabled={isBehind} edit={edit} />}
              {[...(fix ? [fix] : []), ...others].map(({ label, apply }) => (
                <Button key={label} disabled={isBehind} onClick={() => edit(apply)}>
                  {label}
                </Button>
              ))}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
});

interface ChoiceProps {
  readonly choice: Choice;
  readonly disabled: boolean;
  readonly edit: Edit;
}

/** Ways to mend to pick from, looked for when the menu is opened. */
function ChoiceMenu({ choice: { label, among, none }, disabled, edit }: ChoiceProps) {
  const [ways, setWays] = useState<readonly Fix[]>([]);
  return (
    <Menu
      disabled={disabled}
      onOpen={() => setWays(among())}
      items={
        ways.length > 0
          ? ways.map((way) => ({ label: way.label, onSelect: () => edit(way.apply) }))
          : [{ label: none, disabled: true, onSelect: () => {} }]
      }
    >
      {label}
    </Menu>
  );
}

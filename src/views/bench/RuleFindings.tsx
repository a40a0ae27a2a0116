import { ChevronDown, ChevronUp } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { readingsHere } from '../../app/readingsHere';
import type { Shelf } from '../../app/session';
import type { Edit } from '../../app/useBench';
import { useMaker } from '../../app/useMaker';
import type { Choice, Fix } from '../../core/advise/rules/definition';
import { findingsOf } from '../../core/advise/rules/rules';
import type { TopCoat } from '../../core/readings/legibility/topCoat';
import type { PassReading } from '../../core/readings/passReadings';
import { PASS_KINDS } from '../../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { useTopCoats } from './useTopCoats';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly passes: readonly PassReading[];
  readonly shelf: Shelf;
  readonly edit: Edit;
  /** The recipe has gone on since: what is told may hold no longer, and its presses wait for the next look. */
  readonly isBehind: boolean;
}

const NONE: readonly TopCoat[] = [];

/** What the recipe offends against of the rules of the trade, each with its mending by one press where there is one. */
export const RuleFindings = memo(function RuleFindings(props: Props) {
  const { resolved, passes, shelf, edit, isBehind } = props;
  const unit = useAppSelector(({ view }) => view.unit);
  const maker = useMaker();
  const isCoated = resolved.recipe.passes.some(
    ({ kind, enabled }) => enabled && (PASS_KINDS[kind].keepsGround || PASS_KINDS[kind].evenCoats),
  );
  const topCoats = useTopCoats(resolved, isCoated ? shelf.inks : undefined) ?? NONE;
  const findings = useMemo(
    () =>
      findingsOf({
        resolved,
        readings: readingsHere(resolved),
        passes,
        shelf: shelf.inks,
        topCoats,
        cards: shelf.cards,
        unit,
        maker,
      }),
    [resolved, passes, shelf, topCoats, unit, maker],
  );
  const [open, setOpen] = useState(false);
  const [first] = findings;
  if (!first) return null;
  const Sign = open ? ChevronDown : ChevronUp;
  return (
    <section
      aria-label="Watch out"
      // At the foot, folded to a line, so that nothing moves under the hand when something comes to be minded.
      className="shrink-0 border-t-2 border-text bg-field max-lg:order-first"
    >
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex min-h-11 w-full items-center gap-2 px-4 py-1.5 text-left focus-visible:outline-offset-[-3px]"
      >
        <span className="shrink-0 font-semibold">Watch out, {findings.length}</span>
        <span aria-live="polite" className={`min-w-0 flex-1 truncate ${open ? 'invisible' : 'text-mute'}`}>
          {first.message}
        </span>
        <Sign size={16} aria-hidden="true" className="shrink-0" />
      </button>
      {open && (
        <ul
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
          tabIndex={0}
          aria-label="What to watch out for"
          className="max-h-[45dvh] space-y-2.5 overflow-y-auto px-4 pb-3 focus-visible:outline-offset-[-3px] lg:max-h-64"
        >
          {findings.map(({ key, message, fix, others = [], choice }) => (
            <li key={key} className="leading-snug">
              <p>{message}</p>
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
      )}
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

import { memo, useState } from 'react';
import type { Edit } from '../../app/useBench';
import { useRaise } from '../../app/useRaise';
import { shareWith } from '../../core/base/share';
import { percentOf } from '../../core/base/words';
import { isBare } from '../../core/materials/ink/ink';
import { laidShares, perceivedShares, potencies } from '../../core/readings/perceived';
import { CLOSE_ENOUGH, wantedShares } from '../../core/readings/solveShares';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { Button } from '../../ui/Button';
import { PercentField } from '../../ui/PercentField';
import { shelfWorker } from '../../workers/client';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly edit: Edit;
  /** The whole table, or only what it comes to. */
  readonly isNumbers: boolean;
}

/** What the maker wants to see of each ink, what is laid and what will be seen; and laying it so. */
export const TrueShares = memo(function TrueShares({ resolved, edit, isNumbers }: Props) {
  const { recipe, inks } = resolved;
  const wanted = wantedShares(recipe);
  const perceived = perceivedShares(resolved);
  const laid = laidShares(resolved);
  const pull = potencies(resolved);
  const raise = useRaise();
  const [isSolving, setSolving] = useState(false);
  const [answer, setAnswer] = useState<{
    readonly recipe: ResolvedRecipe['recipe'];
    readonly text: string;
  }>();
  const off = Math.max(...wanted.map((share, i) => Math.abs(share - (perceived[i] ?? 0))));

  const want = (rung: number, share: number) =>
    edit((current) => ({ ...current, wanted: withShare(wantedShares(current), rung, share) }));
  const makeItSo = async () => {
    const solved = await shelfWorker().solveShares(resolved, [...wanted]);
    const next = shareWith(recipe, solved.recipe);
    // What was changed meanwhile stays as it is.
    edit((current) => (current === recipe ? next : current));
    setAnswer({
      recipe: next,
      text:
        solved.why ?? `Laid so: each ink shows within ${(solved.off * 100).toFixed(1)} % of what is wanted.`,
    });
  };
  const press = () => {
    if (isSolving) return;
    setSolving(true);
    makeItSo()
      .catch(raise)
      .finally(() => setSolving(false));
  };
  return (
    <section aria-label="True shares" data-tour="shares" className="border-t border-line pt-3">
      <div className="mb-1 flex items-center justify-between gap-2">
        <h3 className="font-semibold">
          {recipe.wanted ? 'Shares as wanted, to the eye' : 'Equal shares, to the eye'}
        </h3>
        <Button className={off <= CLOSE_ENOUGH ? 'invisible' : ''} aria-disabled={isSolving} onClick={press}>
          Make it so
        </Button>
      </div>
      {isNumbers && (
        <table className="w-full">
          <thead className="text-left text-small text-mute">
            <tr>
              <th className="font-normal">of the panel</th>
              <th className="text-right font-normal">to see</th>
              <th className="text-right font-normal">laid</th>
              <th className="text-right font-normal">seen</th>
            </tr>
          </thead>
          <tbody>
            {inks.map((ink, rung) => (
              <tr key={recipe.rungs[rung]?.id ?? rung} className="align-top">
                <td className="py-0.5 leading-tight">
                  {ink.name}
                  {!isBare(ink) && (
                    <span className="block text-small text-mute">{pull[rung]?.description}</span>
                  )}
                </td>
                <td className="py-0.5 text-right">
                  <PercentField
                    label={`To see of ${ink.name}`}
                    value={wanted[rung] ?? 0}
                    onChange={(share) => want(rung, share)}
                  />
                </td>
                <td className="py-1 pl-2 text-right">{percentOf(laid[rung] ?? 0)}</td>
                <td className="py-1 pl-2 text-right font-semibold">{percentOf(perceived[rung] ?? 0)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p role="status" className="mt-1 text-small leading-snug text-mute">
        {isSolving
          ? 'Trying shares until they are seen so …'
          : answer && answer.recipe === recipe
            ? answer.text
            : off <= CLOSE_ENOUGH
              ? 'What is seen is what is wanted.'
              : `Off by ${percentOf(off)} at most. In a joint each place reads as the ink it is nearest to.`}
      </p>
    </section>
  );
});

/** One share set, the others keeping their proportions to what is left. */
function withShare(shares: readonly number[], rung: number, share: number): number[] {
  const rest = shares.reduce((sum, other, i) => (i === rung ? sum : sum + other), 0);
  return shares.map((other, i) => (i === rung ? share : (other / rest) * (1 - share)));
}

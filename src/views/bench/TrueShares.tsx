import { memo, useState } from 'react';
import type { Edit } from '../../app/useBench';
import { isBare } from '../../core/materials/ink/ink';
import { laidShares, perceivedShares, potencies } from '../../core/readings/perceived';
import { CLOSE_ENOUGH, solveShares, wantedShares } from '../../core/readings/solveShares';
import type { Kit } from '../../core/recipe/recipe';
import { Button } from '../../ui/Button';
import { TypedField } from '../../ui/TypedField';

interface Props {
  readonly kit: Kit;
  readonly edit: Edit;
}

const percent = (part: number): string => `${Math.round(part * 100)}%`;

/** What the maker wants to see of each ink, what is laid and what will be seen; and laying it so. */
export const TrueShares = memo(function TrueShares({ kit, edit }: Props) {
  const { recipe, inks } = kit;
  const wanted = wantedShares(recipe);
  const seen = perceivedShares(kit);
  const laid = laidShares(kit);
  const pull = potencies(kit);
  const [told, setTold] = useState<{ readonly recipe: Kit['recipe']; readonly text: string }>();
  const off = Math.max(...wanted.map((share, i) => Math.abs(share - (seen[i] as number))));

  const want =
    (rung: number) =>
    (text: string): string | undefined => {
      const share = Number(text.replace('%', '').replace(',', '.').trim()) / 100;
      if (!(share > 0 && share < 1))
        return `“${text}” is no share. Type per cent of the panel, more than 0 and less than 100.`;
      edit((current) => ({ ...current, wanted: withShare(wantedShares(current), rung, share) }));
      return undefined;
    };
  const makeItSo = () => {
    const solved = solveShares(kit, wanted);
    edit(() => solved.recipe);
    setTold({
      recipe: solved.recipe,
      text:
        solved.why ?? `Laid so: each ink shows within ${(solved.off * 100).toFixed(1)} % of what is wanted.`,
    });
  };
  return (
    <section aria-label="True shares" data-tour="shares" className="border-t border-line pt-3">
      <div className="mb-1 flex items-center justify-between gap-2">
        <h3 className="heading text-[14px]">True shares</h3>
        <Button disabled={off <= CLOSE_ENOUGH / 2} onClick={makeItSo}>
          Make it so
        </Button>
      </div>
      <table className="w-full">
        <thead className="text-left text-[12px] text-mute">
          <tr>
            <th className="font-normal">of the panel</th>
            <th className="text-right font-normal">to see</th>
            <th className="text-right font-normal">laid</th>
            <th className="text-right font-normal">seen</th>
          </tr>
        </thead>
        <tbody>
          {inks.map((ink, rung) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rungs have no other identity than their place
            <tr key={rung} className="align-top">
              <td className="py-0.5 leading-tight">
                {ink.name}
                {!isBare(ink) && <span className="block text-[12px] text-mute">{pull[rung]?.told}</span>}
              </td>
              <td className="py-0.5 text-right">
                <TypedField
                  label={`To see of ${ink.name}, per cent`}
                  shown={percent(wanted[rung] ?? 0)}
                  onCommit={want(rung)}
                  className="w-12 text-right"
                />
              </td>
              <td className="py-1 pl-2 text-right">{percent(laid[rung] ?? 0)}</td>
              <td className="py-1 pl-2 text-right font-semibold">{percent(seen[rung] ?? 0)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p role="status" className="mt-1 text-[12px] leading-snug text-mute">
        {told && told.recipe === recipe
          ? told.text
          : off <= CLOSE_ENOUGH
            ? 'What is seen is what is wanted.'
            : `Off by ${percent(off)} at most. In a joint each place reads as the ink it is nearest to.`}
      </p>
    </section>
  );
});

/** One share set, the others keeping their proportions to what is left. */
function withShare(shares: readonly number[], rung: number, share: number): number[] {
  const rest = shares.reduce((sum, other, i) => (i === rung ? sum : sum + other), 0);
  return shares.map((other, i) => (i === rung ? share : (other / rest) * (1 - share)));
}

import { useMemo } from 'react';
import { usePanels } from '../../app/log/usePanels';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { useShelf } from '../../app/session';
import { madeTrios } from '../../core/keep/log/madeTrios';
import { type Onward, twoInkCuts, untriedNeighbours } from '../../core/keep/log/onward';
import { settle } from '../../core/recipe/editLadder';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { Button } from '../../ui/Button';

/** What a panel that came out well leads on to: cut to two inks, or with one ink another that was never tried there. */
export function OnwardList({ resolved }: { readonly resolved: ResolvedRecipe }) {
  const shelf = useShelf();
  const panels = usePanels();
  const { openNew } = useRecipeActions();
  const ways = useMemo(
    () =>
      shelf && panels
        ? [...twoInkCuts(resolved), ...untriedNeighbours(resolved, shelf.inks, madeTrios(panels))]
        : [],
    [resolved, shelf, panels],
  );
  if (ways.length === 0) return null;
  const open = ({ recipe, how }: Onward) =>
    void openNew(settle({ ...recipe, name: `${recipe.name}, ${how}`.slice(0, 120) }));
  return (
    <section aria-label="From here">
      <h2 className="heading mb-2">From here</h2>
      <ul className="flex flex-wrap gap-2">
        {ways.map((way) => (
          <li key={way.how}>
            <Button onClick={() => open(way)}>{way.how}</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

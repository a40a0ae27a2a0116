import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { PanelPicture } from '../../app/panel/PanelPicture';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { type Shelf, useDatabase } from '../../app/session';
import { cardFit, type FitWord } from '../../core/readings/card/cardFit';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { resolveAnyway } from '../../core/recipe/resolved';
import { listRecipes } from '../../data/recipes';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { Select } from '../../ui/Select';

const HEIGHT = 220;
const RANK: Readonly<Record<FitWord, number>> = { suits: 0, 'with care': 1, 'not for this': 2 };

/** One recipe on every card of the drawer, side by side and equally large, the best fit first. */
export function OnAllCards({ shelf }: { readonly shelf: Shelf }) {
  const db = useDatabase();
  const records = useLiveQuery(() => listRecipes(db), [db]);
  const onBench = useAppSelector(({ draft }) => draft.recipe?.id);
  const [chosen, setChosen] = useState<string>();
  const [wetness, setWetness] = useState<'dry' | 'wet'>('dry');
  const recipe = records?.find(({ id }) => id === (chosen ?? onBench))?.recipe ?? records?.[0]?.recipe;
  const kits = useMemo(
    () =>
      shelf.cards
        .flatMap((card) => (recipe && resolveAnyway({ ...recipe, cardId: card.id }, shelf)) ?? [])
        .map((resolved) => ({
          resolved,
          fit: cardFit([...resolved.inks, ...resolved.passInks], resolved.card),
        }))
        .sort((p, q) => RANK[p.fit.word] - RANK[q.fit.word]),
    [recipe, shelf],
  );
  if (records?.length === 0) return <p className="p-6">There is no recipe yet to lay on the cards.</p>;
  return (
    <section aria-label="On all cards" className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <Select
          label="Recipe"
          value={recipe?.id ?? ''}
          options={(records ?? []).map(({ id, recipe: { name } }) => ({ value: id, label: name }))}
          onChange={setChosen}
          width="max-w-72"
        />
        <Segmented
          label="How the panels are shown"
          value={wetness}
          onChange={setWetness}
          options={[
            { value: 'dry', label: 'Dried' },
            { value: 'wet', label: 'Wet' },
          ]}
        />
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(14.5rem,1fr))] gap-4">
        {kits.map(({ resolved, fit }) => (
          <OnCard key={resolved.card.id} resolved={resolved} fit={fit} wetness={wetness} />
        ))}
      </ul>
    </section>
  );
}

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly fit: ReturnType<typeof cardFit>;
  readonly wetness: 'dry' | 'wet';
}

function OnCard({ resolved, fit, wetness }: Props) {
  const { openNew } = useRecipeActions();
  const navigate = useNavigate();
  const onBench = useAppSelector(({ draft }) => draft.recipe);
  const { panel, name } = resolved.recipe;
  const width = Math.round((HEIGHT * panel.width) / panel.height);
  const isThere = onBench?.id === resolved.recipe.id && onBench.cardId === resolved.card.id;
  return (
    <li className="flex flex-col bg-pane p-3">
      <div className="relative mx-auto shadow-[0_1px_3px_#0006]" style={{ width, height: HEIGHT }}>
        <PanelPicture
          resolved={resolved}
          wetness={wetness}
          width={width}
          height={HEIGHT}
          label={`${name} on ${resolved.card.name}`}
        />
      </div>
      <h2 className="mt-3 text-lead font-semibold">{resolved.card.name}</h2>
      <p className="font-semibold">
        <FitSign word={fit.word} /> {fit.word}
      </p>
      <ul className="mt-1 space-y-1 text-small leading-snug">
        {fit.reasons.slice(0, 4).map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      <p className="mt-auto pt-2">
        {isThere ? (
          <Button onClick={() => navigate(`/bench/${resolved.recipe.id}`)}>On the bench now</Button>
        ) : (
          <Button
            aria-label={`Open a copy on it: ${resolved.card.name}`}
            onClick={() =>
              void openNew({ ...resolved.recipe, name: `${name}, ${resolved.card.name}`.slice(0, 100) })
            }
          >
            Open a copy on it
          </Button>
        )}
      </p>
    </li>
  );
}

const SIGNS: Readonly<Record<FitWord, string>> = {
  suits: 'M1 6l3.5 4L11 2',
  'with care': 'M6 1v6M6 9.5v1.5',
  'not for this': 'M2 2l8 8M10 2l-8 8',
};

/** A tick, a call for care, or a cross. */
function FitSign({ word }: { readonly word: FitWord }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 12 12" className="mr-0.5 inline size-3 -translate-y-px">
      <path d={SIGNS[word]} className="fill-none stroke-text" strokeWidth={1.8} strokeLinecap="round" />
    </svg>
  );
}

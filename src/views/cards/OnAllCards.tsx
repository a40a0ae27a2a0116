import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { PanelPicture } from '../../app/panel/PanelPicture';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { type Shelf, useSession } from '../../app/session';
import { cardFit, type FitWord } from '../../core/readings/card/cardFit';
import type { Kit } from '../../core/recipe/recipe';
import { kitFrom, listRecipes } from '../../data/recipes';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';

const HEIGHT = 220;
const RANK: Readonly<Record<FitWord, number>> = { suits: 0, 'with care': 1, 'not for this': 2 };

/** One recipe on every card of the drawer, side by side and equally large, the best fit first. */
export function OnAllCards({ shelf }: { readonly shelf: Shelf }) {
  const { db } = useSession();
  const records = useLiveQuery(() => listRecipes(db), [db]);
  const onBench = useAppSelector(({ draft }) => draft.recipe?.id);
  const [chosen, setChosen] = useState<string>();
  const [wetness, setWetness] = useState<'dry' | 'wet'>('dry');
  const recipe = records?.find(({ id }) => id === (chosen ?? onBench))?.recipe ?? records?.[0]?.recipe;
  const kits = useMemo(
    () =>
      shelf.cards
        .flatMap((card) => (recipe && kitFrom({ ...recipe, cardId: card.id }, shelf)) ?? [])
        .map((kit) => ({ kit, fit: cardFit([...kit.inks, ...kit.passInks], kit.card) }))
        .sort((p, q) => RANK[p.fit.word] - RANK[q.fit.word]),
    [recipe, shelf],
  );
  if (records?.length === 0) return <p className="p-6">There is no recipe yet to lay on the cards.</p>;
  return (
    <section aria-label="On all cards" className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <select
          aria-label="Recipe"
          value={recipe?.id ?? ''}
          onChange={({ target }) => setChosen(target.value)}
          className="frame min-h-7 max-w-72 px-1 py-0.5"
        >
          {records?.map(({ id, recipe: { name } }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
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
        {kits.map(({ kit, fit }) => (
          <OnCard key={kit.card.id} kit={kit} fit={fit} wetness={wetness} />
        ))}
      </ul>
    </section>
  );
}

interface Props {
  readonly kit: Kit;
  readonly fit: ReturnType<typeof cardFit>;
  readonly wetness: 'dry' | 'wet';
}

function OnCard({ kit, fit, wetness }: Props) {
  const { openNew } = useRecipeActions();
  const navigate = useNavigate();
  const onBench = useAppSelector(({ draft }) => draft.recipe);
  const { panel, name } = kit.recipe;
  const width = Math.round((HEIGHT * panel.width) / panel.height);
  const isThere = onBench?.id === kit.recipe.id && onBench.cardId === kit.card.id;
  return (
    <li className="flex flex-col bg-pane p-3">
      <div className="relative mx-auto shadow-[0_1px_3px_#0006]" style={{ width, height: HEIGHT }}>
        <PanelPicture
          kit={kit}
          wetness={wetness}
          width={width}
          height={HEIGHT}
          label={`${name} on ${kit.card.name}`}
        />
      </div>
      <h2 className="mt-3 text-[15px] font-semibold">{kit.card.name}</h2>
      <p className="font-semibold">
        <FitSign word={fit.word} /> {fit.word}
      </p>
      <ul className="mt-1 space-y-1 text-[12px] leading-snug">
        {fit.reasons.slice(0, 4).map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      <p className="mt-auto pt-2">
        {isThere ? (
          <Button onClick={() => navigate(`/bench/${kit.recipe.id}`)}>On the bench now</Button>
        ) : (
          <Button
            aria-label={`Open a copy on ${kit.card.name}`}
            onClick={() => void openNew({ ...kit.recipe, name: `${name}, ${kit.card.name}`.slice(0, 100) })}
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

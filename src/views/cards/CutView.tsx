import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { CUTTING_SETTING, type Cutting, useCutting } from '../../app/cutting';
import { type Shelf, useDatabase } from '../../app/session';
import { useAnswer } from '../../app/useAnswer';
import { type Assembly, type Piece, piecesOf } from '../../core/make/cutting/pieces';
import type { Card } from '../../core/materials/card/card';
import type { Recipe } from '../../core/recipe/recipe';
import { resolveAnyway } from '../../core/recipe/resolved';
import { listRecipes } from '../../data/recipes';
import { writeSetting } from '../../data/settings';
import { useAppSelector } from '../../store/hooks';
import { Select } from '../../ui/Select';
import { shelfWorker } from '../../workers/client';
import { Assembled } from './Assembled';
import { AssemblyForm } from './AssemblyForm';
import { CutPlanView } from './CutPlanView';

/** A batch of cards put together from the panel out, and how its pieces are cut from the sheets in the drawer. */
export function CutView({ shelf }: { readonly shelf: Shelf }) {
  const db = useDatabase();
  const records = useLiveQuery(() => listRecipes(db), [db]);
  const choices = useCutting();
  const onBench = useAppSelector(({ draft }) => draft.recipe?.id);
  const [recipeId, setRecipeId] = useState<string>();
  const recipe = records?.find(({ id }) => id === (recipeId ?? onBench))?.recipe ?? records?.[0]?.recipe;
  const resolved = useMemo(() => recipe && resolveAnyway(recipe, shelf), [recipe, shelf]);
  const ask = useMemo(
    () => resolved && (() => shelfWorker().matsFor(resolved, shelf.cards)),
    [resolved, shelf.cards],
  );
  const answer = useAnswer(ask);
  // Without its inks a panel has no colours to go with.
  const advice = resolved ? answer : [];
  if (!choices || !records) return <p className="p-6 text-mute">Opening …</p>;
  if (!recipe) return <p className="p-6">There is no recipe yet whose panel could be cut.</p>;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 overflow-y-auto lg:grid-cols-[20rem_minmax(0,1fr)] lg:overflow-hidden">
      <section
        aria-label="The batch"
        className="space-y-4 border-line bg-pane p-4 lg:overflow-y-auto lg:border-r"
      >
        <label className="block">
          <span className="mb-0.5 block font-semibold">Panel of</span>
          <Select
            label="Panel of recipe"
            value={recipe.id}
            options={records.map(({ id, recipe: { name } }) => ({ value: id, label: name }))}
            onChange={setRecipeId}
            width="w-full"
          />
        </label>
        <AssemblyForm
          choices={choices}
          panel={recipe.panel}
          cards={shelf.cards}
          advice={advice}
          onChange={(change) => void writeSetting(db, CUTTING_SETTING, { ...choices, ...change })}
        />
      </section>
      <div className="min-h-0 space-y-6 p-4 lg:overflow-y-auto">
        {resolved && <Assembled resolved={resolved} choices={choices} cards={shelf.cards} />}
        <Plans recipe={recipe} choices={choices} cards={shelf.cards} />
      </div>
    </div>
  );
}

interface PlansProps {
  readonly recipe: Recipe;
  readonly choices: Cutting;
  readonly cards: readonly Card[];
}

/** One plan a card that something is cut from. */
function Plans({ recipe, choices, cards }: PlansProps) {
  const { grain, ...rest } = choices;
  const key = JSON.stringify([recipe.panel, recipe.cardId, choices]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key tells when any of it changed
  const byCard = useMemo(() => {
    const assembly: Assembly = { ...rest, panel: recipe.panel, panelCardId: recipe.cardId };
    return [...piecesOf(assembly)];
  }, [key]);
  return (
    <section aria-label="Cut plans" className="space-y-6">
      {byCard.map(([cardId, pieces]) => {
        const card = cards.find(({ id }) => id === cardId);
        return card ? (
          <CardPlan key={`${cardId} ${key}`} card={card} pieces={pieces} grain={grain} />
        ) : (
          <p key={cardId}>A card that was chosen is no longer in the drawer. Choose another.</p>
        );
      })}
    </section>
  );
}

interface CardPlanProps {
  readonly card: Card;
  readonly pieces: readonly Piece[];
  readonly grain: boolean;
}

function CardPlan({ card, pieces, grain }: CardPlanProps) {
  const { sheet } = card;
  const unit = useAppSelector(({ view }) => view.unit);
  const ask = useMemo(
    () => sheet && (async () => shelfWorker().planCuts(sheet, pieces, grain, unit)),
    [sheet, pieces, grain, unit],
  );
  // A plan tells of the pieces it was made for: one of earlier pieces would be read wrongly.
  const answer = useAnswer(ask, 'nothing');
  return (
    <article>
      <h2 className="heading text-lead">{card.name}</h2>
      {!card.sheet ? (
        <p>
          It is not known how large its sheets are. Change the card in the drawer and give its sheet size.
        </p>
      ) : !answer ? (
        <p role="status" className="text-mute">
          Laying out the pieces …
        </p>
      ) : 'refused' in answer ? (
        <p role="alert" className="border-l-4 border-text pl-3">
          {answer.refused}
        </p>
      ) : (
        <CutPlanView plan={answer} card={card} pieces={pieces} />
      )}
    </article>
  );
}

import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, type ReactNode, Suspense, useCallback, useMemo } from 'react';
import { Link } from 'react-router';
import { CardSelect } from '../../app/CardSelect';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { type Shelf, useDatabase, useShelf } from '../../app/session';
import { useAddressed } from '../../app/useAddressed';
import { searchedInks, useChoosing } from '../../app/useChoosing';
import { useTags } from '../../app/useTags';
import { trioRecipe } from '../../core/advise/trioRecipe';
import type { RelationId } from '../../core/choose/search/relations/relations';
import type { Ink } from '../../core/materials/ink/ink';
import { setShares } from '../../core/recipe/editLadder';
import { listKept } from '../../data/kept';
import { PageTitle } from '../../ui/PageTitle';
import { Segmented } from '../../ui/Segmented';
import { BridgeFinder } from './BridgeFinder';
import { KeptTrios } from './KeptTrios';
import { SearchSentence } from './SearchSentence';
import { TrioSearch } from './TrioSearch';

const MatchFinder = lazy(() => import('./match/MatchFinder').then((m) => ({ default: m.MatchFinder })));

/** Choosing which inks: every trio of the shelf weighed, or a middle found for two ends. */
export function TriosView() {
  const shelf = useShelf();
  if (!shelf) return <p className="p-6 text-mute">Reading your shelf …</p>;
  return <Choosing shelf={shelf} />;
}

/** What the other ways do, in a sentence. */
const TOLD = {
  bridge: 'Two inks as the ends, and what lies well between them.',
  match: 'The main colours of a picture, in inks you own.',
  kept: 'Trios put by, to be made one day.',
} as const;

type Way = 'trios' | 'bridge' | 'match' | 'kept';

function Choosing({ shelf }: { readonly shelf: Shelf }) {
  const [way, setWay] = useAddressed<Way>('way', ['trios', 'bridge', 'match', 'kept']);
  const choosing = useChoosing();
  const db = useDatabase();
  const kept = useLiveQuery(() => listKept(db), [db]);
  const tags = useTags('ink');
  const inks = searchedInks(shelf.inks);
  const known = useMemo(() => tags.among(inks.map(({ id }) => id)), [tags, inks]);
  const card = choosing.cardIn(shelf.cards);
  const { openNew } = useRecipeActions();
  const open = useCallback(
    (chosen: readonly Ink[], foundBy?: RelationId) => {
      if (card) void openNew(trioRecipe(chosen, card, foundBy, shelf));
    },
    [openNew, card, shelf],
  );
  const openShared = useCallback(
    (chosen: readonly Ink[], shares?: readonly number[]) => {
      if (!card) return;
      const recipe = trioRecipe(chosen, card, undefined, shelf);
      void openNew(shares ? setShares(recipe, shares) : recipe);
    },
    [openNew, card, shelf],
  );
  if (!card || inks.length < 2)
    return (
      <TooFew>
        {inks.length === 0
          ? 'There is no ink to choose from.'
          : `${inks[0]?.name} is the only ink to choose from.`}
      </TooFew>
    );
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <header className="flex flex-col border-b border-line bg-pane px-5 pt-3 max-sm:gap-2 max-sm:px-3 max-sm:pt-0 max-sm:pb-2">
        <PageTitle of="Choose inks" />
        <h1 className="sr-only">Choose inks</h1>
        {way === 'trios' ? (
          <SearchSentence choosing={choosing} inks={inks} cards={shelf.cards} tags={known} />
        ) : (
          <p className="sentence">{TOLD[way]}</p>
        )}
        {/* On a phone the ways come first: the sentence is one line in one and three in another. */}
        <div className="mt-1 flex flex-wrap items-center gap-x-4 max-sm:order-first max-sm:-mx-3 max-sm:mt-0 max-sm:border-b max-sm:border-line max-sm:px-3">
          <Segmented<Way>
            label="Way of choosing"
            value={way}
            onChange={setWay}
            options={[
              { value: 'trios', label: 'Trios' },
              { value: 'bridge', label: 'From two inks' },
              { value: 'match', label: 'From a picture' },
              { value: 'kept', label: `Kept, ${kept?.length ?? 0}` },
            ]}
          />
          {(way === 'bridge' || way === 'match') && (
            <span className="ml-auto flex min-w-0 items-center gap-2 py-1">
              <span className="text-mute">on</span>
              <CardSelect
                cards={shelf.cards}
                value={card.id}
                onChange={(cardId) => choosing.set({ cardId })}
              />
            </span>
          )}
        </div>
      </header>
      {way === 'trios' && inks.length < 3 && <TooFew>Three inks make a trio, and there are two.</TooFew>}
      {way === 'trios' && inks.length >= 3 && (
        <TrioSearch {...{ choosing, inks, card, kept }} onOpen={open} />
      )}
      {way === 'bridge' && <BridgeFinder inks={inks} card={card} onOpen={open} />}
      {way === 'match' && (
        <Suspense fallback={<p className="p-6 text-mute">Opening …</p>}>
          <MatchFinder inks={inks} card={card} onOpen={openShared} />
        </Suspense>
      )}
      {way === 'kept' && <KeptTrios kept={kept ?? []} inks={inks} cards={shelf.cards} />}
    </main>
  );
}

/** Says that there is not enough to choose from, and where more comes from. */
function TooFew({ children }: { readonly children: ReactNode }) {
  return (
    <p className="p-6">
      {children} Inks that are blended are{' '}
      <Link to="/inks" className="font-semibold underline underline-offset-4">
        added on the shelf
      </Link>
      .
    </p>
  );
}

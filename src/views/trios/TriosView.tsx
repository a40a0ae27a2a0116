import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, type ReactNode, Suspense, useCallback, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { CardSelect } from '../../app/CardSelect';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { type Shelf, useSession, useShelf } from '../../app/session';
import { useAddressed } from '../../app/useAddressed';
import { trioRecipe } from '../../core/advise/trioRecipe';
import type { FoundTrio } from '../../core/choose/search/foundTrio';
import { type Constraints, NO_CONSTRAINTS, type TrioQuery, trioKey } from '../../core/choose/search/query';
import type { RelationId } from '../../core/choose/search/relations/relations';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import { setShares } from '../../core/recipe/editLadder';
import { listKept } from '../../data/kept';
import { listRecipes } from '../../data/recipes';
import type { KeptTrio } from '../../data/records';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { PageHeader } from '../../ui/PageHeader';
import { Segmented } from '../../ui/Segmented';
import { BridgeFinder } from './BridgeFinder';
import { CompareTray, MAX_COMPARED } from './CompareTray';
import { KeptTrios, useKeep } from './KeptTrios';
import { QueryPanel } from './QueryPanel';
import { TrioCard } from './TrioCard';
import { type TrioSearchState, useTrioSearch } from './useTrioSearch';

const MatchFinder = lazy(() => import('./match/MatchFinder').then((m) => ({ default: m.MatchFinder })));

/** Choosing which inks: every trio of the shelf weighed, or a middle found for two ends. */
export function TriosView() {
  const shelf = useShelf();
  if (!shelf) return <p className="p-6 text-mute">Reading your shelf …</p>;
  return <Choosing shelf={shelf} />;
}

type Way = 'trios' | 'bridge' | 'match' | 'kept';

function Choosing({ shelf }: { readonly shelf: Shelf }) {
  const [way, setWay] = useAddressed<Way>('way', ['trios', 'bridge', 'match', 'kept']);
  const [cardId, setCardId] = useState('smooth-white');
  const { db } = useSession();
  const kept = useLiveQuery(() => listKept(db), [db]);
  const inks = useMemo(() => shelf.inks.filter(({ kind }) => INK_KINDS[kind].blends), [shelf.inks]);
  const card = shelf.cards.find(({ id }) => id === cardId) ?? shelf.cards[0];
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
      <PageHeader title="Choose inks">
        <Segmented<Way>
          label="Way of choosing"
          value={way}
          onChange={setWay}
          options={[
            { value: 'trios', label: 'Search trios' },
            { value: 'bridge', label: 'Start from two inks' },
            { value: 'match', label: 'Match a picture' },
            { value: 'kept', label: `Kept, ${kept?.length ?? 0}` },
          ]}
        />
        <div className="ml-auto flex items-center gap-2">
          <span className="text-mute">on</span>
          <CardSelect cards={shelf.cards} value={card.id} onChange={setCardId} />
        </div>
      </PageHeader>
      {way === 'trios' && inks.length < 3 && <TooFew>Three inks make a trio, and there are two.</TooFew>}
      {way === 'trios' && inks.length >= 3 && (
        <TrioSearch inks={inks} card={card} kept={kept} onOpen={open} />
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
      <Link to="/shelf" className="font-semibold underline underline-offset-4">
        added on the shelf
      </Link>
      .
    </p>
  );
}

/** Best trios kept from a search; near-duplicates are folded among them. */
const KEEP = 3000;

interface SearchProps {
  readonly inks: readonly Ink[];
  readonly card: Card;
  readonly kept: readonly KeptTrio[] | undefined;
  readonly onOpen: (inks: readonly Ink[], foundBy: RelationId) => void;
}

function TrioSearch({ inks, card, kept, onOpen }: SearchProps) {
  const { db } = useSession();
  const wetness = useAppSelector(({ view }) => view.wetness);
  const recipes = useLiveQuery(() => listRecipes(db), [db]);
  const [asked, setAsked] = useState<TrioQuery>({
    relation: 'tonal',
    constraints: NO_CONSTRAINTS,
    sort: 'fit',
    seed: 1,
    keep: KEEP,
  });
  const [notMade, setNotMade] = useState(false);
  const [compared, setCompared] = useState<readonly FoundTrio[]>([]);
  // A search begins again when its query does, so only the recipes and kept trios that were asked about may change it.
  const { sort, constraints } = asked;
  const avoided = notMade ? recipes : undefined;
  const apart = sort === 'unlikeKept' || constraints.farFromKept > 0 ? kept : undefined;
  const query = useMemo<TrioQuery>(() => {
    const made = avoided?.map(({ recipe }) => trioKey(recipe.rungs.map(({ inkId }) => inkId))) ?? [];
    const far = apart?.map(({ inkIds }) => inkIds) ?? [];
    return { ...asked, constraints: { ...asked.constraints, notAmong: made, kept: far } };
  }, [asked, avoided, apart]);
  const search = useTrioSearch(inks, card, query);
  const change = (part: Partial<TrioQuery>) => setAsked((now) => ({ ...now, ...part }));
  const constrain = (part: Partial<Constraints>) =>
    setAsked((now) => ({ ...now, constraints: { ...now.constraints, ...part } }));
  const compare = useCallback((trio: FoundTrio) => {
    const key = keyOf(trio);
    setCompared((now) =>
      now.some((other) => keyOf(other) === key)
        ? now.filter((other) => keyOf(other) !== key)
        : [...now, trio].slice(-MAX_COMPARED),
    );
  }, []);
  const { relation } = asked;
  const open = useCallback((chosen: readonly Ink[]) => onOpen(chosen, relation), [onOpen, relation]);
  const comparedKeys = new Set(compared.map(keyOf));
  const keptKeys = new Set(kept?.map(({ id }) => id));
  const keep = useKeep(card);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[17.5rem_minmax(0,1fr)]">
      <section aria-label="What is wanted" className="overflow-y-auto border-line bg-pane lg:border-r">
        <QueryPanel
          query={asked}
          inks={inks}
          notMade={notMade}
          onQuery={change}
          onConstraints={constrain}
          onNotMade={setNotMade}
        />
      </section>
      <section aria-label="Found" className="flex min-h-0 flex-col">
        {compared.length > 0 && <CompareTray trios={compared} card={card} onOpen={open} onDrop={compare} />}
        <Told search={search} />
        <ul className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(9.75rem,1fr))] content-start gap-3 overflow-y-auto p-4">
          {search.answer?.found.map((trio) => (
            <TrioCard
              key={keyOf(trio)}
              trio={trio}
              card={card}
              wetness={wetness}
              compared={comparedKeys.has(keyOf(trio))}
              kept={keptKeys.has(trioKey(trio.inks.map(({ id }) => id)))}
              onKeep={keep}
              onOpen={open}
              onCompare={compare}
            />
          ))}
          {search.answer && search.answer.left > 0 && (
            <li className="flex items-center justify-center p-3">
              <Button onClick={search.more}>Show more, {search.answer.left} left</Button>
            </li>
          )}
        </ul>
      </section>
    </div>
  );
}

const keyOf = ({ inks }: FoundTrio): string => inks.map(({ id }) => id).join(' ');

/** How many were found, or how far the search is, with a way to stop it. */
function Told({ search }: { readonly search: TrioSearchState }) {
  const { answer, progress, failed, stopped, cancel } = search;
  return (
    <div className="flex min-h-11 items-center gap-3 border-b border-line px-4 py-1.5">
      <p role="status" className="mr-auto" data-took={answer?.took}>
        {failed
          ? 'The search stopped by a fault. Change something to search again.'
          : stopped
            ? 'Stopped. What is shown is from the search before; change something to search again.'
            : answer
              ? answer.count === 0
                ? 'No trio meets all of this. Ask for less: wider lightness, more kinds, another relation.'
                : `${answer.count.toLocaleString()} of ${answer.outOf.toLocaleString()} trios fit, weighed in ${(answer.took / 1000).toFixed(1)} s; a page of the best that are unlike each other`
              : 'Searching every trio of the shelf …'}
      </p>
      {progress && (
        <>
          <progress
            aria-label={progress.stage === 'joints' ? 'Judging every joint' : 'Weighing every trio'}
            value={progress.part}
            className="h-2 w-32 accent-(--strong)"
          />
          <Button onClick={cancel}>Stop</Button>
        </>
      )}
    </div>
  );
}

import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo, useState } from 'react';
import { usePanels } from '../../app/log/usePanels';
import { useDatabase } from '../../app/session';
import type { ChoosingState } from '../../app/useChoosing';
import { useTags } from '../../app/useTags';
import type { FoundTrio } from '../../core/choose/search/foundTrio';
import { type TrioQuery, trioKey } from '../../core/choose/search/query';
import type { RelationId } from '../../core/choose/search/relations/relations';
import { madeTrios } from '../../core/keep/log/madeTrios';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { listRecipes } from '../../data/recipes';
import type { KeptTrio } from '../../data/records';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { ChosenTrio } from './ChosenTrio';
import { CompareTray, MAX_COMPARED } from './CompareTray';
import { useKeep } from './KeptTrios';
import { TrioCard } from './TrioCard';
import { type TrioSearchState, useTrioSearch } from './useTrioSearch';

interface Props {
  readonly choosing: ChoosingState;
  readonly inks: readonly Ink[];
  readonly card: Card;
  readonly kept: readonly KeptTrio[] | undefined;
  readonly onOpen: (inks: readonly Ink[], foundBy: RelationId) => void;
}

/** Every trio of the shelf weighed: a page of small panels, and the one in hand beside them. */
export function TrioSearch({ choosing, inks, card, kept, onOpen }: Props) {
  const { query: asked, notMade, tag } = choosing;
  const wetness = useAppSelector(({ view }) => view.wetness);
  const { tagsOf } = useTags('ink');
  const tagged = useMemo(
    () => (tag === undefined ? inks : inks.filter(({ id }) => tagsOf(id).includes(tag))),
    [inks, tag, tagsOf],
  );
  const query = useWholeQuery(asked, notMade, kept);
  const search = useTrioSearch(tagged, card, query);
  const [compared, setCompared] = useState<readonly FoundTrio[]>([]);
  const [chosenKey, setChosenKey] = useState<string>();
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
  const choose = useCallback((trio: FoundTrio) => setChosenKey(keyOf(trio)), []);
  const comparedKeys = new Set(compared.map(keyOf));
  const keptKeys = new Set(kept?.map(({ id }) => id));
  const keep = useKeep(card);
  const found = search.answer?.found ?? [];
  const chosen = found.find((trio) => keyOf(trio) === chosenKey) ?? found[0];
  const isKept = (trio: FoundTrio) => keptKeys.has(trioKey(trio.inks.map(({ id }) => id)));
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_22rem] 2xl:grid-cols-[minmax(0,1fr)_28rem]">
      <section aria-label="Found" className="flex min-h-0 flex-col">
        {compared.length > 0 && <CompareTray trios={compared} card={card} onOpen={open} onDrop={compare} />}
        <Told search={search} choosing={choosing} />
        <ul className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] content-start gap-x-3 gap-y-4 overflow-y-auto p-4 max-sm:grid-cols-[repeat(auto-fill,minmax(6.5rem,1fr))]">
          {found.map((trio) => (
            <TrioCard
              key={keyOf(trio)}
              {...{ trio, card, wetness }}
              isChosen={trio === chosen}
              isKept={isKept(trio)}
              onChoose={choose}
            />
          ))}
          {search.answer && search.answer.left > 0 && (
            <li className="flex items-center justify-center p-3">
              <Button onClick={search.more}>Show more, {search.answer.left} left</Button>
            </li>
          )}
        </ul>
      </section>
      {chosen && (
        <ChosenTrio
          trio={chosen}
          {...{ card, wetness }}
          isCompared={comparedKeys.has(keyOf(chosen))}
          isKept={isKept(chosen)}
          onOpen={open}
          onKeep={keep}
          onCompare={compare}
        />
      )}
    </div>
  );
}

/** The query with what is to be left out: a search begins again when it changes, so only what was asked about may change it. */
function useWholeQuery(asked: TrioQuery, notMade: boolean, kept: readonly KeptTrio[] | undefined): TrioQuery {
  const db = useDatabase();
  const recipes = useLiveQuery(() => listRecipes(db), [db]);
  const panels = usePanels();
  const avoided = notMade ? recipes : undefined;
  const logged = notMade ? panels : undefined;
  const { sort, constraints } = asked;
  const apart = sort === 'unlikeKept' || constraints.farFromKept > 0 ? kept : undefined;
  return useMemo(() => {
    const made = [
      ...(avoided?.map(({ recipe }) => trioKey(recipe.rungs.map(({ inkId }) => inkId))) ?? []),
      ...madeTrios(logged ?? []),
    ];
    const far = apart?.map(({ inkIds }) => inkIds) ?? [];
    return { ...asked, constraints: { ...asked.constraints, notAmong: made, kept: far } };
  }, [asked, avoided, logged, apart]);
}

const keyOf = ({ inks }: FoundTrio): string => inks.map(({ id }) => id).join(' ');

interface ToldProps {
  readonly search: TrioSearchState;
  readonly choosing: ChoosingState;
}

/** How many were found, or how far the search is, with a way to stop it; and a draw by chance. */
function Told({ search, choosing: { query, ask } }: ToldProps) {
  const { answer, progress, failed, stopped, cancel } = search;
  return (
    <div className="flex min-h-11 items-center gap-3 px-4 py-1.5">
      <p role="status" className="mr-auto text-mute" data-took={answer?.took}>
        {failed
          ? 'The search stopped because of a fault. Change something to search again.'
          : stopped
            ? 'Stopped. What is shown is from the search before; change something to search again.'
            : answer
              ? answer.count === 0
                ? 'No trio meets all of this. Ask for less: take a word out of the sentence, or choose another relation.'
                : `${answer.count.toLocaleString('en')} of ${answer.outOf.toLocaleString('en')} trios ${answer.count === 1 ? 'fits' : 'fit; the best that are unlike each other'}`
              : 'Weighing every trio of the shelf …'}
      </p>
      {progress ? (
        <>
          <progress
            aria-label={progress.stage === 'joints' ? 'Judging every joint' : 'Weighing every trio'}
            value={progress.part}
            className="w-32"
          />
          <Button onClick={cancel}>Stop</Button>
        </>
      ) : (
        <Button
          title={query.sort === 'chance' ? `Drawn by seed ${query.seed}` : 'In an order drawn by chance'}
          onClick={() => ask({ sort: 'chance', seed: 1 + Math.floor(Math.random() * 9999) })}
        >
          Draw for me
        </Button>
      )}
    </div>
  );
}

import { useMemo, useState } from 'react';
import { InkChoice } from '../../app/InkChoice';
import { useAnswer } from '../../app/useAnswer';
import { percentOf } from '../../core/base/words';
import type { Bridging, JointWalk, Middle, Quieting } from '../../core/choose/search/bridges';
import type { Card } from '../../core/materials/card/card';
import { hexOfLab } from '../../core/materials/colour/hex';
import { plainColour } from '../../core/materials/colour/plainWords';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import type { Brew } from '../../core/readings/joints/brew';
import { describeVerdict } from '../../core/readings/joints/joint';
import { Button } from '../../ui/Button';
import { searcher } from '../../workers/client';

interface Props {
  readonly inks: readonly Ink[];
  readonly card: Card;
  readonly onOpen: (inks: readonly Ink[]) => void;
}

interface Answer {
  readonly bridging: Bridging;
  readonly quieting: readonly Quieting[];
}

/** Middles and quieting inks told at the most. */
const MAX_MIDDLES = 24;
const MAX_QUIETING = 8;

/** From two chosen inks: what lies between them, middles that bridge them, and inks that quiet them. */
export function BridgeFinder({ inks, card, onOpen }: Props) {
  const [firstId, setFirstId] = useState(
    inks.find(({ id }) => id === 'hawberry-mid')?.id ?? inks[0]?.id ?? '',
  );
  const [lastId, setLastId] = useState(inks.find(({ id }) => id === 'alder-mid')?.id ?? inks[1]?.id ?? '');
  const first = inks.find(({ id }) => id === firstId);
  const last = inks.find(({ id }) => id === lastId);
  const answer = useBetween(first, last, inks, card);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[17.5rem_minmax(0,1fr)]">
      <section
        aria-label="Two inks"
        className="space-y-4 overflow-y-auto border-line bg-pane p-4 lg:border-r"
      >
        <div className="space-y-2">
          <h2 className="font-semibold">Two ends</h2>
          <InkChoice label="First ink" inks={inks} value={firstId} onChange={setFirstId} />
          <InkChoice label="Second ink" inks={inks} value={lastId} onChange={setLastId} />
        </div>
        {firstId === lastId && <p role="status">Choose two different inks.</p>}
        {answer && first && last && (
          <>
            <Direct
              walk={answer.bridging.direct}
              needsNone={answer.bridging.needsNone}
              onOpen={() => onOpen([first, last])}
            />
            <Brewed brew={answer.bridging.brewed} first={first} last={last} />
          </>
        )}
      </section>
      <section aria-label="Between them" className="min-h-0 overflow-y-auto p-4">
        {answer && first && last ? (
          <>
            <h2 className="heading mb-2 text-lead">Middle inks, best first</h2>
            <ol className="space-y-1">
              {answer.bridging.middles.slice(0, MAX_MIDDLES).map((middle) => (
                <MiddleRow
                  key={middle.ink.id}
                  middle={middle}
                  onOpen={() => onOpen([first, middle.ink, last])}
                />
              ))}
            </ol>
            <h2 className="heading mt-6 mb-2 text-lead">Inks that quiet the two</h2>
            {answer.quieting.length === 0 && <p>None on the shelf is quieter than these two.</p>}
            <ol className="space-y-1">
              {answer.quieting.slice(0, MAX_QUIETING).map((quieting) => (
                <QuietRow
                  key={quieting.ink.id}
                  quieting={quieting}
                  onOpen={() => onOpen([first, quieting.ink, last])}
                />
              ))}
            </ol>
          </>
        ) : (
          firstId !== lastId && <p className="text-mute">Walking every joint …</p>
        )}
      </section>
    </div>
  );
}

function useBetween(first: Ink | undefined, last: Ink | undefined, inks: readonly Ink[], card: Card) {
  const ask = useMemo(() => {
    if (!first || !last || first.id === last.id) return undefined;
    const shelf = inks.filter(({ kind }) => INK_KINDS[kind].isUsual);
    return async (): Promise<Answer> => {
      const [bridging, quieting] = await Promise.all([
        searcher().bridge(first, last, shelf, card),
        searcher().quiet(first, last, shelf, card),
      ]);
      return { bridging, quieting };
    };
  }, [first, last, inks, card]);
  return useAnswer(ask, 'nothing');
}

function Strip({ walk }: { readonly walk: JointWalk }) {
  return (
    <span aria-hidden="true" className="flex h-6 w-full min-w-24">
      {walk.stations.map(({ mix, lab }) => (
        <span key={mix} className="flex-1" style={{ backgroundColor: hexOfLab(lab) }} />
      ))}
    </span>
  );
}

interface DirectProps {
  readonly walk: JointWalk;
  readonly needsNone: boolean;
  readonly onOpen: () => void;
}

function Direct({ walk, needsNone, onOpen }: DirectProps) {
  const { headline, reason } = describeVerdict(walk.verdict);
  return (
    <div>
      <h3 className="font-semibold">With nothing between</h3>
      <div className="my-1">
        <Strip walk={walk} />
      </div>
      <p>
        {headline}. {reason}
      </p>
      {needsNone && (
        <p className="mt-1 font-semibold">Best left alone: nothing put between would make it better.</p>
      )}
      <Button className="mt-2" onClick={onOpen}>
        Open just these two
      </Button>
    </div>
  );
}

interface BrewedProps {
  readonly brew: Brew;
  readonly first: Ink;
  readonly last: Ink;
}

function Brewed({ brew, first, last }: BrewedProps) {
  return (
    <div>
      <h3 className="font-semibold">Brewed from the two</h3>
      <div className="mt-1 flex items-center gap-2">
        <span
          aria-hidden="true"
          className="h-8 w-12 shrink-0"
          style={{ backgroundColor: hexOfLab(brew.lab) }}
        />
        <p>
          {brew.parts[0]} {brew.parts[0] === 1 ? 'part' : 'parts'} {first.name} to {brew.parts[1]} {last.name}
          : <span className="colour-name">{plainColour(brew.lab)}</span>
        </p>
      </div>
    </div>
  );
}

function MiddleRow({ middle, onOpen }: { readonly middle: Middle; readonly onOpen: () => void }) {
  const [before, after] = middle.joints;
  return (
    <li className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1 bg-pane px-3 py-2 md:grid-cols-[8.5rem_1fr_1fr_auto]">
      <span className="font-semibold">{middle.ink.name}</span>
      <JointCell walk={before} />
      <JointCell walk={after} />
      <Button
        className="justify-self-start"
        aria-label={`Open with ${middle.ink.name} between`}
        onClick={onOpen}
      >
        Open
      </Button>
    </li>
  );
}

function JointCell({ walk }: { readonly walk: JointWalk }) {
  return (
    <span className="col-span-2 md:col-span-1">
      <Strip walk={walk} />
      <span className="text-small">{describeVerdict(walk.verdict).headline}</span>
    </span>
  );
}

function QuietRow({ quieting, onOpen }: { readonly quieting: Quieting; readonly onOpen: () => void }) {
  const { ink, lab, before, after } = quieting;
  return (
    <li className="flex items-center gap-3 bg-pane px-3 py-2">
      <span aria-hidden="true" className="h-6 w-10 shrink-0" style={{ backgroundColor: hexOfLab(lab) }} />
      <span className="font-semibold max-sm:flex-1 sm:w-32">{ink.name}</span>
      <span className="colour-name flex-1 max-sm:hidden">{plainColour(lab)}</span>
      <span
        className="text-mute"
        title={`Mean chroma ${before.toFixed(0)} without it, ${after.toFixed(0)} with it`}
      >
        {percentOf(1 - after / before)} calmer
      </span>
      <Button aria-label={`Open with ${ink.name} to quiet them`} onClick={onOpen}>
        Open
      </Button>
    </li>
  );
}

import { useCallback, useEffect, useMemo, useState } from 'react';
import { LadderPicture } from '../../../app/panel/LadderPicture';
import { usePicture } from '../../../app/sampling/usePicture';
import { useAnswer } from '../../../app/useAnswer';
import { useDriedShelf } from '../../../app/useDriedShelf';
import { percentOf } from '../../../core/base/words';
import type { Match } from '../../../core/choose/match/assign';
import { type LadderOrder, ladderOrder, matchWithChoice } from '../../../core/choose/match/ladder';
import { COLOUR_COUNT, colourAt, type Place } from '../../../core/choose/match/mainColours';
import { REFERENCES } from '../../../core/choose/match/references';
import type { Pixels } from '../../../core/choose/photo/pixels';
import { bareGround } from '../../../core/engine/blend';
import type { Card } from '../../../core/materials/card/card';
import { type Hex, hexOfLab, labOfHex } from '../../../core/materials/colour/hex';
import type { Ink } from '../../../core/materials/ink/ink';
import { useAppSelector } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Segmented } from '../../../ui/Segmented';
import { matcher } from '../../../workers/client';
import { MarkedPicture } from './MarkedPicture';
import { MatchRow } from './MatchRow';
import { PasteColours } from './PasteColours';
import { PictureChoice } from './PictureChoice';

interface Props {
  readonly inks: readonly Ink[];
  readonly card: Card;
  /** @param shares  of the panel, for each ink, where they are to be the picture's own */
  readonly onOpen: (inks: readonly Ink[], shares?: readonly number[]) => void;
}

const COUNTS = Array.from(
  { length: COLOUR_COUNT.most - COLOUR_COUNT.least + 1 },
  (_, i) => COLOUR_COUNT.least + i,
);

/** From a picture or pasted colours to a ladder of the shelf's inks. */
export function MatchFinder({ inks, card, onOpen }: Props) {
  const picture = usePicture();
  const [count, setCount] = useState(3);
  const [pasted, setPasted] = useState<readonly Hex[]>();
  const markers = useMarkers(picture.pixels, count);
  const { open } = picture;
  useEffect(() => {
    const [first] = REFERENCES;
    if (first) open(first.label, (reader) => reader.reference(first.id));
  }, [open]);

  const { pixels } = picture;
  const wanted = useMemo(() => {
    if (pasted) return pasted.map(labOfHex);
    return pixels && markers.places ? markers.places.map((place) => colourAt(pixels, place)) : [];
  }, [pasted, pixels, markers.places]);
  const heights = pasted ? [] : (markers.places ?? []).map(({ y }) => y);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] lg:overflow-hidden">
      <section
        aria-label="Reference"
        className="space-y-3 border-line bg-pane p-4 lg:overflow-y-auto lg:border-r"
      >
        <PictureChoice picture={picture} onChosen={() => setPasted(undefined)} />
        {pasted ? (
          <ul aria-label="Pasted colours" className="flex h-40">
            {pasted.map((hex) => (
              <li key={hex} className="flex-1" style={{ backgroundColor: hex }} title={hex} />
            ))}
          </ul>
        ) : (
          pixels && (
            <MarkedPicture
              pixels={pixels}
              label={picture.label}
              places={markers.places ?? []}
              colours={wanted.map(hexOfLab)}
              onMove={markers.move}
            />
          )
        )}
        {!pasted && (
          <div className="flex flex-wrap items-center gap-2">
            <Segmented
              label="How many colours"
              value={String(count)}
              onChange={(next) => setCount(Number(next))}
              options={COUNTS.map((n) => ({ value: String(n), label: String(n) }))}
            />
            <span className="text-mute">
              colours. Drag a marker to another place, or move it by arrow keys.
            </span>
          </div>
        )}
        <PasteColours onColours={setPasted} />
      </section>
      <section aria-label="Matched inks" className="min-h-0 p-4 lg:overflow-y-auto">
        {markers.failed ? (
          <p role="alert" className="border-l-4 border-text pl-3">
            The main colours could not be found. Open the picture again.
          </p>
        ) : (
          <Matched {...{ wanted, heights, inks, card, onOpen }} pixels={pasted ? undefined : pixels} />
        )}
      </section>
    </div>
  );
}

/** Markers on the main colours, found anew for another picture or count, and moved by hand. */
function useMarkers(pixels: Pixels | undefined, count: number) {
  const [found, setFound] = useState<{ pixels: Pixels; count: number; places: readonly Place[] }>();
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!pixels) return;
    let wanted = true;
    setFailed(false);
    matcher()
      .mainColours(pixels, count)
      .then(
        (colours) => wanted && setFound({ pixels, count, places: colours.map(({ place }) => place) }),
        () => wanted && setFailed(true),
      );
    return () => {
      wanted = false;
    };
  }, [pixels, count]);
  const move = useCallback(
    (marker: number, place: Place) =>
      setFound((now) => now && { ...now, places: now.places.map((old, i) => (i === marker ? place : old)) }),
    [],
  );
  return { places: found?.pixels === pixels ? found?.places : undefined, failed, move };
}

/** Inks the maker picked, by the place of their colour; another number of colours is another choice. */
interface Picked {
  readonly count: number;
  readonly inks: ReadonlyMap<number, string>;
}
const NONE_PICKED: Picked['inks'] = new Map();

interface MatchedProps extends Props {
  readonly wanted: ReturnType<typeof labOfHex>[];
  readonly heights: readonly number[];
  /** The picture they were found in, where there is one. */
  readonly pixels: Pixels | undefined;
}

function Matched({ wanted, heights, pixels, inks, card, onOpen }: MatchedProps) {
  const wetness = useAppSelector(({ view }) => view.wetness);
  const dried = useDriedShelf(
    inks,
    useMemo(() => bareGround(card), [card]),
  );
  const [picked, setPicked] = useState<Picked>({ count: 0, inks: NONE_PICKED });
  const [order, setOrder] = useState<LadderOrder>('reference');
  const [asPicture, setAsPicture] = useState(false);
  const parts = useAnswer(
    useMemo(
      () => (asPicture && pixels && wanted.length > 0 ? () => matcher().partsOf(pixels, wanted) : undefined),
      [asPicture, pixels, wanted],
    ),
    'nothing',
  );
  const count = wanted.length;
  const chosen = picked.count === count ? picked.inks : NONE_PICKED;
  const matches = useMemo(() => matchWithChoice(wanted, dried, chosen), [wanted, dried, chosen]);
  if (count === 0) return <p className="text-mute">Finding the main colours …</p>;
  if (dried.length > 0 && matches.length === 0)
    return (
      <p>The shelf has fewer inks than the reference has colours. Add inks, or ask for fewer colours.</p>
    );
  const places = ladderOrder(matches, order, heights);
  const ladder = places.map((i) => (matches[i] as Match).dried.ink);
  const shares = parts?.length === places.length ? places.map((i) => parts[i] as number) : undefined;
  const choose = (place: number, inkId: string) =>
    setPicked({ count, inks: new Map([...chosen].filter(([, id]) => id !== inkId)).set(place, inkId) });
  return (
    <>
      <h2 className="heading mb-2 text-lead">An ink for each colour</h2>
      <ol className="space-y-2">
        {matches.map((match, i) => {
          const number = i + 1;
          return <MatchRow key={number} {...{ number, match }} onChoose={(inkId) => choose(i, inkId)} />;
        })}
      </ol>
      <div className="mt-5 flex flex-wrap gap-5">
        <LadderPicture {...{ card, wetness }} inks={ladder} shares={shares} width={152} height={197} />
        <div className="min-w-40 flex-1 space-y-2">
          <h2 className="heading text-lead">As a ladder</h2>
          <Segmented<LadderOrder>
            label="Order of the ladder"
            value={order}
            onChange={setOrder}
            options={[
              { value: 'reference', label: 'as in the reference', hint: 'From the top of the picture down' },
              { value: 'light', label: 'light to dark' },
            ]}
          />
          {pixels && (
            <p>
              <Checkbox
                label="Shares as in the picture"
                checked={asPicture}
                onChange={({ target }) => setAsPicture(target.checked)}
              />
            </p>
          )}
          <p>
            {ladder.map(({ name }, i) => (shares ? `${name} ${percentOf(shares[i] ?? 0)}` : name)).join(', ')}
          </p>
          <Button look="strong" disabled={asPicture && !shares} onClick={() => onOpen(ladder, shares)}>
            Open on the bench
          </Button>
        </div>
      </div>
    </>
  );
}

import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { unbroken } from '../../core/base/words';
import type { Answer, Item, OrderItem, PickItem, PlaceItem } from '../../core/practice/exercises/definition';
import { EXERCISES } from '../../core/practice/exercises/exercises';
import { Button } from '../../ui/Button';
import { figureKey } from '../../ui/latinKey';
import { FaceView } from './FaceView';

interface Props<Asked extends Item> {
  readonly item: Asked;
  readonly onAnswer: (answer: Answer) => void;
}

/** Whether the answer stands beside what is asked about, where there is room: what is to be chosen shows nothing itself. */
const isBeside = (item: Item): boolean =>
  item.mode === 'place' || (item.mode === 'pick' && !item.options.some(({ face }) => face));

/** What is asked, in the way it is answered. */
export function Question({ item, onAnswer }: Props<Item>) {
  return (
    <section aria-label="Question" className="space-y-6">
      <h2 className="max-w-3xl text-2xl leading-snug">{unbroken(item.asks)}</h2>
      <div className={isBeside(item) ? 'flex flex-wrap items-start gap-x-8 gap-y-6' : 'space-y-6'}>
        {item.faces.length > 0 && (
          <div className="flex flex-wrap gap-1">
            {placed(item.faces).map(({ one: face, place }) => (
              <FaceView
                key={place}
                face={face}
                label={`What is asked about, ${place + 1} of ${item.faces.length}`}
                size={item.mode === 'place' && EXERCISES[item.exercise].unit === 'mm' ? 'small' : 'large'}
              />
            ))}
          </div>
        )}
        {item.mode === 'pick' && <Pick item={item} onAnswer={onAnswer} />}
        {item.mode === 'order' && <Order item={item} onAnswer={onAnswer} />}
        {item.mode === 'place' && <Place item={item} onAnswer={onAnswer} />}
      </div>
    </section>
  );
}

/** Things with their places, by which they are told apart. */
const placed = <T,>(list: readonly T[]) => list.map((one, place) => ({ one, place }));

/** Digits press the option of that number. */
function useDigits(count: number, press: (place: number) => void): void {
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    const place = (figureKey(event) ?? 0) - 1;
    if (event.ctrlKey || event.metaKey || event.altKey || !(place >= 0 && place < count)) return;
    if (event.target instanceof HTMLElement && event.target.closest('input')) return;
    event.preventDefault();
    press(place);
  });
  useEffect(() => {
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
}

const OPTION =
  'flex flex-col items-start gap-1 rounded-[3px] border-2 border-transparent p-1 text-left hover:border-mute focus-visible:outline-offset-0 aria-pressed:border-text';

function Pick({ item, onAnswer }: Props<PickItem>) {
  const [picked, setPicked] = useState<readonly number[]>([]);
  const press = (place: number) => {
    if (item.right.length === 1) return onAnswer([place]);
    const next = picked.includes(place) ? picked.filter((one) => one !== place) : [...picked, place];
    if (next.length === item.right.length) onAnswer(next);
    else setPicked(next);
  };
  useDigits(item.options.length, press);
  const hasFaces = item.options.some(({ face }) => face);
  return (
    <ul className={hasFaces ? 'flex flex-wrap gap-2' : 'min-w-64 max-w-md flex-1 space-y-2'}>
      {item.options.map(({ label, face }, place) => (
        <li key={label}>
          {face ? (
            <button
              type="button"
              aria-pressed={picked.includes(place)}
              className={OPTION}
              onClick={() => press(place)}
            >
              <FaceView face={face} label={label} size={item.options.length > 4 ? 'small' : 'large'} />
              <span>
                <Digit place={place} /> {label}
              </span>
            </button>
          ) : (
            <Button className="min-h-12 w-full px-4 text-lg" onClick={() => press(place)}>
              <Digit place={place} /> {label}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

const Digit = ({ place }: { readonly place: number }) => (
  <kbd className="font-sans text-mute tabular-nums">{place + 1}</kbd>
);

/** The places of an order, as many as one is asked of. */
const NTH = ['first', 'second', 'third', 'fourth', 'fifth'] as const;

function Order({ item, onAnswer }: Props<OrderItem>) {
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const press = (place: number) => {
    if (chosen.includes(place)) return;
    const next = [...chosen, place];
    setChosen(next);
    if (next.length === item.options.length) onAnswer(next);
  };
  useDigits(item.options.length, press);
  return (
    <>
      <ul className="flex flex-wrap gap-2">
        {item.options.map(({ label, face }, place) => {
          const at = chosen.indexOf(place);
          return (
            <li key={label}>
              <button type="button" aria-pressed={at >= 0} className={OPTION} onClick={() => press(place)}>
                {face && <FaceView face={face} label={`swatch ${place + 1}`} size="small" />}
                <span>
                  <Digit place={place} /> {at >= 0 && `comes ${NTH[at]}`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      <Button disabled={chosen.length === 0} onClick={() => setChosen(chosen.slice(0, -1))}>
        Take the last one back
      </Button>
    </>
  );
}

/** Of the pressed buttons that a pointer tells: the primary one alone. */
const PRIMARY = 1;

function Place({ item, onAnswer }: Props<PlaceItem>) {
  const [at, setAt] = useState<readonly number[]>(item.marks.map(({ start }) => start));
  const { unit } = EXERCISES[item.exercise];
  const isCard = unit === 'mm';
  const held = useRef(0);
  /** The mark nearest to where the card is pressed goes there, and follows the hand. */
  const moveTo = ({ clientY, currentTarget }: React.PointerEvent<HTMLElement>, isNew: boolean) => {
    const { top, height } = currentTarget.getBoundingClientRect();
    const to = Math.min(Math.max((clientY - top) / height, 0), 1) * item.length;
    if (isNew)
      held.current = at.reduce(
        (best, value, i) => (Math.abs(value - to) < Math.abs((at[best] ?? 0) - to) ? i : best),
        0,
      );
    setAt(at.map((value, i) => (i === held.current ? to : value)));
  };
  return (
    <div className="flex flex-1 flex-wrap items-end gap-8">
      {isCard && (
        <div
          aria-hidden="true"
          className="relative h-75 w-56 cursor-row-resize touch-none bg-white shadow-[0_1px_3px_#0006] max-sm:h-52"
          onPointerDown={(event) => {
            if (event.button !== 0) return;
            event.currentTarget.setPointerCapture(event.pointerId);
            moveTo(event, true);
          }}
          onPointerMove={(event) => event.buttons === PRIMARY && moveTo(event, false)}
        >
          {placed(at).map(({ one: value, place }) => (
            <span
              key={place}
              className="absolute inset-x-0 border-t-2 border-black"
              style={{ top: `${(100 * value) / item.length}%` }}
            />
          ))}
        </div>
      )}
      <div className="min-w-64 flex-1 space-y-4">
        {item.marks.map(({ label }, i) => (
          <label key={label} className="block max-w-md text-lg">
            {label}
            <input
              type="range"
              min={0}
              max={item.length}
              step={isCard ? 0.5 : 1}
              value={at[i]}
              // Where it stands is what is practised: the figure would tell it.
              aria-valuetext={
                isCard
                  ? `${Math.round((20 * (at[i] ?? 0)) / item.length)} of 20 parts from the top`
                  : `${Math.round(at[i] ?? 0)} of 100`
              }
              onChange={({ target }) => setAt(at.map((value, j) => (j === i ? Number(target.value) : value)))}
              className="block w-full accent-(--strong)"
            />
            {!isCard && <span className="tabular-nums">{Math.round(at[i] ?? 0)} of 100 parts</span>}
          </label>
        ))}
        <Button look="strong" className="min-h-12 px-5 text-lg" onClick={() => onAnswer(at)}>
          That’s my answer
        </Button>
      </div>
    </div>
  );
}

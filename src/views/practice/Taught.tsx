import { useEffect, useEffectEvent, useRef } from 'react';
import { formatFine, type Unit } from '../../core/base/length';
import { unbroken } from '../../core/base/words';
import type { Answer, Item, Judged } from '../../core/practice/exercises/definition';
import { EXERCISES } from '../../core/practice/exercises/exercises';
import { useAppSelector } from '../../store/hooks';
import { FaceView } from './FaceView';
import { MarkedCard } from './MarkedCard';

/** How far off something was set, in the exercise's unit; lengths as they are measured here. */
const tellOff = (off: number, unit: string, lengths: Unit): string =>
  unit === 'mm' ? formatFine(off, lengths) : `${off.toFixed(unit === '%' ? 0 : 1)} ${unit}`;

interface Props {
  readonly item: Item;
  readonly answer: Answer;
  readonly judged: Judged;
  readonly onNext: () => void;
}

/** After an answer: whether it was right, the true picture, the figures, why, and the same to try with real ink. */
export function Taught({ item, answer, judged, onNext }: Props) {
  const { unit } = EXERCISES[item.exercise];
  const lengths = useAppSelector(({ view }) => view.unit);
  const next = useRef<HTMLButtonElement>(null);
  useEffect(() => next.current?.focus(), []);
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    if (event.key !== 'ArrowRight' && event.key !== 'PageDown') return;
    event.preventDefault();
    onNext();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
  const tell = (places: readonly number[]) =>
    item.mode === 'place' ? '' : places.map((place) => item.options[place]?.label).join(', ');
  return (
    <section aria-label="What it teaches" className="space-y-5">
      <p role="status" className="text-3xl">
        <strong>{judged.isRight ? '✓ Right.' : item.mode === 'place' ? '✗ Not quite.' : '✗ Not so.'}</strong>{' '}
        {judged.off === undefined ? '' : `${tellOff(judged.off, unit, lengths)} off.`}
        {!judged.isRight && item.mode !== 'place' && item.mode !== 'order' && (
          <>
            {' '}
            It is {tell(item.right)}; you said {tell(answer)}.
          </>
        )}
      </p>
      <p className="max-w-3xl text-xl leading-snug">{item.lesson.reason}</p>
      {item.lesson.numbers && (
        <p className="max-w-3xl text-mute tabular-nums">{unbroken(item.lesson.numbers)}</p>
      )}
      {item.mode === 'place' && unit === 'mm' ? (
        <MarkedCard item={item} answer={answer} unit={lengths} />
      ) : (
        item.lesson.shows.length > 0 && (
          <div className="flex flex-wrap gap-1">
            {item.lesson.shows
              .map((face, place) => ({ face, place }))
              .map(({ face, place }) => (
                <FaceView
                  key={place}
                  face={face}
                  label={`The answer, ${place + 1} of ${item.lesson.shows.length}`}
                  size={item.lesson.shows.length > 2 ? 'small' : 'large'}
                />
              ))}
          </div>
        )
      )}
      <p className="max-w-3xl border-l-2 border-text pl-3">
        <strong>With real ink:</strong> {item.lesson.tryIt}
      </p>
      <button
        ref={next}
        type="button"
        onClick={onNext}
        className="min-h-14 rounded-[3px] bg-strong px-8 text-xl font-semibold text-on-strong"
      >
        Next
      </button>
    </section>
  );
}

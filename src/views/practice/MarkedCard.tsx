import { formatLength, type Unit } from '../../core/base/length';
import { spread } from '../../core/base/spread';
import type { Answer, PlaceItem } from '../../core/practice/exercises/definition';
import { FaceView } from './FaceView';

interface Props {
  readonly item: PlaceItem;
  readonly answer: Answer;
  readonly unit: Unit;
}

/** How high the card is drawn, px, as a panel is shown large, and how far apart words beside it stand. */
const HEIGHT = 330;
const LINE = 22;

/** The panel with the marks where they belong, and where they were set; on bare card where nothing is shown of it. */
export function MarkedCard({ item: { length, marks, right, lesson }, answer, unit }: Props) {
  const fromFoot = (at: number) => formatLength(length - at, unit);
  const lines = marks
    .flatMap(({ label }, i) => [
      { key: label, text: label, at: right[i] ?? 0, isOwn: false },
      { key: `${label}, yours`, text: `${label}, yours`, at: answer[i] ?? 0, isOwn: true },
    ])
    .toSorted((p, q) => p.at - q.at);
  const down = lines.map(({ at }) => (HEIGHT * at) / length);
  const places = spread(down, LINE, [LINE / 2, HEIGHT - LINE / 2]);
  const [shown] = lesson.shows;
  const told = marks.map(
    ({ label }, i) => `${label}: ${fromFoot(right[i] ?? 0)} from the foot, yours ${fromFoot(answer[i] ?? 0)}`,
  );
  return (
    <figure aria-label={told.join('; ')} className="flex gap-3" style={{ height: HEIGHT }}>
      <div className="relative">
        {shown ? (
          <FaceView face={shown} label="The answer" />
        ) : (
          <div className="h-full w-56 bg-white shadow-[0_1px_3px_#0006]" />
        )}
        {lines.map(({ key, isOwn }, i) => (
          <span
            key={key}
            aria-hidden="true"
            className={`absolute inset-x-0 -translate-y-1/2 border-black drop-shadow-[0_0_1px_#fff] ${isOwn ? 'border-t-2 border-dashed' : 'border-t-4'}`}
            style={{ top: down[i] }}
          />
        ))}
      </div>
      <div aria-hidden="true" className="relative w-28">
        {lines.map(({ key, text, isOwn }, i) => (
          <span
            key={key}
            className={`absolute left-0 -translate-y-1/2 whitespace-nowrap ${isOwn ? '' : 'font-semibold'}`}
            style={{ top: places[i] }}
          >
            {text}
          </span>
        ))}
      </div>
    </figure>
  );
}

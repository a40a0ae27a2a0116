import { scaleLinear } from 'd3-scale';
import { useMemo, useRef, useState } from 'react';
import { LadderPicture } from '../../app/panel/LadderPicture';
import { useSize } from '../../app/useSize';
import { counted } from '../../core/base/words';
import type { NextInk } from '../../core/choose/search/nextInks';
import { RELATIONS } from '../../core/choose/search/relations/relations';
import { acrossPlane, HUE_SECTORS, inksOfGaps, VALUE_BANDS } from '../../core/choose/shelf/gaps';
import type { Card } from '../../core/materials/card/card';
import { hexOfLab } from '../../core/materials/colour/hex';
import type { Lab } from '../../core/materials/colour/lab';
import type { Ink } from '../../core/materials/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { Button } from '../../ui/Button';
import { useNextInks } from './useNextInks';

interface Props {
  readonly inks: readonly Ink[];
  readonly dried: readonly DriedInk[];
  readonly card: Card;
  /** Puts an ink that is not owned among the wished-for ones. */
  readonly onWish: (ink: Ink) => void;
}

/** Inks told at the most. */
const TOLD = 12;

/** The shelf as a plane of hue and lightness, and which ink of its gaps, or of those wished for, would add the most. */
export function GapsPlane({ inks, dried, card, onWish }: Props) {
  const owned = useMemo(() => inks.filter(({ wished }) => !wished), [inks]);
  const candidates = useMemo(
    () => [
      ...inks.filter(({ wished }) => wished),
      ...(dried.length > 0 ? inksOfGaps(dried.filter(({ ink }) => !ink.wished)) : []),
    ],
    [inks, dried],
  );
  const { found, part, isStopped, stop } = useNextInks(owned, candidates, card);
  const [chosenId, setChosenId] = useState<string>();
  const told = found?.slice(0, TOLD);
  const chosen = told?.find(({ ink }) => ink.id === chosenId) ?? told?.[0];
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_24rem] lg:overflow-hidden">
      <div className="min-h-0 p-4 lg:overflow-y-auto">
        <Plane dried={dried} next={told ?? []} chosen={chosen} onChoose={setChosenId} />
        {chosen && (
          <Chosen
            next={chosen}
            card={card}
            onWish={inks.some(({ id }) => id === chosen.ink.id) ? undefined : onWish}
          />
        )}
      </div>
      <section
        aria-label="Which ink next"
        className="space-y-3 border-line bg-pane p-4 lg:overflow-y-auto lg:border-l"
      >
        <h2 className="heading text-lead">Which ink next</h2>
        <p className="text-mute">
          For each empty place, and each ink wished for: how many good trios it would make with two of yours
          that are unlike those you can make already.
        </p>
        {part !== undefined && (
          <p className="flex items-center gap-3">
            <progress aria-label="Weighing every trio" value={part} className="flex-1" />
            <Button onClick={stop}>Stop</Button>
          </p>
        )}
        {isStopped && <p role="status">Stopped. Choose another card, or come back here, to weigh again.</p>}
        {told?.length === 0 && part === undefined && (
          <p>
            {owned.length < 2
              ? 'It takes two inks of your own to make a trio with a third.'
              : 'Nothing that is missing here would make trios unlike yours.'}
          </p>
        )}
        <ol className="space-y-1">
          {told?.map((next) => (
            <li key={next.ink.id}>
              <button
                type="button"
                aria-pressed={next === chosen}
                onClick={() => setChosenId(next.ink.id)}
                className={`flex w-full items-center gap-3 rounded-[3px] border px-2 py-1.5 text-left ${next === chosen ? 'border-text bg-field' : 'border-transparent hover:bg-field'}`}
              >
                <span
                  aria-hidden="true"
                  className="size-6 shrink-0 rounded-full border border-black/40"
                  style={{ backgroundColor: hexOfLab(next.lab) }}
                />
                <span className="flex-1 font-semibold">{next.ink.name}</span>
                <span className="text-mute">
                  {next.count} {next.count === 1 ? 'trio' : 'trios'}
                </span>
              </button>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}

interface ChosenProps {
  readonly next: NextInk;
  readonly card: Card;
  /** Left out for an ink that is wished for already. */
  readonly onWish: ((ink: Ink) => void) | undefined;
}

/** The best trios of an ink that is not owned. */
function Chosen({ next: { ink, best }, card, onWish }: ChosenProps) {
  return (
    <section aria-label={`What ${ink.name} would add`} className="mt-4">
      <header className="flex items-center gap-4">
        <h2 className="font-semibold">The best with {ink.name}</h2>
        {onWish && <Button onClick={() => onWish(ink)}>Wish for it</Button>}
      </header>
      <ul className="mt-2 flex flex-wrap gap-5">
        {best.map(({ relation, inks }) => (
          <li key={`${relation} ${inks.map(({ id }) => id).join(' ')}`} className="w-28">
            <LadderPicture inks={inks} card={card} wetness="dry" width={96} height={124} />
            <p className="mt-1 text-small leading-snug">
              {inks.map(({ name }) => name).join(', ')}
              <span className="block text-mute">{RELATIONS[relation].label}</span>
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

const HEIGHT = 400;
const EDGE = { left: 40, right: 44, top: 12, foot: 96 } as const;
const L_RANGE = [10, 100] as const;

interface PlaneProps {
  readonly dried: readonly DriedInk[];
  readonly next: readonly NextInk[];
  readonly chosen: NextInk | undefined;
  readonly onChoose: (id: string) => void;
}

/** Every ink at its hue and lightness as it dries; greys stand at the right, what is missing as rings. */
function Plane({ dried, next, chosen, onChoose }: PlaneProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width } = useSize(box);
  const inner = Math.max(width - EDGE.left - EDGE.right, 120);
  const x = scaleLinear([0, 1], [EDGE.left, EDGE.left + inner]);
  const y = scaleLinear(L_RANGE, [HEIGHT - EDGE.foot, EDGE.top]);
  const across = (lab: Lab): number => {
    const at = acrossPlane(lab);
    return at === undefined ? EDGE.left + inner + EDGE.right / 2 : x(at);
  };
  return (
    <div>
      <p className="mb-2 max-w-prose">
        {counted(dried.length, 'ink')} by hue and by how light they dry on this card. Rings are colours you
        have none of that would make new trios; the larger, the more.
      </p>
      <div ref={box} className="relative">
        <svg
          role="img"
          aria-label={`A plane of hue and lightness with ${counted(dried.length, 'ink')} and ${counted(next.length, 'colour that is', 'colours that are')} missing`}
          width="100%"
          height={HEIGHT}
        >
          {VALUE_BANDS.map((from) => (
            <g key={from}>
              <line
                x1={EDGE.left}
                x2={EDGE.left + inner}
                y1={y(Math.max(from, L_RANGE[0]))}
                y2={y(Math.max(from, L_RANGE[0]))}
                className="stroke-line"
              />
              <text
                x={EDGE.left - 8}
                y={y(Math.max(from, L_RANGE[0]))}
                dy="0.32em"
                textAnchor="end"
                className="fill-mute text-small"
              >
                {Math.max(from, L_RANGE[0])}
              </text>
            </g>
          ))}
          {HUE_SECTORS.map((sector, i) => {
            const middle = x((i + 0.5) / HUE_SECTORS.length);
            return (
              <g key={sector}>
                <line
                  x1={x(i / HUE_SECTORS.length)}
                  x2={x(i / HUE_SECTORS.length)}
                  y1={EDGE.top}
                  y2={HEIGHT - EDGE.foot}
                  className="stroke-line"
                />
                <text
                  transform={`translate(${middle} ${HEIGHT - EDGE.foot + 10}) rotate(-90)`}
                  dy="0.32em"
                  textAnchor="end"
                  className="fill-text text-small"
                >
                  {sector}
                </text>
              </g>
            );
          })}
          <text
            transform={`translate(${EDGE.left + inner + EDGE.right / 2} ${HEIGHT - EDGE.foot + 10}) rotate(-90)`}
            dy="0.32em"
            textAnchor="end"
            className="fill-text text-small"
          >
            greys
          </text>
          {dried.map(({ ink, lab, hex }) => (
            <circle
              key={ink.id}
              cx={across(lab)}
              cy={y(lab.l)}
              r={6.5}
              fill={hex}
              strokeDasharray={ink.wished ? '2 2' : undefined}
              className="stroke-black/50"
            >
              <title>{ink.name}</title>
            </circle>
          ))}
        </svg>
        {next.map((one) => {
          const size = 2 * (7 + 1.6 * Math.sqrt(one.worth));
          return (
            // The list beside the plane has the same choices for the keyboard.
            <button
              key={one.ink.id}
              type="button"
              tabIndex={-1}
              aria-hidden="true"
              title={`${one.ink.name}: ${one.count} new trios`}
              onClick={() => onChoose(one.ink.id)}
              className={`absolute -translate-x-1/2 -translate-y-1/2 rounded-full border-text ${one === chosen ? 'border-3' : 'border border-dashed opacity-75'}`}
              style={{
                left: across(one.lab),
                top: y(one.lab.l),
                width: size,
                height: size,
                backgroundColor: hexOfLab(one.lab),
              }}
            />
          );
        })}
      </div>
    </div>
  );
}

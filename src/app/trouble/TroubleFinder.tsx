import { differenceInCalendarDays, parseISO } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { capitalised } from '../../core/base/words';
import { type NextTime, tellChange } from '../../core/keep/log/changes';
import { madeOf } from '../../core/keep/log/made';
import { TROUBLE_IDS, TROUBLE_NAMES, type TroubleId } from '../../core/keep/log/troubles';
import type { TroubleContext } from '../../core/keep/trouble/definition';
import { findCauses, oftenWrong, type RankedCause, tellPart } from '../../core/keep/trouble/findCauses';
import type { Picture } from '../../core/picture/paint';
import { readLadder } from '../../core/readings/readings';
import type { Panel } from '../../core/recipe/panel';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';
import { logWorker } from '../../workers/client';
import { usePanels } from '../log/usePanels';
import { useDatabase } from '../session';
import { useAnswer } from '../useAnswer';

interface Props {
  readonly resolved: ResolvedRecipe;
  /** What is done with a trouble that was found, and a change for the next time. */
  readonly action: string;
  /** Whether only a change of the recipe can be done. */
  readonly needsChange?: boolean;
  readonly onFound: (trouble: TroubleId, change: NextTime | undefined) => void;
  readonly onClose: () => void;
}

/** On the screen, px. */
interface Shown {
  readonly width: number;
  readonly height: number;
}
/** Room for a fault's picture. */
const ROOM: Shown = { width: 96, height: 120 };

/** How large a panel is shown in it. */
function shownSize({ width, height }: Panel): Shown {
  const scale = Math.min(ROOM.width / width, ROOM.height / height);
  return { width: Math.round(width * scale), height: Math.round(height * scale) };
}

/** What went wrong, looked for by what is seen: each fault painted on this very recipe, then its causes, likeliest first. */
export default function TroubleFinder({ resolved, action, needsChange = false, onFound, onClose }: Props) {
  const [seen, setSeen] = useState<TroubleId>();
  const causes = useRef<HTMLDivElement>(null);
  // On a phone they stand below all pictures.
  useEffect(() => {
    if (seen) causes.current?.scrollIntoView({ block: 'nearest' });
  }, [seen]);
  const context = useContext(resolved);
  const { panel } = resolved.recipe;
  const size = useMemo(() => shownSize(panel), [panel]);
  const pictures = useAnswer(
    useMemo(
      () => () => logWorker().faults(madeOf(resolved), 2 * size.width, 2 * size.height),
      [resolved, size],
    ),
  );
  const often = context ? oftenWrong(TROUBLE_IDS, context.inLog) : [];
  return (
    <Modal lies="page" described onClose={onClose}>
      <Dialog.Title className="heading text-lg">What went wrong?</Dialog.Title>
      <Dialog.Description className="mb-4 text-mute">
        {often.length > 0
          ? `Most often in your log: ${often.map(({ trouble, times, of }) => `${TROUBLE_NAMES[trouble]} (${times} of ${of})`).join(', ')}.`
          : 'Press what you see. Each is shown on this recipe.'}
      </Dialog.Description>
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <ul
          aria-label="What is seen"
          className="grid grid-cols-[repeat(auto-fill,minmax(7.5rem,1fr))] content-start gap-2"
        >
          {TROUBLE_IDS.map((trouble) => (
            <li key={trouble}>
              <button
                type="button"
                aria-pressed={seen === trouble}
                onClick={() => setSeen(trouble)}
                className="flex w-full flex-col items-center gap-1 rounded-[3px] border-2 border-transparent p-2 hover:bg-field aria-pressed:border-text"
              >
                <FaultPicture picture={pictures?.[trouble]} size={size} />
                <span className="text-center text-small leading-tight">{TROUBLE_NAMES[trouble]}</span>
              </button>
            </li>
          ))}
        </ul>
        <div ref={causes} aria-live="polite" className="self-start">
          {seen && context ? (
            <>
              <h3 className="heading mb-2">{capitalised(TROUBLE_NAMES[seen])}</h3>
              <ol className="space-y-4">
                {findCauses(seen, context).map((cause) => (
                  <CauseTold
                    key={cause.id}
                    {...{ cause, context, action, needsChange }}
                    onFound={(change) => onFound(seen, change)}
                  />
                ))}
              </ol>
              <p className="mt-4 text-mute">
                Heat tools burn and blades cut: keep to their makers’ own sheets and to the rules where you
                are.
              </p>
            </>
          ) : (
            <p className="text-mute">
              {pictures ? 'Nothing is pressed yet.' : 'Painting what can go wrong …'}
            </p>
          )}
        </div>
      </div>
      <div className="mt-4 flex justify-end">
        <Dialog.Close asChild>
          <Button>Close</Button>
        </Dialog.Close>
      </div>
    </Modal>
  );
}

interface CauseProps {
  readonly cause: RankedCause;
  readonly context: TroubleContext;
  readonly action: string;
  readonly needsChange: boolean;
  readonly onFound: (change: NextTime | undefined) => void;
}

function CauseTold({ cause, context, action, needsChange, onFound }: CauseProps) {
  const change = cause.change?.(context);
  const nameOf = (id: string) => context.resolved.inks.find((ink) => ink.id === id)?.name ?? 'an ink';
  return (
    <li className="border-l-2 border-line pl-3">
      <p className="font-semibold">
        {cause.cause} <span className="font-normal text-mute">({tellPart(cause)})</span>
      </p>
      {cause.reason && <p>Here: {cause.reason}.</p>}
      <p>
        <span className="text-mute">Now:</span> {cause.cure}
      </p>
      <p>
        <span className="text-mute">Next time:</span> {cause.next}
      </p>
      {(change || !needsChange) && (
        <Button className="mt-1" onClick={() => onFound(change)}>
          {change ? `${action}: ${tellChange(change, nameOf)}` : action}
        </Button>
      )}
    </li>
  );
}

function useContext(resolved: ResolvedRecipe): TroubleContext | undefined {
  const db = useDatabase();
  const panels = usePanels();
  const pads = useLiveQuery(() => db.pads.toArray(), [db]);
  return useMemo(() => {
    if (!panels || !pads) return undefined;
    const inked = new Map(pads.map(({ inkId, reinked }) => [inkId, reinked.at(-1)]));
    return {
      resolved,
      readings: readLadder(resolved),
      daysSinceInked: ({ id }) => {
        const day = inked.get(id);
        return day === undefined ? undefined : differenceInCalendarDays(new Date(), parseISO(day));
      },
      inLog: (trouble) => ({
        times: panels.filter(({ troubles }) => troubles?.includes(trouble)).length,
        of: panels.length,
      }),
    };
  }, [resolved, panels, pads]);
}

interface FaultProps {
  readonly picture: Picture | undefined;
  readonly size: Shown;
}

function FaultPicture({ picture, size }: FaultProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const target = canvas.current;
    if (!target || !picture) return;
    target.width = picture.width;
    target.height = picture.height;
    target
      .getContext('2d')
      ?.putImageData(
        new ImageData(new Uint8ClampedArray(picture.pixels), picture.width, picture.height),
        0,
        0,
      );
  }, [picture]);
  return <canvas ref={canvas} style={{ ...size }} className="block bg-field shadow-[0_1px_3px_#0006]" />;
}

import { Fragment, lazy, memo, Suspense, useCallback, useMemo } from 'react';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import { readingsHere } from '../../app/readingsHere';
import { useAnswer } from '../../app/useAnswer';
import type { Edit } from '../../app/useBench';
import { useDriedShelf } from '../../app/useDriedShelf';
import { formatBare, formatLength, type Millimetres, parseLength, type Unit } from '../../core/base/length';
import { percentOf } from '../../core/base/words';
import { blendGround } from '../../core/engine/blend';
import { plainColour } from '../../core/materials/colour/plainWords';
import { BARE, type Ink } from '../../core/materials/ink/ink';
import { nearOwnInk } from '../../core/readings/driedShelf';
import { newColourWidth, setNewColourWidth, whyNotSoWide } from '../../core/readings/joints/newColour';
import { describeLadder } from '../../core/readings/ladderWords';
import { perceivedShares } from '../../core/readings/perceived';
import type { JointReading, RungReading } from '../../core/readings/readings';
import { removeRung, setInk, setShare, swapRungs } from '../../core/recipe/editLadder';
import { RUNG_LIMITS } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Checkbox } from '../../ui/Checkbox';
import { ColourStrip } from '../../ui/ColourStrip';
import { PercentField } from '../../ui/PercentField';
import { TypedField } from '../../ui/TypedField';
import { shelfWorker } from '../../workers/client';
import { VerdictSign } from './VerdictSign';

const Menu = lazy(afterFirstPicture(() => import('../../ui/Menu').then((m) => ({ default: m.Menu }))));
const TrueShares = lazy(
  afterFirstPicture(() => import('./TrueShares').then((m) => ({ default: m.TrueShares }))),
);
const Numbers = lazy(() => import('./Numbers').then((m) => ({ default: m.Numbers })));
const Meetings = lazy(afterFirstPicture(() => import('./Meetings').then((m) => ({ default: m.Meetings }))));

interface Props {
  readonly resolved: ResolvedRecipe;
  /** The shelf; what a mixture is near to is told by how it dries here. */
  readonly inks: readonly Ink[];
  readonly unit: Unit;
  readonly edit: Edit;
  /** The rung the next ink goes on, by its id, where one was chosen. */
  readonly aimed: string | undefined;
  readonly onAim: (rung: string) => void;
}

/** The judgement, told down the ladder: a rung, the joint to the next, the next rung. */
export const ReadingsColumn = memo(function ReadingsColumn(props: Props) {
  const { resolved, unit, edit, aimed, onAim } = props;
  const { recipe, inks } = resolved;
  const readings = readingsHere(resolved);
  const ground = blendGround(resolved);
  const shelf = useDriedShelf(props.inks, ground);
  const closeCalls = useAnswer(
    useCallback(() => shelfWorker().closeCallsOf([...inks], ground), [inks, ground]),
    'nothing',
  );
  const isNumbers = useAppSelector(({ view }) => view.numbers);
  const seen = useMemo(() => perceivedShares(resolved), [resolved]);
  return (
    <section
      aria-label="Readings"
      className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 pt-3 pb-4"
    >
      <h2 className="sr-only">Readings</h2>
      <p className="sentence leading-snug">{describeLadder(readings)}</p>
      <NumbersSwitch />
      <div className="grid grid-cols-[2.5rem_1fr] gap-x-3">
        {recipe.rungs.map(({ id, share }, i) => (
          <Fragment key={id}>
            {readings.rungs[i] && (
              <Rung
                {...{ id, share, edit, onAim, isNumbers }}
                rung={readings.rungs[i]}
                seen={seen[i] ?? 0}
                index={i}
                count={recipe.rungs.length}
                isAimed={aimed === id}
              />
            )}
            {readings.joints[i] && (
              <Joint
                {...{ resolved, unit, edit, isNumbers }}
                joint={readings.joints[i]}
                index={i}
                isClose={closeCalls?.[i] ?? false}
                width={recipe.joints[i]?.width ?? 0}
                newWidth={newColourWidth(recipe, i, readings.joints[i])}
                near={nearOwnInk(readings.joints[i].verdict.decidedBy.lab, shelf, resolved.inks)?.ink}
              />
            )}
          </Fragment>
        ))}
      </div>
      <Suspense fallback={null}>
        <TrueShares resolved={resolved} edit={edit} isNumbers={isNumbers} />
        <Meetings resolved={resolved} />
      </Suspense>
      {isNumbers && (
        <Suspense fallback={null}>
          <Numbers resolved={resolved} readings={readings} />
        </Suspense>
      )}
    </section>
  );
});

/** Whether figures stand beside the words; it stays as it is left, and above them, so that it does not move as they come. */
function NumbersSwitch() {
  const isNumbers = useAppSelector(({ view }) => view.numbers);
  const dispatch = useAppDispatch();
  return (
    <p>
      <Checkbox
        label="Numbers"
        checked={isNumbers}
        onChange={({ target }) => dispatch(viewSet({ numbers: target.checked }))}
      />
    </p>
  );
}

interface RungProps {
  readonly id: string;
  readonly rung: RungReading;
  readonly share: number;
  readonly index: number;
  readonly count: number;
  readonly edit: Edit;
  /** The part of the panel that will read as it. */
  readonly seen: number;
  readonly isNumbers: boolean;
  readonly isAimed: boolean;
  readonly onAim: (rung: string) => void;
}

const PRESENCE = { shows: '', soft: ' · only a tint here', vanishes: ' · vanishes here' } as const;

const Rung = memo(function Rung(props: RungProps) {
  const { id, rung, share, seen, index, count, edit, isNumbers, isAimed, onAim } = props;
  return (
    <>
      <button
        type="button"
        aria-pressed={isAimed}
        aria-label={`Change ${rung.ink.name}: the next ink pressed on the rail goes on this rung`}
        title="Press, then press an ink on the rail to put it here"
        onClick={() => onAim(id)}
        className={`min-h-12 w-full border-x-2 ${isAimed ? 'border-text outline-2 outline-offset-2 outline-text' : 'border-text/60 hover:border-text'}`}
        style={{ backgroundColor: rung.hex }}
      />
      <div className="flex min-w-0 items-start gap-2 py-1">
        <div className="min-w-0 flex-1 leading-snug">
          <RungMenu name={rung.ink.name} {...{ id, index, count, edit, onAim }} />
          <p>
            <span className="colour-name" title={rung.colour.name}>
              {plainColour(rung.lab)}
            </span>
            <span className="text-mute">
              {isNumbers && ` · L* ${Math.round(rung.lab.l)}`}
              {PRESENCE[rung.presence]}
            </span>
          </p>
        </div>
        {isNumbers ? (
          <span className="text-right">
            <PercentField
              label={`Share of ${rung.ink.name}`}
              value={share}
              onChange={(next) => edit((recipe) => setShare(recipe, index, next))}
            />
            <span className="block text-small text-mute">{percentOf(seen)} seen</span>
          </span>
        ) : (
          <span className="pt-0.5 whitespace-nowrap text-mute">{percentOf(seen)} seen</span>
        )}
      </div>
    </>
  );
});

type RungMenuProps = Pick<RungProps, 'id' | 'index' | 'count' | 'edit' | 'onAim'> & { readonly name: string };

const RungMenu = memo(function RungMenu({ id, name, index, count, edit, onAim }: RungMenuProps) {
  const shown = <span className="heading block truncate text-left text-lead">{name}</span>;
  return (
    <Suspense fallback={shown}>
      <Menu
        label={`More for ${name}`}
        look="word"
        items={[
          { label: 'Put another ink here', onSelect: () => onAim(id) },
          'line',
          {
            label: 'Swap with the rung above',
            disabled: index === 0,
            onSelect: () => edit((recipe) => swapRungs(recipe, index, index - 1)),
          },
          {
            label: 'Swap with the rung below',
            disabled: index === count - 1,
            onSelect: () => edit((recipe) => swapRungs(recipe, index, index + 1)),
          },
          {
            label: 'Fade to bare card here',
            disabled: index !== 0 && index !== count - 1,
            onSelect: () => edit((recipe) => setInk(recipe, index, BARE.id)),
          },
          {
            label: 'Take this rung off',
            disabled: count <= RUNG_LIMITS.min,
            onSelect: () => edit((recipe) => removeRung(recipe, index)),
          },
        ]}
      >
        {shown}
      </Menu>
    </Suspense>
  );
});

interface JointProps {
  readonly resolved: ResolvedRecipe;
  /** Whether the verdict would be another one, were a swatch read a little otherwise. */
  readonly isClose: boolean;
  readonly joint: JointReading;
  readonly index: number;
  readonly width: Millimetres;
  /** How wide its new colour lies; 0 where it has none. */
  readonly newWidth: Millimetres;
  /** An owned ink that looks nearly as what is told of it. */
  readonly near: Ink | undefined;
  readonly unit: Unit;
  readonly edit: Edit;
  readonly isNumbers: boolean;
}

const Joint = memo(function Joint(props: JointProps) {
  const { resolved, joint, isClose, index, width, newWidth, near, unit, edit, isNumbers } = props;
  const commitNew = (text: string): string | undefined => {
    const wanted = parseLength(text, unit);
    if (wanted === undefined || wanted <= 0) return `“${text}” is not a length.`;
    const why = whyNotSoWide(resolved, index, joint, wanted, unit);
    if (why) return why;
    edit((recipe) => setNewColourWidth(recipe, index, joint, wanted));
    return undefined;
  };
  return (
    <>
      <ColourStrip
        colours={joint.strip.slice(1, -1)}
        toward="foot"
        className="min-h-16 border-x-2 border-text/60"
      />
      <div className="min-w-0 border-l border-line py-1.5 pl-3">
        <p className="flex gap-2 leading-snug font-semibold">
          <span className="flex-1">
            <VerdictSign kind={joint.verdict.kind} /> {joint.headline}
          </span>
          {isNumbers && (
            <span className="font-normal whitespace-nowrap text-mute">{formatLength(width, unit)}</span>
          )}
        </p>
        <p className="text-small leading-snug">
          {joint.reason}
          {near && ` It is near your ${near.name}.`}
          {isClose && ' A close call: try it on scrap.'}
        </p>
        {isNumbers && newWidth > 0 && (
          <p className="mt-1 text-small">
            <TypedField
              label={`Width of the new colour in joint ${index + 1}, ${unit}`}
              shown={formatBare(newWidth, unit)}
              onCommit={commitNew}
              className="w-13 text-right"
              suffix={`${unit} of it`}
            />
          </p>
        )}
        {isNumbers && joint.onTheWay.length > 0 && (
          <p className="colour-name mt-1 text-small leading-snug text-mute">{joint.onTheWay.join(' → ')}</p>
        )}
      </div>
    </>
  );
});

import { Ellipsis } from 'lucide-react';
import { Fragment, lazy, memo, Suspense, useCallback } from 'react';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import { useAnswer } from '../../app/useAnswer';
import type { Edit } from '../../app/useBench';
import { formatBare, formatLength, type Millimetres, parseLength, type Unit } from '../../core/base/length';
import { blendGround } from '../../core/engine/blend';
import { plainColour } from '../../core/materials/colour/plainWords';
import { BARE, type Ink } from '../../core/materials/ink/ink';
import { type DriedInk, nearOwnInk } from '../../core/readings/driedShelf';
import { newColourWidth, setNewColourWidth, whyNotSoWide } from '../../core/readings/joints/newColour';
import type { JointReading, Readings, RungReading } from '../../core/readings/readings';
import { removeRung, setInk, setShare, swapRungs } from '../../core/recipe/editLadder';
import { RUNG_LIMITS } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { ColourStrip } from '../../ui/ColourStrip';
import { PercentField } from '../../ui/PercentField';
import { TypedField } from '../../ui/TypedField';
import { shelfWorker } from '../../workers/client';
import { VerdictSign } from './VerdictSign';

const Menu = lazy(afterFirstPicture(() => import('../../ui/Menu').then((m) => ({ default: m.Menu }))));
const TrueShares = lazy(
  afterFirstPicture(() => import('./TrueShares').then((m) => ({ default: m.TrueShares }))),
);
const Meetings = lazy(afterFirstPicture(() => import('./Meetings').then((m) => ({ default: m.Meetings }))));

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly readings: Readings;
  /** The shelf as it dries here; what a mixture is near to is told by it. */
  readonly shelf: readonly DriedInk[];
  readonly unit: Unit;
  readonly edit: Edit;
  /** The rung the next ink goes on, by its id, where one was chosen. */
  readonly aimed: string | undefined;
  readonly onAim: (rung: string) => void;
}

/** The judgement, told down the ladder: a rung, the joint to the next, the next rung. */
export const ReadingsColumn = memo(function ReadingsColumn(props: Props) {
  const { resolved, readings, shelf, unit, edit, aimed, onAim } = props;
  const { recipe, card, inks } = resolved;
  const ground = blendGround(resolved);
  const closeCalls = useAnswer(
    useCallback(() => shelfWorker().closeCallsOf([...inks], ground), [inks, ground]),
    'nothing',
  );
  return (
    <section aria-label="Readings" className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto p-4">
      <header>
        <h2 className="heading text-section">Readings</h2>
        <p className="text-mute">{card.name}, dried</p>
      </header>
      <div className="grid grid-cols-[2.75rem_1fr] gap-x-3">
        {recipe.rungs.map(({ id, share }, i) => (
          <Fragment key={id}>
            {readings.rungs[i] && (
              <Rung
                {...{ id, share, edit, onAim }}
                rung={readings.rungs[i]}
                index={i}
                count={recipe.rungs.length}
                isAimed={aimed === id}
              />
            )}
            {readings.joints[i] && (
              <Joint
                joint={readings.joints[i]}
                index={i}
                resolved={resolved}
                isClose={closeCalls?.[i] ?? false}
                width={recipe.joints[i]?.width ?? 0}
                newWidth={newColourWidth(recipe, i, readings.joints[i])}
                near={nearOwnInk(readings.joints[i].verdict.decidedBy.lab, shelf, resolved.inks)?.ink}
                unit={unit}
                edit={edit}
              />
            )}
          </Fragment>
        ))}
      </div>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 border-t border-line pt-3">
        <dt className="text-mute">Rung spacing</dt>
        <dd className="text-right font-semibold">{readings.spacing.description}</dd>
        <dt className="text-mute">Steps, pale to dark</dt>
        <dd className="text-right font-semibold">
          {readings.spacing.gaps.map((gap) => gap.toFixed(0)).join(' : ')} L*
        </dd>
      </dl>
      <Suspense fallback={null}>
        <TrueShares resolved={resolved} edit={edit} />
        <Meetings resolved={resolved} />
      </Suspense>
    </section>
  );
});

interface RungProps {
  readonly id: string;
  readonly rung: RungReading;
  readonly share: number;
  readonly index: number;
  readonly count: number;
  readonly edit: Edit;
  readonly isAimed: boolean;
  readonly onAim: (rung: string) => void;
}

const PRESENCE = { shows: '', soft: ' · only a tint here', vanishes: ' · vanishes here' } as const;

const Rung = memo(function Rung({ id, rung, share, index, count, edit, isAimed, onAim }: RungProps) {
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
          <p className="truncate text-lead font-semibold">{rung.ink.name}</p>
          <p>
            <span className="colour-name" title={rung.colour.name}>
              {plainColour(rung.lab)}
            </span>
            <span className="text-mute">
              {' '}
              · L* {Math.round(rung.lab.l)}
              {PRESENCE[rung.presence]}
            </span>
          </p>
        </div>
        <PercentField
          label={`Share of ${rung.ink.name}`}
          value={share}
          onChange={(next) => edit((recipe) => setShare(recipe, index, next))}
        />
        <RungMenu name={rung.ink.name} index={index} count={count} edit={edit} />
      </div>
    </>
  );
});

type RungMenuProps = Pick<RungProps, 'index' | 'count' | 'edit'> & { readonly name: string };

const RungMenu = memo(function RungMenu({ name, index, count, edit }: RungMenuProps) {
  return (
    <Suspense fallback={<span className="w-6" />}>
      <Menu
        label={`More for ${name}`}
        look="bare"
        items={[
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
        <Ellipsis size={16} aria-hidden="true" />
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
}

const Joint = memo(function Joint(props: JointProps) {
  const { resolved, joint, isClose, index, width, newWidth, near, unit, edit } = props;
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
        className="min-h-22 border-x-2 border-text/60"
      />
      <div className="min-w-0 border-l border-line py-1.5 pl-3">
        <p className="flex gap-2 leading-snug font-semibold">
          <span className="flex-1">
            <VerdictSign kind={joint.verdict.kind} /> {joint.headline}
          </span>
          <span className="font-normal whitespace-nowrap text-mute">{formatLength(width, unit)}</span>
        </p>
        <p className="text-small leading-snug">
          {joint.reason}
          {near && ` It is near your ${near.name}.`}
          {isClose && ' A close call: try it on scrap.'}
        </p>
        {newWidth > 0 && (
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
        {joint.onTheWay.length > 0 && (
          <p className="colour-name mt-1 text-small leading-snug text-mute">{joint.onTheWay.join(' → ')}</p>
        )}
      </div>
    </>
  );
});

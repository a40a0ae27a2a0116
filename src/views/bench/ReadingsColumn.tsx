import { Ellipsis } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Fragment, memo } from 'react';
import type { Card } from '../../core/card/card';
import { removeRung, setShare, swapRungs } from '../../core/ladder/edit';
import { type Recipe, RUNG_LIMITS } from '../../core/ladder/recipe';
import { formatLength, type Millimetres, type Unit } from '../../core/panel/measure';
import type { JointReading, Readings, RungReading } from '../../core/readings/readings';
import { TypedField } from '../../ui/TypedField';
import type { Edit } from './useBench';

interface Props {
  readonly recipe: Recipe;
  readonly card: Card;
  readonly readings: Readings;
  readonly unit: Unit;
  readonly edit: Edit;
  readonly target: number | undefined;
  readonly onTarget: (rung: number) => void;
}

/** The judgement, told down the ladder: a rung, the joint to the next, the next rung. */
export const ReadingsColumn = memo(function ReadingsColumn(props: Props) {
  const { recipe, card, readings, unit, edit, target, onTarget } = props;
  const lost = readings.rungs.filter(({ presence }) => presence === 'vanishes');
  return (
    <section aria-label="Readings" className="flex min-h-0 flex-col gap-3 overflow-y-auto p-4">
      <header>
        <h2 className="heading text-[15px]">Readings</h2>
        <p className="text-mute">{card.name}, dried</p>
      </header>
      {lost.length > 0 && (
        <p role="status" className="border-l-4 border-text bg-field px-3 py-2 font-semibold">
          {lost.map(({ ink }) => ink.name).join(' and ')} {lost.length > 1 ? 'vanish' : 'vanishes'} on this
          card.
          <span className="font-normal"> Take a pigment, or a paler card.</span>
        </p>
      )}
      <div className="grid grid-cols-[2.75rem_1fr] gap-x-3">
        {readings.rungs.map((rung, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: rungs have no other identity than their place
          <Fragment key={i}>
            <Rung
              rung={rung}
              share={recipe.rungs[i]?.share ?? 0}
              index={i}
              count={readings.rungs.length}
              edit={edit}
              isTarget={target === i}
              onTarget={onTarget}
            />
            {readings.joints[i] && (
              <Joint joint={readings.joints[i]} width={recipe.joints[i]?.width ?? 0} unit={unit} />
            )}
          </Fragment>
        ))}
      </div>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 border-t border-line pt-3">
        <dt className="text-mute">Rung spacing</dt>
        <dd className="text-right font-semibold">{readings.spacing.told}</dd>
        <dt className="text-mute">Steps, pale to dark</dt>
        <dd className="text-right font-semibold">
          {readings.spacing.gaps.map((gap) => gap.toFixed(0)).join(' : ')} L*
        </dd>
      </dl>
    </section>
  );
});

interface RungProps {
  readonly rung: RungReading;
  readonly share: number;
  readonly index: number;
  readonly count: number;
  readonly edit: Edit;
  readonly isTarget: boolean;
  readonly onTarget: (rung: number) => void;
}

const PRESENCE = { shows: '', soft: ' · only a tint here', vanishes: ' · vanishes here' } as const;

const Rung = memo(function Rung({ rung, share, index, count, edit, isTarget, onTarget }: RungProps) {
  const commitShare = (text: string): string | undefined => {
    const percent = Number(text.replace('%', '').replace(',', '.').trim());
    if (!Number.isFinite(percent) || text === '' || percent <= 0 || percent >= 100)
      return `“${text}” is not a share. Type per cent of the panel, more than 0 and less than 100.`;
    edit((recipe) => setShare(recipe, index, percent / 100));
    return undefined;
  };
  return (
    <>
      <button
        type="button"
        aria-pressed={isTarget}
        aria-label={`Change ${rung.ink.name}: the next ink pressed on the rail goes on this rung`}
        title="Press, then press an ink on the rail to put it here"
        onClick={() => onTarget(index)}
        className={`min-h-12 w-full border-x-2 ${isTarget ? 'border-text outline-2 outline-offset-2 outline-text' : 'border-text/60 hover:border-text'}`}
        style={{ backgroundColor: rung.hex }}
      />
      <div className="flex min-w-0 items-start gap-2 py-1">
        <div className="min-w-0 flex-1 leading-snug">
          <p className="truncate text-[14px] font-semibold">{rung.ink.name}</p>
          <p>
            <span className="colour-name">{rung.colour.name}</span>
            <span className="text-mute">
              {' '}
              · L* {Math.round(rung.lab.l)}
              {PRESENCE[rung.presence]}
            </span>
          </p>
        </div>
        <TypedField
          label={`Share of ${rung.ink.name}, per cent`}
          shown={`${Math.round(share * 100)}%`}
          onCommit={commitShare}
          className="w-13 text-right"
        />
        <RungMenu name={rung.ink.name} index={index} count={count} edit={edit} />
      </div>
    </>
  );
});

type RungMenuProps = Pick<RungProps, 'index' | 'count' | 'edit'> & { readonly name: string };

const RungMenu = memo(function RungMenu({ name, index, count, edit }: RungMenuProps) {
  const item =
    'cursor-pointer rounded-[2px] px-3 py-1.5 outline-none data-[disabled]:opacity-45 data-[highlighted]:bg-strong data-[highlighted]:text-on-strong';
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={`More for ${name}`}
        className="min-h-6 rounded-[3px] px-1 hover:bg-field"
      >
        <Ellipsis size={16} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="frame z-30 min-w-44 p-1 shadow-lg">
          <DropdownMenu.Item
            className={item}
            disabled={index === 0}
            onSelect={() => edit((recipe) => swapRungs(recipe, index, index - 1))}
          >
            Swap with the rung above
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            disabled={index === count - 1}
            onSelect={() => edit((recipe) => swapRungs(recipe, index, index + 1))}
          >
            Swap with the rung below
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            disabled={count <= RUNG_LIMITS.least}
            onSelect={() => edit((recipe) => removeRung(recipe, index))}
          >
            Take this rung off
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
});

interface JointProps {
  readonly joint: JointReading;
  readonly width: Millimetres;
  readonly unit: Unit;
}

const Joint = memo(function Joint({ joint, width, unit }: JointProps) {
  return (
    <>
      <div aria-hidden="true" className="flex min-h-22 flex-col border-x-2 border-text/60">
        {joint.strip.slice(1, -1).map((hex, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: stations have no other identity than their place
          <span key={i} className="flex-1" style={{ backgroundColor: hex }} />
        ))}
      </div>
      <div className="min-w-0 border-l border-line py-1.5 pl-3">
        <p className="font-semibold">
          <VerdictSign kind={joint.verdict.kind} /> {joint.headline}
          <span className="float-right font-normal text-mute">{formatLength(width, unit)}</span>
        </p>
        <p className="text-[12px] leading-snug">{joint.reason}</p>
        {joint.onTheWay.length > 0 && (
          <p className="colour-name mt-1 text-[12px] leading-snug text-mute">{joint.onTheWay.join(' → ')}</p>
        )}
      </div>
    </>
  );
});

const SIGNS = {
  'clean run': 'M2 6h8',
  'new colour': 'M6 1v10M1 6h10',
  mud: 'M1 3q2.5 3 5 0t5 0M1 8q2.5 3 5 0t5 0',
  'too alike': 'M2 4h8M2 8h8',
} as const;

/** A verdict's shape: a line goes over, a cross is something new, waves are mud, an equals sign is too alike. */
function VerdictSign({ kind }: { readonly kind: keyof typeof SIGNS }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 12 12" className="mr-0.5 inline size-3 -translate-y-px">
      <path d={SIGNS[kind]} className="fill-none stroke-text" strokeWidth={1.8} strokeLinecap="round" />
    </svg>
  );
}

import { Fragment, type ReactNode } from 'react';
import { InkChoice } from '../../app/InkChoice';
import {
  allowKind,
  allowsKind,
  BLENDED_KINDS,
  type Constraints,
  SORT_IDS,
  SORTS,
  type SortId,
  type TrioQuery,
} from '../../core/choose/search/query';
import { RELATION_IDS, RELATIONS } from '../../core/choose/search/relations/relations';
import { HUE_SECTORS } from '../../core/choose/shelf/gaps';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Select } from '../../ui/Select';
import { MoodChoice } from './MoodChoice';

interface Props {
  readonly query: TrioQuery;
  readonly inks: readonly Ink[];
  readonly notMade: boolean;
  readonly onQuery: (change: Partial<TrioQuery>) => void;
  readonly onConstraints: (change: Partial<Constraints>) => void;
  readonly onNotMade: (on: boolean) => void;
}

const LIMITS = [
  { key: 'palestAtLeast', label: 'Palest at least, L*', max: 100 },
  { key: 'darkestAtMost', label: 'Darkest at most, L*', max: 100 },
  { key: 'spacingAtLeast', label: 'Steps at least, L*', max: 50 },
] as const;

/** What kind of trio is wanted and what it must meet. */
export function QueryPanel({ query, inks, notMade, onQuery, onConstraints, onNotMade }: Props) {
  const { relation, constraints, sort, seed } = query;
  return (
    <div className="space-y-4 p-4">
      <Field label="Relation">
        <Select<TrioQuery['relation']>
          label="Relation"
          value={relation}
          options={RELATION_IDS.map((id) => ({ value: id, label: RELATIONS[id].label }))}
          onChange={(next) => onQuery({ relation: next })}
          width="w-full"
        />
        <p className="mt-1 text-mute">{RELATIONS[relation].description}</p>
      </Field>
      <Field label="Mood or occasion">
        <MoodChoice mood={constraints.mood} onMood={(mood) => onConstraints({ mood })} />
      </Field>
      <Field label="Rank by">
        <Select<SortId>
          label="Rank by"
          value={sort}
          options={SORT_IDS.map((id) => ({ value: id, label: SORTS[id].label }))}
          onChange={(next) => onQuery({ sort: next })}
          width="w-full"
        />
        <p className="mt-1 text-mute">{SORTS[sort].description}</p>
        <div className="mt-2 flex items-center gap-2">
          <Button onClick={() => onQuery({ sort: 'chance', seed: 1 + Math.floor(Math.random() * 9999) })}>
            Draw for me
          </Button>
          {sort === 'chance' && (
            <>
              <span className="text-mute">seed</span>
              <NumberField
                label="Seed"
                value={seed}
                min={1}
                max={999_999}
                onValue={(value) => onQuery({ seed: value })}
              />
            </>
          )}
        </div>
      </Field>
      <InkList
        label="Must contain"
        ids={constraints.mustContain}
        inks={inks}
        max={3}
        onIds={(mustContain) => onConstraints({ mustContain })}
      />
      <InkList
        label="Must not contain"
        ids={constraints.mustNotContain}
        inks={inks}
        max={inks.length}
        onIds={(mustNotContain) => onConstraints({ mustNotContain })}
      />
      <Field label="Lightness">
        <div className="grid grid-cols-[1fr_auto] items-center gap-y-1">
          {LIMITS.map(({ key, label, max }) => (
            <Fragment key={key}>
              <span>{label}</span>
              <NumberField
                label={label}
                value={constraints[key]}
                min={0}
                max={max}
                onValue={(value) => onConstraints({ [key]: value })}
              />
            </Fragment>
          ))}
        </div>
      </Field>
      <Field label="Families">
        <Segmented
          label="Families"
          value={constraints.families}
          onChange={(families) => onConstraints({ families })}
          options={[
            { value: 'any', label: 'any' },
            { value: 'same', label: 'one' },
            { value: 'mixed', label: 'mixed' },
          ]}
        />
      </Field>
      <KindChoice constraints={constraints} onConstraints={onConstraints} />
      <HueChoice constraints={constraints} onConstraints={onConstraints} />
      <div className="flex flex-col items-start gap-1">
        <Checkbox
          label="No mud in a joint"
          checked={constraints.noMud}
          onChange={({ target }) => onConstraints({ noMud: target.checked })}
        />
        <Checkbox
          label="Owned inks only"
          checked={constraints.ownedOnly}
          onChange={({ target }) => onConstraints({ ownedOnly: target.checked })}
        />
        <Checkbox
          label="Not made before"
          checked={notMade}
          onChange={({ target }) => onNotMade(target.checked)}
        />
        <div className="flex w-full items-center justify-between gap-2">
          <span>From kept trios at least, ΔE00</span>
          <NumberField
            label="From kept trios at least, ΔE00"
            value={constraints.farFromKept}
            min={0}
            max={60}
            onValue={(farFromKept) => onConstraints({ farFromKept })}
          />
        </div>
      </div>
    </div>
  );
}

function Field({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div>
      <h3 className="mb-1 font-semibold">{label}</h3>
      {children}
    </div>
  );
}

type ConstraintProps = Pick<Props, 'onConstraints'> & Pick<TrioQuery, 'constraints'>;

/** Of which kinds of ink a trio may be made. */
function KindChoice({ constraints, onConstraints }: ConstraintProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Kinds</legend>
      <p className="mb-1 text-mute">White, and fluorescents, whose glow is not modelled, only when ticked.</p>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {BLENDED_KINDS.map((kind) => (
          <Checkbox
            key={kind}
            label={INK_KINDS[kind].label}
            checked={allowsKind(constraints, kind)}
            onChange={({ target }) => onConstraints(allowKind(constraints, kind, target.checked))}
          />
        ))}
      </div>
    </fieldset>
  );
}

/** Which hues its inks may have. */
function HueChoice({ constraints: { hues }, onConstraints }: ConstraintProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Hues</legend>
      <p className="mb-1 text-mute">Every ink of one of these; none ticked is any.</p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-0.5">
        {[...HUE_SECTORS, 'greys'].map((hue, i) => (
          <Checkbox
            key={hue}
            label={hue}
            checked={hues.includes(i)}
            onChange={({ target }) =>
              onConstraints({ hues: target.checked ? [...hues, i] : hues.filter((other) => other !== i) })
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

interface InkListProps {
  readonly label: string;
  readonly ids: readonly string[];
  readonly inks: readonly Ink[];
  readonly max: number;
  readonly onIds: (ids: readonly string[]) => void;
}

function InkList({ label, ids, inks, max, onIds }: InkListProps) {
  const nameOf = (id: string) => inks.find((ink) => ink.id === id)?.name ?? id;
  return (
    <Field label={label}>
      {ids.length > 0 && (
        <ul className="mb-1 flex flex-wrap gap-1">
          {ids.map((id) => (
            <li key={id}>
              <Button
                aria-label={`${label}: take out ${nameOf(id)}`}
                onClick={() => onIds(ids.filter((other) => other !== id))}
              >
                {nameOf(id)} ×
              </Button>
            </li>
          ))}
        </ul>
      )}
      {ids.length < max && (
        <InkChoice
          label={label}
          inks={inks.filter(({ id }) => !ids.includes(id))}
          value=""
          none="add an ink"
          onChange={(id) => id && onIds([...ids, id])}
        />
      )}
    </Field>
  );
}

import { Fragment, type ReactNode } from 'react';
import { InkChoice } from '../../app/InkChoice';
import { RELATION_IDS, RELATIONS } from '../../core/choose/search/relations';
import { type Constraints, SORTS, type SortId, type TrioQuery } from '../../core/choose/search/trios';
import { HUE_SECTORS } from '../../core/choose/shelf/gaps';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KIND_IDS, INK_KINDS } from '../../core/materials/ink/kinds';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { TypedField } from '../../ui/TypedField';

interface Props {
  readonly query: TrioQuery;
  readonly inks: readonly Ink[];
  readonly notMade: boolean;
  readonly onQuery: (change: Partial<TrioQuery>) => void;
  readonly onConstraints: (change: Partial<Constraints>) => void;
  readonly onNotMade: (on: boolean) => void;
}

const LIMITS = [
  { key: 'palestAtLeast', label: 'Palest at least, L*', most: 100 },
  { key: 'darkestAtMost', label: 'Darkest at most, L*', most: 100 },
  { key: 'spacingAtLeast', label: 'Steps at least, L*', most: 50 },
] as const;

/** What kind of trio is wanted and what it must meet. */
export function QueryPanel({ query, inks, notMade, onQuery, onConstraints, onNotMade }: Props) {
  const { relation, constraints, sort, seed } = query;
  return (
    <div className="space-y-4 p-4">
      <Field label="Relation">
        <select
          aria-label="Relation"
          value={relation}
          onChange={({ target }) => onQuery({ relation: target.value as TrioQuery['relation'] })}
          className="frame min-h-7 w-full px-1 py-0.5"
        >
          {RELATION_IDS.map((id) => (
            <option key={id} value={id}>
              {RELATIONS[id].label}
            </option>
          ))}
        </select>
        <p className="mt-1 text-mute">{RELATIONS[relation].explains}</p>
      </Field>
      <Field label="Rank by">
        <select
          aria-label="Rank by"
          value={sort}
          onChange={({ target }) => onQuery({ sort: target.value as SortId })}
          className="frame min-h-7 w-full px-1 py-0.5"
        >
          {Object.entries(SORTS).map(([id, { label }]) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
        <p className="mt-1 text-mute">{SORTS[sort].explains}</p>
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
                least={1}
                most={999_999}
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
        most={3}
        onIds={(mustContain) => onConstraints({ mustContain })}
      />
      <InkList
        label="Must not contain"
        ids={constraints.mustNotContain}
        inks={inks}
        most={inks.length}
        onIds={(mustNotContain) => onConstraints({ mustNotContain })}
      />
      <Field label="Lightness">
        <div className="grid grid-cols-[1fr_auto] items-center gap-y-1">
          {LIMITS.map(({ key, label, most }) => (
            <Fragment key={key}>
              <span>{label}</span>
              <NumberField
                label={label}
                value={constraints[key]}
                least={0}
                most={most}
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
      <fieldset>
        <legend className="mb-1 font-semibold">Kinds</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {INK_KIND_IDS.filter((kind) => INK_KINDS[kind].blends).map((kind) => (
            <Tick
              key={kind}
              label={INK_KINDS[kind].label}
              on={constraints.kinds.length === 0 || constraints.kinds.includes(kind)}
              onChange={(on) => {
                const all = INK_KIND_IDS.filter((id) => INK_KINDS[id].blends);
                const now = constraints.kinds.length === 0 ? all : constraints.kinds;
                const next = on ? [...now, kind] : now.filter((id) => id !== kind);
                if (next.length > 0) onConstraints({ kinds: next.length === all.length ? [] : next });
              }}
            />
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-semibold">Hues</legend>
        <p className="mb-1 text-mute">Every ink of one of these; none ticked is any.</p>
        <div className="grid grid-cols-2 gap-x-3 gap-y-0.5">
          {[...HUE_SECTORS, 'greys'].map((hue, i) => (
            <Tick
              key={hue}
              label={hue}
              on={constraints.hues.includes(i)}
              onChange={(on) =>
                onConstraints({
                  hues: on ? [...constraints.hues, i] : constraints.hues.filter((other) => other !== i),
                })
              }
            />
          ))}
        </div>
      </fieldset>
      <div className="space-y-1">
        <Tick
          label="No mud in a joint"
          on={constraints.noMud}
          onChange={(noMud) => onConstraints({ noMud })}
        />
        <Tick
          label="Owned inks only"
          on={constraints.ownedOnly}
          onChange={(ownedOnly) => onConstraints({ ownedOnly })}
        />
        <Tick label="Not made before" on={notMade} onChange={onNotMade} />
        <div className="flex items-center justify-between gap-2">
          <span>From kept trios at least, ΔE00</span>
          <NumberField
            label="From kept trios at least, ΔE00"
            value={constraints.farFromKept}
            least={0}
            most={60}
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

interface TickProps {
  readonly label: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}

function Tick({ label, on, onChange }: TickProps) {
  return (
    <label className="flex min-h-6 items-center gap-2">
      <input
        type="checkbox"
        checked={on}
        onChange={({ target }) => onChange(target.checked)}
        className="size-4 accent-(--strong)"
      />
      {label}
    </label>
  );
}

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly onValue: (value: number) => void;
}

function NumberField({ label, value, least, most, onValue }: NumberProps) {
  const commit = (text: string): string | undefined => {
    const number = Number(text.replace(',', '.'));
    if (text === '' || !Number.isFinite(number) || number < least || number > most)
      return `Type a number from ${least} to ${most}.`;
    onValue(number);
    return undefined;
  };
  return <TypedField label={label} shown={String(value)} onCommit={commit} className="w-16 text-right" />;
}

interface InkListProps {
  readonly label: string;
  readonly ids: readonly string[];
  readonly inks: readonly Ink[];
  readonly most: number;
  readonly onIds: (ids: readonly string[]) => void;
}

function InkList({ label, ids, inks, most, onIds }: InkListProps) {
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
      {ids.length < most && (
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

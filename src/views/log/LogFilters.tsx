import { useMemo, useState } from 'react';
import { nameOrder } from '../../core/base/names';
import { LOG_SORTS, type LogFilter, type LogSort, WHOLE_LOG } from '../../core/keep/log/filterLog';
import { inkNamesOf, type MadePanel } from '../../core/keep/log/made';
import { TROUBLE_IDS, TROUBLE_NAMES, type TroubleId } from '../../core/keep/log/troubles';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { SearchField } from '../../ui/SearchField';
import { Select } from '../../ui/Select';

interface Props {
  readonly panels: readonly MadePanel[];
  readonly filter: LogFilter;
  /** The recipe that likeness is told to. */
  readonly inHand: string | undefined;
  /** How many are shown, or what is waited for. */
  readonly told: string;
  readonly onChange: (filter: LogFilter) => void;
}

const any = (label: string, values: readonly string[]) => [
  { value: '', label },
  ...values.map((value) => ({ value, label: value })),
];

/** What panels are looked for by: only what some panel has is offered. */
export function LogFilters({ panels, filter, inHand, told, onChange }: Props) {
  const change = (part: Partial<LogFilter>) => onChange({ ...filter, ...part });
  const has = useMemo(
    () => ({
      inks: distinct(panels.flatMap(inkNamesOf)),
      families: distinct(panels.flatMap(({ made }) => made?.inks.map(({ family }) => family) ?? [])),
      tags: distinct(panels.flatMap(({ tags = [] }) => tags)),
      troubles: TROUBLE_IDS.filter((id) => panels.some(({ troubles }) => troubles?.includes(id))),
    }),
    [panels],
  );
  // On a phone the panels come first.
  const [isOpen, setOpen] = useState(false);
  const isWhole = JSON.stringify({ ...filter, sort: '' }) === JSON.stringify({ ...WHOLE_LOG, sort: '' });
  return (
    <search className="flex flex-wrap items-center gap-2 px-4 py-2">
      <SearchField
        label="Search the log"
        hint="No, name, ink, card, pass, occasion"
        value={filter.text}
        onChange={(text) => change({ text })}
      />
      <Button className="sm:hidden" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        Narrow it down
      </Button>
      <div className={`flex flex-wrap items-center gap-2 sm:contents ${isOpen ? '' : 'max-sm:hidden'}`}>
        <Select
          label="With the ink"
          value=""
          options={any(
            'with ink …',
            has.inks.filter((name) => !filter.inks.includes(name)),
          )}
          onChange={(name) => change({ inks: [...filter.inks, name] })}
        />
        {filter.inks.map((name) => (
          <Button
            key={name}
            aria-label={`Drop ${name}`}
            onClick={() => change({ inks: filter.inks.filter((one) => one !== name) })}
          >
            {name} ×
          </Button>
        ))}
        {has.families.length > 1 && (
          <Select
            label="Family"
            value={filter.family}
            options={any('any family', has.families)}
            onChange={(family) => change({ family })}
          />
        )}
        {has.tags.length > 0 && (
          <Select
            label="Tag"
            value={filter.tag}
            options={any('any tag', has.tags)}
            onChange={(tag) => change({ tag })}
          />
        )}
        {has.troubles.length > 0 && (
          <Select<TroubleId | ''>
            label="What went wrong"
            value={filter.trouble}
            options={[
              { value: '', label: 'whatever went wrong' },
              ...has.troubles.map((id) => ({ value: id, label: TROUBLE_NAMES[id] })),
            ]}
            onChange={(trouble) => change({ trouble })}
          />
        )}
        <Select
          label="Rating"
          value={String(filter.rating)}
          options={['0', '3', '4', '5'].map((value) => ({
            value,
            label: value === '0' ? 'any rating' : value === '5' ? 'rated 5' : `rated ${value} or more`,
          }))}
          onChange={(value) => change({ rating: Number(value) })}
        />
        <label className="flex items-center gap-1 text-mute">
          from
          <input
            type="date"
            value={filter.from}
            onChange={({ target }) => change({ from: target.value })}
            className="frame min-h-7 px-1 text-text"
          />
        </label>
        <label className="flex items-center gap-1 text-mute">
          to
          <input
            type="date"
            value={filter.to}
            onChange={({ target }) => change({ to: target.value })}
            className="frame min-h-7 px-1 text-text"
          />
        </label>
        <Checkbox
          label="Best of a sitting"
          checked={filter.favourite}
          onChange={({ target }) => change({ favourite: target.checked })}
        />
        <label className="flex items-center gap-2">
          <span className="text-mute">sorted by</span>
          <Select<LogSort>
            label="Sorted by"
            value={filter.sort}
            options={Object.entries(LOG_SORTS).map(([value, label]) => ({
              value: value as LogSort,
              label: value === 'like' && inHand ? `most like ${inHand}` : label,
            }))}
            onChange={(sort) => change({ sort })}
          />
        </label>
      </div>
      {!isWhole && (
        <Button look="bare" onClick={() => onChange({ ...WHOLE_LOG, sort: filter.sort })}>
          Show all
        </Button>
      )}
      <p role="status" className="ml-auto text-mute">
        {told}
      </p>
    </search>
  );
}

const distinct = (values: readonly string[]): string[] => [...new Set(values)].sort(nameOrder);

import { memo } from 'react';
import { nameOrder } from '../core/base/names';
import type { Ink } from '../core/materials/ink/ink';
import { Select } from '../ui/Select';

interface Props {
  readonly label: string;
  readonly inks: readonly Ink[];
  readonly value: string;
  /** What stands first when no ink is chosen; left out, one always is. */
  readonly none?: string;
  readonly onChange: (inkId: string) => void;
}

/** One ink of the shelf, by family. */
export const InkChoice = memo(function InkChoice({ label, inks, value, none, onChange }: Props) {
  const families = [...new Set(inks.map(({ family }) => family))].sort(nameOrder);
  const groups = families.map((family) => ({
    label: family,
    options: inks.filter((ink) => ink.family === family).map(({ id, name }) => ({ value: id, label: name })),
  }));
  return (
    <Select
      label={label}
      value={value}
      options={[...(none === undefined ? [] : [{ value: '', label: none }]), ...groups]}
      onChange={onChange}
      width="w-full"
    />
  );
});

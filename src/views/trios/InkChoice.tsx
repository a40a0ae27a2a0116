import { memo } from 'react';
import type { Ink } from '../../core/ink/ink';

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
  const families = [...new Set(inks.map(({ family }) => family))].sort();
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      className="frame min-h-7 w-full px-1 py-0.5"
    >
      {none !== undefined && <option value="">{none}</option>}
      {families.map((family) => (
        <optgroup key={family} label={family}>
          {inks
            .filter((ink) => ink.family === family)
            .map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
        </optgroup>
      ))}
    </select>
  );
});

import { formatBare, type Millimetres, parseLength, type Unit } from '../core/base/length';
import { TypedField } from './TypedField';

interface Props {
  /** What it measures; the unit is said after it. */
  readonly label: string;
  readonly value: Millimetres;
  readonly unit: Unit;
  readonly range: { readonly min: Millimetres; readonly max: Millimetres };
  readonly onChange: (value: Millimetres) => void;
  /** What is said after the number, where it is more than nothing. */
  readonly suffix?: string;
}

/** A length, typed in the maker's unit or with one of its own, and held to its range. */
export function LengthField({ label, value, unit, range, onChange, suffix }: Props) {
  const commit = (text: string): string | undefined => {
    const mm = parseLength(text, unit);
    const { min, max } = range;
    if (mm === undefined || mm < min || mm > max)
      return `Type a length from ${formatBare(min, unit)} to ${formatBare(max, unit)} ${unit}.`;
    onChange(mm);
    return undefined;
  };
  return (
    <TypedField
      label={`${label}, ${unit}`}
      shown={formatBare(value, unit)}
      onCommit={commit}
      className={unit === 'mm' ? 'w-14 text-right' : 'w-18 text-right'}
      {...(suffix === undefined ? {} : { suffix })}
    />
  );
}

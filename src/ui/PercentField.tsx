import { plainSigns, readNumber } from '../core/base/typed';
import { percentOf } from '../core/base/words';
import { TypedField } from './TypedField';

interface Props {
  /** What it is a part of; "per cent" is said after it. */
  readonly label: string;
  /** 0…1. */
  readonly value: number;
  /** @param value  0…1, both ends left out */
  readonly onChange: (value: number) => void;
}

/** A part of the panel, typed as per cent. */
export function PercentField({ label, value, onChange }: Props) {
  const commit = (text: string): string | undefined => {
    const part = (readNumber(plainSigns(text).replace('%', '')) ?? Number.NaN) / 100;
    if (!(part > 0 && part < 1))
      return `“${text}” is not a share. Type per cent of the panel, more than 0 and less than 100.`;
    onChange(part);
    return undefined;
  };
  return (
    <TypedField
      label={`${label}, per cent`}
      shown={percentOf(value)}
      onCommit={commit}
      className="w-13 text-right"
    />
  );
}

import { readNumber } from '../core/base/typed';
import { TypedField } from './TypedField';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly onValue: (value: number) => void;
}

/** A number between two others, typed; what is none, or lies beyond, is refused with what it may be. */
export function NumberField({ label, value, min, max, onValue }: Props) {
  const commit = (text: string): string | undefined => {
    const number = readNumber(text);
    if (number === undefined || number < min || number > max) return `Type a number from ${min} to ${max}.`;
    onValue(number);
    return undefined;
  };
  return <TypedField label={label} shown={String(value)} onCommit={commit} className="w-16 text-right" />;
}

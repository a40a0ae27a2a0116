import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';

interface Choice<Value extends string> {
  readonly value: Value;
  readonly label: string;
  /** What it is for, in a sentence. */
  readonly hint?: string;
  readonly picture?: ReactNode;
}

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly Choice<Value>[];
  readonly onChange: (value: Value) => void;
}

const LOOK =
  'cursor-pointer rounded-[2px] text-left hover:bg-field focus-visible:outline-offset-0 data-[state=on]:bg-field data-[state=on]:outline-2 data-[state=on]:outline-text';

/** One of several, each as a small picture where there are pictures, or as a line; arrow keys move among them. */
export function Choices<Value extends string>({ label, value, options, onChange }: Props<Value>) {
  const hasPictures = options.some(({ picture }) => picture);
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        const chosen = options.find((option) => option.value === (next || value));
        if (chosen) onChange(chosen.value);
      }}
      className={
        hasPictures ? 'grid grid-cols-[repeat(auto-fill,minmax(6.5rem,1fr))] gap-2' : 'flex flex-col gap-0.5'
      }
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          title={option.hint}
          className={`${LOOK} ${hasPictures ? 'p-1.5' : 'min-h-8 px-2 py-1 max-sm:min-h-11'}`}
        >
          {option.picture && (
            <span aria-hidden="true" className="mb-1 flex h-24 items-center justify-center">
              {option.picture}
            </span>
          )}
          <span className="block leading-tight font-semibold">{option.label}</span>
          {!hasPictures && option.hint && <span className="block text-small text-mute">{option.hint}</span>}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

import { ToggleGroup } from 'radix-ui';
import type { KeyboardEvent } from 'react';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string; readonly hint?: string }[];
  readonly onChange: (value: T) => void;
}

/** Where the arrow keys lead among things that stand in a row. */
const LEADS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** One of a few, all in sight. They are told as radio buttons, so the arrow keys do not only go to the next one but take it. */
export function Segmented<T extends string>({ label, value, options, onChange }: Props<T>) {
  const takeNext = ({ key, ctrlKey, altKey, metaKey, shiftKey }: KeyboardEvent) => {
    const by = LEADS[key];
    if (!by || ctrlKey || altKey || metaKey || shiftKey) return;
    const at = options.findIndex((option) => option.value === value);
    const next = options[(at + by + options.length) % options.length];
    if (next) onChange(next.value);
  };
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
      onKeyDown={takeNext}
      className="inline-flex flex-wrap gap-x-1"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          title={option.hint}
          className="min-h-7 border-b-2 border-transparent px-2 py-0.5 text-mute hover:text-text focus-visible:outline-offset-[-2px] data-[state=on]:border-text data-[state=on]:font-semibold data-[state=on]:text-text max-sm:min-h-11"
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

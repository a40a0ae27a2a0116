import { ToggleGroup } from 'radix-ui';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string; readonly hint?: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few, all in sight. */
export function Segmented<T extends string>({ label, value, options, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
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

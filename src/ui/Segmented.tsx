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
      className="frame inline-flex overflow-hidden p-0"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          title={option.hint}
          className="min-h-7 border-l border-line px-2.5 py-0.5 first:border-l-0 focus-visible:outline-offset-[-3px] data-[state=on]:bg-strong data-[state=on]:text-on-strong"
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

import type { ComponentProps } from 'react';

export interface Option<Value extends string> {
  readonly value: Value;
  readonly label: string;
}

interface Group<Value extends string> {
  readonly label: string;
  readonly options: readonly Option<Value>[];
}

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  /** One list, or several under headings. */
  readonly options: readonly (Option<Value> | Group<Value>)[];
  readonly onChange: (value: Value) => void;
  /** How much room it takes: as wide as what it says, as wide as its place, or a width of its own. */
  readonly width?: string;
}

const LOOK = 'frame min-h-7 min-w-0 max-w-full px-1 py-0.5';

/**
 * One of several. The browser's own control: on a phone it opens the system's picker, and letters typed find an option.
 */
export function Select<Value extends string>({ label, value, options, onChange, width = '' }: Props<Value>) {
  const values = options.flatMap((one) => ('options' in one ? one.options : [one]));
  return (
    <select
      aria-label={label}
      value={value}
      onChange={({ target }) => {
        const chosen = values.find((option) => option.value === target.value);
        if (chosen) onChange(chosen.value);
      }}
      className={`${LOOK} ${width}`}
    >
      {options.map((one) =>
        'options' in one ? (
          <optgroup key={one.label} label={one.label}>
            {one.options.map(toOption)}
          </optgroup>
        ) : (
          toOption(one)
        ),
      )}
    </select>
  );
}

const toOption = ({ value, label }: Option<string>) => (
  <option key={value} value={value}>
    {label}
  </option>
);

interface FormSelectProps extends ComponentProps<'select'> {
  readonly options: readonly Option<string>[];
}

/** `Select` for a form; takes what `register` gives. */
export const FormSelect = ({ options, ...select }: FormSelectProps) => (
  <select id={select.name} className="frame min-h-8 w-full px-2 py-1" {...select}>
    {options.map(toOption)}
  </select>
);

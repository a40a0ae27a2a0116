import type { ComponentProps } from 'react';

interface Props extends Omit<ComponentProps<'input'>, 'type' | 'className'> {
  /** What it says beside it; without one, name it by `aria-label`. */
  readonly label?: string;
}

/** Yes or no; takes what `register` gives. */
export function Checkbox({ label, ...input }: Props) {
  const look = 'size-4 shrink-0 accent-(--strong)';
  // Alone it is its own target, and as large as one has to be for a finger.
  if (label === undefined) return <input type="checkbox" className={`${look} max-lg:size-6`} {...input} />;
  return (
    <label className="inline-flex min-h-6 items-center gap-2">
      <input type="checkbox" className={look} {...input} /> {label}
    </label>
  );
}

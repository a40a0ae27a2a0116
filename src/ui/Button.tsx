import type { ComponentProps } from 'react';

const LOOK = {
  plain: 'frame px-2.5 py-1 hover:border-text',
  strong: 'rounded-[3px] border border-strong bg-strong px-2.5 py-1 text-on-strong',
  bare: 'rounded-[3px] px-1.5 py-1 hover:bg-field',
} as const;

interface Props extends ComponentProps<'button'> {
  readonly look?: keyof typeof LOOK;
}

/** A button of the bench: plain, strong for the one that matters, bare for an icon. */
export function Button({ look = 'plain', className = '', ...rest }: Props) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-7 items-center gap-1.5 whitespace-nowrap disabled:opacity-45 ${LOOK[look]} ${className}`}
      {...rest}
    />
  );
}

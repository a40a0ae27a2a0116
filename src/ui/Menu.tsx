import { DropdownMenu } from 'radix-ui';
import { type ReactNode, useRef } from 'react';

/** One thing a menu offers; a line stands between groups of them. */
export type MenuItem =
  | {
      readonly label: string;
      readonly onSelect: () => void;
      readonly disabled?: boolean;
      readonly hint?: string;
    }
  | 'line';

interface Props {
  /** What the menu is for, where what it shows does not say so. */
  readonly label?: string;
  /** What stands on its button. */
  readonly children: ReactNode;
  readonly items: readonly MenuItem[];
  readonly look?: keyof typeof LOOK;
  readonly disabled?: boolean;
  /** Told before it opens, so that what it offers can be looked for then. */
  readonly onOpen?: () => void;
}

const LOOK = {
  plain: 'frame min-h-7 px-2.5 py-1 hover:border-text',
  /** At the desk, for inky fingers. */
  desk: 'frame min-h-7 px-2.5 py-1 hover:border-text max-lg:min-h-11',
  bare: 'min-h-6 rounded-[3px] px-1 hover:bg-field',
  word: 'max-w-full min-h-6 rounded-[3px] hover:bg-field data-[state=open]:bg-field',
} as const;

/** A line is the one before what it stands before. */
const lineBefore = (next: MenuItem | undefined): string =>
  `line before ${typeof next === 'object' ? next.label : 'the end'}`;

/** A few things to do, behind one button. */
export function Menu({ label, children, items, look = 'plain', disabled = false, onOpen }: Props) {
  const chosen = useRef<() => void>(undefined);
  return (
    <DropdownMenu.Root modal={false} onOpenChange={(open) => open && onOpen?.()}>
      <DropdownMenu.Trigger
        aria-label={label}
        disabled={disabled}
        className={`whitespace-nowrap disabled:opacity-45 ${LOOK[look]}`}
      >
        {children}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          collisionPadding={8}
          // What was chosen is done once the button has the focus again: a dialog that it opens gives it back there.
          onCloseAutoFocus={() => {
            if (chosen.current) queueMicrotask(chosen.current);
            chosen.current = undefined;
          }}
          className="frame z-50 max-h-[min(70dvh,var(--radix-dropdown-menu-content-available-height))] min-w-44 overflow-y-auto p-1 shadow-lg"
        >
          {items.map((item, i) =>
            item === 'line' ? (
              <DropdownMenu.Separator key={lineBefore(items[i + 1])} className="my-1 h-px bg-line" />
            ) : (
              <DropdownMenu.Item
                key={item.label}
                disabled={item.disabled ?? false}
                title={item.hint}
                onSelect={() => {
                  chosen.current = item.onSelect;
                }}
                className="cursor-pointer rounded-[2px] px-3 py-1.5 outline-none data-[disabled]:opacity-45 data-[highlighted]:bg-strong data-[highlighted]:text-on-strong"
              >
                {item.label}
              </DropdownMenu.Item>
            ),
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

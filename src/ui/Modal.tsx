import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { focusMain } from './focus';

interface Props {
  /** In the middle and as large as it needs to be, or over nearly all of the page. */
  readonly lies: 'middle' | 'page';
  /** How wide, and how its parts are set. */
  readonly className?: string;
  /** Whether a `Dialog.Description` stands inside. */
  readonly described?: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

const LIES = {
  middle: 'top-1/2 left-1/2 max-h-[90dvh] -translate-1/2',
  page: 'inset-2 md:inset-x-[7vw] md:inset-y-6',
} as const;

/** What is done before anything else is: lies over the page with a `Dialog.Title` inside, closed by Escape too. */
export function Modal({ lies, className = '', described = false, onClose, children }: Props) {
  const [opener] = useState(() => document.activeElement);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-black/50" />
        <Dialog.Content
          {...(described ? {} : { 'aria-describedby': undefined })}
          // It has no trigger of its own: who had the focus before has it again.
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            // It led on to another one, which has the keys by now.
            if (document.activeElement?.closest('[role=dialog]')) return;
            if (opener instanceof HTMLElement && opener !== document.body && opener.isConnected)
              opener.focus();
            else focusMain();
          }}
          className={`fixed z-50 overflow-auto rounded-[3px] bg-sheet p-5 forced-colors:border ${LIES[lies]} ${className}`}
        >
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

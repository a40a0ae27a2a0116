import { Popover } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { FLOATING } from './floating';

interface Props {
  /** What the word stands for, as a screen reader says it before the word itself. */
  readonly label: string;
  /** What it says now. */
  readonly text: string;
  /** What it opens; told how to close it. */
  readonly children: (close: () => void) => ReactNode;
  readonly width?: string;
  /** Whether it is open when it comes up: a word just added. */
  readonly isOpenAtFirst?: boolean;
  readonly onClose?: () => void;
}

/** A word of a sentence that opens its choices. */
export function Word(props: Props) {
  const { label, text, children, width = 'w-[min(30rem,94vw)]', isOpenAtFirst = false, onClose } = props;
  const [open, setOpen] = useState(isOpenAtFirst);
  const change = (next: boolean) => {
    setOpen(next);
    if (!next) onClose?.();
  };
  return (
    <Popover.Root open={open} onOpenChange={change}>
      <Popover.Trigger aria-label={`${label}: ${text}`} className={WORD}>
        {text}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={8}
          aria-label={label}
          className={`space-y-3 ${FLOATING} ${width}`}
        >
          {children(() => change(false))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

// A word that fills a line of its own leaves room at its end for the comma.
const WORD =
  'max-w-[calc(100%-0.75ch)] border-b border-text text-left font-sans text-lead leading-6 font-semibold not-italic hover:bg-field data-[state=open]:bg-field max-sm:min-h-9';

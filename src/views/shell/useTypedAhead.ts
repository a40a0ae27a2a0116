import { useEffect, useState } from 'react';

/**
 * What is typed for the palette while it is still being fetched. From the moment it is asked for until its own field has
 * the focus, letters are neither lost nor taken for the keys of what lies behind it (p would print).
 */
export function useTypedAhead(isOpen: boolean, onClose: () => void): [string, (typed: string) => void] {
  const [typed, setTyped] = useState('');
  useEffect(() => {
    if (!isOpen) return;
    const gather = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Tab' || isIts(event.target))
        return;
      event.preventDefault();
      event.stopPropagation();
      if (event.key === 'Escape') onClose();
      else if (event.key === 'Backspace') setTyped((before) => before.slice(0, -1));
      else if (event.key.length === 1) setTyped((before) => before + event.key);
    };
    window.addEventListener('keydown', gather, true);
    return () => {
      window.removeEventListener('keydown', gather, true);
      setTyped('');
    };
  }, [isOpen, onClose]);
  return [typed, setTyped];
}

/** Whether the palette itself has the keys (not a dialog that lay open before it), or what says that it did not come. */
const isIts = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('[cmdk-root], [role=alert]') !== null;

import { useEffect, useEffectEvent } from 'react';

/** Keys of a keyboard and of foot pedals, which send page or arrow keys. */
const FORWARD = new Set([' ', 'PageDown', 'ArrowRight', 'ArrowDown']);
const BACK = new Set(['PageUp', 'ArrowLeft', 'ArrowUp', 'Backspace']);

/** Goes forward and back by the keys of a keyboard or a pedal, but for those that a control takes itself. */
export function useDeskKeys(onForward: (() => void) | undefined, onBack: () => void): void {
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    const onControl =
      event.target instanceof HTMLElement && event.target.closest('button, a, input, select, [role=menu]');
    if (onControl && (event.key === ' ' || event.target.closest('[role=menu]'))) return;
    const isForward = FORWARD.has(event.key);
    if (!isForward && !BACK.has(event.key)) return;
    event.preventDefault();
    if (event.repeat) return;
    if (isForward) onForward?.();
    else onBack();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
}

/**
 * While an input method puts letters together, its keys are not the application's: Enter takes a suggestion, Escape drops
 * it, and neither ends the field or closes the dialog around it. The last of these keys is told by its code alone in some
 * browsers: 229, a key that was taken already (UI Events, legacy key attributes).
 */
export function leaveKeysToInputMethod(): void {
  const leave = (event: KeyboardEvent) => {
    if (event.isComposing || event.keyCode === 229) event.stopImmediatePropagation();
  };
  addEventListener('keydown', leave, { capture: true });
}

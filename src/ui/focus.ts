/** Gives the keys to the view itself, past the views and settings (WCAG 2.2, 2.4.1); from there Tab goes on into it. */
export function focusMain(): void {
  const main = document.querySelector('main');
  if (!main) return;
  main.tabIndex = -1;
  main.focus({ preventScroll: true });
}

/** Where what had the focus is gone, the keys would fall to the page: the view takes them. */
export function catchFocus(): void {
  if (document.activeElement === document.body) focusMain();
}

/** Soon enough for what nobody waits for, ms. */
const SOON = 50;

/**
 * Calls back once the page has nothing else to do, or after `timeout` ms at the latest; WebKit, which does not tell when that is,
 * does so soon.
 *
 * @returns how it is taken back
 */
export function whenIdle(then: () => void, options?: { readonly timeout: number }): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    const soon = setTimeout(then, SOON);
    return () => clearTimeout(soon);
  }
  const idle = requestIdleCallback(then, options);
  return () => cancelIdleCallback(idle);
}

/** So long, ms, the page is at such work before it answers a hand. */
const SLICE = 8;

/**
 * Does some work for each of many things, a little at a time: between its slices the page answers.
 *
 * @param onSlice  told after each slice how many are done
 * @param signal   ends it before the next slice
 */
export async function inSlices<Item>(
  items: readonly Item[],
  work: (item: Item) => void,
  onSlice: (done: number) => void,
  signal: AbortSignal,
): Promise<void> {
  let since = performance.now();
  for (const [i, item] of items.entries()) {
    work(item);
    if (performance.now() - since < SLICE) continue;
    onSlice(i + 1);
    await new Promise((resolve) => setTimeout(resolve));
    if (signal.aborted) return;
    since = performance.now();
  }
  onSlice(items.length);
}

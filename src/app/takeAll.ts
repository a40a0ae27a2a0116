import { InUse } from '../data/inUse';

/**
 * Takes several things out of a drawer, one after another; those that recipes are made with, or that have to stay, stay.
 *
 * @param remove  throws where a thing stays
 * @param stays   whether what was thrown says so
 */
export async function takeAll<Thing>(
  things: readonly Thing[],
  remove: (thing: Thing) => Promise<void>,
  stays: (error: unknown) => boolean = (error) => error instanceof InUse,
): Promise<{ readonly gone: readonly Thing[]; readonly left: number }> {
  const gone: Thing[] = [];
  for (const thing of things)
    try {
      await remove(thing);
      gone.push(thing);
    } catch (error) {
      if (!stays(error)) throw error;
    }
  return { gone, left: things.length - gone.length };
}

import { MOST_REINKED, type OwnTool, type Pad } from '../core/keep/pads/pad';
import type { Database } from './database';

/** Notes that a pad was re-inked on a day; returns what was noted before, for `restorePad`. */
export const reinkPad = (db: Database, inkId: string, day: string): Promise<Pad | undefined> =>
  db.transaction('rw', db.pads, async () => {
    const before = await db.pads.get(inkId);
    const reinked = [...new Set([...(before?.reinked ?? []), day])].sort().slice(-MOST_REINKED);
    await db.pads.put({ inkId, reinked });
    return before;
  });

/** Takes back `reinkPad`. */
export const restorePad = (db: Database, inkId: string, before: Pad | undefined): Promise<unknown> =>
  before ? db.pads.put(before) : db.pads.delete(inkId);

export const saveTool = async (db: Database, tool: OwnTool): Promise<void> => {
  await db.tools.put(tool);
};

/** Takes a brush away; returns it, to be put back by `saveTool`. */
export const removeTool = async (db: Database, tool: OwnTool): Promise<void> => {
  await db.tools.delete(tool.id);
};

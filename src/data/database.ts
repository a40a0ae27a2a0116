import Dexie, { liveQuery, type Observable, type Table } from 'dexie';
import type { Mood } from '../core/choose/search/moods/mood';
import type { MadePanel } from '../core/keep/log/made';
import type { OwnTool, Pad } from '../core/keep/pads/pad';
import type { Swatch } from '../core/keep/swatches/book';
import type { SittingRecord } from '../core/make/sitting/record';
import type { Card } from '../core/materials/card/card';
import type { Design } from '../core/materials/design/design';
import type { Ink } from '../core/materials/ink/ink';
import type { KnownThing } from '../core/practice/schedule';
import type { Trial } from '../core/practice/trial';
import { comingDemo, type Demo, demoAt } from './demo/demo';
import { readMark } from './mark';
import type {
  FolderRecord,
  GoneRecord,
  KeptTrio,
  PhotoRecord,
  RecipeRecord,
  Setting,
  TagRecord,
  Thumbnail,
  TimingRecord,
  VersionRecord,
} from './records';
import { SCHEMA, type SchemaVersion, seedDemo } from './schema';

/**
 * Dexie keeps to itself what fails in a promise of its own that nobody waits for: it becomes a rejection like all others, or what
 * was not stored would not be told. That the database was closed is told by what closed it.
 */
const everywhere = (Dexie.Promise as unknown as { PSD: { onunhandled: (reason: unknown) => void } }).PSD;
everywhere.onunhandled = (reason) => {
  if (reason instanceof Dexie.DatabaseClosedError) return;
  // Dexie's own parts leave promises of a write unhandled that is waited for: who waits hears of it before this.
  setTimeout(() => {
    if (!doneWithout.has(reason as object)) void Promise.reject(reason);
  });
};
const doneWithout = new WeakSet<object>();
/** What failed was not needed: nobody is told. */
export const doWithout = (error: unknown): void => void doneWithout.add(error as object);

/** Everything the maker has saved, in this browser. */
export class Database extends Dexie {
  readonly inks!: Table<Ink, string>;
  readonly cards!: Table<Card, string>;
  readonly recipes!: Table<RecipeRecord, string>;
  readonly settings!: Table<Setting, string>;
  readonly designs!: Table<Design, string>;
  readonly kept!: Table<KeptTrio, string>;
  readonly moods!: Table<Mood, string>;
  readonly versions!: Table<VersionRecord, string>;
  readonly timings!: Table<TimingRecord, number>;
  readonly tags!: Table<TagRecord, string>;
  readonly thumbnails!: Table<Thumbnail, string>;
  readonly gone!: Table<GoneRecord, string>;
  readonly folders!: Table<FolderRecord, string>;
  readonly panels!: Table<MadePanel, string>;
  readonly photos!: Table<PhotoRecord, string>;
  readonly pads!: Table<Pad, string>;
  readonly tools!: Table<OwnTool, string>;
  readonly swatches!: Table<Swatch, string>;
  readonly sittings!: Table<SittingRecord, string>;
  readonly practice!: Table<Trial, number>;
  readonly known!: Table<KnownThing, string>;

  /** Whether it was made just now, and has nothing but the demo. */
  isFresh = false;

  /** @param coming  what a first visit has been shown, and is stored now */
  constructor(
    name = 'tint-ladder',
    schema: readonly SchemaVersion[] = SCHEMA,
    readonly coming: Demo | undefined = comingDemo(),
  ) {
    // Nobody writes to a record that was read: it needs no copy for each who reads it.
    super(name, { cache: 'immutable' });
    for (const { version, stores, upgrade } of schema) {
      const declared = this.version(version).stores({ ...stores });
      if (upgrade) declared.upgrade(upgrade);
    }
    this.on('populate', (transaction) => {
      this.isFresh = true;
      // Where there was data before, an empty database is a loss: the demo is not sown over it.
      return readMark() ? undefined : seedDemo(transaction, coming ?? demoAt(Date.now()));
    });
  }

  /** What a query answers now, and whenever what it has read changes. */
  watch<Answer>(query: () => Promise<Answer>): Observable<Answer> {
    return liveQuery(query);
  }
}

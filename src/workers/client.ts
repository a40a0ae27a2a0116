import { type Remote, transfer } from 'comlink';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import type { DesignDoor } from './design.worker';
import { inPassing, openDoor } from './door';
import type { FilesDoor } from './files.worker';
import type { LogDoor } from './log.worker';
import type { MatchDoor } from './match.worker';
import type { PaperDoor } from './paper.worker';
import type { Painted, Painting, PaintRequest, PictureDoor, PlaceMaterials } from './picture.worker';
import type { PracticeDoor } from './practice.worker';
import type { SearchDoor } from './search.worker';
import { CAN_SHARE } from './sharing';
import type { ShelfDoor } from './shelf.worker';
import type { SittingDoor } from './sitting.worker';

let pictures: readonly Painter[] = [];

/** A worker that paints panels, and what it has of each place. */
interface Painter {
  readonly door: Remote<PictureDoor>;
  readonly sent: Map<string, PlaceMaterials>;
}

/** Starts the painter that is wanted at once. */
export function startPainting(): void {
  if (pictures.length === 0) pictures = [startPainter()];
}

/** The picture in hand that was asked for last. */
let inHand:
  | { readonly place: string; readonly resolved: ResolvedRecipe; readonly request: Asked }
  | undefined;
/** Whether the second painter has painted that, and so takes no longer over the next than the first. */
let isSecondReady = false;

/**
 * Starts the second painter, which paints what is in hand for nobody, so that it is as quick as the first when a drag
 * begins. A page that is only opened and read does without: its painter, its views and its parts want the cores then.
 */
export function readyForDragging(): void {
  if (navigator.hardwareConcurrency < 2 || pictures.length !== 1 || !inHand) return;
  pictures = [...pictures, startPainter()];
  const { place, resolved, request } = inHand;
  void painterFor(1, place, resolved)
    .paint(place, { recipe: resolved.recipe, ...request })
    .then(() => {
      isSecondReady = true;
    })
    // What it cannot paint the first cannot either, and that is told.
    .catch(() => {});
}

function startPainter(): Painter {
  const worker = new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' });
  const onFail = () => {
    pictures = pictures.filter((one) => one !== painter);
    isSecondReady = false;
  };
  const painter: Painter = { door: openDoor<PictureDoor>(worker, onFail), sent: new Map() };
  return painter;
}

/**
 * One of the painters, which has what the place's pictures are made of besides the recipe: it is sent once, and again
 * when it changes. Messages keep their order, so what is asked next finds it there.
 */
function painterFor(
  which: number,
  place: string,
  { recipe, ...materials }: ResolvedRecipe,
): Remote<PictureDoor> {
  startPainting();
  return withMaterials(pictures[which] as Painter, place, materials);
}

/** A painter, which has been sent what it had not of the place. */
function withMaterials(
  { door, sent }: Painter,
  place: string,
  materials: PlaceMaterials,
): Remote<PictureDoor> {
  const before = sent.get(place);
  const { card, inks, passInks, designs } = materials;
  const same =
    before?.card === card &&
    before.inks === inks &&
    before.passInks === passInks &&
    before.designs === designs;
  if (!same) {
    sent.set(place, materials);
    void door.setMaterials(place, materials);
  }
  return door;
}

/** Lets the painters forget a place that is no longer on the screen. */
export function forgetPlace(place: string): void {
  newestQuiet.delete(place);
  if (inHand?.place === place) inHand = undefined;
  for (const { door, sent } of pictures) if (sent.delete(place)) void door.forget(place);
}

/** What is asked of a painter besides the recipe. */
type Asked = Omit<PaintRequest, 'recipe' | 'rows'>;

/** A picture of fewer pixels than this is not worth sharing out. */
const SHARED_FROM = 40_000;
/**
 * On two cores one that is painted within a frame, ms, is not, either: the page itself is at work half as long after a change,
 * and a second painter would only take its core.
 */
const WORTH_A_CORE = 16;
/** How long the last picture was worked on, by both painters together, ms. */
let lastTook = 0;

/** How many pixels were painted, by all painters together, and how long that took them, ms. */
export interface Work {
  readonly pixels: number;
  readonly took: number;
}

const workOn = (halves: readonly Painting[]): Work => ({
  pixels: halves.reduce((sum, { width, height }) => sum + width * height, 0),
  took: halves.reduce((sum, { took }) => sum + took, 0),
});

const isPainted = (painting: Painting): painting is Painted => painting.pixels !== null;

/**
 * Paints a panel for one place on the screen, its upper and its lower half at once where there are cores for it.
 *
 * @param resolved  its card, inks and designs cross only when they are others than the last time
 * @param tell      told what was worked on it, even where it was given up
 * @returns the halves from the top down; null when a newer request came in between
 */
export async function paint(
  place: string,
  resolved: ResolvedRecipe,
  request: Asked,
  tell?: (work: Work) => void,
): Promise<Painted[] | null> {
  lastBusy = performance.now();
  // A hand that changes what it sees will go on to.
  if (inHand?.place === place && inHand.resolved.recipe !== resolved.recipe) readyForDragging();
  inHand = { place, resolved, request };
  const { width, height } = request;
  const shares =
    isSecondReady &&
    pictures.length > 1 &&
    width * height > SHARED_FROM &&
    (navigator.hardwareConcurrency > 2 || lastTook > WORTH_A_CORE);
  const middle = shares ? Math.round(height / 2) : height;
  const part = (which: number, from: number, to: number) =>
    painterFor(which, place, resolved).paint(place, {
      recipe: resolved.recipe,
      ...request,
      rows: { from, to },
    });
  const halves = await Promise.all(
    middle < height ? [part(0, 0, middle), part(1, middle, height)] : [part(0, 0, height)],
  );
  // Small pictures wait for this one, too.
  lastBusy = performance.now();
  const work = workOn(halves);
  if (work.pixels > 0) tell?.(work);
  const painted = halves.filter(isPainted);
  if (painted.length < halves.length) return null;
  lastTook = work.took;
  return painted;
}

/** When the picture in hand was last asked for or painted, or something was pressed, ms. */
let lastBusy = 0;
const handMoves = (): void => {
  lastBusy = performance.now();
};
for (const press of ['pointerdown', 'click', 'keydown'])
  globalThis.addEventListener?.(press, handMoves, { capture: true });
/** Waits until for so long, ms, nothing was pressed and no picture in hand painted. */
export async function handRests(long: number): Promise<void> {
  for (;;) {
    const left = lastBusy + long - performance.now();
    if (left <= 0) return;
    await new Promise((resolve) => setTimeout(resolve, left));
  }
}
/** So long the hand has to rest, ms, before small pictures beside it are painted. */
const REST = 400;
/** Small pictures come one at a time: a hand that moves again waits for one of them at most. */
let quietQueue: Promise<unknown> = Promise.resolve();
/** The newest request of every place with a small picture. */
const newestQuiet = new Map<string, object>();

/**
 * Paints a small picture beside the one in hand, while the hand rests. The painters that are there do it: one of their own
 * would have to be started and to get as warm as they are.
 *
 * @returns the picture; null when a newer request for the place came, or the place is gone
 */
export function paintQuietly(
  place: string,
  { recipe, ...materials }: ResolvedRecipe,
  request: Asked,
): Promise<Painted[] | null> {
  newestQuiet.set(place, request);
  const painting = quietQueue.then(async () => {
    if (newestQuiet.get(place) !== request) return null;
    await handRests(REST);
    if (newestQuiet.get(place) !== request) return null;
    startPainting();
    const last = pictures.at(-1) as Painter;
    const painted = await withMaterials(last, place, materials).paint(place, { recipe, ...request });
    return isPainted(painted) ? [painted] : null;
  });
  quietQueue = painting.catch(() => {});
  return painting;
}

/** What reads the dried panel of a place at a point. */
export const samplerFor = (place: string, resolved: ResolvedRecipe) =>
  painterFor(0, place, resolved).panelSampler(place, resolved.recipe);

/**
 * A worker that is started when first asked for, anew where it has failed, and ended when the maker does not want to wait.
 *
 * @param begin  what it is asked before all else
 */
function stoppable<Door>(
  start: () => Worker,
  begin: (door: Remote<Door>, worker: Worker) => void = () => {},
): {
  readonly door: () => Remote<Door>;
  readonly stop: () => void;
} {
  let running: { readonly worker: Worker; readonly door: Remote<Door> } | undefined;
  return {
    door: () => {
      if (!running) {
        const worker = start();
        const onFail = () => {
          if (running?.worker === worker) running = undefined;
        };
        running = { worker, door: openDoor<Door>(worker, onFail) };
        begin(running.door, worker);
      }
      return running.door;
    },
    stop: () => {
      running?.worker.terminate();
      running = undefined;
    },
  };
}

/** Works on the whole shelf; apart from the painter, so that neither waits for the other. */
export const { door: shelfWorker } = stoppable<ShelfDoor>(
  () => new Worker(new URL('./shelf.worker.ts', import.meta.url), { type: 'module' }),
);

/** Searches trios and bridges. */
export const { door: searcher } = stoppable<SearchDoor>(
  () => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
  giveHelper,
);

/**
 * Gives the search a second worker where both can share memory. The page starts it: in Firefox one first search in seventeen
 * stood still for good in starting a worker of its own.
 */
function giveHelper(search: Remote<SearchDoor>, worker: Worker): void {
  if (!CAN_SHARE) return;
  const helper = new Worker(new URL('./searchHelper.worker.ts', import.meta.url), { type: 'module' });
  const { port1, port2 } = new MessageChannel();
  helper.postMessage(port1, [port1]);
  inPassing(search.takeHelper(transfer(port2, [port2])));
  helper.addEventListener('error', () => {
    helper.terminate();
    inPassing(search.loseHelper());
  });
  worker.addEventListener('error', () => helper.terminate());
}

/** Reads pictures a maker opens. */
export const { door: matcher, stop: stopMatcher } = stoppable<MatchDoor>(
  () => new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' }),
);

/** Makes pictures and pages for paper. */
export const { door: paperWorker, stop: stopPaper } = stoppable<PaperDoor>(
  () => new Worker(new URL('./paper.worker.ts', import.meta.url), { type: 'module' }),
);

/** Reads designs and measures them. */
export const { door: designer, stop: stopDesigner } = stoppable<DesignDoor>(
  () => new Worker(new URL('./design.worker.ts', import.meta.url), { type: 'module' }),
);

/** Reads files from anywhere, and packs and unpacks backups. */
export const { door: filesWorker, stop: stopFiles } = stoppable<FilesDoor>(
  () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' }),
);

/** Reads photographs and readings of made panels, and learns from them. */
export const { door: logWorker, stop: stopLog } = stoppable<LogDoor>(
  () => new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' }),
);

/** Plans sittings, and reckons what they take. */
export const { door: sittingWorker, stop: stopSitting } = stoppable<SittingDoor>(
  () => new Worker(new URL('./sitting.worker.ts', import.meta.url), { type: 'module' }),
);

/** Makes what is asked in practice. */
export const { door: practiceWorker } = stoppable<PracticeDoor>(
  () => new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' }),
);

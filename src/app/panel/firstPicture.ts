/** How long the rest of a view waits for its picture at the most, ms. */
const PATIENCE = 1200;

let done: () => void = () => {};
let isPainted = false;
/** Settled once the first panel is on the screen, or after a while where none is. */
export const firstPicture = new Promise<void>((resolve) => {
  done = resolve;
  setTimeout(resolve, PATIENCE);
});

/** Told once a panel has been painted: what a view can do without until then may load. */
export function pictureIsPainted(): void {
  isPainted = true;
  done();
}

/** Whether a panel has been on the screen since the page was opened. */
export const isAnyPicturePainted = (): boolean => isPainted;

/** Loads a part of a view once the first panel is on the screen, so that neither waits for the other. */
export const afterFirstPicture =
  <T>(load: () => Promise<T>) =>
  (): Promise<T> =>
    firstPicture.then(load);

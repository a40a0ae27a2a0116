/** Less than this is written without asking, bytes on the disk. */
const ASKED_FROM = 800_000;
/**
 * A write takes so many times its size on the disk for a while: the log, the table, and with texts, which are often
 * replaced, what it stands in place of.
 */
const ON_DISK = { text: 4, pictures: 2 } as const;
const TRIAL = 'tint-ladder-trial';
/** As much as is tried in one go, bytes: random, so that nothing makes it smaller. */
const PIECE = 65_536;

/**
 * Asks for room before much is written: first what the browser reckons, then by writing as much beside the database and
 * taking it away again. A browser that runs out of room while it writes a database has been seen to drop it whole; what
 * is tried in its cache is lost alone.
 *
 * @param things  what is to be written
 * @throws DOMException QuotaExceededError when there is no room for it
 */
export async function askForRoom(things: unknown): Promise<void> {
  const needed = sizeOf(things);
  if (needed < ASKED_FROM || typeof caches === 'undefined') return;
  const { quota, usage = 0 } = (await navigator.storage?.estimate?.()) ?? {};
  if (quota !== undefined && quota - usage < needed) throw noRoom();
  try {
    const trial = await caches.open(TRIAL);
    await trial.put('/trial', new Response(new Blob(piecesOf(needed))));
  } catch {
    throw noRoom();
  } finally {
    await caches.delete(TRIAL).catch(() => false);
  }
}

/** About how many bytes things take on the disk while they are written: their text, and pictures. */
function sizeOf(things: unknown): number {
  let pictures = 0;
  const text = JSON.stringify(things, (_, value: unknown) => {
    if (!(value instanceof Uint8Array)) return value;
    pictures += value.length;
    return undefined;
  });
  return ON_DISK.text * text.length + ON_DISK.pictures * pictures;
}

const noRoom = () => new DOMException('no room on the disk', 'QuotaExceededError');

function piecesOf(bytes: number): Uint8Array<ArrayBuffer>[] {
  return Array.from({ length: Math.ceil(bytes / PIECE) }, () =>
    crypto.getRandomValues(new Uint8Array(PIECE)),
  );
}

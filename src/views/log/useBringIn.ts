import { photographAtDesk, readAtDesk } from '../../app/log/standIn';
import { useDeskWork } from '../../app/log/useDeskWork';
import { useLogActions } from '../../app/log/useLogActions';
import { useDatabase } from '../../app/session';
import { bytesOf } from '../../core/files/bytesOf';
import type { CgatsSample } from '../../core/files/cgats';
import { FileError } from '../../core/files/fileError';
import { looksLikeText } from '../../core/files/textOf';
import { type LoggedReading, MADE_LIMITS, type MadePanel } from '../../core/keep/log/made';
import { readingPlaces, readingsOfSamples } from '../../core/keep/read/places';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { changePanel } from '../../data/panels';
import { logWorker } from '../../workers/client';
import type { Read } from '../../workers/orFaults';

/**
 * The ways to bring in what was seen of a panel: a photograph, a colour reader's text, readings.
 *
 * @param onPhoto  told once a photograph of a panel with a recipe is kept, to be read
 */
export function useBringIn(panel: MadePanel, resolved: ResolvedRecipe | undefined, onPhoto: () => void) {
  const db = useDatabase();
  const { learn } = useLogActions();
  const { busy, problem, during } = useDeskWork();
  const keepPhoto = async (file: Blob, keepsFull: boolean): Promise<string | undefined> => {
    if ((panel.photos ?? []).length >= MADE_LIMITS.photos)
      return `At most ${MADE_LIMITS.photos} photographs are kept.`;
    const taken = await logWorker().takePhoto(file);
    if ('refused' in taken) return taken.refused;
    const whole = keepsFull ? await logWorker().takePhoto(file, 'full') : undefined;
    const full = whole && 'id' in whole && whole.id !== taken.id ? whole : undefined;
    const corners = resolved ? await logWorker().findPanel(taken) : undefined;
    await changePanel(
      db,
      panel.id,
      (now) => ({
        ...now,
        photos: [
          { id: taken.id, ...(corners ? { corners } : {}), ...(full ? { fullSize: full.id } : {}) },
          ...(now.photos ?? []).filter(({ id }) => id !== taken.id),
        ],
      }),
      full ? [taken, full] : [taken],
    );
    if (resolved) onPhoto();
    return undefined;
  };
  const addReadings = async (readings: readonly LoggedReading[]): Promise<undefined> => {
    await changePanel(db, panel.id, (now) => ({
      ...now,
      readings: [...now.readings, ...readings].slice(-MADE_LIMITS.readings),
    }));
    await learn();
  };
  const keepSamples = async (answer: Read<CgatsSample[]>): Promise<string | undefined> => {
    if ('faults' in answer) return new FileError(answer.faults).message;
    if (!resolved)
      return 'Readings are of the places of a ladder, and this panel was logged without its recipe.';
    const { places, bare } = readingsOfSamples(readingPlaces(resolved), answer.read);
    if (places.length === 0) return 'None of its samples lies on this panel.';
    return addReadings([...places, ...bare]);
  };
  return {
    busy,
    problem,
    keepReadings: (readings: readonly LoggedReading[]) => during('Learning …', () => addReadings(readings)),
    /** A photograph, or a colour reader's text: what a file is, its first bytes say where its name does not. */
    bringIn: (file: File, keepsFull: boolean) =>
      during('Reading the file …', async () =>
        file.type.startsWith('image/') || !(await isText(file))
          ? keepPhoto(file, keepsFull)
          : keepSamples(await logWorker().readReadings(file)),
      ),
    photographAtDesk: (made: ResolvedRecipe, evening: number, keepsFull: boolean) =>
      during('The simulated desk makes it …', async () =>
        keepPhoto(await photographAtDesk(made, evening), keepsFull),
      ),
    readAtDesk: (made: ResolvedRecipe, evening: number) =>
      during('The simulated reader reads it …', async () =>
        keepSamples(await logWorker().readCgats(await readAtDesk(made, evening))),
      ),
  };
}

/** First bytes of a file that are looked at. */
const HEAD = 4096;

/** Whether a file is text; one that cannot be read is none, and whoever takes it next says so. */
const isText = (file: File): Promise<boolean> =>
  bytesOf(file.slice(0, HEAD)).then(looksLikeText, () => false);

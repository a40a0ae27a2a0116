import { useDeskWork } from '../../app/log/useDeskWork';
import { useLogActions } from '../../app/log/useLogActions';
import { useDatabase } from '../../app/session';
import { type LoggedReading, MADE_LIMITS, type MadePanel } from '../../core/keep/log/made';
import { readingPlaces, readingsOfSamples } from '../../core/keep/read/places';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { changePanel } from '../../data/panels';
import { logWorker } from '../../workers/client';

/**
 * The ways to bring in what was seen of a panel: a photograph, a colour reader's text, readings.
 *
 * @param onPhoto  told once a photograph of a panel with a recipe is kept, to be read
 */
export function useBringIn(panel: MadePanel, resolved: ResolvedRecipe | undefined, onPhoto: () => void) {
  const db = useDatabase();
  const { learn } = useLogActions();
  const work = useDeskWork();
  const takePhoto = (file: File, keepsFull: boolean) =>
    work.during('Making the photograph ready …', async () => {
      if ((panel.photos ?? []).length >= MADE_LIMITS.photos)
        return `At most ${MADE_LIMITS.photos} photographs are kept.`;
      const taken = await logWorker().takePhoto(file);
      if ('refused' in taken) return taken.refused;
      const whole = keepsFull ? await logWorker().takePhoto(file, 'full') : undefined;
      const full = whole && 'id' in whole && whole.id !== taken.id ? whole : undefined;
      const corners = resolved ? await logWorker().findPanel(taken.bytes, taken.type) : undefined;
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
    });
  const keepReadings = async (readings: readonly LoggedReading[]) => {
    await changePanel(db, panel.id, (now) => ({
      ...now,
      readings: [...now.readings, ...readings].slice(-MADE_LIMITS.readings),
    }));
    await learn();
  };
  const readCgats = (text: string) =>
    work.during('Reading …', async () => {
      if (!resolved) return undefined;
      const answer = await logWorker().readCgats(text);
      if ('faults' in answer)
        return answer.faults.map(({ place, problem: why }) => (place ? `${place}: ${why}` : why)).join(' ');
      const { places, bare } = readingsOfSamples(readingPlaces(resolved), answer.read);
      if (places.length === 0) return 'None of its samples lies on this panel.';
      await keepReadings([...places, ...bare]);
      return undefined;
    });
  return { ...work, takePhoto, readCgats, keepReadings };
}

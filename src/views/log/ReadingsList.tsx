import { useMemo } from 'react';
import { download } from '../../app/download';
import { useLogActions } from '../../app/log/useLogActions';
import { useShelf } from '../../app/session';
import { formatBare } from '../../core/base/length';
import { counted } from '../../core/base/words';
import { comparedReadings, mediansOff } from '../../core/keep/learn/compared';
import type { MadePanel } from '../../core/keep/log/made';
import { type PlacedReading, stillThere, withoutReadings, withReadings } from '../../core/keep/log/readings';
import { hexOfLab } from '../../core/materials/colour/hex';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';
import { Patch } from './PhotoReader';

interface Props {
  readonly panel: MadePanel;
  readonly resolved: ResolvedRecipe;
}

/** The readings as colour readers write them, for other programs. */
async function exportCgats({ number, readings }: MadePanel): Promise<void> {
  const { writeCgats } = await import('../../core/files/cgats');
  const samples = readings.map(({ at, lab }, i) => ({
    name: at ? `No ${number}, ${at.x} mm, ${at.y} mm` : `No ${number}, ${i + 1}`,
    lab,
  }));
  download(`panel-${number}-readings.txt`, 'text/plain', writeCgats(samples, new Date()));
}

/** What was read on the panel, beside what was said of it when it was made and what would be said now. */
export function ReadingsList({ panel, resolved }: Props) {
  const { change, learn } = useLogActions();
  const notify = useNotify();
  const shelf = useShelf();
  const unit = useAppSelector(({ view }) => view.unit);
  const rows = useMemo(() => (shelf ? comparedReadings(panel, shelf.inks) : []), [panel, shelf]);
  const off = mediansOff(rows);
  if (!off) return null;
  const { height } = resolved.recipe.panel;
  const keep = (readings: (now: MadePanel['readings']) => MadePanel['readings']) =>
    change(panel, (now) => ({ readings: readings(now.readings) }));
  const takeOut = async (places: readonly number[]) => {
    const meant = panel.readings.flatMap((reading, place) =>
      places.includes(place) ? [{ place, reading }] : [],
    );
    let gone: readonly PlacedReading[] = [];
    await keep((now) => {
      gone = stillThere(now, meant);
      return withoutReadings(now, gone);
    });
    if (gone.length === 0) return;
    const undo = async () => {
      await keep((now) => withReadings(now, gone));
      await learn();
    };
    notify({ text: `${counted(gone.length, 'reading')} taken out.`, undo: () => void undo() });
    await learn();
  };
  return (
    <section aria-label="Readings">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h2 className="heading">{counted(rows.length, 'reading')}</h2>
        <p className="text-mute">
          ΔE00 at the median: {off.offThen.toFixed(1)} from its prediction, {off.offNow.toFixed(1)} from what
          would be predicted now.
        </p>
        <Button look="bare" className="ml-auto" onClick={() => void exportCgats(panel)}>
          Export them (CGATS)
        </Button>
        <Button look="bare" onClick={() => void takeOut(panel.readings.map((_, i) => i))}>
          Take all out
        </Button>
      </div>
      <div className="overflow-x-auto">
        <table className="w-full max-w-3xl">
          <thead className="text-left text-mute">
            <tr>
              <th scope="col">From left, foot, {unit}</th>
              <th scope="col">predicted</th>
              <th scope="col">read</th>
              <th scope="col">would be now</th>
              <th scope="col" className="text-right">
                off then
              </th>
              <th scope="col" className="text-right">
                off now
              </th>
              <th scope="col" className="text-right max-sm:hidden">
                trusted to
              </th>
              <th scope="col" className="pl-3">
                <span className="max-sm:hidden">by</span>
              </th>
              <td />
            </tr>
          </thead>
          <tbody className="tabular-nums">
            {rows.map(({ place, at, said, lab, told, offThen, offNow, within, isFarOff, source }) => (
              <tr key={`${place} ${at.x} ${at.y}`}>
                <td className="whitespace-nowrap">
                  ({formatBare(at.x, unit)}, {formatBare(height - at.y, unit)})
                </td>
                <td>
                  <Patch hex={hexOfLab(said)} />
                </td>
                <td>
                  <Patch hex={hexOfLab(lab)} />
                </td>
                <td>
                  <Patch hex={hexOfLab(told)} />
                </td>
                <td className="text-right">{offThen.toFixed(1)}</td>
                <td className="text-right">{offNow.toFixed(1)}</td>
                <td className="text-right max-sm:hidden">± {within.toFixed(1)}</td>
                <td className="pl-3 text-mute">
                  <span className="max-sm:hidden">
                    {source === 'reader' ? 'colour reader' : 'photograph'}
                  </span>
                  {isFarOff && (
                    <>
                      <span className="max-sm:hidden">; </span>far off, hardly counts
                    </>
                  )}
                </td>
                <td>
                  <Button
                    look="bare"
                    aria-label={`Take out the reading ${formatBare(at.x, unit)} from the left, ${formatBare(height - at.y, unit)} from the foot`}
                    onClick={() => void takeOut([place])}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

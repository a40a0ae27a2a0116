import { quantile } from 'd3-array';
import { useMemo } from 'react';
import { download } from '../../app/download';
import { useLogActions } from '../../app/log/useLogActions';
import { useShelf } from '../../app/session';
import { formatBare } from '../../core/base/length';
import { counted } from '../../core/base/words';
import { finder, panelPlaces } from '../../core/keep/learn/fromLog';
import { countsFor } from '../../core/keep/learn/residual';
import { placeColour, trustOf } from '../../core/keep/learn/tell';
import type { MadePanel } from '../../core/keep/log/made';
import { deltaE00 } from '../../core/materials/colour/difference';
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

/** A reading that counts less than this part of a usual one is told as far off. */
const HARDLY = 0.1;

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
  const rows = useMemo(() => {
    const { made } = panel;
    if (!made || !shelf) return [];
    const then = panelPlaces(made, ({ id }) => made.inks.find((ink) => ink.id === id));
    const now = panelPlaces(made, finder(shelf.inks));
    return panel.readings.flatMap(({ at, lab, source, noise, wet }, i) => {
      if (!at || wet) return [];
      const [said, tells] = [then(at.x, at.y), now(at.x, at.y)];
      const told = placeColour(tells);
      return [
        {
          key: `${i} ${at.x} ${at.y}`,
          place: i,
          at,
          lab,
          source,
          said: placeColour(said),
          tells: told,
          within: trustOf(tells),
          isFarOff: countsFor(deltaE00(told, lab), noise) < HARDLY,
        },
      ];
    });
  }, [panel, shelf]);
  const middle = (of: (row: (typeof rows)[number]) => number) =>
    quantile(rows.map(of), 0.5)?.toFixed(1) ?? '–';
  if (rows.length === 0) return null;
  const { height } = resolved.recipe.panel;
  const keep = (readings: (now: MadePanel['readings']) => MadePanel['readings']) =>
    change(panel, (now) => ({ readings: readings(now.readings) }));
  /** Takes readings out by their places, the first first; what is read before they come back stays, behind them. */
  const takeOut = async (places: readonly number[]) => {
    const gone = panel.readings.flatMap((reading, place) =>
      places.includes(place) ? [{ place, reading }] : [],
    );
    const undo = async () => {
      await keep((now) =>
        gone.reduce((readings, { place, reading }) => readings.toSpliced(place, 0, reading), [...now]),
      );
      await learn();
    };
    await keep((now) => now.filter((_, place) => !places.includes(place)));
    notify({ text: `${counted(gone.length, 'reading')} taken out.`, undo: () => void undo() });
    await learn();
  };
  return (
    <section aria-label="Readings">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h2 className="heading">{counted(rows.length, 'reading')}</h2>
        <p className="text-mute">
          ΔE00 at the median: {middle((row) => deltaE00(row.said, row.lab))} from what was said of it,{' '}
          {middle((row) => deltaE00(row.tells, row.lab))} from what is told now.
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
              <th scope="col">said</th>
              <th scope="col">read</th>
              <th scope="col">told now</th>
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
            {rows.map(({ key, place, at, said, lab, tells, within, isFarOff, source }) => (
              <tr key={key}>
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
                  <Patch hex={hexOfLab(tells)} />
                </td>
                <td className="text-right">{deltaE00(said, lab).toFixed(1)}</td>
                <td className="text-right">{deltaE00(tells, lab).toFixed(1)}</td>
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

import { HUE_SECTORS, shelfPlane, VALUE_BANDS } from '../../core/choose/shelf/gaps';
import type { DriedInk } from '../../core/readings/driedShelf';

/** How many inks stand in each place of hue and value; empty places are the gaps. */
export function GapsPlane({ dried }: { readonly dried: readonly DriedInk[] }) {
  const plane = shelfPlane(dried);
  const empty = plane.flat().filter((count) => count === 0).length;
  return (
    <div
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="min-h-0 flex-1 overflow-auto p-4 focus-visible:outline-offset-[-3px]"
    >
      <p className="mb-3 max-w-prose">
        How many inks dry to each hue and lightness on this card. {empty} of {plane.flat().length} places are
        empty; few ranges fill the pale violets or the dark yellows, so an empty place is a hint, not a lack.
      </p>
      <table className="border-collapse text-center">
        <thead>
          <tr>
            <th scope="col" className="p-2 text-left">
              L*
            </th>
            {HUE_SECTORS.map((sector) => (
              <th key={sector} scope="col" className="w-18 p-1 align-bottom font-normal">
                {sector}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {VALUE_BANDS.map((from, row) => (
            <tr key={from}>
              <th scope="row" className="p-2 text-left font-normal whitespace-nowrap">
                {from} to {VALUE_BANDS[row - 1] ?? 100}
              </th>
              {HUE_SECTORS.map((sector, column) => {
                const count = plane[row]?.[column] ?? 0;
                return (
                  <td
                    key={sector}
                    className={`h-12 border border-line ${count === 0 ? 'bg-mat' : 'bg-field font-semibold'}`}
                  >
                    {count === 0 ? 'empty' : count}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

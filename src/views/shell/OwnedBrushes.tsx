import { useLiveQuery } from 'dexie-react-hooks';
import { useDatabase } from '../../app/session';
import { readNumber } from '../../core/base/typed';
import { capitalised } from '../../core/base/words';
import { BRUSH_SETS, type BrushSet } from '../../core/materials/ink/kinds';
import type { Owned } from '../../core/sheet/compile';
import { MOST_OWNED, readOwned, writeOwned } from '../../data/owned';
import { TypedField } from '../../ui/TypedField';

const TOOLS = ['brushes', 'daubers'] as const satisfies readonly (keyof Owned)[];

/** How many brushes and daubers the maker has of each set: sheets share them out, and say so where they are few. */
export function OwnedBrushes() {
  const db = useDatabase();
  const owned = useLiveQuery(() => readOwned(db), [db]);
  const set = (tool: keyof Owned, of: BrushSet, text: string): string | undefined => {
    const count = readNumber(text);
    const isCount = count !== undefined && Number.isInteger(count) && count >= 1 && count <= MOST_OWNED;
    if (text !== '' && !isCount)
      return `Type a whole number from 1 to ${MOST_OWNED}, or nothing for as many as it takes.`;
    const { [of]: _, ...others } = owned?.[tool] ?? {};
    void writeOwned(db, { ...owned, [tool]: count === undefined ? others : { ...others, [of]: count } });
    return undefined;
  };
  return (
    <section aria-label="Brushes I own">
      <h3 className="font-semibold">Brushes I own</h3>
      <p className="text-small text-mute">
        Each set has its own, since pigment never shares with dye. Where a panel wants more than you have, its
        sheet says which brush to clean in between. Leave a field empty for as many as it takes.
      </p>
      <table className="mt-2 w-full">
        <thead>
          <tr className="border-b border-line text-left">
            <th scope="col" className="py-1 font-semibold">
              Kept for
            </th>
            {TOOLS.map((tool) => (
              <th key={tool} scope="col" className="py-1 font-semibold">
                {capitalised(tool)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {BRUSH_SETS.map((of) => (
            <tr key={of} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {capitalised(of)}
              </th>
              {TOOLS.map((tool) => (
                <td key={tool} className="py-1">
                  <TypedField
                    label={`${capitalised(tool)} for ${of}`}
                    shown={String(owned?.[tool]?.[of] ?? '')}
                    onCommit={(text) => set(tool, of, text)}
                    className="w-16 text-right"
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

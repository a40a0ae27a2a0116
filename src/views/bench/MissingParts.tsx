import { useDatabase } from '../../app/session';
import type { MissingPart } from '../../core/recipe/resolved';
import { putBack } from '../../data/gone';
import { Button } from '../../ui/Button';

/** Told while something of the recipe is no longer on the shelf: what stands in for it, and how it comes back. */
export function MissingParts({ missing }: { readonly missing: readonly MissingPart[] }) {
  const db = useDatabase();
  const known = missing.filter(({ isKnown }) => isKnown);
  const unknown = missing.filter(({ isKnown }) => !isKnown);
  return (
    <div
      role="alert"
      className="mx-5 mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 border-l-4 border-text bg-field px-3 py-2 max-sm:mx-3"
    >
      <p className="min-w-56 flex-1">
        {known.length > 0 &&
          `${known.map(({ name }) => name).join(', ')} ${known.length === 1 ? 'was' : 'were'} taken off, and ${known.length === 1 ? 'is' : 'are'} shown as ${known.length === 1 ? 'it was' : 'they were'}. `}
        {unknown.length > 0 &&
          `Nothing is known any more of ${unknown.map(({ name }) => name).join(', ')}: something plain stands in. `}
        Put another in its place, or bring it back.
      </p>
      {known.length > 0 && (
        <Button onClick={() => void putBack(db, known)}>
          Bring {known.length === 1 ? 'it' : 'them'} back
        </Button>
      )}
    </div>
  );
}

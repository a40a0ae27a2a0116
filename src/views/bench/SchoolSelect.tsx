import type { Edit } from '../../app/useBench';
import type { Kit, Recipe } from '../../core/recipe/recipe';
import { SCHOOL_IDS, SCHOOLS } from '../../core/recipe/schools/schools';
import { schoolOf, suggestSchool } from '../../core/sheet/schoolChoice';

/** The order the inks are laid in, with the reason for it. */
export function SchoolSelect({ kit, edit }: { readonly kit: Kit; readonly edit: Edit }) {
  const { school } = kit.recipe;
  const suggested = suggestSchool(kit);
  return (
    <>
      <select
        aria-label="Order of laying"
        value={school}
        onChange={({ target }) => edit((recipe) => ({ ...recipe, school: target.value as Recipe['school'] }))}
        className="frame mt-1 min-h-7 w-full px-1 py-0.5"
      >
        <option value="suggested">Suggested: {SCHOOLS[suggested.id].label.toLowerCase()}</option>
        {SCHOOL_IDS.map((id) => (
          <option key={id} value={id}>
            {SCHOOLS[id].label}
          </option>
        ))}
      </select>
      <p className="mt-1 line-clamp-3 text-[12px] leading-snug text-mute" title={schoolOf(kit).reason}>
        {school === 'suggested'
          ? `${suggested.because.charAt(0).toUpperCase()}${suggested.because.slice(1)}.`
          : schoolOf(kit).reason}
      </p>
    </>
  );
}

import type { Edit } from '../../app/useBench';
import { capitalised } from '../../core/base/words';
import type { Recipe } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { SCHOOL_IDS, SCHOOLS } from '../../core/recipe/schools/schools';
import { schoolOf, suggestSchool } from '../../core/sheet/schoolChoice';
import { Select } from '../../ui/Select';

/** The order the inks are laid in, with the reason for it. */
export function SchoolSelect({ resolved, edit }: { readonly resolved: ResolvedRecipe; readonly edit: Edit }) {
  const { school } = resolved.recipe;
  const suggested = suggestSchool(resolved);
  const why = capitalised(school === 'suggested' ? `${suggested.because}.` : schoolOf(resolved).reason);
  return (
    <>
      <Select<Recipe['school']>
        label="Order of laying"
        value={school}
        options={[
          { value: 'suggested', label: `Suggested: ${SCHOOLS[suggested.id].label.toLowerCase()}` },
          ...SCHOOL_IDS.map((id) => ({ value: id, label: SCHOOLS[id].label })),
        ]}
        onChange={(next) => edit((recipe) => ({ ...recipe, school: next }))}
        width="w-full"
      />
      <p className="line-clamp-2 text-small leading-snug text-mute" title={why}>
        {why}
      </p>
    </>
  );
}

import type { Danger } from '../recipe/passes/definition';

const RULES = 'Read the maker’s own sheet for it, and follow your local rules.';

/** What can hurt, each said once a sheet, in the order told. Common practice. */
export const CAUTIONS: Readonly<Record<Danger, string>> = {
  heat: `Heat tool: hot air and hot card burn. Keep clear of sprays, alcohol and paper, hold the panel with tweezers, keep wet hands off a mains tool, and unplug it after use. Read the maker’s own sheet for each ink and tool, and follow your local rules.`,
  powder: `Powder: do not breathe it; a mask if you are sensitive. Keep it from food, and air the room while it melts. ${RULES}`,
  blade: `Knife and dies: cut away from the hand that holds, against a steel rule on a mat, and put the blade away at once. ${RULES}`,
  steel: `Steel stencils: their edges cut. Clean them with a brush, not with fingers. ${RULES}`,
};

import type { Danger } from '../recipe/passes/definition';

/** What can hurt, each said once a sheet, in the order told. Common practice. */
const CAUTIONS: Readonly<Record<Danger, string>> = {
  heat: 'Heat tool: hot air and hot card burn. Keep clear of sprays, alcohol and paper, hold the panel with tweezers, keep wet hands off a mains tool, and unplug it after use.',
  powder:
    'Powder: do not breathe it; a mask if you are sensitive. Keep it from food, and air the room while it melts.',
  blade:
    'Knife and dies: cut away from the hand that holds, against a steel rule on a mat, and put the blade away at once.',
  steel: 'Steel stencils: their edges cut. Clean them with a brush, not with fingers.',
  'tack spray':
    'Tack spray: it catches fire. Use it by an open window, away from any flame and the heat tool, and do not breathe it.',
};

const RULES =
  'Read the maker’s own sheet for each ink, tool and powder, follow your local rules, and keep all of it from small children and pets.';

/** What is said of the dangers there are, and whose word goes before this one's. */
export function cautionsOf(dangers: ReadonlySet<Danger>): string[] {
  const told = (Object.keys(CAUTIONS) as Danger[])
    .filter((danger) => dangers.has(danger))
    .map((danger) => CAUTIONS[danger]);
  return told.length > 0 ? [...told.slice(0, -1), `${told.at(-1)} ${RULES}`] : [];
}

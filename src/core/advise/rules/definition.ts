import type { Unit } from '../../base/length';
import type { Card } from '../../materials/card/card';
import type { Ink } from '../../materials/ink/ink';
import { rankTopCoats, type TopCoat } from '../../readings/legibility/topCoat';
import type { PassReading } from '../../readings/passReadings';
import type { Readings } from '../../readings/readings';
import type { Recipe } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { Maker } from '../../sheet/compile';

/** What a rule looks at: the recipe as it is judged, and what else the maker has. */
export interface RuleInput {
  readonly resolved: ResolvedRecipe;
  readonly readings: Readings;
  /** What its passes do; empty as long as they have not been read. */
  readonly passes: readonly PassReading[];
  readonly shelf: readonly Ink[];
  /** Its darks as top coats, the best first; empty as long as a worker has not ranked them. Left out, they are ranked when asked for. */
  readonly topCoats?: readonly TopCoat[];
  readonly cards: readonly Card[];
  /** What lengths are told in. */
  readonly unit: Unit;
  /** The maker's own times and brushes; the usual ones where left out. */
  readonly maker?: Maker;
}

/** Something to mind, and how it can be mended by one press, where it can. */
export interface Finding {
  /** The same as long as it is the same finding. */
  readonly key: string;
  readonly message: string;
  readonly fix?: Fix;
  /** Other ways to mend it, the next best first. */
  readonly others?: readonly Fix[];
  /** A way with a choice of its own. */
  readonly choice?: Choice;
}

/** Ways to mend of which the maker picks one; the best first. */
export interface Choice {
  readonly label: string;
  /** Looked for when they are asked for: it may take a while. */
  readonly among: () => readonly Fix[];
  /** Said where there are none. */
  readonly none: string;
}

/** A press that mends. */
export interface Fix {
  readonly label: string;
  readonly apply: (recipe: Recipe) => Recipe;
}

/** A rule of the trade. Adding one is adding one of these in a file of its own, and a line in the list. */
export interface Rule {
  readonly id: string;
  readonly check: (input: RuleInput) => readonly Finding[];
}

/** What was read of a pass; undefined as long as it has not been. */
export const readingOf = ({ passes }: RuleInput, { id }: { readonly id: string }): PassReading | undefined =>
  passes.find((reading) => reading.id === id);

/** The shelf's darks as top coats over a recipe's ladder, the best first. */
export const topCoatsFor = ({ topCoats, resolved, shelf }: RuleInput): readonly TopCoat[] =>
  topCoats ?? rankTopCoats(resolved, shelf);

import type { Finding, RuleInput } from './definition';
import { RULES } from './table';

/** Everything a recipe offends against, the weightiest first. */
export const findingsOf = (input: RuleInput): Finding[] => RULES.flatMap(({ check }) => check(input));

import { group } from 'd3-array';
import type { Step } from './desk';

/** What is minded at several steps alike, said once. */
export interface SharedCare {
  /** When it is minded: "At every ink". */
  readonly when: string;
  readonly lines: readonly string[];
}

/** Which steps are told together, and how they are called: those of the ladder by their sort, those of a pass by its work. */
function togetherAs({ kind, title, deeds }: Step): string | undefined {
  if (kind === 'lay') return 'At every ink';
  if (kind === 'go back') return 'Whenever you go back';
  if (kind !== 'pass' || !deeds.some(({ does }) => does === 'pass')) return undefined;
  return `${title.split(/[,:]/)[0]}, every time`;
}

/**
 * A sheet's steps without the lines that all of one sort share, and those lines apart, each once: for a page that is read
 * as a whole. At the desk a step says all of it. What is so of some of them only stays with those.
 */
export function shareCare(steps: readonly Step[]): {
  readonly shared: readonly SharedCare[];
  readonly steps: readonly Step[];
} {
  const shared = [...group(steps, togetherAs)].flatMap(([when, of]): SharedCare[] => {
    if (when === undefined) return [];
    const lines = linesOfAll(of);
    return lines.length > 0 ? [{ when, lines }] : [];
  });
  const linesOf = new Map(shared.map(({ when, lines }) => [when, new Set(lines)]));
  return {
    shared,
    steps: steps.map((step) => ({
      ...step,
      care: step.care.filter((line) => !linesOf.get(togetherAs(step) ?? '')?.has(line)),
    })),
  };
}

/**
 * Lines that each of several steps says, in the order in which the second says them. Before the first ink there is nothing to
 * wipe or to turn: what the others say before all that it shares with them is so of it, too.
 */
function linesOfAll(steps: readonly Step[]): readonly string[] {
  const [first, second, ...others] = steps;
  if (!first || !second) return [];
  const says = (line: string) => first.care.includes(line);
  const readying = first.kind === 'lay' && others.length > 0 ? second.care.findIndex(says) : 0;
  return second.care.filter(
    (line, i) => (says(line) || i < readying) && others.every(({ care }) => care.includes(line)),
  );
}

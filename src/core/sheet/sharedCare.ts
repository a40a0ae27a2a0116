import type { Step, StepKind } from './desk';

/** What is minded at several steps alike, said once. */
export interface SharedCare {
  /** When it is minded: "At every ink". */
  readonly when: string;
  readonly lines: readonly string[];
}

/** Steps that come again and again, and how they are called together. */
const TOGETHER: Readonly<Partial<Record<StepKind, string>>> = {
  lay: 'At every ink',
  'go back': 'Whenever you go back',
  pass: 'Over the blend',
};

/**
 * A sheet's steps without the lines that several of one sort share, and those lines apart, each once: for a page that is
 * read as a whole. At the desk a step says all of it.
 */
export function shareCare(steps: readonly Step[]): {
  readonly shared: readonly SharedCare[];
  readonly steps: readonly Step[];
} {
  const shared = Object.entries(TOGETHER).flatMap(([kind, when]): (SharedCare & { kind: string })[] => {
    const all = steps.filter((step) => step.kind === kind).flatMap(({ care }) => care);
    const lines = [...new Set(all)].filter((line) => all.indexOf(line) !== all.lastIndexOf(line));
    return lines.length > 0 ? [{ kind, when, lines }] : [];
  });
  const linesOf = new Map(shared.map(({ kind, lines }) => [kind, new Set(lines)]));
  return {
    shared: shared.map(({ when, lines }) => ({ when, lines })),
    steps: steps.map((step) => ({
      ...step,
      care: step.care.filter((line) => !linesOf.get(step.kind)?.has(line)),
    })),
  };
}

import { outcomeOf } from './evaluate';
import { type Operation, tailOf } from './sitting';
import type { Workbench } from './workbench';
import type { Token } from './works';

interface Candidate extends Token {
  /** When it could begin. */
  readonly start: number;
  readonly tail: number;
  /** Whether its first ink lies on a mat already. */
  readonly sameInk: boolean;
  readonly sameGroup: boolean;
}

/** Which of the stages that can be worked comes next. */
const RULES: readonly ((p: Candidate, q: Candidate) => number)[] = [
  (p, q) => p.start - q.start || q.tail - p.tail,
  (p, q) => p.start - q.start || Number(q.sameInk) - Number(p.sameInk) || q.tail - p.tail,
  (p, q) => p.start - q.start || q.tail - p.tail || q.stage - p.stage,
  // A recipe is kept at while that costs no more than so many minutes of waiting: its brushes are out.
  ...[0, 5, 15].map(
    (worth) =>
      (p: Candidate, q: Candidate): number =>
        p.start + (p.sameGroup ? 0 : worth) - q.start - (q.sameGroup ? 0 : worth) ||
        Number(q.sameGroup) - Number(p.sameGroup) ||
        q.tail - p.tail,
  ),
];

/** Orders to begin with, one a rule. */
export const listOrders = (bench: Workbench): Token[][] => RULES.map((rule) => listOrder(bench, rule));

/** An order by a rule: at each moment the stage that it puts first among those that wait. */
function listOrder(bench: Workbench, rule: (p: Candidate, q: Candidate) => number): Token[] {
  const { sitting, stages, begun } = bench;
  const { groups, atHand } = sitting;
  const hands = new Float64Array(atHand.hands).fill(begun.now);
  const order: Token[] = [];
  // When each panel that waits for a stage can be taken up.
  const ready = bench.waiting.map((own) => own.map((panels) => panels.map((panel) => panel.ready)));
  let last: Token | undefined;
  let lastInk: string | undefined;
  for (;;) {
    const hand = hands.indexOf(Math.min(...hands));
    const free = hands[hand] ?? 0;
    const candidates = ready.flatMap((own, group) =>
      own.flatMap((waiting, stage): Candidate[] => {
        const [first] = waiting;
        const at = stages[group]?.[stage];
        const operations = groups[group]?.operations ?? [];
        if (first === undefined || !at) return [];
        return [
          {
            group,
            stage,
            start: Math.max(first, free),
            tail: tailOf(operations, at.from),
            sameInk: operations[at.from]?.ink === lastInk,
            sameGroup: group === last?.group,
          },
        ];
      }),
    );
    const [next] = candidates.toSorted(rule);
    if (!next) return order;
    const operations = groups[next.group]?.operations ?? [];
    const at = stages[next.group]?.[next.stage] ?? { from: 0, to: 0 };
    ready[next.group]?.[next.stage]?.shift();
    let end = next.start;
    for (let i = at.from; i < at.to; i++) {
      const { ink, minutes, rest } = operations[i] as Operation;
      if (ink !== undefined && ink !== lastInk && atHand.mats === 1) end += atHand.wipeMinutes;
      if (ink !== undefined) lastInk = ink;
      end += minutes + (i < at.to - 1 ? (rest?.min ?? 0) : 0);
    }
    hands[hand] = end;
    const following = ready[next.group]?.[next.stage + 1];
    following?.push(end + (operations[at.to - 1]?.rest?.min ?? 0));
    following?.sort((p, q) => p - q);
    last = { group: next.group, stage: next.stage };
    order.push(last);
  }
}

/** So many panels a maker keeps going at once, who does it by hand. */
const FOUR = 4;

/** The plain ways; those that can be worked. */
export function plainOrders(bench: Workbench): Readonly<Record<string, Token[]>> {
  const { sitting, stages, waiting } = bench;
  // Each panel by the stage it is at; panels further on come first.
  const panels = sitting.groups.flatMap((_, group) =>
    (waiting[group] ?? []).toReversed().flatMap((own, back) => {
      const from = (waiting[group]?.length ?? 0) - 1 - back;
      return own.map(() => ({ group, from }));
    }),
  );
  const stagesFrom = ({ group, from }: { group: number; from: number }): Token[] =>
    (stages[group] ?? []).flatMap((_, stage) => (stage < from ? [] : [{ group, stage }]));
  const byStage = (some: typeof panels): Token[] =>
    some.flatMap(stagesFrom).toSorted((p, q) => p.stage - q.stage || p.group - q.group);
  const groups = sitting.groups.map((_, group) => panels.filter((panel) => panel.group === group));
  const fours = groups.flatMap((own) =>
    Array.from({ length: Math.ceil(own.length / FOUR) }, (_, i) => own.slice(i * FOUR, (i + 1) * FOUR)),
  );
  const ways = {
    panelAfterPanel: panels.flatMap(stagesFrom),
    stageByStage: byStage(panels),
    inFours: fours.flatMap(byStage),
  };
  return Object.fromEntries(
    Object.entries(ways).filter(([, order]) => outcomeOf(bench, order) !== undefined),
  );
}

/** Alike panels wait in a row: a stage that comes before the one it follows changes places with it. */
export function mended(bench: Workbench, order: readonly Token[]): readonly Token[] {
  const counts = bench.waiting.map((own) => own.map(({ length }) => length));
  const late: Token[] = [];
  const sorted: Token[] = [];
  const put = (token: Token): boolean => {
    const own = counts[token.group];
    if (!own || (own[token.stage] ?? 0) <= 0) return false;
    own[token.stage] = (own[token.stage] ?? 0) - 1;
    own[token.stage + 1] = (own[token.stage + 1] ?? 0) + 1;
    sorted.push(token);
    return true;
  };
  for (const token of order) {
    if (!put(token)) {
      late.push(token);
      continue;
    }
    for (let i = 0; i < late.length; i++) {
      if (!put(late[i] as Token)) continue;
      late.splice(i, 1);
      i = -1;
    }
  }
  return [...sorted, ...late];
}

import type { Answer, Item, Judged } from './exercises/definition';

/** Set nearer than this part of the scale counts as right. */
const NEAR = 0.05;

/** What an answer is worth. */
export function judge(item: Item, answer: Answer): Judged {
  if (item.mode === 'pick') {
    const found = answer.filter((place) => item.right.includes(place)).length;
    const isRight = found === item.right.length && answer.length === item.right.length;
    return { isRight, score: isRight ? 1 : found / (item.right.length + 1) };
  }
  if (item.mode === 'order') {
    const score = rankCorrelation(answer.map((place) => item.right.indexOf(place)));
    return { isRight: score > 1 - 1e-9, score: Math.max(score, 0) };
  }
  const off = item.right.reduce((sum, at, i) => sum + Math.abs(at - (answer[i] ?? 0)), 0) / item.right.length;
  return { isRight: off <= NEAR * item.length, score: Math.max(0, 1 - off / (0.25 * item.length)), off };
}

/** Spearman's rank correlation of an order with 0, 1, 2 …: 1 in order, −1 turned round. Source: C. Spearman, Am. J. Psychol. 15 (1904) 72. */
export function rankCorrelation(order: readonly number[]): number {
  const n = order.length;
  if (n < 2) return 1;
  const sum = order.reduce((all, place, i) => all + (place - i) ** 2, 0);
  return 1 - (6 * sum) / (n * (n * n - 1));
}

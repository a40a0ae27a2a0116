import { bareGround } from '../../engine/blend';
import { verdictOf } from '../../readings/joints/closeCall';
import { VERDICT_KINDS, type VerdictKind } from '../../readings/joints/joint';
import type { JoinGuess, MadePanel } from './made';

/** What each join of a panel can be guessed to be; inks too alike make no join. */
export const GUESSED: readonly VerdictKind[] = VERDICT_KINDS.filter((kind) => kind !== 'too alike');

/** What the model says of each join of a panel, as it was made. */
export const modelSays = ({ made }: Pick<MadePanel, 'made'>): VerdictKind[] => {
  if (!made) return [];
  const inks = made.recipe.rungs.flatMap(({ inkId }) => made.inks.find(({ id }) => id === inkId) ?? []);
  return inks.slice(1).map((ink, i) => verdictOf(inks[i] ?? ink, ink, bareGround(made.card)));
};

/** One word of a guess set at one join, or taken back; every join has its place. */
export const withGuess = (
  panel: MadePanel,
  join: number,
  key: keyof JoinGuess,
  kind: VerdictKind | undefined,
): readonly JoinGuess[] =>
  modelSays(panel).map((_, i) => {
    const guess = panel.guesses?.[i] ?? {};
    if (i !== join) return guess;
    const { [key]: __, ...other } = guess;
    return { ...other, ...(kind ? { [key]: kind } : {}) };
  });

/** How often the maker and the model were right about joins that were made; undefined where none was. */
export function guessesTold(log: readonly MadePanel[]): string | undefined {
  let [all, maker, model] = [0, 0, 0];
  for (const panel of log) {
    if (!panel.guesses) continue;
    const says = modelSays(panel);
    panel.guesses.forEach(({ said, came }, i) => {
      if (!said || !came) return;
      all++;
      if (said === came) maker++;
      if (says[i] === came) model++;
    });
  }
  return all > 0
    ? `of ${all} ${all === 1 ? 'join' : 'joins'} you foresaw ${maker}, the model ${model}.`
    : undefined;
}

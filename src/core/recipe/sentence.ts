import { formatBare, type Unit } from '../base/length';
import type { Card } from '../materials/card/card';
import { PANEL_SIZES, type Panel, samePanel } from './panel';
import type { ResolvedRecipe } from './resolved';
import { RUNS } from './runs/runs';
import { TOOLS } from './tools/tools';

/** What of a recipe its sentence says, and a maker can change there. */
export type SentencePart = 'run' | 'inks' | 'tool' | 'card' | 'size' | 'seen';

/** The words for a part of the recipe, and what joins them to those before. */
export interface SentencePiece {
  readonly before: string;
  readonly text: string;
  readonly part: SentencePart;
}

const COUNTS = ['no inks', 'one ink', 'two inks', 'three inks', 'four inks', 'five inks'] as const;

/** A panel's size as a maker calls it where it has a name, or else its width and height. */
export function describePanel(panel: Panel, unit: Unit): string {
  const known = PANEL_SIZES.find((size) => samePanel(size.panel, panel));
  return known?.label ?? `${formatBare(panel.width, unit)} × ${formatBare(panel.height, unit)} ${unit}`;
}

/** "smooth white 350 g/m²", or both cards where two panels are laid at once. */
function describeCards(laid: { readonly card: Card; readonly alsoOn?: Card | undefined }): string {
  const { card, alsoOn } = laid;
  if (!alsoOn) return card.name;
  return alsoOn.id === card.id ? `two panels of ${card.name}` : `${card.name} and ${alsoOn.name}`;
}

/**
 * The recipe in one sentence, in pieces with a full stop after them: "A straight run of three inks, with a blending brush,
 * on smooth white 350 g/m², 4¼ × 5½ inch front, seen dried."
 */
export function recipeSentence(
  { recipe, card, alsoOn }: Pick<ResolvedRecipe, 'recipe' | 'card' | 'alsoOn'>,
  unit: Unit,
  seen: 'dried' | 'wet',
): readonly SentencePiece[] {
  const { run, rungs, tool, panel } = recipe;
  return [
    { before: 'A ', text: RUNS[run.id].phrase, part: 'run' },
    { before: ' of ', text: COUNTS[rungs.length] ?? `${rungs.length} inks`, part: 'inks' },
    { before: ', ', text: TOOLS[tool].phrase, part: 'tool' },
    { before: ', on ', text: describeCards({ card, alsoOn }), part: 'card' },
    { before: ', ', text: describePanel(panel, unit), part: 'size' },
    { before: ', seen ', text: seen, part: 'seen' },
  ];
}

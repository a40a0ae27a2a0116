import type { Millimetres } from '../../base/length';
import type { Panel } from '../../recipe/panel';

/** One piece to be cut, so many times. */
export interface Piece {
  readonly name: string;
  readonly width: Millimetres;
  readonly height: Millimetres;
  readonly count: number;
  /** Scored through its middle, to be folded so. */
  readonly fold?: Fold | undefined;
}

/** Where a folded base is folded: along its left edge, like a book, or along its top, like a tent. */
export const FOLDS = ['side', 'top'] as const;
export type Fold = (typeof FOLDS)[number];

/** A mat between the base and the panel: how far it stands out all round, and of which card it is. */
export interface MatLayer {
  readonly margin: Millimetres;
  readonly cardId: string;
}

/** A card as it is put together: a folded base, mats from the outermost in, the blended panel, a greeting strip. */
export interface Assembly {
  readonly cards: number;
  readonly panel: Panel;
  readonly panelCardId: string;
  /** How much larger the panel is cut all round, to be trimmed once it is blended. */
  readonly oversize: Millimetres;
  /** Outermost first; the margin is how far a mat stands out beyond what lies on it. */
  readonly mats: readonly MatLayer[];
  /** The base stands out so far beyond the outermost of all that. */
  readonly base: { readonly margin: Millimetres; readonly cardId: string; readonly fold: Fold } | undefined;
  /** Cut from a strip blended with the same recipe, sized to the die. */
  readonly greeting: { readonly width: Millimetres; readonly height: Millimetres } | undefined;
  /** Whether a second panel of the same recipe goes inside. */
  readonly inside?: boolean;
  /** A liner for the envelope, blended with the same recipe. */
  readonly liner?: { readonly width: Millimetres; readonly height: Millimetres } | undefined;
}

/** The pieces of an assembly by the card they are cut from, for all its cards together. */
export function piecesOf(assembly: Assembly): Map<string, Piece[]> {
  const { cards, panel, panelCardId, oversize, greeting, inside, liner } = assembly;
  const byCard = new Map<string, Piece[]>();
  const add = (cardId: string, name: string, width: Millimetres, height: Millimetres, fold?: Fold) =>
    byCard.set(cardId, [
      ...(byCard.get(cardId) ?? []),
      { name, width, height, count: cards, ...(fold ? { fold } : {}) },
    ]);
  add(
    panelCardId,
    oversize > 0 ? 'panel to be trimmed' : 'panel',
    panel.width + 2 * oversize,
    panel.height + 2 * oversize,
  );
  if (greeting)
    add(panelCardId, 'greeting strip', greeting.width + 2 * oversize, greeting.height + 2 * oversize);
  if (inside) add(panelCardId, 'inside panel', panel.width + 2 * oversize, panel.height + 2 * oversize);
  if (liner) add(panelCardId, 'envelope liner', liner.width, liner.height);
  for (const { name, cardId, width, height, folds } of layersOf(assembly)) {
    if (folds === 'side') add(cardId, `${name} folded at the side`, 2 * width, height, folds);
    else if (folds === 'top') add(cardId, `${name} folded at the top`, width, 2 * height, folds);
    else add(cardId, name, width, height);
  }
  return byCard;
}

/** What lies under the panel, as it is seen from the front. */
export interface Layer {
  readonly name: string;
  readonly cardId: string;
  readonly width: Millimetres;
  readonly height: Millimetres;
  /** Of a base: where it is folded; its back is as large again. */
  readonly folds?: Fold;
}

/** The layers under a panel, from the one next to it out. */
export function layersOf({ panel, mats, base }: Pick<Assembly, 'panel' | 'mats' | 'base'>): Layer[] {
  let { width, height } = panel;
  const wider = (margin: Millimetres) => {
    width += 2 * margin;
    height += 2 * margin;
    return { width, height };
  };
  const layers = mats.toReversed().map(
    ({ margin, cardId }, i): Layer => ({
      name: mats.length > 1 ? `mat ${mats.length - i}` : 'mat',
      cardId,
      ...wider(margin),
    }),
  );
  return base
    ? [...layers, { name: 'base', cardId: base.cardId, folds: base.fold, ...wider(base.margin) }]
    : layers;
}

/** How much is blended for one card, in panels: with its strip, its inside and its liner. */
export function blendedPanels({ panel, greeting, inside, liner }: Assembly): number {
  const areaOf = ({ width, height }: { readonly width: Millimetres; readonly height: Millimetres }) =>
    width * height;
  const more = [greeting, inside ? panel : undefined, liner].flatMap((piece) =>
    piece ? [areaOf(piece)] : [],
  );
  return 1 + more.reduce((sum, area) => sum + area, 0) / areaOf(panel);
}

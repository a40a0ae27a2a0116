import { blendGround, solidColour } from '../../engine/blend';
import type { Card } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { COLOURLESS, chroma, type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { isBare } from '../../materials/ink/ink';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { panelField } from '../legibility/panelField';

/** A card as a mat or base under a panel, and why it goes or does not. */
export interface MatAdvice {
  readonly card: Card;
  /** Higher goes better. */
  readonly worth: number;
  readonly reason: string;
}

/** Below and above these L* a card is black or white to the eye. */
const [BLACK_TO, WHITE_FROM] = [28, 92] as const;
/** Nearer than this to an ink a card is of its colour; nearer than this to the panel's border it melts into it. CIEDE2000. */
const [ITS_COLOUR, MELTS] = [14, 9] as const;

/**
 * The drawer's cards by how they go with a panel: its own dark first, then black, a metallic and white, greys, its own pale; what
 * melts into the panel's border frames nothing. Common practice.
 */
export function matsFor(resolved: ResolvedRecipe, cards: readonly Card[]): MatAdvice[] {
  const ground = blendGround(resolved);
  const inks = resolved.inks
    .filter((ink) => !isBare(ink))
    .map((ink) => ({ ink, lab: solidColour(ink, ground) }));
  const byLightness = inks.toSorted((p, q) => p.lab.l - q.lab.l);
  const [darkest, palest] = [byLightness[0], byLightness.at(-1)];
  const border = borderOf(resolved);
  return cards
    .map((card): MatAdvice => {
      const lab = labOfHex(card.colour);
      const melted = border.filter((edge) => deltaE00(edge, lab) < MELTS).length / border.length;
      if (melted > 0.5)
        return { card, worth: 0, reason: `melts into ${Math.round(melted * 100)} % of the panel’s border` };
      const held = melted > 0.1 ? `; it melts into ${Math.round(melted * 100)} % of the border` : '';
      const worth = (base: number) => base - melted;
      if (card.finish === 'metallic')
        return { card, worth: worth(2.3), reason: `metallic: a narrow rim catches the light${held}` };
      if (darkest && lab.l >= BLACK_TO && deltaE00(darkest.lab, lab) < ITS_COLOUR)
        return { card, worth: worth(3), reason: `near its own darkest, ${darkest.ink.name}${held}` };
      if (lab.l < BLACK_TO)
        return { card, worth: worth(2.5), reason: `black: the colours glow on it${held}` };
      if (palest && lab.l < WHITE_FROM && deltaE00(palest.lab, lab) < ITS_COLOUR)
        return { card, worth: worth(1.6), reason: `near its own palest, ${palest.ink.name}${held}` };
      if (lab.l > WHITE_FROM)
        return { card, worth: worth(2.2), reason: `white: keeps the card light${held}` };
      if (chroma(lab) < COLOURLESS) return { card, worth: worth(1.8), reason: `grey: stands back${held}` };
      return { card, worth: worth(1), reason: `another colour: it competes${held}` };
    })
    .toSorted((p, q) => q.worth - p.worth);
}

/** Colours along the dried panel's border. */
function borderOf(resolved: ResolvedRecipe): Lab[] {
  const { cells, spectra } = panelField(resolved, 20);
  const { columns, rows } = cells;
  return spectra.flatMap((spectrum, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const isEdge = column === 0 || row === 0 || column === columns - 1 || row === rows - 1;
    return isEdge ? [labOfSpectrum(spectrum)] : [];
  });
}

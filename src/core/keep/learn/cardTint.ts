import { median } from 'd3-array';
import { type Card, groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { type Hex, hexOfLab } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import type { MadePanel } from '../log/made';

/** A card's own tint, as bare places of it were read. */
export interface CardLesson {
  readonly card: Card;
  readonly colour: Hex;
  /** From how many bare places. */
  readonly readings: number;
  /** How far it lies from what was said of the card, ΔE00. */
  readonly off: number;
}

/** Fewer bare places say nothing; and so near to what is said is no other card, ΔE00. */
const LEAST = { readings: 2, off: 0.6 } as const;

/**
 * What bare places of cards, read with a colour reader, say of the cards' own tints: the middle of L*, a* and b* each. A
 * photograph says nothing of it: the card is its white.
 */
export function cardLessons(log: readonly MadePanel[], cards: readonly Card[]): CardLesson[] {
  return cards.flatMap((card): CardLesson[] => {
    const bare = log.flatMap(({ made, readings }) =>
      made?.card.id === card.id
        ? readings.filter(({ layers, source, wet }) => layers?.length === 0 && source === 'reader' && !wet)
        : [],
    );
    if (bare.length < LEAST.readings) return [];
    const middle = (of: 'l' | 'a' | 'b') => median(bare, ({ lab }) => lab[of]) ?? 0;
    const lab = { l: middle('l'), a: middle('a'), b: middle('b') };
    const off = deltaE00(lab, labOfSpectrum(groundOfCard(card)));
    return off < LEAST.off ? [] : [{ card, colour: hexOfLab(lab), readings: bare.length, off }];
  });
}

import type { Unit } from '../base/length';
import { bareGround, groundReflectance } from '../engine/blend';
import type { Card } from '../materials/card/card';
import { labOfSpectrum } from '../materials/colour/lab';
import type { Ink } from '../materials/ink/ink';
import { dryShelf } from '../readings/driedShelf';
import { presenceOf } from '../readings/presence';
import type { PracticeShelf } from './exercises/definition';

/** The inks on a card to practise with: all that can be told from it, since a white on white is judged by nobody. */
export function shelfToPractise(inks: readonly Ink[], card: Card, lengths: Unit): PracticeShelf {
  const ground = bareGround(card);
  const bare = labOfSpectrum(groundReflectance(ground));
  const seen = dryShelf(inks, ground).filter(({ lab }) => presenceOf(lab, bare) !== 'vanishes');
  return { inks: seen, card, ground, lengths };
}

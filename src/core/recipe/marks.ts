import type { Millimetres } from '../base/length';
import type { MarkEnd } from './editLadder';
import { jointSpans } from './recipe';
import type { ResolvedRecipe } from './resolved';

/** A mark on the card: where an ink stops being solid, which is also where its neighbour has faded out. */
export interface Mark {
  readonly id: string;
  readonly joint: number;
  readonly end: MarkEnd;
  readonly along: Millimetres;
  /** "Gorse Pale solid to". */
  readonly solid: string;
  /** The ink that has faded out there. */
  readonly faded: string;
}

/** All marks of a ladder, from its first rung to its last. */
export function marksOf({ recipe, inks }: ResolvedRecipe): Mark[] {
  const name = (rung: number) => inks[rung]?.name ?? '';
  return jointSpans(recipe).flatMap(({ start, end }, joint): Mark[] => [
    {
      id: `${joint} start`,
      joint,
      end: 'start',
      along: start,
      solid: `${name(joint)} solid to`,
      faded: name(joint + 1),
    },
    {
      id: `${joint} end`,
      joint,
      end: 'end',
      along: end,
      solid: `${name(joint + 1)} solid from`,
      faded: name(joint),
    },
  ]);
}

import { useMemo } from 'react';
import type { Wetness } from '../../core/engine/mixing';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { setShares } from '../../core/recipe/editLadder';
import { newRecipe } from '../../core/recipe/newRecipe';
import { PanelPicture } from './PanelPicture';

interface Props {
  readonly inks: readonly Ink[];
  readonly card: Card;
  readonly wetness: Wetness;
  /** Of the panel, from the top; equal where left out. */
  readonly shares?: readonly number[] | undefined;
  readonly width: number;
  readonly height: number;
}

/** A panel of these inks from the top down; they are named beside it. */
export function LadderPicture({ inks, card, wetness, shares, width, height }: Props) {
  const names = inks.map(({ name }) => name).join(', ');
  const resolved = useMemo(() => {
    const equal = newRecipe(names, inks, card);
    return { recipe: shares ? setShares(equal, shares) : equal, card, inks, passInks: [], designs: [] };
  }, [names, inks, card, shares]);
  return (
    <div className="shadow-[0_1px_3px_#0006]" style={{ width, height }}>
      <PanelPicture {...{ resolved, wetness, width, height }} />
    </div>
  );
}

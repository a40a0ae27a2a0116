import { useEffect, useState } from 'react';
import type { Shelf } from '../../app/session';
import { searchedInks, useChoosing } from '../../app/useChoosing';
import type { Recipe } from '../../core/recipe/recipe';
import { searcher } from '../../workers/client';
import { inPassing } from '../../workers/door';

/** So long the hand rests before the shelf is made ready to be searched, ms. */
const RESTED = 8000;
/** A larger shelf takes so much time and memory that it waits until it is asked for. */
const MOST_INKS = 400;

/**
 * Makes the shelf ready to be searched while the hand rests, so that the first search finds its joints judged; once the hand
 * moves again, it gives way.
 */
export function SearchAhead({ shelf, recipe }: { readonly shelf: Shelf; readonly recipe: Recipe }) {
  const { cardIn } = useChoosing();
  const card = cardIn(shelf.cards);
  const inks = searchedInks(shelf.inks);
  const [rested, setRested] = useState<Recipe>();
  useEffect(() => {
    const timer = setTimeout(() => setRested(recipe), RESTED);
    return () => clearTimeout(timer);
  }, [recipe]);
  const isResting = rested === recipe;
  useEffect(() => {
    if (!isResting || !card || inks.length > MOST_INKS) return;
    inPassing(searcher().prepare(inks, card));
    return () => inPassing(searcher().cancel());
  }, [isResting, inks, card]);
  return null;
}

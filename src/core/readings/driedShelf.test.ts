import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { bareGround, blendGround } from '../engine/blend';
import type { Card } from '../materials/card/card';
import { dryShelf, nearOwnInk } from './driedShelf';
import { readLadder } from './readings';

const black = DEMO_CARDS.find(({ id }) => id === 'black') as Card;
const three = DEMO_INKS.filter(({ id }) => ['gorse-pale', 'weir-mid', 'skerry-deep'].includes(id));
const slip = ink('Slip', '#fdfdfb', 'white');

test('an ink stands on the rail where its rung is read, on a white base and with a pad too', () => {
  const resolved = withPass(resolvedOf(three, black, { tool: 'pad' }), 'whiteBase', { ink: slip });
  const rail = dryShelf(three, blendGround(resolved));
  const read = readLadder(resolved);
  expect(rail.map(({ lab }) => lab)).toEqual(read.rungs.map(({ lab }) => lab));
  expect(rail.map(({ lab }) => lab.l)).not.toEqual(
    dryShelf(three, bareGround(black)).map(({ lab }) => lab.l),
  );
});

test('a mixture is told by the owned ink it is near to: not by its own two, a wished one, or one far off', () => {
  const shelf = dryShelf(
    [ink('one', '#b3262f'), ink('like it', '#b22a33'), { ...ink('wished', '#b3262f'), wished: true }],
    bareGround(WHITE_CARD),
  );
  const lab = shelf[0]?.lab ?? { l: 0, a: 0, b: 0 };
  expect(nearOwnInk(lab, shelf, [])?.ink.name).toBe('one');
  expect(nearOwnInk(lab, shelf, [ink('one', '#b3262f')])?.ink.name).toBe('like it');
  expect(nearOwnInk({ ...lab, l: lab.l + 12 }, shelf, [])).toBeUndefined();
});

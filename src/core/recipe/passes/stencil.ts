import type { Millimetres } from '../../base/length';
import { choice, seldom } from '../../base/params';
import type { Border } from '../../materials/design/placement';
import { INK_KINDS } from '../../materials/ink/kinds';
import type { Danger, PlacementContext } from './definition';
import { ragged } from './ragged';

/** What a stencil is cut from: steel has edges that cut. */
export const MATERIAL_PARAM = {
  material: seldom(choice('Stencil of', { plastic: 'plastic', steel: 'steel', paper: 'paper' }, 'plastic')),
} as const;

/** Whether a stencil in hand is one to be careful of. */
export const steelOf = (
  contexts: readonly { readonly params: { readonly material: string }; readonly design?: unknown }[],
): readonly Danger[] =>
  contexts.some(({ params, design }) => design && params.material === 'steel') ? ['steel'] : [];

/** How far a hybrid ink on a brush that was tapped off creeps under a stencil, mm, and over which length. By eye. */
const CREEPS = { far: 0.07, size: 0.4, wider: 5, seed: 3 } as const;

/** How far an ink creeps under what lies on the card, mm. */
export const creepOf = ({ wets, ink }: Pick<PlacementContext, 'wets' | 'ink'>): Millimetres =>
  CREEPS.far * wets * INK_KINDS[ink?.kind ?? 'hybrid'].bleeds;

/**
 * The border that ink leaves along the edge of a stencil: it creeps under it here and there, the farther the wetter the tool
 * is and the more the ink bleeds.
 */
export function crept(edge: Border, context: Pick<PlacementContext, 'wets' | 'ink'>): Border {
  const far = creepOf(context);
  const wander = { far, size: CREEPS.size + CREEPS.wider * far };
  return ragged((x, y) => edge(x, y) + far / 2, [wander], CREEPS.seed);
}

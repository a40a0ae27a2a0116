import { choice, seldom } from '../../base/params';
import type { Danger } from './definition';

/** What a stencil is cut from: steel has edges that cut. */
export const MATERIAL_PARAM = {
  material: seldom(choice('Stencil of', { plastic: 'plastic', steel: 'steel', paper: 'paper' }, 'plastic')),
} as const;

/** Whether a stencil in hand is one to be careful of. */
export const steelOf = (
  contexts: readonly { readonly params: { readonly material: string }; readonly design?: unknown }[],
): readonly Danger[] =>
  contexts.some(({ params, design }) => design && params.material === 'steel') ? ['steel'] : [];

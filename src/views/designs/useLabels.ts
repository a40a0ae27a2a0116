import type { DesignUse } from '../../core/materials/design/design';

/** What a design is, by what it is meant for. */
export const DESIGN_USE_LABELS: Readonly<Record<DesignUse, string>> = {
  image: 'Image',
  pattern: 'Pattern stencil',
  edge: 'Edge stencil',
};

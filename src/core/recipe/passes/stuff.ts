import type { Ink } from '../../materials/ink/ink';

/** What lies on a panel as an ink does and is none: paste, powder, foil, a pen's paint. It hides as a pigment does. */
export const stuff = (family: string, id: string, name: string, overWhite: Ink['overWhite']): Ink => ({
  id,
  name,
  family,
  depth: 'pale',
  kind: 'pigment',
  overWhite,
});

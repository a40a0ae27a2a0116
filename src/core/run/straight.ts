import type { Run } from './run';

/** Level bands from the top of the panel (the first rung) to its foot, measured up from the foot. */
export const straight: Run = {
  id: 'straight',
  label: 'Straight',
  length: (panel) => panel.height,
  alongAt: (_panel, _x, y) => y,
  level: true,
  markOf: (panel, along) => panel.height - along,
  measuredFrom: 'from the foot',
  start: { place: 'the top edge', toward: 'up' },
  end: { place: 'the foot', toward: 'down' },
};

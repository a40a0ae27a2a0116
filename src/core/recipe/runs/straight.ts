import type { BandRun } from './runs';

/** Level bands from the top of the panel (the first rung) to its foot, measured up from the foot. */
export const straight: BandRun = {
  id: 'straight',
  label: 'Straight',
  explains: 'Level bands from top to foot; dark at the foot grounds a scene.',
  params: [],
  lies: 'bands',
  on: ({ width, height }) => ({
    length: height,
    alongAt: (_x, y) => y,
    level: true,
    toward: { x: 0, y: 1 },
    handleAt: (along) => ({ x: width, y: along }),
    trace: (along) => `M0 ${along}H${width}`,
    markOf: (along) => height - along,
    measuredFrom: 'from the foot',
    start: { place: 'the top edge', toward: 'up' },
    end: { place: 'the foot', toward: 'down' },
  }),
};

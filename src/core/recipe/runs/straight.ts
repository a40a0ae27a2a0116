import { defineBandRun, levelMark } from './definition';

/** Level bands from the top of the panel (the first rung) to its foot, measured up from the foot. */
export const straight = defineBandRun({
  id: 'straight',
  label: 'Straight',
  phrase: 'straight run',
  description: 'Level bands from top to foot; dark at the foot grounds a scene.',
  params: {},
  layOn: ({ width, height }) => ({
    length: height,
    alongAt: (_x, y) => y,
    isHorizontal: true,
    toward: { x: 0, y: 1 },
    handleAt: (along) => ({ x: width, y: along }),
    trace: (along) => `M0 ${along}H${width}`,
    markedAt: (along) => [levelMark({ width, height }, along)],
    turning: (piece) => `Turn the ${piece} so that the blended edge lies toward your working hand.`,
    start: { place: 'the top edge', toward: 'up' },
    end: { place: 'the foot', toward: 'down' },
  }),
});

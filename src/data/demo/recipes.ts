import { shareEqually } from '../../core/ladder/edit';
import type { Recipe } from '../../core/ladder/recipe';
import { USUAL_PANEL } from '../../core/panel/panel';
import { STRAIGHT } from '../../core/run/run';

const PLAIN = { run: STRAIGHT, passes: [], tool: 'brush', school: 'suggested' } as const;

/** Three recipes of the kiln-opening weekend; the first is the one a first visit opens. */
export const DEMO_RECIPES: readonly Recipe[] = [
  {
    id: 'kiln-opening-2',
    name: 'Kiln-opening invitation, run 2',
    cardId: 'smooth-white',
    panel: USUAL_PANEL,
    ...PLAIN,
    rungs: [
      { inkId: 'gorse-pale', share: 0.36 },
      { inkId: 'leat-mid', share: 0.3 },
      { inkId: 'skerry-deep', share: 0.34 },
    ],
    joints: [{ width: 30 }, { width: 26 }],
  },
  {
    id: 'kiln-mouth',
    name: 'Kiln mouth',
    cardId: 'watercolour',
    panel: { width: 105, height: 148 },
    run: { id: 'glow', params: { x: 50, y: 42, oval: 120 } },
    passes: [
      {
        id: 'edge-1',
        kind: 'edge',
        on: true,
        placements: [{ inkId: 'slipware-deep', params: { depth: 14 } }],
      },
    ],
    tool: 'brush',
    school: 'suggested',
    rungs: [
      { inkId: 'gorse-mid', share: 0.3 },
      { inkId: 'kilnfire-mid', share: 0.34 },
      { inkId: 'hawberry-deep', share: 0.36 },
    ],
    joints: [{ width: 18 }, { width: 20 }],
  },
  shareEqually({
    id: 'raku-dusk',
    name: 'Raku dusk, tonal',
    cardId: 'smooth-white',
    panel: { width: 101.6, height: 133.35 },
    ...PLAIN,
    rungs: [
      { inkId: 'thrift-pale', share: 1 / 3 },
      { inkId: 'betony-mid', share: 1 / 3 },
      { inkId: 'sloe-deep', share: 1 / 3 },
    ],
    joints: [{ width: 20 }, { width: 20 }],
  }),
];

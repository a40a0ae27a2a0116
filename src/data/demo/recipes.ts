import { shareEqually } from '../../core/recipe/editLadder';
import { USUAL_PANEL } from '../../core/recipe/panel';
import type { Recipe } from '../../core/recipe/recipe';
import { STRAIGHT } from '../../core/recipe/runs/runs';

const PLAIN = { run: STRAIGHT, passes: [], tool: 'brush', school: 'suggested' } as const;

/** Four recipes of the kiln-opening weekend; the first is the one a first visit opens. */
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
  shareEqually({
    id: 'running-glaze',
    name: 'Running glaze, a resist',
    cardId: 'smooth-white',
    panel: USUAL_PANEL,
    ...PLAIN,
    passes: [
      {
        id: 'clearResist-1',
        kind: 'clearResist',
        on: true,
        designId: 'glaze-drips',
        placements: [{ params: { x: 54, y: 49, turn: 0, flip: 0, width: 100, cool: 1 } }],
      },
      {
        id: 'coat-1',
        kind: 'coat',
        on: true,
        placements: [{ inkId: 'vetch-deep', params: { strength: 100 } }],
      },
      {
        id: 'greetingStrip-1',
        kind: 'greetingStrip',
        on: true,
        placements: [{ params: { x: 54, y: 114, width: 70, height: 15, way: 0, shadow: 1 } }],
      },
      {
        id: 'penDots-1',
        kind: 'penDots',
        on: true,
        placements: [{ params: { pen: 0, seed: 12, dots: 26, size: 1.2 } }],
      },
    ],
    rungs: [
      { inkId: 'thrift-pale', share: 1 / 3 },
      { inkId: 'gorse-pale', share: 1 / 3 },
      { inkId: 'leat-pale', share: 1 / 3 },
    ],
    joints: [{ width: 20 }, { width: 20 }],
  }),
];

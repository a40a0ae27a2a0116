import { shareEqually } from '../../core/recipe/editLadder';
import { USUAL_PANEL } from '../../core/recipe/panel';
import type { Recipe } from '../../core/recipe/recipe';
import { STRAIGHT } from '../../core/recipe/runs/runs';

const PLAIN = { run: STRAIGHT, passes: [], tool: 'brush', school: 'suggested' } as const;

/** Four recipes of the kiln-opening weekend; the first is the one a first visit opens. */
export const DEMO_RECIPES: readonly [Recipe, ...Recipe[]] = [
  {
    id: 'kiln-opening-2',
    name: 'Kiln-opening invitation, run 2',
    cardId: 'smooth-white',
    panel: USUAL_PANEL,
    ...PLAIN,
    rungs: [
      { id: 'r1', inkId: 'gorse-pale', share: 0.34 },
      { id: 'r2', inkId: 'leat-mid', share: 0.365 },
      { id: 'r3', inkId: 'skerry-deep', share: 0.295 },
    ],
    joints: [{ width: 42 }, { width: 38 }],
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
        enabled: true,
        placements: [{ id: 'p1', inkId: 'slipware-deep', params: { depth: 14 } }],
      },
    ],
    tool: 'brush',
    school: 'suggested',
    rungs: [
      { id: 'r1', inkId: 'gorse-mid', share: 0.3 },
      { id: 'r2', inkId: 'kilnfire-mid', share: 0.34 },
      { id: 'r3', inkId: 'hawberry-deep', share: 0.36 },
    ],
    joints: [{ width: 26 }, { width: 28 }],
  },
  shareEqually({
    id: 'raku-dusk',
    name: 'Raku dusk, tonal',
    cardId: 'smooth-white',
    panel: { width: 101.6, height: 133.35 },
    ...PLAIN,
    rungs: [
      { id: 'r1', inkId: 'thrift-pale', share: 1 / 3 },
      { id: 'r2', inkId: 'betony-mid', share: 1 / 3 },
      { id: 'r3', inkId: 'sloe-deep', share: 1 / 3 },
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
        enabled: true,
        designId: 'glaze-drips',
        placements: [{ id: 'p1', params: { x: 54, y: 49, turn: 0, flip: 'no', width: 100 } }],
      },
      {
        id: 'coat-1',
        kind: 'coat',
        enabled: true,
        placements: [{ id: 'p1', inkId: 'sloe-deep', params: { strength: 100 } }],
      },
      {
        id: 'greetingStrip-1',
        kind: 'greetingStrip',
        enabled: true,
        placements: [
          { id: 'p1', params: { x: 54, y: 114, width: 70, height: 15, way: 'left', shadow: 'black' } },
        ],
      },
      {
        id: 'penDots-1',
        kind: 'penDots',
        enabled: true,
        placements: [{ id: 'p1', params: { pen: 'white', seed: 12, dots: 26, size: 1.2 } }],
      },
    ],
    rungs: [
      { id: 'r1', inkId: 'thrift-pale', share: 1 / 3 },
      { id: 'r2', inkId: 'gorse-pale', share: 1 / 3 },
      { id: 'r3', inkId: 'leat-pale', share: 1 / 3 },
    ],
    joints: [{ width: 20 }, { width: 20 }],
  }),
];

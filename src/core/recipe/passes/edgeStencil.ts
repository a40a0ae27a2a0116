import { formatLength } from '../../base/length';
import { param } from '../../base/params';
import { fade } from '../../base/smoothStep';
import {
  borderOf,
  boxPath,
  intoDesign,
  PLACE_PARAMS,
  placingOf,
  SIZE_PARAM,
} from '../../materials/design/placement';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { percent, tellPlaced } from './words';

/** How a stencil is held: by hand, taped, or with repositionable spray. */
export const HOLDS = ['by hand', 'with tape', 'with spray'] as const;
/** Above its foot by this part of its height an edge stencil is only body. */
const FOOT = 0.12;

/** Ink along the edge of a stencil, fading away from it: lines of cloud or hill, moved and turned. */
export const edgeStencil: PassKind = {
  id: 'edgeStencil',
  label: 'Edge stencil',
  explains:
    'Ink along the edge of a stencil, fading away from it; moved, turned and repeated for clouds or hills.',
  stage: 'over',
  ink: 'blended',
  design: { use: 'edge' },
  placements: { most: 8, noun: 'placing' },
  params: [
    ...PLACE_PARAMS,
    SIZE_PARAM,
    { key: 'strength', label: 'Strength', unit: '%', least: 5, most: 100, step: 5, initial: () => 70 },
    { key: 'fade', label: 'Fades over', unit: 'mm', least: 2, most: 40, step: 0.5, initial: () => 14 },
    { key: 'scrap', label: 'Scrap beyond its outer edge', choices: ['no', 'yes'], initial: () => 1 },
    { key: 'hold', label: 'Held', choices: HOLDS, initial: () => 0 },
  ],
  dries: true,
  on: (scene) => {
    const { design, params } = scene;
    if (!design) return { borders: [], effects: [DRY], traces: [] };
    const placing = placingOf(design, params);
    const [strength, reach] = [param(params, 'strength', 70) / 100, param(params, 'fade', 14)];
    const guarded = param(params, 'scrap', 1) === 1;
    const body = borderOf(design, placing);
    const into = intoDesign(design, placing);
    /** Off the body, and off the scrap that goes on from its sides and foot. */
    const clear = (x: number, y: number): number => {
      const off = -body(x, y);
      if (!guarded) return off;
      const at = into(x, y);
      const scrap = Math.max(at.y - design.height * (1 - FOOT), -at.x, at.x - design.width);
      return Math.min(off, -scrap * placing.scale);
    };
    return {
      borders: [clear],
      blend: reach,
      effects: [
        DRY,
        {
          does: 'film',
          coverAt: (x, y, inside) => {
            if (!inside(0)) return 0;
            const far = Math.max(-body(x, y), 0);
            return far >= reach ? 0 : strength * fade(far / reach);
          },
        },
      ],
      traces: [boxPath(design, placing)],
    };
  },
  steps: (scenes, unit) =>
    scenes.map((scene, i) => ({
      title: scenes.length > 1 ? `Edge stencil, placing ${i + 1}` : 'Edge stencil',
      work: `${tellPlaced(scene, unit)}: ink along its edge, fading to nothing ${formatLength(param(scene.params, 'fade', 14), unit)} from it, about ${percent(param(scene.params, 'strength', 70))} of a full coat at the edge.`,
      care: [
        `Held firmly ${HOLDS[param(scene.params, 'hold', 0)] ?? HOLDS[0]}, light hand. Wipe the stencil before it is moved or turned.`,
        ...(param(scene.params, 'scrap', 1) === 1
          ? ['Scrap paper over the panel beyond the stencil’s own outer edge.']
          : []),
      ],
      minutes: 1.5,
      dangers: ['steel'],
    })),
};

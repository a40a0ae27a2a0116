import { formatLength } from '../../base/length';
import { choice } from '../../base/params';
import { fade } from '../../base/smoothStep';
import { percent } from '../../base/words';
import { borderOf, boxPath, intoDesign, placingOf } from '../../materials/design/placement';
import { definePass } from './definition';
import { DRY } from './effects';
import { IMAGE_PARAMS, strengthParam } from './placed';
import { describePlaced } from './words';

/** How a stencil is held. */
const HOLDS = { hand: 'by hand', tape: 'with tape', spray: 'with spray' } as const;
/** Above its foot by this part of its height an edge stencil is only body. */
const FOOT = 0.12;

/** Ink along the edge of a stencil, fading away from it: lines of cloud or hill, moved and turned. */
export const edgeStencil = definePass({
  id: 'edgeStencil',
  label: 'Edge stencil',
  description:
    'Ink along the edge of a stencil, fading away from it; moved, turned and repeated for clouds or hills.',
  stage: 'over',
  ink: 'blended',
  design: { use: 'edge' },
  placements: { max: 8, noun: 'placing' },
  params: {
    ...IMAGE_PARAMS,
    ...strengthParam(70),
    fade: { label: 'Fades over', unit: 'mm', min: 2, max: 40, step: 0.5, initial: () => 14 },
    scrap: choice('Scrap beyond its outer edge', { no: 'no', yes: 'yes' }, 'yes'),
    hold: choice('Held', HOLDS, 'hand'),
  },
  needsDry: true,
  rubs: true,
  // Its ink fades into what lies beside it.
  standsOut: false,
  layOn: ({ design, params }) => {
    if (!design) return { borders: [], effects: [DRY], traces: [] };
    const placing = placingOf(design, params);
    const [strength, reach] = [params.strength / 100, params.fade];
    const guarded = params.scrap === 'yes';
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
          kind: 'film',
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
  steps: (contexts, unit) =>
    contexts.map((context, i) => ({
      title: contexts.length > 1 ? `Edge stencil, placing ${i + 1}` : 'Edge stencil',
      placement: context.id,
      work: `${describePlaced(context, unit)}: ink along its edge, fading to nothing ${formatLength(context.params.fade, unit)} from it, about ${percent(context.params.strength)} of a full coat at the edge.`,
      care: [
        `Held firmly ${HOLDS[context.params.hold]}, light hand. Wipe the stencil before it is moved or turned.`,
        ...(context.params.scrap === 'yes'
          ? ['Scrap paper over the panel beyond the stencil’s own outer edge.']
          : []),
      ],
      minutes: 1.5,
      dangers: ['steel'],
    })),
});

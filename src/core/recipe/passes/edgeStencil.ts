import { formatLength, type Millimetres } from '../../base/length';
import { choice, seldom } from '../../base/params';
import { fade, smoothStep } from '../../base/smoothStep';
import { percent } from '../../base/words';
import type { Design } from '../../materials/design/design';
import {
  borderOf,
  boxPath,
  intoDesign,
  ontoPanel,
  type Placing,
  placingOf,
} from '../../materials/design/placement';
import { definePass } from './definition';
import { DRY } from './effects';
import { IMAGE_PARAMS, strengthParam } from './placed';
import { crept, MATERIAL_PARAM, steelOf } from './stencil';
import { describePlaced, layAgain, stencilsOf, waitFor } from './words';

/** How a stencil is held. */
const HOLDS = { hand: 'by hand', tape: 'with tape', spray: 'with spray' } as const;
/** What it takes to hold it so. */
const HELD_BY = { hand: [], tape: ['low-tack tape'], spray: ['tack spray'] } as const;
/** Above its foot by this part of its height an edge stencil is only body. */
const FOOT = 0.12;

/** Columns in which a drawn edge is sought, and rows; finer than a brush can follow. */
const SOUGHT = { columns: 64, rows: 80 } as const;
/** How far a point lies from a slanting edge, to how far straight below it: about so. */
const SLANTING = 0.85;

/** How far below the drawn edge of a stencil a point of the panel lies, mm; found column by column, once it is asked for. */
function belowEdge(design: Design, placing: Placing): (x: Millimetres, y: Millimetres) => Millimetres {
  const inBody = borderOf(design, placing);
  const into = intoDesign(design, placing);
  const find = (): Float64Array =>
    Float64Array.from({ length: SOUGHT.columns + 1 }, (_, column) => {
      // A hair inside the box, whose sides are edges, too.
      const x = design.width * Math.min(Math.max(column / SOUGHT.columns, 0.01), 0.99);
      for (let row = 0; row <= SOUGHT.rows; row++) {
        const y = (design.height * row) / SOUGHT.rows;
        const at = ontoPanel(design, placing, { x, y });
        if (inBody(at.x, at.y) > 0) return y;
      }
      return design.height;
    });
  let edge: Float64Array | undefined;
  return (x, y) => {
    edge ??= find();
    const at = into(x, y);
    const column = Math.min(Math.max((at.x / design.width) * SOUGHT.columns, 0), SOUGHT.columns - 1e-9);
    const [left, part] = [Math.floor(column), column % 1];
    const height = (edge[left] ?? 0) * (1 - part) + (edge[left + 1] ?? 0) * part;
    return (at.y - height) * placing.scale * SLANTING;
  };
}

/** A brush so far from an edge, mm, comes from that part of it about: there the edge is taken as a mean. */
const ROUND = 0.45;
const RING = Array.from({ length: 8 }, (_, i) => {
  const turn = ((i + 0.5) * Math.PI) / 4;
  return [Math.cos(turn), Math.sin(turn)] as const;
});

/** How much of a full coat, in per cent, as a hand is told: under one it is what a brush leaves when it hardly touches. */
const partOfCoat = (part: number): string =>
  part < 1 ? 'hardly any' : `about ${percent(part)} of a full coat`;

/** How much longer than along the edge the reflected colour fades over the body. By eye. */
const REFLECTED = 1.5;

/**
 * Ink along an edge of a stencil, fading away from it: lines of cloud or hill, moved and turned. With scrap beyond its
 * ends the ink gives out before them, so that the stencil's own straight sides do not print.
 */
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
    edge: seldom(choice('Edge', { upper: 'upper', lower: 'lower' }, 'upper')),
    body: { label: 'On the body', seldom: true, unit: '%', min: 0, max: 60, step: 5, initial: () => 0 },
    scrap: seldom(choice('Scrap beyond its outer edge', { no: 'no', yes: 'yes' }, 'yes')),
    ...MATERIAL_PARAM,
    hold: seldom(choice('Held', HOLDS, 'hand')),
  },
  needsDry: true,
  rubs: true,
  // Its ink fades into what lies beside it.
  standsOut: false,
  layOn: (context) => {
    const { design, params } = context;
    if (!design) return { borders: [], effects: [DRY], traces: [] };
    const placing = placingOf(design, params);
    const [strength, reach] = [params.strength / 100, params.fade];
    const guarded = params.scrap === 'yes';
    const inBody = borderOf(design, placing);
    const into = intoDesign(design, placing);
    const isUpper = params.edge === 'upper';
    const below = belowEdge(design, placing);
    /** How far above the drawn edge, or below it, a point lies; what is under the stencil's foot is neither. */
    const above = (x: number, y: number): number => -inBody(x, y);
    /** The same without a crease where two of its curves are equally near: no brush could follow one. */
    const aboveSmoothly = (x: number, y: number): number => {
      const far = above(x, y);
      if (far <= 0 || far > reach / (1 - ROUND)) return far;
      const round = ROUND * far;
      let sum = far;
      for (const [across, down] of RING) sum += above(x + round * across, y + round * down);
      return sum / (RING.length + 1);
    };
    /** With scrap at its ends and foot the ink gives out before them. */
    const taper = (x: number, y: number): number => {
      if (!guarded) return 1;
      const at = into(x, y);
      const room = Math.min(at.x, design.width - at.x, design.height * (1 - FOOT) - at.y);
      const inside = (room * placing.scale) / reach;
      return inside <= 0 ? 0 : inside >= 1 ? 1 : smoothStep(inside);
    };
    const fading = (far: number, over: number): number => (far >= over ? 0 : fade(Math.max(far, 0) / over));
    const reflected = (strength * params.body) / 100;
    /** Ink beyond the edge that is inked along, and what is reflected on its other side. */
    const beyond = (x: number, y: number) =>
      strength * fading(isUpper ? aboveSmoothly(x, y) : below(x, y), reach);
    const onBody = (x: number, y: number) =>
      reflected * fading(isUpper ? below(x, y) : above(x, y), REFLECTED * reach);
    return {
      borders: [crept(isUpper ? above : inBody, context)],
      blend: reach,
      effects: [
        DRY,
        {
          kind: 'film',
          coverAt: (x, y, inside) => {
            const laid = inside(0) ? beyond(x, y) : reflected === 0 ? 0 : onBody(x, y);
            return laid === 0 ? 0 : laid * taper(x, y);
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
      does: layAgain(i),
      work: `${describePlaced(context, unit)}: ink along its ${context.params.edge} edge, fading to nothing ${formatLength(context.params.fade, unit)} from it, ${partOfCoat(context.params.strength)} at the edge.`,
      care: [
        `Held firmly ${HOLDS[context.params.hold]}, light hand. Wipe the stencil before it is moved or turned.`,
        ...(context.params.hold === 'spray'
          ? ['Spray its back away from the panel, and lay it on once that is tacky and no longer wet.']
          : []),
        ...(context.params.body > 0
          ? [
              `Then lift it and lay the reflected colour on the body, more faintly: ${partOfCoat((context.params.strength * context.params.body) / 100)}.`,
            ]
          : []),
        ...(context.params.scrap === 'yes'
          ? ['Scrap paper beyond the stencil’s own ends and foot; let the ink give out before you reach it.']
          : []),
        ...waitFor(i),
      ],
      minutes: context.params.body > 0 ? 2 : 1.5,
      needs: [...stencilsOf(contexts), ...HELD_BY[context.params.hold], 'scrap paper'],
      dangers: [...steelOf(contexts), ...(context.params.hold === 'spray' ? (['tack spray'] as const) : [])],
    })),
});

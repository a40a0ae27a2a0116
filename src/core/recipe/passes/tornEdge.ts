import type { Size } from '../../base/geometry';
import { formatLength, type Millimetres } from '../../base/length';
import { roughNoise } from '../../base/noise';
import { seldom } from '../../base/params';
import { fade } from '../../base/smoothStep';
import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { heightParam, strengthParam } from './placed';
import { ragged } from './ragged';
import { creepOf } from './stencil';
import { inkedEdge, type SurfaceDetail } from './surface';
import { layAgain, waitFor } from './words';

/** Torn fibres stand out so far, mm, and change over that length. By eye. */
const FIBRES = { far: 0.22, size: 0.9 } as const;
/** Waves of a torn line are so many times as long as they are high: paper tears no steeper. By eye. */
const LONG = 5;
/** The steepest such a line then falls: smooth noise changes by at most 3 over its size, rough noise by 4.3. */
const STEEP = 4.3 / LONG;

/** Every stroke begins on the scrap, and its lifted fibres keep a little of it back. By eye. */
const ALONG_SCRAP: SurfaceDetail = { border: 0, reach: 1.2, cover: inkedEdge(0.12, 0.4) };

interface Torn {
  readonly y: Millimetres;
  readonly wander: Millimetres;
  readonly seed: number;
}

/** How far below a torn line a point lies, straight down, mm; each seed and each height tears another line. */
function belowTear({ y: middle, wander, seed }: Torn): (x: Millimetres, y: Millimetres) => Millimetres {
  const tear = roughNoise(Math.max(LONG * wander, 1), seed);
  return (x, y) => y - middle - wander * tear(x, middle);
}

/** The line as it lies on a panel: at the lowest along its foot, where it leaves no ink. */
const onPanel = <Line extends Torn>(line: Line, { height }: Size): Line => ({
  ...line,
  y: Math.min(line.y, height),
});

/** The torn line as an SVG path in mm. */
function linePath(torn: Torn, { width }: Size): string {
  const below = belowTear(torn);
  const points = Array.from({ length: Math.ceil(width / 2) + 1 }, (_, i) => {
    const x = Math.min(2 * i, width);
    return `${x.toFixed(2)} ${(-below(x, 0)).toFixed(2)}`;
  });
  return `M${points.join('L')}`;
}

/** Ink off the torn edge of scrap paper, fading below it: one line under the other makes hills or waves. */
export const tornEdge = definePass({
  id: 'tornEdge',
  label: 'Torn edge',
  description:
    'Ink off the torn edge of scrap paper, fading below it; one line under the other for hills or waves.',
  stage: 'over',
  ink: 'blended',
  placements: { max: 6, noun: 'line' },
  params: {
    y: heightParam(0.6),
    wander: { label: 'Wanders', unit: 'mm', min: 1, max: 12, step: 0.5, initial: () => 3 },
    fade: { label: 'Fades over', unit: 'mm', min: 3, max: 120, step: 0.5, initial: () => 22 },
    ...strengthParam(70),
    seed: seldom({ label: 'Tear', unit: 'seed', min: 1, max: 9999, step: 1, initial: () => 1 }),
  },
  needsDry: true,
  rubs: true,
  layOn: (context) => {
    const { panel } = context;
    const params = onPanel(context.params, panel);
    const below = belowTear(params);
    const straightOff = 1 / Math.hypot(1, STEEP);
    const far = FIBRES.far + creepOf(context);
    // What creeps far does so in longer waves, or the border would change faster than one may.
    const wander = { far, size: Math.max(FIBRES.size, 3 * far) };
    const strength = params.strength / 100;
    return {
      borders: [ragged((x, y) => straightOff * below(x, y), [wander], params.seed)],
      surface: [ALONG_SCRAP],
      blend: params.fade,
      effects: [
        DRY,
        {
          kind: 'film',
          coverAt: (x, y, inside) => {
            const part = Math.max(below(x, y), 0) / params.fade;
            return inside(0) && part < 1 ? strength * fade(part) : 0;
          },
        },
      ],
      traces: [linePath(params, panel)],
      handle: { param: 'y', at: { x: panel.width / 2, y: params.y }, valueAt: ({ y }) => y },
    };
  },
  steps: (contexts, unit) =>
    contexts.map(({ id, panel, params }, i) => ({
      title: contexts.length > 1 ? `Torn edge, line ${i + 1}` : 'Torn edge',
      placement: id,
      does: layAgain(i),
      work: `Scrap paper torn across, its edge ${formatLength(panel.height - onPanel(params, panel).y, unit)} from the foot and wandering about ${formatLength(params.wander, unit)} up and down: ink off it onto the card, about ${percent(params.strength)} of a full coat along it, fading to nothing ${formatLength(params.fade, unit)} below.`,
      care: [
        'Hold the scrap flat, and brush from it downward: the other way its fibres fold under.',
        ...(i > 0 ? ['Tear another piece, or turn it, so that no two lines are alike.'] : []),
        ...waitFor(i),
      ],
      minutes: 1.5,
      needs: ['scrap paper'],
    })),
});

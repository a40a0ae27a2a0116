import { formatBare, formatLength } from '../../base/length';
import { choice } from '../../base/params';
import type { Border } from '../../materials/design/placement';
import type { Ink } from '../../materials/ink/ink';
import { definePass, type PassStep } from './definition';
import { DRY, type FilmEffect } from './effects';
import { heightParam } from './placed';
import { CARD_EDGE } from './surface';
import { describePlace } from './words';

const SHADOW: Ink = {
  id: 'strip-shadow',
  name: 'black shadow',
  family: 'black',
  depth: 'deep',
  kind: 'detail',
  overWhite: '#1a1a1c',
};
/** A cut shadow hides what is under it, coats. */
const OPAQUE = 3;
/** How far the shadow stands off, mm to the right and down. */
const OFFSET = 0.8;

const borderOfBox =
  (left: number, top: number, width: number, height: number): Border =>
  (x, y) =>
    Math.min(x - left, left + width - x, y - top, top + height - y);

/** A strip for the greeting, blended by the same recipe along its length, so that it stands out from the bands. */
export const greetingStrip = definePass({
  id: 'greetingStrip',
  label: 'Greeting strip',
  description:
    'A strip blended by the same recipe along its length, cut to the die and laid over everything.',
  stage: 'over',
  placements: { max: 1, noun: 'strip' },
  params: {
    x: {
      label: 'From the left',
      unit: 'mm',
      min: 0,
      max: 420,
      step: 0.5,
      initial: ({ width }) => width / 2,
      isPlaceAlong: 'width',
    },
    y: heightParam(0.78),
    width: {
      label: 'Width',
      unit: 'mm',
      min: 10,
      max: 400,
      step: 1,
      initial: ({ width }) => Math.round(width * 0.62),
    },
    height: {
      label: 'Height',
      unit: 'mm',
      min: 5,
      max: 200,
      step: 0.5,
      initial: ({ height }) => Math.round(height * 0.11),
    },
    way: choice('First ink at the', { left: 'left', right: 'right' }, 'left'),
    shadow: choice('Offset shadow', { no: 'no', black: 'in black' }, 'no'),
  },
  needsDry: true,
  standsAlone: true,
  standsOut: true,
  layOn: ({ panel, params }) => {
    const { width, height, x: middle, y } = params;
    const [left, top] = [middle - width / 2, y - height / 2];
    const shadowed = params.shadow === 'black';
    const shadow: FilmEffect = {
      kind: 'film',
      ink: SHADOW,
      coverAt: (_x, _y, inside) => (inside(1) ? OPAQUE : 0),
    };
    return {
      borders: [
        borderOfBox(left, top, width, height),
        ...(shadowed ? [borderOfBox(left + OFFSET, top + OFFSET, width, height)] : []),
      ],
      surface: [CARD_EDGE],
      shrinks: width / panel.height,
      effects: [
        DRY,
        ...(shadowed ? [shadow, DRY] : []),
        {
          kind: 'piece',
          coverAt: (_x, _y, inside) => (inside(0) ? 1 : 0),
          shows: (x) => {
            const along = Math.min(Math.max((x - left) / width, 0), 1);
            return { x: panel.width / 2, y: (params.way === 'right' ? 1 - along : along) * panel.height };
          },
        },
        DRY,
      ],
      traces: [`M${left} ${top}h${width}v${height}h${-width}Z`],
    };
  },
  steps: (contexts, unit) =>
    contexts.flatMap(({ id, params: { x, y, width, height, shadow, way }, panel }): PassStep[] => {
      const size = `${formatBare(width, unit)} × ${formatLength(height, unit)}`;
      const shadowed = shadow === 'black';
      return [
        {
          title: 'Greeting strip',
          work: `A piece of the same card a little larger than ${size}, the first ink at its ${way}.`,
          care: ['Cut it larger than its die all round: its edges will be fingered.'],
          minutes: 1,
          does: [],
          needs: ['spare of the same card, for the strip'],
          ladder: { on: 'a strip', size: { width: height, height: width } },
        },
        {
          title: 'Dry the strip',
          work: 'Heat tool, face then back, until it is no longer cool to the touch.',
          care: [],
          minutes: 1,
          waits: 'heat',
          does: [],
          needs: ['heat tool'],
          dangers: ['heat'],
        },
        {
          title: 'Letter the strip',
          work: 'Stamp or emboss the greeting in the middle, and let it set.',
          care: ['Letter before you cut: the die is laid to the words.'],
          minutes: 2,
          does: [],
          needs: ['greeting stamp and its ink'],
        },
        {
          title: 'Cut the strip',
          work: `To its die, ${size}${shadowed ? ', and once more from black card' : ''}.`,
          care: [],
          minutes: 1.5,
          does: [],
          needs: ['die and die cutter, or knife and steel rule', ...(shadowed ? ['black card'] : [])],
          dangers: ['blade'],
        },
        {
          title: 'Lay the strip on',
          work: `Its middle ${describePlace(x, y, panel, unit)}${shadowed ? ', over the black one set a hair to the right and down' : ''}.`,
          care: [],
          minutes: 1,
          placement: id,
          does: shadowed ? ['lay', 'dry', 'lay', 'dry'] : ['lay', 'dry'],
          needs: ['glue or foam pads'],
        },
      ];
    }),
});

import { formatBare, formatLength } from '../../base/length';
import { choice } from '../../base/params';
import type { Border } from '../../materials/design/placement';
import type { Ink } from '../../materials/ink/ink';
import { definePass } from './definition';
import { DRY, type FilmEffect } from './effects';
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
    x: { label: 'From the left', unit: 'mm', min: 0, max: 420, step: 0.5, initial: ({ width }) => width / 2 },
    y: {
      label: 'From the top',
      unit: 'mm',
      min: 0,
      max: 420,
      step: 0.5,
      initial: ({ height }) => Math.round(height * 0.78),
    },
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
    contexts.map(({ params: { x, y, width, height, shadow }, panel }) => ({
      title: 'Greeting strip',
      work: `Blend a strip of the same card along its length by the same recipe, and cut it ${formatBare(width, unit)} × ${formatLength(height, unit)}; lay its middle ${describePlace(x, y, panel, unit)}${shadow === 'black' ? ', over a black one of the same size set a hair to the right and down' : ''}.`,
      care: ['Letter and cut it before it is stuck down.'],
      minutes: 3,
      dangers: ['blade'],
    })),
});

import { formatBare, formatLength } from '../../base/length';
import { param } from '../../base/params';
import type { Border } from '../../materials/design/placement';
import type { Ink } from '../../materials/ink/ink';
import { DRY, type FilmEffect } from './effects';
import type { PassKind, Scene } from './passes';
import { tellPlace } from './words';

const SHADOW: Ink = {
  id: 'strip-shadow',
  name: 'black shadow',
  family: 'black',
  depth: 'deep',
  kind: 'detail',
  overWhite: '#1a1a1c',
};
/** A cut shadow hides what is under it. */
const OPAQUE = 3;
/** How far the shadow stands off, mm to the right and down. */
const OFFSET = 0.8;

function boxOf({ params, panel }: Scene) {
  const width = param(params, 'width', panel.width * 0.6);
  const height = param(params, 'height', panel.height * 0.12);
  const [x, y] = [param(params, 'x', panel.width / 2), param(params, 'y', panel.height / 2)];
  return { width, height, left: x - width / 2, top: y - height / 2 };
}

const borderOfBox =
  (left: number, top: number, width: number, height: number): Border =>
  (x, y) =>
    Math.min(x - left, left + width - x, y - top, top + height - y);

/** A strip for the greeting, blended by the same recipe along its length, so that it stands out from the bands. */
export const greetingStrip: PassKind = {
  id: 'greetingStrip',
  label: 'Greeting strip',
  explains: 'A strip blended by the same recipe along its length, cut to the die and laid over everything.',
  stage: 'over',
  placements: { most: 1, noun: 'strip' },
  params: [
    {
      key: 'x',
      label: 'From the left',
      unit: 'mm',
      least: 0,
      most: 420,
      step: 0.5,
      initial: ({ width }) => width / 2,
    },
    {
      key: 'y',
      label: 'From the top',
      unit: 'mm',
      least: 0,
      most: 420,
      step: 0.5,
      initial: ({ height }) => Math.round(height * 0.78),
    },
    {
      key: 'width',
      label: 'Width',
      unit: 'mm',
      least: 10,
      most: 400,
      step: 1,
      initial: ({ width }) => Math.round(width * 0.62),
    },
    {
      key: 'height',
      label: 'Height',
      unit: 'mm',
      least: 5,
      most: 200,
      step: 0.5,
      initial: ({ height }) => Math.round(height * 0.11),
    },
    { key: 'way', label: 'First ink at the', choices: ['left', 'right'], initial: () => 0 },
    { key: 'shadow', label: 'Offset shadow', choices: ['no', 'in black'], initial: () => 0 },
  ],
  dries: true,
  on: (scene) => {
    const { panel, params } = scene;
    const { left, top, width, height } = boxOf(scene);
    const turned = param(params, 'way', 0) === 1;
    const shadowed = param(params, 'shadow', 0) === 1;
    const shadow: FilmEffect = {
      does: 'film',
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
          does: 'piece',
          coverAt: (_x, _y, inside) => (inside(0) ? 1 : 0),
          shows: (x) => {
            const along = Math.min(Math.max((x - left) / width, 0), 1);
            return { x: panel.width / 2, y: (turned ? 1 - along : along) * panel.height };
          },
        },
        DRY,
      ],
      traces: [`M${left} ${top}h${width}v${height}h${-width}Z`],
    };
  },
  steps: ([scene], unit) => {
    if (!scene) return [];
    const { width, height } = boxOf(scene);
    const { params, panel } = scene;
    return [
      {
        title: 'Greeting strip',
        work: `Blend a strip of the same card along its length by the same recipe, and cut it ${formatBare(width, unit)} × ${formatLength(height, unit)}; lay its middle ${tellPlace(param(params, 'x', 0), param(params, 'y', 0), panel, unit)}${param(params, 'shadow', 0) === 1 ? ', over a black one of the same size set a hair to the right and down' : ''}.`,
        care: ['Letter and cut it before it is stuck down.'],
        minutes: 3,
        dangers: ['blade'],
      },
    ];
  },
};

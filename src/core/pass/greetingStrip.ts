import type { Border } from '../design/placement';
import type { Ink } from '../ink/ink';
import { formatBare, formatLength } from '../panel/measure';
import { param } from '../run/params';
import { DRY, type FilmEffect } from './effects';
import type { PassKind, Scene } from './pass';
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

/** A strip for the greeting, cut from card blended by the same recipe, the other way round so that it stands out. */
export const greetingStrip: PassKind = {
  id: 'greetingStrip',
  label: 'Greeting strip',
  explains:
    'A strip blended by the same recipe, the other end on top so that it stands out, cut to the die and laid over all.',
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
    { key: 'way', label: 'Blend runs', choices: ['as on the panel', 'the other way'], initial: () => 1 },
    { key: 'shadow', label: 'Offset shadow', choices: ['no', 'in black'], initial: () => 0 },
  ],
  dries: true,
  on: (scene) => {
    const { panel, params } = scene;
    const { left, top, width, height } = boxOf(scene);
    const turned = param(params, 'way', 1) === 1;
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
      blend: height / 3,
      effects: [
        DRY,
        ...(shadowed ? [shadow, DRY] : []),
        {
          does: 'piece',
          coverAt: (_x, _y, inside) => (inside(0) ? 1 : 0),
          shows: (x, y) => {
            const [across, down] = [(x - left) / width, (y - top) / height];
            const [u, v] = turned ? [1 - across, 1 - down] : [across, down];
            return { x: u * panel.width, y: v * panel.height };
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
        work: `From card blended by the same recipe cut a strip ${formatBare(width, unit)} × ${formatLength(height, unit)}; lay its middle ${tellPlace(param(params, 'x', 0), param(params, 'y', 0), panel, unit)}${param(params, 'shadow', 0) === 1 ? ', over a black one of the same size set a hair to the right and down' : ''}.`,
        care: ['Letter and cut it before it is stuck down.'],
        minutes: 3,
        dangers: ['blade'],
      },
    ];
  },
};

import fc from 'fast-check';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { writeDesignSvg } from '../../files/designSvg';
import { type Design, flatten, scaleDesign, trimDesign } from './design';
import { distanceAt, distanceFieldOf } from './distance';
import { finestLine, weightOfLine } from './fineness';
import { isOwnDesign, OWN_DESIGNS } from './own';
import { borderOf, coversPanel, intoDesign, ontoPanel, placingOf } from './placement';
import { coverageOfDesign } from './raster';

const designOf = (d: string, change: Partial<Design> = {}): Design => ({
  id: 'trial',
  name: 'Trial',
  use: 'image',
  width: 100,
  height: 100,
  shapes: [{ d, rule: 'nonzero' }],
  ...change,
});
const ring = 'M20 50a30 30 0 1 0 60 0a30 30 0 1 0 -60 0Z';

describe('the designs that ship with the application', () => {
  test('are a dozen and more, of each use and each weight, and lie inside their boxes', () => {
    expect(OWN_DESIGNS.length).toBeGreaterThanOrEqual(12);
    expect(new Set(OWN_DESIGNS.map(({ id }) => id)).size).toBe(OWN_DESIGNS.length);
    expect(new Set(OWN_DESIGNS.map(({ use }) => use))).toEqual(new Set(['image', 'pattern', 'edge']));
    expect(new Set(OWN_DESIGNS.map((one) => weightOfLine(finestLine(one))))).toEqual(
      new Set(['fine', 'medium', 'bold']),
    );
    expect(OWN_DESIGNS.every(({ id }) => isOwnDesign(id))).toBe(true);
  });

  test.each(OWN_DESIGNS.map((design) => [design.name, design] as const))(
    '%s is drawn as an independent renderer draws its SVG (librsvg, by sharp)',
    async (_, design) => {
      const columns = 400;
      const cell = design.width / columns;
      const rows = Math.round(design.height / cell);
      const { data } = await sharp(Buffer.from(writeDesignSvg(design)), { density: (25.4 / cell) * 1 })
        .resize(columns, rows, { fit: 'fill' })
        .flatten({ background: '#fff' })
        .greyscale()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const own = coverageOfDesign(design, { columns, rows, cell, margin: 0 }, false);
      let off = 0;
      let inked = 0;
      for (let i = 0; i < own.length; i++) {
        const theirs = 1 - (data[i] as number) / 255;
        off += Math.abs(theirs - (own[i] as number));
        inked += theirs;
      }
      // Half a cell along every outline is what resampling blurs.
      expect(off / Math.max(inked, 1)).toBeLessThan(design.use === 'edge' ? 0.02 : 0.2);
      expect(off / own.length).toBeLessThan(0.03);
    },
  );
});

describe('distance to the outline', () => {
  test('of a round is its radius less the way to its middle, to within a cell', () => {
    const field = distanceFieldOf(designOf(ring, { id: 'round' }));
    for (const [x, y] of [
      [50, 41],
      [50, 35],
      [61, 61],
      [50, 19],
      [92, 50],
      [3, 4],
    ] as const)
      expect(Math.abs(distanceAt(field, x, y) - 30 + Math.hypot(x - 50, y - 50))).toBeLessThan(
        0.75 * field.cell,
      );
  });

  test('never tells the border farther off than it is, and changes no faster than a bound may, laid any way', () => {
    const anyWhere = fc.double({ min: -60, max: 200, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...OWN_DESIGNS.slice(0, 6), ...OWN_DESIGNS.slice(-6)),
        fc.record({
          x: anyWhere,
          y: anyWhere,
          turn: fc.integer({ min: -180, max: 180 }),
          flip: fc.constantFrom('no' as const, 'yes' as const),
          width: fc.double({ min: 20, max: 200, noNaN: true }),
          repeat: fc.constantFrom('no' as const, 'tiles' as const),
          gap: fc.constantFrom(0, 6),
        }),
        anyWhere,
        anyWhere,
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (design, params, x, y, dx, dy) => {
          const border = borderOf(design, placingOf(design, params));
          const [here, there] = [border(x, y), border(x + dx, y + dy)];
          const cell = (2 * params.width) / 480;
          const way = Math.hypot(dx, dy);
          // Squares of a picture are passed over by this: on the way to the other side lies the border.
          if (here > 0 !== there > 0)
            expect(Math.max(Math.abs(here), Math.abs(there))).toBeLessThanOrEqual(way + cell);
          // Far off a design it is told as what it is at least, which changes along both sides of a corner at once.
          expect(Math.abs(here - there)).toBeLessThanOrEqual(Math.SQRT2 * way + cell);
        },
      ),
      { numRuns: 500 },
    );
  });
});

test('drawn to another width all of it follows, strokes too; to its own it stays itself', () => {
  const design = designOf('M10 20L90 20', { shapes: [{ d: 'M10 20L90 20', rule: 'nonzero', stroke: 1.2 }] });
  const half = scaleDesign(design, design.width / 2);
  expect([half.width, half.height]).toEqual([design.width / 2, design.height / 2]);
  expect(half.shapes[0]).toMatchObject({ d: 'M5 10L45 10', stroke: 0.6 });
  expect(scaleDesign(design, design.width)).toBe(design);
});

test('a line is as fine as it is drawn; corners do not make a bold shape fine', () => {
  const line = designOf('M10 20L90 20M10 60L90 80', {
    shapes: [{ d: 'M10 20L90 20M10 60L90 80', rule: 'nonzero', stroke: 1.2 }],
  });
  expect(finestLine(line)).toBeGreaterThan(0.8);
  expect(finestLine(line)).toBeLessThan(1.35);
  expect(finestLine(designOf('M10 10h80v40h-80z'))).toBeGreaterThan(20);
  expect(finestLine(scaleDesign(line, 50))).toBeCloseTo(finestLine(line) / 2, 1);
});

describe('shapes', () => {
  const covered = (design: Design, x: number, y: number) =>
    coverageOfDesign(design, { columns: 100, rows: 100, cell: 1, margin: 0 }, false)[y * 100 + x];

  test('holes follow their rule, and an erasing shape takes away from those before it', () => {
    const nested = 'M10 10h80v80h-80zM30 30h40v40h-40z';
    expect(covered(designOf(nested), 50, 50)).toBe(1);
    expect(covered(designOf(nested, { shapes: [{ d: nested, rule: 'evenodd' }] }), 50, 50)).toBe(0);
    const shapes = [
      { d: 'M10 10h80v80h-80z', rule: 'nonzero' as const },
      { d: ring, rule: 'nonzero' as const, erases: true },
    ];
    expect(covered(designOf('', { shapes }), 50, 50)).toBe(0);
    expect(covered(designOf('', { shapes }), 12, 12)).toBe(1);
  });

  test('curves are flattened within a fiftieth of a millimetre', () => {
    const [{ loop } = { loop: new Float64Array() }] = flatten(ring);
    for (let i = 0; i < loop.length; i += 2)
      expect(Math.abs(Math.hypot((loop[i] ?? 0) - 50, (loop[i + 1] ?? 0) - 50) - 30)).toBeLessThan(0.02);
  });

  test('trimmed, a design is as large as what is drawn, and stays where it was', () => {
    const trimmed = trimDesign(designOf(ring));
    expect([trimmed.width, trimmed.height]).toEqual([60, 60]);
    expect(distanceAt(distanceFieldOf(trimmed), 30, 30)).toBeCloseTo(30, 0);
    expect(trimDesign(trimmed)).toEqual(trimmed);
  });
});

test('a point of the panel taken into a placed design and back is the same point', () => {
  const [design] = OWN_DESIGNS;
  if (!design) throw new Error('no design');
  const any = fc.double({ min: -50, max: 200, noNaN: true });
  fc.assert(
    fc.property(
      any,
      any,
      any,
      any,
      fc.integer({ min: -180, max: 180 }),
      fc.boolean(),
      (x, y, u, v, turn, flip) => {
        const placing = placingOf(design, { x: u, y: v, turn, flip: flip ? 'yes' : 'no', width: 70 });
        const back = ontoPanel(design, placing, intoDesign(design, placing)(x, y));
        expect(back.x).toBeCloseTo(x, 6);
        expect(back.y).toBeCloseTo(y, 6);
      },
    ),
  );
});

test('tiles lie so far apart as they are meant to; a stencil alone ends where its sheet does', () => {
  const bricks = OWN_DESIGNS.find(({ id }) => id === 'kiln-bricks');
  if (!bricks) throw new Error('no bricks');
  const at = { x: 50, y: 60, width: 100, turn: 0, flip: 'no' } as const;
  const tiled = borderOf(bricks, placingOf(bricks, { ...at, repeat: 'tiles', gap: 8 }));
  const alone = borderOf(bricks, placingOf(bricks, at));
  for (const [x, y] of [
    [20, 30],
    [44, 71],
  ] as const) {
    expect(tiled(x + 108, y)).toBeCloseTo(tiled(x, y), 4);
    expect(tiled(x, y - 128)).toBeCloseTo(tiled(x, y), 4);
    expect(alone(x, y)).toBeCloseTo(tiled(x, y), 4);
  }
  expect(alone(-3, 60)).toBeLessThan(-2.9);
  expect(coversPanel(bricks, placingOf(bricks, at), { width: 105, height: 120 })).toBe(false);
  expect(
    coversPanel(bricks, placingOf(bricks, { ...at, repeat: 'tiles' }), { width: 200, height: 300 }),
  ).toBe(true);
});

import svgPath from 'svgpath';
import type { Millimetres } from '../../base/length';

/** What a design is cut or drawn for: an image to stamp, a pattern to ink through, an edge to ink along. */
export const DESIGN_USES = ['image', 'pattern', 'edge'] as const;
export type DesignUse = (typeof DESIGN_USES)[number];

/** A part of a design, in mm from the top left corner of its box. */
export interface Shape {
  /** An SVG path. */
  readonly d: string;
  /** Which of its loops are holes. */
  readonly rule: 'nonzero' | 'evenodd';
  /** The path is a line so many mm wide, with round ends; where left out it is filled. */
  readonly stroke?: Millimetres;
  /** It takes away from the shapes before it instead of adding. */
  readonly erases?: boolean;
}

/** A shape to stamp, to mask with or to ink through; of an edge stencil, the body of the stencil. */
export interface Design {
  readonly id: string;
  readonly name: string;
  readonly use: DesignUse;
  /** Its true size. */
  readonly width: Millimetres;
  readonly height: Millimetres;
  readonly shapes: readonly Shape[];
}

/** Narrowest and widest a design may be. */
export const DESIGN_LIMITS = { min: 5, max: 400 } as const;

/** A width so little off, mm, is the same. */
const SAME_WIDTH = 1e-3;

/** The same design drawn to another width; its height follows. */
export function scaleDesign(design: Design, width: Millimetres): Design {
  if (Math.abs(width - design.width) < SAME_WIDTH) return design;
  const scale = width / design.width;
  return {
    ...design,
    width,
    height: design.height * scale,
    shapes: design.shapes.map((shape) => ({
      ...shape,
      d: svgPath(shape.d).scale(scale).round(3).toString(),
      ...(shape.stroke === undefined ? {} : { stroke: shape.stroke * scale }),
    })),
  };
}

/** A loop of a flattened path: x and y by turns, mm. */
export type Loop = Float64Array;

/** How far a flattened curve may stray from the true one, mm: finer than a stamp. */
const STRAY = 0.02;
const MAX_STEPS = 48;

/** A path as straight pieces, one list of points a loop. */
export function flatten(d: string): { readonly loop: Loop; readonly closed: boolean }[] {
  const loops: { points: number[]; closed: boolean }[] = [];
  let points: number[] = [];
  const begin = (x: number, y: number): void => {
    points = [x, y];
    loops.push({ points, closed: false });
  };
  const curve = (steps: number, at: (t: number) => readonly [number, number]): void => {
    for (let i = 1; i <= steps; i++) points.push(...at(i / steps));
  };
  svgPath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      switch (segment[0]) {
        case 'M':
          begin(segment[1], segment[2]);
          break;
        case 'L':
          points.push(segment[1], segment[2]);
          break;
        case 'H':
          points.push(segment[1], y);
          break;
        case 'V':
          points.push(x, segment[1]);
          break;
        case 'Q': {
          const [, a, b, c, e] = segment;
          curve(stepsFor(Math.hypot(x - 2 * a + c, y - 2 * b + e) / 4), (t) => {
            const u = 1 - t;
            return [u * u * x + 2 * u * t * a + t * t * c, u * u * y + 2 * u * t * b + t * t * e];
          });
          break;
        }
        case 'C': {
          const [, a, b, c, e, f, g] = segment;
          const bend = Math.max(
            Math.hypot(x - 2 * a + c, y - 2 * b + e),
            Math.hypot(a - 2 * c + f, b - 2 * e + g),
          );
          curve(stepsFor(0.75 * bend), (t) => {
            const u = 1 - t;
            const [p, q, r, s] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
            return [p * x + q * a + r * c + s * f, p * y + q * b + r * e + s * g];
          });
          break;
        }
        case 'Z':
        case 'z': {
          const last = loops.at(-1);
          if (!last) break;
          last.closed = true;
          // What follows without a new beginning starts where this loop did.
          begin(last.points[0] as number, last.points[1] as number);
          break;
        }
      }
    });
  return loops
    .filter(({ points: p }) => p.length > 2)
    .map(({ points: p, closed }) => ({ loop: Float64Array.from(p), closed }));
}

/** Pieces that keep a curve of this bend, mm, within STRAY of itself. */
const stepsFor = (bend: number): number =>
  Math.min(Math.max(Math.ceil(Math.sqrt(bend / STRAY / 2)), 1), MAX_STEPS);

/** The design with its box drawn close around what is drawn, line widths included. */
export function trimDesign(design: Design): Design {
  let [left, top, right, foot] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const shape of design.shapes) {
    if (shape.erases) continue;
    const half = (shape.stroke ?? 0) / 2;
    for (const { loop } of flatten(shape.d))
      for (let i = 0; i < loop.length; i += 2) {
        left = Math.min(left, (loop[i] as number) - half);
        right = Math.max(right, (loop[i] as number) + half);
        top = Math.min(top, (loop[i + 1] as number) - half);
        foot = Math.max(foot, (loop[i + 1] as number) + half);
      }
  }
  left = Math.max(left, 0);
  top = Math.max(top, 0);
  const [width, height] = [Math.min(right, design.width) - left, Math.min(foot, design.height) - top];
  if (!(width > 1 && height > 1)) return design;
  return {
    ...design,
    width: Math.round(width * 100) / 100,
    height: Math.round(height * 100) / 100,
    shapes: design.shapes.map((shape) => ({
      ...shape,
      d: svgPath(shape.d).translate(-left, -top).round(3).toString(),
    })),
  };
}

/** Lines drawn from top to foot that a design may come to at the most: more would take too long to measure. */
const MAX_TRAVEL = 3000;

/** Whether a design goes up and down so much that measuring it would hold up everything else. */
export function isTooBusy({ height, shapes }: Pick<Design, 'height' | 'shapes'>): boolean {
  let travel = 0;
  for (const { d, stroke } of shapes)
    for (const { loop } of flatten(d))
      for (let i = 3; i < loop.length; i += 2) {
        const down = Math.min(Math.abs((loop[i] as number) - (loop[i - 2] as number)), 3 * height);
        // A line is filled as a band with round ends.
        travel += stroke === undefined ? down : 2 * down + 4 * stroke;
        if (travel > MAX_TRAVEL * height) return true;
      }
  return false;
}

import { type Corners, canBeSeen, type Point } from '../../base/perspective';
import { LINEAR, type Pixels } from '../../choose/photo/pixels';

/** Pixels of the longer side a picture is looked at in. */
const LOOKED_AT = 480;
/** A pixel counts as bare card from this part of the brightest card on, and as grey up to this spread of its channels. */
const CARD = { brightness: 0.42, tint: 0.13 } as const;
/** A panel takes at least this part of the picture. */
const LEAST = 0.04;

/**
 * The corners of a panel that lies on bare card, found in a photograph: the largest patch that is not card and does not
 * reach the picture's edge, with a straight line laid along each of its sides. Undefined where there is none.
 */
export function findPanel(picture: Pixels): Corners | undefined {
  const step = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / LOOKED_AT));
  const small = reduced(picture, step);
  const isCard = cardMask(small);
  const patch = largestInside(isCard, small.width, small.height);
  if (!patch || patch.size < LEAST * small.width * small.height) return undefined;
  const rough = extremes(patch.points);
  if (!canBeSeen(rough)) return undefined;
  const sides = rough.map((from, i) => sideAlong(patch, from, rough[(i + 1) % 4], small.width));
  const corners = rough.map((corner, i) => meeting(sides[(i + 3) % 4], sides[i]) ?? corner);
  const scaled = corners.map(({ x, y }) => ({ x: (x + 0.5) * step, y: (y + 0.5) * step }));
  return upright(scaled as unknown as Corners);
}

interface Reduced {
  readonly width: number;
  readonly height: number;
  /** Linear light, three a pixel. */
  readonly light: Float32Array;
}

/** The picture in means of step × step pixels. */
function reduced({ width, height, data }: Pixels, step: number): Reduced {
  const [w, h] = [Math.floor(width / step), Math.floor(height / step)];
  const light = new Float32Array(w * h * 3);
  // Every other pixel of a block is enough of it.
  const stride = step > 3 ? 2 : 1;
  const part = 1 / Math.ceil(step / stride) ** 2;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++)
      for (let j = 0; j < step; j += stride)
        for (let i = 0; i < step; i += stride) {
          const at = ((y * step + j) * width + x * step + i) * 4;
          const to = (y * w + x) * 3;
          for (let c = 0; c < 3; c++) light[to + c] += part * LINEAR[data[at + c]];
        }
  return { width: w, height: h, light };
}

/** Which pixels are bare card: bright for the picture, and of its colour. */
function cardMask({ width, height, light }: Reduced): Uint8Array {
  const sums = Float32Array.from({ length: width * height }, (_, i) => sumAt(light, i));
  const bright = Float32Array.from(sums).sort()[Math.floor(0.97 * sums.length)] ?? 0;
  const cast = castOf({ width, height, light }, sums, 0.85 * bright);
  return Uint8Array.from(sums, (sum, i) => {
    if (sum < CARD.brightness * bright) return 0;
    for (let c = 0; c < 3; c++) {
      const own = light[3 * i + c] / sum;
      if (Math.abs(own / (cast[c] ?? 0) - 1) > CARD.tint) return 0;
    }
    return 1;
  });
}
/** A rim so wide, in parts of the picture, and the least part of it that has to be bright for the card to be told by it. */
const RIM = { wide: 0.02, least: 0.05 } as const;

/**
 * The card's own cast under this lamp: the median of what is bright at the picture's rim, where the panel does not reach;
 * a yellow ink under a warm lamp is as bright as the card. Where the rim is dark, of all that is bright.
 */
function castOf({ width, height, light }: Reduced, sums: Float32Array, from: number): number[] {
  const rim = Math.max(1, Math.round(RIM.wide * Math.max(width, height)));
  const isRim = (i: number): boolean => {
    const [x, y] = [i % width, Math.floor(i / width)];
    return x < rim || y < rim || x >= width - rim || y >= height - rim;
  };
  const bright = Array.from(sums.keys()).filter((i) => (sums[i] ?? 0) >= from);
  const atRim = bright.filter(isRim);
  const all = 2 * rim * (width + height);
  const told = atRim.length > RIM.least * all ? atRim : bright;
  return [0, 1, 2].map((c) => {
    const parts = told.map((i) => (light[3 * i + c] ?? 0) / (sums[i] ?? 1)).sort((p, q) => p - q);
    return parts[parts.length >> 1] ?? 0;
  });
}

const sumAt = (light: Float32Array, i: number): number => light[3 * i] + light[3 * i + 1] + light[3 * i + 2];

interface Patch {
  readonly size: number;
  readonly points: readonly Point[];
  /** 1 where the patch is. */
  readonly mask: Uint8Array;
}

/** The largest patch that is not card and has card all around. */
function largestInside(isCard: Uint8Array, width: number, height: number): Patch | undefined {
  const seen = Uint8Array.from(isCard);
  let best: number[] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start]) continue;
    const members: number[] = [];
    let touches = false;
    const left = [start];
    seen[start] = 1;
    for (let at = left.pop(); at !== undefined; at = left.pop()) {
      members.push(at);
      const x = at % width;
      const y = (at - x) / width;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) touches = true;
      for (const next of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width]) {
        if (next < 0 || next >= seen.length || seen[next]) continue;
        seen[next] = 1;
        left.push(next);
      }
    }
    if (!touches && members.length > best.length) best = members;
  }
  if (best.length === 0) return undefined;
  const mask = new Uint8Array(seen.length);
  for (const at of best) mask[at] = 1;
  const points = best.map((at) => ({ x: at % width, y: Math.floor(at / width) }));
  return { size: best.length, points, mask };
}

/** The points farthest out toward each corner, clockwise from the top left. */
function extremes(points: readonly Point[]): Corners {
  const far = (of: (point: Point) => number) =>
    points.reduce((best, point) => (of(point) > of(best) ? point : best));
  return [
    far(({ x, y }) => -x - y),
    far(({ x, y }) => x - y),
    far(({ x, y }) => x + y),
    far(({ x, y }) => y - x),
  ];
}

/** A straight line a·x + b·y = c. */
interface Line {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/** Where on a side its edge is looked for, and how far off the rough line, in parts of its length. */
const LOOKS = 60;
const REACH = 0.08;

/** The line along one side: where the patch begins, looked for across the rough side, fitted through the middle ones. */
function sideAlong({ mask }: Patch, from: Point, to: Point, width: number): Line | undefined {
  const isOn = (x: number, y: number): boolean =>
    // Beyond the picture's side the row before or after would answer.
    x >= 0 && x < width && mask[y * width + x] === 1;
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy);
  // Inward, of a patch gone round clockwise.
  const [nx, ny] = [-dy / length, dx / length];
  const edge: Point[] = [];
  for (let look = 1; look < LOOKS; look++) {
    const along = 0.06 + (0.88 * look) / LOOKS;
    const reach = REACH * length;
    for (let depth = -reach; depth < reach; depth += 0.5) {
      const x = from.x + along * dx + depth * nx;
      const y = from.y + along * dy + depth * ny;
      if (!isOn(Math.round(x), Math.round(y))) continue;
      edge.push({ x: x - 0.5 * nx, y: y - 0.5 * ny });
      break;
    }
  }
  if (edge.length < LOOKS / 3) return undefined;
  const depths = edge.map(({ x, y }) => (x - from.x) * nx + (y - from.y) * ny).sort((p, q) => p - q);
  const middle = depths[depths.length >> 1] ?? 0;
  const near = edge.filter(({ x, y }) => {
    const depth = (x - from.x) * nx + (y - from.y) * ny;
    return Math.abs(depth - middle) < 0.03 * length;
  });
  return fitted(near);
}

/** The line of least squared distances through points. */
function fitted(points: readonly Point[]): Line | undefined {
  if (points.length < 2) return undefined;
  const mx = points.reduce((sum, { x }) => sum + x, 0) / points.length;
  const my = points.reduce((sum, { y }) => sum + y, 0) / points.length;
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
  const [a, b] = [-Math.sin(turn), Math.cos(turn)];
  return { a, b, c: a * mx + b * my };
}

function meeting(p: Line | undefined, q: Line | undefined): Point | undefined {
  if (!p || !q) return undefined;
  const below = p.a * q.b - q.a * p.b;
  return Math.abs(below) < 1e-3
    ? undefined
    : { x: (p.c * q.b - q.c * p.b) / below, y: (p.a * q.c - q.a * p.c) / below };
}

/** Begins with the corner nearest the top left, so that a panel that lies nearly straight is the right way up. */
function upright(corners: Corners): Corners {
  const first = corners.reduce(
    (best, { x, y }, i) => (x + y < (corners[best]?.x ?? 0) + (corners[best]?.y ?? 0) ? i : best),
    0,
  );
  return [0, 1, 2, 3].map((i) => corners[(first + i) % 4]) as unknown as Corners;
}

import { seededRandom } from '../../base/random';
import type { Design, DesignUse, Shape } from './design';

/** Numbers of a path to the hundredth of a millimetre. */
const n = (value: number): string => String(Math.round(value * 100) / 100);
const at = (x: number, y: number): string => `${n(x)} ${n(y)}`;

const filled = (d: string, rule: Shape['rule'] = 'nonzero'): Shape => ({ d, rule });
const line = (d: string, stroke: number): Shape => ({ d, rule: 'nonzero', stroke });
const erased = (d: string): Shape => ({ d, rule: 'nonzero', erases: true });
const round = (x: number, y: number, r: number, down = r): string =>
  `M${at(x - r, y)}a${at(r, down)} 0 1 0 ${at(2 * r, 0)}a${at(r, down)} 0 1 0 ${at(-2 * r, 0)}Z`;
const box = (x: number, y: number, wide: number, high: number): string =>
  `M${at(x, y)}h${n(wide)}v${n(high)}h${n(-wide)}Z`;

/** A soft line through points: each is the handle of a bend between the middles of its neighbours. */
function soft(points: readonly (readonly [number, number])[]): string {
  const [first, ...rest] = points;
  if (!first) return '';
  const bends = rest.slice(0, -1).map(([x, y], i) => {
    const [nextX, nextY] = rest[i + 1] as readonly [number, number];
    return `Q${at(x, y)} ${at((x + nextX) / 2, (y + nextY) / 2)}`;
  });
  const last = rest.at(-1) ?? first;
  return `M${at(...first)}${bends.join('')}L${at(...last)}`;
}

const design = (
  id: string,
  name: string,
  use: DesignUse,
  [width, height]: readonly [number, number],
  shapes: readonly Shape[],
): Design => ({ id, name, use, width, height, shapes });

const count = <T>(length: number, make: (i: number) => T): T[] => Array.from({ length }, (_, i) => make(i));

/** Glaze running down from a rim, its drops hanging at different heights. */
function glazeDrips(): Design {
  const random = seededRandom(31);
  const widths = count(9, () => 7 + random() * 5);
  const whole = widths.reduce((sum, wide) => sum + wide, 0);
  let x = 0;
  const drips = widths.map((wide) => {
    const across = (wide / whole) * 100;
    const [long, r] = [14 + random() * 48, across * 0.34];
    const middle = x + across / 2;
    x += across;
    return `L${at(middle - r, 12)}L${at(middle - r, long)}A${at(r, r)} 0 0 0 ${at(middle + r, long)}L${at(middle + r, 12)}Q${at(middle + across / 2, 8)} ${at(x, 9)}`;
  });
  const beads = count(5, () => round(8 + random() * 84, 68 + random() * 18, 1.6 + random() * 1.6, 2.4));
  return design(
    'glaze-drips',
    'Glaze drips',
    'image',
    [100, 90],
    [filled(`M0 0L0 9${drips.join('')}L100 0Z`), ...beads.map((bead) => filled(bead))],
  );
}

/** Marks of a comb drawn through wet slip, in waves. */
const combMarks = (): Design =>
  design(
    'comb-marks',
    'Comb marks',
    'image',
    [90, 110],
    count(3, (band) => band).flatMap((band) =>
      count(6, (tooth) => {
        const y = 14 + band * 37 + tooth * 3.6;
        const wave = count(15, (i) => [3 + i * 6, y + (i % 2 === 0 ? -4 : 4) * Math.cos(band)] as const);
        return line(soft(wave), 1.5);
      }),
    ),
  );

/** The fine spiral a rib leaves on the wheel. */
function wheelRings(): Design {
  const turns = count(13 * 24, (i) => {
    const [angle, far] = [(i * Math.PI) / 12, 2 + i * 0.14];
    return [50 + far * Math.cos(angle), 50 + far * Math.sin(angle)] as const;
  });
  return design('wheel-rings', 'Wheel rings', 'image', [100, 100], [line(soft(turns), 0.6)]);
}

/** Sparks flying up from the kiln's spy hole. */
function sparks(): Design {
  const random = seededRandom(7);
  const rays = count(44, (i) => {
    const angle = (-10 - (160 * (i + random() * 0.8)) / 44) * (Math.PI / 180);
    const [from, to] = [10 + random() * 8, 30 + random() * 36];
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    return line(
      `M${at(50 + from * cos, 76 + from * sin)}L${at(50 + to * cos, 76 + to * sin)}`,
      0.35 + random() * 0.3,
    );
  });
  const embers = count(40, () => {
    const [angle, far] = [(-20 - 140 * random()) * (Math.PI / 180), 26 + random() * 34];
    return filled(round(50 + far * Math.cos(angle), 76 + far * Math.sin(angle), 0.4 + random() * 0.7));
  });
  return design('sparks', 'Sparks', 'image', [100, 80], [...rays, ...embers]);
}

/** A bottle kiln, its door bricked up. */
const bottleKiln = (): Design =>
  design(
    'bottle-kiln',
    'Bottle kiln',
    'image',
    [60, 90],
    [
      filled(
        'M2 90C0 66 4 54 11 45C17 37 19 27 19 6L16 6L16 0L44 0L44 6L41 6C41 27 43 37 49 45C56 54 60 66 58 90Z',
      ),
      erased('M22 90L22 72A8 8 0 0 1 38 72L38 90Z'),
      ...count(3, (row) => filled(box(row % 2 ? 22 : 24, 76 + row * 5, 12, 3.4))),
      erased(round(30, 42, 3)),
      erased('M18.6 22L41.4 22L41.9 24.4L18.1 24.4Z'),
      erased('M7.6 56L52.4 56L53.4 58.4L6.6 58.4Z'),
    ],
  );

/** A jug, a bowl and a bottle side by side on a plank. */
const shelfOfPots = (): Design =>
  design(
    'shelf-of-pots',
    'Shelf of pots',
    'image',
    [100, 60],
    [
      filled(box(0, 53, 100, 5)),
      filled('M8 53C2 40 6 30 12 24L11 14L27 14L26 24C32 30 36 40 30 53Z'),
      line('M27 20C38 18 38 38 31 40', 3),
      filled('M40 34L66 34C66 44 62 50 58 51L58 53L48 53L48 51C44 50 40 44 40 34Z'),
      filled('M76 53C70 44 72 32 79 28L80 10L78 6L88 6L86 10L87 28C94 32 96 44 90 53Z'),
      erased(box(42, 38, 22, 1.6)),
      erased('M73.5 40C79 42 87 42 92.5 40L92.5 42C87 44 79 44 73.5 42Z'),
    ],
  );

/** Reeds from the tail race, heads and blades. */
function reeds(): Design {
  const random = seededRandom(19);
  const stems = count(9, (i) => {
    const [foot, lean, top] = [8 + i * 8, (random() - 0.5) * 16, 8 + random() * 34];
    const stem = `M${at(foot, 110)}Q${at(foot + lean * 0.2, 60)} ${at(foot + lean, top)}`;
    const head = `M${at(foot + lean, top)}L${at(foot + lean * 0.86, top + 15)}`;
    return i % 3 === 2 ? [line(stem, 1.1)] : [line(stem, 1.1), line(head, 3.8)];
  });
  const blades = count(6, (i) => {
    const [foot, lean] = [12 + i * 11, (i % 2 ? 1 : -1) * (8 + random() * 9)];
    const tip = 34 + random() * 30;
    return filled(
      `M${at(foot - 1.4, 110)}Q${at(foot + lean * 0.1, 76)} ${at(foot + lean, tip)}Q${at(foot + lean * 0.4, 80)} ${at(foot + 1.6, 110)}Z`,
    );
  });
  return design('reeds', 'Reeds', 'image', [80, 110], [...stems.flat(), ...blades]);
}

/** The net of fine cracks in an old glaze. */
function crackle(): Design {
  const random = seededRandom(88);
  const [columns, rows, step] = [9, 11, 10];
  const knots = count(
    columns * rows,
    (i) =>
      [
        (i % columns) * step + 5 + (random() - 0.5) * 7,
        Math.floor(i / columns) * step + 5 + (random() - 0.5) * 7,
      ] as const,
  );
  const cracks = knots.flatMap(([x, y], i) => {
    const [right, below] = [knots[i + 1], knots[i + columns]];
    const ways = [
      ...(right && i % columns < columns - 1 && random() < 0.72 ? [right] : []),
      ...(below && random() < 0.72 ? [below] : []),
    ];
    return ways.map(([u, v]) => {
      const bend = [(x + u) / 2 + (random() - 0.5) * 3, (y + v) / 2 + (random() - 0.5) * 3] as const;
      return line(`M${at(x, y)}L${at(...bend)}L${at(u, v)}`, 0.35 + random() * 0.3);
    });
  });
  return design('crackle', 'Crackle', 'image', [90, 110], cracks);
}

/** A bold leaf pressed into clay, its veins left open. */
const pressedLeaf = (): Design =>
  design(
    'pressed-leaf',
    'Pressed leaf',
    'image',
    [60, 100],
    [
      filled(
        'M30 2C50 22 58 48 44 72C40 79 35 83 31 84L31 99L29 99L29 84C25 83 20 79 16 72C2 48 10 22 30 2Z',
      ),
      ...[-1, 1].flatMap((side) =>
        count(
          5,
          (i): Shape => ({
            ...line(
              `M30 ${n(70 - i * 12)}Q${at(30 + side * 8, 64 - i * 12)} ${at(30 + side * (17 - Math.abs(i - 1) * 2), 54 - i * 11)}`,
              1.3,
            ),
            erases: true,
          }),
        ),
      ),
      { ...line('M30 14L30 82', 1.3), erases: true },
    ],
  );

/** The kiln's courses of brick, mortar between. */
function kilnBricks(): Design {
  const random = seededRandom(3);
  const [courses, wide, high, joint] = [10, 24, 10.6, 1.4];
  const bricks = count(courses, (row) => row).flatMap((row) =>
    count(4, (i) => {
      const x = i * 25 + (row % 2 ? 12.5 : 0) + joint / 2;
      return filled(
        box(x, row * 12 + joint / 2 + random() * 0.4, wide - joint + random() * 0.5, high - random() * 0.5),
      );
    }),
  );
  // A stencil of bricks ends in whole courses; halves at its sides meet those of the next one.
  return design('kiln-bricks', 'Kiln bricks', 'pattern', [100, 120], bricks);
}

/** Rims of bowls stacked for the kiln. */
const thrownRims = (): Design =>
  design(
    'thrown-rims',
    'Thrown rims',
    'pattern',
    [120, 120],
    count(12, (row) => row).flatMap((row) =>
      count(4, (i) => {
        const x = 15 + i * 30 + (row % 2 ? 15 : 0);
        const y = 5 + row * 10;
        return line(`M${at(x - 12, y - 2)}A${at(12, 7)} 0 0 0 ${at(x + 12, y - 2)}`, 1.6);
      }),
    ),
  );

/** Dots of slip trailed in rows. */
const slipDots = (): Design =>
  design(
    'slip-dots',
    'Slip dots',
    'pattern',
    [96, 96],
    count(16, (row) => row).flatMap((row) =>
      count(16, (i) =>
        filled(round(3 + i * 6 + (row % 2 ? 3 : 0), 3 + row * 6, 0.75 + 0.6 * ((i + row) % 3))),
      ),
    ),
  );

/** The body of an edge stencil: a drawn top edge, straight sides and foot. */
function edgeBody(id: string, name: string, top: readonly (readonly [number, number])[], high = 60): Design {
  return design(id, name, 'edge', [150, high], [filled(`${soft(top)}L150 ${high}L0 ${high}Z`)]);
}

const farHills = (): Design =>
  edgeBody('far-hills', 'Far hills', [
    [0, 26],
    [14, 20],
    [30, 8],
    [48, 22],
    [62, 27],
    [80, 12],
    [94, 4],
    [112, 20],
    [128, 25],
    [150, 14],
  ]);

function cloudBank(): Design {
  const random = seededRandom(12);
  let x = 0;
  let d = 'M0 26';
  while (x < 150) {
    const wide = Math.min(10 + random() * 18, 150 - x);
    const next = x + wide < 144 ? wide : 150 - x;
    d += `A${at(next / 2, next * (0.4 + random() * 0.16))} 0 0 1 ${at(x + next, 26 - (random() - 0.5) * 4)}`;
    x += next;
  }
  return design('cloud-bank', 'Cloud bank', 'edge', [150, 60], [filled(`${d}L150 60L0 60Z`)]);
}

const slipWave = (): Design =>
  edgeBody(
    'slip-wave',
    'Slip wave',
    count(16, (i) => [i * 10, i % 2 ? 6 : 22] as const),
    50,
  );

/** Designs that ship with the application, drawn for the Tollgate Kiln; invented. */
export const OWN_DESIGNS: readonly Design[] = [
  glazeDrips(),
  combMarks(),
  wheelRings(),
  sparks(),
  bottleKiln(),
  shelfOfPots(),
  reeds(),
  crackle(),
  pressedLeaf(),
  kilnBricks(),
  thrownRims(),
  slipDots(),
  farHills(),
  cloudBank(),
  slipWave(),
];

export const isOwnDesign = (id: string): boolean => OWN_DESIGNS.some((own) => own.id === id);

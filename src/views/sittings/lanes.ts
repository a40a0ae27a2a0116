import { type DoneLine, keyOf } from '../../core/make/sitting/begun';
import { type KnownSitting, operationOf } from '../../core/make/sitting/known';
import type { Planned } from '../../core/make/sitting/sitting';
import { letterOf } from '../../core/sheet/brushes';

/** A panel that lies drying. */
export interface Lying {
  readonly line: Planned;
  readonly from: number;
  readonly to: number;
  /** The row it is drawn in, from 0. */
  readonly row: number;
}

/** One row of the evening's picture. */
export interface Lane {
  readonly kind: 'hands' | 'brush' | 'mat' | 'heat' | 'drying';
  readonly label: string;
  readonly lines: readonly Planned[];
  readonly lying: readonly Lying[];
  /** Px of usual text. */
  readonly height: number;
}

/** How high each kind of lane is, px of usual text. */
const HEIGHT = { hands: 46, brush: 22, mat: 16, heat: 22 } as const;
/** Of a panel that lies drying. */
export const LYING_HEIGHT = 22;

/** The lanes of an evening, from the hands to the drying table; none for what is not used. */
export function lanesOf(known: KnownSitting, lines: readonly (Planned | DoneLine)[]): Lane[] {
  const { atHand } = known.sitting;
  const lane = (kind: keyof typeof HEIGHT, label: string, own: readonly Planned[]): Lane[] =>
    own.length > 0 ? [{ kind, label, lines: own, lying: [], height: HEIGHT[kind] }] : [];
  const brushes = [...new Set(lines.flatMap(({ brush }) => brush ?? []))].sort((p, q) => p - q);
  const mats =
    atHand.mats > 1 ? [...new Set(lines.flatMap(({ mat }) => mat ?? []))].sort((p, q) => p - q) : [];
  const lying = lyingOf(known, lines);
  const rows = Math.max(0, ...lying.map(({ row }) => row + 1));
  return [
    ...Array.from({ length: atHand.hands }, (_, hand) =>
      lane(
        'hands',
        atHand.hands > 1 ? `Hands ${hand + 1}` : 'Hands',
        lines.filter((line) => line.hand === hand),
      ),
    ).flat(),
    ...brushes.flatMap((brush) =>
      lane(
        'brush',
        `Brush ${letterOf(brush)}`,
        lines.filter((line) => line.brush === brush),
      ),
    ),
    ...mats.flatMap((mat) =>
      lane(
        'mat',
        `Mat ${mat + 1}`,
        lines.filter((line) => line.mat === mat),
      ),
    ),
    ...lane(
      'heat',
      'Heat tool',
      lines.filter((line) => line.does === 'operation' && operationOf(known, line)?.heat),
    ),
    ...(rows > 0
      ? [{ kind: 'drying' as const, label: 'Drying', lines: [], lying, height: rows * LYING_HEIGHT }]
      : []),
  ];
}

/** What lies drying when, each in the first row that is free. */
function lyingOf(known: KnownSitting, lines: readonly (Planned | DoneLine)[]): Lying[] {
  const free: number[] = [];
  return lines
    .filter((line) => line.does === 'operation' && !('spoiled' in line && line.spoiled))
    .flatMap((line) => {
      const { min = 0, max } = operationOf(known, line)?.rest ?? {};
      if (min <= 0 || max !== undefined) return [];
      const next = lines.find(
        (one) =>
          one.does === 'operation' && keyOf(one) === keyOf(line) && one.operation === line.operation + 1,
      );
      // It lies there until it is taken up again, and is dry before.
      return [
        { line, from: line.end, to: line.end + min, until: Math.max(next?.start ?? 0, line.end + min) },
      ];
    })
    .toSorted((p, q) => p.from - q.from)
    .map(({ line, from, to, until }) => {
      const found = free.findIndex((end) => end <= from + 1e-6);
      const row = found < 0 ? free.length : found;
      free[row] = until;
      return { line, from, to, row };
    });
}

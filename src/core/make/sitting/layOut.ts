import { counted } from '../../base/words';
import { letterOf } from '../../sheet/brushes';
import type { LaidOut } from '../../sheet/desk';
import { MAT } from '../../sheet/finishing';
import type { Piece } from '../cutting/pieces';
import type { ThingUse } from './materials';
import type { Plan, Sitting } from './sitting';

/** Sheets of one card that are cut for a sitting. */
export interface CutFor {
  readonly name: string;
  readonly pieces: readonly Piece[];
  /** Undefined where the size of a sheet is not known, or a piece is larger. */
  readonly sheets?: number;
  readonly cuts?: number;
  /** Whole sheets that are there and reserved by no other sitting; undefined where nobody counts them. */
  readonly left?: number;
}

/** Ink for a sitting. */
export interface InkFor {
  readonly name: string;
  readonly ml: number;
  /** The pad is to be re-inked first. */
  readonly isDry: boolean;
}

/** What a sitting takes, as it is laid out. */
export interface Outlay {
  readonly cuts: readonly CutFor[];
  readonly inks: readonly InkFor[];
  readonly things: readonly ThingUse[];
  /** What its sheets ask for, each in its own words. */
  readonly tools: readonly string[];
  /** Cards that go out, where whole cards are put together. */
  readonly envelopes: number;
}

/** Millilitres and grams as a maker says them: two figures. */
export const tellAmount = (amount: number, unit: string): string =>
  `${amount < 0.1 ? 'under 0.1' : amount < 10 ? amount.toFixed(1) : amount.toFixed(0)} ${unit}`;

/** Everything to lay out before a sitting, as one list. */
export function layOutOf(
  sitting: Sitting,
  plan: Plan,
  { cuts, inks, things, tools, envelopes }: Outlay,
): LaidOut[] {
  return [
    ...cuts.map(
      ({ name, pieces, sheets, cuts: times }): LaidOut => ({
        group: 'Card',
        thing: `${sheets === undefined ? '' : `${counted(sheets, 'sheet')} of `}${name}: ${pieces.map((piece) => `${piece.count} × ${piece.name}`).join(', ')}${times === undefined ? '' : `; ${counted(times, 'cut')}`}`,
      }),
    ),
    ...(envelopes > 0 ? [{ group: 'Card' as const, thing: counted(envelopes, 'envelope') }] : []),
    ...inks.map(
      ({ name, ml, isDry }): LaidOut => ({
        group: 'Inks',
        thing: `${name}, ${tellAmount(ml, 'ml')}${isDry ? '; re-ink its pad first' : ''}`,
      }),
    ),
    ...brushesOf(sitting, plan).map(
      ({ letter, holds }): LaidOut => ({
        group: 'Brushes',
        thing: `${letter}: ${holds.join(', then washed: ')}`,
      }),
    ),
    ...matsOf(sitting, plan),
    ...things.map(
      ({ thing, unit, amount }): LaidOut => ({
        group: 'Tools',
        thing: `${thing}, about ${tellAmount(amount, unit)}`,
      }),
    ),
    ...[...new Set(tools)]
      // Mats and powders are told by how many and how much.
      .filter((tool) => tool !== MAT && !things.some(({ thing }) => thing === tool))
      .map((thing): LaidOut => ({ group: 'Tools', thing })),
  ];
}

/** What each brush holds over the evening, one colour after another. */
export function brushesOf(
  { groups }: Sitting,
  { lines }: Plan,
): { readonly letter: string; readonly holds: readonly string[] }[] {
  const held = new Map<number, string[]>();
  for (const line of lines.toSorted((p, q) => p.start - q.start)) {
    const wish = groups[line.group]?.operations[line.operation]?.brush;
    if (line.brush === undefined || line.does !== 'operation' || !wish) continue;
    const own = held.get(line.brush) ?? [];
    if (own.at(-1) !== wish.holds) own.push(wish.holds);
    held.set(line.brush, own);
  }
  return [...held]
    .toSorted(([p], [q]) => p - q)
    .map(([brush, holds]) => ({ letter: letterOf(brush), holds }));
}

const matsOf = ({ groups }: Sitting, { lines }: Plan): LaidOut[] => {
  const mats = new Set(lines.flatMap(({ mat }) => mat ?? []));
  const needs = groups.some(({ operations }) => operations.some(({ ink }) => ink !== undefined));
  return needs && mats.size > 0
    ? [{ group: 'Tools', thing: `${counted(mats.size, 'mat')}, clean and dry` }]
    : [];
};

/** What a sitting is short of, and what to do; empty where nothing is. */
export const shortOf = ({ cuts }: Pick<Outlay, 'cuts'>): string[] =>
  cuts.flatMap(({ name, sheets, left }) =>
    sheets !== undefined && left !== undefined && sheets > left
      ? [
          `${name}: ${counted(sheets, 'sheet')}, and ${left === 0 ? 'none is' : `${left} are`} left for it. Buy ${sheets - left} more, or make fewer.`,
        ]
      : [],
  );

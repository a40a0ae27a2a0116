import type { Unevenness } from '../../base/unevenness';

/** What sort of ink it is; decides how it covers, dries and which brushes it may share. */
export type InkKindId = 'dye' | 'hybrid' | 'pigment' | 'fluorescent' | 'white' | 'detail' | 'bare';

/** Brushes are shared inside a set and never across sets. */
export type BrushSet = 'dye and hybrid' | 'pigment' | 'fluorescent' | 'white only' | 'stamp' | 'none';

/** Whether what is on a brush of the set sets there: it is washed as soon as its work is done. Common practice. */
export const setsInBrush = (set: BrushSet): boolean => set === 'pigment' || set === 'white only';

/** The sets of which a maker counts brushes. */
export const BRUSH_SETS = [
  'dye and hybrid',
  'pigment',
  'fluorescent',
  'white only',
] as const satisfies readonly BrushSet[];

export interface InkKind {
  readonly id: InkKindId;
  /** As the interface says it. */
  readonly label: string;
  /** S of one dried coat, the same in all bands; starting value, from a prototype set against trade facts. */
  readonly scattering: number;
  /** Whether deep inks of the kind scatter less than pale ones: their colour lies over the next softly, not hiding it. */
  readonly deepIsClearer: boolean;
  /** Part of the wet film's strength lost by drying, 0…1; starting value, common practice. */
  readonly dryBack: number;
  /** How long the wet ink stays blendable, minutes; common practice. */
  readonly openMinutes: number;
  /** Drying in air, minutes; common practice. */
  readonly airDryMinutes: number;
  readonly brushSet: BrushSet;
  /** Part of a coat that stays on a clear resist after buffing, 0…1: dye wipes off, pigment clings; common practice. */
  readonly clings: number;
  /** Part of a coat that water can take off again, 0…1: dye gives way, pigment hardly moves; common practice. */
  readonly lifts: number;
  /** How far it runs under an edge it is brushed over, to a hybrid's: dye spreads, pigment sits; from memory. */
  readonly bleeds: number;
  /** How uneven a coat of it dries, in coats. By eye and from memory: dye spreads in blotches, hybrid goes chalky, pigment sits. */
  readonly uneven: readonly Unevenness[];
  /** How much more uneven it is while wet: dye lies in pools until the card has drawn it in. By eye. */
  readonly unevenWet: number;
  /** Whether it can be a rung. Detail black is stamped, not blended. */
  readonly blends: boolean;
  /** Whether trios are made of it unasked: white only softens, and how a fluorescent glows is not modelled. */
  readonly isUsual: boolean;
}

/** What every coat has at the limit of what the eye can part. */
const MICRO: Unevenness = { from: 0.16, to: 0.5, falls: 0.5, spread: 0.018 };

export const INK_KINDS: Readonly<Record<InkKindId, InkKind>> = {
  dye: {
    id: 'dye',
    label: 'dye',
    scattering: 0.02,
    deepIsClearer: false,
    dryBack: 0.18,
    openMinutes: 2,
    airDryMinutes: 10,
    brushSet: 'dye and hybrid',
    clings: 0,
    lifts: 0.75,
    bleeds: 1.4,
    uneven: [MICRO, { from: 0.25, to: 2.2, falls: 0.9, spread: 0.014 }],
    unevenWet: 1.6,
    blends: true,
    isUsual: true,
  },
  hybrid: {
    id: 'hybrid',
    label: 'hybrid',
    scattering: 0.35,
    deepIsClearer: true,
    dryBack: 0.08,
    openMinutes: 4,
    airDryMinutes: 15,
    brushSet: 'dye and hybrid',
    clings: 0.025,
    lifts: 0.45,
    bleeds: 1,
    uneven: [
      { ...MICRO, spread: 0.024 },
      { from: 0.25, to: 1.2, falls: 0.7, spread: 0.009 },
    ],
    unevenWet: 1.15,
    blends: true,
    isUsual: true,
  },
  pigment: {
    id: 'pigment',
    label: 'pigment',
    scattering: 1.2,
    deepIsClearer: true,
    dryBack: 0.02,
    openMinutes: 10,
    airDryMinutes: 60,
    brushSet: 'pigment',
    clings: 0.5,
    lifts: 0.08,
    bleeds: 0.5,
    uneven: [
      { ...MICRO, spread: 0.014 },
      { from: 0.2, to: 0.9, falls: 0.6, spread: 0.006 },
    ],
    unevenWet: 1,
    blends: true,
    isUsual: true,
  },
  fluorescent: {
    id: 'fluorescent',
    label: 'fluorescent',
    scattering: 0.05,
    deepIsClearer: false,
    dryBack: 0.12,
    openMinutes: 3,
    airDryMinutes: 12,
    brushSet: 'fluorescent',
    clings: 0,
    lifts: 0.7,
    bleeds: 1.4,
    uneven: [
      { ...MICRO, spread: 0.014 },
      { from: 0.2, to: 0.9, falls: 0.6, spread: 0.006 },
    ],
    unevenWet: 1.4,
    blends: true,
    isUsual: false,
  },
  white: {
    id: 'white',
    label: 'white blending ink',
    scattering: 0.6,
    deepIsClearer: false,
    dryBack: 0.02,
    openMinutes: 10,
    airDryMinutes: 30,
    brushSet: 'white only',
    clings: 0.5,
    lifts: 0.08,
    bleeds: 0.5,
    uneven: [
      { ...MICRO, spread: 0.014 },
      { from: 0.2, to: 0.9, falls: 0.6, spread: 0.006 },
    ],
    unevenWet: 1,
    blends: true,
    isUsual: false,
  },
  detail: {
    id: 'detail',
    label: 'detail black',
    scattering: 0.1,
    deepIsClearer: false,
    dryBack: 0.02,
    openMinutes: 2,
    airDryMinutes: 20,
    brushSet: 'stamp',
    clings: 0.3,
    lifts: 0,
    bleeds: 0.6,
    uneven: [MICRO],
    unevenWet: 1,
    blends: false,
    isUsual: false,
  },
  bare: {
    id: 'bare',
    label: 'bare card',
    scattering: 0,
    deepIsClearer: false,
    dryBack: 0,
    openMinutes: 0,
    airDryMinutes: 0,
    brushSet: 'none',
    clings: 0,
    lifts: 0,
    bleeds: 0,
    uneven: [],
    unevenWet: 1,
    blends: true,
    isUsual: false,
  },
};

/** The lightness L* of the inks that scatter as their kind says; paler ones hardly scatter more. */
const USUAL_LIGHTNESS = 81;
const PALEST = 1.1;

/**
 * S of one dried coat of a kind's ink of a colour, where only one swatch is known: what colours deeply absorbs, and is
 * mixed with less that scatters. Set against mixtures of two independent mixers (docs/decisions.md).
 *
 * @param lightness  L* of one coat on white, 0…100
 */
export function usualScattering(kind: InkKindId, lightness: number): number {
  const { scattering, deepIsClearer } = INK_KINDS[kind];
  return deepIsClearer ? scattering * Math.min(Math.sqrt(lightness / USUAL_LIGHTNESS), PALEST) : scattering;
}

/** The kinds an ink on a shelf can be. */
export const INK_KIND_IDS = (Object.keys(INK_KINDS) as readonly InkKindId[]).filter((id) => id !== 'bare');

/** An ink of which more than this part stays on a clear resist after buffing spoils its design; common practice. */
const SPOILS_FROM = 0.2;
/** Whether it clings to a clear resist. */
export const spoilsResist = (kind: InkKindId): boolean => INK_KINDS[kind].clings >= SPOILS_FROM;
/** Whether a coat of it can be laid over a clear resist: blended, and buffed off the design. */
export const buffsOff = (kind: InkKindId): boolean => INK_KINDS[kind].blends && !spoilsResist(kind);

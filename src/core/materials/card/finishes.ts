import type { Millimetres } from '../../base/length';
import type { Unevenness } from '../../base/unevenness';

export type FinishId =
  | 'smooth'
  | 'plate'
  | 'watercolour'
  | 'kraft'
  | 'textured'
  | 'coated'
  | 'patterned'
  | 'metallic';

/** A card's surface: how it looks, how the brush moves on it, and how it takes ink. Adding one is adding one here. */
export interface Finish {
  readonly id: FinishId;
  readonly label: string;
  /** The heights of its face: their waves, and their spread in mm. */
  readonly tooth: Unevenness;
  /** Threads it is pressed with: how far apart, and how high, mm. */
  readonly weave?: { readonly pitch: Millimetres; readonly height: Millimetres };
  /** How much its fibres stand out, as a fraction of the light. */
  readonly fibres: number;
  /** How the brush should move, as the sheet says it. */
  readonly stroke: string;
  /** Its grain is only filled by moving every way, also where ink is gone back over. */
  readonly everyWay?: true;
  /** How it takes ink: well, with care, or badly; and why. */
  readonly takes: 'well' | 'with care' | 'badly';
  readonly description: string;
  /** Whether it may be wetted: water colours soak in evenly, a coating keeps them out. */
  readonly wets: boolean;
}

const SMALL = 'small circles';
const EVERY_WAY = 'circles in every direction, to fill the grain';

/** Card finishes; tooth, weave and fibres are chosen by eye, the rest is common practice. */
export const FINISHES: Readonly<Record<FinishId, Finish>> = {
  smooth: {
    id: 'smooth',
    label: 'smooth',
    tooth: { from: 0.2, to: 1.4, falls: 0.9, spread: 0.005 },
    fibres: 0,
    stroke: SMALL,
    takes: 'well',
    description: 'Smooth and even: the usual choice.',
    wets: true,
  },
  plate: {
    id: 'plate',
    label: 'plate, hot-pressed',
    tooth: { from: 0.2, to: 1.2, falls: 0.9, spread: 0.003 },
    fibres: 0,
    stroke: SMALL,
    takes: 'well',
    description: 'Plate-smooth: as good as the usual choice.',
    wets: true,
  },
  watercolour: {
    id: 'watercolour',
    label: 'cold-pressed watercolour',
    tooth: { from: 0.55, to: 4.2, falls: 1.15, spread: 0.06 },
    fibres: 0,
    stroke: EVERY_WAY,
    everyWay: true,
    takes: 'well',
    description:
      'A slight tooth, filled by circles in every direction; hybrid inks blend better on it, and it takes water.',
    wets: true,
  },
  kraft: {
    id: 'kraft',
    label: 'kraft',
    tooth: { from: 0.25, to: 2, falls: 1, spread: 0.014 },
    fibres: 0.1,
    stroke: SMALL,
    takes: 'with care',
    description: 'Mid-toned: hybrid or pigment only; pale rungs turn muddy.',
    wets: true,
  },
  textured: {
    id: 'textured',
    label: 'textured, linen',
    tooth: { from: 0.3, to: 2, falls: 1, spread: 0.012 },
    weave: { pitch: 0.85, height: 0.05 },
    fibres: 0.012,
    stroke: EVERY_WAY,
    everyWay: true,
    takes: 'with care',
    description: 'Bumps show and specks stay bare: only where that is wanted.',
    wets: true,
  },
  coated: {
    id: 'coated',
    label: 'coated, glossy',
    tooth: { from: 0.2, to: 1.2, falls: 0.9, spread: 0.001 },
    fibres: 0,
    stroke: 'the lightest circles, in thin layers dried one by one',
    takes: 'badly',
    description:
      'Coated: ink stays wet, slides and wipes off. Dry each layer with heat, or take an uncoated card.',
    wets: false,
  },
  patterned: {
    id: 'patterned',
    label: 'patterned paper',
    tooth: { from: 0.25, to: 2, falls: 1, spread: 0.006 },
    fibres: 0.012,
    stroke: SMALL,
    takes: 'badly',
    description:
      'Its print shows through and its coating takes ink badly: good as the ground under a resist.',
    wets: false,
  },
  metallic: {
    id: 'metallic',
    label: 'metallic',
    tooth: { from: 0.17, to: 0.6, falls: 0.3, spread: 0.006 },
    fibres: 0,
    stroke: SMALL,
    takes: 'badly',
    description: 'Metallic: ink slides and wipes off. For a mat or a base, not for a panel.',
    wets: false,
  },
};

export const FINISH_IDS = Object.keys(FINISHES) as readonly FinishId[];

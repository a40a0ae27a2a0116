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
  /** How far the surface's unevenness modulates the light, as a fraction of it (0 is glass-smooth). */
  readonly tooth: number;
  /** Size of the grain in mm. */
  readonly grain: number;
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

/** Card finishes; tooth and grain are chosen by eye, the rest is common practice. */
export const FINISHES: Readonly<Record<FinishId, Finish>> = {
  smooth: {
    id: 'smooth',
    label: 'smooth',
    tooth: 0.006,
    grain: 0.25,
    fibres: 0,
    stroke: SMALL,
    takes: 'well',
    description: 'Smooth and even: the usual choice.',
    wets: true,
  },
  plate: {
    id: 'plate',
    label: 'plate, hot-pressed',
    tooth: 0.003,
    grain: 0.2,
    fibres: 0,
    stroke: SMALL,
    takes: 'well',
    description: 'Plate-smooth: as good as the usual choice.',
    wets: true,
  },
  watercolour: {
    id: 'watercolour',
    label: 'cold-pressed watercolour',
    tooth: 0.035,
    grain: 0.7,
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
    tooth: 0.03,
    grain: 0.4,
    fibres: 0.11,
    stroke: SMALL,
    takes: 'with care',
    description: 'Mid-toned: hybrid or pigment only; pale rungs turn muddy.',
    wets: true,
  },
  textured: {
    id: 'textured',
    label: 'textured, linen',
    tooth: 0.06,
    grain: 1.1,
    fibres: 0,
    stroke: EVERY_WAY,
    everyWay: true,
    takes: 'with care',
    description: 'Bumps show and specks stay bare: only where that is wanted.',
    wets: true,
  },
  coated: {
    id: 'coated',
    label: 'coated, glossy',
    tooth: 0.002,
    grain: 0.2,
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
    tooth: 0.02,
    grain: 2.4,
    fibres: 0,
    stroke: SMALL,
    takes: 'badly',
    description:
      'Its print shows through and its coating takes ink badly: good as the ground under a resist.',
    wets: false,
  },
  metallic: {
    id: 'metallic',
    label: 'metallic',
    tooth: 0.02,
    grain: 0.15,
    fibres: 0,
    stroke: SMALL,
    takes: 'badly',
    description: 'Metallic: ink slides and wipes off. For a mat or a base, not for a panel.',
    wets: false,
  },
};

export const FINISH_IDS = Object.keys(FINISHES) as readonly FinishId[];

export type FinishId = 'smooth' | 'watercolour' | 'kraft' | 'textured';

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
}

/** Card finishes; tooth and grain are chosen by eye, strokes are common practice. */
export const FINISHES: Readonly<Record<FinishId, Finish>> = {
  smooth: { id: 'smooth', label: 'smooth', tooth: 0.006, grain: 0.25, fibres: 0, stroke: 'small circles' },
  watercolour: {
    id: 'watercolour',
    label: 'cold-pressed watercolour',
    tooth: 0.035,
    grain: 0.7,
    fibres: 0,
    stroke: 'circles in every direction, to fill the grain',
  },
  kraft: { id: 'kraft', label: 'kraft', tooth: 0.03, grain: 0.4, fibres: 0.11, stroke: 'small circles' },
  textured: {
    id: 'textured',
    label: 'textured',
    tooth: 0.06,
    grain: 1.1,
    fibres: 0,
    stroke: 'circles in every direction, to fill the grain',
  },
};

export const FINISH_IDS = Object.keys(FINISHES) as readonly FinishId[];

import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Unit } from '../core/base/length';
import type { Wetness } from '../core/engine/mixing';
import type { Paper } from '../core/files/papers';

/** How bright the neutral surround of the panel is. */
export type Surround = 'light' | 'middle' | 'dark';

/** Choices of the interface that are remembered, and belong to no recipe. */
export interface ViewSettings {
  readonly unit: Unit;
  readonly wetness: Wetness;
  readonly surround: Surround;
  /** Whether keys of one sign, such as l, do something; speech and switch users turn them off (WCAG 2.2, 2.1.4). */
  readonly letterKeys: boolean;
  /** Whether figures (L*, contrast, widths) stand beside the plain words. */
  readonly numbers: boolean;
  /** Whether panels are shown with the grain of card and ink, with gloss and shadows, or as plain colours. */
  readonly grain: boolean;
  /** What sheets are printed on. */
  readonly paper: Paper;
}

const DEFAULTS: ViewSettings = {
  unit: 'mm',
  wetness: 'dry',
  surround: 'light',
  letterKeys: true,
  numbers: false,
  grain: true,
  paper: 'A4',
};

export const viewSlice = createSlice({
  name: 'view',
  initialState: DEFAULTS,
  reducers: {
    viewSet: (view, { payload }: PayloadAction<Partial<ViewSettings>>): ViewSettings => ({
      ...view,
      ...payload,
    }),
  },
});

export const { viewSet } = viewSlice.actions;

/** What was remembered, as far as it is still a choice. */
export function rememberedView(value: unknown): Partial<ViewSettings> {
  const kept = (value ?? {}) as Partial<Record<keyof ViewSettings, unknown>>;
  return {
    ...(kept.unit === 'mm' || kept.unit === 'in' ? { unit: kept.unit } : {}),
    ...(kept.wetness === 'wet' || kept.wetness === 'dry' ? { wetness: kept.wetness } : {}),
    ...(kept.surround === 'light' || kept.surround === 'middle' || kept.surround === 'dark'
      ? { surround: kept.surround }
      : {}),
    ...(typeof kept.letterKeys === 'boolean' ? { letterKeys: kept.letterKeys } : {}),
    ...(typeof kept.numbers === 'boolean' ? { numbers: kept.numbers } : {}),
    ...(typeof kept.grain === 'boolean' ? { grain: kept.grain } : {}),
    ...(kept.paper === 'A4' || kept.paper === 'Letter' ? { paper: kept.paper } : {}),
  };
}

import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { StorageFault } from '../data/storage';

/** How the storage stands. */
export interface StorageState {
  /** Why it cannot be used; undefined while it can. */
  readonly fault?: StorageFault | undefined;
  /** Names of recipes that a page left unsaved, and that came beside their later selves. */
  readonly copies?: readonly string[];
}

const FINE: StorageState = {};

export const storageSlice = createSlice({
  name: 'storage',
  initialState: FINE,
  reducers: {
    faultFound: (state, { payload }: PayloadAction<StorageFault | undefined>): StorageState => ({
      ...(state as StorageState),
      fault: payload,
    }),
    copiesKept: (state, { payload }: PayloadAction<readonly string[]>): StorageState => ({
      ...(state as StorageState),
      copies: payload,
    }),
  },
});

export const { copiesKept, faultFound } = storageSlice.actions;

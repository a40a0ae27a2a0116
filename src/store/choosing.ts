import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { TrioQuery } from '../core/choose/search/query';

/** What is looked for; it stays as it is left while other views are seen. */
export interface Choosing {
  readonly query: TrioQuery;
  readonly cardId: string;
  /** Leave out trios that recipes are made of. */
  readonly notMade: boolean;
  /** The maker's own tag that its inks have; any where left out. */
  readonly tag?: string | undefined;
}

/** Only what was changed: what a search begins with is loaded with the view of it. */
const UNCHANGED: Partial<Choosing> = {};

export const choosingSlice = createSlice({
  name: 'choosing',
  initialState: UNCHANGED,
  reducers: {
    choosingSet: (choosing, { payload }: PayloadAction<Partial<Choosing>>): Partial<Choosing> => ({
      ...(choosing as Partial<Choosing>),
      ...payload,
    }),
  },
});

export const { choosingSet } = choosingSlice.actions;

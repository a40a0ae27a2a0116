import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What has been laid out for which recipe, by its id: ticks for one sitting, kept by no file. */
export type LaidOutThings = Readonly<Record<string, readonly string[]>>;

interface Tick {
  readonly recipeId: string;
  readonly thing: string;
  readonly lies: boolean;
}

export const laidOutSlice = createSlice({
  name: 'laidOut',
  initialState: {} as LaidOutThings,
  reducers: {
    thingTicked: (all, { payload: { recipeId, thing, lies } }: PayloadAction<Tick>): LaidOutThings => {
      const others = (all[recipeId] ?? []).filter((other) => other !== thing);
      return { ...all, [recipeId]: lies ? [...others, thing] : others };
    },
    ticksCleared: (all, { payload }: PayloadAction<string>): LaidOutThings => ({ ...all, [payload]: [] }),
  },
});

export const { thingTicked, ticksCleared } = laidOutSlice.actions;

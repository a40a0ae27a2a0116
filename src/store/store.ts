import { configureStore } from '@reduxjs/toolkit';
import { choosingSlice } from './choosing';
import { draftReducer } from './draft';
import { laidOutSlice } from './laidOut';
import { storageSlice } from './storage';
import { viewSlice } from './view';

/** The store of one tab: the draft in hand and the view settings. */
export const makeStore = () =>
  configureStore({
    reducer: {
      draft: draftReducer,
      view: viewSlice.reducer,
      laidOut: laidOutSlice.reducer,
      choosing: choosingSlice.reducer,
      storage: storageSlice.reducer,
    },
    // Recipes are immutable values by type; walking them at every step of a drag would cost the frame.
    middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
  });

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;

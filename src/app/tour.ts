import { createContext, useContext } from 'react';

/** Under this key it is remembered that the tour was taken or put away. */
export const TOUR_SETTING = 'tour';

/** Starts the tour from anywhere. */
export const TourContext = createContext<() => void>(() => {});
export const useTour = () => useContext(TourContext);

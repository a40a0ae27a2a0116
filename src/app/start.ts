import { createContext, useContext } from 'react';

/** Asks what a new recipe starts from; from anywhere. */
export const StartContext = createContext<() => void>(() => {});
export const useStart = () => useContext(StartContext);

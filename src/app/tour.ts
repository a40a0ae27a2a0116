import { createContext, useContext } from 'react';

/** One stop of the tour: the control it points at, and what it says. */
export interface Stop {
  /** Value of the control's `data-tour`. */
  readonly at: string;
  readonly title: string;
  readonly text: string;
  readonly side: 'right' | 'left' | 'top' | 'bottom';
}

export const STOPS: readonly Stop[] = [
  {
    at: 'rail',
    title: 'Your inks, pale at the top',
    text: 'Each dot is an ink at the lightness it dries to on this card. Press one: it goes on the nearest rung of the ladder.',
    side: 'right',
  },
  {
    at: 'panel',
    title: 'The panel, true to what dries',
    text: 'Drag the white grips, type the figures, or use arrow keys. Everything else follows at once.',
    side: 'bottom',
  },
  {
    at: 'run',
    title: 'How the ladder lies',
    text: 'Bands, a slant, a glow, corners or scattered patches; an edge, a horizon or a coat over it; brush, foam or brayer.',
    side: 'bottom',
  },
  {
    at: 'shares',
    title: 'What will be seen',
    text: 'The readings judge every joint. Here you say how much of each ink you want to see; “Make it so” lays it that way.',
    side: 'left',
  },
  {
    at: 'steps',
    title: 'The order of work',
    text: 'Compiled from the marks, never typed. Print it, make a PDF with the panel at true size, or go step by step at the desk.',
    side: 'top',
  },
];

/** Under this key it is remembered that the tour was taken or put away. */
export const TOUR_SETTING = 'tour';

/** Starts the tour from anywhere. */
export const TourContext = createContext<() => void>(() => {});
export const useTour = () => useContext(TourContext);

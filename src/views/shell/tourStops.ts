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
    text: 'Each dot is an ink at the lightness it dries to on this card. Press one, or type its name: it goes on the nearest rung.',
    side: 'right',
  },
  {
    at: 'panel',
    title: 'The panel, true to what dries',
    text: 'Drag the white grips, press a figure to type it, or use arrow keys. Everything else follows at once.',
    side: 'bottom',
  },
  {
    at: 'run',
    title: 'The recipe as a sentence',
    text: 'Press a word to change it: how the ladder lies, what it is laid with, on which card, how large, wet or dried.',
    side: 'bottom',
  },
  {
    at: 'shares',
    title: 'What will be seen',
    text: 'The readings judge every join in plain words; Numbers shows the figures. “Make it so” lays what it takes for the eye.',
    side: 'left',
  },
  {
    at: 'steps',
    title: 'The order of work',
    text: 'The panel after each step. Compiled from the marks, never typed; print it, or press a step to work from there at the desk.',
    side: 'top',
  },
];

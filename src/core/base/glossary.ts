/** A word of the trade, or of this program, and what is meant by it. */
export interface Term {
  readonly term: string;
  readonly meaning: string;
}

/** The words that a maker meets here and may not know; the code means the same by them. */
export const GLOSSARY: readonly Term[] = [
  {
    term: 'Ladder',
    meaning: 'the inks of a recipe in order along the panel, light to dark or dark to light',
  },
  { term: 'Rung', meaning: 'one ink of the ladder, with its share of the panel' },
  { term: 'Joint', meaning: 'where two neighbouring rungs fade into each other; its width is in mm' },
  { term: 'Mark', meaning: 'where an ink stops being solid, which is where its neighbour has faded out' },
  {
    term: 'Run',
    meaning: 'how the ladder lies on the panel: straight, at a slant, as a glow, from the corners, scattered',
  },
  {
    term: 'Go-back',
    meaning: 'going once more over a joint with the ink before, with no new ink, while both are wet',
  },
  {
    term: 'Wake',
    meaning:
      'drawing an ink’s own fade out again with its brush, because it dries before the next ink comes to it',
  },
  { term: 'Pass', meaning: 'something done beside the blend: before it, on the card, or over it' },
  {
    term: 'Placement',
    meaning: 'one of several times that a pass is laid, such as one impression of a stamp',
  },
  { term: 'Coat', meaning: 'a full film of ink, dried; half a coat is half as thick' },
  { term: 'Resist', meaning: 'melted powder or a mask that keeps later ink off' },
  {
    term: 'School',
    meaning: 'the order in which the rungs are laid: pale first, dark first, middle out, both ends',
  },
  {
    term: 'Light hand',
    meaning: 'the brush held by its head between two fingers, so that hardly more than its weight presses',
  },
  {
    term: 'Tap off',
    meaning: 'touching a freshly loaded brush to white kitchen paper, on which one sees how much it holds',
  },
  { term: 'Brew', meaning: 'a middle mixed on the mat from the two inks beside it' },
  {
    term: 'Mud',
    meaning: 'a dark stretch of a joint that greys toward rose, brown or olive; a pale one only dulls',
  },
  { term: 'Sitting', meaning: 'one evening at the desk: many panels, planned together' },
  {
    term: 'Piece of work',
    meaning:
      'what the hands do at one go in a sitting: a step of one panel’s sheet, a mat wiped, a brush washed',
  },
  { term: 'L*', meaning: 'lightness, from 0 for black to 100 for white' },
  {
    term: 'ΔE00',
    meaning: 'how far apart two colours look (CIEDE2000); below about 2 they are hard to tell apart',
  },
];

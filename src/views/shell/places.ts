/** The work, in the order it is done. */
export const WORK = [
  { to: '/choose', label: 'Choose', also: [], words: 'search trios pick inks' },
  { to: '/bench', label: 'Bench', also: ['/sheet', '/desk'], words: 'panel recipe' },
  { to: '/sittings', label: 'Sittings', also: [], words: 'evening many panels schedule plan series' },
  { to: '/practice', label: 'Practice', also: [], words: 'train eye quiz exercise learn' },
] as const;
/** What the work is done with, and where it is kept. */
export const DRAWERS = [
  { to: '/inks', label: 'Inks' },
  { to: '/cards', label: 'Cards' },
  { to: '/designs', label: 'Designs' },
  { to: '/recipes', label: 'Recipes' },
  { to: '/log', label: 'Log' },
] as const;

/** Places inside the views that are looked for by what is done there. */
export const PLACES = [
  {
    to: '/choose?way=bridge',
    label: 'Start from two inks',
    also: 'bridge middle between pair',
    group: 'Choose',
  },
  {
    to: '/choose?way=match',
    label: 'Match a picture',
    also: 'photo image photograph colours',
    group: 'Choose',
  },
  { to: '/choose?way=kept', label: 'Kept trios', also: 'saved favourites', group: 'Choose' },
  { to: '/inks?new', label: 'Add an ink', also: 'new ink create', group: 'Inks' },
  {
    to: '/inks?side=twins',
    label: 'Twins: inks nearly alike',
    also: 'duplicates same similar',
    group: 'Inks',
  },
  { to: '/inks?side=gaps', label: 'Which ink next', also: 'gaps missing buy wish', group: 'Inks' },
  {
    to: '/cards?side=cutting',
    label: 'Cut a batch of cards',
    also: 'many sheets cutting fair series',
    group: 'Cards',
  },
  {
    to: '/log?side=lessons',
    label: 'What the log teaches',
    also: 'learn strength calibrate readings photograph',
    group: 'Log',
  },
  { to: '/log?side=swatches', label: 'Swatch book', also: 'print page read scan chart', group: 'Log' },
  {
    to: '/log?side=pads',
    label: 'Pads and brushes',
    also: 're-ink reink dry reminder calendar labels daubers wash',
    group: 'Log',
  },
  { to: '/log?side=figures', label: 'The log in figures', also: 'chart statistics used count', group: 'Log' },
  {
    to: '/cards?side=recipe',
    label: 'One recipe on all cards',
    also: 'compare cardstock kraft black',
    group: 'Cards',
  },
] as const;

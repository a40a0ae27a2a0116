import { TROUBLE_NAMES, type TroubleId } from '../../keep/log/troubles';
import { CAUSES } from '../../keep/trouble/causes';
import { newRecipe } from '../../recipe/newRecipe';
import type { Exercise } from './definition';
import { huesOf, namesOf, oneOf, shuffled } from './pairs';

const OPTIONS = 4;
/** Faults that can be painted on a plain ladder, and are not taken for each other. */
const SHOWN: readonly TroubleId[] = [
  'hardLine',
  'disc',
  'drySplotches',
  'specks',
  'fingerprints',
  'waterMarks',
  'inkGone',
];

/** What went wrong on a panel, by how it looks; then what it comes from. */
export const wrong: Exercise = {
  id: 'wrong',
  label: 'What went wrong here',
  trains: 'To name a fault by its look, and know where it comes from.',
  follows: 'knowledge',
  unit: '',
  least: 1,
  start: 1,
  most: 1,
  guess: 1 / OPTIONS,
  make: ({ inks, card }, _, draw) => {
    const trouble = oneOf(SHOWN, draw);
    const own = shuffled(inks, draw)
      .slice(0, 2)
      .toSorted((p, q) => q.lab.l - p.lab.l);
    const [pale, dark] = own;
    const [cause] = trouble ? CAUSES[trouble] : [];
    if (!trouble || !pale || !dark || !cause) return undefined;
    const options = shuffled(
      [
        trouble,
        ...shuffled(
          SHOWN.filter((one) => one !== trouble),
          draw,
        ).slice(0, OPTIONS - 1),
      ],
      draw,
    );
    const used = [pale.ink, dark.ink];
    const resolved = { recipe: newRecipe('fault', used, card), card, inks: used, passInks: [], designs: [] };
    return {
      exercise: 'wrong',
      mode: 'pick',
      key: `wrong ${trouble}`,
      asks: 'What went wrong on this panel?',
      faces: [{ kind: 'fault', resolved, trouble }],
      options: options.map((one) => ({ label: TROUBLE_NAMES[one] })),
      right: [options.indexOf(trouble)],
      level: 1,
      inks: namesOf(own),
      hues: huesOf(own),
      lesson: {
        reason: `${cause.cause} ${cause.cure}`,
        numbers: '',
        shows: [{ kind: 'panel', resolved }],
        tryIt: cause.next,
      },
    };
  },
};

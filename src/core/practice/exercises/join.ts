import { aPlainColour } from '../../materials/colour/plainWords';
import { isCloseCall, verdictOf } from '../../readings/joints/closeCall';
import { describeVerdict, judgeJoint, walkJoint, walkOnWhite } from '../../readings/joints/joint';
import { newRecipe } from '../../recipe/newRecipe';
import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, oneOf } from './pairs';

const ANSWERS = [
  { kind: 'clean run', label: 'a clean run' },
  { kind: 'new colour', label: 'a new colour of its own' },
  { kind: 'dulls', label: 'it dulls' },
  { kind: 'mud', label: 'mud' },
] as const;
const TRIED = 60;

/** What becomes of the join between two inks. Close calls are not asked: the model is not sure of them itself. */
export const join: Exercise = {
  id: 'join',
  label: 'What becomes of this join',
  trains: 'To know before the ink is down what two inks make where they meet.',
  follows: 'knowledge',
  unit: '',
  least: 1,
  start: 1,
  most: 1,
  guess: 1 / ANSWERS.length,
  make: ({ inks, card, ground }, _, draw) => {
    // Each outcome is asked about as often: most pairs of a shelf are harmless.
    const wanted = oneOf(ANSWERS, draw)?.kind;
    for (let i = 0; i < TRIED; i++) {
      const [one, other] = [oneOf(inks, draw), oneOf(inks, draw)];
      if (!one || !other || one.ink.id === other.ink.id) continue;
      const kind = verdictOf(one.ink, other.ink, ground);
      const right = ANSWERS.findIndex((answer) => answer.kind === kind);
      if (right < 0 || (kind !== wanted && i < TRIED / 2) || isCloseCall(one.ink, other.ink, ground))
        continue;
      const pair = [one, other].toSorted((p, q) => q.lab.l - p.lab.l);
      const [pale, dark] = pair as [typeof one, typeof other];
      const stations = walkJoint(pale.ink, dark.ink, ground);
      const verdict = judgeJoint(stations, walkOnWhite(pale.ink, dark.ink, ground, stations));
      const { headline, reason } = describeVerdict(verdict);
      const inksUsed = [pale.ink, dark.ink];
      return {
        exercise: 'join',
        mode: 'pick',
        key: `join ${idsOf(pair)} ${card.id}`,
        asks: 'They are blended into each other. What becomes of the join?',
        faces: pair.map(({ hex }) => ({ kind: 'swatch', hex })),
        options: ANSWERS.map(({ label }) => ({ label })),
        right: [right],
        level: 1,
        inks: namesOf(pair),
        hues: huesOf(pair),
        lesson: {
          reason: `${headline}. ${reason}`,
          numbers: `What decides it is ${aPlainColour(verdict.decidedBy.lab)}, L* ${verdict.decidedBy.lab.l.toFixed(0)}.`,
          shows: [
            {
              kind: 'panel',
              resolved: {
                recipe: newRecipe('join', inksUsed, card),
                card,
                inks: inksUsed,
                passInks: [],
                designs: [],
              },
            },
          ],
          tryIt: `Blend ${namesOf(pair).join(' into ')} on a strip of ${card.name}.`,
        },
      };
    }
    return undefined;
  },
};

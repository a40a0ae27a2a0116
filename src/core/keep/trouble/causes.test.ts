import { expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import { LIES_FLAT_FROM } from '../../materials/card/weight';
import type { Ink } from '../../materials/ink/ink';
import { readLadder } from '../../readings/readings';
import { setRun, setRunParams, setShare } from '../../recipe/editLadder';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { TroubleId } from '../log/troubles';
import { CAUSES } from './causes';
import type { TroubleContext } from './definition';

const gorse = ink('Gorse', '#f2c230');
const weir = ink('Weir', '#007a7c');
const moss = ink('Moss', '#5b8f3a', 'dye');
const plain = resolvedOf([gorse, weir]);

/** How a cause of a trouble is weighed for a recipe, and what would be changed the next time. */
function weighed(
  trouble: TroubleId,
  causeId: string,
  resolved: ResolvedRecipe = plain,
  days: (ink: Ink) => number | undefined = () => undefined,
) {
  const context: TroubleContext = {
    resolved,
    readings: readLadder(resolved),
    daysSinceInked: days,
    inLog: () => ({ times: 0, of: 0 }),
  };
  const cause = CAUSES[trouble].find(({ id }) => id === causeId);
  if (!cause) throw new Error(`${trouble} has no cause ${causeId}`);
  return { ...(cause.likely?.(context) ?? { weight: 1 }), change: cause.change?.(context) };
}
const taught = (one: Ink, strength: number): Ink => ({ ...one, strength });

test.each<[string, TroubleId, string, ResolvedRecipe, RegExp]>([
  [
    'a foam pad prints its corner',
    'hardLine',
    'landed-loaded',
    resolvedOf([gorse, weir], WHITE_CARD, { tool: 'foam' }),
    /foam prints/,
  ],
  [
    'a roller prints its edges',
    'hardLine',
    'landed-loaded',
    resolvedOf([gorse, weir], WHITE_CARD, { tool: 'brayer' }),
    /edges of its roller/,
  ],
  [
    'pigment clings to a resist, in a coat too',
    'clinging',
    'pigment',
    withPass(plain, 'coat', { ink: ink('Slip', '#c8553d', 'pigment') }),
    /Slip is pigment/,
  ],
  [
    'a narrow join dries first',
    'hardLine',
    'dried',
    resolvedOf([gorse, weir], WHITE_CARD, { joints: [{ width: 5 }] }),
    /joint here is narrow/,
  ],
  [
    'a strong ink overpowers',
    'disc',
    'strong-ink',
    resolvedOf([gorse, taught(weir, 1.4)]),
    /lays Weir stronger/,
  ],
  ['dye is splotchy until it dries', 'wetSplotches', 'wait', resolvedOf([gorse, moss]), /Moss is dye/],
  [
    'a toothy card keeps specks',
    'specks',
    'texture',
    resolvedOf([gorse, weir], { ...WHITE_CARD, finish: 'watercolour' }),
    /the card is cold-pressed watercolour/,
  ],
  [
    'pigment clings to a resist',
    'clinging',
    'pigment',
    resolvedOf([gorse, ink('Slip', '#c8553d', 'pigment')]),
    /Slip is pigment/,
  ],
  ['thin card curls', 'curl', 'thin', resolvedOf([gorse, weir], { ...WHITE_CARD, grammage: 160 }), /160 g/],
  ['water curls it', 'curl', 'wet', withPass(plain, 'splash'), /water is used/],
  ['water leaves its mark', 'waterMarks', 'damp-mat', withPass(plain, 'mist'), /water is used/],
])('%s (common practice)', (_, trouble, cause, resolved, reason) => {
  const [here, elsewhere] = [weighed(trouble, cause, resolved), weighed(trouble, cause)];
  expect(here.weight).toBeGreaterThan(1.3 * elsewhere.weight);
  expect(here.reason).toMatch(reason);
  expect(elsewhere.reason).toBeUndefined();
});

test('card that lies flat by its weight is not called thin', () => {
  const of = (grammage: number) =>
    weighed('curl', 'thin', resolvedOf([gorse, weir], { ...WHITE_CARD, grammage }));
  expect(of(LIES_FLAT_FROM).reason).toBeUndefined();
  expect(of(LIES_FLAT_FROM - 1).reason).toBeDefined();
});

test('a pad is dry after half a year, very dry after a year, and told in months by its ink; a juicy one for two weeks', () => {
  const by = (days: number) => weighed('specks', 'dry-pad', plain, (one) => (one === weir ? days : 30));
  expect(by(180)).toMatchObject({ weight: 0.7 });
  expect(by(200)).toMatchObject({ weight: 2, reason: 'Weir was last re-inked 7 months ago' });
  expect(by(400)).toMatchObject({ weight: 3, reason: 'Weir was last re-inked 13 months ago' });
  const fresh = (days: number) =>
    weighed('heavyHand', 'juicy', plain, (one) => (one === gorse ? days : undefined));
  expect(fresh(13).reason).toBe('Gorse was re-inked in the last two weeks');
  expect(fresh(14).reason).toBeUndefined();
  expect(weighed('specks', 'dry-pad', plain, () => 300).reason).toBe(
    'Gorse and Weir were last re-inked up to 10 months ago',
  );
  // Dye is splotchy while wet; it does not make a hand heavy.
  const dye = resolvedOf([gorse, moss]);
  expect(weighed('heavyHand', 'juicy', dye).reason).toBeUndefined();
});

test('what is changed the next time is the ink it is about: the strong one gets less, the last more', () => {
  const strong = resolvedOf([gorse, taught(weir, 1.4), taught(moss, 0.5)]);
  expect(weighed('heavyHand', 'hand', strong).change).toEqual({ id: 'lessOf', inkId: 'Weir' });
  expect(weighed('inkGone', 'strong-neighbour', strong).change).toEqual({ id: 'lessOf', inkId: 'Weir' });
  expect(weighed('noRoom', 'unmeasured', strong).change).toEqual({ id: 'roomFor', inkId: 'Moss' });
  expect(weighed('hardLine', 'dried').change).toEqual({ id: 'widerJoints' });
  expect(weighed('muddyBand', 'opposites').change).toEqual({ id: 'narrowerJoints' });
  const foam = resolvedOf([gorse, weir], WHITE_CARD, { tool: 'foam' });
  expect(weighed('hardLine', 'landed-loaded', foam).change).toEqual({ id: 'byBrush' });
  for (const tool of ['brush', 'smallBrush', 'dip'] as const)
    expect(
      weighed('hardLine', 'landed-loaded', resolvedOf([gorse, weir], WHITE_CARD, { tool })),
    ).toMatchObject({ weight: 1, change: undefined });
  // No ink is blamed where the log has not said how strongly each is laid.
  expect(weighed('heavyHand', 'hand').change).toBeUndefined();
});

test('that an ink has little room is said where it shows on less than it was to, and of which joint is narrow by its patches', () => {
  const { recipe } = plain;
  const laid = (share: number): ResolvedRecipe => ({
    ...plain,
    recipe: setShare({ ...recipe, joints: [{ width: 8 }] }, 0, share),
  });
  expect(weighed('inkGone', 'little-room', laid(0.5))).toEqual({ weight: 1, change: undefined });
  expect(weighed('inkGone', 'little-room', laid(0.2))).toMatchObject({
    weight: 2,
    change: { id: 'roomFor', inkId: 'Gorse' },
  });
  const told = (resolved: ResolvedRecipe) => weighed('inkGone', 'little-room', resolved).reason;
  expect(told(laid(0.2))).toMatch(/^Gorse shows on \d+ % of the panel; an even share is 50 %$/);
  const wanting: ResolvedRecipe = { ...plain, recipe: { ...laid(0.3).recipe, wanted: [0.6, 0.4] } };
  expect(told(wanting)).toMatch(/^Gorse shows on \d+ % of the panel; it was to show on 60 %$/);
  // A strong ink holds more than half of its joint, whatever is laid of it.
  expect(weighed('inkGone', 'strong-neighbour').reason).toMatch(
    /^Weir (pulls strongly|overpowers) in its joints$/,
  );
  expect(weighed('inkGone', 'strong-neighbour').change).toEqual({ id: 'lessOf', inkId: 'Weir' });
  const patches = (soft: number): ResolvedRecipe => ({
    ...plain,
    recipe: setRunParams(setRun({ ...recipe, joints: [{ width: 30 }] }, 'corners'), { soft }),
  });
  expect(weighed('hardLine', 'dried', patches(5)).reason).toBe('a joint here is narrow');
  expect(weighed('hardLine', 'dried', patches(20)).reason).toBeUndefined();
});

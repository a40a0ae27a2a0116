import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { guessesTold, modelSays, withGuess } from './guesses';
import { type MadePanel, madeOf } from './made';

const resolved = resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#009aab'), ink('Skerry', '#005487')]);
const panel: MadePanel = {
  id: 'p',
  number: 1,
  date: '2026-11-27',
  name: 'one',
  made: madeOf(resolved),
  readings: [],
};

test('a guess stands at its own join, each word of it apart, and is taken back alone', () => {
  const said = { ...panel, guesses: withGuess(panel, 1, 'said', 'mud') };
  expect(said.guesses).toEqual([{}, { said: 'mud' }]);
  const came = { ...said, guesses: withGuess(said, 1, 'came', 'clean run') };
  expect(came.guesses[1]).toEqual({ said: 'mud', came: 'clean run' });
  expect(withGuess(came, 1, 'said', undefined)[1]).toEqual({ came: 'clean run' });
});

test('maker and model are counted against what came of each join; what is not both said and seen counts for nobody', () => {
  const [first, second] = modelSays(panel);
  if (!first || !second) throw new Error('the model says nothing');
  const other = first === 'mud' ? 'clean run' : 'mud';
  expect(guessesTold([panel])).toBeUndefined();
  const told = (guesses: MadePanel['guesses']) =>
    guessesTold([{ ...panel, ...(guesses ? { guesses } : {}) }]);
  expect(
    told([
      { said: other, came: first },
      { said: second, came: second },
    ]),
  ).toBe('of 2 joins you foresaw 1, the model 2.');
  expect(told([{ said: first }, { said: second, came: second }])).toBe(
    'of 1 join you foresaw 1, the model 1.',
  );
});

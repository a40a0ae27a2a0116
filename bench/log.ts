import { seededRandom } from '../src/core/base/random';
import { filterLog, WHOLE_LOG } from '../src/core/keep/log/filterLog';
import { type MadePanel, madeOf, resolveMade } from '../src/core/keep/log/made';
import { findPanel } from '../src/core/keep/read/findPanel';
import { readPanel } from '../src/core/keep/read/readPanel';
import { photographPanel } from '../src/core/keep/stand/photograph';
import { newRecipe } from '../src/core/recipe/newRecipe';
import { resolveAnyway } from '../src/core/recipe/resolved';
import { DEMO_CARDS } from '../src/data/demo/cards';
import { DEMO_INKS } from '../src/data/demo/inks';
import { demoRecipe } from './core';
import { medianTime, type Row, row } from './row';

const PANELS = 5000;
/** A photograph of twelve megapixels. */
const PHOTO = { width: 3000, height: 4000 } as const;

/** A long log that is filtered and sorted, and a large photograph that is read. */
export function measure(): Row[] {
  return [...filters(), ...photographs()];
}

function filters(): Row[] {
  const log = longLog();
  const inHand = demoRecipe();
  const begun = performance.now();
  filterLog(log, { ...WHOLE_LOG, text: 'gorse river', sort: 'like' }, inHand);
  const cold = performance.now() - begun;
  const warm = (filter: Partial<typeof WHOLE_LOG>) =>
    medianTime(() => void filterLog(log, { ...WHOLE_LOG, ...filter }, inHand));
  return [
    row('log-5000-first', cold, 'ms', null),
    row('log-5000', warm({ text: 'gorse river', rating: 3 }), 'ms', 100),
    row('log-5000-like', warm({ sort: 'like' }), 'ms', 100),
    row(
      'log-5000-unlike',
      medianTime(() => void filterLog(log, { ...WHOLE_LOG, sort: 'unlike' }), 3),
      'ms',
      null,
    ),
  ];
}

function longLog(): MadePanel[] {
  const draw = seededRandom(5);
  const card = DEMO_CARDS[0];
  if (!card) throw new Error('the demo is empty');
  const anInk = () => DEMO_INKS[Math.floor(draw() * 66)] as (typeof DEMO_INKS)[number];
  return Array.from({ length: PANELS }, (_, i): MadePanel => {
    const inks = [anInk(), anInk(), anInk()];
    const recipe = newRecipe(inks.map(({ name }) => name).join(', '), inks, card);
    return {
      id: `panel-${i}`,
      number: i + 1,
      date: `20${10 + (i % 16)}-0${1 + (i % 9)}-1${i % 10}`,
      name: recipe.name,
      made: madeOf(resolveAnyway(recipe, { inks, cards: [card], designs: [] })),
      tags: i % 3 === 0 ? ['river'] : [],
      rating: i % 6,
      readings: [],
    };
  });
}

function photographs(): Row[] {
  const resolved = resolveMade(madeOf(demoRecipe()));
  const { picture } = photographPanel(resolved, { seed: 3, ...PHOTO });
  const read = (): void => {
    const corners = findPanel(picture);
    if (!corners || 'problem' in readPanel(picture, corners, resolved))
      throw new Error('the photograph is not read');
  };
  return [row('photo-12mp', medianTime(read, 5), 'ms', 1500)];
}

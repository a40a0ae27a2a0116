import { describe, expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { kitFrom } from '../../data/recipes';
import { kitOf, WHITE_CARD, withPass } from '../../testing/kits';
import type { Card } from '../card/card';
import { OWN_DESIGNS } from '../design/own';
import type { Ink } from '../ink/ink';
import type { Kit, Recipe } from '../ladder/recipe';
import { groundOf } from '../pass/ground';
import { passReadings } from '../readings/passReadings';
import { readingsOf } from '../readings/readings';
import { type Finding, findingsOf } from './rule';

const inkOf = (id: string): Ink => DEMO_INKS.find((ink) => ink.id === id) as Ink;
const cardOf = (id: string): Card => DEMO_CARDS.find((card) => card.id === id) as Card;
const kitWith = (ids: readonly string[], cardId = 'smooth-white', change: Partial<Recipe> = {}): Kit =>
  kitOf(ids.map(inkOf), cardOf(cardId), change);
const check = (kit: Kit): Finding[] =>
  findingsOf({
    kit,
    readings: readingsOf(kit, groundOf(kit)),
    passes: passReadings(kit),
    shelf: DEMO_INKS,
    cards: DEMO_CARDS,
  });
const find = (kit: Kit, key: string) => check(kit).find((finding) => finding.key.startsWith(key));
/** The kit as it is once a finding has been mended by its press. */
function mended(kit: Kit, finding: Finding | undefined): Kit {
  const recipe = finding?.fix?.mend(kit.recipe);
  const whole = recipe && kitFrom(recipe, { inks: DEMO_INKS, cards: DEMO_CARDS, designs: OWN_DESIGNS });
  if (!whole) throw new Error('nothing was mended');
  return whole;
}

test('a sound recipe offends against nothing', () => {
  expect(check(kitWith(['gorse-pale', 'weir-mid', 'skerry-deep']))).toEqual([]);
});

describe('each rule is seen, said, and gone once its press has mended it (common practice)', () => {
  test.each<[string, Kit, string, RegExp]>([
    [
      'a dye on black',
      kitWith(['leat-mid', 'gorse-mid'], 'black'),
      'lost',
      /Leat Mid, a dye, is lost on black/,
    ],
    ['red on green', kitWith(['hawberry-mid', 'alder-mid']), 'mud', /turn to .* where they meet/],
    ['two rungs alike', kitWith(['gorse-pale', 'gorse-pale', 'tarn-deep']), 'alike', /about one colour/],
    [
      'thin card',
      kitOf(['gorse-pale', 'weir-mid'].map(inkOf), cardOf('thin-white')),
      'thin',
      /curls once wetted/,
    ],
    [
      'an ink with no room',
      kitWith(['gorse-pale', 'betony-deep', 'tarn-deep'], 'smooth-white', {
        rungs: [
          { inkId: 'gorse-pale', share: 0.12 },
          { inkId: 'betony-deep', share: 0.44 },
          { inkId: 'tarn-deep', share: 0.44 },
        ],
        joints: [{ width: 20 }, { width: 20 }],
      }),
      'hidden',
      /Gorse Pale shows on \d+ % of the panel only/,
    ],
  ])('%s', (_, kit, key, told) => {
    const finding = find(kit, key);
    expect(finding?.told).toMatch(told);
    expect(find(mended(kit, finding), finding?.key ?? '')).toBeUndefined();
  });

  test('an edge paler than what it surrounds', () => {
    const kit = withPass(kitWith(['gorse-pale', 'tarn-deep']), 'edge', { ink: inkOf('thrift-pale') });
    const finding = find(kit, 'pale edge');
    expect(finding?.told).toContain('will not frame it');
    expect(find(mended(kit, finding), 'pale edge')).toBeUndefined();
  });

  test('a coated card is exchanged for the nearest that takes ink well', () => {
    const coated: Card = { ...WHITE_CARD, id: 'gloss', finish: 'coated' };
    const kit = kitOf(['gorse-pale', 'weir-mid'].map(inkOf), coated);
    const finding = find(kit, 'card');
    expect(finding?.told).toContain('slides and wipes off');
    expect(finding?.fix?.mend(kit.recipe).cardId).toBe('smooth-white');
  });

  test('fluorescent wet on white', () => {
    expect(find(kitWith(['slip-white', 'lantern-pink']), 'wet white')?.told).toContain('let it dry before');
  });
});

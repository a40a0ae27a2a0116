import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { assignInks, describeDifference, describeOutOfReach } from '../core/choose/match/assign';
import { bridgeBetween, quietPair } from '../core/choose/search/bridges';
import { dryInks, emptyPairTable, pairJudge } from '../core/choose/search/pairs/pairTable';
import { topCoatsOf } from '../core/choose/search/pairs/topCoats';
import { type Constraints, NO_CONSTRAINTS, SORT_IDS, type SortId } from '../core/choose/search/query';
import type { Judged } from '../core/choose/search/relations/definition';
import { RELATION_IDS, RELATIONS, type RelationId } from '../core/choose/search/relations/relations';
import { pagesOf } from '../core/choose/search/trioPages';
import { searchTrios } from '../core/choose/search/trios';
import { findTwins } from '../core/choose/shelf/twins';
import { bareGround } from '../core/engine/blend';
import { endsDry } from '../core/engine/drying';
import { probePanel } from '../core/engine/probe';
import { readRecipeFile } from '../core/files/recipeFile';
import type { Card } from '../core/materials/card/card';
import { hexOfLab, labOfHex } from '../core/materials/colour/hex';
import { plainColour } from '../core/materials/colour/plainWords';
import type { Ink } from '../core/materials/ink/ink';
import { cardAdvice, cardFit } from '../core/readings/card/cardFit';
import { matsFor } from '../core/readings/card/mats';
import { dryShelf } from '../core/readings/driedShelf';
import { describeVerdict } from '../core/readings/joints/joint';
import { rankTopCoats } from '../core/readings/legibility/topCoat';
import { describePassReading, passReadings } from '../core/readings/passReadings';
import { potencies } from '../core/readings/perceived';
import { readLadder } from '../core/readings/readings';
import { solveShares } from '../core/readings/solveShares';
import type { Pass } from '../core/recipe/passes/passes';
import { compileSheet } from '../core/sheet/compile';
import { DEMO_CARDS } from '../data/demo/cards';
import { DEMO_INKS } from '../data/demo/inks';

/**
 * What is chosen, advised and told over the demo's shelf: rankings and scores, bridges, cards, mats, top coats, shares,
 * and how a panel stands after each step. A change here is one a maker can see: it is meant and named, or it is a fault.
 */
const HERE = join(import.meta.dirname, 'golden');
const recipes = readdirSync(HERE)
  .filter((name) => name.endsWith('.json') && !name.includes('.read.'))
  .map((file) => ({
    name: basename(file, '.json'),
    resolved: readRecipeFile(readFileSync(join(HERE, file), 'utf8')),
  }));
const golden = (name: string, lines: readonly string[]) =>
  expect(`${lines.join('\n')}\n`).toMatchFileSnapshot(join(HERE, `${name}.txt`));

const WHITE = DEMO_CARDS.find(({ id }) => id === 'smooth-white') as Card;
const inkOf = (id: string) => DEMO_INKS.find((ink) => ink.id === id) as Ink;
const names = (inks: readonly Ink[]) => inks.map(({ name }) => name).join(', ');
const told = (value: number) => value.toFixed(3);

function judged(inks: readonly Ink[], card: Card): Judged {
  const dried = dryInks(inks, card);
  const pairs = emptyPairTable(dried.inks.length);
  const judgeRow = pairJudge(dried, card);
  for (let row = 0; row < dried.inks.length; row++) judgeRow(row, pairs);
  return { dried, pairs };
}

describe('trios', () => {
  const shelf = judged(
    DEMO_INKS.filter(({ kind }) => kind !== 'detail' && kind !== 'white'),
    WHITE,
  );
  const ranked = (
    relation: RelationId,
    sort: SortId = 'fit',
    constraints: Partial<Constraints> = {},
  ): string[] => {
    const query = { relation, sort, seed: 5, keep: 60, constraints: { ...NO_CONSTRAINTS, ...constraints } };
    const search = searchTrios(shelf, query);
    while (search.step());
    const { best, count } = search.result();
    const coats = RELATIONS[relation].underTopCoat ? topCoatsOf(shelf.dried) : undefined;
    const folded = pagesOf(best, shelf, query).next().slice(0, 12);
    return [
      `${relation} by ${sort} ${JSON.stringify(constraints)}: ${count}`,
      ...folded.map(({ first, middle, last, fit, rank, alike }) => {
        const three = [first, middle, last].map((i) => shelf.dried.inks[i] as Ink);
        const coat = coats?.best(first, middle, last);
        const under = coat ? ` under ${shelf.dried.inks[coat.dark]?.name} ${told(coat.reads)}` : '';
        return `  ${names(three)}: ${told(fit)} ${told(rank)}, ${alike.length} alike${under}`;
      }),
    ];
  };

  test('by each relation, each ranking and each constraint', async () => {
    const kept = [['gorse-pale', 'leat-mid', 'skerry-deep']];
    await golden('trios', [
      ...RELATION_IDS.flatMap((relation) => ranked(relation)),
      ...SORT_IDS.filter((sort) => sort !== 'fit').flatMap((sort) => ranked('tonal', sort, { kept })),
      ...ranked('newColour', 'fit', { noDull: true, families: 'mixed', palestAtLeast: 80 }),
      ...ranked('newColour', 'fit', { darkestAtMost: 35, spacingAtLeast: 15, hues: [0, 3, 6] }),
      ...ranked('tonal', 'fit', { families: 'same', ownedOnly: true, kinds: ['dye'] }),
      ...ranked('bridge', 'fit', { mustContain: ['leat-mid'], mustNotContain: ['gorse-pale'] }),
      ...ranked('newColour', 'unlikeKept', { kept, farFromKept: 20 }),
    ]);
  });

  test('bridges and quieting inks between two, twins on the shelf, inks for a picture', async () => {
    const pairs = [
      ['hawberry-mid', 'alder-mid'],
      ['gorse-mid', 'betony-deep'],
      ['thrift-mid', 'leat-mid'],
      ['gorse-pale', 'gorse-mid'],
    ] as const;
    const lines = pairs.flatMap(([p, q]) => {
      const { direct, needsNone, middles, brewed } = bridgeBetween(inkOf(p), inkOf(q), DEMO_INKS, WHITE);
      return [
        `${p} to ${q}: ${describeVerdict(direct.verdict).headline}, needs ${needsNone ? 'none' : 'one'}`,
        ...middles.slice(0, 10).map(({ ink, joints, dullest }) => {
          const heads = joints.map(({ verdict }) => describeVerdict(verdict).headline).join(' / ');
          return `  ${ink.name}: ${heads}, ${told(dullest)}`;
        }),
        `  brewed ${brewed.parts.join(' : ')}, ${plainColour(brewed.lab)}`,
        ...quietPair(inkOf(p), inkOf(q), DEMO_INKS, WHITE)
          .slice(0, 5)
          .map((quieting) => `  quieted by ${JSON.stringify(quieting.ink.name)}`),
      ];
    });
    const dried = dryShelf(DEMO_INKS, bareGround(WHITE));
    const twins = findTwins(dried, 6).map((pair) =>
      JSON.stringify(pair, (key, value) =>
        key === 'lab'
          ? undefined
          : typeof value === 'number'
            ? Number(value.toFixed(2))
            : value?.name && value.kind
              ? value.name
              : value,
      ),
    );
    const wanted = ['#f0c030', '#204f8f', '#d04a6a', '#3a6b35', '#00ff00'].map(labOfHex);
    const matches = assignInks(wanted, dried).map((match) =>
      [
        match.dried.ink.name,
        describeDifference(match.difference),
        told(match.difference),
        describeOutOfReach(match),
      ].join('; '),
    );
    await golden('pairs', [...lines, ...twins, ...matches]);
  });
});

describe('what is said of a recipe besides its ladder', () => {
  test('on which cards it suits, which mats and top coats go with it', async () => {
    const onCards = (inks: readonly Ink[]) =>
      DEMO_CARDS.map((card) => {
        const { word, reasons } = cardFit(inks, card);
        return `  ${card.name}: ${word}; ${reasons.join(' ')}`;
      });
    await golden('cards', [
      ...DEMO_CARDS.map((card) => `${card.name}: ${cardAdvice(card).join(' ')}`),
      ...recipes.slice(0, 4).flatMap(({ name, resolved }) => [name, ...onCards(resolved.inks)]),
      ...recipes.slice(0, 4).flatMap(({ name, resolved }) => [
        `${name}, mats`,
        ...matsFor(resolved, DEMO_CARDS).map(({ card, reason }) => `  ${card.name}: ${reason}`),
        ...rankTopCoats(resolved, DEMO_INKS)
          .slice(0, 6)
          .map(
            ({ ink, ...rest }) =>
              `  under ${ink.name}: ${JSON.stringify(rest, (_, value) => (typeof value === 'number' ? Number(value.toFixed(2)) : value))}`,
          ),
      ]),
    ]);
  });

  test('how its inks hold, what its passes do in words, and what is laid so that wishes are seen', async () => {
    await golden(
      'shares',
      recipes.flatMap(({ name, resolved }) => {
        const { recipe, inks } = resolved;
        const passes = passReadings(resolved, DEMO_INKS).map((reading) => {
          const pass = recipe.passes.find(({ id }) => id === reading.id) as Pass;
          return `  ${reading.id}: ${describePassReading(pass, reading)}`;
        });
        const wishes = [
          inks.map(() => 1 / inks.length),
          inks.map((_, i) => (i === 0 ? 0.7 : 0.3 / (inks.length - 1))),
          inks.map((_, i) => (i === inks.length - 1 ? 0.85 : 0.15 / (inks.length - 1))),
        ];
        const solved = wishes.map((wanted) => {
          const answer = solveShares(resolved, wanted);
          const shares = answer.recipe.rungs.map(({ share }) => told(share)).join(' ');
          const widths = answer.recipe.joints.map(({ width }) => width.toFixed(1)).join(' ');
          return `  wanted ${wanted.map(told).join(' ')}: ${shares}, joints ${widths}, off ${told(answer.off)} ${answer.why ?? ''}`;
        });
        const holds = potencies(resolved).map(
          ({ description, holds: part }, i) => `${inks[i]?.name} ${description} ${told(part)}`,
        );
        const spacing = readLadder(resolved).spacing.description;
        return [name, `  ${holds.join(', ')}`, `  ${spacing}`, ...passes, ...solved];
      }),
    );
  });
});

test('how a panel stands after each step: what lies at a dozen places, wet or dried', async () => {
  const lines = recipes.flatMap(({ name, resolved }) => {
    const { panel } = resolved.recipe;
    const places = [0.06, 0.3, 0.5, 0.7, 0.94].flatMap((v) =>
      [0.1, 0.5, 0.86].map((u) => [u * panel.width, v * panel.height] as const),
    );
    return [
      `${name}, ends ${endsDry(resolved) ? 'dry' : 'wet'}`,
      ...compileSheet(resolved, 'mm').steps.map(({ key, kind, stands, after, brush, minutes, traces }) => {
        const probe = probePanel(resolved, { progress: after, wetness: stands });
        const colours = places.map(([x, y]) => hexOfLab(probe.labAt(x, y)).slice(1)).join(' ');
        const facts = [kind, stands, brush?.letter ?? '-', minutes ?? '-', traces?.length ?? 0].join(' ');
        return `  ${key} [${facts}] ${colours}`;
      }),
    ];
  });
  await golden('steps', lines);
});

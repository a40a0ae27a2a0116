import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyRecipe } from '../../../testing/anyRecipe';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import type { Design } from '../../materials/design/design';
import { OWN_DESIGNS } from '../../materials/design/own';
import type { Ink } from '../../materials/ink/ink';
import { USUAL_PANEL } from '../../recipe/panel';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { SchoolId } from '../../recipe/schools/schools';
import { compileSheet, type Owned, type Sheet } from '../compile';
import type { Deed } from '../deeds';
import type { Step } from '../desk';
import { USUAL_PACE } from '../times';
import { tryOut } from './hand';

// Recipes of eight passes take their time on a busy machine.
/** As many brushes and daubers as it takes, or fewer. */
const anyOwned = fc.constantFrom<Owned>(
  {},
  ...[1, 2, 3].map((count) => {
    const each = { 'dye and hybrid': count, pigment: count };
    return { brushes: each, daubers: each };
  }),
);

test('a hand can carry out any sheet with the brushes it has, and what it has laid is what the picture shows', {
  timeout: 120_000,
}, () => {
  fc.assert(
    fc.property(anyRecipe(), anyOwned, (resolved, owned) => {
      const sheet = compileSheet(resolved, 'mm', { owned });
      expect(tryOut(resolved, sheet, true)).toEqual([]);
      for (const { deeds, minutes = 0, title, work, care } of sheet.steps) {
        expect([title, work, ...care].join(' ')).not.toMatch(/NaN|undefined|Infinity/);
        const timed = deeds.flatMap((deed) => ('minutes' in deed ? [deed.minutes] : []));
        if (timed.length > 0)
          expect(
            timed.reduce((sum, each) => sum + each),
            title,
          ).toBeCloseTo(minutes, 6);
      }
    }),
    { numRuns: 60 },
  );
});

test('what goes beside each ink on the mat takes its time before the joins dry, too', () => {
  fc.assert(
    fc.property(anyRecipe(2), fc.constantFrom('one', 'two'), (resolved, drops) => {
      const dropped = withPass(resolved, 'glycerine', { params: { drops } });
      expect(tryOut(dropped, compileSheet(dropped, 'mm'), true)).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

const design = (id: string): Design => OWN_DESIGNS.find((one) => one.id === id) as Design;
const [gorse, weir, skerry] = [
  ink('Gorse', '#e3b20f'),
  ink('Weir', '#007a7c'),
  ink('Skerry', '#005487'),
] as const;
const soot = ink('Soot', '#1d1d1f', 'detail');
const tonal = ['Deep', 'Mid', 'Pale'].map((depth, i) => ({
  ...ink(`Weir ${depth}`, (['#004c52', '#007a7c', '#5bbfc5'] as const)[i] ?? '#5bbfc5'),
  family: 'Weir',
}));
const plain = resolvedOf([gorse, weir, skerry], WHITE_CARD, { panel: USUAL_PANEL });
const pots = { design: design('shelf-of-pots') };

/** A sheet with its steps done otherwise. */
const otherwise = (
  resolved: ResolvedRecipe,
  change: (steps: readonly Step[]) => readonly Step[],
): string[] => {
  const sheet: Sheet = compileSheet(resolved, 'mm');
  return tryOut(resolved, { ...sheet, steps: change(sheet.steps) }, true).map(({ why }) => why);
};
const without = (isLeftOut: (step: Step) => boolean) => (steps: readonly Step[]) =>
  steps.filter((step) => !isLeftOut(step));
const deeds = (change: (deed: Deed) => readonly Deed[]) => (steps: readonly Step[]) =>
  steps.map((step) => ({ ...step, deeds: step.deeds.flatMap(change) }));
const titled = (title: string) => (step: Step) => step.title.startsWith(title);

test('a mark lies on the card or at its very edge, one of its places is enough; a strip has its own', () => {
  const { width, height } = USUAL_PANEL;
  const refused = (resolved: ResolvedRecipe, on: RegExp, ...points: readonly [number, number][]): boolean =>
    otherwise(
      resolved,
      deeds((deed) => {
        if (deed.does !== 'mark' || !on.test(deed.on)) return [deed];
        const [first, ...others] = deed.marks;
        const places = points.map(([x, y]) => ({ from: 'foot' as const, at: 0, point: { x, y } }));
        return [{ ...deed, marks: first ? [{ ...first, places }, ...others] : [] }];
      }),
    ).some((why) => /^The mark .* lies off the card\.$/.test(why));
  const onPanel = (...points: readonly [number, number][]) => refused(plain, /^panel$/, ...points);
  const [least, wide, high] = [-0.01, width + 0.01, height + 0.01];
  expect([onPanel([least, 50]), onPanel([wide, 50]), onPanel([50, least]), onPanel([50, high])]).toEqual(
    Array(4).fill(false),
  );
  expect([onPanel([-1, 50]), onPanel([width + 1, 50]), onPanel([50, -1]), onPanel([50, height + 1])]).toEqual(
    Array(4).fill(true),
  );
  expect(onPanel([-1, 50], [50, 50])).toBe(false);
  expect(refused(withPass(plain, 'greetingStrip'), /^strip /, [-9, -9])).toBe(false);
});

describe('a hand refuses what cannot be done, and says why', () => {
  test.each<[string, ResolvedRecipe, (steps: readonly Step[]) => readonly Step[], RegExp]>([
    [
      'going back with a brush that holds another ink',
      resolvedOf(tonal),
      deeds((deed) => ['brush' in deed && deed.brush ? { ...deed, brush: 'A' } : deed]),
      /Brush A does not hold Weir|Brush A still holds Weir/,
    ],
    [
      'going back with a loaded brush',
      plain,
      deeds((deed) =>
        deed.does === 'go back'
          ? [{ does: 'load', brush: deed.brush, inks: [gorse], load: 'full' }, deed]
          : [deed],
      ),
      /A loaded brush would land in a join/,
    ],
    [
      'brewing a middle on a brush that took up one of its inks alone',
      resolvedOf([gorse, weir], WHITE_CARD, { school: 'bothEnds' }),
      deeds((deed) => [
        deed.does === 'load' && deed.inks.length > 1 ? { ...deed, inks: deed.inks.slice(0, 1) } : deed,
      ]),
      /does not hold Gorse and Weir/,
    ],
    [
      'a strong second coat laid with a touch of the pad',
      withPass(plain, 'secondCoat', { params: { strength: 80 } }),
      (steps) =>
        steps.map((step) => ({
          ...step,
          deeds: step.deeds.map((deed) =>
            deed.does === 'load' && step.title.endsWith('second coat') ? { ...deed, load: 'touch' } : deed,
          ),
        })),
      /The brush is not loaded/,
    ],
    [
      'landing in a join',
      plain,
      deeds((deed) => [deed.does === 'lay' ? { ...deed, land: { x: 50, y: USUAL_PANEL.height / 3 } } : deed]),
      /A loaded brush would land in a join/,
    ],
    [
      'a mat that was not wiped',
      plain,
      deeds((deed) => (deed.does === 'wipe mat' ? [] : [deed])),
      /The mat is still wet with Gorse/,
    ],
    [
      'a mark that was never given',
      plain,
      deeds((deed) => [deed.does === 'mark' ? { ...deed, marks: deed.marks.slice(2) } : deed]),
      /a mark that was never given/,
    ],
    [
      'a tool that was not laid out',
      withPass(plain, 'splash'),
      deeds((deed) => [
        deed.does === 'lay out'
          ? { ...deed, things: deed.things.filter((thing) => thing !== 'water spray') }
          : deed,
      ]),
      /No water spray was laid out/,
    ],
    [
      'a join left as it is',
      plain,
      without(titled('Back with Gorse')),
      /Gorse and Weir was never gone back over/,
    ],
    [
      'an ink drawn farther than the picture shows',
      plain,
      deeds((deed) => [
        deed.does === 'lay' && deed.extent
          ? {
              ...deed,
              extent: { ...deed.extent, solidTo: deed.extent.solidTo + 12, to: deed.extent.to + 12 },
            }
          : deed,
      ]),
      /coats from what the picture shows/,
    ],
    ['an ink left out', plain, without(titled('Skerry')), /Skerry was never laid/],
    [
      'a stamp on water',
      withPass(withPass(plain, 'splash'), 'silhouette', { ink: soot, ...pots }),
      without(titled('Dry the panel')),
      /wet with water/,
    ],
    [
      'a stamp on wet ink',
      withPass(plain, 'silhouette', { ink: soot, ...pots }),
      without(titled('Dry')),
      /It would lie on wet ink/,
    ],
    [
      'a stamp on a wet coat',
      withPass(withPass(plain, 'coat', { ink: skerry }), 'silhouette', { ink: soot, ...pots }),
      without(({ key }) => key === 'dry before silhouette-1'),
      /It would lie on wet ink/,
    ],
    [
      'a strip glued on a wet blend',
      withPass(plain, 'greetingStrip'),
      without(({ key }) => key === 'dry before greetingStrip-1'),
      /It would lie on wet ink/,
    ],
    [
      'powder on a wet face',
      withPass(plain, 'clearResist', pots),
      without(titled('Dry')),
      /Powder on a wet face/,
    ],
    [
      'ink on warm powder',
      withPass(withPass(plain, 'clearResist', pots), 'coat', { ink: skerry }),
      without(titled('Cool')),
      /The powder on it is still warm/,
    ],
    [
      'a resist left smeared',
      withPass(withPass(plain, 'clearResist', pots), 'coat', { ink: skerry }),
      without(titled('Buff')),
      /A resist was never buffed/,
    ],
    [
      'a resist left smeared by a stamp',
      withPass(withPass(plain, 'clearResist', pots), 'toneStamp', pots),
      without(titled('Buff')),
      /A resist was never buffed/,
    ],
    [
      'a mask left on',
      withPass(plain, 'mask', pots),
      without(titled('Lift the mask')),
      /A mask was never lifted/,
    ],
    ['a panel left wet', plain, without(titled('Dry')), /The panel was never dried/],
    [
      'a coat left out that the picture shows',
      withPass(plain, 'coat', { ink: skerry }),
      without(titled('Top coat')),
      /coats from what the picture shows/,
    ],
  ])('%s', (_, resolved, change, why) => {
    expect(otherwise(resolved, (steps) => steps)).toEqual([]);
    expect(otherwise(resolved, change).join('\n')).toMatch(why);
  });

  test('another ink on a brush that was only wiped, but for a depth of its colour that is no paler, and white after white', () => {
    /** Why a hand would not take up the second ink with the first one's brush, only wiped; nothing where it would. */
    const taking = (first: Ink, second: Ink, school: SchoolId = 'paleFirst'): string[] =>
      otherwise(
        resolvedOf([first, second], WHITE_CARD, { school }),
        deeds((deed) =>
          deed.does === 'load' && deed.inks[0] === second
            ? [
                { does: 'clean', brush: 'A', how: 'wiped', minutes: 0.2 },
                { ...deed, brush: 'A' },
              ]
            : [deed],
        ),
      ).filter((why) => / still holds /.test(why));
    const depths = (['deep', 'mid', 'pale'] as const).map((depth, i) => ({ ...tonal[i], depth }) as Ink);
    const [deep, mid, pale] = depths as [Ink, Ink, Ink];
    expect([taking(pale, mid), taking(mid, deep)]).toEqual([[], []]);
    expect(taking(gorse, weir)).toEqual(['Brush A still holds Gorse.']);
    expect(taking(deep, pale, 'darkFirst')).toEqual(['Brush A still holds Weir Deep.']);
    expect(taking(ink('Slip', '#ffffff', 'white'), ink('Haar', '#fffffe', 'white'))).toEqual([]);
  });

  test('going back after the ink has dried, by the clock of whoever works', () => {
    const quick = { ...plain, inks: plain.inks.map((one) => ({ ...one, kind: 'dye' as const })) };
    expect(tryOut(quick, compileSheet(quick, 'mm'))).toEqual([]);
    const slow = compileSheet(quick, 'mm', { pace: { ...USUAL_PACE, layBand: 20, goBack: 12 } });
    const [refusal] = tryOut(quick, slow);
    expect(refusal).toMatchObject({
      isLate: true,
      why: expect.stringMatching(/has dried in the join.*2 min/),
    });
    // Counted from when that ink was last wet there, not from when the work began.
    const after = Number(/after (\d+\.\d)\.$/.exec(refusal?.why ?? '')?.[1]);
    expect(after).toBeGreaterThan(2);
    expect(after).toBeLessThan(60);
  });
});

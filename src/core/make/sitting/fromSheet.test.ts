import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../../testing/resolvedRecipes';
import { OWN_DESIGNS } from '../../materials/design/own';
import { PASS_KIND_IDS } from '../../recipe/passes/passes';
import { compileSheet } from '../../sheet/compile';
import { type Drying, groupOf } from './fromSheet';

const resolved = resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye')]);
const work = (of: typeof resolved, drying: Drying) => groupOf(of, 1, { drying }).operations;
const restAfter = (of: typeof resolved, drying: Drying, name: string) =>
  work(of, drying).find((operation) => operation.name === name)?.rest?.min;

describe('dried the maker’s way', () => {
  test('in air nobody holds a heat tool, whatever is laid; with the heat tool nothing waits but what heat would spoil', () => {
    for (const kind of PASS_KIND_IDS) {
      const laid = withPass(resolved, kind, {
        ink: ink('Slip', '#ffffff', kind === 'whiteBase' ? 'white' : 'hybrid'),
      });
      expect(
        work(laid, 'air').filter(({ heat }) => heat),
        kind,
      ).toEqual([]);
      const inAirAnyway = compileSheet(laid, 'mm')
        .steps.filter(({ noHeat }) => noHeat)
        .reduce((sum, { minutes = 0 }) => sum + minutes, 0);
      const waited = work(laid, 'heat').reduce((sum, { rest }) => sum + (rest?.min ?? 0), 0);
      expect(waited, kind).toBe(inAirAnyway);
    }
  });

  test('in air the heat tool is laid out for what has to melt, and for nothing else', () => {
    const embossed = withPass(resolved, 'clearResist');
    const toolsOf = (of: typeof resolved, drying: Drying) => groupOf(of, 1, { drying }).tools;
    expect(toolsOf(resolved, 'sheet')).toContain('heat tool');
    expect(toolsOf(resolved, 'air')).toEqual(
      toolsOf(resolved, 'sheet').filter((thing) => thing !== 'heat tool' && thing !== 'tweezers'),
    );
    expect(toolsOf(embossed, 'air')).toContain('heat tool');
  });

  test('melted powder cools, glue grows sticky and drops bloom in air, whatever else is heated; common practice', () => {
    const foiled = withPass(resolved, 'foil');
    expect(restAfter(foiled, 'heat', 'Glue for the foil')).toBe(30);
    const embossed = withPass(resolved, 'clearResist');
    const melting = work(embossed, 'heat').findIndex(({ rest }) => rest?.min === 1);
    expect(groupOf(embossed, 1, { drying: 'heat' }).steps[melting]?.deeds).toContainEqual(
      expect.objectContaining({ deed: 'melt' }),
    );
    const bloomed = withPass(resolved, 'splash', { params: { after: 'dried' } });
    expect(restAfter(bloomed, 'heat', 'Splashes')).toBe(15);
    const dabbed = withPass(resolved, 'splash', { params: { after: 'dabbed' } });
    expect(restAfter(dabbed, 'heat', 'Splashes')).toBeUndefined();
  });
});

test('what is done to the wet blend is done while it is wet: a stamp is printed, paste rubbed clean, a mist laid on, foil wiped', () => {
  const inks = resolvedOf([ink('Gorse', '#f8d46f'), ink('Slip', '#009aab', 'pigment')]);
  for (const [kind, title, open] of [
    ['backgroundStamp', 'Print it', 4],
    ['paste', 'Rub the paste back', 4],
    ['mist', 'Mist and smooth', 4],
  ] as const) {
    const operations = work(withPass(inks, kind), 'sheet');
    const at = operations.findIndex(({ name }) => name === title);
    expect(at, kind).toBeGreaterThan(0);
    // The last to touch the blend goes back with Gorse, a hybrid.
    expect(operations[at - 1]?.rest, kind).toEqual({ max: open });
  }
  const [design] = OWN_DESIGNS.filter(({ use }) => use === 'image');
  if (!design) throw new Error('there is no stamp');
  const misted = work(withPass(withPass(inks, 'backgroundStamp', { design }), 'mist'), 'sheet').slice(-5, -2);
  expect(misted.map(({ name }) => name).slice(1)).toEqual(['Mist the rubber', 'Print it']);
  const [blended, mist] = misted;
  expect(blended?.rest).toEqual({ max: 4 - (mist?.minutes ?? 0) - 0.5 });
  expect(mist?.rest).toEqual({ max: 0.5 });
  const stamp = [`stamp: ${design.name}`];
  expect(misted.map(({ things }) => things)).toEqual([stamp, undefined, stamp]);
  const coat = ink('Sloe', '#393060', 'dye');
  const over = work(withPass(withPass(inks, 'foil'), 'coat', { ink: coat }), 'sheet');
  expect(over.slice(-2).map(({ name, rest }) => [name, rest?.max])).toEqual([
    ['Wipe the foil', undefined],
    ['Check, dry', undefined],
  ]);
  expect(over.find(({ name }) => name === 'Top coat: Sloe')?.rest).toEqual({ max: 2 });
});

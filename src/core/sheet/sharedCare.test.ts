import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyRecipe } from '../../testing/anyRecipe';
import { ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import type { Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import { setRun } from '../recipe/editLadder';
import { addPlacement } from '../recipe/editPasses';
import { compileSheet } from './compile';
import type { Step } from './desk';
import { shareCare } from './sharedCare';

test('how a brush is loaded is said once, at every ink; nothing else of the steps changes', () => {
  const { steps } = compileSheet(
    resolvedOf([ink('Gorse', '#f2c230'), ink('Leat', '#0097a7'), ink('Tarn', '#1f4f7a')]),
    'mm',
  );
  const told = shareCare(steps);
  expect(told.shared.find(({ when }) => when === 'At every ink')?.lines.join(' ')).toContain('Load, tap off');
  expect(told.steps.flatMap(({ care }) => care).join(' ')).not.toContain('Load, tap off');
  expect(told.steps.map(({ title, work }) => [title, work])).toEqual(
    steps.map(({ title, work }) => [title, work]),
  );
});

test('with three inks what readies for the next is said of every ink, too; of two it is the second’s own', () => {
  const inks = [ink('Gorse', '#f2c230'), ink('Leat', '#0097a7'), ink('Tarn', '#1f4f7a')];
  const atEveryInk = (count: number) =>
    shareCare(compileSheet(resolvedOf(inks.slice(0, count)), 'mm').steps).shared.find(
      ({ when }) => when === 'At every ink',
    )?.lines;
  const ofBoth = [
    'Load, tap off on white kitchen paper, land in the solid part, small circles.',
    'Fade by lifting pressure, no new ink.',
  ];
  expect(atEveryInk(2)).toEqual(ofBoth);
  expect(atEveryInk(3)).toEqual([
    'Wipe and dry the mat. Fresh brush.',
    'Turn the panel so that the blended edge lies toward your working hand.',
    ...ofBoth,
  ]);
});

test('what is so of some steps only stays with those: which ink is still wet, how a fade is drawn out, what a pass is done with', () => {
  const scattered = resolvedOf([
    ink('Gorse', '#f2c230'),
    ink('Leat', '#0097a7'),
    ink('Tarn', '#1f4f7a', 'dye'),
  ]);
  const { steps } = compileSheet({ ...scattered, recipe: setRun(scattered.recipe, 'scatter') }, 'mm');
  const back = shareCare(steps).shared.find(({ when }) => when === 'Whenever you go back');
  expect(steps.filter(({ kind }) => kind === 'go back').length).toBeGreaterThan(2);
  expect(back?.lines).toEqual(['No new ink.']);
});

test('placings of one pass are told together, and apart from other passes', () => {
  const hills = OWN_DESIGNS.find(({ id }) => id === 'far-hills') as Design;
  const plain = resolvedOf([ink('Gorse', '#f2c230'), ink('Leat', '#0097a7')]);
  const hilly = withPass(plain, 'edgeStencil', { ink: ink('Tarn', '#1f4f7a'), design: hills });
  const thrice = {
    ...hilly,
    recipe: addPlacement(addPlacement(hilly.recipe, 'edgeStencil-1'), 'edgeStencil-1'),
  };
  const { shared } = shareCare(compileSheet(withPass(thrice, 'penDots'), 'mm').steps);
  const told = shared.find(({ when }) => when === 'Edge stencil, every time');
  expect(told?.lines.join(' ')).toMatch(/Held firmly by hand.*let the ink give out before you reach it\.$/);
  expect(shared.flatMap(({ lines }) => lines).join(' ')).not.toContain('Last of all');
});

test('no line is lost, none is said twice for steps of one sort, and what is said of all is said by all but the first', () => {
  fc.assert(
    fc.property(anyRecipe(4), (resolved) => {
      const { steps } = compileSheet(resolved, 'mm');
      const told = shareCare(steps);
      const all = [...told.shared.flatMap(({ lines }) => lines), ...told.steps.flatMap(({ care }) => care)];
      for (const line of steps.flatMap(({ care }) => care)) expect(all).toContain(line);
      const sorts = {
        'At every ink': (step: Step) => step.kind === 'lay',
        'Whenever you go back': (step: Step) => step.kind === 'go back',
      };
      for (const { when, lines } of told.shared) {
        expect(lines.length, when).toBeGreaterThan(0);
        expect(new Set(lines).size).toBe(lines.length);
        const isOfIt =
          sorts[when as keyof typeof sorts] ??
          ((step: Step) => step.kind === 'pass' && step.title.split(/[,:]/)[0] === when.split(',')[0]);
        const [first, ...others] = steps.filter((step) => isOfIt(step));
        for (const line of lines) {
          for (const { care } of others) expect(care).toContain(line);
          if (when !== 'At every ink') expect(first?.care).toContain(line);
          else if (!first?.care.includes(line)) expect(line).toMatch(/^(Wipe|Turn|Patch by patch)/);
        }
      }
    }),
    { numRuns: 25 },
  );
});

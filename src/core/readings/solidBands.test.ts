import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { resolvedOf, valueAt, withPass } from '../../testing/resolvedRecipes';
import type { ParamSpec, ParamSpecs } from '../base/params';
import { coverageOf } from '../engine/coverage';
import { deltaE00 } from '../materials/colour/difference';
import {
  type Lab,
  labOfXyz,
  linearRgbOfXyz,
  srgbLinear,
  xyzOfLab,
  xyzOfLinearRgb,
} from '../materials/colour/lab';
import { INK_KINDS } from '../materials/ink/kinds';
import { paintPanel } from '../picture/paint';
import { setRun, setRunParams } from '../recipe/editLadder';
import { PASS_KINDS } from '../recipe/passes/passes';
import type { ResolvedRecipe } from '../recipe/resolved';
import { RUN_IDS, RUNS } from '../recipe/runs/runs';
import { TOOL_IDS } from '../recipe/tools/tools';
import { readLadder } from './readings';

/** Pixels a millimetre. */
const FINE = 1;
/** A picture is drawn between places it has asked, some mm apart: a rung is solid where it is so all around, mm. */
const AROUND = 4.5;
const NEAR = [-AROUND, 0, AROUND].flatMap((dx) => [-AROUND, 0, AROUND].map((dy) => [dx, dy] as const));

/** A colour as a screen can show it. */
const onScreen = (lab: Lab): Lab => {
  const { r, g, b } = linearRgbOfXyz(xyzOfLab(lab));
  const held = (light: number) => Math.min(Math.max(light, 0), 1);
  return labOfXyz(xyzOfLinearRgb({ r: held(r), g: held(g), b: held(b) }));
};

/**
 * The mean colour of the painted panel wherever one rung lies alone; undefined where it nowhere does.
 */
function solidInPicture(resolved: ResolvedRecipe, rung: number): Lab | undefined {
  const { recipe } = resolved;
  const [width, height] = [recipe.panel.width * FINE, recipe.panel.height * FINE];
  const { pixels } = paintPanel(resolved, 'dry', width, height, { isPlain: true });
  const partsAt = coverageOf(recipe);
  const parts = new Float64Array(recipe.rungs.length);
  const sum = { r: 0, g: 0, b: 0 };
  let solid = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const isSolid = NEAR.every(([dx, dy]) => {
        partsAt((x + 0.5) / FINE + dx, (y + 0.5) / FINE + dy, parts);
        return (parts[rung] ?? 0) > 1 - 1e-6;
      });
      if (!isSolid) continue;
      const [r = 0, g = 0, b = 0] = pixels.subarray(4 * (y * width + x));
      sum.r += srgbLinear((1 / 255) * r);
      sum.g += srgbLinear((1 / 255) * g);
      sum.b += srgbLinear((1 / 255) * b);
      solid++;
    }
  if (solid < 20) return undefined;
  return labOfXyz(xyzOfLinearRgb({ r: sum.r / solid, g: sum.g / solid, b: sum.b / solid }));
}

const anyParams = (specs: ParamSpecs) =>
  fc.record(
    Object.fromEntries(
      Object.entries<ParamSpec>(specs).map(([key, spec]) => [
        key,
        fc.double({ min: 0, max: 1, noNaN: true }).map((part) => valueAt(spec, part)),
      ]),
    ),
  );
const anyRun = fc
  .constantFrom(...RUN_IDS)
  .chain((id) => fc.record({ id: fc.constant(id), params: anyParams(RUNS[id].params) }));
const [white] = DEMO_INKS.filter(({ kind }) => kind === 'white');
const anyBase = fc.option(anyParams(PASS_KINDS.whiteBase.params), { nil: undefined });

test('what is read of a solid band is what the picture shows of it, whatever it is laid with and on', () => {
  const blended = DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].blends);
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...blended), { minLength: 2, maxLength: 4, selector: ({ id }) => id }),
      fc.constantFrom(...DEMO_CARDS),
      fc.constantFrom(...TOOL_IDS),
      anyRun,
      anyBase,
      (inks, card, tool, { id, params }, base) => {
        const plain = resolvedOf(inks, card, { tool, joints: inks.slice(1).map(() => ({ width: 2 })) });
        const laid = { ...plain, recipe: setRunParams(setRun(plain.recipe, id), params) };
        const resolved = base && white ? withPass(laid, 'whiteBase', { ink: white, params: base }) : laid;
        readLadder(resolved).rungs.forEach(({ lab, ink }, rung) => {
          const painted = solidInPicture(resolved, rung);
          if (painted)
            expect(deltaE00(onScreen(lab), painted), `${ink.name} on ${card.name}`).toBeLessThan(0.5);
        });
      },
    ),
    { numRuns: 40 },
  );
});

import fc from 'fast-check';
import type { ParamSpec, ParamSpecs } from '../core/base/params';
import { OWN_DESIGNS } from '../core/materials/design/own';
import { BARE, type Ink } from '../core/materials/ink/ink';
import { INK_KINDS } from '../core/materials/ink/kinds';
import { setPanel, setRun, setRunParams, setShare, settle } from '../core/recipe/editLadder';
import { addPlacement, setPlacement } from '../core/recipe/editPasses';
import { inkSuits } from '../core/recipe/passes/definition';
import { PASS_KIND_IDS, PASS_KINDS, type PassKindId } from '../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { RUN_IDS, RUNS } from '../core/recipe/runs/runs';
import { SCHOOL_IDS } from '../core/recipe/schools/schools';
import { TOOL_IDS } from '../core/recipe/tools/tools';
import { DEMO_CARDS } from '../data/demo/cards';
import { DEMO_INKS } from '../data/demo/inks';
import { resolvedOf, valueAt, withPass } from './resolvedRecipes';

const anyPart = fc.double({ min: 0, max: 1, noNaN: true });

/** Values for all parameters of a kind, anywhere in what they may be. */
export const anyParams = (specs: ParamSpecs) =>
  fc.record(
    Object.fromEntries(
      Object.entries<ParamSpec>(specs).map(([key, spec]) => [
        key,
        anyPart.map((part) => valueAt(spec, part)),
      ]),
    ),
  );

/** A run with its parameters. */
export const anyRun = fc
  .constantFrom(...RUN_IDS)
  .chain((id) => fc.record({ id: fc.constant(id), params: anyParams(RUNS[id].params) }));

/** Inks that blend, and the bare card now and then. */
const LADDER_INKS: readonly Ink[] = [...DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].blends), BARE];

interface WishedPass {
  readonly kind: PassKindId;
  readonly ink: number;
  readonly design: number;
  readonly params: Readonly<Record<string, string | number>>;
  readonly again: boolean;
}
const anyPass: fc.Arbitrary<WishedPass> = fc.constantFrom(...PASS_KIND_IDS).chain((kind) =>
  fc.record({
    kind: fc.constant(kind),
    ink: anyPart,
    design: anyPart,
    params: anyParams(PASS_KINDS[kind].params),
    again: fc.boolean(),
  }),
);

const pick = <T>(list: readonly T[], part: number): T =>
  list[Math.min(Math.floor(part * list.length), list.length - 1)] as T;

/** A recipe with one pass more, sometimes placed twice. */
function withWished(
  resolved: ResolvedRecipe,
  { kind, ink, design, params, again }: WishedPass,
): ResolvedRecipe {
  const { ink: need, design: drawn } = PASS_KINDS[kind];
  const laid = need
    ? pick(
        DEMO_INKS.filter((one) => inkSuits(need, one)),
        ink,
      )
    : undefined;
  const shape = drawn
    ? pick(
        OWN_DESIGNS.filter(({ use }) => use === drawn.use),
        design,
      )
    : undefined;
  const one = withPass(resolved, kind, {
    params,
    ...(laid ? { ink: laid } : {}),
    ...(shape ? { design: shape } : {}),
  });
  const pass = one.recipe.passes.find(({ id }) => !resolved.recipe.passes.some((other) => other.id === id));
  if (!again || !pass || PASS_KINDS[kind].placements.max < 2) return one;
  const twice = addPlacement(one.recipe, pass.id);
  const second = twice.passes.find(({ id }) => id === pass.id)?.placements.at(-1);
  return { ...one, recipe: second ? setPlacement(twice, pass.id, second.id, { params }) : twice };
}

/** Any recipe a maker could put together from the demo's materials: every run, tool, school, kind of ink and of pass. */
export const anyRecipe = (mostPasses = 8): fc.Arbitrary<ResolvedRecipe> =>
  fc
    .record({
      inks: fc.uniqueArray(fc.constantFrom(...LADDER_INKS), {
        minLength: 2,
        maxLength: 5,
        selector: ({ id }) => id,
      }),
      card: fc.constantFrom(...DEMO_CARDS),
      alsoOn: fc.option(fc.constantFrom(...DEMO_CARDS), { nil: undefined }),
      panel: fc.record({
        width: fc.double({ min: 40, max: 300, noNaN: true }),
        height: fc.double({ min: 40, max: 300, noNaN: true }),
      }),
      run: anyRun,
      tool: fc.constantFrom(...TOOL_IDS),
      school: fc.constantFrom(...SCHOOL_IDS, 'suggested' as const),
      shares: fc.array(fc.double({ min: 0.05, max: 0.8, noNaN: true }), { minLength: 1, maxLength: 3 }),
      joints: fc.array(fc.double({ min: 1, max: 120, noNaN: true }), { minLength: 4, maxLength: 4 }),
      passes: fc.array(anyPass, { maxLength: mostPasses }),
    })
    .map(({ inks, card, alsoOn, panel, run, tool, school, shares, joints, passes }) => {
      const plain = resolvedOf(inks, card, { tool, school });
      const run_ = setRunParams(setRun(setPanel(plain.recipe, panel), run.id), run.params);
      const shared = shares.reduce((recipe, share, i) => setShare(recipe, i % inks.length, share), run_);
      const recipe = settle({
        ...shared,
        joints: shared.joints.map((joint, i) => ({ ...joint, width: joints[i] ?? joint.width })),
      });
      const both = alsoOn ? { alsoOn, recipe: { ...recipe, alsoOn: alsoOn.id } } : { recipe };
      return passes.reduce(withWished, { ...plain, ...both });
    });

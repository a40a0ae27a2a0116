import { array, boolean, number, type ObjectSchema, object, string } from 'yup';
import { DESIGN_LIMITS, type Design, isTooBusy, type Shape } from '../materials/design/design';
import type { Ink } from '../materials/ink/ink';
import { inkDoes, PASS_KIND_IDS, PASS_KINDS, PASS_LIMITS, type Pass } from '../recipe/passes/passes';
import type { Fault } from './fileError';
import { id, label, numbers, oneOf, paramFaults, real, unknownField } from './schemaParts';

/** A pass as it stands in files. */
export const passSchema = object({
  id: id(),
  kind: oneOf(PASS_KIND_IDS),
  on: boolean().strict().required(),
  designId: id().optional(),
  placements: array()
    .strict()
    .required()
    .min(1, 'must have at least one placement')
    .max(PASS_LIMITS.placements)
    .of(object({ inkId: id().optional(), params: numbers() }).noUnknown(unknownField).required()),
}).noUnknown(unknownField);

/** Letters of paths that one design may hold, and shapes. */
export const DESIGNS_LIMIT = 600_000;
const MOST_SHAPES = 3000;

const shapeSchema: ObjectSchema<Shape> = object({
  d: string()
    .strict()
    .required()
    .matches(/^[MmLlHhVvCcSsQqTtAaZz\d\s,.eE+-]*$/, 'must be an SVG path'),
  rule: oneOf(['nonzero', 'evenodd'] as const),
  stroke: number().strict().min(0).max(DESIGN_LIMITS.most),
  erases: boolean().strict(),
}).noUnknown(unknownField) as ObjectSchema<Shape>;

/** A design as it stands in files. */
export const designSchema = object({
  id: id(),
  name: label(),
  use: oneOf(['image', 'pattern', 'edge'] as const),
  width: real().min(DESIGN_LIMITS.least).max(DESIGN_LIMITS.most),
  height: real()
    .min(1)
    .max(4 * DESIGN_LIMITS.most),
  shapes: array()
    .strict()
    .required()
    .min(1, 'must have at least one shape')
    .max(MOST_SHAPES, `must have at most ${MOST_SHAPES} shapes`)
    .of(shapeSchema.required()),
})
  .noUnknown(unknownField)
  .test('busy', 'goes up and down too often to be measured', (design) => !isTooBusy(design as Design));

/** What is wrong with passes that have the right shape. */
export function passFaults(
  passes: readonly Pass[],
  inks: ReadonlyMap<string, Ink>,
  designs: readonly Design[],
): Fault[] {
  const faults = passes.flatMap((pass, i) => faultsOfPass(pass, `recipe.passes[${i}]`, inks, designs));
  if (new Set(passes.map((pass) => pass.id)).size < passes.length)
    faults.push({ place: 'recipe.passes', problem: 'has two passes with one id' });
  const placements = passes.reduce((sum, pass) => sum + pass.placements.length, 0);
  if (placements > PASS_LIMITS.placements)
    faults.push({
      place: 'recipe.passes',
      problem: `must have at most ${PASS_LIMITS.placements} placements in all (there are ${placements})`,
    });
  const stages = passes.map(({ kind }) => PASS_KINDS[kind].stage);
  if (stages.lastIndexOf('under') > stages.indexOf('over') && stages.includes('over'))
    faults.push({
      place: 'recipe.passes',
      problem: 'must have what lies under the blend before what lies over it',
    });
  return faults;
}

function faultsOfPass(
  { kind: kindId, designId, placements }: Pass,
  place: string,
  inks: ReadonlyMap<string, Ink>,
  designs: readonly Design[],
): Fault[] {
  const kind = PASS_KINDS[kindId];
  const faults: Fault[] = [];
  if (designId !== undefined && !kind.design)
    faults.push({ place: `${place}.designId`, problem: `${kind.label} takes no design` });
  if (designId !== undefined && !designs.some((design) => design.id === designId))
    faults.push({ place: `${place}.designId`, problem: `no design "${designId}" is in the file` });
  if (designId === undefined && kind.design && !kind.design.optional)
    faults.push({ place: `${place}.designId`, problem: `${kind.label} needs a design` });
  if (placements.length > kind.placements.most)
    faults.push({
      place: `${place}.placements`,
      problem: `${kind.label} has at most ${kind.placements.most} (there are ${placements.length})`,
    });
  placements.forEach(({ inkId, params }, i) => {
    const at = `${place}.placements[${i}]`;
    faults.push(...paramFaults(`${at}.params`, kind.params, params));
    if (!kind.ink) {
      if (inkId !== undefined) faults.push({ place: `${at}.inkId`, problem: `${kind.label} takes no ink` });
      return;
    }
    const ink = inkId === undefined ? undefined : inks.get(inkId);
    if (!ink) faults.push({ place: `${at}.inkId`, problem: `no ink "${inkId}" is in the file` });
    else if (!inkDoes(kind.ink, ink))
      faults.push({
        place: `${at}.inkId`,
        problem: `${ink.name} cannot be laid as ${kind.label.toLowerCase()}`,
      });
  });
  return faults;
}

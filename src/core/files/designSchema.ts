import { array, boolean, number, type ObjectSchema, object, string } from 'yup';
import { DESIGN_LIMITS, DESIGN_USES, type Design, isTooBusy, type Shape } from '../materials/design/design';
import { between, id, label, oneOf, real, unknownField } from './schemaParts';

/** Letters of paths that one design may hold, and shapes. */
export const DESIGNS_LIMIT = 600_000;
export const MAX_SHAPES = 3000;

const shapeSchema: ObjectSchema<Shape> = object({
  d: string()
    .strict()
    .required()
    .matches(/^[MmLlHhVvCcSsQqTtAaZz\d\s,.eE+-]*$/, 'must be an SVG path'),
  rule: oneOf(['nonzero', 'evenodd'] as const),
  stroke: number().strict().min(0).max(DESIGN_LIMITS.max),
  erases: boolean().strict(),
}).noUnknown(unknownField) as ObjectSchema<Shape>;

/** What a maker may change of a design that is drawn. */
const head = { name: label(), use: oneOf(DESIGN_USES), width: between(DESIGN_LIMITS) };
export const designHeadSchema = object(head);

/** A design as it stands in files. */
export const designSchema = object({
  id: id(),
  ...head,
  height: real()
    .min(1)
    .max(4 * DESIGN_LIMITS.max),
  shapes: array()
    .strict()
    .required()
    .min(1, 'must have at least one shape')
    .max(MAX_SHAPES, `must have at most ${MAX_SHAPES} shapes`)
    .of(shapeSchema.required()),
})
  .noUnknown(unknownField)
  .test('busy', 'goes up and down too often to be measured', (design) => !isTooBusy(design as Design));

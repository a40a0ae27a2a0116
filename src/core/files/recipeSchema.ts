import { array, mixed, object } from 'yup';
import { PANEL_LIMITS } from '../recipe/panel';
import { PASS_LIMITS } from '../recipe/passes/passes';
import { RECIPE_LIMITS, RUNG_LIMITS } from '../recipe/recipe';
import { RUN_IDS } from '../recipe/runs/runs';
import { SCHOOL_IDS } from '../recipe/schools/schools';
import { TOOL_IDS } from '../recipe/tools/tools';
import { passSchema } from './passSchema';
import { isPlain } from './plain';
import { between, id, label, oneOf, real, unknownField, values } from './schemaParts';

const { notes: NOTES, run: RUN } = RECIPE_LIMITS;

/** The maker's notes as they stand in files: texts, each under the key of its step. */
const notes = () =>
  mixed<Readonly<Record<string, string>>>().test(
    'notes',
    `must be texts of at most ${NOTES.letters} letters, each under the key of its step`,
    (value) =>
      value === undefined ||
      (isPlain(value) &&
        Object.keys(value).length <= NOTES.count &&
        Object.entries(value).every(
          ([key, note]) =>
            key.length <= NOTES.key && typeof note === 'string' && note.length <= NOTES.letters,
        )),
  );

/** A recipe as it stands in files: its shape; what its parts must be to each other is looked at afterwards. */
export const recipeSchema = object({
  id: id(),
  name: label(),
  cardId: id(),
  alsoOn: id().optional(),
  panel: object({ width: between(PANEL_LIMITS), height: between(PANEL_LIMITS) })
    .noUnknown(unknownField)
    .required(),
  run: object({ id: oneOf(RUN_IDS), params: values() })
    .noUnknown(unknownField)
    .required(),
  passes: array()
    .strict()
    .required()
    .max(PASS_LIMITS.passes, `must have at most ${PASS_LIMITS.passes} passes`)
    .of(passSchema.required()),
  tool: oneOf(TOOL_IDS),
  school: oneOf([...SCHOOL_IDS, 'suggested'] as const),
  wanted: array().strict().max(RUNG_LIMITS.max).of(real().moreThan(0).lessThan(1)),
  notes: notes(),
  rungs: array()
    .strict()
    .required()
    .min(RUNG_LIMITS.min, `must have at least ${RUNG_LIMITS.min} rungs`)
    .max(RUNG_LIMITS.max, `must have at most ${RUNG_LIMITS.max} rungs`)
    .of(
      object({ id: id(), inkId: id(), share: real().moreThan(0).max(1) })
        .noUnknown(unknownField)
        .required(),
    ),
  joints: array()
    .strict()
    .required()
    .max(RUNG_LIMITS.max - 1)
    .of(
      object({ width: real().moreThan(0).max(RUN.max) })
        .noUnknown(unknownField)
        .required(),
    ),
}).noUnknown(unknownField);

import { isChoice, isWhole, type ParamSpec, type ParamSpecs } from '../base/params';
import { CARD_LIMITS } from '../materials/card/card';
import { FINISH_IDS } from '../materials/card/finishes';
import { DESIGN_LIMITS, DESIGN_USES } from '../materials/design/design';
import { INK_DEPTHS, INK_LIMITS } from '../materials/ink/ink';
import { INK_KIND_IDS } from '../materials/ink/kinds';
import { MODES } from '../materials/ink/modes';
import { DOUBTS, TAUGHT_LIMITS } from '../materials/ink/taught';
import { PANEL_LIMITS } from '../recipe/panel';
import { PASS_KIND_IDS, PASS_KINDS, PASS_LIMITS, type PassKindId } from '../recipe/passes/passes';
import { RECIPE_LIMITS, RUNG_LIMITS } from '../recipe/recipe';
import { RUN_IDS, RUNS } from '../recipe/runs/runs';
import { SCHOOL_IDS } from '../recipe/schools/schools';
import { TOOL_IDS } from '../recipe/tools/tools';
import { MAX_SHAPES } from './designSchema';
import { MAX_INKS, RECIPE_FORMAT } from './recipeFile';
import { RECIPE_VERSION } from './recipeMigrations';

type Json = Readonly<Record<string, unknown>>;

/** A record with these fields and no others; those named in `optional` may be left out. */
const record = (properties: Json, optional: readonly string[] = []): Json => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
  properties,
});
const list = (items: Json, limits: Json): Json => ({ type: 'array', ...limits, items });
const ref = (name: string): Json => ({ $ref: `#/$defs/${name}` });
const between = ({ min, max }: { readonly min: number; readonly max: number }): Json => ({
  type: 'number',
  minimum: min,
  maximum: max,
});
const text = (maxLength: number): Json => ({ type: 'string', maxLength });

const UNITS = { mm: 'mm', '°': 'degrees', '%': 'per cent', '×': 'a count', seed: 'a seed' } as const;

const param = (spec: ParamSpec): Json =>
  isChoice(spec)
    ? { description: spec.label, enum: Object.keys(spec.choices) }
    : {
        description: `${spec.label}, ${UNITS[spec.unit]}`,
        ...between(spec),
        ...(isWhole(spec) ? { type: 'integer' } : {}),
      };
const params = (specs: ParamSpecs): Json =>
  record(Object.fromEntries(Object.entries(specs).map(([key, spec]) => [key, param(spec)])));

function pass(id: PassKindId): Json {
  const kind = PASS_KINDS[id];
  const placement = record({
    id: ref('id'),
    ...(kind.ink ? { inkId: ref('id') } : {}),
    params: params(kind.params),
  });
  return {
    description: kind.description,
    ...record(
      {
        id: ref('id'),
        kind: { const: id },
        enabled: { type: 'boolean' },
        ...(kind.design ? { designId: ref('id') } : {}),
        placements: list(placement, { minItems: 1, maxItems: kind.placements.max }),
      },
      kind.design?.optional ? ['designId'] : [],
    ),
  };
}

const recipe = (): Json =>
  record(
    {
      id: ref('id'),
      name: ref('label'),
      cardId: ref('id'),
      alsoOn: { description: 'A second card laid at the same time', ...ref('id') },
      panel: record({ width: ref('side'), height: ref('side') }),
      run: { oneOf: RUN_IDS.map((id) => record({ id: { const: id }, params: params(RUNS[id].params) })) },
      school: { enum: [...SCHOOL_IDS, 'suggested'] },
      rungs: {
        description: 'In run order: from the top of a straight panel to its foot',
        ...list(
          record({
            id: ref('id'),
            inkId: ref('id'),
            share: {
              description: 'Part of the run, 0 to 1; all shares add up to 1',
              type: 'number',
              exclusiveMinimum: 0,
              maximum: 1,
            },
          }),
          { minItems: RUNG_LIMITS.min, maxItems: RUNG_LIMITS.max },
        ),
      },
      joints: {
        description: 'Joint i lies between rungs i and i + 1',
        ...list(
          record({
            width: {
              description: 'mm along the run',
              type: 'number',
              exclusiveMinimum: 0,
              maximum: RECIPE_LIMITS.run.max,
            },
          }),
          { maxItems: RUNG_LIMITS.max - 1 },
        ),
      },
      passes: {
        description: 'Done beside the blend: those before it, then those over it, each in the order of work',
        ...list({ oneOf: PASS_KIND_IDS.map((id) => ref(`pass-${id}`)) }, { maxItems: PASS_LIMITS.passes }),
      },
      tool: { enum: [...TOOL_IDS] },
      wanted: {
        description: 'Parts of the panel to be seen of each rung',
        ...list({ type: 'number', exclusiveMinimum: 0, exclusiveMaximum: 1 }, { maxItems: RUNG_LIMITS.max }),
      },
      notes: {
        description: 'The maker’s notes, each under the key of its step',
        type: 'object',
        maxProperties: RECIPE_LIMITS.notes.count,
        propertyNames: { maxLength: RECIPE_LIMITS.notes.key },
        additionalProperties: text(RECIPE_LIMITS.notes.letters),
      },
    },
    ['alsoOn', 'wanted', 'notes'],
  );

/** What panels taught of an ink, as `TaughtInk` says. */
const taught = (): Json => ({
  description: 'What panels that were made have taught of it',
  ...record(
    {
      strength: { description: 'Against its swatch', ...between(TAUGHT_LIMITS.strength) },
      scattering: { description: 'Against what is usual for it', ...between(TAUGHT_LIMITS.scattering) },
      slope: { description: 'n of (550 nm/λ)^n', ...between(TAUGHT_LIMITS.slope) },
      modes: list(between(TAUGHT_LIMITS.mode), { minItems: MODES, maxItems: MODES }),
      doubt: {
        description: 'Covariances of strength, scattering, slope and modes: the lower triangle, row by row',
        ...list(between(TAUGHT_LIMITS.doubt), { minItems: DOUBTS, maxItems: DOUBTS }),
      },
      panels: { ...between(TAUGHT_LIMITS.panels), type: 'integer' },
      at: text(40),
      off: { description: 'Kept, but switched off', type: 'boolean' },
    },
    ['off'],
  ),
});

const ink = (): Json =>
  record(
    {
      id: ref('id'),
      name: ref('label'),
      family: ref('label'),
      depth: { enum: [...INK_DEPTHS] },
      kind: { enum: [...INK_KIND_IDS] },
      overWhite: ref('colour'),
      overBlack: ref('colour'),
      line: { description: 'The maker’s line, in the owner’s words', ...text(INK_LIMITS.line) },
      note: text(INK_LIMITS.note),
      wished: { description: 'Wished for, not owned', type: 'boolean' },
      dryBack: {
        description: 'Part of the wet film’s strength lost by drying',
        ...between(INK_LIMITS.dryBack),
      },
      strength: {
        description: 'How much of it this maker’s hand lays in a coat, against its swatch; 1 where left out',
        ...between(INK_LIMITS.strength),
      },
      lifts: { description: 'Part of a coat that water takes off again', ...between(INK_LIMITS.lifts) },
      taught: taught(),
      brush: text(INK_LIMITS.brush),
    },
    ['overBlack', 'line', 'note', 'wished', 'dryBack', 'strength', 'lifts', 'taught', 'brush'],
  );

const card = (): Json =>
  record(
    {
      id: ref('id'),
      name: ref('label'),
      colour: ref('colour'),
      finish: { enum: [...FINISH_IDS] },
      grammage: { description: 'g/m²', ...between(CARD_LIMITS.grammage) },
      sheet: {
        description: 'Size of a whole sheet, mm',
        ...record({ width: between(CARD_LIMITS.sheet), height: between(CARD_LIMITS.sheet) }),
      },
      stock: {
        description: 'Whole sheets in the drawer',
        ...between(CARD_LIMITS.stock),
        type: 'integer',
      },
      note: text(CARD_LIMITS.note),
    },
    ['sheet', 'stock', 'note'],
  );

const design = (): Json => ({
  description: 'Drawn in mm from the top left corner of its box',
  ...record({
    id: ref('id'),
    name: ref('label'),
    use: { enum: [...DESIGN_USES] },
    width: between(DESIGN_LIMITS),
    height: between({ min: 1, max: 4 * DESIGN_LIMITS.max }),
    shapes: list(
      record(
        {
          d: { description: 'An SVG path', type: 'string', pattern: '^[MmLlHhVvCcSsQqTtAaZz\\d\\s,.eE+-]*$' },
          rule: { enum: ['nonzero', 'evenodd'] },
          stroke: {
            description: 'A line so many mm wide instead of a filled shape',
            ...between({ min: 0, max: DESIGN_LIMITS.max }),
          },
          erases: { description: 'Takes away from the shapes before it', type: 'boolean' },
        },
        ['stroke', 'erases'],
      ),
      { minItems: 1, maxItems: MAX_SHAPES },
    ),
  }),
});

/** Today's recipe file as a JSON Schema, made from the tables of kinds and the limits that the reader goes by. */
export const recipeJsonSchema = (): Json => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: `${RECIPE_FORMAT}/${RECIPE_VERSION}`,
  title: `Tint Ladder recipe, version ${RECIPE_VERSION}`,
  description:
    'One recipe with the inks and the card it needs. Beyond this schema: shares add up to 1, there is one joint fewer than rungs, joints do not cross, every ink of a rung or a placement is among the inks (a rung of bare card has inkId bare-card and no ink), recipe.cardId is card.id, and no two rungs, passes or placements of a pass have one id.',
  ...record(
    {
      format: { const: RECIPE_FORMAT },
      version: { const: RECIPE_VERSION },
      recipe: ref('recipe'),
      card: ref('card'),
      alsoOn: ref('card'),
      inks: list(ref('ink'), { minItems: 1, maxItems: MAX_INKS }),
      designs: {
        description: 'Each design once; those that ship with the program are left out',
        ...list(ref('design'), { maxItems: PASS_LIMITS.passes }),
      },
    },
    ['alsoOn'],
  ),
  $defs: {
    id: { type: 'string', pattern: '^[\\w-]{1,64}$' },
    label: { type: 'string', minLength: 1, maxLength: RECIPE_LIMITS.name, pattern: '^\\S(.*\\S)?$' },
    colour: { type: 'string', description: 'sRGB', pattern: '^#[0-9a-fA-F]{6}$' },
    side: { description: 'mm', ...between(PANEL_LIMITS) },
    recipe: recipe(),
    card: card(),
    ink: ink(),
    design: design(),
    ...Object.fromEntries(PASS_KIND_IDS.map((id) => [`pass-${id}`, pass(id)])),
  },
});

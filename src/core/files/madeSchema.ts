import { array, boolean, number, object, string } from 'yup';
import { CHANGE_IDS } from '../keep/log/changes';
import { MADE_LIMITS as L, RATINGS } from '../keep/log/made';
import { TROUBLE_IDS } from '../keep/log/troubles';
import { MOST_REINKED, OWN_TOOL_LIMITS, TOOL_KINDS } from '../keep/pads/pad';
import { FIELD_IDS } from '../keep/swatches/page';
import { isHex } from '../materials/colour/hex';
import { VERDICT_KINDS } from '../readings/joints/joint';
import { PANEL_LIMITS } from '../recipe/panel';
import { RUNG_LIMITS } from '../recipe/recipe';
import { cardSchema } from './cardSchema';
import { isDay } from './day';
import { designSchema } from './designSchema';
import { inkSchema } from './inkSchema';
import { recipeSchema } from './recipeSchema';
import { between, COLOUR_FAULT, colour, id, label, oneOf, real, unknownField } from './schemaParts';

const day = () =>
  string()
    .strict()
    .required()
    .test('day', 'must be a day as 2026-05-01', (value) => isDay(value ?? ''));
const text = (most: number) => string().strict().max(most);

const verdict = () =>
  string()
    .strict()
    .oneOf([...VERDICT_KINDS]);

/** What of a made panel a log and a backup have alike. */
export const MADE_FIELDS = {
  number: between(L.number).integer('must be a whole number'),
  date: day(),
  occasion: text(L.occasion),
  rating: number().strict().integer().min(RATINGS.min).max(RATINGS.max),
  favourite: boolean().strict(),
  tags: array().strict().max(L.tags).of(text(L.tag).required().min(1)),
  times: array()
    .strict()
    .max(L.times)
    .of(
      object({ key: text(80).required(), title: text(400).required(), minutes: between(L.minutes) })
        .noUnknown(unknownField)
        .required(),
    ),
  troubles: array().strict().max(TROUBLE_IDS.length).of(oneOf(TROUBLE_IDS)),
  dryMinutes: number().strict().min(L.minutes.min).max(L.minutes.max),
  guesses: array()
    .strict()
    .max(RUNG_LIMITS.max)
    .of(object({ said: verdict(), came: verdict() }).noUnknown(unknownField).required()),
  differently: text(L.differently),
  changes: array()
    .strict()
    .max(L.changes)
    .of(
      object({ id: oneOf(CHANGE_IDS), inkId: id().notRequired() })
        .noUnknown(unknownField)
        .required(),
    ),
  note: text(L.note),
} as const;

/** A place on a panel, mm. */
export const placeSchema = object({
  x: between({ min: 0, max: PANEL_LIMITS.max }),
  y: between({ min: 0, max: PANEL_LIMITS.max }),
})
  .noUnknown(unknownField)
  .default(undefined)
  .optional();

/** So many coats of named inks, one layer. */
export const layerSchema = () =>
  array()
    .strict()
    .max(L.inks)
    .of(
      object({ ink: label(), coats: between(L.coats) })
        .noUnknown(unknownField)
        .required(),
    );

const labSchema = () =>
  object({
    l: between({ min: 0, max: 100 }),
    a: between({ min: -150, max: 150 }),
    b: between({ min: -150, max: 150 }),
  }).noUnknown(unknownField);

const reading = object({
  at: placeSchema,
  layers: array().strict().max(L.layers).of(layerSchema().required()),
  card: string()
    .strict()
    .test('hex', COLOUR_FAULT, (value) => value === undefined || isHex(value)),
  lab: labSchema().required(),
  source: oneOf(['reader', 'photograph']),
  noise: between(L.noise),
  wet: boolean().strict(),
}).noUnknown(unknownField);

const point = object({ x: real(), y: real() }).noUnknown(unknownField);
const photo = object({
  id: id(),
  corners: array().strict().length(4).max(4).of(point.required()).default(undefined).optional(),
  fullSize: string().strict().max(64),
}).noUnknown(unknownField);

/** A made panel as it stands in a backup. */
export const madePanelSchema = object({
  ...MADE_FIELDS,
  id: id(),
  name: text(L.name).required(),
  made: object({
    recipe: recipeSchema.required(),
    card: cardSchema.required(),
    alsoOn: cardSchema.default(undefined).optional(),
    inks: array().strict().required().max(100).of(inkSchema.required()),
    designs: array().strict().required().max(100).of(designSchema.required()),
  })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
  inkNames: array().strict().max(L.inks).of(label()),
  readings: array().strict().required().max(L.readings).of(reading.required()),
  photos: array().strict().max(L.photos).of(photo.required()),
  after: id().notRequired(),
}).noUnknown(unknownField);

/** The first day a panel is logged as made on: what lies before was mistyped. */
export const FIRST_DAY = '1970-01-01';

/** A panel as it is logged by hand on a day. */
export const handPanelSchema = (today: string) =>
  madePanelSchema.omit(['id', 'number']).shape({
    date: day().test(
      'made',
      `must be from ${FIRST_DAY} to ${today}`,
      (date) => date !== undefined && date >= FIRST_DAY && date <= today,
    ),
  });

const pixels = () => between({ min: 1, max: 20_000 }).integer();
/** A photograph's record; its picture stands beside it. */
export const photoSchema = object({
  id: id(),
  type: oneOf(['image/webp', 'image/jpeg', 'image/png']),
  width: pixels(),
  height: pixels(),
}).noUnknown(unknownField);

export const padSchema = object({
  inkId: id(),
  reinked: array().strict().required().max(MOST_REINKED).of(day()),
}).noUnknown(unknownField);

export const ownToolSchema = object({
  id: id(),
  kind: oneOf(TOOL_KINDS),
  label: text(OWN_TOOL_LIMITS.label).required().min(1),
  holds: text(OWN_TOOL_LIMITS.holds),
  washed: string()
    .strict()
    .test('day', 'must be a day as 2026-05-01', (value) => value === undefined || isDay(value)),
}).noUnknown(unknownField);

const part = () => between({ min: 0, max: 1 });
export const swatchSchema = object({
  id: text(140).required(),
  inkId: id(),
  cardId: id(),
  date: day(),
  fields: object(Object.fromEntries(FIELD_IDS.map((field) => [field, labSchema().required()])))
    .noUnknown(unknownField)
    .required(),
  overWhite: colour(),
  overBlack: colour(),
  lifts: object({ atOnce: part(), waited: part() }).noUnknown(unknownField).required(),
}).noUnknown(unknownField);

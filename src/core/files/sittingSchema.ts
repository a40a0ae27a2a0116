import { array, boolean, mixed, number, object, string } from 'yup';
import { RECORD_LIMITS } from '../make/sitting/record';
import { SITTING_LIMITS as L } from '../make/sitting/sitting';
import { isDay } from './day';
import { isPlain } from './plain';
import { between, id, label, oneOf, unknownField } from './schemaParts';

export const MINUTES = { min: 0, max: 24 * 60 } as const;
const whole = (min: number, max: number) =>
  number().strict().integer('must be a whole number').min(min).max(max);

/** An hour of day, `18:30`. */
export const hour = () =>
  string()
    .strict()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time as 18:30');

const isCounts = (value: unknown): boolean =>
  value === undefined ||
  (isPlain(value) &&
    Object.values(value).every(
      (count) => Number.isInteger(count) && Number(count) >= 0 && Number(count) <= L.brushes,
    ));

/** What is at hand; whatever is left out is as usual. */
export const atHandSchema = () =>
  object({
    hands: whole(1, L.hands),
    mats: whole(0, L.mats),
    brushes: mixed().test('counts', `must give a whole number from 0 to ${L.brushes} a set`, isCounts),
    heatTools: whole(0, L.heatTools),
    places: whole(0, L.places),
    wipeMinutes: number().strict().min(0).max(30),
    washMinutes: number().strict().min(0).max(30),
    dampMinutes: number().strict().min(0).max(240),
  }).noUnknown(unknownField);

/** Minutes of a run: it may be left lying, and taken up again long after. */
const TEN_YEARS = 10 * 366 * 24 * 60;
const time = () => number().strict().min(0).max(TEN_YEARS);
/** Milliseconds since 1970, as far as a calendar goes (ECMAScript). */
const moment = () => number().strict().min(-8.64e15).max(8.64e15);
const place = () => number().strict().required().integer().min(0).max(10_000);
const line = object({
  does: oneOf(['operation', 'wipe', 'wash'] as const),
  group: place(),
  panel: place(),
  operation: place(),
  hand: place(),
  mat: number().strict().integer().min(0).max(1000),
  brush: number().strict().integer().min(0).max(1000),
  start: time().required(),
  end: time().required(),
  spoiled: boolean().strict(),
}).noUnknown(unknownField);
const token = object({
  group: place(),
  stage: place(),
  wipesAfter: array().strict().max(12).of(place()).default(undefined),
}).noUnknown(unknownField);
const sheets = () =>
  array()
    .strict()
    .max(100)
    .of(object({ cardId: id(), sheets: place() }).noUnknown(unknownField).required())
    .default(undefined);

/** A sitting as it is kept. */
export const sittingSchema = object({
  id: id(),
  name: string().strict().required().max(RECORD_LIMITS.name),
  date: string()
    .strict()
    .required()
    .test('day', 'must be a day as 2026-05-01', (value) => isDay(value ?? '')),
  start: hour().required(),
  finish: hour(),
  breaks: array()
    .strict()
    .required()
    .max(RECORD_LIMITS.breaks)
    .of(
      object({ id: id(), at: hour().required(), minutes: between(MINUTES) })
        .noUnknown(unknownField)
        .required(),
    ),
  lots: array()
    .strict()
    .required()
    .max(RECORD_LIMITS.lots)
    .of(
      object({ id: id(), recipeId: label(), count: whole(0, L.panels).required() })
        .noUnknown(unknownField)
        .required(),
    ),
  atHand: atHandSchema().required(),
  drying: oneOf(['sheet', 'air', 'heat'] as const),
  wants: oneOf(['early', 'clean'] as const),
  putsTogether: boolean().strict().required(),
  pattern: boolean().strict(),
  reserves: sheets(),
  run: object({
    begunAt: moment().required(),
    with: object({
      maker: mixed().test('maker', 'must be times and brushes of one’s own', (value) => isPlain(value)),
      recipes: array()
        .strict()
        .required()
        .max(RECORD_LIMITS.lots)
        .of(
          object({ lotId: id(), file: string().strict().required().max(4_000_000) })
            .noUnknown(unknownField)
            .required(),
        ),
    })
      .noUnknown(unknownField)
      .required(),
    lines: array().strict().required().max(50_000).of(line.required()),
    out: array().strict().required().max(10_000).of(string().strict().required().max(20)),
    order: array().strict().required().max(50_000).of(token.required()),
    logged: mixed().test('names', 'must name a panel of the log each', (value) => isPlain(value)),
    away: array()
      .strict()
      .max(RECORD_LIMITS.away)
      .of(object({ from: time().required(), to: time() }).noUnknown(unknownField).required())
      .default(undefined),
    endedAt: moment(),
    used: sheets(),
  })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
}).noUnknown(unknownField);

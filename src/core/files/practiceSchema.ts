import { array, boolean, mixed, number, object, string } from 'yup';
import { EXERCISE_IDS } from '../practice/exercises/definition';
import { isPlain } from './plain';
import { oneOf, unknownField } from './schemaParts';

const figure = () => number().strict().required().min(0).max(1e6);
const key = () => string().strict().required().max(600);
const moment = () => number().strict().required().min(0).max(1e14);

/** One answer of practice. */
export const trialSchema = object({
  id: number().strict().integer().min(0),
  at: moment(),
  exercise: oneOf(EXERCISE_IDS),
  key: key(),
  level: figure(),
  isRight: boolean().strict().required(),
  score: figure(),
  off: number().strict().min(0).max(1e6),
  inks: array().strict().required().max(8).of(string().strict().required().max(200)),
  hues: array().strict().required().max(12).of(number().strict().integer().required().min(0).max(11)),
}).noUnknown(unknownField);

/** Something that is to be asked again. */
export const knownSchema = object({
  key: key(),
  exercise: oneOf(EXERCISE_IDS),
  seed: number()
    .strict()
    .integer()
    .required()
    .min(0)
    .max(2 ** 31),
  due: moment(),
  memory: mixed().test(
    'memory',
    'must be what the scheduler keeps of it',
    (value) => isPlain(value) && 'due' in value,
  ),
}).noUnknown(unknownField);

import { mixed, number, string } from 'yup';
import {
  isChoice,
  isWhole,
  type ParamSpec,
  type ParamSpecs,
  type Params,
  type ParamValue,
} from '../base/params';
import { type Hex, isHex } from '../materials/colour/hex';
import type { Fault } from './fileError';
import { isPlain } from './plain';

export const id = () =>
  string()
    .strict()
    .matches(/^[\w-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _')
    .required();
export const label = () =>
  string().strict().trim('must not begin or end with a space').min(1).max(120).required();
export const COLOUR_FAULT = 'must be a colour as # and six hexadecimal digits';
export const colour = () =>
  string<Hex>()
    .strict()
    .required()
    .test('hex', COLOUR_FAULT, (value) => isHex(value ?? ''));
export const oneOf = <T extends string>(values: readonly T[]) =>
  string<T>()
    .strict()
    .required()
    .oneOf([...values], `must be one of ${values.join(', ')}`);
export const real = () => number().strict().typeError('must be a number').required();
/** Values by their keys; which keys, and what they may be, the run or the pass says. */
export const values = () =>
  mixed<Params>()
    .required()
    .test(
      'values',
      'must be numbers and words by their names',
      (value) =>
        isPlain(value) &&
        Object.values(value).every((one) => Number.isFinite(one) || typeof one === 'string'),
    );

export function unknownField({ unknown }: { unknown: string }): string {
  return `has a field that does not belong there: ${clip(unknown)}`;
}

export const clip = (text: string): string => (text.length > 40 ? `${text.slice(0, 37)}…` : text);

/** What is wrong with the parameters of a run or of a pass. */
export function paramFaults(place: string, specs: ParamSpecs, params: Params): Fault[] {
  const unknown = Object.keys(params).filter((key) => !(key in specs));
  return [
    ...unknown.map((key) => ({ place, problem: `has a number that does not belong there: ${clip(key)}` })),
    ...Object.entries(specs).flatMap(([key, spec]) => {
      const allowed = allows(spec, params[key]);
      return allowed
        ? [
            {
              place: `${place}.${key}`,
              problem: `${allowed} (it is ${clip(JSON.stringify(params[key]) ?? 'missing')})`,
            },
          ]
        : [];
    }),
  ];
}

/** What a value must be, where it is not; undefined where it will do. */
function allows(spec: ParamSpec, value: ParamValue | undefined): string | undefined {
  if (isChoice(spec)) {
    const words = Object.keys(spec.choices);
    return typeof value === 'string' && words.includes(value)
      ? undefined
      : `must be one of ${words.join(', ')}`;
  }
  const whole = isWhole(spec);
  const fits =
    typeof value === 'number' &&
    value >= spec.min &&
    value <= spec.max &&
    (!whole || Number.isInteger(value));
  return fits ? undefined : `must be a ${whole ? 'whole ' : ''}number from ${spec.min} to ${spec.max}`;
}

/** A limit on a measure, as both ends of it. */
export const between = ({ min, max }: { readonly min: number; readonly max: number }) =>
  real().min(min).max(max);

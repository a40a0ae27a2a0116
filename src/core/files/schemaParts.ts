import { mixed, number, string } from 'yup';
import { isWhole, type ParamSpec, type Params, rangeOf } from '../base/params';
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
/** Numbers by their keys; which keys, and how far they may go, the run or the pass says. */
export const numbers = () =>
  mixed<Params>()
    .required()
    .test(
      'numbers',
      'must be numbers by their names',
      (value) => isPlain(value) && Object.values(value).every((number) => Number.isFinite(number)),
    );

export function unknownField({ unknown }: { unknown: string }): string {
  return `has a field that does not belong there: ${unknown}`;
}

export const clip = (text: string): string => (text.length > 40 ? `${text.slice(0, 37)}…` : text);

export function paramFaults(place: string, specs: readonly ParamSpec[], params: Params): Fault[] {
  const unknown = Object.keys(params).filter((key) => !specs.some((spec) => spec.key === key));
  return [
    ...unknown.map((key) => ({ place, problem: `has a number that does not belong there: ${clip(key)}` })),
    ...specs.flatMap((spec) => {
      const value = params[spec.key];
      const [least, most] = rangeOf(spec);
      const whole = isWhole(spec);
      return value === undefined || value < least || value > most || (whole && !Number.isInteger(value))
        ? [
            {
              place: `${place}.${spec.key}`,
              problem: `must be a ${whole ? 'whole ' : ''}number from ${least} to ${most} (it is ${value})`,
            },
          ]
        : [];
    }),
  ];
}

import * as react from 'react/jsx-dev-runtime';
import { isolatedChildren } from './isolatedChildren';

export type { JSX } from 'react/jsx-dev-runtime';
export { Fragment } from 'react/jsx-dev-runtime';

/** The same as in `jsx-runtime.ts`, for the development server. */
export const jsxDEV: typeof react.jsxDEV = (type, props, ...rest) =>
  react.jsxDEV(type, isolatedChildren(props), ...rest);

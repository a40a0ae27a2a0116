import * as react from 'react/jsx-runtime';
import { isolatedChildren } from './isolatedChildren';

export type { JSX } from 'react/jsx-runtime';
export { Fragment } from 'react/jsx-runtime';

// What TSX is compiled to. A maker's names stand in hundreds of sentences, and each that runs from right to left has to
// keep to itself in all of them: so it is seen to where sentences become elements.

export const jsx: typeof react.jsx = (type, props, key) => react.jsx(type, isolatedChildren(props), key);
export const jsxs: typeof react.jsxs = (type, props, key) => react.jsxs(type, isolatedChildren(props), key);

import { plainSigns } from '../core/base/typed';

interface Press {
  readonly key: string;
  readonly code: string;
}

/**
 * What a command is called by when its key is pressed: the letter on it or, where a keyboard writes other letters than
 * Latin ones, the Latin letter that such keyboards have on the same key, as systems take their own commands. Small.
 *
 * Source: UI Events KeyboardEvent code Values, W3C.
 */
export function latinKey({ key, code }: Press): string {
  if (key.length !== 1) return key;
  const isForeign = /\p{L}/u.test(key) && !/\p{Script=Latin}/u.test(key);
  const onKey = /^Key([A-Z])$/.exec(code)?.[1];
  return (isForeign && onKey ? onKey : key).toLowerCase();
}

/** The figure that was meant, on a keyboard too whose row of figures has other signs in front; undefined where it is none. */
export function figureKey({
  key,
  code,
  shiftKey,
}: Press & { readonly shiftKey: boolean }): number | undefined {
  const written = /^\d$/.exec(plainSigns(key))?.[0];
  const figure = written ?? (shiftKey ? undefined : /^Digit(\d)$/.exec(code)?.[1]);
  return figure === undefined ? undefined : Number(figure);
}

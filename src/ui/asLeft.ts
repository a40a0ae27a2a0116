import {
  createContext,
  type Dispatch,
  type RefObject,
  type SetStateAction,
  useContext,
  useEffect,
  useLayoutEffect,
  useState,
} from 'react';

/** How drawers and walls were left, by what they are, for as long as the page is open. */
export const LeftContext = createContext<Map<string, unknown>>(new Map());

/** A state that is found as it was left, whenever one comes back to what has it; as usual on a page that is loaded anew. */
export function useAsLeft<State>(
  what: string,
  usual: State | (() => State),
): readonly [State, Dispatch<SetStateAction<State>>] {
  const left = useContext(LeftContext);
  const [state, setState] = useState<State>(left.has(what) ? (left.get(what) as State) : usual);
  useEffect(() => {
    left.set(what, state);
  }, [left, what, state]);
  return [state, setState];
}

/**
 * Scrolls a box to where it was left, and remembers that once it is left again.
 *
 * @returns how far that is, px
 */
export function useScrolledAsLeft(what: string, box: RefObject<HTMLElement | null>): number {
  const left = useContext(LeftContext);
  const key = `${what}, scrolled`;
  const [from] = useState(() => (left.get(key) as number | undefined) ?? 0);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    // The browser lays out the whole view for it: only where there is something to be scrolled to.
    if (from > 0) element.scrollTop = from;
    return () => {
      left.set(key, element.scrollTop);
    };
  }, [left, key, from, box]);
  return from;
}

import { useSearchParams } from 'react-router';

/** Which of several sides of a view is seen, kept in its address: a link can lead there, and a reload stays. */
export function useAddressed<Side extends string>(
  key: string,
  sides: readonly [Side, ...Side[]],
): readonly [Side, (side: Side) => void] {
  const [address, setAddress] = useSearchParams();
  const [usual] = sides;
  const side = sides.find((one) => one === address.get(key)) ?? usual;
  const set = (next: Side) =>
    setAddress(
      (now) => {
        const changed = new URLSearchParams(now);
        if (next === usual) changed.delete(key);
        else changed.set(key, next);
        return changed;
      },
      { replace: true },
    );
  return [side, set];
}

/** How the things of a drawer are seen. */
export const AS = ['pictures', 'list'] as const;
export type As = (typeof AS)[number];
export const AS_OPTIONS = [
  { value: 'pictures', label: 'As pictures' },
  { value: 'list', label: 'As a list' },
] as const;

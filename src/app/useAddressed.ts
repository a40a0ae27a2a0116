import { useSearchParams } from 'react-router';

/** Which of several sides of a view is seen, kept in its address: a link can lead there, and a reload stays. */
export function useAddressed<Side extends string>(
  key: string,
  sides: readonly [Side, ...Side[]],
): readonly [Side, (side: Side) => void] {
  const [address, setAddress] = useSearchParams();
  const [usual] = sides;
  const side = sides.find((one) => one === address.get(key)) ?? usual;
  const set = (next: Side) => setAddress(next === usual ? {} : { [key]: next }, { replace: true });
  return [side, set];
}

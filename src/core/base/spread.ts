/**
 * Moves labels apart that stand too close along one axis, each as little as it must, keeping their order.
 *
 * @param wanted  places in ascending order
 * @param apart  least distance, in the same unit
 * @param range  where labels may stand; wide enough for all
 */
export function spread(wanted: readonly number[], apart: number, range: readonly [number, number]): number[] {
  const places = wanted.map((place) => Math.max(place, range[0]));
  for (let i = 1; i < places.length; i++)
    places[i] = Math.max(places[i] as number, (places[i - 1] as number) + apart);
  let most = range[1];
  for (let i = places.length - 1; i >= 0; i--) {
    places[i] = Math.min(places[i] as number, most);
    most = (places[i] as number) - apart;
  }
  return places;
}

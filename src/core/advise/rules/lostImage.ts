import { NEEDS, standsOff } from '../../readings/legibility/contrast';
import type { PassReading } from '../../readings/passReadings';
import { setPlacements } from '../../recipe/editPasses';
import type { PassOf } from '../../recipe/passes/definition';
import { greetingStrip } from '../../recipe/passes/greetingStrip';
import { isOfKind } from '../../recipe/passes/passes';
import { silhouette } from '../../recipe/passes/silhouette';
import { passesInOrder } from '../../recipe/recipe';
import { type Finding, type Rule, readingOf } from './definition';

/** Where it reads so much better in one place than in another, the ground is uneven, and there is calmer ground. */
const UNEVEN = 1.5;
/** From this strength on, per cent, an image is meant to stand out; a fainter one gives depth. */
const MEANT_FROM = 95;
/** How often white is stamped, by its strength. */
const TIMES: Readonly<Record<number, string>> = { 200: ', twice', 300: ', three times' };

/** A silhouette that does not stand out from its ground, or a greeting strip that does not. */
export const lostImage: Rule = {
  id: 'lostImage',
  check: (input) =>
    passesInOrder(input.resolved.recipe).flatMap((pass) => {
      const reading = readingOf(input, pass);
      if (isOfKind(pass, greetingStrip)) return judgeStrip(pass, reading);
      return isOfKind(pass, silhouette) ? judgeSilhouette(pass, reading) : [];
    }),
};

function judgeStrip(pass: PassOf<typeof greetingStrip>, reading: PassReading | undefined): Finding[] {
  const ratios = reading?.contrast?.places.map(({ ratio }) => ratio) ?? [];
  const shadowed = pass.placements.every(({ params }) => params.shadow === 'black');
  if (shadowed || standsOff(ratios)) return [];
  return [
    {
      key: `strip ${pass.id}`,
      message: 'The greeting strip hardly stands off what lies under it.',
      fix: {
        label: 'Set a shadow under it',
        apply: (recipe) =>
          setPlacements<typeof greetingStrip>(recipe, pass.id, { params: { shadow: 'black' } }),
      },
    },
  ];
}

function judgeSilhouette(pass: PassOf<typeof silhouette>, reading: PassReading | undefined): Finding[] {
  const meant = pass.placements.every(({ params }) => params.strength >= MEANT_FROM);
  const least = reading?.contrast?.least;
  if (!meant || least === undefined || least >= NEEDS['bold shape']) return [];
  const key = `image ${pass.id}`;
  const message = `The silhouette reads at only ${least.toFixed(1)} : 1 at its worst place`;
  const better = reading?.better;
  if (!better) {
    const ratios = reading?.contrast?.places.map(({ ratio }) => ratio) ?? [least];
    const isEven = Math.max(...ratios) < UNEVEN * Math.min(...ratios);
    const where = isEven
      ? 'the ground is dark all over: set it on paler bands, on a strip, or with a shadow'
      : 'set it on calmer ground';
    return [{ key, message: `${message}, and no stamping ink of the shelf reads better there: ${where}.` }];
  }
  const { ink, strength } = better;
  return [
    {
      key,
      message: `${message}.`,
      fix: {
        label: `Stamp it in ${ink.name}${TIMES[strength] ?? ''}`,
        apply: (recipe) =>
          setPlacements<typeof silhouette>(recipe, pass.id, { inkId: ink.id, params: { strength } }),
      },
    },
  ];
}

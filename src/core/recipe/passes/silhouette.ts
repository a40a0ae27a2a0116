import { choice, seldom } from '../../base/params';
import { smoothStep } from '../../base/smoothStep';
import { percent } from '../../base/words';
import { intoDesign, placingOf } from '../../materials/design/placement';
import { asPigment } from '../../materials/ink/ink';
import { definePass, type PassStep, type PlacementContext } from './definition';
import { type CoverAt, DRY } from './effects';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { STAMPED } from './surface';
import { describePlaced, layAgain, stampsOf, waitFor } from './words';

/** Around this strength, per cent, one impression does: below it is stamped off first, above it is stamped again. */
const ONE_IMPRESSION = { from: 95, to: 105 } as const;
/** What a stamp leaves that is pressed once more without ink: a second generation. By eye. */
const SECOND_GENERATION = 65;

function describeStrength(strength: number): string {
  if (strength > ONE_IMPRESSION.to)
    return `, ${Math.ceil(strength / 100)} impressions in a stamp positioner, each once the one before has soaked in`;
  if (strength >= ONE_IMPRESSION.from) return '';
  return strength > SECOND_GENERATION
    ? `, stamped off lightly on scrap first, to about ${percent(strength)}`
    : `, a later generation: pressed on scrap first and not inked again, until it prints at about ${percent(strength)}`;
}

/** How a fresh image is set: only then may anything touch it. Blotting takes the least of it. Common practice. */
const SETTING: Readonly<Record<'blot' | 'heat', PassStep>> = {
  blot: {
    title: 'Blot the image',
    work: 'Clean kitchen paper laid on and pressed flat, a fresh piece until nothing comes off.',
    care: ['Lay it down and lift it: never rub.'],
    minutes: 0.5,
    does: ['dry'],
    needs: ['white kitchen paper'],
  },
  heat: {
    title: 'Heat-set the image',
    work: 'Heat tool over the image, moving all the time, until no line shines.',
    care: ['Let it cool before anything touches it.'],
    minutes: 1,
    waits: 'heat',
    does: ['dry'],
    needs: ['heat tool'],
    dangers: ['heat'],
  },
};

const PARAMS = {
  ...IMAGE_PARAMS,
  strength: { label: 'Strength', unit: '%', min: 10, max: 300, step: 10, initial: () => 100 },
  inked: seldom(
    choice('Inked', { whole: 'all of it', upper: 'its upper part', lower: 'its lower part' }, 'whole'),
  ),
  set: choice('Set', { left: 'left to dry', blot: 'blotted', heat: 'heat-set' }, 'heat'),
} as const;

/** Where two inks on one stamp run into each other: parts of its height, from its head. By eye. */
const MEETING = { from: 0.4, to: 0.6 } as const;

/** A stamp inked all over, or only its upper or its lower part, for two inks on one stamp. */
function partlyInked({ design, params }: PlacementContext<typeof PARAMS>): CoverAt {
  const amount = params.strength / 100;
  if (!design || params.inked === 'whole') return withinDesign({ ...(design ? { design } : {}) }, amount);
  const into = intoDesign(design, placingOf(design, params));
  return (x, y, inside) => {
    if (!inside(0)) return 0;
    const down = (into(x, y).y / design.height - MEETING.from) / (MEETING.to - MEETING.from);
    const lower = down <= 0 ? 0 : down >= 1 ? 1 : smoothStep(down);
    return amount * (params.inked === 'lower' ? lower : 1 - lower);
  };
}

/** Over how many mm a stamp that is partly inked fades. */
const blendOf = ({ design, params }: PlacementContext<typeof PARAMS>): { readonly blend?: number } =>
  design && params.inked !== 'whole'
    ? { blend: ((MEETING.to - MEETING.from) * design.height * params.width) / design.width }
    : {};

const describeInked = {
  whole: '',
  upper: ', only its upper part inked, to the middle',
  lower: ', only its lower part inked, to the middle',
} as const;

/** A bold image stamped over everything, with lighter second impressions for depth. */
export const silhouette = definePass({
  id: 'silhouette',
  label: 'Silhouette',
  description:
    'A bold image in detail black or another ink over everything; lighter impressions behind it give depth.',
  stage: 'over',
  ink: 'stamped',
  design: { use: 'image', starts: 'bottle-kiln' },
  placements: { max: 6, noun: 'impression' },
  params: PARAMS,
  needsDry: true,
  standsAlone: true,
  finestLine: 0.2,
  layOn: (context) => ({
    ...placed(context),
    surface: [STAMPED],
    ...blendOf(context),
    effects: [
      DRY,
      {
        kind: 'film',
        ...(context.ink ? { ink: asPigment(context.ink) } : {}),
        coverAt: partlyInked(context),
      },
      ...(context.params.set === 'left' ? [] : [DRY]),
    ],
  }),
  steps: (contexts, unit) =>
    contexts.flatMap((context, i): PassStep[] => {
      const { strength, set, inked } = context.params;
      return [
        {
          title: contexts.length > 1 ? `Silhouette, impression ${i + 1}` : 'Silhouette',
          placement: context.id,
          work: `${describePlaced(context, unit)}${describeInked[inked]}${describeStrength(strength)}.`,
          care: [
            'Press evenly, lift straight up.',
            ...(inked === 'whole'
              ? []
              : ['In a stamp positioner, so that the other ink prints on the same lines.']),
            ...(contexts[i - 1]?.params.set === 'left' ? waitFor(i) : []),
          ],
          minutes: 1.5 * Math.max(Math.ceil(strength / 100), 1),
          does: layAgain(contexts[i - 1]?.params.set === 'left' ? i : 0, 'stamp'),
          needs: [
            ...stampsOf(contexts),
            ...(strength > ONE_IMPRESSION.to || inked !== 'whole' ? ['stamp positioner'] : []),
            ...(strength < ONE_IMPRESSION.from ? ['scrap paper'] : []),
          ],
        },
        ...(set === 'left' ? [] : [{ ...SETTING[set], placement: context.id }]),
      ];
    }),
});

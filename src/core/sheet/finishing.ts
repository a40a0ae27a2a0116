import { formatBare, formatLength } from '../base/length';
import { curlOf } from '../materials/card/weight';
import { type Ink, isBare } from '../materials/ink/ink';
import type { Brush, BrushUse } from './brushes';
import { addStep, clearDesk, type Desk, type LaidOut, type Piece, type Step } from './desk';
import type { Setting } from './setting';

/** How much larger a panel is cut whose edges will be fingered, mm all round; common practice. */
const OVERSIZE = 3;

/** What lies on every desk. */
const ALWAYS = [
  'mat, clean and dry',
  'white kitchen paper',
  'scrap paper and a sticky note to hold the panel by',
];

/**
 * The step before all others, once it is known what all of them take: everything that is to lie ready, the panel cut and
 * marked.
 */
export function prepared(desk: Desk, setting: Setting, uses: readonly BrushUse[]): Step {
  const { resolved, unit, words, tool } = setting;
  const { width, height } = resolved.recipe.panel;
  const size = (by: number) => `${formatBare(width + by, unit)} × ${formatLength(height + by, unit)}`;
  const brushes = [...new Map(uses.map(({ brush }) => [brush.letter, brush])).values()];
  const things = [
    ...ALWAYS,
    ...(words.given.length > 0 ? ['ruler and pencil'] : []),
    ...desk.things,
    ...(uses.some(({ cleaned }) => cleaned?.how === 'washed') ? ['water and soap for brushes'] : []),
  ];
  const layOut: LaidOut[] = [
    ...[resolved.card, ...(resolved.alsoOn ? [resolved.alsoOn] : [])].map(
      ({ name }): LaidOut => ({
        group: 'Card',
        thing: `${name}, ${size(0)}; or ${size(2 * OVERSIZE)} to be trimmed after`,
      }),
    ),
    ...inksOf(resolved).map((ink): LaidOut => ({ group: 'Inks', thing: describeInk(ink, resolved.inks) })),
    ...brushes.map(
      ({ letter, label }): LaidOut => ({ group: 'Brushes', thing: `${tool.noun} ${letter}, ${label}` }),
    ),
    ...[...new Set(things)].map((thing): LaidOut => ({ group: 'Tools', thing })),
  ];
  const step: Parameters<typeof addStep>[2] = {
    key: 'prepare',
    kind: 'prepare',
    title: 'Prepare',
    work: `Panel ${size(0)} of ${resolved.card.name}${resolved.alsoOn ? `, and one of ${resolved.alsoOn.name}, side by side, to be swapped under the tool` : ''}. ${words.marks}`,
    care: [
      'Hold the panel under a sticky note or scrap paper, so that no finger marks it.',
      ...curlOf(resolved.card),
      ...(resolved.alsoOn ? curlOf(resolved.alsoOn) : []),
    ],
    layOut,
    marks: words.given,
    deeds: [
      { does: 'lay out', things: [...things, ...brushes.map(brushThing), ...inksOf(resolved).map(inkThing)] },
      { does: 'mark', on: 'panel', marks: words.given },
    ],
  };
  const [made] = addStep(clearDesk(resolved.recipe), resolved, step).steps;
  if (!made) throw new Error('a step was added and is not there');
  return made;
}

/** How brushes and inks are called among the things laid out. */
export const brushThing = ({ letter }: Pick<Brush, 'letter'>): string => `brush ${letter}`;
export const inkThing = ({ id }: Pick<Ink, 'id'>): string => `ink ${id}`;

/** Every ink that is laid, each once. */
const inksOf = ({ inks, passInks }: Setting['resolved']): Ink[] => [
  ...new Map([...inks, ...passInks].filter((ink) => !isBare(ink)).map((ink) => [ink.id, ink])).values(),
];

/** Blending drinks more ink than stamping: the pads of the ladder are looked at first. */
const describeInk = (ink: Ink, ladder: readonly Ink[]): string =>
  ladder.some(({ id }) => id === ink.id) ? `${ink.name}, its pad juicy` : ink.name;

/** The dried panel against its picture, and the brushes washed. */
export const check = (setting: Setting, uses: readonly BrushUse[]): Piece => ({
  job: (desk) => {
    const names = setting.resolved.inks.filter((ink) => !isBare(ink)).map(({ name }) => name);
    return addStep(desk, setting.resolved, {
      key: 'check',
      kind: 'check',
      title: 'Check, dry',
      work: 'Against the dry picture: no line, no bare speck.',
      care: [
        `Each ink still itself somewhere: ${names.join(', ')}.`,
        describeWashing(uses, setting.tool.noun),
      ].filter(Boolean),
    });
  },
});

/** Which brushes to wash at once, before what is on them sets, and which may wait. */
function describeWashing(uses: readonly BrushUse[], noun: string): string {
  const sets = new Map(uses.map(({ brush, set }) => [brush.letter, set]));
  if (sets.size === 0) return '';
  const letters = (atOnce: boolean) =>
    [...sets]
      .filter(([, set]) => (set === 'pigment' || set === 'white only') === atOnce)
      .map(([letter]) => letter);
  const [now, later] = [letters(true), letters(false)];
  return `Wash ${noun} ${[
    ...(now.length > 0 ? [`${now.join(', ')} at once, before it sets`] : []),
    ...(later.length > 0 ? [`${later.join(', ')} at the end of the sitting`] : []),
  ].join('; ')}.`;
}

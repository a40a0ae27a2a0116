import { capitalised, listed } from '../base/words';
import { plainColour } from '../materials/colour/plainWords';
import { BARE, type Ink, isBare } from '../materials/ink/ink';
import { HOLDS } from '../readings/perceived';
import { bandsOf } from '../recipe/recipe';
import { type Deed, isStrip, type LadderDeed, type Load, type On } from './deeds';
import { addStep, type Desk, type Piece, takeBack, takeUp } from './desk';
import { addingMinutes, type Move, metBy, openMinutes, planLadder, type Section } from './ladderPlan';
import type { Setting } from './setting';
import { describeMinutes } from './times';

/** Where a ladder is laid, and what its steps are called there. */
export interface Laying {
  readonly on: On;
  /** The setting of the panel itself: progress and notes are told of its recipe. */
  readonly panel: Setting;
  /** What goes before the keys of its steps, and after their titles. */
  readonly key: string;
  readonly title: string;
  /** How much the tool is given. */
  readonly load: Load;
}

/** The blend on the panel itself. */
export const onPanel = (setting: Setting): Laying => ({
  on: 'panel',
  panel: setting,
  key: '',
  title: '',
  load: 'full',
});

/** The blend of a ladder, move by move. */
export const ladderPieces = (setting: Setting, laying: Laying): Piece[] =>
  planLadder(setting).map((move) => pieceOf(move, setting, laying));

type MoveOf<Kind extends Move['move']> = Extract<Move, { readonly move: Kind }>;

function pieceOf(move: Move, setting: Setting, laying: Laying): Piece {
  switch (move.move) {
    case 'lay':
      return lay(move, setting, laying);
    case 'brew':
      return brew(move, setting, laying);
    case 'wake':
      return onJoin(move, wake(move, setting), setting, laying);
    case 'into':
      return onJoin(move, into(move, setting), setting, laying);
    case 'back':
      return onJoin(move, back(move, setting), setting, laying);
    case 'own half':
      return onJoin(move, ownHalf(move, setting), setting, laying);
  }
}

/** A rung's ink, and its id in the ladder. */
function inkAt({ resolved }: Setting, rung: number): Ink {
  const ink = resolved.inks[rung];
  if (!ink) throw new RangeError(`the recipe has no rung ${rung + 1}`);
  return ink;
}
const idOf = ({ resolved }: Setting, rung: number): string => resolved.recipe.rungs[rung]?.id ?? '';

/** On the panel a rung that is laid, and a join that is blended, are seen in the picture after the step. */
const progressed = (desk: Desk, { on }: Laying, change: Partial<Desk['progress']>): Desk =>
  on === 'panel' ? { ...desk, progress: { ...desk.progress, ...change } } : desk;

/** What of the marks a rung is laid by: those of its own joints. */
const marksOf = ({ words, resolved }: Setting, rung: number) =>
  words.given.filter((_, i) => {
    const joint = i >> 1;
    return (joint === rung || joint === rung - 1) && joint < resolved.recipe.joints.length;
  });

/** How a fade is drawn: a school's own way goes toward what is laid next or stays bare, not back over what lies there. */
const fadeSentence = (setting: Setting, rung: number): string => {
  const before = laidBefore(setting, rung);
  const goesOn = metBy(setting, rung).some((other) => !before.includes(other));
  return (goesOn ? setting.school.fading : undefined) ?? 'Fade by lifting pressure, no new ink.';
};

/** One ink, solid where it must be and faded as far as this step goes. */
function lay(move: MoveOf<'lay'>, setting: Setting, laying: Laying): Piece {
  const { rung, fades, extent, minutes, solid } = move;
  const ink = inkAt(setting, rung);
  const fadesToward = fades.map(({ toward }) => toward);
  return {
    need: { inks: [ink], takes: 'new ink' },
    job: (desk, use) => {
      const { words, holds } = setting;
      const taken = takeUp(desk, use, [ink], setting, laying.load);
      const added = addedTo(setting, laying);
      const down = progressed(desk, laying, { laid: desk.progress.laid.with(rung, true) });
      const wet = isStrip(laying.on) ? desk.wet : [...desk.wet, ink];
      const reach = words.extent(rung);
      const deeds: LadderDeed[] = [
        {
          does: 'lay',
          on: laying.on,
          brush: use.brush.letter,
          rung,
          land: words.landing(rung),
          minutes: solid,
          ...(reach ? { extent: reach } : {}),
        },
        ...fades.map(
          (fade): LadderDeed => ({
            does: 'fade',
            on: laying.on,
            brush: use.brush.letter,
            rung,
            part: 1,
            ...fade,
          }),
        ),
      ];
      return addStep({ ...down, wet }, laying.panel.resolved, {
        key: `${laying.key}lay ${idOf(setting, rung)}`,
        kind: 'lay',
        title: ink.name + laying.title,
        work: words.lay(rung, extent, fadesToward),
        care: [
          ...taken.care,
          ...(desk.mat && setting.turns ? [words.turning(rung)] : []),
          ...(laying.load === 'touch'
            ? [
                `${setting.tool.touching}.`,
                `${capitalised(setting.strokes.waking)}, from the solid part outward.`,
              ]
            : [...added.care, `${setting.tool.loading}, ${setting.strokes.laying}.`]),
          ...((extent === 'faded' || fades.length > 0) && ink.kind !== 'white'
            ? [fadeSentence(setting, rung)]
            : []),
          // On a run of patches a fade has no figure of its own.
          ...(extent === 'solid' && fades.length > 0 && !reach
            ? [`Toward ${listed(fadesToward.map((other) => inkAt(setting, other).name))} let it fade.`]
            : []),
          ...(extent === 'to the middle' ? ['Leave the strip between bare.'] : []),
          ...((holds[rung] ?? 0) > HOLDS.strong
            ? ['A strong ink beside these: lay it with a lighter hand.']
            : []),
          ...bothPanels(setting, laying),
          ...(extent === 'faded' &&
          metBy(setting, rung).some((other) => laidBefore(setting, rung).includes(other))
            ? pickedUp(setting, rung)
            : []),
        ],
        ownBrushes: taken.ownBrushes,
        ink,
        brush: use.brush,
        minutes: minutes + taken.minutes + added.minutes,
        marks: marksOf(setting, rung),
        deeds: [...taken.deeds, ...added.deeds, ...deeds],
        needs: added.needs,
      });
    },
  };
}

/** What passes add where an ink is taken up in full: a touch of it comes from the pad. */
function addedTo(setting: Setting, { load }: Laying) {
  const all = load === 'full' ? setting.atEachInk : [];
  return {
    care: all.map(({ care }) => care),
    minutes: load === 'full' ? addingMinutes(setting) : 0,
    needs: all.flatMap(({ needs }) => needs),
    deeds: all.map(({ minutes }): Deed => ({ does: 'drop', minutes })),
  };
}

/** The rungs that are laid before one. */
const laidBefore = ({ order }: Setting, rung: number): readonly number[] =>
  order.slice(0, order.indexOf(rung));

/** White blending ink takes up what it comes over. */
function pickedUp(setting: Setting, rung: number): string[] {
  if (inkAt(setting, rung).kind !== 'white') return [];
  const { inks, recipe } = setting.resolved;
  const endsBare = [rung - 1, rung + 1].some((beside) => isBare(inks[beside] ?? BARE));
  return [
    `${bandsOf(recipe) && endsBare ? 'From the bare end inward; it' : 'It'} picks up a little of the colour: wipe it on paper as it does.`,
  ];
}

/** Two panels are swapped under the tool, step by step, and so are their strips. */
const bothPanels = ({ panels }: Setting, { on }: Laying): string[] =>
  panels > 1 ? [`The same on the other ${isStrip(on) ? 'strip' : 'panel'} before the next step.`] : [];

/** What is said of a section: which part of the join it is, by how many there are. */
const ASIDE: Readonly<Record<number, readonly string[]>> = {
  1: [''],
  2: ['the left half', 'the right half'],
  3: ['the left third', 'the middle third', 'the right third'],
  4: ['the first quarter from the left', 'the second quarter', 'the third quarter', 'the last quarter'],
};
/** The same where the join runs up and down. */
const DOWN: typeof ASIDE = {
  1: [''],
  2: ['the upper half', 'the lower half'],
  3: ['the upper third', 'the middle third', 'the lower third'],
  4: ['the first quarter from the top', 'the second quarter', 'the third quarter', 'the last quarter'],
};
const sectionWords = ({ words }: Setting, one: number, other: number, { at, of }: Section): string => {
  const told = (words.isUpright(one, other) ? DOWN : ASIDE)[of]?.[at];
  return told ? `, ${told}` : '';
};
const sectionKey = ({ at, of }: Section): string => (of === 1 ? '' : ` ${at + 1}/${of}`);

/** A move of one ink over its join with another. */
type JoinMove = MoveOf<'wake' | 'into' | 'back' | 'own half'>;

/** What is done on a join, and how it is told. */
interface JoinWork {
  readonly does: 'fade' | 'wake' | 'go back' | 'own half';
  readonly verb: string;
  readonly title: (name: string) => string;
  readonly work: string;
  readonly care: readonly string[];
  /** Whether the join is done with it. */
  readonly blends: boolean;
}

function onJoin(move: JoinMove, work: JoinWork, setting: Setting, laying: Laying): Piece {
  const { rung, over, section, minutes } = move;
  const { does, blends } = work;
  const ink = inkAt(setting, rung);
  return {
    need: { inks: [ink], takes: 'what it holds' },
    job: (desk, use) => {
      const taken = takeBack(use, ink, setting);
      const isJoint = Math.abs(rung - over) === 1;
      const joint = Math.min(rung, over);
      const joined =
        blends && isJoint
          ? progressed(desk, laying, { blended: desk.progress.blended.with(joint, true) })
          : desk;
      return addStep(joined, laying.panel.resolved, {
        key: `${laying.key}${work.verb} ${idOf(setting, rung)} over ${idOf(setting, over)}${sectionKey(section)}`,
        kind: 'go back',
        title: work.title(ink.name) + laying.title,
        work: work.work,
        care: [...taken.care, ...work.care, ...bothPanels(setting, laying)],
        ownBrushes: taken.ownBrushes,
        ink,
        brush: use.brush,
        minutes: minutes + taken.minutes,
        marks: isJoint ? setting.words.given.slice(2 * joint, 2 * joint + 2) : [],
        deeds: [
          ...taken.deeds,
          {
            does,
            on: laying.on,
            brush: use.brush.letter,
            rung,
            toward: over,
            part: 1 / section.of,
            minutes,
          },
        ],
      });
    },
  };
}

const isLast = ({ at, of }: Section): boolean => at === of - 1;

/** Back with one ink over its join with another. */
const back = ({ rung, over, section }: JoinMove, setting: Setting): JoinWork => ({
  does: 'go back',
  verb: 'back',
  title: (name) => `Back with ${name}`,
  work: `Over the join with ${inkAt(setting, over).name}, ${setting.words.join(rung, over)}${sectionWords(setting, rung, over, section)}, until no line is left.`,
  care: [
    `${capitalised(setting.strokes.goingBack)}, while ${inkAt(setting, over).name} is wet (about ${describeMinutes(openMinutes(setting, over))}).`,
    ...pickedUp(setting, rung),
  ],
  blends: isLast(section),
});

/** Its own fade once more, since it will have dried before the next ink comes to it. */
const wake = ({ rung, over, section, extent }: MoveOf<'wake'>, setting: Setting): JoinWork => ({
  does: 'wake',
  verb: 'wake',
  title: (name) => `Wake ${name}`,
  work: `${
    extent === 'edge'
      ? `Soften its edge again, ${setting.words.ownHalf(rung, over)}`
      : `Draw its own fade toward ${inkAt(setting, over).name} out again, ${setting.words.join(rung, over)}`
  }${sectionWords(setting, rung, over, section)}: it dries within ${describeMinutes(openMinutes(setting, rung))}.`,
  care: [`${capitalised(setting.strokes.waking)}, from the solid part outward; then straight on.`],
  blends: false,
});

/** The newer ink into a join that is worked by itself. */
const into = ({ rung, over, section }: JoinMove, setting: Setting): JoinWork => ({
  does: 'fade',
  verb: 'into',
  title: (name) => `${name} into ${inkAt(setting, over).name}`,
  work: `Out of its solid part over the fade of ${inkAt(setting, over).name}, ${setting.words.join(rung, over)}${sectionWords(setting, rung, over, section)}.`,
  care: ['Fade by lifting pressure.', ...pickedUp(setting, rung)],
  blends: false,
});

/** An end back into its own half of a strip whose middle was brewed. */
const ownHalf = ({ rung, over, section }: JoinMove, setting: Setting): JoinWork => ({
  does: 'own half',
  verb: 'back',
  title: (name) => `Back with ${name}`,
  work: `Into its own half only, ${setting.words.ownHalf(rung, over)}${sectionWords(setting, rung, over, section)}, until no line is left.`,
  care: [`${capitalised(setting.strokes.goingBack)}, fading to nothing at the middle.`],
  blends: isLast(section),
});

/** The middle of two ends, mixed on one brush, as one mix or a slope of several. */
function brew({ between, mixes, section, minutes }: MoveOf<'brew'>, setting: Setting, laying: Laying): Piece {
  const [first, last] = between;
  const inks = [inkAt(setting, first), inkAt(setting, last)];
  return {
    need: { inks, takes: 'new ink' },
    job: (desk, use) => {
      const { words, tool } = setting;
      const taken = takeUp(desk, use, inks, setting, laying.load);
      const added = addedTo(setting, laying);
      const [p, q] = inks as [Ink, Ink];
      const told = mixes.map(({ parts: [a, b], lab, at }) => {
        const [more, less] = a >= b ? [p, q] : [q, p];
        const mix = `${Math.max(a, b)} of ${more.name} to ${Math.min(a, b)} of ${less.name}`;
        return `${mix}, ${plainColour(lab)}, round ${words.within(first, last, at)}`;
      });
      const work =
        mixes.length === 1
          ? `Load one ${tool.noun} from both: ${told[0]}. Lay it in the bare strip, ${words.join(first, last)}${sectionWords(setting, first, last, section)}.`
          : `In the bare strip, ${words.join(first, last)}${sectionWords(setting, first, last, section)}, as a slope in ${mixes.length} mixes on one ${tool.noun}: ${told.join('; ')}.`;
      return addStep(desk, laying.panel.resolved, {
        key: `${laying.key}brew${sectionKey(section)}`,
        kind: 'brew',
        title: (mixes.length === 1 ? 'Brewed middle' : 'Brewed middle, a slope') + laying.title,
        work,
        care: [
          ...taken.care,
          ...(laying.load === 'touch'
            ? ['Hardly any of either: tap off until it hardly marks white paper.']
            : added.care),
          mixes.length === 1
            ? 'Land in the middle of the strip, work outward, no new ink toward the ends.'
            : 'Each mix from its own place outward until it runs into the next; no new ink toward the ends.',
          ...bothPanels(setting, laying),
        ],
        ownBrushes: taken.ownBrushes,
        brush: use.brush,
        minutes: minutes + taken.minutes + added.minutes,
        marks: words.given,
        deeds: [
          ...taken.deeds,
          ...added.deeds,
          {
            does: 'brew',
            on: laying.on,
            brush: use.brush.letter,
            between,
            mixes,
            part: 1 / section.of,
            minutes,
          },
        ],
        needs: added.needs,
      });
    },
  };
}

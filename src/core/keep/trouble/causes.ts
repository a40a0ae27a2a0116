import { listed, percentOf } from '../../base/words';
import { FINISHES } from '../../materials/card/finishes';
import { LIES_FLAT_FROM } from '../../materials/card/weight';
import { type Ink, isBare, strengthOf } from '../../materials/ink/ink';
import { INK_KINDS, spoilsResist } from '../../materials/ink/kinds';
import { HOLDS, perceivedShares, potencies } from '../../readings/perceived';
import { wantedShares } from '../../readings/solveShares';
import type { PassKindId } from '../../recipe/passes/passes';
import { passesInOrder, patchesOf } from '../../recipe/recipe';
import { TOOLS } from '../../recipe/tools/tools';
import type { NextTime } from '../log/changes';
import type { TroubleId } from '../log/troubles';
import type { Cause, Likelihood, TroubleContext } from './definition';

const here = (weight: number, reason?: string): Likelihood => ({ weight, ...(reason ? { reason } : {}) });

/** Inks of the ladder, each once. */
const laid = ({ resolved: { inks } }: TroubleContext): readonly Ink[] =>
  [...new Set(inks)].filter((ink) => !isBare(ink));
/** "Leat Mid is dye", "Leat Mid and Gorse Pale are dye". */
const told = (inks: readonly Ink[], one: 'is' | 'was', rest: string): string =>
  `${listed(inks.map(({ name }) => name))} ${inks.length === 1 ? one : MANY[one]} ${rest}`;
const MANY = { is: 'are', was: 'were' } as const;
const passKinds = ({ resolved: { recipe } }: TroubleContext) =>
  new Set(passesInOrder(recipe).map(({ kind }) => kind));

/** A pad is dry after so many days of blending, and very dry after so many; common practice: half a year, a year. */
const DRY = { days: 180, very: 365 } as const;

function dryPad(context: TroubleContext): Likelihood {
  const dry = laid(context).filter((ink) => (context.daysSinceInked(ink) ?? 0) > DRY.days);
  if (dry.length === 0) return here(0.7);
  const most = Math.max(...dry.map((ink) => context.daysSinceInked(ink) ?? 0));
  const ago = `${dry.length > 1 ? 'up to ' : ''}${Math.round(most / 30)} months ago`;
  return here(most > DRY.very ? 3 : 2, told(dry, 'was', `last re-inked ${ago}`));
}

/** A pad is juicy for so many days after it was re-inked; by eye. */
const JUICY = 14;

function juicyPad(context: TroubleContext): Likelihood {
  const fresh = laid(context).filter((ink) => (context.daysSinceInked(ink) ?? JUICY) < JUICY);
  return fresh.length > 0 ? here(2.5, told(fresh, 'was', 're-inked in the last two weeks')) : here(0.8);
}

function splotchyWhileWet(context: TroubleContext): Likelihood {
  const juicy = juicyPad(context);
  const dye = laid(context).filter(({ kind }) => kind === 'dye');
  return juicy.reason || dye.length === 0
    ? juicy
    : here(1.5, told(dye, 'is', 'dye, which is splotchy until it dries'));
}

/** A joint narrower than this dries before a maker has changed brushes, mm; by eye. */
const NARROW = 8;

function narrowJoint({ resolved: { recipe } }: TroubleContext): Likelihood {
  const soft = patchesOf(recipe)?.soft;
  const widths = soft === undefined ? recipe.joints.map(({ width }) => width) : [soft];
  return widths.some((width) => width < NARROW) ? here(2, 'a joint here is narrow') : here(0.9);
}

function muddyJoint({ readings }: TroubleContext): Likelihood {
  const mud = readings.joints.find(({ verdict }) => verdict.kind === 'mud' || verdict.kind === 'dulls');
  return mud ? here(4, `the readings say of a joint here: ${mud.headline}`) : here(0.5);
}

/** Shown on less than this part of what it was to show on, an ink has too little room. */
const SCANT = 0.8;

/** The ink that shows on the least part of what it was to show on; none where every ink shows on its own. */
function scantest({ resolved }: TroubleContext) {
  const [shown, wanted] = [perceivedShares(resolved), wantedShares(resolved.recipe)];
  return resolved.inks
    .map((ink, i) => ({ ink, shown: shown[i] ?? 0, wanted: wanted[i] ?? 0 }))
    .filter((one) => !isBare(one.ink) && one.shown < SCANT * one.wanted)
    .toSorted((p, q) => p.shown / p.wanted - q.shown / q.wanted)[0];
}

function littleRoom(context: TroubleContext): Likelihood {
  const scant = scantest(context);
  if (!scant) return here(1);
  const { ink, shown, wanted } = scant;
  const asked = context.resolved.recipe.wanted ? 'it was to show on' : 'an even share is';
  return here(2, `${ink.name} shows on ${percentOf(shown)} of the panel; ${asked} ${percentOf(wanted)}`);
}

/** The ink that holds the most of its joints, and how in words, where that is more than even. */
function mostPotent({ resolved }: TroubleContext) {
  const [most] = potencies(resolved)
    .flatMap((potency, i) => {
      const ink = resolved.inks[i];
      return ink && !isBare(ink) && potency.holds > HOLDS.evenTo ? [{ ...potency, ink }] : [];
    })
    .toSorted((p, q) => q.holds - p.holds);
  return most;
}

/** An ink is strong that the hand lays so much stronger than its swatch. */
const STRONG = 1.15;

/** Inks that the log says are laid stronger than they were swatched, the strongest first. */
const strongest = (context: TroubleContext): readonly Ink[] =>
  laid(context)
    .filter((ink) => strengthOf(ink) > STRONG)
    .toSorted((p, q) => strengthOf(q) - strengthOf(p));

const roomForScantest = (context: TroubleContext): NextTime | undefined => {
  const scant = scantest(context);
  return scant && { id: 'roomFor', inkId: scant.ink.id };
};
/** Where nothing is known of how strongly each is laid, no ink is blamed. */
const lessOfStrongest = (context: TroubleContext): NextTime | undefined => {
  const [ink] = strongest(context);
  return ink && { id: 'lessOf', inkId: ink.id };
};

function heavyHand(context: TroubleContext): Likelihood {
  const [strong] = strongest(context);
  return strong ? here(2.5, `the log says your hand lays ${strong.name} stronger than its swatch`) : here(1);
}

/** What the log says of the hand goes before what the readings say of the ink. */
function strongNeighbour(context: TroubleContext): Likelihood {
  const byHand = heavyHand(context);
  if (byHand.reason) return byHand;
  const potent = mostPotent(context);
  return potent ? here(1.6, `${potent.ink.name} ${potent.description} in its joints`) : here(0.8);
}

const lessOfStrongNeighbour = (context: TroubleContext): NextTime | undefined => {
  const potent = mostPotent(context);
  return lessOfStrongest(context) ?? (potent && { id: 'lessOf', inkId: potent.ink.id });
};

const finishOf = ({ resolved: { card } }: TroubleContext) => FINISHES[card.finish];

function toothyCard(context: TroubleContext): Likelihood {
  const finish = finishOf(context);
  return finish.tooth.spread > 0.0055 ? here(2.5, `the card is ${finish.label}`) : here(0.7);
}

/** What lies on a resist may be of the ladder, or of a coat over it. */
function clingingInk(context: TroubleContext): Likelihood {
  const inks = [...new Set([...laid(context), ...context.resolved.passInks])];
  const clinging = inks.find(({ kind }) => spoilsResist(kind));
  return clinging
    ? here(4, `${clinging.name} is ${INK_KINDS[clinging.kind].label}, which clings`)
    : here(0.5);
}

function thinCard({ resolved: { card } }: TroubleContext): Likelihood {
  return card.grammage < LIES_FLAT_FROM ? here(4, `the card has ${card.grammage} g/m²`) : here(0.6);
}

/** Passes that wet the panel. */
const WATER: readonly PassKindId[] = ['splash', 'waterStamp', 'mist'];

function wetPasses(context: TroubleContext): Likelihood {
  const kinds = passKinds(context);
  const wet = WATER.filter((kind) => kinds.has(kind));
  return wet.length > 0 ? here(2, 'water is used on this panel') : here(0.8);
}

/**
 * What makes each trouble, what helps now and what to do the next time. Common practice throughout.
 */
export const CAUSES: Readonly<Record<TroubleId, readonly Cause[]>> = {
  hardLine: [
    {
      id: 'landed-loaded',
      cause: 'The tool came down loaded in the join.',
      cure: 'Go back over it with the previous ink in small circles, with a light hand.',
      next: 'Load and land in the solid part, and leave the join to the brush’s rest.',
      likely: ({ resolved: { recipe } }) => {
        const { prints } = TOOLS[recipe.tool];
        return prints ? here(2, prints) : here(1);
      },
      change: ({ resolved: { recipe } }) => (TOOLS[recipe.tool].prints ? { id: 'byBrush' } : undefined),
    },
    {
      id: 'dried',
      cause: 'The join dried before the second ink came.',
      cure: 'Work the previous ink over the edge again; a dry edge softens only where fresh ink wets it.',
      next: 'Lay neighbours one right after the other, and make the joint wider.',
      likely: narrowJoint,
      change: () => ({ id: 'widerJoints' }),
    },
  ],
  disc: [
    {
      id: 'fresh-in-join',
      cause: 'The tool came down freshly loaded in the join, and stood there.',
      cure: 'Blend both neighbours over it from their own sides; it goes under in a darker part.',
      next: 'Tap off on white paper, land in the solid part, and move into the join from there.',
    },
    {
      id: 'strong-ink',
      cause: 'An ink that overpowers its neighbour was loaded too full.',
      cure: 'Work the weaker neighbour back over it.',
      next: 'Lay it with a lighter hand, and give it less of the run.',
      likely: heavyHand,
      change: lessOfStrongest,
    },
  ],
  muddyBand: [
    {
      id: 'opposites',
      cause: 'Opposite hues overlap where they meet.',
      cure: 'Let it dry, then lay a middle ink or a pale layer of the brighter one over the band.',
      next: 'Put a middle ink between them, or narrow the join, or dry between.',
      likely: muddyJoint,
      change: () => ({ id: 'narrowerJoints' }),
    },
    {
      id: 'dirty-brush',
      cause: 'The brush held another colour family.',
      cure: 'Stop with that brush; go on with a clean one of the lighter ink.',
      next: 'One brush a colour family, labelled, wiped on a dry cloth between inks.',
    },
    {
      id: 'overworked',
      cause: 'The join was gone over too often, so more of both inks lies there than anywhere.',
      cure: 'Leave it to dry; the palest neighbour over it lightens what can be lightened.',
      next: 'Two passes each way are enough.',
      likely: heavyHand,
    },
  ],
  wetSplotches: [
    {
      id: 'wait',
      cause: 'Dye, or a juicy pad: wet ink is uneven until it dries.',
      cure: 'Wait, and judge it dry. Do not work it further.',
      next: 'Nothing: it is how it looks wet. Tap off a freshly re-inked brush.',
      likely: splotchyWhileWet,
    },
  ],
  drySplotches: [
    {
      id: 'stiff-brush',
      cause: 'The brush is stiff or packed with old ink.',
      cure: 'Go over it with a clean, soft brush of the same ink.',
      next: 'Wash the brush and let it dry before the next evening.',
    },
    {
      id: 'dry-pad',
      cause: 'The pad is dry, so the brush takes ink up unevenly.',
      cure: 'Re-ink the pad, wait some minutes, and go over it once more.',
      next: 'Re-ink before a sitting that asks for it.',
      likely: dryPad,
    },
  ],
  specks: [
    {
      id: 'texture',
      cause: 'The card’s grain was missed by strokes in one direction.',
      cure: 'Circles in every direction with a nearly empty brush.',
      next: 'A smoother card, or circles in every direction from the start.',
      likely: toothyCard,
    },
    {
      id: 'dry-pad',
      cause: 'The brush carried too little ink: a dry pad.',
      cure: 'Re-ink, and go over it once more.',
      next: 'Re-ink before a sitting that asks for it.',
      likely: dryPad,
    },
  ],
  inkGone: [
    {
      id: 'little-room',
      cause: 'It has too little room beside its neighbours.',
      cure: 'Go back with it over the middle of its band.',
      next: 'Give it a wider band.',
      likely: littleRoom,
      change: roomForScantest,
    },
    {
      id: 'strong-neighbour',
      cause: 'A strong neighbour overpowers it.',
      cure: 'Go back with the weaker one over both its joins.',
      next: 'Lay the strong one with a lighter hand, and give it less room.',
      likely: strongNeighbour,
      change: lessOfStrongNeighbour,
    },
  ],
  heavyHand: [
    {
      id: 'hand',
      cause: 'A heavy hand, or a brush that was not tapped off.',
      cure: 'Work the neighbouring ink back over it.',
      next: 'Tap off on white paper; hold the brush by its head.',
      likely: heavyHand,
      change: lessOfStrongest,
    },
    {
      id: 'juicy',
      cause: 'A freshly re-inked pad gives more than usual.',
      cure: 'Work the neighbouring ink back over it.',
      next: 'Tap off twice for some evenings after re-inking.',
      likely: juicyPad,
    },
  ],
  creeping: [
    {
      id: 'mat',
      cause: 'The mat was not wiped between inks.',
      cure: 'Wipe and dry the mat; lay the right ink over what crept in.',
      next: 'Wipe and dry the mat between inks.',
    },
    {
      id: 'mixed-up',
      cause: 'Brushes were mixed up.',
      cure: 'Go on with a clean brush.',
      next: 'Label brushes and daubers; print the labels under Pads and brushes.',
    },
  ],
  fingerprints: [
    {
      id: 'fingers',
      cause: 'Damp or inky fingers.',
      cure: 'On a dark part, a little more of the same ink hides it.',
      next: 'A sticky note under the edge to hold it by, scrap paper under the hand.',
    },
  ],
  waterMarks: [
    {
      id: 'damp-mat',
      cause: 'The mat was damp, or spray drifted over.',
      cure: 'Dry it, then blend lightly over the edge of the mark.',
      next: 'Dry the mat, and keep the panel away while spraying.',
      likely: wetPasses,
    },
  ],
  curl: [
    {
      id: 'thin',
      cause: 'Thin card was wetted.',
      cure: 'Warm its back too with the heat tool, kept moving, and lay it under books.',
      next: 'Card of 270 g/m² and up.',
      likely: thinCard,
    },
    {
      id: 'wet',
      cause: 'Much water or ink on one side.',
      cure: 'Warm its back too, kept moving; lay it flat under books.',
      next: 'Less water, dried between.',
      likely: wetPasses,
    },
  ],
  lostResist: [
    {
      id: 'values',
      cause: 'The ground is too dark, or the inks over the design are too light.',
      cure: 'A darker coat over all, if it buffs off the design.',
      next: 'Light three and one dark: pale under the design, dark over it.',
    },
  ],
  clinging: [
    {
      id: 'pigment',
      cause: 'Pigment ink lies on the design.',
      cure: 'Buff at once with a soft dry cloth; what is dry stays.',
      next: 'Dye over a resist; hybrid with care.',
      likely: clingingInk,
    },
    {
      id: 'warm',
      cause: 'The powder was still warm when ink came over it.',
      cure: 'Let it cool, then buff.',
      next: 'Let it cool a minute before inking.',
    },
  ],
  greyWhite: [
    {
      id: 'clear-over',
      cause: 'Clear embossing over white lets the ink under it through.',
      cure: 'Stamp and emboss it again in white.',
      next: 'White powder, not clear.',
    },
  ],
  unreadable: [
    {
      id: 'mid-tone',
      cause: 'A mid-tone, busy ground under the greeting.',
      cure: 'Put it on a strip, or give it a black shadow.',
      next: 'Black on the pale end, white on the dark, or a strip.',
    },
  ],
  noRoom: [
    {
      id: 'unmeasured',
      cause: 'The bands’ edges were not marked first.',
      cure: 'Go back with the last ink over the one before it.',
      next: 'Mark the band edges on the sticky notes before any ink.',
      change: (context) => {
        const last = laid(context).at(-1);
        return last && { id: 'roomFor', inkId: last.id };
      },
    },
  ],
};

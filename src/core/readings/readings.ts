import { type BlendGround, bareGround, blendGround, groundReflectance, solidColour } from '../engine/blend';
import { groundOfCard } from '../materials/card/card';
import { deltaE00 } from '../materials/colour/difference';
import { type Hex, hexOfLab, labOfHex } from '../materials/colour/hex';
import { chroma, hueDegrees, type Lab, labOfSpectrum } from '../materials/colour/lab';
import { type ColourName, nameColour } from '../materials/colour/names';
import { type Ink, isBare } from '../materials/ink/ink';
import type { ResolvedRecipe } from '../recipe/resolved';
import {
  describeVerdict,
  judgeJoint,
  namesOnTheWay,
  type Station,
  type Verdict,
  walkJoint,
  walkOnWhite,
} from './joints/joint';
import { type Presence, presenceOf } from './presence';
import { type Spacing, spacingOf } from './spacing';

/** One rung as it dries on the card. */
export interface RungReading {
  readonly ink: Ink;
  readonly lab: Lab;
  readonly chroma: number;
  /** Degrees. */
  readonly hueAngle: number;
  readonly hex: Hex;
  readonly colour: ColourName;
  /** CIEDE2000 from the bare card. */
  readonly fromCard: number;
  readonly presence: Presence;
}

/** One joint as it dries on the card. */
export interface JointReading {
  readonly stations: readonly Station[];
  readonly strip: readonly Hex[];
  readonly onTheWay: readonly string[];
  readonly verdict: Verdict;
  readonly headline: string;
  readonly reason: string;
  /** ΔL* from the first rung to the second; negative where it goes darker. */
  readonly lightnessStep: number;
  /** CIEDE2000 between the two rungs. */
  readonly difference: number;
}

/**
 * The judgement of a ladder: of the dried panel. It depends on the inks and on what they are laid on and with, so it
 * stays while marks are moved; shares and widths stand in the recipe.
 */
export interface Readings {
  readonly ground: Lab;
  /** Whether that is the bare card, as far as anybody sees. */
  readonly isOnCard: boolean;
  readonly rungs: readonly RungReading[];
  readonly joints: readonly JointReading[];
  readonly spacing: Spacing;
}

/** A ground that is no further from the bare card than this is seen as the card, CIEDE2000. */
const SAME_GROUND = 1;

/** What a ladder lies on, as it is told. */
export const groundName = ({ isOnCard }: Pick<Readings, 'isOnCard'>, card = 'this card'): string =>
  isOnCard ? card : 'what lies under the blend';

const lostOn = (on: string) => ({
  headline: `Lost on ${on}`,
  reason: `Neither ink can be told from ${on}, so neither can their joint.`,
});
/** White under an ink brings it out where the ground is darker than this, L*; on a lighter one it changes nothing. By eye. */
const WHITE_HELPS = 88;

const faintOn = (on: string, ground: Lab) => {
  const help = ground.l < WHITE_HELPS ? 'a white base under them brings it out' : 'deeper inks bring it out';
  return {
    headline: `Faint on ${on}`,
    reason: `Both inks stay tints of ${on}, and so does their joint: ${help}.`,
  };
};

/** A ground darker than this, L*, takes colour from what lies on it; an ink has sunk that keeps less than this part of its chroma. By eye. */
const DARK_GROUND = 40;
const SUNK = 0.65;
const SUNK_REASON = 'Both lose much of their colour to the card: a white base under them keeps it.';

/** What becomes of a joint, and what the ground does to it. */
function describeJoint(
  verdict: Verdict,
  rungs: readonly [RungReading, RungReading],
  { ground, isOnCard }: Pick<Readings, 'ground' | 'isOnCard'>,
) {
  if (rungs.every(({ presence }) => presence === 'vanishes')) return lostOn(groundName({ isOnCard }));
  if (rungs.every(({ presence }) => presence !== 'shows')) return faintOn(groundName({ isOnCard }), ground);
  const { headline, reason } = describeVerdict(verdict);
  const isSunk =
    ground.l < DARK_GROUND &&
    rungs.every((rung) => rung.chroma < SUNK * chroma(labOfHex(rung.ink.overWhite)));
  return isSunk
    ? { headline: `${headline}, sunk`, reason: `${reason} ${SUNK_REASON}` }
    : { headline, reason };
}

/**
 * Reads inks in rung order on a card. Pure; a few milliseconds for five rungs.
 *
 * @param on  what they are blended on and with, where that is not the bare card and a brush
 */
export function readingsOf(
  { card, inks }: Pick<ResolvedRecipe, 'card' | 'inks'>,
  on: BlendGround = bareGround(card),
): Readings {
  const ground = labOfSpectrum(groundReflectance(on));
  const isOnCard = deltaE00(ground, labOfSpectrum(groundOfCard(card))) < SAME_GROUND;
  const rungs = inks.map((ink) => readRung(ink, on, ground));
  const joints = rungs.slice(1).flatMap((second, i) => {
    const first = rungs[i];
    return first ? [readJoint(first, second, on, { ground, isOnCard })] : [];
  });
  return { ground, isOnCard, rungs, joints, spacing: spacingOf(rungs.map(({ lab }) => lab.l)) };
}

/** Reads a recipe's ladder on what it is laid on and with. */
export const readLadder = (resolved: ResolvedRecipe): Readings => readingsOf(resolved, blendGround(resolved));

function readRung(ink: Ink, on: BlendGround, ground: Lab): RungReading {
  const lab = solidColour(ink, on);
  return {
    ink,
    lab,
    chroma: chroma(lab),
    hueAngle: hueDegrees(lab),
    hex: hexOfLab(lab),
    colour: nameColour(lab),
    fromCard: deltaE00(lab, ground),
    presence: isBare(ink) ? 'shows' : presenceOf(lab, ground),
  };
}

function readJoint(
  first: RungReading,
  second: RungReading,
  on: BlendGround,
  seen: Pick<Readings, 'ground' | 'isOnCard'>,
): JointReading {
  const stations = walkJoint(first.ink, second.ink, on);
  const verdict = judgeJoint(stations, walkOnWhite(first.ink, second.ink, on, stations));
  return {
    stations,
    strip: stations.map(({ lab }) => hexOfLab(lab)),
    onTheWay: namesOnTheWay(stations),
    verdict,
    ...describeJoint(verdict, [first, second], seen),
    lightnessStep: second.lab.l - first.lab.l,
    difference: deltaE00(first.lab, second.lab),
  };
}

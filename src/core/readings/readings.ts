import { groundOfCard } from '../card/card';
import { deltaE00 } from '../colour/difference';
import { type Hex, hexOfLab } from '../colour/hex';
import { chroma, hueDegrees, type Lab, labOfSpectrum } from '../colour/lab';
import { type ColourName, nameColour } from '../colour/names';
import type { Ink } from '../ink/ink';
import { driedColour } from '../ink/laid';
import {
  judgeJoint,
  namesOnTheWay,
  type Station,
  tellVerdict,
  type Verdict,
  walkJoint,
} from '../ladder/joint';
import { type Kit, overlaps } from '../ladder/recipe';
import type { Millimetres } from '../panel/measure';
import { type Presence, presenceOf } from './presence';
import { type Spacing, spacingOf } from './spacing';

/** One rung as it dries on the card. */
export interface RungReading {
  readonly ink: Ink;
  readonly share: number;
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
  readonly width: Millimetres;
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

/** The judgement of a recipe: always of the dried panel, on its own card. */
export interface Readings {
  readonly ground: Lab;
  readonly rungs: readonly RungReading[];
  readonly joints: readonly JointReading[];
  readonly spacing: Spacing;
}

const LOST = {
  headline: 'Lost on this card',
  reason: 'Neither ink can be told from the bare card, so neither can their joint.',
};

/** Reads a recipe on its card. Pure; a few milliseconds for five rungs. */
export function readingsOf({ recipe, card, inks }: Kit): Readings {
  const bare = groundOfCard(card);
  const ground = labOfSpectrum(bare);
  const rungs = recipe.rungs.map(({ share }, i): RungReading => {
    const ink = inks[i] as Ink;
    const lab = driedColour(ink, bare);
    const fromCard = deltaE00(lab, ground);
    return {
      ink,
      share,
      lab,
      chroma: chroma(lab),
      hueAngle: hueDegrees(lab),
      hex: hexOfLab(lab),
      colour: nameColour(lab),
      fromCard,
      presence: presenceOf(fromCard),
    };
  });
  const joints = overlaps(recipe).map(({ start, end }, i): JointReading => {
    const [first, second] = [rungs[i] as RungReading, rungs[i + 1] as RungReading];
    const stations = walkJoint(first.ink, second.ink, bare);
    const verdict = judgeJoint(stations);
    return {
      width: end - start,
      stations,
      strip: stations.map(({ lab }) => hexOfLab(lab)),
      onTheWay: namesOnTheWay(stations),
      verdict,
      ...(first.presence === 'vanishes' && second.presence === 'vanishes' ? LOST : tellVerdict(verdict)),
      lightnessStep: second.lab.l - first.lab.l,
      difference: deltaE00(first.lab, second.lab),
    };
  });
  return { ground, rungs, joints, spacing: spacingOf(rungs.map(({ lab }) => lab.l)) };
}

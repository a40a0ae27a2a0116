import type { BlendGround } from '../../engine/blend';
import { hexOfLab, labOfHex } from '../../materials/colour/hex';
import type { Ink } from '../../materials/ink/ink';
import { judgeJoint, type VerdictKind, walkJoint, walkOnWhite } from './joint';

/** A swatch is read no more surely than this, in each of L*, a* and b*. Common practice: about ΔE00 2. */
const READ_TO = 2;
const ASTRAY = (['l', 'a', 'b'] as const).flatMap((key) => [-READ_TO, READ_TO].map((by) => ({ key, by })));

/** The verdict on two inks' joint, on whatever it is laid. */
export function verdictOf(first: Ink, second: Ink, ground: BlendGround): VerdictKind {
  const walked = walkJoint(first, second, ground);
  return judgeJoint(walked, walkOnWhite(first, second, ground, walked)).kind;
}

/** Whether the verdict would be another one if either swatch had been read a little otherwise. */
export function isCloseCall(first: Ink, second: Ink, ground: BlendGround): boolean {
  const said = verdictOf(first, second, ground);
  const other = (ink: Ink, { key, by }: (typeof ASTRAY)[number]): Ink => {
    const lab = labOfHex(ink.overWhite);
    return { ...ink, overWhite: hexOfLab({ ...lab, [key]: lab[key] + by }) };
  };
  return ASTRAY.some(
    (astray) =>
      verdictOf(other(first, astray), second, ground) !== said ||
      verdictOf(first, other(second, astray), ground) !== said,
  );
}

/** Whether the verdict of each joint of a ladder is a close call. Some 20 ms a joint. */
export const closeCallsOf = (inks: readonly Ink[], ground: BlendGround): boolean[] =>
  inks.slice(1).map((second, joint) => isCloseCall(inks[joint] as Ink, second, ground));

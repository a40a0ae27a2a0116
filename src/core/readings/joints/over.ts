import { type BlendGround, blended } from '../../engine/blend';
import { type Hex, hexOfLab } from '../../materials/colour/hex';
import { type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
import { aPlainColour, plainColour } from '../../materials/colour/plainWords';
import type { Spectrum } from '../../materials/colour/spectrum';
import { type Ink, isBare } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import { describeVerdict, judgeJoint, STATIONS, type Station, type Verdict } from './joint';

/** What becomes of two inks that meet, as it is told. */
export interface MeetingReading {
  readonly strip: readonly Hex[];
  readonly verdict: Verdict;
  readonly headline: string;
  readonly reason: string;
}

/** What so many coats of an ink over another dry to; `alone` is that ink without the other. */
export interface Over {
  readonly at: (coats: number) => Station;
  readonly alone: Station;
}

/**
 * An ink that fades over another: every amount of it is there, the full coat too. What is dull is so beside the two inks
 * alone, so the walk is judged on to the upper one.
 */
export function fadedOver({ at, alone }: Over): MeetingReading {
  const walk = Array.from({ length: STATIONS }, (_, i) => at(i / (STATIONS - 1)));
  const { abrupt: _, ...verdict } = judgeJoint([...walk, alone]);
  const told = describeVerdict(verdict);
  const aColour = aPlainColour(verdict.decidedBy.lab);
  const reason =
    verdict.kind === 'mud' || verdict.kind === 'dulls'
      ? `Passes through ${aColour}, duller than either ink. ${NEARER}`
      : told.reason;
  return { strip: walk.map(({ lab }) => hexOfLab(lab)), verdict, ...told, reason };
}

/** What helps where an ink over another goes dull: there is no middle to put between. */
const NEARER = 'An ink of a nearer hue keeps the colour.';

/** An ink that lies evenly over another, so many coats of it: one colour is made, and none between. */
export function evenOver(over: Over, coats: number): MeetingReading {
  const [under, coated] = [over.at(0), over.at(coats)];
  const verdict = judgeEven(over, coats);
  return {
    strip: [under, coated].map(({ lab }) => hexOfLab(lab)),
    verdict,
    ...describeCoat(verdict, coated),
  };
}

/** The verdict on it alone: beside the two inks alone there is one colour. */
function judgeEven({ at, alone }: Over, coats: number): Verdict {
  const coated = at(coats);
  const { abrupt: _, ...verdict } = judgeJoint([at(0), coated, coated, alone]);
  return verdict;
}

/** Inks that so many coats of another, laid evenly over them dried, turn to mud, and what each dries to. */
export const muddiedBy = (over: Ink, coats: number, inks: readonly Ink[], ground: BlendGround) =>
  inks.flatMap((ink): { readonly ink: Ink; readonly lab: Lab }[] => {
    if (isBare(ink) || ink.id === over.id) return [];
    const { kind, decidedBy } = judgeEven(layOver(ink, over, ground, 'dried'), coats);
    return kind === 'mud' ? [{ ink, lab: decidedBy.lab }] : [];
  });

/** What an even coat makes of the ink under it, as it is told. */
function describeCoat({ kind }: Verdict, { lab }: Station): { headline: string; reason: string } {
  const [colour, aColour] = [plainColour(lab), aPlainColour(lab)];
  return {
    'too alike': { headline: 'Too alike', reason: `Both dry to ${aColour}, or nearly.` },
    mud: {
      headline: `Mud: ${colour}`,
      reason: `It dries to ${aColour}, duller than either ink. ${NEARER}`,
    },
    dulls: {
      headline: `Dulls: ${colour}`,
      reason: `It dries to ${aColour}, softer than either ink. ${NEARER}`,
    },
    'new colour': {
      headline: `Dries to ${aColour}`,
      reason: `It dries to ${aColour}, which neither ink is.`,
    },
    'clean run': { headline: `Dries to ${aColour}`, reason: `It dries to ${aColour}.` },
  }[kind];
}

/** @param onto  whether the upper one is laid into the wet blend, or over the dried one */
export function layOver(under: Ink, over: Ink, ground: BlendGround, onto: 'wet' | 'dried'): Over {
  const base = blended([{ ink: under, coats: 1 }], ground);
  const station = (mix: number, reflectance: Spectrum): Station => {
    const lab = labOfSpectrum(reflectance);
    return { mix, lab, colour: nameColour(lab) };
  };
  const reflectanceAt = (coats: number): Spectrum => {
    if (coats === 0) return base;
    const laid = { ink: over, coats };
    return onto === 'wet' ? intoWet(under, laid, ground) : laidReflectance([laid], base);
  };
  return {
    at: (coats) => station(coats, reflectanceAt(coats)),
    alone: station(1, blended([{ ink: over, coats: 1 }], ground)),
  };
}

/** An ink laid into the wet blend: of the other one there is what the tool has laid. */
const intoWet = (under: Ink, over: { readonly ink: Ink; readonly coats: number }, ground: BlendGround) =>
  laidReflectance([...ground.wet, { ink: under, coats: ground.coats }, over], ground.dried);

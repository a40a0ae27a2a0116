import { type BlendGround, blended, blendGround } from '../../engine/blend';
import { isLaidWet, wetInks } from '../../engine/drying';
import { neighboursOf } from '../../engine/neighbours';
import { finished, type Progress } from '../../engine/progress';
import { type Hex, hexOfLab } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
import { aPlainColour, plainColour } from '../../materials/colour/plainWords';
import type { Spectrum } from '../../materials/colour/spectrum';
import { type Ink, isBare } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import { PASS_KINDS, passName } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { contextsOf, type ResolvedRecipe } from '../../recipe/resolved';
import {
  describeVerdict,
  judgeJoint,
  STATIONS,
  type Station,
  type Verdict,
  walkJoint,
  walkOnWhite,
} from './joint';

/** Two inks that meet though they are not next to each other in the ladder. */
export interface Meeting {
  readonly title: string;
  readonly strip: readonly Hex[];
  readonly verdict: Verdict;
  readonly headline: string;
  readonly reason: string;
}

/** Every meeting beside the ladder's own joints: inks of patches side by side, and each ink under a pass of one ink. */
export function meetingsOf(resolved: ResolvedRecipe): Meeting[] {
  const ground = blendGround(resolved);
  return [...meetingsAcross(resolved, ground), ...meetingsOver(resolved, ground)];
}

/** Rungs that lie side by side without being next to each other in the ladder. */
function meetingsAcross({ recipe, inks }: ResolvedRecipe, ground: BlendGround): Meeting[] {
  return neighboursOf(recipe).flatMap(([lower, upper]) => {
    const [one, other] = [inks[lower], inks[upper]];
    if (!one || !other || upper - lower < 2) return [];
    const stations = walkJoint(one, other, ground);
    return [meeting(`${one.name} and ${other.name}`, stations, walkOnWhite(one, other, ground, stations))];
  });
}

/** Each rung under a pass that lays one ink by hand: into the wet blend, or over the dried one. */
function meetingsOver(resolved: ResolvedRecipe, ground: BlendGround): Meeting[] {
  const { recipe, inks } = resolved;
  const done = finished(recipe);
  return passesInOrder(recipe).flatMap((pass, i) => {
    const { stage, design, evenCoats } = PASS_KINDS[pass.kind];
    const [laid] = contextsOf(resolved, pass).flatMap(({ ink, params }) => (ink ? [{ ink, params }] : []));
    if (!laid || stage === 'under' || design) return [];
    const { ink, params } = laid;
    const before: Progress = { ...done, passes: i };
    const onto = isLaidWet(resolved, pass, wetInks(resolved, before)) ? 'wet' : 'dried';
    const coats = evenCoats?.(params);
    return inks
      .filter((under) => !isBare(under) && under.id !== ink.id)
      .map((under) => {
        const title = `${passName(recipe.passes, pass)}: ${ink.name} over ${under.name}`;
        const over = stationOver(under, ink, ground, onto);
        return coats === undefined ? faded(title, over) : even(title, over, coats);
      });
  });
}

function meeting(title: string, stations: readonly Station[], onWhite: readonly Station[]): Meeting {
  const verdict = judgeJoint(stations, onWhite);
  return { title, strip: stations.map(({ lab }) => hexOfLab(lab)), verdict, ...describeVerdict(verdict) };
}

/** What so many coats of an ink over another dry to; `alone` is that ink without the other. */
interface Over {
  readonly at: (coats: number) => Station;
  readonly alone: Station;
}

/**
 * An ink that fades over another: every amount of it is there, the full coat too. What is dull is so beside the two inks
 * alone, so the walk is judged on to the upper one.
 */
function faded(title: string, { at, alone }: Over): Meeting {
  const walk = Array.from({ length: STATIONS }, (_, i) => at(i / (STATIONS - 1)));
  const { abrupt: _, ...verdict } = judgeJoint([...walk, alone]);
  const told = describeVerdict(verdict);
  const aColour = aPlainColour(verdict.decidedBy.lab);
  const reason =
    verdict.kind === 'mud' || verdict.kind === 'dulls'
      ? `Passes through ${aColour}, duller than either ink. ${NEARER}`
      : told.reason;
  return { title, strip: walk.map(({ lab }) => hexOfLab(lab)), verdict, ...told, reason };
}

/** What helps where an ink over another goes dull: there is no middle to put between. */
const NEARER = 'An ink of a nearer hue keeps the colour.';

/** An ink that lies evenly over another: one colour is made, and none between. */
function even(title: string, { at, alone }: Over, coats: number): Meeting {
  const [under, coated] = [at(0), at(coats)];
  const { abrupt: _, ...verdict } = judgeJoint([under, coated, coated, alone]);
  const strip = [under, coated].map(({ lab }) => hexOfLab(lab));
  return { title, strip, verdict, ...describeCoat(verdict, coated) };
}

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

function stationOver(under: Ink, over: Ink, ground: BlendGround, onto: 'wet' | 'dried'): Over {
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

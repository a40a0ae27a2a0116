import { type BlendGround, blended, blendGround } from '../../engine/blend';
import { isLaidWet, wetInks } from '../../engine/drying';
import { neighboursOf } from '../../engine/neighbours';
import { finished, type Progress } from '../../engine/progress';
import { type Hex, hexOfLab } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
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
    const { stage, design } = PASS_KINDS[pass.kind];
    const [ink] = contextsOf(resolved, pass).flatMap((context) => context.ink ?? []);
    if (!ink || stage === 'under' || design) return [];
    const before: Progress = { ...done, passes: i };
    const onto = isLaidWet(resolved, pass, wetInks(resolved, before)) ? 'wet' : 'dried';
    return inks
      .filter((under) => !isBare(under) && under.id !== ink.id)
      .map((under) =>
        meeting(
          `${passName(recipe.passes, pass)}: ${ink.name} over ${under.name}`,
          walkOver(under, ink, ground, onto),
        ),
      );
  });
}

const meeting = (
  title: string,
  stations: readonly Station[],
  onWhite: readonly Station[] = stations,
): Meeting => {
  const verdict = judgeJoint(stations, onWhite);
  return { title, strip: stations.map(({ lab }) => hexOfLab(lab)), verdict, ...describeVerdict(verdict) };
};

/** From an ink alone to a full coat of another over it. */
function walkOver(under: Ink, over: Ink, ground: BlendGround, onto: 'wet' | 'dried'): Station[] {
  const base = blended([{ ink: under, coats: 1 }], ground);
  return Array.from({ length: STATIONS }, (_, i) => {
    const mix = i / (STATIONS - 1);
    const laid = { ink: over, coats: mix };
    const reflectance =
      mix === 0 ? base : onto === 'wet' ? intoWet(under, laid, ground) : laidReflectance([laid], base);
    const lab = labOfSpectrum(reflectance);
    return { mix, lab, colour: nameColour(lab) };
  });
}

/** An ink laid into the wet blend: of the other one there is what the tool has laid. */
const intoWet = (under: Ink, over: { readonly ink: Ink; readonly coats: number }, ground: BlendGround) =>
  laidReflectance([...ground.wet, { ink: under, coats: ground.coats }, over], ground.dried);

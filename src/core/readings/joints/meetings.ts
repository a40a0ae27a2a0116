import { type BlendGround, blendGround } from '../../engine/blend';
import { isLaidWet, wetInks } from '../../engine/drying';
import { neighboursOf } from '../../engine/neighbours';
import { finished, type Progress } from '../../engine/progress';
import { hexOfLab } from '../../materials/colour/hex';
import { isBare } from '../../materials/ink/ink';
import { PASS_KINDS, passName } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { contextsOf, type ResolvedRecipe } from '../../recipe/resolved';
import { describeVerdict, judgeJoint, type Station, walkJoint, walkOnWhite } from './joint';
import { evenOver, fadedOver, layOver, type MeetingReading } from './over';

/** Two inks that meet though they are not next to each other in the ladder. */
export interface Meeting extends MeetingReading {
  readonly title: string;
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
        const over = layOver(under, ink, ground, onto);
        return { title, ...(coats === undefined ? fadedOver(over) : evenOver(over, coats)) };
      });
  });
}

function meeting(title: string, stations: readonly Station[], onWhite: readonly Station[]): Meeting {
  const verdict = judgeJoint(stations, onWhite);
  return { title, strip: stations.map(({ lab }) => hexOfLab(lab)), verdict, ...describeVerdict(verdict) };
}

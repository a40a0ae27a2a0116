import { groundOf } from '../../engine/ground';
import { scenesOf } from '../../engine/layers';
import { type Hex, hexOfLab } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import { nameColour } from '../../materials/colour/names';
import type { Spectrum } from '../../materials/colour/spectrum';
import { type Ink, isBare } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import { PASS_KINDS, type PassKindId, passName } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Kit } from '../../recipe/recipe';
import { measuresOf } from '../../sheet/measures';
import { judgeJoint, STATIONS, type Station, tellVerdict, type Verdict, walkJoint } from './joint';

/** Two inks that meet though they are not next to each other in the ladder. */
export interface Meeting {
  readonly title: string;
  readonly strip: readonly Hex[];
  readonly verdict: Verdict;
  readonly headline: string;
  readonly reason: string;
}

/** Every meeting beside the ladder's own joints: inks of patches side by side, and each ink under a pass of one ink. */
export function meetingsOf(kit: Kit): Meeting[] {
  const { recipe, inks } = kit;
  const ground = groundOf(kit);
  const across = measuresOf(recipe, 'mm')
    .meetings.filter(([one, other]) => other - one > 1)
    .map(([one, other]) => {
      const [p, q] = [inks[one] as Ink, inks[other] as Ink];
      return meeting(`${p.name} and ${q.name}`, walkJoint(p, q, ground));
    });
  const passes = passesInOrder(recipe);
  const over = passes.flatMap((pass, at) => {
    const { stage, design, dries } = PASS_KINDS[pass.kind];
    const [ink] = scenesOf(kit, pass).flatMap((scene) => scene.ink ?? []);
    if (!ink || stage === 'under' || design) return [];
    const dried = dries || passes.slice(0, at).some(({ kind }) => dryingKind(kind));
    return inks
      .filter((under) => !isBare(under) && under.id !== ink.id)
      .map((under) =>
        meeting(
          `${passName(recipe.passes, pass)}: ${ink.name} over ${under.name}`,
          walkOver(under, ink, ground, dried ? 'dried' : 'wet'),
        ),
      );
  });
  return [...across, ...over];
}

/** Whether a pass over the blend leaves it dry before what follows. */
const dryingKind = (kind: PassKindId): boolean =>
  PASS_KINDS[kind].stage === 'over' && (PASS_KINDS[kind].dries || kind === 'heatSet');

const meeting = (title: string, stations: readonly Station[]): Meeting => {
  const verdict = judgeJoint(stations);
  return { title, strip: stations.map(({ lab }) => hexOfLab(lab)), verdict, ...tellVerdict(verdict) };
};

/** From an ink alone to a full coat of another over it. */
function walkOver(under: Ink, over: Ink, bare: Spectrum, onto: 'wet' | 'dried'): Station[] {
  const base = laidReflectance([{ ink: under, coats: 1 }], bare, 'dry');
  return Array.from({ length: STATIONS }, (_, i) => {
    const mix = i / (STATIONS - 1);
    const reflectance =
      mix === 0
        ? base
        : onto === 'wet'
          ? laidReflectance(
              [
                { ink: under, coats: 1 },
                { ink: over, coats: mix },
              ],
              bare,
              'dry',
            )
          : laidReflectance([{ ink: over, coats: mix }], base, 'dry');
    const lab = labOfSpectrum(reflectance);
    return { mix, lab, colour: nameColour(lab) };
  });
}

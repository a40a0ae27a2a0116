import { groundOfCard } from '../card/card';
import { type Hex, hexOfLab } from '../colour/hex';
import { labOfSpectrum } from '../colour/lab';
import { nameColour } from '../colour/names';
import { type Ink, isBare } from '../ink/ink';
import { laidReflectance } from '../ink/laid';
import { judgeJoint, STATIONS, type Station, tellVerdict, type Verdict, walkJoint } from '../ladder/joint';
import type { Kit } from '../ladder/recipe';
import { OVERS } from '../over/over';
import { measuresOf } from '../sheet/measures';

/** Two inks that meet though they are not next to each other in the ladder. */
export interface Meeting {
  readonly title: string;
  readonly strip: readonly Hex[];
  readonly verdict: Verdict;
  readonly headline: string;
  readonly reason: string;
}

/** Every meeting beside the ladder's own joints: inks of patches side by side, and each ink under what lies over it. */
export function meetingsOf(kit: Kit): Meeting[] {
  const { recipe, card, inks, overInks } = kit;
  const ground = groundOfCard(card);
  const across = measuresOf(recipe, 'mm')
    .meetings.filter(([one, other]) => other - one > 1)
    .map(([one, other]) => {
      const [p, q] = [inks[one] as Ink, inks[other] as Ink];
      return meeting(`${p.name} and ${q.name}`, walkJoint(p, q, ground));
    });
  const over = recipe.overs.flatMap(({ id }, i) => {
    const ink = overInks[i] as Ink;
    return inks
      .filter((under) => !isBare(under) && under.id !== ink.id)
      .map((under) =>
        meeting(
          `${OVERS[id].label}: ${ink.name} over ${under.name}`,
          walkOver(under, ink, kit, OVERS[id].onto),
        ),
      );
  });
  return [...across, ...over];
}

const meeting = (title: string, stations: readonly Station[]): Meeting => {
  const verdict = judgeJoint(stations);
  return { title, strip: stations.map(({ lab }) => hexOfLab(lab)), verdict, ...tellVerdict(verdict) };
};

/** From an ink alone to a full coat of another over it. */
function walkOver(under: Ink, over: Ink, { card }: Kit, onto: 'wet' | 'dried'): Station[] {
  const bare = groundOfCard(card);
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

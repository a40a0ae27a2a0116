import { memo } from '../../base/memo';
import { type BlendGround, blended, blendGround, solidColour } from '../../engine/blend';
import { labOfHex } from '../../materials/colour/hex';
import { xyzOfSpectrum } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import { type Ink, isBare } from '../../materials/ink/ink';
import { buffsOff, INK_KINDS } from '../../materials/ink/kinds';
import { laidReflectance } from '../../materials/ink/laid';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { muddiedBy } from '../joints/over';
import { contrastOf, NEEDS } from './contrast';

/** A dark ink as the top coat over a clear resist on this ladder. */
export interface TopCoat {
  readonly ink: Ink;
  /** Contrast of the kept ground with the coat, at the ladder's worst place. */
  readonly worst: number;
  /** Rungs of which the design will be lost under it: a bold shape's contrast is not reached. */
  readonly lost: readonly Ink[];
  /** Rungs that it turns to mud where no resist keeps it off. */
  readonly muddied: readonly Ink[];
}

/** Places looked at along each joint. */
const STATIONS = 9;

/** At most this dark, L*, an ink makes a coat that a design shows through. Common practice. */
export const DARK_UP_TO = 38;

/** What a shelf's darks are held against where it has no black of its own. */
export const BLACK_DYE: Ink = {
  id: 'black-dye',
  name: 'A black dye',
  family: 'black',
  depth: 'deep',
  kind: 'dye',
  overWhite: '#141416',
};
/** An ink that over white is at most this light, L*, is black to the eye. */
const BLACK_UP_TO = 18;

/** A shelf with a plain black dye beside its own, unless it has a black that makes a coat. */
export const withBlack = (shelf: readonly Ink[]): readonly Ink[] =>
  shelf.some((ink) => makesCoat(ink) && labOfHex(ink.overWhite).l <= BLACK_UP_TO)
    ? shelf
    : [...shelf, BLACK_DYE];

const makesCoat = ({ kind, wished }: Ink): boolean => !wished && buffsOff(kind);

/**
 * The owned darks by how clearly the worst place of a design in clear resist will read under them, and whether they keep
 * their colour beside it. The resist keeps what is under it; everywhere else the coat lies on the dried ladder.
 */
export const rankTopCoats = (resolved: ResolvedRecipe, shelf: readonly Ink[]): readonly TopCoat[] =>
  topCoatsOver(resolved.inks, blendGround(resolved), shelf);

/** Where joints lie does not matter to it: it is asked again and again for the same inks while marks are moved. */
export const topCoatsOver = memo(4, rank);

function rank(inks: readonly Ink[], ground: BlendGround, shelf: readonly Ink[]): TopCoat[] {
  const rungs = inks.filter((ink) => !isBare(ink));
  const solid = rungs.map((ink) => blended([{ ink, coats: 1 }], ground));
  const between = rungs.slice(1).flatMap((second, i) =>
    Array.from({ length: STATIONS }, (_, station) => {
      const mix = (station + 1) / (STATIONS + 1);
      const laid = [
        { ink: rungs[i] as Ink, coats: 1 - mix },
        { ink: second, coats: mix },
      ];
      return blended(laid, ground);
    }),
  );
  const kept = [...solid, ...between];
  const seen = (ink: Ink, coats: number, under: Spectrum): number =>
    coats === 0 ? xyzOfSpectrum(under).y : xyzOfSpectrum(laidReflectance([{ ink, coats }], under)).y;
  // What buffing leaves on the design dulls it.
  const contrastUnder = (ink: Ink) => (under: Spectrum) =>
    contrastOf(seen(ink, INK_KINDS[ink.kind].clings, under), seen(ink, 1, under));
  return shelf
    .filter(makesCoat)
    .filter((ink) => solidColour(ink, ground).l <= DARK_UP_TO)
    .map((ink) => {
      const contrasts = kept.map(contrastUnder(ink));
      return {
        ink,
        worst: Math.min(...contrasts),
        lost: rungs.filter((_, i) => (contrasts[i] as number) < NEEDS['bold shape']),
      };
    })
    .sort((p, q) => q.worst - p.worst)
    .map(
      (coat, i): TopCoat => ({
        ...coat,
        muddied: i < WEIGHED ? muddiedBy(coat.ink, 1, rungs, ground).map(({ ink }) => ink) : [],
      }),
    )
    .sort((p, q) => reads(q) - reads(p) || worthOf(q) - worthOf(p));
}

/** So many of the coats that read best are looked at for mud. */
const WEIGHED = 24;
/** What a coat that makes mud is worth beside one that makes none, at the same contrast. By eye. */
const MUDDY_WORTH = 0.75;

/** What reads goes before what does not, mud or none. */
const reads = ({ worst }: TopCoat): number => (worst >= NEEDS['bold shape'] ? 1 : 0);

const worthOf = ({ worst, muddied }: TopCoat): number => (muddied.length > 0 ? MUDDY_WORTH : 1) * worst;

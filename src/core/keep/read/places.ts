import type { Millimetres } from '../../base/length';
import { panelSampler } from '../../engine/probe';
import { deltaE00 } from '../../materials/colour/difference';
import type { Lab } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import { isBare } from '../../materials/ink/ink';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { LoggedReading } from '../log/made';
import { type ReadingSource, USUAL_NOISE } from '../log/source';

/** A place of a panel worth reading. */
export interface ReadingPlace {
  readonly x: Millimetres;
  readonly y: Millimetres;
  /** As it is told: `Leat Mid, solid`, `Leat Mid into Skerry Deep`. */
  readonly label: string;
  /** How fast the colour changes there, ΔE00 a mm: a place a little off is read so much wrong. */
  readonly steep: number;
}

/** The name of a sample read on bare card beside the panel, in files of colour readers. */
export const BARE_CARD = 'bare card';

/** Places looked at across and down. */
const GRID = { columns: 28, rows: 36 } as const;
/** How far from an edge of the panel a place stays, mm: edges darken, and are cut. */
const EDGE = 3;
/** Half the side of what is read, mm. */
export const READ_REACH = 1.2;
/** The best places by their mixture, of which the calmest is taken; and what is too restless to be read, ΔE00 across it. */
const LOOKED_CLOSER = 40;
const RESTLESS = { solid: 4, joint: 20 } as const;
/** Where around a place its colour is asked: near, and as far out as a photograph may be off. */
const AROUND = [READ_REACH, 2 * READ_REACH].flatMap((far) =>
  Array.from(
    { length: 8 },
    (_, i) => [far * Math.cos((i * Math.PI) / 4), far * Math.sin((i * Math.PI) / 4)] as const,
  ),
);

/**
 * Where a panel is best read: one place in each ink's solid, and three in each joint, each where the colour changes least
 * around it. What lies over the blend is kept clear of, where it can be.
 */
export function readingPlaces(resolved: ResolvedRecipe): ReadingPlace[] {
  const { panel } = resolved.recipe;
  const sample = panelSampler(resolved);
  const looked = Array.from({ length: GRID.columns * GRID.rows }, (_, i) => {
    const x = EDGE + ((i % GRID.columns) / (GRID.columns - 1)) * (panel.width - 2 * EDGE);
    const y = EDGE + (Math.floor(i / GRID.columns) / (GRID.rows - 1)) * (panel.height - 2 * EDGE);
    const here = sample(x, y);
    const whole = here.inks.reduce((sum, { coats }) => sum + coats, 0);
    const partOf = (ink: Ink) =>
      (here.inks.find((one) => one.ink.id === ink.id)?.coats ?? 0) / Math.max(whole, 1e-9);
    return { x, y, here, partOf, whole };
  });
  const change = (place: (typeof looked)[number]): number =>
    Math.max(
      ...AROUND.map(([dx = 0, dy = 0]) => deltaE00(sample(place.x + dx, place.y + dy).lab, place.here.lab)),
    );
  // Of places as calm, one well inside: light falls off toward the edges, and hands touch them.
  const fromMiddle = ({ x, y }: { readonly x: number; readonly y: number }) =>
    Math.hypot(x / panel.width - 0.5, y / panel.height - 0.5);
  const best = (wanted: readonly (readonly [Ink, number])[]) => {
    const off = (place: (typeof looked)[number]) =>
      wanted.reduce((sum, [ink, part]) => sum + Math.abs(place.partOf(ink) - part), 0) +
      place.here.inks
        .filter(({ ink }) => wanted.every(([one]) => one.id !== ink.id))
        .reduce((sum, { coats }) => sum + coats, 0);
    const near = looked
      .filter(({ whole }) => whole > 0.2)
      .map((place) => ({ place, off: off(place) }))
      .sort((p, q) => p.off - q.off)
      .slice(0, LOOKED_CLOSER);
    const [nearest] = near;
    if (!nearest || nearest.off > 0.45) return undefined;
    const alike = near.filter((one) => one.off < nearest.off + 0.05).map(({ place }) => place);
    const calmest = alike
      .map((place) => ({ place, change: change(place) }))
      .reduce((p, q) => (q.change + fromMiddle(q.place) < p.change + fromMiddle(p.place) ? q : p));
    const most = wanted.length > 1 ? RESTLESS.joint : RESTLESS.solid;
    return calmest.change < most ? { ...calmest.place, steep: calmest.change / (2 * READ_REACH) } : undefined;
  };
  const inks = resolved.inks;
  const solids = inks.flatMap((ink) => (isBare(ink) ? [] : labelled(best([[ink, 1]]), `${ink.name}, solid`)));
  const joints = inks.slice(1).flatMap((ink, i) => {
    const before = inks[i] as Ink;
    if (isBare(before) || isBare(ink)) return [];
    return [0.7, 0.5, 0.3].flatMap((part) =>
      labelled(
        best([
          [before, part],
          [ink, 1 - part],
        ]),
        `${before.name} into ${ink.name}`,
      ),
    );
  });
  const met = new Set<string>();
  return [...solids, ...joints].filter(({ x, y }) => {
    const key = `${x} ${y}`;
    if (met.has(key)) return false;
    met.add(key);
    return true;
  });
}

const labelled = (
  place: { readonly x: number; readonly y: number; readonly steep: number } | undefined,
  label: string,
): ReadingPlace[] =>
  place ? [{ x: Number(place.x.toFixed(2)), y: Number(place.y.toFixed(2)), label, steep: place.steep }] : [];

/** How far off a place is usually found, mm: corners are put by hand, and a hand trembles. */
const OFF_PLACE = 0.3;

/** Root mean square ΔE00 of a reading there: the source's own noise, and the place's being a little off. */
export const noiseAt = ({ steep }: Pick<ReadingPlace, 'steep'>, source: ReadingSource): number =>
  Number(Math.hypot(USUAL_NOISE[source], OFF_PLACE * steep).toFixed(3));

/**
 * What a colour reader's samples tell of a panel. They go by their names: of several places of one name the first is read
 * first. Where no place is named they go by their order. Bare card is told by its name alone.
 *
 * @returns the places' readings, and those of bare card
 */
export function readingsOfSamples(
  places: readonly ReadingPlace[],
  samples: readonly { readonly name: string; readonly lab: Lab }[],
): { readonly places: LoggedReading[]; readonly bare: LoggedReading[] } {
  const isBareCard = ({ name }: { readonly name: string }) => name.toLowerCase() === BARE_CARD;
  const ofPlaces = samples.filter((sample) => !isBareCard(sample));
  const areNamed = places.some(({ label }) => ofPlaces.some(({ name }) => name === label));
  const met = new Map<string, number>();
  const sampleOf = ({ label }: ReadingPlace, at: number) => {
    if (!areNamed) return ofPlaces[at];
    const nth = met.get(label) ?? 0;
    met.set(label, nth + 1);
    return ofPlaces.filter(({ name }) => name === label)[nth];
  };
  return {
    places: places.flatMap((place, i): LoggedReading[] => {
      const sample = sampleOf(place, i);
      if (!sample) return [];
      const { x, y } = place;
      return [{ at: { x, y }, lab: sample.lab, source: 'reader', noise: noiseAt(place, 'reader') }];
    }),
    bare: samples
      .filter(isBareCard)
      .map(({ lab }) => ({ layers: [], lab, source: 'reader', noise: USUAL_NOISE.reader })),
  };
}

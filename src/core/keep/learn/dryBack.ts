import { median } from 'd3-array';
import { lightOf } from '../../engine/mixing';
import { addWet, makeStack } from '../../engine/stack';
import { deltaE00 } from '../../materials/colour/difference';
import { type Lab, labOfXyz, xyzOfLinearRgb } from '../../materials/colour/lab';
import { dryBackOf, INK_LIMITS, type Ink } from '../../materials/ink/ink';
import type { MadePanel } from '../log/made';
import { finder, panelPlaces, placeOf } from './fromLog';
import type { Place } from './tell';

/** How much of an ink's wet strength drying takes, as wet readings say. */
export interface DryBackLesson {
  readonly ink: Ink;
  /** 0…0.9. */
  readonly dryBack: number;
  /** As it was thought. */
  readonly before: number;
  /** From how many wet readings. */
  readonly readings: number;
}

/** Fewer wet readings of an ink say nothing. */
const LEAST = 3;
/** Steps of the golden section: to a five-hundredth. */
const STEPS = 14;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Dry-back of each ink from readings taken while it was wet, at places where it lies alone: the one at which the wet look
 * of what lies there is nearest to what was read, the middle of all readings.
 *
 * @param shelf  the inks as they are known now, what was learned of their strength included
 */
export function dryBackLessons(log: readonly MadePanel[], shelf: readonly Ink[]): DryBackLesson[] {
  const find = finder(shelf);
  const read = new Map<string, { ink: Ink; values: number[] }>();
  for (const panel of log) {
    const wet = panel.readings.filter((reading) => reading.wet);
    if (wet.length === 0) continue;
    const onPanel = panel.made ? panelPlaces(panel.made, find) : undefined;
    for (const reading of wet) {
      const place = placeOf(reading, onPanel, find);
      const alone = typeof place === 'string' ? undefined : aloneIn(place);
      if (typeof place === 'string' || !alone) continue;
      const known = read.get(alone.ink.id) ?? { ink: alone.ink, values: [] };
      known.values.push(dryBackAt(alone.ink, alone.coats, place, reading.lab));
      read.set(alone.ink.id, known);
    }
  }
  return [...read.values()]
    .filter(({ values }) => values.length >= LEAST)
    .map(({ ink, values }) => ({
      ink,
      dryBack: Number((median(values) ?? 0).toFixed(3)),
      before: dryBackOf(ink),
      readings: values.length,
    }));
}

/** The only ink of a place of one layer. */
function aloneIn({ layers }: Place) {
  const [layer] = layers;
  const [only] = layer ?? [];
  return layers.length === 1 && layer?.length === 1 ? only : undefined;
}

function dryBackAt(ink: Ink, coats: number, { ground }: Place, read: Lab): number {
  const off = (dryBack: number): number => {
    const wetInk = { ...ink, dryBack };
    const stack = makeStack([wetInk], 1);
    addWet(stack, 0, coats);
    return deltaE00(labOfXyz(xyzOfLinearRgb(lightOf([wetInk], ground, 'wet')(stack))), read);
  };
  let [from, to]: [number, number] = [INK_LIMITS.dryBack.min, INK_LIMITS.dryBack.max];
  for (let step = 0; step < STEPS; step++) {
    const [p, q] = [to - GOLDEN * (to - from), from + GOLDEN * (to - from)];
    if (off(p) < off(q)) to = q;
    else from = p;
  }
  return (from + to) / 2;
}

import { type Planning, planSitting } from './plan';
import type { AtHand, PanelGroup, Sitting } from './sitting';

/** One thing more at hand, and what it saves. */
export interface Help {
  readonly what: string;
  /** Minutes off the end. */
  readonly saves: number;
  /** Washes fewer. */
  readonly washes: number;
}

/** Every thing at hand one more, where there is a use for it. */
function oneMore({ groups, atHand }: Sitting): { readonly what: string; readonly with: Partial<AtHand> }[] {
  const sets = Object.entries(atHand.brushes).filter(([set]) =>
    groups.some(({ operations }) => operations.some(({ brush }) => brush?.set === set)),
  );
  return [
    { what: 'one mat more', with: { mats: atHand.mats + 1 } },
    { what: 'a mat for each ink', with: { mats: inksOf(groups) } },
    ...sets.map(([set, count]) => ({
      what: `one brush more for ${set}`,
      with: { brushes: { ...atHand.brushes, [set]: count + 1 } },
    })),
    { what: 'room for one panel more to dry', with: { places: atHand.places + 1 } },
    { what: 'room for six panels more to dry', with: { places: atHand.places + 6 } },
    ...(atHand.hands < 2 ? [{ what: 'a second pair of hands', with: { hands: 2 } }] : []),
  ];
}

const inksOf = (groups: readonly PanelGroup[]): number =>
  new Set(groups.flatMap(({ operations }) => operations.flatMap(({ ink }) => ink ?? []))).size;

/** Minutes below which nobody notices. */
const NOTICED = 0.5;

/** A sitting with one thing more at hand. */
export interface Variation {
  readonly what: string;
  readonly sitting: Sitting;
}

/**
 * Each thing at hand varied by one.
 *
 * @param heated  the same panels dried the other way, with the heat tool for air
 */
export const variationsOf = (sitting: Sitting, heated?: readonly PanelGroup[]): Variation[] => [
  ...oneMore(sitting).map(({ what, with: more }) => ({
    what,
    sitting: { ...sitting, atHand: { ...sitting.atHand, ...more } },
  })),
  ...(heated && sitting.atHand.heatTools > 0
    ? [{ what: 'the heat tool instead of air', sitting: { ...sitting, groups: heated } }]
    : []),
];

/** What a variation saves on a plan; planned from its order on. */
export function helpOf(
  { what, sitting }: Variation,
  { makespan, washes }: { readonly makespan: number; readonly washes: number },
  planning: Planning,
): Help {
  const { plan } = planSitting(sitting, planning);
  return { what, saves: makespan - plan.makespan, washes: washes - plan.washes };
}

/** Of what was tried, what is noticed, the most first. */
export const noticed = (helps: readonly Help[]): Help[] =>
  helps.filter(({ saves }) => saves > NOTICED).toSorted((p, q) => q.saves - p.saves);

/** What would help most. */
export const whatWouldHelp = (
  sitting: Sitting,
  plan: { readonly makespan: number; readonly washes: number },
  planning: Planning,
  heated?: readonly PanelGroup[],
): Help[] => noticed(variationsOf(sitting, heated).map((one) => helpOf(one, plan, planning)));

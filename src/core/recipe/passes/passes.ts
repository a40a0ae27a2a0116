import type { Size } from '../../base/geometry';
import { fitParams, movedWith, type Params } from '../../base/params';
import type { AnyPlacement, PassKind, PassOf } from './definition';
import { PASS_TABLE } from './table';

export type PassKindId = keyof typeof PASS_TABLE;

/** One operation beside the blend itself, of any kind: what its kind does not take cannot be written down. */
export type Pass = { [Id in PassKindId]: PassOf<(typeof PASS_TABLE)[Id]> }[PassKindId];

/** The kinds by their ids, as whoever needs not know which it is takes them. */
export const PASS_KINDS: Readonly<Record<PassKindId, PassKind>> = PASS_TABLE;
export const PASS_KIND_IDS = Object.keys(PASS_TABLE) as readonly PassKindId[];

/** The most passes in a recipe, and placements in all of them: as many as a panel could bear. */
export const PASS_LIMITS = { passes: 16, placements: 40 } as const;

/** Whether a pass is of a kind whose parameters must be known. */
export const isOfKind = <Kind extends PassKind>(pass: Pass, kind: Kind): pass is Pass & PassOf<Kind> =>
  pass.kind === kind.id;

/** The placements of a pass, as whoever needs not know its kind takes them. */
export const placementsOf = (pass: Pass): readonly AnyPlacement[] => pass.placements;

/** A pass with other placements, each with the parameters its kind allows, and an ink only where it takes one. */
export const withPlacements = (pass: Pass, placements: readonly AnyPlacement[], panel: Size): Pass => {
  const kind = PASS_KINDS[pass.kind];
  // The one place where a pass is put together without its kind being known: its kind's own specs make it fit.
  return {
    ...pass,
    placements: placements.map(({ id, inkId, params }) => ({
      id,
      params: fitParams(kind.params, params, panel),
      ...(kind.ink && inkId !== undefined ? { inkId } : {}),
    })),
  } as unknown as Pass;
};

/** A pass as it lies on a panel of another size: where it lies goes with the panel, how large it is stays, as tools do. */
export const passMovedWith = (pass: Pass, from: Size, to: Size): Pass =>
  withPlacements(
    pass,
    placementsOf(pass).map((placement) => ({
      ...placement,
      params: movedWith(PASS_KINDS[pass.kind].params, placement.params, from, to),
    })),
    to,
  );

/** A pass with its first placements alone, as it is half-way through its work. */
export const firstPlacements = (pass: Pass, count: number): Pass =>
  ({ ...pass, placements: pass.placements.slice(0, count) }) as unknown as Pass;

/** A new pass of some kind with one placement; what its kind does not take is left out. */
export const makePass = (
  id: string,
  kindId: PassKindId,
  {
    inkId,
    designId,
    params,
  }: { readonly inkId?: string; readonly designId?: string; readonly params: Params },
  panel: Size,
): Pass =>
  withPlacements(
    {
      id,
      kind: kindId,
      enabled: true,
      ...(PASS_KINDS[kindId].design && designId !== undefined ? { designId } : {}),
      placements: [],
    } as unknown as Pass,
    [{ id: 'p1', params, ...(inkId === undefined ? {} : { inkId }) }],
    panel,
  );

/** What a pass is called among others: with a number where there are several of its kind. */
export function passName(passes: readonly Pass[], { id, kind }: Pass): string {
  const alike = passes.filter((other) => other.kind === kind);
  const { label } = PASS_KINDS[kind];
  return alike.length > 1 ? `${label} ${alike.findIndex((other) => other.id === id) + 1}` : label;
}

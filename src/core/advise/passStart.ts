import { groundOf } from '../engine/ground';
import type { Design } from '../materials/design/design';
import { type Ink, isBare } from '../materials/ink/ink';
import { driedColour } from '../materials/ink/laid';
import { rankTopCoats } from '../readings/legibility/topCoat';
import type { PassStart } from '../recipe/editPasses';
import { PASS_KINDS, type PassKind, type PassKindId } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/passesInOrder';
import type { Kit } from '../recipe/recipe';

/**
 * What a new pass starts in and with: the ladder's darkest ink, or over a resist the dark that reads best; white for a
 * base; detail black for a stamp; the first design meant for it.
 */
export function startFor(
  kindId: PassKindId,
  kit: Kit,
  shelf: readonly Ink[],
  designs: readonly Design[],
): PassStart {
  const kind = PASS_KINDS[kindId];
  const ink = kind.ink && inkFor(kindId, kit, shelf);
  const design = kind.design && !kind.design.optional && firstFor(kind.design, designs);
  return {
    ...(ink ? { inkId: ink.id } : {}),
    ...(design ? { design } : {}),
    // Over a resist a veil is no use: the coat has to cover.
    ...(kindId === 'coat' && hasResist(kit) ? { params: { strength: 100 } } : {}),
  };
}

const firstFor = (
  { use, starts }: NonNullable<PassKind['design']>,
  designs: readonly Design[],
): Design | undefined =>
  designs.find(({ id }) => id === starts) ?? designs.find((one) => one.use === use) ?? designs[0];

const hasResist = ({ recipe }: Kit): boolean =>
  passesInOrder(recipe).some(({ kind }) => kind === 'clearResist');

function inkFor(kindId: PassKindId, kit: Kit, shelf: readonly Ink[]): Ink | undefined {
  const owned = shelf.filter(({ wished }) => !wished);
  const need = PASS_KINDS[kindId].ink;
  if (need === 'white') {
    const pigments = owned.filter(({ kind }) => kind === 'pigment');
    const ground = groundOf(kit);
    const palest = pigments.toSorted((p, q) => driedColour(q, ground).l - driedColour(p, ground).l)[0];
    return owned.find(({ kind }) => kind === 'white') ?? palest;
  }
  const detail = owned.find(({ kind }) => kind === 'detail');
  if (need === 'stamped' && detail) return detail;
  const best = kindId === 'coat' && hasResist(kit) ? rankTopCoats(kit, shelf)[0]?.ink : undefined;
  return best ?? darkestOf(kit);
}

function darkestOf(kit: Kit): Ink | undefined {
  const ground = groundOf(kit);
  return kit.inks
    .filter((ink) => !isBare(ink))
    .toSorted((p, q) => driedColour(p, ground).l - driedColour(q, ground).l)[0];
}

import { probePanel } from '../../engine/probe';
import { countLayers } from '../../engine/stack';
import { groundOfCard } from '../../materials/card/card';
import { type Ink, isBare } from '../../materials/ink/ink';
import type { Laid } from '../../materials/ink/laid';
import { reflectanceOfHex } from '../../materials/ink/reflectance';
import { type LoggedReading, type MadeOf, type MadePanel, resolveMade } from '../log/made';
import type { PanelEvidence, Reading } from './evidence';
import type { Place } from './tell';

/** A reading that cannot be used, and why. */
export interface Unusable {
  readonly panel: number;
  readonly reading: number;
  readonly why: string;
}

/** What a log says of the inks on a shelf. */
export interface LogEvidence {
  readonly panels: readonly PanelEvidence[];
  readonly unusable: readonly Unusable[];
}

const WHITE_CARD = '#ffffff';

/**
 * A log's dried readings as the learner takes them: of the inks as they are on the shelf now, told by their ids or else by
 * their names.
 */
export function evidenceOf(log: readonly MadePanel[], shelf: readonly Ink[]): LogEvidence {
  const unusable: Unusable[] = [];
  const find = finder(shelf);
  const panels = log.map((panel, p): PanelEvidence => {
    const onPanel = panel.made ? panelPlaces(panel.made, find) : undefined;
    const readings = panel.readings.flatMap((reading, r): Reading[] => {
      // What is wet is not judged yet, and bare card is no ink's.
      if (reading.wet || reading.layers?.every((layer) => layer.length === 0)) return [];
      const place = placeOf(reading, onPanel, find);
      if (typeof place === 'string') {
        unusable.push({ panel: p, reading: r, why: place });
        return [];
      }
      return [{ ...place, lab: reading.lab, noise: reading.noise }];
    });
    return { readings };
  });
  return { panels: panels.filter(({ readings }) => readings.length > 0), unusable };
}

type Find = (wanted: { readonly id?: string; readonly name: string }) => Ink | undefined;

export function finder(shelf: readonly Ink[]): Find {
  const byId = new Map(shelf.map((ink) => [ink.id, ink]));
  const byName = new Map(shelf.map((ink) => [ink.name.toLowerCase(), ink]));
  return ({ id, name }) =>
    (id === undefined ? undefined : byId.get(id)) ?? byName.get(name.trim().toLowerCase());
}

/** What lies at a reading's place, or why that is not known. */
export function placeOf(
  { at, layers, card }: Pick<LoggedReading, 'at' | 'layers' | 'card'>,
  onPanel: ((x: number, y: number) => Place) | undefined,
  find: Find,
): Place | string {
  if (layers) {
    const laid: Laid[][] = [];
    for (const layer of layers) {
      const parts: Laid[] = [];
      for (const { ink: name, coats } of layer) {
        const ink = find({ name });
        if (!ink) return `no ink of the shelf is called "${name}"`;
        parts.push({ ink, coats });
      }
      laid.push(parts);
    }
    return { layers: laid, ground: reflectanceOfHex(card ?? WHITE_CARD) };
  }
  if (!at) return 'it says neither where it is nor what lies there';
  if (!onPanel) return 'it is told by its place, and the panel has no recipe';
  return onPanel(at.x, at.y);
}

/** What lies at the places of a panel that was made. */
export function panelPlaces(made: MadeOf, find: Find): (x: number, y: number) => Place {
  const inks = made.inks.map((ink) => {
    const now = find(ink);
    return now ? { ...now, id: ink.id } : ink;
  });
  const resolved = resolveMade({ ...made, inks });
  const { program, stackAt } = probePanel(resolved);
  const ground = groundOfCard(resolved.card);
  // The learner tells inks apart by the shelf's ids; one that lies as another kind does teaches nothing of itself.
  const onShelf = program.palette.map((ink) => {
    const now = find(made.inks.find(({ id }) => id === ink.id) ?? ink);
    return now?.kind === ink.kind ? now : { ...ink, id: `${ink.id} as ${ink.kind}` };
  });
  return (x, y) => {
    const stack = stackAt(x, y);
    const layers = Array.from({ length: countLayers(stack) }, (_, layer) =>
      onShelf.flatMap((ink, i): Laid[] => {
        const coats = stack.amounts[layer * stack.inks + i] ?? 0;
        return coats > 0 && !isBare(ink) ? [{ ink, coats }] : [];
      }),
    );
    return { layers: layers.filter((layer) => layer.length > 0), ground };
  };
}

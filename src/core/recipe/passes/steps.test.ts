import { join } from 'node:path';
import { expect, test } from 'vitest';
import { ink } from '../../../testing/resolvedRecipes';
import type { Unit } from '../../base/length';
import { initialParams, isChoice, type Params } from '../../base/params';
import type { Design } from '../../materials/design/design';
import { OWN_DESIGNS } from '../../materials/design/own';
import type { PassKind, PlacementContext } from './definition';
import { PASS_KIND_IDS, PASS_KINDS } from './passes';

const PANEL = { width: 101.6, height: 133.35 };
const inks = { blended: ink('Tarn Deep', '#133f7c'), stamped: ink('Soot', '#141416', 'detail') };
const white = ink('Slip White', '#fdfdfb', 'white');

/** What a kind is laid with: the design and the ink it asks for, with these parameters. */
function contextOf(kind: PassKind, id: string, params: Params): PlacementContext {
  const design = kind.design && OWN_DESIGNS.find(({ use }) => use === kind.design?.use);
  const laid = kind.ink === 'white' ? white : kind.ink && inks[kind.ink];
  return {
    id,
    panel: PANEL,
    wets: 1,
    params: { ...initialParams(kind.params, PANEL), ...params },
    ...(design ? { design: design as Design } : {}),
    ...(laid ? { ink: laid } : {}),
  };
}

/** The work of a kind in words: as it starts, with each other word chosen, and placed twice where it may be. */
function told(kind: PassKind, unit: Unit): string {
  const variants: { name: string; contexts: PlacementContext[] }[] = [
    { name: 'as it starts', contexts: [contextOf(kind, 'p1', {})] },
  ];
  for (const [key, spec] of Object.entries(kind.params)) {
    if (isChoice(spec)) {
      for (const word of Object.keys(spec.choices).filter((one) => one !== spec.initial))
        variants.push({ name: `${key} ${word}`, contexts: [contextOf(kind, 'p1', { [key]: word })] });
    } else if (spec.unit !== 'seed')
      variants.push(
        { name: `${key} ${spec.min}`, contexts: [contextOf(kind, 'p1', { [key]: spec.min })] },
        { name: `${key} ${spec.max}`, contexts: [contextOf(kind, 'p1', { [key]: spec.max })] },
      );
  }
  if (kind.placements.max > 1)
    variants.push({
      name: 'placed twice',
      contexts: [contextOf(kind, 'p1', {}), contextOf(kind, 'p2', { x: 30, y: 40 })],
    });
  return variants
    .map(({ name, contexts }) => {
      const steps = kind
        .steps(contexts, unit)
        .map(({ title, work, care, minutes, placement, waits, dangers = [] }) => {
          const facts = [
            `${minutes} min`,
            waits && `waits: ${waits}`,
            placement && `lays ${placement}`,
            ...dangers,
          ];
          return `  ${[title, work, ...care].join('\n    ')}\n    [${facts.filter(Boolean).join(', ')}]`;
        });
      const atEach = (kind.atEachInk?.(contexts) ?? []).map(
        ({ care, minutes }) => `  At each ink\n    ${care}\n    [${minutes} min]`,
      );
      return `${name}:\n${[...atEach, ...steps].join('\n')}`;
    })
    .join('\n');
}

test.each(PASS_KIND_IDS)(
  '%s is told as before, with every choice, at its limits, in mm and in inches',
  async (id) => {
    const text = (['mm', 'in'] as const)
      .map((unit) => `== ${unit}\n${told(PASS_KINDS[id], unit)}\n`)
      .join('\n');
    await expect(text).toMatchFileSnapshot(join(import.meta.dirname, 'steps', `${id}.txt`));
  },
);

test.each(PASS_KIND_IDS)('%s tells the hand of all that can be chosen of it', (id) => {
  const kind: PassKind = PASS_KINDS[id];
  // How far repeats lie apart matters where there are some; a seed is what the picture shows.
  const repeated: Params = 'repeat' in kind.params ? { repeat: 'tiles' } : {};
  const toldWith = (params: Params) => {
    const contexts = [contextOf(kind, 'p1', { ...repeated, ...params })];
    return JSON.stringify([kind.steps(contexts, 'mm'), kind.atEachInk?.(contexts), kind.later?.(contexts)]);
  };
  for (const [key, spec] of Object.entries(kind.params)) {
    if (isChoice(spec) ? key === 'repeat' : spec.unit === 'seed') continue;
    const values = isChoice(spec) ? Object.keys(spec.choices) : [spec.min, spec.max];
    const all = new Set(values.map((value) => toldWith({ [key]: value })));
    expect(all.size, key).toBeGreaterThan(1);
  }
});

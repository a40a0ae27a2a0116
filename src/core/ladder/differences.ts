import type { Ink } from '../ink/ink';
import { formatLength, type Unit } from '../panel/measure';
import { PASS_KINDS, type Pass } from '../pass/pass';
import { isChoice, type ParamSpec, type Params } from '../run/params';
import { RUNS } from '../run/run';
import { TOOLS } from '../tool/tools';
import type { Recipe } from './recipe';

/** What a recipe has otherwise than another, in words; empty where they are alike. */
export function differencesBetween(one: Recipe, other: Recipe, inks: readonly Ink[], unit: Unit): string[] {
  const nameOf = (id: string | undefined): string => inks.find((ink) => ink.id === id)?.name ?? 'another ink';
  const told: string[] = [];
  const say = (what: string, p: string, q: string) => p !== q && told.push(`${what}: ${p} → ${q}`);
  const sayParams = (of: string, specs: readonly ParamSpec[], p: Params, q: Params) => {
    for (const spec of specs)
      say(of + spec.label, tellParam(spec, p[spec.key], unit), tellParam(spec, q[spec.key], unit));
  };
  say('Run', RUNS[one.run.id].label, RUNS[other.run.id].label);
  if (one.run.id === other.run.id) sayParams('', RUNS[one.run.id].params, one.run.params, other.run.params);
  say('Laid with', TOOLS[one.tool].label, TOOLS[other.tool].label);
  say('Card', one.cardId, other.cardId);
  const size = ({ panel }: Recipe) =>
    `${formatLength(panel.width, unit)} × ${formatLength(panel.height, unit)}`;
  say('Panel', size(one), size(other));
  for (let rung = 0; rung < Math.max(one.rungs.length, other.rungs.length); rung++) {
    const [p, q] = [one.rungs[rung], other.rungs[rung]];
    if (p && q) {
      say(`Rung ${rung + 1}`, nameOf(p.inkId), nameOf(q.inkId));
      say(`Share of rung ${rung + 1}`, percent(p.share), percent(q.share));
    } else say(`Rung ${rung + 1}`, p ? nameOf(p.inkId) : 'none', q ? nameOf(q.inkId) : 'none');
  }
  one.joints.forEach(({ width }, joint) => {
    const there = other.joints[joint];
    if (there) say(`Joint ${joint + 1}`, formatLength(width, unit), formatLength(there.width, unit));
  });
  const passIds = new Set([...one.passes, ...other.passes].map(({ id }) => id));
  for (const id of passIds) {
    const [p, q] = [one, other].map(({ passes }) => passes.find((pass) => pass.id === id));
    const { label, params } = PASS_KINDS[(p ?? q)?.kind ?? 'coat'];
    const inksOf = (pass: Pass | undefined) =>
      pass === undefined
        ? 'none'
        : !pass.on
          ? 'off'
          : pass.placements.map(({ inkId }) => (inkId ? nameOf(inkId) : 'laid')).join(', ');
    say(label, inksOf(p), inksOf(q));
    if (p && q)
      p.placements.forEach((placement, i) => {
        const there = q.placements[i];
        if (there) sayParams(`${label}: `, params, placement.params, there.params);
      });
  }
  if (sameSet(one.passes, other.passes)) say('Order of passes', orderOf(one.passes), orderOf(other.passes));
  return told;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A number of a run or a pass in words. */
function tellParam(spec: ParamSpec, value: number | undefined, unit: Unit): string {
  if (value === undefined) return 'none';
  if (isChoice(spec)) return spec.choices[value] ?? 'none';
  if (spec.unit === 'mm') return formatLength(value, unit);
  return `${Math.round(value)}${spec.unit === '°' || spec.unit === '%' ? ` ${spec.unit}` : ''}`;
}

const orderOf = (passes: readonly Pass[]): string =>
  passes.map(({ kind }) => PASS_KINDS[kind].label).join(', ');
const sameSet = (p: readonly Pass[], q: readonly Pass[]): boolean =>
  p.length === q.length && p.every(({ id }) => q.some((other) => other.id === id));

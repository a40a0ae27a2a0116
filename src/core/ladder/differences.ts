import type { Ink } from '../ink/ink';
import { OVERS } from '../over/over';
import { formatLength, type Unit } from '../panel/measure';
import { RUNS } from '../run/run';
import { TOOLS } from '../tool/tools';
import type { Recipe } from './recipe';

/** What a recipe has otherwise than another, in words; empty where they are alike. */
export function differencesBetween(one: Recipe, other: Recipe, inks: readonly Ink[], unit: Unit): string[] {
  const nameOf = (id: string | undefined): string => inks.find((ink) => ink.id === id)?.name ?? 'another ink';
  const told: string[] = [];
  const say = (what: string, p: string, q: string) => p !== q && told.push(`${what}: ${p} → ${q}`);
  say('Run', RUNS[one.run.id].label, RUNS[other.run.id].label);
  if (one.run.id === other.run.id)
    for (const { key, label, unit: suffix } of RUNS[one.run.id].params)
      say(
        label,
        `${Math.round(one.run.params[key] ?? 0)} ${suffix}`,
        `${Math.round(other.run.params[key] ?? 0)} ${suffix}`,
      );
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
  for (const id of Object.keys(OVERS) as (keyof typeof OVERS)[]) {
    const [p, q] = [one, other].map(({ overs }) => overs.find((over) => over.id === id));
    say(OVERS[id].label, p ? nameOf(p.inkId) : 'none', q ? nameOf(q.inkId) : 'none');
  }
  return told;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

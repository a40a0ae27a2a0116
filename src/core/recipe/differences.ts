import { formatLength, type Unit } from '../base/length';
import { formatMeasure, isChoice, type ParamSpec, type Params } from '../base/params';
import { PASS_KINDS, type Pass, passName } from './passes/passes';
import type { Kit, Recipe } from './recipe';
import { RUNS } from './runs/runs';
import { SCHOOLS } from './schools/schools';
import { TOOLS } from './tools/tools';

/** What a recipe has otherwise than another, in words; empty where they are alike. */
export function differencesBetween(oneKit: Kit, otherKit: Kit, unit: Unit): string[] {
  const { recipe: one } = oneKit;
  const { recipe: other } = otherKit;
  const named = new Map(
    [oneKit, otherKit].flatMap(({ inks, passInks, designs }) =>
      [...inks, ...passInks, ...designs].map(({ id, name }) => [id, name]),
    ),
  );
  const nameOf = (id: string): string => named.get(id) ?? 'something else';
  const told: string[] = [];
  const say = (what: string, p: string, q: string) => p !== q && told.push(`${what}: ${p} → ${q}`);
  const sayParams = (of: string, specs: readonly ParamSpec[], p: Params, q: Params) => {
    for (const spec of specs)
      say(of + spec.label, tellParam(spec, p[spec.key], unit), tellParam(spec, q[spec.key], unit));
  };
  say('Run', RUNS[one.run.id].label, RUNS[other.run.id].label);
  if (one.run.id === other.run.id) sayParams('', RUNS[one.run.id].params, one.run.params, other.run.params);
  say('Laid with', TOOLS[one.tool].label, TOOLS[other.tool].label);
  const schoolOf = ({ school }: Recipe) =>
    school === 'suggested' ? 'as suggested' : SCHOOLS[school].label.toLowerCase();
  say('Order of laying', schoolOf(one), schoolOf(other));
  say('Card', oneKit.card.name, otherKit.card.name);
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
  const wishOf = ({ wanted }: Recipe) => wanted?.map(percent).join(', ') ?? 'equal';
  say('Shares to be seen', wishOf(one), wishOf(other));
  const stateOf = (pass: Pass | undefined) =>
    pass === undefined
      ? 'none'
      : !pass.on
        ? 'off'
        : pass.placements.map(({ inkId }) => (inkId ? nameOf(inkId) : 'laid')).join(', ');
  const designOf = ({ designId }: Pass) => (designId ? nameOf(designId) : 'none');
  for (const p of one.passes) {
    const q = other.passes.find(({ id }) => id === p.id);
    const label = passName(one.passes, p);
    say(label, stateOf(p), stateOf(q));
    if (!q) continue;
    say(`${label}: Design`, designOf(p), designOf(q));
    p.placements.forEach((placement, i) => {
      const there = q.placements[i];
      const of = p.placements.length > 1 ? `${label}, ${i + 1}: ` : `${label}: `;
      if (there) sayParams(of, PASS_KINDS[p.kind].params, placement.params, there.params);
    });
  }
  for (const q of other.passes)
    if (!one.passes.some(({ id }) => id === q.id)) say(passName(other.passes, q), 'none', stateOf(q));
  if (sameSet(one.passes, other.passes)) {
    const orderOf = (passes: readonly Pass[]) =>
      // By their names in the first, or two of a kind that change places would look alike.
      passes.map((pass) => passName(one.passes, pass)).join(', ');
    say('Order of passes', orderOf(one.passes), orderOf(other.passes));
  }
  return told;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A number of a run or a pass in words. */
function tellParam(spec: ParamSpec, value: number | undefined, unit: Unit): string {
  if (value === undefined) return 'none';
  if (isChoice(spec)) return spec.choices[value] ?? 'none';
  const suffix = { mm: ` ${unit}`, '°': ' °', '%': ' %', '×': '', seed: '' }[spec.unit];
  return `${formatMeasure(spec, value, unit)}${suffix}`;
}

const sameSet = (p: readonly Pass[], q: readonly Pass[]): boolean =>
  p.length === q.length && p.every(({ id }) => q.some((other) => other.id === id));

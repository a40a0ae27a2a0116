import type { Size } from '../base/geometry';
import { formatLength, type Unit } from '../base/length';
import { describeParam, type ParamSpecs, type Params } from '../base/params';
import { percentOf } from '../base/words';
import { PASS_KINDS, type Pass, passName, placementsOf } from './passes/passes';
import type { Recipe } from './recipe';
import type { ResolvedRecipe } from './resolved';
import { RUNS } from './runs/runs';
import { SCHOOLS } from './schools/schools';
import { TOOLS } from './tools/tools';

/** Says what something was before and what it is after, unless that is the same. */
type Say = (what: string, before: string, after: string) => void;
type NameOf = (id: string) => string;

/** What a recipe has otherwise than another, in words; empty where they are alike. */
export function differencesBetween(before: ResolvedRecipe, after: ResolvedRecipe, unit: Unit): string[] {
  const named = new Map(
    [before, after].flatMap(({ inks, passInks, designs }) =>
      [...inks, ...passInks, ...designs].map(({ id, name }) => [id, name]),
    ),
  );
  const nameOf: NameOf = (id) => named.get(id) ?? 'something else';
  const lines: string[] = [];
  const say: Say = (what, p, q) => {
    if (p !== q) lines.push(`${what}: ${p} → ${q}`);
  };
  const schoolOf = ({ school }: Recipe) =>
    school === 'suggested' ? 'as suggested' : SCHOOLS[school].label.toLowerCase();
  const sizeOf = ({ panel }: Recipe) =>
    `${formatLength(panel.width, unit)} × ${formatLength(panel.height, unit)}`;
  const [one, other] = [before.recipe, after.recipe];
  say('Run', RUNS[one.run.id].label, RUNS[other.run.id].label);
  if (one.run.id === other.run.id)
    sayParams(say, '', RUNS[one.run.id].params, one.run.params, other.run.params, unit, [
      one.panel,
      other.panel,
    ]);
  say('Laid with', TOOLS[one.tool].label, TOOLS[other.tool].label);
  say('Order of laying', schoolOf(one), schoolOf(other));
  say('Card', before.card.name, after.card.name);
  say('Also on', before.alsoOn?.name ?? 'none', after.alsoOn?.name ?? 'none');
  say('Panel', sizeOf(one), sizeOf(other));
  sayLadder(say, one, other, nameOf, unit);
  sayPasses(say, one, other, nameOf, unit);
  sayNotes(say, one, other);
  return [...new Set(lines)];
}

function sayParams(
  say: Say,
  of: string,
  specs: ParamSpecs,
  p: Params,
  q: Params,
  unit: Unit,
  [before, after]: readonly [Size, Size],
): void {
  for (const [key, spec] of Object.entries(specs))
    say(of + spec.label, describeParam(spec, p[key], unit, before), describeParam(spec, q[key], unit, after));
}

/** Rungs, joints and wishes, by their places in the ladder. */
function sayLadder(say: Say, one: Recipe, other: Recipe, nameOf: NameOf, unit: Unit): void {
  for (let rung = 0; rung < Math.max(one.rungs.length, other.rungs.length); rung++) {
    const [p, q] = [one.rungs[rung], other.rungs[rung]];
    if (p && q) {
      say(`Rung ${rung + 1}`, nameOf(p.inkId), nameOf(q.inkId));
      const [before, after] = percents(p.share, q.share);
      say(`Share of rung ${rung + 1}`, before, after);
    } else say(`Rung ${rung + 1}`, p ? nameOf(p.inkId) : 'none', q ? nameOf(q.inkId) : 'none');
  }
  one.joints.forEach(({ width }, joint) => {
    const there = other.joints[joint];
    if (there) say(`Joint ${joint + 1}`, formatLength(width, unit), formatLength(there.width, unit));
  });
  const wishOf = ({ wanted }: Recipe) => wanted?.map(percentOf).join(', ') ?? 'equal';
  say('Shares to be seen', wishOf(one), wishOf(other));
}

/** Two parts in whole per cent, or in tenths of them where that would make them alike. */
function percents(one: number, other: number): readonly [string, string] {
  const whole = [percentOf(one), percentOf(other)] as const;
  const inTenths = (part: number) => `${(part * 100).toFixed(1)} %`;
  return whole[0] === whole[1] ? [inTenths(one), inTenths(other)] : whole;
}

/** So much of a note is quoted, letters. */
const QUOTED = 60;

/** The maker's notes, as they begin. */
function sayNotes(say: Say, { notes: before = {} }: Recipe, { notes: after = {} }: Recipe): void {
  const quoted = (note: string | undefined) =>
    note ? `“${note.length > QUOTED ? `${note.slice(0, QUOTED).trimEnd()} …` : note}”` : 'none';
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const [one, other] = [before[key], after[key]];
    const [p, q] = [quoted(one), quoted(other)];
    if (one !== other) say('Note', p, p === q ? 'the same beginning, another end' : q);
  }
}

const timesOf = (count: number): string => (count === 1 ? '' : count === 2 ? ' twice' : ` ${count} times`);

/** Passes by their ids, and the order they stand in. */
function sayPasses(
  say: Say,
  { passes: before, panel }: Recipe,
  { passes: after, panel: otherPanel }: Recipe,
  nameOf: NameOf,
  unit: Unit,
): void {
  const stateOf = (pass: Pass | undefined) => {
    if (pass === undefined) return 'none';
    if (!pass.enabled) return 'off';
    const laid = placementsOf(pass).map(({ inkId }) => (inkId ? nameOf(inkId) : 'laid'));
    return [...new Set(laid)]
      .map((one) => `${one}${timesOf(laid.filter((other) => other === one).length)}`)
      .join(', ');
  };
  const designOf = ({ designId }: Pass) => (designId ? nameOf(designId) : 'none');
  for (const p of before) {
    const q = after.find(({ id }) => id === p.id);
    const label = passName(before, p);
    say(label, stateOf(p), stateOf(q));
    if (!q) continue;
    say(`${label}: Design`, designOf(p), designOf(q));
    placementsOf(p).forEach(({ id, params }, i) => {
      const others = placementsOf(q);
      // One that was taken off and laid anew stands in the other's place.
      const anew = others.length === p.placements.length ? others[i] : undefined;
      const there = others.find((placement) => placement.id === id) ?? anew;
      const of = p.placements.length > 1 ? `${label}, ${i + 1}: ` : `${label}: `;
      if (there)
        sayParams(say, of, PASS_KINDS[p.kind].params, params, there.params, unit, [panel, otherPanel]);
    });
  }
  for (const q of after)
    if (!before.some(({ id }) => id === q.id)) say(passName(after, q), 'none', stateOf(q));
  if (!haveSameIds(before, after)) return;
  // By their names in the first, or two of a kind that change places would look alike.
  const orderOf = (passes: readonly Pass[]) => passes.map((pass) => passName(before, pass)).join(', ');
  say('Order of passes', orderOf(before), orderOf(after));
}

const haveSameIds = (p: readonly Pass[], q: readonly Pass[]): boolean =>
  p.length === q.length && p.every(({ id }) => q.some((other) => other.id === id));

import { formatBare, formatLength } from '../base/length';
import { blendGround } from '../engine/blend';
import { wetAfterPass } from '../engine/drying';
import { curlOf } from '../materials/card/weight';
import { type Ink, isBare } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { brewMiddle } from '../readings/joints/brew';
import { HOLDS } from '../readings/perceived';
import type { PassStep } from '../recipe/passes/definition';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import { contextsOf, placedPasses } from '../recipe/resolved';
import { type Brush, type BrushUse, letterOf } from './brushes';
import { addStep, cleaning, type Desk, type Job, type Setting } from './desk';
import { describeMinutes, USUAL_PACE } from './times';

/** The panel cut, marked and held. */
export const prepare: Job = (desk, setting) => {
  const { resolved, unit, words } = setting;
  const { width, height } = resolved.recipe.panel;
  return addStep(desk, setting, {
    key: 'prepare',
    kind: 'prepare',
    title: 'Prepare',
    work: `Panel ${formatBare(width, unit)} × ${formatLength(height, unit)} of ${resolved.card.name}. ${words.marks}`,
    care: [
      'Mat wiped and dry. Hold the panel under a sticky note or scrap paper, so that no finger marks it.',
      ...curlOf(resolved.card),
    ],
  });
};

/** A rung's ink, and its place in the ladder. */
const inkAt = ({ resolved }: Setting, rung: number): Ink => {
  const ink = resolved.inks[rung];
  if (!ink) throw new RangeError(`the recipe has no rung ${rung + 1}`);
  return ink;
};
const idOf = ({ resolved }: Setting, rung: number): string => resolved.recipe.rungs[rung]?.id ?? '';

/**
 * One ink of the ladder, solid where it must be and faded from there.
 *
 * @param first  whether it is the first of all
 * @param fades  whether it fades out, or stops at its border for a brewed middle
 */
export const lay =
  (rung: number, use: BrushUse, first: boolean, fades: boolean): Job =>
  (desk, setting) => {
    const { pace, words, neighbours, school, stroke, tool, holds, larger } = setting;
    const ink = inkAt(setting, rung);
    // A usual band is a third of a usual panel.
    const minutes = pace.layBand * larger.over(3 * (words.areas[rung] ?? 0));
    const joins = neighbours.filter((pair) => pair.includes(rung)).length;
    const down = {
      ...desk,
      progress: { ...desk.progress, laid: desk.progress.laid.with(rung, true) },
      wet: [...desk.wet, ink],
    };
    const done = addStep(down, setting, {
      key: `lay ${idOf(setting, rung)}`,
      kind: 'lay',
      title: ink.name,
      work: words.lay(rung, fades),
      care: [
        ...(first
          ? []
          : [
              cleaning(use, setting),
              'Turn the panel so that the blended edge lies toward your working hand.',
            ]),
        `Load, tap off on white kitchen paper, land in the solid part, ${stroke}. ${school.care}`,
        ...((holds[rung] ?? 0) > HOLDS.strong
          ? ['A strong ink beside these: lay it with a lighter hand.']
          : []),
        ...(tool.after ? [tool.after] : []),
      ],
      ink,
      brush: use.brush,
      minutes: minutes + (first ? 0 : pace.wipeMat),
    });
    // Of two fades the first was laid while the other was still to come.
    const entered = done.clock - (joins > 1 ? minutes / 2 : 0);
    return { ...done, entered: new Map(done.entered).set(rung, entered) };
  };

/** A middle mixed from both ends, laid in the bare strip between them. */
export const brew =
  (first: number, last: number, brushes: number): Job =>
  (desk, setting) => {
    const { resolved, pace, tool, words } = setting;
    const [p, q] = [inkAt(setting, first), inkAt(setting, last)];
    const { parts, colour } = brewMiddle(p, q, blendGround(resolved));
    const [more, less] = parts[0] >= parts[1] ? [p, q] : [q, p];
    const [many, few] = [Math.max(...parts), Math.min(...parts)];
    return addStep(desk, setting, {
      key: 'brew',
      kind: 'brew',
      title: 'Brewed middle',
      work: `Load a third ${tool.noun} from both: ${many} of ${more.name} to ${few} of ${less.name}, for a ${colour.name}. Lay it in the bare strip, ${words.join(first, last)}.`,
      care: [
        'Mostly the weaker ink. Land in the middle of the strip, work outward, no new ink toward the ends.',
      ],
      brush: { letter: letterOf(brushes), label: 'the middle' },
      minutes: pace.brew + pace.wipeMat,
    });
  };

/** Back with one ink over its join with another. */
export const goBack =
  (rung: number, over: number, brush: Brush): Job =>
  (desk, setting) => {
    const { pace, words, larger } = setting;
    const ink = inkAt(setting, rung);
    const { openMinutes } = INK_KINDS[ink.kind];
    const joined =
      Math.abs(rung - over) === 1
        ? { ...desk.progress, blended: desk.progress.blended.with(Math.min(rung, over), true) }
        : desk.progress;
    const done = addStep({ ...desk, progress: joined }, setting, {
      key: `back ${idOf(setting, rung)} over ${idOf(setting, over)}`,
      kind: 'go back',
      title: `Back with ${ink.name}`,
      work: `Over the join, ${words.join(rung, over)}, until no line is left.`,
      care: [
        `No new ink. Small circles, light hand, while it is wet (about ${describeMinutes(openMinutes)}).`,
      ],
      ink,
      brush,
      minutes: pace.goBack * larger.across,
    });
    return hasDried(done, setting, rung, over)
      ? {
          ...done,
          warnings: [...done.warnings, { rungs: [rung, over], message: adviseDryJoint(setting, rung, over) }],
        }
      : done;
  };

/** Whether both inks of a join are past their open time. */
const hasDried = ({ clock, entered }: Desk, setting: Setting, ...rungs: readonly number[]): boolean =>
  rungs.every(
    (rung) => clock - (entered.get(rung) ?? clock) > INK_KINDS[inkAt(setting, rung).kind].openMinutes,
  );

/** What to do about a joint that dries too soon: a smaller stretch, another order, an ink that waits longer. */
function adviseDryJoint(setting: Setting, rung: number, over: number): string {
  const [p, q] = [inkAt(setting, rung), inkAt(setting, over)];
  const slower = INK_KINDS[p.kind].openMinutes >= INK_KINDS[q.kind].openMinutes ? p : q;
  const { label, openMinutes } = INK_KINDS[slower.kind];
  const order = setting.school.joinsWait
    ? 'lay pale first, so that each join is gone back over at once'
    : 'lay both ends last';
  return `Back with ${p.name} over ${q.name} comes after both have dried. Lay a smaller stretch at a time, ${order}, or take an ink that stays open longer than ${slower.name} (${label}, ${describeMinutes(openMinutes)}).`;
}

/** Waits until whatever is wet has dried; nothing where nothing is. */
export const dry =
  (when: string): Job =>
  (desk, setting) => {
    const [first, ...others] = desk.wet.filter((ink) => !isBare(ink));
    if (!first) return desk;
    const airDry = ({ kind }: Ink) => INK_KINDS[kind].airDryMinutes;
    const slowest = others.reduce((slow, ink) => (airDry(ink) > airDry(slow) ? ink : slow), first);
    const dried = { ...desk, wet: [], dangers: new Set(desk.dangers).add('heat') };
    return addStep(dried, setting, {
      key: `dry ${when}`,
      kind: 'dry',
      title: 'Dry',
      work: `Flat, ${describeMinutes(airDry(slowest))} in air: ${slowest.name} is the slowest (${INK_KINDS[slowest.kind].label}).`,
      care: [
        `Or heat tool, face then back, about ${describeMinutes(setting.pace.heatDry)}. Air keeps more colour.`,
      ],
      minutes: airDry(slowest),
    });
  };

/** A pass, step by step, after what is wet has dried where it needs that. */
export const layPass =
  (pass: Pass, index: number, uses: readonly BrushUse[]): Job =>
  (desk, setting) => {
    const { resolved, unit } = setting;
    const kind = PASS_KINDS[pass.kind];
    const ready = kind.needsDry ? dry(`before ${pass.id}`)(desk, setting) : desk;
    const contexts = contextsOf(resolved, pass);
    const traces = placedPasses(resolved, pass).map((placed) => placed.traces);
    let now = ready;
    for (const [i, step] of kind.steps(contexts, unit).entries()) {
      const placing = contexts.findIndex(({ id }) => id === step.placement);
      const isLastPlacing = placing < 0 || placing === contexts.length - 1;
      // Waiting needs no ink.
      const ink = step.waits ? undefined : contexts[Math.max(placing, 0)]?.ink;
      const laid: Desk = {
        ...now,
        wet: i === 0 ? wetAfterPass(resolved, pass, now.wet) : now.wet,
        // Where each placing is a step the picture grows with them; else it is there after the first.
        progress: isLastPlacing
          ? { ...now.progress, passes: index + 1, placings: 0 }
          : { ...now.progress, placings: placing + 1 },
      };
      now = addPassStep(laid, setting, {
        pass,
        step,
        key: `pass ${pass.id} ${step.placement ?? i}`,
        ink,
        use: ink ? uses[Math.min(Math.max(placing, 0), uses.length - 1)] : undefined,
        traces: step.waits ? [] : placing < 0 ? traces.flat() : (traces[placing] ?? []),
      });
    }
    return now;
  };

/** What a step of a pass is done with, and where. */
interface PassWork {
  readonly pass: Pass;
  readonly step: PassStep;
  readonly key: string;
  readonly ink: Ink | undefined;
  readonly use: BrushUse | undefined;
  readonly traces: readonly string[];
}

function addPassStep(desk: Desk, setting: Setting, { step, key, ink, use, traces }: PassWork): Desk {
  const { pace, larger } = setting;
  // Brushed on, it goes at the maker's own pace of laying a band.
  const ownPace = use ? pace.layBand / USUAL_PACE.layBand : 1;
  const working = step.minutes * ownPace * larger.over(1) + (use ? pace.wipeMat : 0);
  const waiting = step.waits === 'heat' ? pace.heatDry : step.minutes;
  const dangers = new Set([...desk.dangers, ...(step.dangers ?? [])]);
  return addStep({ ...desk, dangers }, setting, {
    key,
    kind: step.waits ? 'dry' : 'pass',
    title: ink ? `${step.title}: ${ink.name}` : step.title,
    work: step.work,
    care: [...(use ? [cleaning(use, setting)] : []), ...step.care],
    ...(ink ? { ink } : {}),
    ...(use ? { brush: use.brush } : {}),
    ...(traces.length > 0 ? { traces } : {}),
    minutes: step.waits ? waiting : working,
  });
}

/** The dried panel against its picture, and the brushes washed. */
export const check =
  (uses: readonly BrushUse[]): Job =>
  (desk, setting) => {
    const names = setting.resolved.inks.filter((ink) => !isBare(ink)).map(({ name }) => name);
    return addStep(desk, setting, {
      key: 'check',
      kind: 'check',
      title: 'Check, dry',
      work: 'Against the dry picture: no line, no bare speck.',
      care: [
        `Each ink still itself somewhere: ${names.join(', ')}.`,
        describeWashing(uses, setting.tool.noun),
      ],
    });
  };

/** Which brushes to wash at once, before what is on them sets, and which may wait. */
function describeWashing(uses: readonly BrushUse[], noun: string): string {
  const sets = new Map(uses.map(({ brush, set }) => [brush.letter, set]));
  const letters = (atOnce: boolean) =>
    [...sets]
      .filter(([, set]) => (set === 'pigment' || set === 'white only') === atOnce)
      .map(([letter]) => letter);
  const [now, later] = [letters(true), letters(false)];
  return `Wash ${noun} ${[
    ...(now.length > 0 ? [`${now.join(', ')} at once, before it sets`] : []),
    ...(later.length > 0 ? [`${later.join(', ')} at the end of the sitting`] : []),
  ].join('; ')}.`;
}

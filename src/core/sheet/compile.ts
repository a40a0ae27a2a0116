import { formatBare, formatLength, type Unit } from '../base/length';
import { groundOf } from '../engine/ground';
import { liesOf, scenesOf } from '../engine/layers';
import { type Progress, untouched } from '../engine/progress';
import { FINISHES } from '../materials/card/finishes';
import { type Ink, isBare } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import type { Wetness } from '../materials/ink/laid';
import { curlOf } from '../readings/card/cardFit';
import { brewMiddle } from '../readings/joints/brew';
import { potencies } from '../readings/perceived';
import { USUAL_PANEL } from '../recipe/panel';
import { type Danger, PASS_KINDS, type Pass, type PassStep } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/passesInOrder';
import type { Kit } from '../recipe/recipe';
import { TOOLS } from '../recipe/tools/tools';
import { type Brush, type BrushUse, brushesFor } from './brushes';
import { CAUTIONS } from './cautions';
import { type Measures, measuresOf } from './measures';
import { layingOrder, schoolOf } from './schoolChoice';
import { type Pace, tellMinutes, USUAL_PACE } from './times';

export type StepKind = 'prepare' | 'lay' | 'brew' | 'go back' | 'pass' | 'dry' | 'check';

/** One numbered step of the order of work. */
export interface Step {
  /** What stays the same when the sheet is compiled anew: a note or a timing belongs to it. */
  readonly key: string;
  readonly kind: StepKind;
  readonly title: string;
  /** The measured work in one line. */
  readonly work: string;
  /** Brush, cleaning, hand: what else to mind. */
  readonly care: readonly string[];
  readonly ink?: Ink;
  readonly brush?: Brush;
  /** Hands-on or waiting time; absent where the maker takes what it takes. */
  readonly minutes?: number;
  /** How the panel stands once it is done, and whether anything on it is still wet. */
  readonly after: Progress;
  readonly stands: Wetness;
  /** Where a design, an edge or a piece goes in this step, as SVG paths in mm. */
  readonly traces?: readonly string[];
  /** The maker's own words. */
  readonly note?: string;
}

/** A joint that will have dried before it is gone back over, with what would mend it. */
export interface DryJoint {
  readonly rungs: readonly [number, number];
  readonly told: string;
}

/** The order of work for one panel. */
export interface Sheet {
  readonly steps: readonly Step[];
  /** Sum of the steps with the brush in hand. */
  readonly workMinutes: number;
  /** Waiting for ink to dry in air. */
  readonly dryMinutes: number;
  readonly warnings: readonly DryJoint[];
  /** Cautions, each said once. */
  readonly cautions: readonly string[];
}

/**
 * Compiles the order of work. Every figure comes from the recipe's geometry, written in `unit`: each ink is laid
 * solid well away from the join, faded by lifting pressure, and after each new ink its neighbours go back over the
 * joins.
 *
 * @param pace  minutes each piece of work takes this maker
 */
export function compileSheet(kit: Kit, unit: Unit, pace: Pace = USUAL_PACE): Sheet {
  const { recipe, inks } = kit;
  const school = schoolOf(kit);
  const order = layingOrder(kit);
  const measures = measuresOf(recipe, unit);
  const passes = passesInOrder(recipe).map((pass) => ({ pass, inks: inksOfPass(kit, pass) }));
  const isUnder = ({ pass }: { readonly pass: Pass }) => PASS_KINDS[pass.kind].stage === 'under';
  const [under, over] = [passes.filter(isUnder), passes.filter((one) => !isUnder(one))];
  const ladder = order.map((rung) => inks[rung] as Ink);
  const laid = [...under.flatMap((one) => one.inks), ...ladder, ...over.flatMap((one) => one.inks)];
  const uses = brushesFor(laid);
  const useOf = (rung: number): BrushUse =>
    uses[under.flatMap((one) => one.inks).length + order.indexOf(rung)] as BrushUse;
  const brews = school.brews && order.length === 2 && inks.length === 2;
  const work = startWork(kit, unit, pace, measures);
  let brushed = 0;
  const doPass = (one: (typeof passes)[number], index: number): void => {
    const own = uses.slice(brushed, brushed + one.inks.length);
    brushed += one.inks.length;
    work.pass(one.pass, index, one.inks, own);
  };

  work.prepare();
  under.forEach(doPass);
  order.forEach((rung, turn) => {
    work.lay(rung, useOf(rung), turn === 0, school.care, !brews);
    if (brews) return;
    for (const neighbour of neighboursOf(rung, measures.meetings, order.slice(0, turn)))
      work.goBack(neighbour, rung, useOf(neighbour).brush);
  });
  if (brews) {
    const [first, last] = order as [number, number];
    work.brew(first, last, new Set(uses.map(({ brush }) => brush.letter)).size);
    for (const rung of [first, last]) work.goBack(rung, rung === first ? last : first, useOf(rung).brush);
  }
  brushed += order.length;
  over.forEach((one, i) => {
    doPass(one, under.length + i);
  });
  work.dry('end');
  work.check(uses, laid);
  return work.sheet();
}

/** The inks of a pass that are brushed on, one a placement; what is stamped needs no brush. */
const inksOfPass = (kit: Kit, pass: Pass): Ink[] =>
  PASS_KINDS[pass.kind].ink === 'stamped' ? [] : scenesOf(kit, pass).flatMap(({ ink }) => ink ?? []);

/** Rungs already down that meet this one, nearest in the ladder first. */
const neighboursOf = (rung: number, meetings: Measures['meetings'], laid: readonly number[]): number[] =>
  laid
    .filter((other) => meetings.some(([p, q]) => (p === rung && q === other) || (p === other && q === rung)))
    .sort((p, q) => p - q);

/** What a step of a pass is done with, and where. */
interface PassWork {
  readonly ink: Ink | undefined;
  readonly use: BrushUse | undefined;
  readonly traces: readonly string[];
}

/** Collects steps, with the clock and the panel's state as they go. */
function startWork(kit: Kit, unit: Unit, pace: Pace, measures: Measures) {
  const { recipe, card, inks } = kit;
  const steps: Step[] = [];
  const warnings: DryJoint[] = [];
  let progress = untouched(recipe);
  let clock = 0;
  const dangers = new Set<Danger>();
  /** What has been laid since all was last dry. */
  let wet: readonly Ink[] = [];
  /** When each ink came into the joints it has, minutes. */
  const entered = new Map<number, number>();
  const { width, height } = recipe.panel;
  const usualThird = (USUAL_PANEL.width * USUAL_PANEL.height) / 3;
  /** A larger band takes longer, by the way the brush has to go. */
  const layMinutes = (area: number): number =>
    pace.layBand * Math.max(Math.sqrt((area * width * height) / usualThird), 0.75);
  const goBackMinutes = pace.goBack * Math.max(width / USUAL_PANEL.width, 0.67);
  const tool = TOOLS[recipe.tool];
  const pulls = potencies(kit);

  const add = (step: Omit<Step, 'after' | 'stands' | 'note'>): void => {
    const note = recipe.notes?.[step.key];
    const stands = wet.some((ink) => !isBare(ink)) ? 'wet' : 'dry';
    steps.push({ ...step, after: progress, stands, ...(note ? { note } : {}) });
    if (step.kind !== 'dry') clock += step.minutes ?? 0;
  };
  const clean = (first: boolean, { brush, usedBefore }: BrushUse): string[] => {
    if (first) return [];
    const wiped = 'Wipe and dry the mat.';
    return usedBefore
      ? [
          `${wiped} ${upper(tool.noun)} ${brush.letter} worked with ${usedBefore.name}: wipe it clean on kitchen paper first.`,
        ]
      : [`${wiped} Fresh ${tool.noun}.`];
  };
  const stroke = tool.stroke ?? FINISHES[card.finish].stroke;

  const addPassStep = (pass: Pass, i: number, step: PassStep, { ink, use, traces }: PassWork): void => {
    for (const danger of step.dangers ?? []) dangers.add(danger);
    const brushed = use ? clean(false, use) : [];
    const scale =
      (use ? pace.layBand / USUAL_PACE.layBand : 1) *
      Math.max(Math.sqrt((width * height) / (3 * usualThird)), 0.75);
    add({
      key: `pass ${pass.id} ${i}`,
      kind: step.waits ? 'dry' : 'pass',
      title: ink ? `${step.title}: ${ink.name}` : step.title,
      work: step.work,
      care: [...brushed, ...step.care],
      ...(ink ? { ink } : {}),
      ...(use ? { brush: use.brush } : {}),
      ...(traces.length > 0 ? { traces } : {}),
      minutes: step.waits
        ? pass.kind === 'heatSet'
          ? pace.heatDry
          : step.minutes
        : step.minutes * scale + (use ? pace.wipeMat : 0),
    });
  };
  const dry = (when: string): void => {
    const down = wet.filter((ink) => !isBare(ink));
    const [first] = down;
    if (!first) return;
    const slowest = down.reduce(
      (slow, ink) => (INK_KINDS[ink.kind].airDryMinutes > INK_KINDS[slow.kind].airDryMinutes ? ink : slow),
      first,
    );
    const { airDryMinutes, label } = INK_KINDS[slowest.kind];
    dangers.add('heat');
    wet = [];
    add({
      key: `dry ${when}`,
      kind: 'dry',
      title: 'Dry',
      work: `Flat, ${tellMinutes(airDryMinutes)} in air: ${slowest.name} is the slowest (${label}).`,
      care: [`Or heat tool, face then back, about ${tellMinutes(pace.heatDry)}. Air keeps more colour.`],
      minutes: airDryMinutes,
    });
  };

  return {
    prepare: (): void =>
      add({
        key: 'prepare',
        kind: 'prepare',
        title: 'Prepare',
        work: `Panel ${formatBare(width, unit)} × ${formatLength(height, unit)} of ${card.name}. ${measures.marks}`,
        care: [
          'Mat wiped and dry. Hold the panel under a sticky note or scrap paper, so that no finger marks it.',
          ...curlOf(card),
        ],
      }),

    lay: (rung: number, use: BrushUse, first: boolean, care: string, fades: boolean): void => {
      const ink = inks[rung] as Ink;
      progress = { ...progress, laid: progress.laid.with(rung, true) };
      wet = [...wet, ink];
      const minutes = layMinutes(measures.areas[rung] as number);
      const joins = measures.meetings.filter((pair) => pair.includes(rung)).length;
      add({
        key: `lay ${rung}`,
        kind: 'lay',
        title: ink.name,
        work: measures.lay(rung, fades),
        care: [
          ...clean(first, use),
          ...(first ? [] : ['Turn the panel so that the blended edge lies toward your working hand.']),
          `Load, tap off on white kitchen paper, land in the solid part, ${stroke}. ${care}`,
          ...((pulls[rung]?.holds ?? 0) > STRONG
            ? ['A strong ink beside these: lay it with a lighter hand.']
            : []),
          ...(tool.after ? [tool.after] : []),
        ],
        ink,
        brush: use.brush,
        minutes: minutes + (first ? 0 : pace.wipeMat),
      });
      // Of two fades the first was laid while the other was still to come.
      entered.set(rung, clock - (joins > 1 ? minutes / 2 : 0));
    },

    brew: (first: number, last: number, brushes: number): void => {
      const [p, q] = [inks[first] as Ink, inks[last] as Ink];
      const { parts, colour } = brewMiddle(p, q, groundOf(kit));
      const [more, less] = parts[0] >= parts[1] ? [p, q] : [q, p];
      const [many, few] = [Math.max(...parts), Math.min(...parts)];
      add({
        key: 'brew',
        kind: 'brew',
        title: 'Brewed middle',
        work: `Load a third ${tool.noun} from both: ${many} of ${more.name} to ${few} of ${less.name}, for a ${colour.name}. Lay it in the bare strip, ${measures.join(first, last)}.`,
        care: [
          'Mostly the weaker ink. Land in the middle of the strip, work outward, no new ink toward the ends.',
        ],
        brush: { letter: String.fromCharCode(65 + brushes), label: 'the middle' },
        minutes: pace.brew + pace.wipeMat,
      });
    },

    goBack: (rung: number, over: number, brush: Brush): void => {
      const ink = inks[rung] as Ink;
      const joint = Math.min(rung, over);
      if (Math.abs(rung - over) === 1)
        progress = { ...progress, blended: progress.blended.with(joint, true) };
      add({
        key: `back ${rung} over ${over}`,
        kind: 'go back',
        title: `Back with ${ink.name}`,
        work: `Over the join, ${measures.join(rung, over)}, until no line is left.`,
        care: [
          `No new ink. Small circles, light hand, while it is wet (about ${tellMinutes(INK_KINDS[ink.kind].openMinutes)}).`,
        ],
        ink,
        brush,
        minutes: goBackMinutes,
      });
      const dry = [rung, over].every((i) => {
        const { kind } = inks[i] as Ink;
        return clock - (entered.get(i) ?? clock) > INK_KINDS[kind].openMinutes;
      });
      if (dry) warnings.push({ rungs: [rung, over], told: tellDryJoint(kit, rung, over) });
    },

    /** A pass, step by step, each after what is wet has dried where it needs that. */
    pass: (pass: Pass, index: number, passInks: readonly Ink[], passUses: readonly BrushUse[]): void => {
      const kind = PASS_KINDS[pass.kind];
      if (kind.dries) dry(`before ${pass.id}`);
      const scenes = scenesOf(kit, pass);
      const lies = liesOf(kit, pass);
      const steps = kind.steps(scenes, unit);
      // Where each placing is a step the picture grows with them; else it is there after the first.
      const placed = steps.length === scenes.length;
      steps.forEach((step, i) => {
        if (i === 0) wet = wetAfter(kit, pass, wet);
        if (i === (placed ? steps.length - 1 : 0)) progress = { ...progress, passes: index + 1, placings: 0 };
        else if (placed) progress = { ...progress, placings: i + 1 };
        const at = Math.min(i, scenes.length - 1);
        // With several steps a placement each is laid in its own ink; waiting needs none.
        const ink = step.waits ? undefined : scenes[at]?.ink;
        addPassStep(pass, i, step, {
          ink,
          use: passInks.length > 0 && ink ? passUses[Math.min(at, passUses.length - 1)] : undefined,
          traces: step.waits ? [] : (placed ? lies.slice(i, i + 1) : lies).flatMap(({ traces }) => traces),
        });
      });
    },

    dry,

    check: (uses: readonly BrushUse[], laid: readonly Ink[]): void =>
      add({
        key: 'check',
        kind: 'check',
        title: 'Check, dry',
        work: 'Against the dry picture: no line, no bare speck.',
        care: [
          `Each ink still itself somewhere: ${inks
            .filter((ink) => !isBare(ink))
            .map(({ name }) => name)
            .join(', ')}.`,
          tellWashing(uses, laid, tool.noun),
        ],
      }),

    sheet: (): Sheet => ({
      steps,
      warnings,
      workMinutes: clock,
      dryMinutes: steps.reduce((sum, { kind, minutes }) => sum + (kind === 'dry' ? (minutes ?? 0) : 0), 0),
      cautions: (Object.keys(CAUTIONS) as Danger[])
        .filter((danger) => dangers.has(danger))
        .map((danger) => CAUTIONS[danger]),
    }),
  };
}

/** An ink that holds more than this part of its joints is strong beside its neighbours. */
const STRONG = 0.7;

/** Which brushes to wash at once, before what is on them sets, and which may wait. */
function tellWashing(uses: readonly BrushUse[], laid: readonly Ink[], noun: string): string {
  const kindOf = new Map(
    uses.map(({ brush }, i) => [brush.letter, INK_KINDS[(laid[i] as Ink).kind].brushSet]),
  );
  const letters = (now: boolean) =>
    [...kindOf]
      .filter(([, set]) => (set === 'pigment' || set === 'white only') === now)
      .map(([letter]) => letter);
  const [now, later] = [letters(true), letters(false)];
  const told = [
    ...(now.length > 0 ? [`${now.join(', ')} at once, before it sets`] : []),
    ...(later.length > 0 ? [`${later.join(', ')} at the end of the sitting`] : []),
  ];
  return `Wash ${noun} ${told.join('; ')}.`;
}

/** What is wet once a pass is done, of what was wet before and what it lays. */
function wetAfter(kit: Kit, pass: Pass, before: readonly Ink[]): readonly Ink[] {
  const effects = liesOf(kit, pass).flatMap((lie) => lie.effects);
  let wet = before;
  for (const { does } of effects) {
    if (does === 'dry') wet = [];
    else if (does === 'ladder' || does === 'piece') wet = [...wet, ...kit.inks];
  }
  const lastLaid = effects.findLast(({ does }) => does !== 'guard');
  return lastLaid?.does === 'film' ? [...wet, ...scenesOf(kit, pass).flatMap(({ ink }) => ink ?? [])] : wet;
}

const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What to do about a joint that dries too soon: the first that helps of a smaller stretch, an order, an ink. */
function tellDryJoint({ recipe, inks }: Kit, rung: number, over: number): string {
  const [p, q] = [inks[rung] as Ink, inks[over] as Ink];
  const slower = INK_KINDS[p.kind].openMinutes >= INK_KINDS[q.kind].openMinutes ? p : q;
  const order =
    recipe.school === 'bothEnds' || recipe.school === 'middleOut'
      ? 'lay pale first, so that each join is gone back over at once'
      : 'lay both ends last';
  return `Back with ${p.name} over ${q.name} comes after both have dried. Lay a smaller stretch at a time, ${order}, or take an ink that stays open longer than ${slower.name} (${INK_KINDS[slower.kind].label}, ${tellMinutes(INK_KINDS[slower.kind].openMinutes)}).`;
}

/** The sheet as plain text, a numbered step a paragraph. */
export function sheetText(kit: Kit, unit: Unit, pace: Pace = USUAL_PACE): string {
  const sheet = compileSheet(kit, unit, pace);
  const steps = sheet.steps.map((step, i) => {
    const brush = step.brush
      ? ` [${TOOLS[kit.recipe.tool].noun} ${step.brush.letter}: ${step.brush.label}]`
      : '';
    const time = step.minutes ? ` (${tellMinutes(step.minutes)})` : '';
    const note = step.note ? [`Note: ${step.note}`] : [];
    return [`${i + 1}. ${step.title}${brush}${time}`, step.work, ...step.care, ...note].join('\n   ');
  });
  return [
    kit.recipe.name,
    `${schoolOf(kit).label}. Work ${tellMinutes(sheet.workMinutes)}, then dry ${tellMinutes(sheet.dryMinutes)}.`,
    ...sheet.warnings.map(({ told }) => `Mind: ${told}`),
    ...steps,
    ...sheet.cautions,
  ].join('\n\n');
}

import { groundOfCard } from '../card/card';
import { FINISHES } from '../card/finishes';
import { curlOf } from '../card/fit';
import type { Ink } from '../ink/ink';
import { isBare } from '../ink/ink';
import { INK_KINDS } from '../ink/kinds';
import { brewMiddle } from '../ladder/brew';
import { potencies } from '../ladder/perceived';
import type { Kit, Recipe } from '../ladder/recipe';
import { OVERS } from '../over/over';
import { formatBare, formatLength, type Unit } from '../panel/measure';
import { USUAL_PANEL } from '../panel/panel';
import { type Progress, untouched } from '../panel/progress';
import { TOOLS } from '../tool/tools';
import { type Brush, type BrushUse, brushesFor } from './brushes';
import { type Measures, measuresOf } from './measures';
import { layingOrder, schoolOf } from './school';
import { type Pace, tellMinutes, USUAL_PACE } from './times';

export type StepKind = 'prepare' | 'lay' | 'brew' | 'go back' | 'over' | 'dry' | 'check';

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
  /** How the panel stands once it is done. */
  readonly after: Progress;
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
  const { recipe, inks, overInks } = kit;
  const school = schoolOf(kit);
  const order = layingOrder(kit);
  const measures = measuresOf(recipe, unit);
  const uses = brushesFor([...order.map((rung) => inks[rung] as Ink), ...overInks]);
  const useOf = (rung: number): BrushUse => uses[order.indexOf(rung)] as BrushUse;
  const brews = school.brews && order.length === 2 && inks.length === 2;
  const work = startWork(kit, unit, pace, measures);

  work.prepare();
  order.forEach((rung, turn) => {
    work.lay(rung, useOf(rung), turn === 0, school.care, !brews);
    if (brews) return;
    for (const neighbour of neighboursOf(rung, measures.meetings, order.slice(0, turn)))
      work.goBack(neighbour, rung, useOf(neighbour).brush);
  });
  if (brews) {
    const [first, last] = order as [number, number];
    work.brew(first, last, uses.length);
    for (const rung of [first, last]) work.goBack(rung, rung === first ? last : first, useOf(rung).brush);
  }
  recipe.overs.forEach((over, i) => {
    if (OVERS[over.id].onto === 'dried') work.dry(`before ${over.id}`);
    work.over(i, uses[order.length + i] as BrushUse);
  });
  work.dry('end');
  work.check(uses, [...order.map((rung) => inks[rung] as Ink), ...overInks]);
  return work.sheet();
}

/** Rungs already down that meet this one, nearest in the ladder first. */
const neighboursOf = (rung: number, meetings: Measures['meetings'], laid: readonly number[]): number[] =>
  laid
    .filter((other) => meetings.some(([p, q]) => (p === rung && q === other) || (p === other && q === rung)))
    .sort((p, q) => p - q);

/** Collects steps, with the clock and the panel's state as they go. */
function startWork(kit: Kit, unit: Unit, pace: Pace, measures: Measures) {
  const { recipe, card, inks, overInks } = kit;
  const steps: Step[] = [];
  const warnings: DryJoint[] = [];
  let progress = untouched(recipe);
  let clock = 0;
  let heats = false;
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

  const add = (step: Omit<Step, 'after' | 'note'>): void => {
    const note = recipe.notes?.[step.key];
    steps.push({ ...step, after: progress, ...(note ? { note } : {}) });
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
      const { parts, colour } = brewMiddle(p, q, groundOfCard(card));
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

    over: (index: number, use: BrushUse): void => {
      const over = recipe.overs[index] as Recipe['overs'][number];
      const ink = overInks[index] as Ink;
      const run = OVERS[over.id];
      const lie = run.on(recipe.panel, over.params);
      progress = { ...progress, overs: index + 1 };
      add({
        key: `over ${over.id}`,
        kind: 'over',
        title: `${run.label}: ${ink.name}`,
        work: lie.work(unit),
        care: [...clean(false, use), ...lie.care],
        ink,
        brush: use.brush,
        minutes: layMinutes(1 / 3) + pace.wipeMat,
      });
    },

    dry: (when: string): void => {
      const down = [
        ...inks.filter((ink, rung) => progress.laid[rung] && !isBare(ink)),
        ...overInks.slice(0, progress.overs),
      ];
      const slowest = down.reduce((slow, ink) =>
        INK_KINDS[ink.kind].airDryMinutes > INK_KINDS[slow.kind].airDryMinutes ? ink : slow,
      );
      const { airDryMinutes, label } = INK_KINDS[slowest.kind];
      heats = true;
      add({
        key: `dry ${when}`,
        kind: 'dry',
        title: 'Dry',
        work: `Flat, ${tellMinutes(airDryMinutes)} in air: ${slowest.name} is the slowest (${label}).`,
        care: [`Or heat tool, face then back, about ${tellMinutes(pace.heatDry)}. Air keeps more colour.`],
        minutes: airDryMinutes,
      });
    },

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
      cautions: heats ? [HEAT] : [],
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

const HEAT =
  'Heat tool: hot air and hot card burn. Keep clear of sprays, alcohol and paper, hold the panel with tweezers, and unplug it after use. Read the maker’s own sheet for each ink and tool, and follow your local rules.';

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

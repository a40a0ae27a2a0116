import { type Card, groundOfCard } from '../card/card';
import { FINISHES } from '../card/finishes';
import { nameColour } from '../colour/names';
import type { Ink } from '../ink/ink';
import { INK_KINDS } from '../ink/kinds';
import { driedColour } from '../ink/laid';
import { type Kit, overlaps, type Recipe, type Stretch, stretches } from '../ladder/recipe';
import { formatBare, formatLength, type Millimetres, type Unit } from '../panel/measure';
import { RUNS } from '../run/run';
import { type Brush, brushesFor } from './brushes';
import { SCHOOLS } from './schools';
import { MINUTES, tellMinutes } from './times';

export type StepKind = 'prepare' | 'lay' | 'go back' | 'dry' | 'check';

/** One numbered step of the order of work. */
export interface Step {
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
}

/** The order of work for one panel. */
export interface Sheet {
  readonly steps: readonly Step[];
  /** Sum of the steps with the brush in hand. */
  readonly workMinutes: number;
  /** Drying in air at the end. */
  readonly dryMinutes: number;
  /** Cautions, each said once. */
  readonly cautions: readonly string[];
}

/** Below this a card curls once it is wetted, g/m²; common practice. */
const CURLS_BELOW = 200;

/**
 * Compiles the order of work. Every figure comes from the recipe's geometry, written in `unit`: each ink is laid
 * solid well away from the join, faded by lifting pressure, and after each new ink the previous neighbour goes back
 * over the join.
 */
export function compileSheet(kit: Kit, unit: Unit): Sheet {
  const { recipe, inks } = kit;
  const order = layingOrder(kit);
  const brushes = brushesFor(order.map((rung) => inks[rung] as Ink));
  const brushOf = new Map(order.map((rung, turn) => [rung, brushes[turn]?.brush as Brush]));
  const extents = stretches(recipe);

  const steps: Step[] = [prepare(kit, unit)];
  order.forEach((rung, turn) => {
    const used = brushes[turn]?.usedBefore;
    steps.push(
      layStep(kit, unit, rung, {
        extent: extents[rung] as Stretch,
        brush: brushOf.get(rung) as Brush,
        first: turn === 0,
        ...(used ? { usedBefore: used } : {}),
      }),
    );
    const laid = order.slice(0, turn);
    for (const joint of [rung - 1, rung]) {
      const neighbour = joint === rung ? rung + 1 : rung - 1;
      if (laid.includes(neighbour))
        steps.push(goBackStep(kit, unit, neighbour, joint, brushOf.get(neighbour) as Brush));
    }
  });
  const dry = dryStep(inks);
  steps.push(dry, checkStep(kit));
  return {
    steps,
    workMinutes: steps.reduce((sum, { kind, minutes }) => sum + (kind === 'dry' ? 0 : (minutes ?? 0)), 0),
    dryMinutes: dry.minutes ?? 0,
    cautions: [
      'Heat tool: hot air and hot card burn. Keep clear of sprays, alcohol and paper, hold the panel with tweezers, and unplug it after use. Read the maker’s own sheet for each ink and tool, and follow your local rules.',
    ],
  };
}

/** Rung indices in the order the recipe's school lays them. */
export function layingOrder({ recipe, card, inks }: Kit): number[] {
  const ground = groundOfCard(card);
  const dried = inks.map((ink) => {
    const lab = driedColour(ink, ground);
    return { lab, noun: nameColour(lab).noun };
  });
  return SCHOOLS[recipe.school].order(dried);
}

/** All marks of the recipe, each once, from the measuring end up. */
function marksOf(recipe: Recipe): Millimetres[] {
  const run = RUNS[recipe.run];
  return overlaps(recipe)
    .flatMap(({ start, end }) => [start, end])
    .map((along) => run.markOf(recipe.panel, along))
    .sort((p, q) => p - q);
}

function prepare({ recipe, card }: Kit, unit: Unit): Step {
  const { width, height } = recipe.panel;
  const marks = marksOf(recipe).map((mark) => formatBare(mark, unit));
  return {
    kind: 'prepare',
    title: 'Prepare',
    work: `Panel ${formatBare(width, unit)} × ${formatLength(height, unit)} of ${card.name}. Mark the edge ${RUNS[recipe.run].measuredFrom}: ${marks.join(', ')} ${unit}.`,
    care: [
      'Mat wiped and dry. Hold the panel under a sticky note or scrap paper, so that no finger marks it.',
      ...curlWarning(card),
    ],
  };
}

const curlWarning = (card: Card): string[] =>
  card.grammage < CURLS_BELOW
    ? [`${card.grammage} g/m² is thin: it curls once wetted. 270 g/m² and up lies flat.`]
    : [];

interface Laying {
  readonly extent: Stretch;
  readonly brush: Brush;
  readonly first: boolean;
  readonly usedBefore?: Ink;
}

function layStep({ recipe, card, inks }: Kit, unit: Unit, rung: number, laying: Laying): Step {
  const ink = inks[rung] as Ink;
  const { brush, first, usedBefore } = laying;
  const clean = usedBefore
    ? `Wipe and dry the mat. Brush ${brush.letter} worked with ${usedBefore.name}: wipe it clean on kitchen paper first.`
    : 'Wipe and dry the mat. Fresh brush.';
  return {
    kind: 'lay',
    title: ink.name,
    work: tellStretch(recipe, rung, laying.extent, unit),
    care: [
      ...(first ? [] : [clean]),
      `Tap off, land in the solid part, ${FINISHES[card.finish].stroke}. Fade by lifting pressure, no new ink.`,
    ],
    ink,
    brush,
    minutes: MINUTES.layBand + (first ? 0 : MINUTES.wipeMat),
  };
}

/** "Solid 63 to 77 mm; fade up to nothing by 107, down to nothing by 37." */
function tellStretch(recipe: Recipe, rung: number, extent: Stretch, unit: Unit): string {
  const run = RUNS[recipe.run];
  const mark = (along: Millimetres) => formatBare(run.markOf(recipe.panel, along), unit);
  const isFirst = rung === 0;
  const isLast = rung === recipe.rungs.length - 1;
  const solid = isFirst
    ? `Solid from ${mark(extent.solidTo)} ${unit} to ${run.start.place}`
    : isLast
      ? `Solid from ${run.end.place} to ${mark(extent.solidFrom)} ${unit}`
      : `Solid ${mark(extent.solidTo)} to ${mark(extent.solidFrom)} ${unit}`;
  const fades = [
    ...(isFirst ? [] : [`${run.start.toward} to nothing by ${mark(extent.from)}`]),
    ...(isLast ? [] : [`${run.end.toward} to nothing by ${mark(extent.to)}`]),
  ];
  return `${solid}; fade ${fades.join(', ')}.`;
}

function goBackStep({ recipe, inks }: Kit, unit: Unit, rung: number, joint: number, brush: Brush): Step {
  const ink = inks[rung] as Ink;
  const run = RUNS[recipe.run];
  const lap = overlaps(recipe)[joint];
  const marks = [lap?.start ?? 0, lap?.end ?? 0]
    .map((along) => run.markOf(recipe.panel, along))
    .sort((p, q) => p - q);
  return {
    kind: 'go back',
    title: `Back with ${ink.name}`,
    work: `Over the join, ${formatBare(marks[0] as number, unit)} to ${formatLength(marks[1] as number, unit)}, until no line is left.`,
    care: [
      `No new ink. Small circles, light hand, while it is wet (about ${tellMinutes(INK_KINDS[ink.kind].openMinutes)}).`,
    ],
    ink,
    brush,
    minutes: MINUTES.goBack,
  };
}

function dryStep(inks: readonly Ink[]): Step {
  const slowest = inks.reduce((slow, ink) =>
    INK_KINDS[ink.kind].airDryMinutes > INK_KINDS[slow.kind].airDryMinutes ? ink : slow,
  );
  const { airDryMinutes, label } = INK_KINDS[slowest.kind];
  return {
    kind: 'dry',
    title: 'Dry',
    work: `Flat, ${tellMinutes(airDryMinutes)} in air: ${slowest.name} is the slowest (${label}).`,
    care: [`Or heat tool, face then back, about ${tellMinutes(MINUTES.heatDry)}. Air keeps more colour.`],
    minutes: airDryMinutes,
  };
}

const checkStep = ({ inks }: Kit): Step => ({
  kind: 'check',
  title: 'Check, dry',
  work: 'Against the dry picture: no line, no bare speck.',
  care: [`Each ink still itself somewhere: ${inks.map(({ name }) => name).join(', ')}.`],
});

/** The sheet as plain text, a numbered step a paragraph. */
export function sheetText(kit: Kit, unit: Unit): string {
  const sheet = compileSheet(kit, unit);
  const steps = sheet.steps.map((step, i) => {
    const brush = step.brush ? ` [brush ${step.brush.letter}: ${step.brush.label}]` : '';
    const time = step.minutes ? ` (${tellMinutes(step.minutes)})` : '';
    return [`${i + 1}. ${step.title}${brush}${time}`, step.work, ...step.care].join('\n   ');
  });
  return [
    kit.recipe.name,
    `${SCHOOLS[kit.recipe.school].label}. Work ${tellMinutes(sheet.workMinutes)}, then dry ${tellMinutes(sheet.dryMinutes)}.`,
    ...steps,
    ...sheet.cautions,
  ].join('\n\n');
}

import type { Size } from '../base/geometry';
import { wetAfterPass } from '../engine/drying';
import { type Ink, isBare } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { settle } from '../recipe/editLadder';
import { isPrinted } from '../recipe/laying';
import type { PassDeed, PassStep, PlacementContext } from '../recipe/passes/definition';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import { bandsOf, type Recipe } from '../recipe/recipe';
import { contextsOf, placedPasses } from '../recipe/resolved';
import { STRAIGHT } from '../recipe/runs/runs';
import type { BrushUse } from './brushes';
import type { Deed } from './deeds';
import { addStep, type Desk, type Pending, type Piece, takeUp } from './desk';
import { ladderPieces } from './ladderPieces';
import { measuredWords } from './measures';
import { schoolIdOf } from './schoolChoice';
import { type Setting, settingOf } from './setting';
import { describeMinutes, type Pace, USUAL_PACE } from './times';

/** Waits until whatever is wet has dried, with what is to be done before that and what only after. */
export const dry =
  (when: string, setting: Setting) =>
  (desk: Desk): Desk => {
    const wet = desk.wet.filter((ink) => !isBare(ink));
    const ready = desk.blended ? doLater(desk, setting, ({ when: due }) => due === 'blended') : desk;
    const [first, ...others] = wet;
    const airDry = ({ kind }: Ink) => INK_KINDS[kind].airDryMinutes;
    const dried = first
      ? dryStep(
          ready,
          setting,
          when,
          others.reduce((slow, ink) => (airDry(ink) > airDry(slow) ? ink : slow), first),
        )
      : ready;
    return desk.blended ? doLater(dried, setting, ({ when: due }) => due === 'dry') : dried;
  };

/** What a step that dries in air offers in its place. */
export const heatInstead = ({ heatDry }: Pace): string =>
  `Or heat tool, face then back, about ${describeMinutes(heatDry)}. Air keeps more colour.`;

function dryStep(desk: Desk, setting: Setting, when: string, slowest: Ink): Desk {
  const { airDryMinutes, label } = INK_KINDS[slowest.kind];
  const minutes = airDryMinutes * setting.pace.airDry;
  return addStep({ ...desk, wet: [] }, setting.resolved, {
    key: `dry ${when}`,
    kind: 'dry',
    title: 'Dry',
    work: `Flat, ${describeMinutes(minutes)} in air: ${slowest.name} is the slowest (${label}).`,
    care: [heatInstead(setting.pace)],
    minutes,
    waits: 'air',
    deeds: [{ does: 'dry', minutes }],
    needs: ['heat tool', 'tweezers'],
    dangers: ['heat'],
  });
}

/** Does what earlier passes have left and is due now; what comes back again and again stays. */
export function doLater(desk: Desk, setting: Setting, isDue: (pending: Pending) => boolean): Desk {
  const due = desk.pending.filter(isDue);
  const kept = desk.pending.filter((one) => !isDue(one) || one.when === 'inked');
  return due.reduce<Desk>(
    (now, { pass, step }) => addPassStep(now, setting, { pass, step, key: laterKey(now, pass, step) }),
    { ...desk, pending: kept },
  );
}

/** What is due after some inks have been laid over it. */
export const isDueAfter =
  (laid: readonly Ink[]) =>
  ({ when, of }: Pending): boolean =>
    when === 'inked' && (!of || laid.some(({ kind }) => of(kind)));

/** Buffing comes again: each time has a key of its own. */
function laterKey({ steps }: Desk, pass: string, { title, placement }: PassStep): string {
  const key = `pass ${pass} ${title.toLowerCase()}${placement ? ` ${placement}` : ''}`;
  const before = steps.filter((step) => step.key === key || step.key.startsWith(`${key} #`)).length;
  return before === 0 ? key : `${key} #${before + 1}`;
}

/** A pass, step by step, after what is wet has dried where it needs that. */
export function passPieces(pass: Pass, place: number, setting: Setting): Piece[] {
  const { resolved, unit } = setting;
  const kind = PASS_KINDS[pass.kind];
  const contexts = contextsOf(resolved, pass);
  const steps = kind.steps(contexts, unit);
  const before: Piece = {
    job: (desk) => {
      if (kind.needsDry) return dry(`before ${pass.id}`, setting)(desk);
      return kind.sets && desk.blended ? doLater(desk, setting, ({ when }) => when === 'blended') : desk;
    },
  };
  const after: Piece = { job: (desk) => afterPass(desk, setting, pass, place, contexts) };
  return [
    before,
    ...steps.flatMap((step, i) => [
      stepPiece({ pass, place, step, at: i, contexts, steps }, setting),
      ...(step.ladder ? ladderAgain(pass, step.ladder, setting) : []),
    ]),
    after,
  ];
}

/** A coat of no more than so many per cent is laid with a touch of ink, not with a loaded tool. By eye. */
const FAINT = 40;

/** The ladder once more: over the panel, or on a strip of its own, with marks of its own. */
function ladderAgain(pass: Pass, ladder: NonNullable<PassStep['ladder']>, setting: Setting): Piece[] {
  const key = `pass ${pass.id} `;
  if (ladder.on === 'the panel')
    return ladderPieces(setting, {
      on: `second coat ${pass.id}`,
      panel: setting,
      key,
      title: ', second coat',
      load: ladder.strength <= FAINT ? 'touch' : 'full',
    });
  const strip = stripSetting(setting, ladder.size);
  const marked: Piece = {
    job: (desk) =>
      addStep(desk, setting.resolved, {
        key: `${key}marks`,
        kind: 'pass',
        title: 'Mark the strip',
        work: `Stood up, the end where the ladder begins at the top. ${strip.words.marks}`,
        care: [],
        minutes: 0.5,
        marks: strip.words.given,
        deeds: [{ does: 'mark', on: `strip ${pass.id}`, marks: strip.words.given }],
        needs: ['spare of the same card, for the strip'],
      }),
  };
  return [
    marked,
    ...ladderPieces(strip, {
      on: `strip ${pass.id}`,
      panel: setting,
      key,
      title: ', on the strip',
      load: 'full',
    }),
  ];
}

/** The same ladder along a strip, its joints in proportion. */
function stripSetting({ resolved, unit, pace, changing }: Setting, size: Size): Setting {
  const { recipe } = resolved;
  const scale = size.height / recipe.panel.height;
  const strip: Recipe = settle({
    ...recipe,
    panel: size,
    run: STRAIGHT,
    passes: [],
    school: schoolIdOf(resolved),
    joints: recipe.joints.map(({ width }) => ({ width: width * scale })),
  });
  return {
    ...settingOf({ ...resolved, recipe: strip }, unit, pace, measuredWords(strip, unit, 'strip')),
    changing,
  };
}

/** What can be seen on the panel once it is done. */
const SEEN: ReadonlySet<PassDeed> = new Set(['lay', 'stamp', 'wet', 'cover']);
const deedsOf = ({ does, waits }: PassStep): readonly PassDeed[] => does ?? [waits ? 'dry' : 'lay'];

/** A step of a pass and where it stands in it. */
interface StepOfPass {
  readonly pass: Pass;
  readonly place: number;
  readonly step: PassStep;
  readonly at: number;
  readonly contexts: readonly PlacementContext[];
  readonly steps: readonly PassStep[];
}

function stepPiece({ pass, place, step, at, contexts, steps }: StepOfPass, setting: Setting): Piece {
  const { resolved } = setting;
  const kind = PASS_KINDS[pass.kind];
  const placing = contexts.findIndex(({ id }) => id === step.placement);
  // Waiting and setting need no ink.
  const ink = step.waits ? undefined : contexts[Math.max(placing, 0)]?.ink;
  const traces = placedPasses(resolved, pass).map((placed) => placed.traces);
  const farther = fartherThanUsual(placing < 0 ? contexts : contexts.slice(placing, placing + 1));
  const onRubber = isPrinted(resolved.recipe) && step.printed;
  const isFirstOfPlacing = steps.findIndex(({ placement }) => placement === step.placement) === at;
  const job = (desk: Desk, use?: BrushUse): Desk => {
    const laid: Desk = {
      ...desk,
      wet: at === 0 ? wetAfterPass(resolved, pass, desk.wet) : desk.wet,
      // Where each placing is a step the picture grows with them; else all is there after the first step that is seen.
      progress: !deedsOf(step).some((deed) => SEEN.has(deed))
        ? desk.progress
        : placing < 0
          ? { ...desk.progress, passes: place + 1, placings: 0 }
          : { ...desk.progress, placings: placing + 1 },
    };
    return addPassStep(laid, setting, {
      pass: pass.id,
      step: kind.printsLadder
        ? { ...step, care: [...step.care, ...mirrored(resolved.recipe)] }
        : { ...step, ...onRubber },
      key: `pass ${pass.id} ${step.placement === undefined ? at : step.placement}${step.placement !== undefined && !isFirstOfPlacing ? ' then' : ''}`,
      ...(ink ? { ink } : {}),
      ...(use ? { use } : {}),
      ...(onRubber ? { isOnRubber: true } : {}),
      ...(farther === undefined ? {} : { covers: farther }),
      traces: step.waits ? [] : placing < 0 ? traces.flat() : (traces[placing] ?? []),
    });
  };
  return ink && kind.ink !== 'stamped'
    ? { need: { inks: [ink], takes: 'new ink' }, job }
    : { job: (desk) => job(desk) };
}

/** Over a stamp in its positioner left and right change places, as in a mirror; bands that lie level are the same there. */
function mirrored(recipe: Recipe): string[] {
  const bands = bandsOf(recipe);
  return bands?.isHorizontal
    ? []
    : [
        'Rubber up it lies as in a mirror: what is to be on the left of the panel goes on the right of the rubber.',
      ];
}

/**
 * A design of this size across takes the minutes that a step tells; a smaller one at least, a larger at most, these parts.
 * Each more that is laid in the same step takes this part of its own: all is at hand. From memory.
 */
const USUAL_DESIGN = 80;
const DESIGN_TIMES = { least: 0.6, most: 2, again: 0.5 } as const;

/**
 * How much farther than over one usual design the hand goes over those of one step; undefined where it is not done over
 * designs.
 */
function fartherThanUsual(contexts: readonly PlacementContext[]): number | undefined {
  const { least, most, again } = DESIGN_TIMES;
  const parts = contexts.flatMap(({ design, params: { width } }) => {
    if (!design || typeof width !== 'number') return [];
    const height = (design.height * width) / design.width;
    return [Math.min(Math.max(Math.sqrt(width * height) / USUAL_DESIGN, least), most)];
  });
  return parts.length === 0
    ? undefined
    : parts.reduce((sum, part, i) => sum + (i === 0 ? part : again * part), 0);
}

/** What a step of a pass is done with, and where. */
interface PassWork {
  readonly pass: string;
  readonly step: PassStep;
  readonly key: string;
  readonly ink?: Ink;
  readonly use?: BrushUse;
  /** It is done to the ladder's stamp, as its words say before each print. */
  readonly isOnRubber?: true;
  readonly traces?: readonly string[];
  /** How much farther than over a usual design the hand has to go, where it does not go over all of the panel. */
  readonly covers?: number;
}

function addPassStep(
  desk: Desk,
  setting: Setting,
  { pass, step, key, ink, use, isOnRubber, covers, traces = [] }: PassWork,
): Desk {
  const { pace, larger, panels } = setting;
  const taken =
    use && ink ? takeUp(desk, use, [ink], setting) : { care: [], ownBrushes: [], minutes: 0, deeds: [] };
  // Brushed on, it goes at the maker's own pace of laying a band.
  const ownPace = use ? pace.layBand / USUAL_PACE.layBand : 1;
  const farther = covers === undefined ? larger.over(1) : covers * panels;
  const working = step.minutes * ownPace * (step.once ? 1 : farther) + inkingAgain(step, setting);
  const does = deedsOf(step);
  // What only cools does not hang on how things dry at this desk.
  const inAir = does.includes('dry') ? step.minutes * pace.airDry : step.minutes;
  const waiting = step.waits === 'heat' ? (step.minutes * pace.heatDry) / USUAL_PACE.heatDry : inAir;
  const minutes = step.waits ? waiting : working;
  const { placement } = step;
  const deeds = does.map(
    (deed): Deed => ({
      does: 'pass',
      pass,
      deed,
      minutes: minutes / does.length,
      ...(placement === undefined ? {} : { placement }),
      ...(use ? { brush: use.brush.letter } : {}),
    }),
  );
  return addStep(desk, setting.resolved, {
    key,
    kind: step.waits ? 'dry' : 'pass',
    title: ink ? `${step.title}: ${ink.name}` : step.title,
    work: step.work,
    care: [
      ...taken.care,
      ...step.care,
      ...(panels > 1 && !step.waits && !step.once && !isOnRubber
        ? [`The same on the other panel${step.inksAgain ? ', the stamp inked anew for it' : ''}.`]
        : []),
    ],
    ownBrushes: taken.ownBrushes,
    ...(ink ? { ink } : {}),
    ...(use ? { brush: use.brush } : {}),
    ...(step.waits ? { waits: step.waits } : {}),
    ...(step.noHeat ? { noHeat: true } : {}),
    ...(step.whileWet ? { whileWet: true } : {}),
    ...(step.once ? { once: true } : {}),
    ...(traces.length > 0 ? { traces } : {}),
    minutes: minutes + taken.minutes,
    deeds: [...taken.deeds, ...deeds],
    ...(step.needs ? { needs: step.needs } : {}),
    ...(step.dangers ? { dangers: step.dangers } : {}),
  });
}

/** What it takes to ink the ladder's stamp again and again, minutes. */
function inkingAgain({ inksAgain }: PassStep, { resolved, pace, larger, panels }: Setting): number {
  if (!inksAgain) return 0;
  const inks = resolved.inks.filter((ink) => !isBare(ink)).length;
  const once = inksAgain.minutesAnInk * inks * (pace.layBand / USUAL_PACE.layBand);
  return once * (larger.over(1) / panels) * (inksAgain.times * panels + panels - 1);
}

/** What follows from a pass that is done: designs are buffed, masks lifted, and what it leaves for later noted. */
function afterPass(
  desk: Desk,
  setting: Setting,
  pass: Pass,
  place: number,
  contexts: readonly PlacementContext[],
): Desk {
  const kind = PASS_KINDS[pass.kind];
  const { resolved } = setting;
  const laysLadder = placedPasses(resolved, pass).some(({ effects }) =>
    effects.some((effect) => effect.kind === 'ladder'),
  );
  const laid = [
    ...(kind.ink === 'blended' || kind.ink === 'white' ? contexts.flatMap(({ ink }) => ink ?? []) : []),
    ...(laysLadder ? resolved.inks.filter((ink) => !isBare(ink)) : []),
  ];
  const buffed = laid.length > 0 ? doLater(desk, setting, isDueAfter(laid)) : desk;
  const set = kind.sets && buffed.blended ? doLater(buffed, setting, ({ when }) => when === 'dry') : buffed;
  const lifted = doLater(set, setting, ({ when, from }) => typeof when === 'number' && place >= from + when);
  const left = (kind.later?.(contexts) ?? []).map((later) => ({ ...later, pass: pass.id, from: place }));
  return {
    ...lifted,
    // A pass that only waits is done with its last step, too.
    progress: { ...lifted.progress, passes: place + 1, placings: 0 },
    pending: [...lifted.pending, ...left],
  };
}
